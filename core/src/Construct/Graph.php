<?php

declare(strict_types=1);

namespace Crag\Construct;

use Crag\Construct\Figure\Point;
use Crag\Json\UnreadableFields;
use Crag\Maths\Parsing\MathsParser;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Maths\Plotting\NumberAt;
use Crag\Prompt\Paper;

/**
 * The graph of a function on axes: "y = 2x − 1", "f(x) = x²", "x = 3", or the right side alone. It is sampled over the
 * page, finer where it is steep, and has a gap where it is not defined or jumps.
 */
final readonly class Graph
{
    public const LONGEST = 80;

    /** So many numbers its pieces hold at most. */
    public const MOST_NUMBERS = 2400;

    /** From one sample to the next, in units of the page. */
    private const STEP = 8.0;

    /** Two neighbours on the page are no farther apart than this, in units, before they are taken for a jump. */
    private const FAR = 24.0;

    private const DEEPEST = 10;

    private const SIGNS = ['-' => '−', '*' => '·'];

    /** What lies farther outside the page is cut off, in units. */
    private const OUTSIDE = 400.0;

    /** Points that are no farther from a straight line than this are left out, in units. */
    private const STRAIGHT = 0.2;

    /** @param  list<list<int>>  $pieces  x, y, x, y … in tenths */
    private function __construct(public string $source, public array $pieces)
    {
    }

    /** As it stands beside the graph: with minus signs, points and raised numbers for what a keyboard has. */
    private static function written(string $typed): string
    {
        return preg_replace(['/\^2(?!\d)/', '/\^3(?!\d)/', '/\s*=\s*/u'], ['²', '³', ' = '], strtr($typed, self::SIGNS)) ?? $typed;
    }

    /**
     * @throws UnreadableFields with a sentence for whoever typed it
     */
    public static function of(string $typed, Scale $scale, Paper $paper): self
    {
        $typed = trim($typed);
        if ($typed === '' || mb_strlen($typed) > self::LONGEST) {
            throw UnreadableFields::saying('Write it like y = 2x + 1, or x = 3.');
        }
        [$left, $right] = str_contains($typed, '=') ? array_map(trim(...), explode('=', $typed, 2)) : ['y', $typed];
        $of = preg_replace('/\s+/', '', mb_strtolower($left));
        try {
            $node = MathsParser::expression($right);
        } catch (UnreadableMaths $problem) {
            throw UnreadableFields::saying($problem->getMessage());
        }
        $hasX = $node->holds(static fn (Node $one): bool => $one->is(NodeKind::Letter) && $one->letter === 'x');
        $isStrange = $node->holds(
            static fn (Node $one): bool => $one->is(NodeKind::Letter) && ! in_array($one->letter, ['x', 'π'], true),
        );
        if ($isStrange || ! in_array($of, ['y', 'x', 'f(x)', 'g(x)', 'h(x)'], true) || ($of === 'x' && $hasX)) {
            throw UnreadableFields::saying('Write it like y = 2x + 1, or x = 3.');
        }

        return new self(
            self::written($typed),
            $of === 'x' ? self::upright($node, $scale, $paper) : self::sampled($node, $scale, $paper),
        );
    }

    /** @return list<list<int>> */
    private static function upright(Node $node, Scale $scale, Paper $paper): array
    {
        $x = NumberAt::of($node, 0);
        $at = $x === null ? null : $scale->origin->x + $x * $scale->across;

        return $at === null || $at < 0 || $at > $paper->width
            ? []
            : [self::tenths([new Point($at, 0), new Point($at, $paper->height)])];
    }

    /** @return list<list<int>> */
    private static function sampled(Node $node, Scale $scale, Paper $paper): array
    {
        $at = static function (float $x) use ($node, $scale): ?Point {
            $y = NumberAt::of($node, ($x - $scale->origin->x) / $scale->across);

            return $y === null ? null : new Point($x, $scale->origin->y - $y * $scale->up);
        };
        $row = [];
        $before = null;
        for ($x = 0.0; $x <= $paper->width; $x += self::STEP) {
            $here = $at($x);
            $between = $before === null || $here === null
                ? self::edge($at, $before, $here, $x - self::STEP, $x)
                : self::between($at, $before, $here, $paper, self::DEEPEST);
            array_push($row, ...$between, ...[$here]);
            $before = $here;
        }

        return self::few(array_map(
            static fn (array $piece): array => self::tenths(self::simple($piece)),
            self::pieces($row, $paper),
        ));
    }

    /**
     * A row of samples in pieces, cut where there is none and where it leaves what is kept.
     *
     * @param  list<?Point>  $row
     * @return list<non-empty-list<Point>>
     */
    private static function pieces(array $row, Paper $paper): array
    {
        $pieces = $piece = [];
        foreach ([...$row, null] as $point) {
            if ($point !== null && ! self::isOutside($point, $paper)) {
                $piece[] = $point;

                continue;
            }
            $last = $piece[count($piece) - 1] ?? null;
            if ($point !== null && $last !== null) {
                // The last place that can be seen is kept: the line leaves the page there.
                $piece[] = self::onEdge($last, $point, $paper);
            }
            if (count($piece) > 1) {
                $pieces[] = $piece;
            }
            $piece = [];
        }

        return $pieces;
    }

    /**
     * Where one of two neighbours is not defined: the last place that is, found by halving.
     *
     * @param  callable(float): ?Point  $at
     * @return list<?Point>
     */
    private static function edge(callable $at, ?Point $before, ?Point $here, float $from, float $to): array
    {
        if (($before === null) === ($here === null)) {
            return [];
        }
        $known = $before ?? $here;
        [$is, $isNot] = $before !== null ? [$from, $to] : [$to, $from];
        for ($i = 0; $i < 12; $i++) {
            $middle = ($is + $isNot) / 2;
            $point = $at($middle);
            if ($point === null) {
                $isNot = $middle;
            } else {
                [$is, $known] = [$middle, $point];
            }
        }

        return $before !== null ? [$known] : [null, $known];
    }

    /**
     * What lies between two neighbours that are far apart; null where the function jumps.
     *
     * @param  callable(float): ?Point  $at
     * @return list<?Point>
     */
    private static function between(callable $at, Point $a, Point $b, Paper $paper, int $deep): array
    {
        $isSeen = ! self::isOutside($a, $paper) || ! self::isOutside($b, $paper);
        if ($a->distance($b) <= self::FAR || ! $isSeen) {
            // From far above to far below, or the other way: nothing of what lies between is seen.
            return ! $isSeen && ($a->y < 0) !== ($b->y < 0) ? [null] : [];
        }
        $middle = $at(($a->x + $b->x) / 2);
        if ($middle === null || $deep === 0) {
            return [null];
        }

        return [
            ...self::between($at, $a, $middle, $paper, $deep - 1),
            $middle,
            ...self::between($at, $middle, $b, $paper, $deep - 1),
        ];
    }

    private static function isOutside(Point $point, Paper $paper): bool
    {
        return $point->y < -self::OUTSIDE || $point->y > $paper->height + self::OUTSIDE;
    }

    /** Where the way from a place that is seen to one far outside leaves what is kept. */
    private static function onEdge(Point $from, Point $to, Paper $paper): Point
    {
        $y = $to->y < 0 ? -self::OUTSIDE : $paper->height + self::OUTSIDE;
        $t = abs($to->y - $from->y) < 1e-9 ? 0.0 : ($y - $from->y) / ($to->y - $from->y);

        return $from->plus($to->minus($from), max(0.0, min(1.0, $t)));
    }

    /**
     * Without points that lie on the way from the one before to the one after.
     *
     * @param  non-empty-list<Point>  $points
     * @return non-empty-list<Point>
     */
    private static function simple(array $points): array
    {
        $kept = [$points[0]];
        $last = count($points) - 1;
        $from = 0;
        for ($i = 2; $i <= $last; $i++) {
            [$a, $b] = [$points[$from], $points[$i]];
            $way = $b->minus($a);
            $isStraight = true;
            for ($k = $from + 1; $k < $i && $isStraight; $k++) {
                $isStraight = abs($way->cross($points[$k]->minus($a))) <= self::STRAIGHT * max(1e-9, $way->length());
            }
            if (! $isStraight) {
                $kept[] = $points[$i - 1];
                $from = $i - 1;
            }
        }
        if ($last > 0) {
            $kept[] = $points[$last];
        }

        return $kept;
    }

    /**
     * @param  list<list<int>>  $pieces
     * @return list<list<int>> as many as may be kept
     */
    private static function few(array $pieces): array
    {
        $numbers = 0;
        $kept = [];
        foreach ($pieces as $piece) {
            $numbers += count($piece);
            if ($numbers <= self::MOST_NUMBERS) {
                $kept[] = $piece;
            }
        }

        return $kept;
    }

    /**
     * @param  list<Point>  $points
     * @return list<int>
     */
    private static function tenths(array $points): array
    {
        $numbers = [];
        foreach ($points as $point) {
            array_push($numbers, (int) round($point->x * 10), (int) round($point->y * 10));
        }

        return $numbers;
    }
}
