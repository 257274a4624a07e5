<?php

declare(strict_types=1);

namespace Crag\Tests\Construct;

use Crag\Construct\Figure\Arc;
use Crag\Construct\Figure\Circle;
use Crag\Construct\Figure\Path;
use Crag\Construct\Figure\Polygon;
use Crag\Construct\Figure\Straight;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Cases with known results: a triangle of 3, 4 and 5 hundreds, its circles, its lines, and what there is not. */
final class WorkedTest extends TestCase
{
    private const TRIANGLE = 'A point 100 500; B point 500 500; C point 100 200; ';

    /** @return iterable<string, array{string, array{float, float}|null}> */
    public static function points(): iterable
    {
        $t = self::TRIANGLE;
        yield 'a free point' => ['P point 12.3 -4', [12.3, -4.0]];
        yield 'the middle of a side' => ["{$t}P midpoint A B", [300.0, 500.0]];
        yield 'the middle of a slanted side' => ["{$t}P midpoint B C", [300.0, 350.0]];
        yield 'the middle of nothing' => ["{$t}P midpoint A A", [100.0, 500.0]];
        yield 'a place on a segment' => ["{$t}s segment A B; P on s 0.25", [200.0, 500.0]];
        yield 'no farther than its end' => ["{$t}s segment A B; P on s 3", [500.0, 500.0]];
        yield 'no nearer than its beginning' => ["{$t}s segment A B; P on s -3", [100.0, 500.0]];
        yield 'a ray has no end' => ["{$t}s ray A B; P on s 3", [1300.0, 500.0]];
        yield 'but a beginning' => ["{$t}s ray A B; P on s -1", [100.0, 500.0]];
        yield 'a line has neither' => ["{$t}s line A B; P on s -1", [-300.0, 500.0]];
        yield 'a place on a circle' => ["{$t}c circle A B; P on c 0", [500.0, 500.0]];
        yield 'clockwise on a page' => ["{$t}c circle A B; P on c 1.5708", [99.999, 900.0]];
        yield 'two lines' => ["{$t}D point 500 200; l line A D; m line B C; P intersection l m 0", [300.0, 350.0]];
        yield 'parallel lines' => ["{$t}l line A B; m parallel C l; P intersection l m 0", null];
        yield 'a line with itself' => ["{$t}l line A B; m line B A; P intersection l m 0", null];
        yield 'two lines have no second place' => ["{$t}l line A B; m line A C; P intersection l m 1", null];
        yield 'segments that do not reach' => ["{$t}D point 600 100; E point 600 400; l segment A B; m segment D E; P intersection l m 0", null];
        yield 'the same as lines' => ["{$t}D point 600 100; E point 600 400; l line A B; m line D E; P intersection l m 0", [600.0, 500.0]];
        yield 'at an end' => ["{$t}l segment A B; m segment A C; P intersection l m 0", [100.0, 500.0]];
        yield 'a ray that looks away' => ["{$t}D point 0 400; E point 0 300; l ray A B; m ray D E; P intersection l m 0", null];
        yield 'line and circle, first' => ["{$t}c circle A C; l line A B; P intersection l c 0", [-200.0, 500.0]];
        yield 'line and circle, second' => ["{$t}c circle A C; l line A B; P intersection l c 1", [400.0, 500.0]];
        yield 'the line turned round' => ["{$t}c circle A C; l line B A; P intersection l c 0", [400.0, 500.0]];
        yield 'circle first' => ["{$t}c circle A C; l line A B; P intersection c l 1", [400.0, 500.0]];
        yield 'a segment inside reaches one' => ["{$t}c circle A C; l segment A B; P intersection l c 0", null];
        yield 'the one it reaches' => ["{$t}c circle A C; l segment A B; P intersection l c 1", [400.0, 500.0]];
        yield 'a line beside a circle' => ["{$t}D point 900 0; E point 900 900; c circle A C; l line D E; P intersection l c 0", null];
        yield 'a line that touches' => ["{$t}D point 400 0; E point 400 900; c circle A C; l line D E; P intersection l c 0", [400.0, 500.0]];
        yield 'two circles, one side' => ['A point 0 0; B point 600 0; c compass A 500; d compass B 500; P intersection c d 0', [300.0, 400.0]];
        yield 'two circles, the other' => ['A point 0 0; B point 600 0; c compass A 500; d compass B 500; P intersection c d 1', [300.0, -400.0]];
        yield 'circles that touch' => ['A point 0 0; B point 600 0; c compass A 200; d compass B 400; P intersection c d 0', [200.0, 0.0]];
        yield 'circles apart' => ['A point 0 0; B point 600 0; c compass A 200; d compass B 300; P intersection c d 0', null];
        yield 'one inside the other' => ['A point 0 0; B point 10 0; c compass A 200; d compass B 30; P intersection c d 0', null];
        yield 'of one centre' => ['A point 0 0; c compass A 200; d compass A 300; P intersection c d 0', null];
        yield 'mirrored in a side' => ["{$t}l line A B; P reflection C l", [100.0, 800.0]];
        yield 'mirrored in a slope' => ['A point 0 0; B point 10 10; C point 30 0; l line A B; P reflection C l', [0.0, 30.0]];
        yield 'on the mirror' => ["{$t}l line A B; P reflection B l", [500.0, 500.0]];
        yield 'a quarter turn' => ["{$t}P rotation B A 90", [100.0, 900.0]];
        yield 'a third of a turn back' => ['A point 0 0; B point 200 0; P rotation B A -60', [100.0, -173.205]];
        yield 'a whole turn' => ["{$t}P rotation B A 360", [500.0, 500.0]];
        yield 'moved along' => ["{$t}P translation B A C", [500.0, 200.0]];
        yield 'twice as far' => ["{$t}P enlargement B A 2", [900.0, 500.0]];
        yield 'half as far' => ["{$t}P enlargement B A 0.5", [300.0, 500.0]];
        yield 'to the other side' => ["{$t}P enlargement B A -1", [-300.0, 500.0]];
        yield 'the centre itself' => ["{$t}P enlargement A A 3", [100.0, 500.0]];
        yield 'what is made of nothing is not there' => ["{$t}l line A B; m parallel C l; X intersection l m 0; P midpoint X A", null];
    }

