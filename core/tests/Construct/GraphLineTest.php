<?php

declare(strict_types=1);

namespace Crag\Tests\Construct;

use Crag\Construct\Construction;
use Crag\Construct\Graph;
use Crag\Construct\Plotted;
use Crag\Construct\Scale;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Maths\Plotting\Equation;
use Crag\Prompt\Paper;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What can be typed to be plotted, beside plain functions. */
final class GraphLineTest extends TestCase
{
    public function test_a_function_in_pieces_holds_where_it_is_told(): void
    {
        $graph = self::graph('y = x for x < 1; 2 - x for 1 <= x <= 3');
        self::assertSame('y = x for x < 1; 2 − x for 1 ≤ x ≤ 3', $graph->source);
        self::assertEqualsWithDelta(0.5, self::at($graph, 0.5), 0.01);
        self::assertEqualsWithDelta(-0.5, self::at($graph, 2.5), 0.01);
        self::assertNull(self::at($graph, 3.5));
        self::assertNull(self::at(self::graph('y = x² for x > 2'), 1));
        // It ends within a hundredth of where it is told to.
        $last = self::graph('y = 1 for x <= 3')->pieces[0];
        self::assertEqualsWithDelta(3.0, ($last[count($last) - 2] / 10 - 800) / 50, 0.01);
    }

    public function test_an_inequality_is_shaded_on_its_side(): void
    {
        $below = self::graph('y < x + 1');
        self::assertTrue($below->isDashed);
        self::assertTrue(self::isIn($below, 0, 0));
        self::assertFalse(self::isIn($below, 0, 2));
        $above = self::graph('y >= x²');
        self::assertFalse($above->isDashed);
        self::assertSame('y ≥ x²', $above->source);
        self::assertTrue(self::isIn($above, 0, 1));
        self::assertFalse(self::isIn($above, 2, 1));
        $right = self::graph('x > 2');
        self::assertTrue(self::isIn($right, 3, -4));
        self::assertFalse(self::isIn($right, 1, 4));
        self::assertSame([], self::graph('y = x')->fills);
    }

    public function test_a_point_runs_with_t(): void
    {
        $graph = self::graph('(t², 2t) for -1 <= t <= 2');
        [$first, $last] = [array_slice($graph->pieces[0], 0, 2), array_slice($graph->pieces[0], -2)];
        self::assertEqualsWithDelta([8500, 6000], $first, 1);
        self::assertEqualsWithDelta([8000 + 4 * 500, 5000 - 4 * 500], $last, 1);
        self::assertNotSame([], self::graph('(t, t³)')->pieces);
    }

    /** @return iterable<array{string, string}> what is typed, and the tangent */
    public static function tangents(): iterable
    {
        yield ['tangent x² at 1', 'y = 2x − 1'];
        yield ['tangent to y = x^2 at x = -2', 'y = −4x − 4'];
        yield ['tangent x³ at 0', 'y = 0'];
        yield ['tangent 1/x at 1', 'y = −x + 2'];
        yield ['tangent 3 at 5', 'y = 3'];
        yield ['tangent √x at 4', 'y = 0.25x + 1'];
    }

    #[DataProvider('tangents')]
    public function test_a_tangent_is_a_line_with_its_equation(string $typed, string $line): void
    {
        self::assertSame($line, self::graph($typed)->source);
    }

    /** @return iterable<array{string, string}> what is typed, and the area */
    public static function areas(): iterable
    {
        yield ['area x² from 0 to 3', 'area = 9'];
        yield ['area under y = x^2 from 0 to 2', 'area = 2.667'];
        yield ['area x from -2 to 2', 'area = 0'];
        yield ['area 4 − x² from 2 to -2', 'area = 10.667'];
        yield ['area a·x from 0 to 2 with a = 3', 'area = 6'];
    }

    #[DataProvider('areas')]
    public function test_an_area_is_shaded_and_told(string $typed, string $area): void
    {
        $graph = self::graph($typed);
        self::assertSame($area, $graph->source);
        self::assertNotSame([], $graph->fills);
    }

    public function test_letters_are_given_numbers(): void
    {
        $graph = self::graph('y = ax + b with a = 2, b = -1');
        self::assertSame('y = ax + b, a = 2, b = −1', $graph->source);
        self::assertEqualsWithDelta(3.0, self::at($graph, 2), 0.01);
        // Until then each is 1.
        self::assertSame('y = mx + c, c = 3, m = 1', self::graph('y = mx + c with c = 3')->source);
    }

    /** @return iterable<array{string, float, ?float}> what is typed, x, and y there */
    public static function functions(): iterable
    {
        yield ['y = sin x', M_PI / 2, 1.0];
        yield ['y = sin x in degrees', 5, sin(5 * M_PI / 180)];
        yield ['y = 3 sin 2x', M_PI / 4, 3.0];
        yield ['y = sin² x + cos² x', 1.3, 1.0];
        yield ['y = sin(x)²', 1.0, sin(1) ** 2];
        yield ['y = sin x²', 1.5, sin(2.25)];
        yield ['y = cos(-x)', 0.0, 1.0];
        yield ['y = tan x', M_PI / 4, 1.0];
        yield ['y = asin x', 2.0, null];
        yield ['y = ln x', -1.0, null];
        yield ['y = ln x', M_E, 1.0];
        yield ['y = log(x)', 1.0, 0.0];
        yield ['y = e^x', 1.0, M_E];
        yield ['y = exp(-x)', 0.0, 1.0];
        yield ['y = abs(x - 1)', -1.0, 2.0];
        yield ['y = 2 sin(x) + 1', 0.0, 1.0];
    }

