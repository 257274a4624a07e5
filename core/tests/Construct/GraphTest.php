<?php

declare(strict_types=1);

namespace Crag\Tests\Construct;

use Crag\Construct\Graph;
use Crag\Construct\Scale;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Graphs on axes that cross in the middle of a wide page, one being 50 units both ways. */
final class GraphTest extends TestCase
{
    /** @param  list<list<array{float, float}>>  $pieces  first and last place of each, on the axes */
    #[TestWith(['y = 2x - 1', [[[-8.5, -18.0], [9.5, 18.0]]]])]
    #[TestWith(['y = −3', [[[-16.0, -3.0], [16.0, -3.0]]]])]
    #[TestWith(['f(x) = x/2', [[[-16.0, -8.0], [16.0, 8.0]]]])]
    #[TestWith(['4', [[[-16.0, 4.0], [16.0, 4.0]]]])]
    #[TestWith(['x = 3', [[[3.0, 10.0], [3.0, -10.0]]]])]
    #[TestWith(['x = 40', []])]
    #[TestWith(['y = √x', [[[0.0, 0.0], [16.0, 4.0]]]])]
    public function test_where_it_begins_and_ends(string $typed, array $pieces): void
    {
        $ends = array_map(
            static fn (array $piece): array => [$piece[0], $piece[count($piece) - 1]],
            self::pieces($typed),
        );
        self::assertCount(count($pieces), $ends);
        foreach ($pieces as $i => $expected) {
            self::assertEqualsWithDelta($expected, $ends[$i], 1.0, $typed);
        }
    }

    public function test_it_is_written_as_one_writes_it(): void
    {
        $source = static fn (string $typed): string => Graph::of($typed, self::scale(), Paper::wide())->source;
        self::assertSame('y = −x² + 2·x', $source(' y=-x^2 + 2*x '));
        self::assertSame('y = x^25', $source('y = x^25'));
        self::assertSame('f(x) = x³ − 4x', $source('f(x) = x^3 - 4x'));
        self::assertSame($source('y=-x^2'), $source($source('y=-x^2')));
    }

    #[TestWith(['y = x²', 'parabola'])]
    #[TestWith(['y = (x-2)(x+3)/2', 'parabola'])]
    #[TestWith(['y = x³ - 4x', 'cubic'])]
    #[TestWith(['y = 1/x', 'hyperbola'])]
    #[TestWith(['y = 1/(x-2)', 'hyperbola'])]
    #[TestWith(['y = x + 1/x', 'both'])]
    #[TestWith(['y = 2^x', 'power'])]
    public function test_every_place_of_it_is_on_the_graph(string $typed, string $what): void
    {
        $y = match ($typed) {
            'y = x²' => static fn (float $x): float => $x ** 2,
            'y = (x-2)(x+3)/2' => static fn (float $x): float => ($x - 2) * ($x + 3) / 2,
            'y = x³ - 4x' => static fn (float $x): float => $x ** 3 - 4 * $x,
            'y = 1/x' => static fn (float $x): float => 1 / $x,
            'y = 1/(x-2)' => static fn (float $x): float => 1 / ($x - 2),
            'y = x + 1/x' => static fn (float $x): float => $x + 1 / $x,
            default => static fn (float $x): float => 2 ** $x,
        };
        $pieces = self::pieces($typed);
        foreach ($pieces as $piece) {
            foreach (array_slice($piece, 1, -1) as [$x, $found]) {
                // A place is kept in tenths of a unit: where it is steep, that is much upwards.
                $slack = abs($y($x + 0.001) - $y($x - 0.001)) + 0.01;
                self::assertEqualsWithDelta($y($x), $found, $slack, "{$what} at {$x}");
            }
        }
        self::assertCount(in_array($what, ['hyperbola', 'both'], true) ? 2 : 1, $pieces, $what);
    }

    public function test_a_line_is_two_places_and_a_curve_no_more_than_it_needs(): void
    {
        $numbers = static fn (string $typed): int => array_sum(array_map(
            count(...),
            Graph::of($typed, self::scale(), Paper::wide())->pieces,
        ));
        self::assertLessThanOrEqual(8, $numbers('y = 0.4x + 1'));
        self::assertLessThan(300, $numbers('y = x²/4'));
        self::assertLessThanOrEqual(Graph::MOST_NUMBERS, $numbers('y = 1/(x(x-1)(x-2)(x-3)(x-4)(x-5)(x-6)(x-7))'));
    }

    #[TestWith(['y = '])]
    #[TestWith(['y = 2x +'])]
    #[TestWith(['y = hello'])]
    #[TestWith(['z = x'])]
    #[TestWith(['x = x'])]
    #[TestWith([''])]
    public function test_what_is_no_graph_says_so(string $typed): void
    {
        $this->expectException(UnreadableFields::class);
        Graph::of($typed, self::scale(), Paper::wide());
    }

    /** @return list<list<array{float, float}>> places on the axes */
    private static function pieces(string $typed): array
    {
        return array_map(
            static fn (array $piece): array => array_map(
                static fn (array $at): array => [($at[0] - 8000) / 500, (5000 - ($at[1] ?? 0)) / 500],
                array_chunk($piece, 2),
            ),
            Graph::of($typed, self::scale(), Paper::wide())->pieces,
        );
    }

    private static function scale(): Scale
    {
        return Scale::read(new Fields(['x' => 8000, 'y' => 5000, 'across' => 50_000, 'up' => 50_000]));
    }
}
