<?php

declare(strict_types=1);

namespace Crag\Construct;

use Closure;
use Crag\Construct\Figure\Point;
use Crag\Json\UnreadableFields;
use Crag\Maths\Plotting\Equation;
use Crag\Prompt\Paper;

/**
 * A graph on axes, of a line that was typed ({@see GraphLine}). A function is sampled over the page, finer where it is
 * steep, and has a gap where it is not defined or jumps.
 */
final readonly class Graph
{
    public const LONGEST = Equation::LONGEST;

    /** As it stands beside it, with the numbers of its letters. */
    public const LONGEST_SOURCE = 140;

    /** So many numbers its pieces hold at most. */
    public const MOST_NUMBERS = 2400;

    /** From one sample to the next, in units of the page. */
    private const STEP = 4.0;

    /** Two neighbours on the page are no farther apart than this, in units, before they are taken for a jump. */
    private const FAR = 24.0;

    private const DEEPEST = 10;

    /** So many steps a point goes that runs with t. */
    private const RUNS = 600;

    private const SIGNS = ['-' => '−', '*' => '·'];

    /** What lies farther outside the page is cut off, in units. */
    private const OUTSIDE = 400.0;

    /** Points that are no farther from a straight line than this are left out, in units. */
    private const STRAIGHT = 0.2;

    /**
     * @param  string  $source  as it stands beside it
     * @param  list<list<int>>  $pieces  x, y, x, y … in tenths
     * @param  list<list<int>>  $fills  what is shaded: corners round it, in the same way
     * @param  bool  $isDashed  whether the line itself does not belong to what is shaded
     */
    private function __construct(
        public string $source,
        public array $pieces,
        public array $fills = [],
        public bool $isDashed = false,
    ) {
    }

    /** As it stands beside the graph: with minus signs, points and raised numbers for what a keyboard has. */
    public static function written(string $typed): string
    {
        $signs = ['<=' => '≤', '>=' => '≥'] + self::SIGNS;

        return preg_replace(
            ['/\^2(?!\d)/', '/\^3(?!\d)/', '/\s*([=<>≤≥])\s*/u'],
            ['²', '³', ' $1 '],
            strtr($typed, $signs),
        ) ?? $typed;
    }

    /**
     * @throws UnreadableFields with a sentence for whoever typed it
     */
    public static function of(string $typed, Scale $scale, Paper $paper): self
    {
        return GraphLine::read($typed)->graph($scale, $paper);
    }

    /**
     * A function, over the whole page or where it is told.
     *
     * @param  Closure(float): ?float  $function
     */
    public static function ofFunction(string $source, Closure $function, Scale $scale, Paper $paper): self
    {
        return new self($source, self::sampled($function, $scale, $paper));
    }

    /** Upright, through a value of x. */
    public static function ofUpright(string $source, float $x, Scale $scale, Paper $paper): self
    {
        return new self($source, self::upright($x, $scale, $paper));
    }

    /**
     * Where a point goes as t runs from one number to another.
     *
     * @param  Closure(float): ?float  $across
     * @param  Closure(float): ?float  $up
     */
    public static function ofPoint(
        string $source,
        Closure $across,
        Closure $up,
        float $from,
        float $to,
        Scale $scale,
        Paper $paper,
    ): self {
        $row = [];
        for ($i = 0; $i <= self::RUNS; $i++) {
            $t = $from + ($to - $from) * $i / self::RUNS;
            [$x, $y] = [$across($t), $up($t)];
            $point = $x === null || $y === null
                ? null
                : new Point($scale->origin->x + $x * $scale->across, $scale->origin->y - $y * $scale->up);
            $isFar = $point !== null && ($point->x < -self::OUTSIDE || $point->x > $paper->width + self::OUTSIDE);
            $row[] = $isFar ? null : $point;
        }

        return new self($source, self::kept(self::pieces($row, $paper)));
    }

    /**
     * The same with the side below it shaded, or above it; of an upright line what is left or right of it.
     *
     * @param  bool  $isStrict  whether the line itself does not belong to it
     */
    public function shaded(bool $isLess, bool $isStrict, bool $isUpright, Paper $paper): self
    {
        $fills = [];
        [$width, $height] = [$paper->width * 10, $paper->height * 10];
        foreach ($this->pieces as $piece) {
            $last = count($piece) - 2;
            $fills[] = $isUpright
                ? [$piece[0], 0, $isLess ? 0 : $width, 0, $isLess ? 0 : $width, $height, $piece[0], $height]
                : [...$piece, $piece[$last], $isLess ? $height : 0, $piece[0], $isLess ? $height : 0];
        }

        return new self($this->source, $this->pieces, self::few($fills), $isStrict);
    }

    /** The same with what lies between it and the axis shaded. */
    public function overAxis(Scale $scale): self
    {
        $axis = (int) round($scale->origin->y * 10);
        $fills = [];
        foreach ($this->pieces as $piece) {
            $fills[] = [...$piece, $piece[count($piece) - 2], $axis, $piece[0], $axis];
        }

        return new self($this->source, $this->pieces, self::few($fills));
    }

    /** @return list<list<int>> */
    private static function upright(float $x, Scale $scale, Paper $paper): array
    {
        $at = $scale->origin->x + $x * $scale->across;

        return $at < 0 || $at > $paper->width
            ? []
            : [self::tenths([new Point($at, 0), new Point($at, $paper->height)])];
    }

    /**
     * @param  Closure(float): ?float  $function
     * @return list<list<int>>
     */
    private static function sampled(Closure $function, Scale $scale, Paper $paper): array
    {
        $at = static function (float $x) use ($function, $scale): ?Point {
            $y = $function(($x - $scale->origin->x) / $scale->across);

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

        return self::kept(self::pieces($row, $paper));
    }

    /**
     * @param  list<non-empty-list<Point>>  $pieces
     * @return list<list<int>>
     */
    private static function kept(array $pieces): array
    {
        return self::few(array_map(
            static fn (array $piece): array => self::tenths(self::simple($piece)),
            $pieces,
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
