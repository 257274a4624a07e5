<?php

declare(strict_types=1);

namespace Crag\Tests\Session;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\EarlierOperation;
use Crag\Canvas\Log\History;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\MayAppend;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Log\RefusedOperation;
use Crag\Canvas\Log\TrayInForce;
use Crag\Canvas\Scene;
use Crag\Prompt\Sharing;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Session\Rules\CanvasTie;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Canvases on which several students draw. */
final class SharingTest extends TestCase
{
    private const LOG = [
        ['first-of-tamsins-000', 'tamsin', 'add'],
        ['first-of-wrens-00000', 'wren', 'add'],
        ['second-of-tamsins-00', 'tamsin', 'add'],
    ];

    public function test_who_has_left_a_group_sees_nothing_more_of_its_canvas(): void
    {
        self::assertTrue(CanvasTie::Own->sees());
        self::assertTrue(CanvasTie::ofMember(null)->sees());
        self::assertFalse(CanvasTie::ofMember(1_000)->sees());
    }

    public function test_whose_canvas_a_student_has(): void
    {
        self::assertNull(Sharing::Each->standsFor('Girders'));
        self::assertSame('Girders', Sharing::Group->standsFor('Girders'));
        self::assertNull(Sharing::Group->standsFor(''), 'whoever has no group draws alone');
        self::assertSame('', Sharing::Everyone->standsFor('Girders'));
        self::assertSame('', Sharing::Everyone->standsFor(''));
    }

    public function test_undo_takes_back_ones_own_whatever_others_did_since(): void
    {
        $log = array_map(self::operation(...), self::LOG);
        self::assertSame('second-of-tamsins-00', History::of($log, Author::seat('tamsin'), Layer::Student)->undo());
        self::assertSame('first-of-wrens-00000', History::of($log, Author::seat('wren'), Layer::Student)->undo());
        self::assertNull(History::of($log, Author::seat('piers'), Layer::Student)->undo());
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('refused')]
    public function test_on_a_shared_canvas_nobody_touches_what_another_drew(string $kind, array $body): void
    {
        $this->expectException(RefusedOperation::class);
        self::rule(true)->check(self::made('wren', $kind, $body));
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function refused(): iterable
    {
        yield 'rubs it out' => ['remove', ['targets' => ['first-of-tamsins-000']]];
        yield 'moves it' => ['arrange', ['targets' => ['first-of-tamsins-000'], 'places' => [[10, 0, 0, 1000]]]];
        yield 'takes it back' => ['withdraw', ['target' => 'first-of-tamsins-000']];
        yield 'empties the page' => ['clear', ['what' => 'ink']];
    }

    public function test_what_one_drew_one_rubs_out_and_the_own_canvas_can_be_emptied(): void
    {
        self::rule(true)->check(self::made('tamsin', 'remove', ['targets' => ['first-of-tamsins-000']]));
        self::rule(false)->check(self::made('tamsin', 'clear', ['what' => 'ink']));
        $this->addToAssertionCount(2);
    }

    private static function rule(bool $isShared): MayAppend
    {
        $known = [];
        foreach (array_map(self::operation(...), self::LOG) as $operation) {
            $known[$operation->id->value] = EarlierOperation::of($operation);
        }

        return new MayAppend(
            count($known),
            $known,
            TrayInForce::always(ToolTray::of(TrayKind::Standard)),
            1_700_000_000_000,
            static fn (): bool => false,
            count($known),
            static fn (): Scene => Scene::fold([]),
            static fn (): null => null,
            isShared: $isShared,
        );
    }

    /** @param  array{string, string, string}  $one */
    private static function operation(array $one): Operation
    {
        [$id, $seat] = $one;

        return self::made($seat, 'add', [
            'object' => [
                'type' => 'line', 'colour' => '#25323b', 'width' => 40, 'x' => 0, 'y' => 0, 'w' => 900, 'h' => 900,
            ],
        ], $id);
    }

    /** @param  array<string, mixed>  $body */
    private static function made(string $seat, string $kind, array $body, string $id = 'the-one-that-is-new0'): Operation
    {
        return Operation::read(
            ['id' => $id, 'kind' => $kind, 'layer' => 'student', 'at' => 1_700_000_000_000, 'body' => $body],
            Author::seat($seat),
        );
    }
}
