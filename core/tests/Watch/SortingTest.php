<?php

declare(strict_types=1);

namespace Crag\Tests\Watch;

use Crag\Canvas\Drawing\Bounds;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\Scene;
use Crag\Json\Fields;
use Crag\Plan\Handout;
use Crag\Plan\HandoutMode;
use Crag\Plan\PromptPage;
use Crag\Tests\Canvas\Examples;
use Crag\Tests\Canvas\Logs;
use Crag\Watch\Sorting;
use Crag\Watch\SortingKey;
use PHPUnit\Framework\TestCase;

/** Pieces that are sorted into areas. */
final class SortingTest extends TestCase
{
    public function test_a_piece_is_right_where_its_middle_lies_in_an_area_that_takes_it(): void
    {
        [$key, $scene] = self::handedOut();
        self::assertEquals([0, 0, 3], self::counted($scene(), $key));
        // 240 N into the forces, right; 3 m into them too, wrong.
        $into = [self::move('240 N', 500, 500), self::move('3 m', 500, 700)];
        self::assertEquals([1, 2, 3], self::counted($scene(...$into), $key));
        // A copy off a stack counts like a piece, the stack itself does not.
        $copy = Logs::object('copy', self::piece('80 N', 600, 600));
        self::assertEquals([2, 3, 4], self::counted($scene(...[...$into, $copy]), $key));
        // Beside the area is not in it, and what belongs nowhere is not counted.
        $aside = [self::move('240 N', 8000, 500), self::move('title', 500, 500)];
        self::assertEquals([0, 0, 3], self::counted($scene(...$aside), $key));
    }

    public function test_an_area_that_is_turned_holds_what_lies_in_it(): void
    {
        [$key, $scene] = self::handedOut();
        // A quarter turn about the page's corner, then moved right: it stands upright from 5000 to 9000.
        $turned = Logs::operation('turn', 'arrange', [
            'targets' => [Logs::id('areas').'.0'],
            'places' => [[9000, 0, 9_000, 10_000]],
        ], null);
        self::assertEquals([1, 1, 3], self::counted($scene($turned, self::move('240 N', 8000, 500)), $key));
        self::assertEquals([0, 0, 3], self::counted($scene($turned, self::move('240 N', 500, 3500)), $key));
    }

    public function test_what_belongs_there_is_known_to_the_teacher_alone(): void
    {
        [, , $operations] = self::handedOut();
        $told = (string) json_encode($operations);
        self::assertStringContainsString('"area":true', $told);
        self::assertStringNotContainsString('takes', $told);
        self::assertTrue(SortingKey::in([])->isEmpty());
    }

    public function test_every_kind_of_object_has_bounds_on_its_page(): void
    {
        foreach (Examples::all() as $kind => $object) {
            $bounds = Bounds::of(ReadObject::from(new Fields($object)));
            self::assertLessThan($bounds->right, $bounds->left, $kind);
            self::assertLessThan($bounds->bottom, $bounds->top, $kind);
            self::assertTrue($bounds->holds(...$bounds->middle()), $kind);
            self::assertFalse($bounds->holds($bounds->right + 1, $bounds->top), $kind);
        }
    }

    /** @return array{int, int, int} */
    private static function counted(Scene $scene, SortingKey $key): array
    {
        $sorting = Sorting::of($scene, $key);

        return [$sorting->right, $sorting->placed, $sorting->all];
    }

    /**
     * Two areas, four pieces and a stack, as a teacher hands them out.
     *
     * @return array{SortingKey, callable(Operation ...$later): Scene, list<array<string, mixed>>}
     */
    private static function handedOut(): array
    {
        $area = static fn (string $alt, int $x, array $takes): array => [
            'object' => ['area' => true, 'takes' => $takes, 'of' => self::box($x, 0, 4000, 4000)] + self::piece($alt, 0, 0),
        ];
        $stack = ['object' => ['stack' => true] + self::piece('80 N', 12_000, 9000)];
        $objects = [
            $area('forces', 0, ['240 N', '80 N']),
            $area('lengths', 4000, ['3 m', '1 m']),
            ...array_map(
                static fn (string $alt): array => ['object' => self::piece($alt, 12_000, 8000)],
                ['240 N', '3 m', '1 m', 'title'],
            ),
            $stack,
        ];
        $page = PromptPage::read(new Fields(['backdrop' => ['kind' => 'blank'], 'objects' => $objects]));
        $handout = Handout::of(HandoutMode::Pieces, [$page]);
        $operations = $handout->operations([''], static fn (): string => Logs::id('areas'));
        $log = array_map(
            static fn (array $one): Operation => Operation::read(
                $one + ['at' => 0],
                Author::teacher(),
            ),
            $operations,
        );

        return [
            SortingKey::in($handout->pages[0]->placings),
            static fn (Operation ...$later): Scene => Scene::fold([...$log, ...array_values($later)]),
            $operations,
        ];
    }

    private static function move(string $alt, int $x, int $y): Operation
    {
        $i = ['240 N' => 2, '3 m' => 3, '1 m' => 4, 'title' => 5][$alt];

        return Logs::operation("move{$i}", 'arrange', [
            'targets' => [Logs::id('areas').".{$i}"],
            'places' => [[$x - 12_000, $y - 8000, 0, 10_000]],
        ]);
    }

    /** @return array<string, mixed> */
    private static function piece(string $alt, int $x, int $y): array
    {
        return [
            'type' => 'piece',
            'alt' => $alt,
            'locked' => false,
            'stack' => false,
            'of' => self::box($x, $y, 600, 300),
        ];
    }

    /** @return array<string, mixed> */
    private static function box(int $x, int $y, int $w, int $h): array
    {
        return ['x' => $x, 'y' => $y, 'w' => $w, 'h' => $h] + Examples::all()['rectangle'];
    }
}