    /** @param  array{float, float}|null  $at */
    #[DataProvider('points')]
    public function test_where_a_point_is(string $words, ?array $at): void
    {
        self::assertSame($at, Sketch::at($words, 'P'));
    }

    /** @return iterable<string, array{string, ?float}> */
    public static function measures(): iterable
    {
        $t = self::TRIANGLE;
        yield 'a side' => ["{$t}m length A B", 400.0];
        yield 'the longest' => ["{$t}m length B C", 500.0];
        yield 'nothing' => ["{$t}m length A A", 0.0];
        yield 'a right angle' => ["{$t}m angle B A C", 90.0];
        yield 'the same the other way' => ["{$t}m angle C A B", 90.0];
        yield 'a sharp one' => ["{$t}m angle A B C", 36.87];
        yield 'the other sharp one' => ["{$t}m angle A C B", 53.13];
        yield 'a straight one' => ['A point 0 0; B point 10 0; C point 20 0; m angle A B C', 180.0];
        yield 'none' => ['A point 0 0; B point 10 0; m angle A B A', 0.0];
        yield 'without a side' => ["{$t}m angle A A C", null];
        yield 'of the triangle' => ["{$t}g polygon A B C; m area g", 60_000.0];
        yield 'whichever way round' => ["{$t}g polygon C B A; m area g", 60_000.0];
        yield 'of a circle' => ['A point 0 0; c compass A 10; m area c', 314.159];
        yield 'of a square' => ['A point 0 0; B point 10 0; g regular A B 4; m area g', 100.0];
        yield 'of a hexagon' => ['A point 0 0; B point 10 0; g regular A B 6; m area g', 259.808];
        yield 'a slope up' => ["{$t}l line C B; m slope l", -0.75];
        yield 'level' => ["{$t}l line A B; m slope l", 0.0];
        yield 'upright' => ["{$t}l line A C; m slope l", null];
        yield 'up to the right' => ['A point 0 100; B point 200 0; l segment A B; m slope l', 0.5];
    }

    #[DataProvider('measures')]
    public function test_what_is_measured(string $words, ?float $value): void
    {
        self::assertSame($value, Sketch::value($words, 'm'));
    }

