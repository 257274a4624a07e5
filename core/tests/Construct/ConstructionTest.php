<?php

declare(strict_types=1);

namespace Crag\Tests\Construct;

use Crag\Construct\Construction;
use Crag\Construct\Element;
use Crag\Construct\ElementKind;
use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Figure;
use Crag\Construct\Figure\Label;
use Crag\Construct\Figure\Point;
use Crag\Construct\Figure\Polygon;
use Crag\Construct\Figure\Straight;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ConstructionTest extends TestCase
{
    /** In a whole turn by quarters, and moved by whole tenths, free points stay whole numbers. */
    public function test_a_construction_and_its_image_under_a_motion_agree(): void
    {
        $seen = [];
        for ($seed = 1; $seed <= 60; $seed++) {
            $json = Sketch::random($seed);
            $moved = array_map(
                static fn (array $one): array => is_int($one['x'] ?? null) && is_int($one['y'] ?? null)
                    ? ['x' => 12_000 - $one['y'], 'y' => $one['x'] + 700] + $one
                    : $one,
                $json,
            );
            [$before, $after] = [self::of($json), self::of($moved)];
            [$here, $there] = [$before->figures(), $after->figures()];
            $onCircle = self::thatTurn($before);
            foreach ($here as $id => $figure) {
                // A direction on a circle is told from the right, so what lies on one does not turn with it.
                if (isset($onCircle[$id])) {
                    continue;
                }
                $kind = $before->elements[$id]->kind;
                $seen[$kind->value][$figure === null ? 'no' : 'yes'] = true;
                self::assertSame($figure === null, $there[$id] === null, "{$kind->value} of seed {$seed}");
                // What is told from where axes cross, or from what is level, changes with a turn.
                $isTurned = $kind === ElementKind::Slope || $kind === ElementKind::Coordinates;
                if ($figure !== null && $there[$id] !== null && ! $isTurned) {
                    self::assertEqualsWithDelta(
                        self::numbers($figure, true),
                        self::numbers($there[$id], false),
                        1e-3,
                        "{$kind->value} of seed {$seed}",
                    );
                }
            }
        }
        self::assertCount(count(ElementKind::cases()) - 3, $seen, 'every kind came up but slope, locus and graph');
    }

    public function test_dragging_there_and_back_changes_nothing(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $construction = self::of(Sketch::random($seed));
            foreach ($construction->elements as $id => $element) {
                if ($element->kind === ElementKind::Point) {
                    $from = new Point($element->number('x') / 10, $element->number('y') / 10);
                    $back = $construction->moved((string) $id, new Point(31.7, 912.2))->moved((string) $id, $from);
                    self::assertSame($construction->toArray(), $back->toArray());
                }
            }
        }
    }

    public function test_the_three_heights_of_a_triangle_meet_and_so_do_its_other_threes(): void
    {
        $points = 'A point 130 710; B point 870 655; C point 402 118; a line B C; b line C A; c line A B; ';
        $threes = [
            'heights' => 'p perpendicular A a; q perpendicular B b; r perpendicular C c',
            'medians' => 'X midpoint B C; Y midpoint C A; Z midpoint A B; p line A X; q line B Y; r line C Z',
            'bisectors' => 'p bisector B C; q bisector C A; r bisector A B',
            'angles' => 'p angle_bisector B A C; q angle_bisector C B A; r angle_bisector A C B',
        ];
        $meet = [];
        foreach ($threes as $name => $lines) {
            $words = "{$points}{$lines}; U intersection p q 0; V intersection q r 0; W intersection r p 0";
            self::assertNotNull(Sketch::at($words, 'U'), $name);
            self::assertSame(Sketch::at($words, 'U'), Sketch::at($words, 'V'), $name);
            self::assertSame(Sketch::at($words, 'U'), Sketch::at($words, 'W'), $name);
            $meet[$name] = Sketch::at($words, 'U');
        }
        $circle = Sketch::figure("{$points}k circle3 A B C", 'k');
        self::assertInstanceOf(Circle::class, $circle);
        self::assertEqualsWithDelta($meet['bisectors'], [$circle->centre->x, $circle->centre->y], 0.001);
    }

    public function test_what_stops_to_exist_comes_back_with_all_that_hangs_on_it(): void
    {
        $words = 'A point 0 0; B point 600 0; D point 0 300; E point 600 100; l line A B; m line D E; X intersection l m 0; M midpoint X A';
        $construction = Sketch::of($words);
        self::assertNotNull($construction->figures()['M']);
        $parallel = $construction->moved('E', new Point(600, 300));
        self::assertNull($parallel->figures()['X']);
        self::assertNull($parallel->figures()['M']);
        self::assertEquals($construction->figures(), $parallel->moved('E', new Point(600, 100))->figures());
    }

    public function test_which_of_two_places_is_kept_while_a_circle_goes_round(): void
    {
        $words = 'A point 500 500; B point 900 500; c circle A B; P point 100 500; Q point 900 510; l line P Q; X intersection l c 0';
        $construction = Sketch::of($words);
        $before = null;
        for ($degrees = 0; $degrees <= 350; $degrees += 2) {
            $round = (new Point(300, 0))->turned(deg2rad($degrees));
            $at = $construction->moved('B', (new Point(500, 500))->plus($round));
            $point = $at->figures()['X'];
            self::assertInstanceOf(Point::class, $point);
            if ($before !== null) {
                self::assertLessThan(5.0, $point->distance($before), 'it jumps nowhere');
            }
            $before = $point;
        }
    }

    public function test_a_point_on_something_comes_as_near_as_it_can(): void
    {
        $construction = Sketch::of('A point 0 0; B point 100 0; s segment A B; P on s 0.5; c compass A 50; Q on c 0');
        $point = $construction->moved('P', new Point(30, 400))->figures()['P'];
        self::assertEquals(new Point(30, 0), $point);
        self::assertEquals(new Point(100, 0), $construction->moved('P', new Point(900, 9))->figures()['P']);
        $round = $construction->moved('Q', new Point(0, 900))->figures()['Q'];
        self::assertInstanceOf(Point::class, $round);
        self::assertEqualsWithDelta([0.0, 50.0], [$round->x, $round->y], 0.01);
        self::assertSame($construction, $construction->moved('s', new Point(1, 1)), 'a segment is not free');
        self::assertSame($construction, $construction->moved('nobody', new Point(1, 1)));
    }

    public function test_deleting_a_parent_takes_what_hangs_on_it_and_says_so_before(): void
    {
        $words = 'A point 0 0; B point 100 0; C point 0 100; s segment A B; M midpoint A B; d length C M; t segment A C';
        $construction = Sketch::of($words);
        self::assertSame(['s', 'M', 'd'], $construction->dependants('B'));
        self::assertSame(['A', 'C', 't'], array_keys($construction->without('B')->elements));
        self::assertSame([], $construction->dependants('t'));
        self::assertSame($construction->toArray(), $construction->without('nobody')->toArray());
    }

    public function test_it_is_read_and_written_alike(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            $json = Sketch::random($seed);
            self::assertSame($json, self::of($json)->toArray());
        }
        $named = [['id' => 'A', 'kind' => 'point', 'x' => 1, 'y' => 2, 'label' => 'A₁', 'hidden' => true]];
        self::assertSame($named, self::of($named)->toArray());
        self::assertSame([], Construction::nothing()->toArray());
    }

    public function test_elements_are_put_and_changed_one_by_one(): void
    {
        $construction = Sketch::of('A point 0 0; B point 100 0');
        $with = $construction->with(self::element('M midpoint A B'));
        self::assertSame(['A', 'B', 'M'], array_keys($with->elements));
        $moved = $with->with(self::element('B point 300 0'));
        self::assertEquals(new Point(150, 0), $moved->figures()['M']);
        self::assertSame(['A', 'B', 'M'], array_keys($moved->elements), 'it keeps its place');
    }

    #[TestWith(['M midpoint A'])]
    #[TestWith(['M midpoint A X'])]
    #[TestWith(['M midpoint A s'])]
    #[TestWith(['p perpendicular A B'])]
    #[TestWith(['g polygon A B'])]
    #[TestWith(['w wish A B'])]
    #[TestWith(['A segment A B'])]
    #[TestWith(['s point 1 1'])]
    public function test_what_is_not_made_of_what_it_needs_is_refused(string $words): void
    {
        $construction = Sketch::of('A point 0 0; B point 100 0; s segment A B');
        $this->expectException(UnreadableFields::class);
        $construction->with(self::element($words));
    }

    public function test_elements_that_come_before_what_they_are_made_of_are_refused(): void
    {
        $this->expectException(UnreadableFields::class);
        Sketch::of('M midpoint A B; A point 0 0; B point 9 9');
    }

    /** @param  list<array<string, mixed>>  $json */
    private static function of(array $json): Construction
    {
        return Construction::read(new Fields(['elements' => $json]));
    }

    private static function element(string $words): Element
    {
        return Element::read(new Fields(Sketch::json($words)[0]));
    }

    /** @return array<string, true> what hangs on a point that is told by a direction, or on which way is up */
    private static function thatTurn(Construction $construction): array
    {
        $turn = [];
        foreach ($construction->elements as $id => $element) {
            $isOnCircle = $element->kind === ElementKind::On &&
                $construction->elements[$element->of[0]]->kind->makes() === 'c';
            if ($isOnCircle || array_intersect_key(array_flip($element->of), $turn) !== []) {
                $turn[(string) $id] = true;
            }
        }

        return $turn + array_fill_keys(
            array_keys(array_filter(
                $construction->elements,
                // A slope is told from the level, and where a label stands from what is up.
                static fn (Element $one): bool => in_array(
                    $one->kind,
                    [ElementKind::Slope, ElementKind::Locus, ElementKind::Graph],
                    true,
                ),
            )),
            true,
        );
    }

    /** @return list<float> what a figure is made of, after the motion if wished */
    private static function numbers(Figure $figure, bool $isMoved): array
    {
        $point = static fn (Point $p): array => $isMoved ? [1200 - $p->y, $p->x + 70] : [$p->x, $p->y];

        return match (true) {
            $figure instanceof Point => $point($figure),
            $figure instanceof Straight => [...$point($figure->from), ...$point($figure->to)],
            $figure instanceof Circle => [...$point($figure->centre), $figure->radius],
            $figure instanceof Polygon => array_merge(...array_map($point, $figure->corners)),
            $figure instanceof Label => [$figure->value],
            default => [],
        };
    }
}
