<?php

declare(strict_types=1);

namespace Crag\Tests\Construct;

use Crag\Canvas\Drawing\Bounds;
use Crag\Canvas\Log\Operation;
use Crag\Canvas\Object\Construct;
use Crag\Canvas\Object\ReadObject;
use Crag\Canvas\Scene;
use Crag\Construct\Element;
use Crag\Construct\ElementKind;
use Crag\Construct\Exact;
use Crag\Construct\Scale;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Tray\Tool;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Render\ConstructSvg;
use Crag\Tests\Canvas\Logs;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** A construction as an object of a canvas: added, changed element by element, undone, drawn. */
final class DrawnTest extends TestCase
{
    private const WORDS = 'A point 100 500; B point 500 500; C point 100 200; s segment A B; M midpoint A B';

    public function test_elements_are_put_and_dropped_by_changes_and_undo_takes_them_back(): void
    {
        $log = [
            Logs::object('k', self::json(self::WORDS)),
            self::change('c1', ['put' => Sketch::json('t segment C M')]),
            self::change('c2', ['put' => Sketch::json('B point 700 500')]),
            self::change('c3', ['drop' => 'A']),
            self::change('c4', ['colour' => '#8f2d1a']),
        ];
        self::assertSame(['A', 'B', 'C', 's', 'M', 't'], self::ids(...array_slice($log, 0, 3)));
        self::assertSame(['B', 'C'], self::ids(...$log));
        self::assertSame('#8f2d1a', self::in(Scene::fold($log))->colour->hex);
        self::assertSame(['A', 'B', 'C', 's', 'M', 't'], self::ids(...$log, ...[Logs::undo('u', 'c3')]));
    }

    public function test_a_change_that_does_not_fit_leaves_it_as_it_was(): void
    {
        $log = [Logs::object('k', self::json(self::WORDS)), self::change('c', ['put' => Sketch::json('x midpoint A s')])];
        self::assertSame(['A', 'B', 'C', 's', 'M'], array_keys(self::in(Scene::fold($log))->construction->elements));
    }

    public function test_two_hands_change_two_elements_and_neither_is_lost(): void
    {
        $one = self::change('c1', ['put' => Sketch::json('t segment A C')]);
        $two = self::change('c2', ['put' => Sketch::json('u segment B C')]);
        $first = Logs::object('k', self::json(self::WORDS));
        [$here, $there] = [self::ids($first, $one, $two), self::ids($first, $two, $one)];
        self::assertEqualsCanonicalizing($here, $there);
        self::assertCount(7, $here);
    }

    public function test_it_is_read_and_written_alike_with_what_is_as_usual_left_out(): void
    {
        $json = self::json(self::WORDS);
        self::assertSame($json, ReadObject::from(new Fields($json))->toArray());
        $axes = $json + ['scale' => ['x' => 1000, 'y' => 5000, 'across' => 50_000, 'up' => 50_000]];
        self::assertSame($axes, ReadObject::from(new Fields($axes))->toArray());
    }

    /** @param  array<string, mixed>  $broken */
    #[TestWith([['elements' => 'none']])]
    #[TestWith([['elements' => [['id' => 'A', 'kind' => 'point', 'x' => 1]]]])]
    #[TestWith([['elements' => [['id' => 'A!', 'kind' => 'point', 'x' => 1, 'y' => 1]]]])]
    #[TestWith([['scale' => ['x' => 0, 'y' => 0, 'across' => 0, 'up' => 1]]])]
    public function test_what_is_no_construction_is_refused(array $broken): void
    {
        $this->expectException(UnreadableFields::class);
        ReadObject::from(new Fields($broken + self::json(self::WORDS)));
    }

    public function test_too_many_loci_are_refused(): void
    {
        $words = 'A point 0 0; B point 9 9; c compass A 50; D on c 0; M midpoint B D';
        for ($i = 0; $i < 9; $i++) {
            $words .= "; l{$i} locus M D";
        }
        $this->expectException(UnreadableFields::class);
        Sketch::of($words);
    }