    public function test_lines_go_where_they_should(): void
    {
        $t = self::TRIANGLE.'D point 300 300; ';
        $is = static function (string $words): ?array {
            $line = Sketch::figure($words, 'l');

            return $line instanceof Straight
                ? [round($line->way()->x, 3) + 0.0, round($line->way()->y, 3) + 0.0]
                : null;
        };
        self::assertSame([0.0, 400.0], $is("{$t}s segment A B; l perpendicular D s"));
        self::assertSame([400.0, 0.0], $is("{$t}s segment A B; l parallel D s"));
        self::assertSame([0.0, 400.0], $is("{$t}l bisector A B"));
        self::assertNull($is("{$t}l bisector A A"));
        self::assertNull($is("{$t}l line A A"));
        self::assertSame([1.0, -1.0], $is("{$t}l angle_bisector B A C"));
        self::assertNull($is("{$t}l angle_bisector A A C"));
        self::assertSame([0.0, -10.0], $is('A point 0 0; B point 10 0; C point 20 0; l angle_bisector A B C'));
    }

    public function test_a_tangent_touches_once_from_outside_on_either_side_and_never_from_inside(): void
    {
        foreach ([0, 1] as $which) {
            $words = "A point 0 0; P point 500 0; c compass A 300; l tangent P c {$which}";
            $tangent = Sketch::figure($words, 'l');
            self::assertInstanceOf(Straight::class, $tangent);
            $foot = $tangent->at($tangent->along($tangent->from->plus($tangent->from, -1)));
            self::assertEqualsWithDelta(300.0, $foot->length(), 1e-9);
            self::assertSame($which === 0, $tangent->to->y > 0);
            self::assertSame([180.0, $which === 0 ? 240.0 : -240.0], Sketch::at("{$words}; T intersection l c 0", 'T'));
        }
        self::assertNull(Sketch::figure('A point 0 0; P point 50 0; c compass A 300; l tangent P c 0', 'l'));
        $at = Sketch::figure('A point 0 0; P point 300 0; c compass A 300; l tangent P c 1', 'l');
        self::assertInstanceOf(Straight::class, $at);
        self::assertEqualsWithDelta(0.0, $at->way()->x, 1e-9);
    }

    public function test_circles_arcs_and_polygons(): void
    {
        $circle = Sketch::figure(self::TRIANGLE.'c circle3 A B C', 'c');
        self::assertInstanceOf(Circle::class, $circle);
        self::assertEqualsWithDelta(
            [300.0, 350.0, 250.0],
            [$circle->centre->x, $circle->centre->y, $circle->radius],
            1e-9,
        );
        self::assertNull(Sketch::figure('A point 0 0; B point 10 0; C point 20 0; c circle3 A B C', 'c'));
        self::assertNull(Sketch::figure('A point 0 0; c circle A A', 'c'));
        $arc = Sketch::figure('A point 100 0; B point 0 100; C point -100 0; a arc A B C', 'a');
        self::assertInstanceOf(Arc::class, $arc);
        self::assertEqualsWithDelta([0.0, M_PI], [$arc->from, $arc->sweep], 1e-9);
        $back = Sketch::figure('A point 100 0; B point 0 -100; C point -100 0; a arc A B C', 'a');
        self::assertInstanceOf(Arc::class, $back);
        self::assertEqualsWithDelta(-M_PI, $back->sweep, 1e-9);
        $square = Sketch::figure('A point 0 0; B point 100 0; g regular A B 4', 'g');
        self::assertInstanceOf(Polygon::class, $square);
        self::assertEqualsWithDelta([100.0, 100.0, 0.0, 100.0], [
            $square->corners[2]->x, $square->corners[2]->y, $square->corners[3]->x, $square->corners[3]->y,
        ], 1e-9);
    }

    public function test_a_locus_is_where_a_point_comes_and_stops_where_it_is_not(): void
    {
        // The middle between a fixed point and one that runs round a circle runs round a circle of half its size.
        $path = Sketch::figure('A point 0 0; F point 400 0; c compass A 200; D on c 0; M midpoint F D; l locus M D', 'l');
        self::assertInstanceOf(Path::class, $path);
        self::assertCount(1, $path->pieces);
        foreach ($path->pieces[0] as $point) {
            self::assertEqualsWithDelta(100.0, hypot($point->x - 200, $point->y), 0.01);
        }
        // The lines meet but for where they are parallel.
        $gap = Sketch::figure(
            'A point 0 0; B point 400 0; l line A B; P point 200 100; Q point 200 300; s segment P Q; D on s 0.5; '.
            'E point 0 200; m line E D; X intersection l m 0; w locus X D',
            'w',
        );
        self::assertInstanceOf(Path::class, $gap);
        self::assertGreaterThan(1, count($gap->pieces));
        self::assertNull(Sketch::figure('A point 0 0; B point 9 9; l locus A B', 'l'), 'a free point runs along nothing');
    }
}