    #[DataProvider('functions')]
    public function test_functions_are_plotted_in_radians_and_degrees(string $typed, float $x, ?float $y): void
    {
        $at = self::at(self::graph($typed), $x);
        self::assertSame($y === null, $at === null, $typed);
        self::assertEqualsWithDelta($y ?? 0, $at ?? 0, 0.02, $typed);
    }

    public function test_a_tangents_graph_has_gaps_at_its_poles(): void
    {
        self::assertGreaterThan(4, count(self::graph('y = tan x')->pieces));
        self::assertSame('y = a sin x in degrees, a = 1', self::graph('y = a sin x in degrees')->source);
    }

    /** @return iterable<array{string, string, bool}> */
    public static function alike(): iterable
    {
        yield ['y = 2x − 1', 'y = 2(x − 1) + 1', true];
        yield ['y = 2x − 1', 'f(x) = 2x - 1', true];
        yield ['y = 2x − 1', '2x − 1', true];
        yield ['y = 2x − 1', 'y = 2x + 1', false];
        yield ['y = 2x − 1', 'y ≈ 2x − 1', true];
        yield ['y = 2x − 1', 'y ≈ 1.99x − 1.01', true];
        yield ['y = 2x − 1', 'y = 1.99x − 1.01', false];
        yield ['y = 2x − 1', 'y ≈ 2.2x − 1', false];
        yield ['y = 2x − 1', 'y = ax + b, a = 2, b = −1', true];
        yield ['y = 2x − 1', 'y = ax + b, a = 2, b = 1', false];
        yield ['x = 3', 'x ≈ 3', true];
        yield ['x = 3', 'y = 3', false];
        yield ['y < x', 'y < x', true];
        yield ['y < x', 'y ≤ x', false];
        yield ['y = √x', 'y = √x', true];
        yield ['y = √x', 'y = x', false];
        yield ['y = sin 2x', 'y = 2 sin x cos x', true];
        yield ['y = sin x', 'y = sin x in degrees', false];
        yield ['y = x', '', false];
        yield ['y = x', 'area = 3', false];
    }

    #[DataProvider('alike')]
    public function test_graphs_are_the_same_however_they_are_written(string $one, string $other, bool $is): void
    {
        self::assertSame($is, Equation::areSame($one, $other));
        self::assertSame($is, Equation::areSame($other, $one));
    }

    public function test_what_stands_on_axes_is_told_in_equations(): void
    {
        $scale = Scale::read(new Fields(['x' => 8000, 'y' => 5000, 'across' => 50_000, 'up' => 50_000]));
        // Through (0, −1) and (2, 3), upright through x = 2, and a graph.
        $elements = Sketch::json('A point 800 550; B point 900 350; C point 900 100; a line A B; b segment B C');
        $elements[] = ['id' => 'g', 'kind' => 'graph', 'source' => 'y = x²', 'pieces' => [[0, 0, 10, 10]]];
        $construction = Construction::read(new Fields(['elements' => $elements]));
        self::assertSame(['y ≈ 2x − 1', 'x ≈ 2', 'y = x²'], Plotted::on($construction, $scale));
        self::assertSame([], Plotted::on($construction, Scale::centimetres()));
    }

    /** @return iterable<array{string}> */
    public static function wrong(): iterable
    {
        yield ['y = hello'];
        yield ['y = abcdkmx'];
        yield ['tangent √x at -1'];
        yield ['area 1/x from -1 to 1'];
        yield ['y = x for x ~ 2'];
        yield ['y = x with a is 2'];
        yield ['(x, t)'];
        yield ['f(x) < 2'];
        yield ['tangent x² at y'];
        yield ['x = x'];
    }

    #[DataProvider('wrong')]
    public function test_what_says_nothing_is_refused_with_a_sentence(string $typed): void
    {
        $this->expectException(UnreadableFields::class);
        self::graph($typed);
    }

    private static function graph(string $typed): Graph
    {
        $scale = Scale::read(new Fields(['x' => 8000, 'y' => 5000, 'across' => 50_000, 'up' => 50_000]));

        return Graph::of($typed, $scale, Paper::wide());
    }

    /** Where a graph is over a value of x, on these axes; null where it is not. */
    private static function at(Graph $graph, float $x): ?float
    {
        $across = 8000 + $x * 500;
        foreach ($graph->pieces as $piece) {
            for ($i = 0; $i + 3 < count($piece); $i += 2) {
                [$x1, $y1, $x2, $y2] = array_slice($piece, $i, 4);
                if ($x1 <= $across && $across <= $x2 && $x2 > $x1) {
                    return (5000 - ($y1 + ($y2 - $y1) * ($across - $x1) / ($x2 - $x1))) / 500;
                }
            }
        }

        return null;
    }

    /** Whether a place is shaded (even-odd rule). */
    private static function isIn(Graph $graph, float $x, float $y): bool
    {
        [$atX, $atY] = [8000 + $x * 500, 5000 - $y * 500];
        $isIn = false;
        foreach ($graph->fills as $fill) {
            $corners = array_chunk($fill, 2);
            foreach ($corners as $i => $corner) {
                $before = $corners[($i + count($corners) - 1) % count($corners)];
                [$x1, $y1, $x2, $y2] = [$corner[0], $corner[1] ?? 0, $before[0], $before[1] ?? 0];
                if (($y1 > $atY) !== ($y2 > $atY) && $atX < ($x2 - $x1) * ($atY - $y1) / ($y2 - $y1) + $x1) {
                    $isIn = ! $isIn;
                }
            }
        }

        return $isIn;
    }
}