    public function test_each_figure_is_drawn_and_what_is_hidden_or_not_there_is_not(): void
    {
        $words = self::WORDS.'; l line A C; c circle A B; k arc A B C; g polygon A B C; v vector A C; m length A B; w angle B A C';
        $svg = self::svg($words);
        foreach (['6.8 cm', '90°', '<circle', 'A400 400', 'fill-opacity="0.12"', 'Z"'] as $part) {
            self::assertStringContainsString($part, $svg);
        }
        self::assertSame(4, substr_count($svg, '<circle'), 'four points');
        self::assertNotFalse(simplexml_load_string("<svg>{$svg}</svg>"));
        $elements = Sketch::json('A point 100 500; B point 500 500; l line A B; m parallel A l; X intersection l m 0');
        $elements[0]['hidden'] = true;
        $drawn = ReadObject::from(new Fields(['elements' => $elements] + self::json('')));
        self::assertInstanceOf(Construct::class, $drawn);
        self::assertSame(1, substr_count(ConstructSvg::draw($drawn), '<circle'));
    }

    public function test_on_axes_it_is_measured_in_their_units_and_exactly_where_that_is_known(): void
    {
        $words = self::WORDS.'; m length A B; n length B C; g polygon A B C; a area g; l line C B; k slope l; p coordinates C';
        $axes = ['scale' => ['x' => 1000, 'y' => 5000, 'across' => 100_000, 'up' => 50_000]];
        $object = ReadObject::from(new Fields($axes + self::json($words)));
        self::assertInstanceOf(Construct::class, $object);
        $svg = ConstructSvg::draw($object);
        // Four across and six up.
        foreach (['>4<', '>2√13<', '>12<', '>−3/2<', '>(0, 6)<'] as $label) {
            self::assertStringContainsString($label, $svg);
        }
    }

    /** @param  list<float>  $piece  in tenths of a unit */
    #[TestWith([[0, 9000, 16000, 2000], 1586, 200, 'end'])]
    #[TestWith([[8000, 9000, 12000, -1000], 1134.8, 28, 'end'])]
    #[TestWith([[8000, 1000, 12000, 11000], 1130, 960, 'end'])]
    #[TestWith([[2000, 14000, 2000, -4000], 214, 28, 'start'])]
    #[TestWith([[8000, -4000, 9000, -100], null, null, ''])]
    public function test_a_graphs_words_stand_where_it_ends_or_leaves_the_page(
        array $piece,
        ?float $x,
        ?float $y,
        string $anchor,
    ): void {
        $graph = ['id' => 'g', 'kind' => 'graph', 'source' => 'y = x', 'pieces' => [$piece]];
        $object = ReadObject::from(new Fields(['elements' => [$graph]] + self::json('')));
        self::assertInstanceOf(Construct::class, $object);
        $svg = simplexml_load_string('<svg>'.ConstructSvg::draw($object).'</svg>');
        self::assertNotFalse($svg);
        $words = $svg->text;
        self::assertCount($x === null ? 0 : 1, $words);
        if ($x !== null) {
            self::assertEqualsWithDelta([$x, $y], [(float) $words['x'], (float) $words['y']], 0.1);
            self::assertSame($anchor, (string) $words['text-anchor']);
        }
    }

    public function test_words_of_graphs_that_leave_at_the_same_place_stand_below_each_other(): void
    {
        $graph = static fn (string $id, int $x): array => [
            'id' => $id,
            'kind' => 'graph',
            'source' => "y = {$id}",
            'pieces' => [[8000, 9000, $x, -4000]],
        ];
        $elements = [$graph('a', 12_000), $graph('b', 12_500), $graph('c', 3_000)];
        $object = ReadObject::from(new Fields(['elements' => $elements] + self::json('')));
        self::assertInstanceOf(Construct::class, $object);
        preg_match_all('/<text x="[\d.]+" y="([\d.]+)"/', ConstructSvg::draw($object), $found);
        self::assertSame(['28', '62', '28'], $found[1]);
    }

