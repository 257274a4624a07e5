<?php

declare(strict_types=1);

namespace Crag\Tests\Render;

use Crag\Canvas\Drawing\Colour;
use Crag\Canvas\Drawing\Ink;
use Crag\Canvas\Object\Stroke;
use Crag\Render\StrokeLine;
use Crag\Render\StrokeOutline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StrokeOutlineTest extends TestCase
{
    public function test_a_dot_is_a_disc_as_wide_as_the_pen(): void
    {
        self::assertSame(
            'M8 20a2 2 0 1 0 4 0a2 2 0 1 0 -4 0Z',
            StrokeOutline::of(self::stroke([[100, 200, 128, 0]])),
        );
    }

    public function test_a_straight_line_has_even_sides_and_round_ends(): void
    {
        self::assertSame(
            'M-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0Z'.
                'M0 2L5 2Q10 2 15 2L20 2L20 -2L15 -2Q10 -2 5 -2L0 -2Z'.
                'M18 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0Z',
            StrokeOutline::of(self::stroke([[0, 0, 128, 0], [100, 0, 128, 8], [200, 0, 128, 16]])),
        );
    }

    public function test_pressure_makes_it_wider_without_a_step(): void
    {
        $path = StrokeOutline::of(self::stroke([[0, 0, 0, 0], [100, 0, 128, 8], [200, 0, 255, 16]]));
        // Midway between two samples it is as wide as the mean of both; the sides go straight on from there.
        $half = static fn (int $pressure): float => (4 * (96 + $pressure)) / 448;
        $first = rtrim(number_format(($half(0) + $half(128)) / 2, 2), '0');
        self::assertStringContainsString("L5 {$first}Q10 2 ", $path);
        self::assertStringContainsString("Q10 -2 5 -{$first}L", $path);
    }

    public function test_a_pen_that_stands_still_gives_no_direction(): void
    {
        $stood = [[0, 0, 128, 0], [0, 0, 200, 8], [100, 0, 128, 16], [100, 0, 90, 24], [200, 0, 128, 32]];
        self::assertSame(
            StrokeOutline::of(self::stroke([[0, 0, 128, 0], [100, 0, 128, 8], [200, 0, 128, 16]])),
            StrokeOutline::of(self::stroke($stood)),
        );
        self::assertStringNotContainsString('nan', strtolower(StrokeOutline::of(self::stroke($stood))));
    }

    /** @return iterable<string, array{list<array{int, int, int, int}>}> */
    public static function lines(): iterable
    {
        yield 'a sharp turn' => [[[0, 0, 128, 0], [300, 0, 128, 8], [20, 40, 128, 16], [300, 90, 128, 24]]];
        yield 'there and back' => [[[0, 0, 128, 0], [300, 0, 128, 8], [0, 0, 128, 16]]];
        yield 'a loop tighter than the pen' => [
            array_map(
                static fn (int $i): array => [
                    (int) round(100 + 12 * cos($i / 3)),
                    (int) round(100 + 12 * sin($i / 3)),
                    40 + 4 * $i,
                    8 * $i,
                ],
                range(0, 40),
            ),
        ];
    }

    /**
     * All pieces turn the same way round: their signed areas have one sign, so that no overlap is left out.
     *
     * @param  list<array{int, int, int, int}>  $samples
     */
    #[DataProvider('lines')]
    public function test_where_it_overlaps_itself_nothing_is_left_out(array $samples): void
    {
        foreach (array_filter(explode('Z', StrokeOutline::of(self::stroke($samples)))) as $piece) {
            if (str_contains($piece, 'a')) {
                continue;
            }
            preg_match_all('/(-?[\d.]+) (-?[\d.]+)/', $piece, $corners, PREG_SET_ORDER);
            $area = 0.0;
            foreach ($corners as $i => [, $x, $y]) {
                [, $nextX, $nextY] = $corners[($i + 1) % count($corners)];
                $area += (float) $x * (float) $nextY - (float) $nextX * (float) $y;
            }
            self::assertLessThan(0.0, $area, $piece);
        }
    }

    public function test_a_line_of_one_width_runs_through_the_middles(): void
    {
        self::assertSame(
            'M0 0L5 0Q10 0 10 5L10 10',
            StrokeLine::of(self::stroke([[0, 0, 128, 0], [100, 0, 9, 8], [100, 100, 128, 16]])),
        );
        self::assertSame('M10 20h0.01', StrokeLine::of(self::stroke([[100, 200, 128, 0]])));
    }

    /** @param  list<array{int, int, int, int}>  $samples */
    private static function stroke(array $samples): Stroke
    {
        return new Stroke(Colour::from('#25323b'), 40, Ink::of($samples));
    }
}