    #[TestWith([3.0, 4.0, '5'])]
    #[TestWith([1.0, 1.0, '√2'])]
    #[TestWith([2.0, 4.0, '2√5'])]
    #[TestWith([0.5, 0.5, '√2/2'])]
    #[TestWith([0.2, 0.4, '√5/5'])]
    #[TestWith([1.5, 2.0, '5/2'])]
    #[TestWith([0.3333, 0.0, '1/3'])]
    #[TestWith([-6.0, 0.0, '6'])]
    #[TestWith([0.0, 0.0, '0'])]
    #[TestWith([1.2345, 1.0, null])]
    #[TestWith([31.0, 18.0, null])]
    public function test_lengths_that_are_exact(float $x, float $y, ?string $length): void
    {
        self::assertSame($length, Exact::length($x, $y));
    }

    #[TestWith([2.0, 1.0, '1/2'])]
    #[TestWith([-2.0, 1.0, '−1/2'])]
    #[TestWith([1.0, -2.0, '−2'])]
    #[TestWith([-1.5, -0.5, '1/3'])]
    #[TestWith([3.0, 0.0, '0'])]
    #[TestWith([0.0, 3.0, null])]
    #[TestWith([1.0, 0.1234, null])]
    public function test_slopes_that_are_exact(float $x, float $y, ?string $slope): void
    {
        self::assertSame($slope, Exact::slope($x, $y));
    }

    public function test_what_is_typed_for_a_kind_is_what_it_takes(): void
    {
        $kinds = array_filter(ElementKind::cases(), static fn (ElementKind $kind): bool => $kind->number() !== null);
        self::assertCount(4, $kinds);
        foreach ($kinds as $kind) {
            [, $first, $least, $most] = $kind->number() ?? ['', 0, 0, 0];
            self::assertTrue($least <= $first && $first <= $most, $kind->value);
            $name = $kind === ElementKind::Regular ? 'n' : 'by';
            $times = match ($kind) {
                ElementKind::Rotation => 100,
                ElementKind::Enlargement => 1000,
                ElementKind::Compass => 10 * Scale::centimetres()->across,
                default => 1,
            };
            foreach ([$first, $least, $most] as $number) {
                $fields = ['id' => 'e', 'kind' => $kind->value, 'of' => ['a'], $name => (int) round($number * $times)];
                self::assertSame($kind, Element::read(new Fields($fields))->kind);
            }
        }
    }

    public function test_it_belongs_to_the_maths_tray_and_has_bounds(): void
    {
        $object = ReadObject::from(new Fields(self::json(self::WORDS)));
        self::assertSame(Tool::Construct, $object->tool());
        self::assertTrue(ToolTray::of(TrayKind::Maths)->has(Tool::Construct));
        self::assertFalse(ToolTray::of(TrayKind::Standard)->has(Tool::Construct));
        self::assertSame([300.0, 350.0], Bounds::of($object)->middle());
    }

    private static function svg(string $words): string
    {
        $object = ReadObject::from(new Fields(self::json($words)));
        self::assertInstanceOf(Construct::class, $object);

        return ConstructSvg::draw($object);
    }

    /** @return array<string, mixed> */
    private static function json(string $words): array
    {
        return ['type' => 'construction', 'elements' => Sketch::json($words), 'colour' => '#2272b5', 'width' => 30];
    }

    /** @param  array<string, mixed>  $set */
    private static function change(string $id, array $set): Operation
    {
        return Logs::operation($id, 'change', ['target' => Logs::id('k'), 'set' => $set]);
    }

    private static function in(Scene $scene): Construct
    {
        $object = $scene->placed[Logs::id('k')]->object;
        self::assertInstanceOf(Construct::class, $object);

        return $object;
    }

    /** @return list<string> */
    private static function ids(Operation ...$log): array
    {
        return array_map(strval(...), array_keys(self::in(Scene::fold($log))->construction->elements));
    }
}
