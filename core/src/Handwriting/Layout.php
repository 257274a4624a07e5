<?php

declare(strict_types=1);

namespace Crag\Handwriting;

/**
 * How signs stand to each other: above and below a line, under the roof of a root, raised as a power, one after the
 * other. A small two-dimensional grammar, read from the outside in (Anderson, "Two-dimensional mathematical notation",
 * 1977).
 *
 * It gives a line of pieces: a sign, or a text that holds its place, such as "√(" and ")".
 */
final class Layout
{
    /** A fraction's line is at least so wide, beside a digit's height. */
    public const BAR = 0.28;

    /** What is raised ends so far above the line's foot. */
    public const RAISED = 0.42;

    private const SPACE = 0.5;

    private const OPERATORS = ['+', '-', '=', '÷', '<', '>', '≤', '≥', '±', '.'];

    /** Letters that hang below the line. */
    private const HANGING = ['g', 'p', 'q', 'y'];

    /**
     * @param  list<Sign>  $signs
     * @return list<Sign|string>
     */
    public static function of(array $signs, float $unit): array
    {
        usort($signs, static fn (Sign $a, Sign $b): int => $a->trace->left <=> $b->trace->left);
        foreach ($signs as $i => $sign) {
            if ($sign->best() === '√') {
                $inside = array_filter(
                    $signs,
                    static fn (Sign $one): bool => $one !== $sign && self::isUnder($one, $sign),
                );
                if ($inside !== []) {
                    $pieces = ['√(', ...self::of(array_values($inside), $unit), ')'];

                    return self::around($signs, $sign, $inside, $pieces, $unit);
                }
            }
        }
        $bars = array_filter(
            $signs,
            static fn (Sign $one): bool => $one->best() === '-' && $one->trace->width() > self::BAR * $unit,
        );
        usort($bars, static fn (Sign $a, Sign $b): int => $b->trace->width() <=> $a->trace->width());
        foreach ($bars as $bar) {
            $above = array_filter($signs, static fn (Sign $one): bool => self::isBeside($one, $bar, -1, $unit));
            $below = array_filter($signs, static fn (Sign $one): bool => self::isBeside($one, $bar, 1, $unit));
            if ($above !== [] && $below !== []) {
                $pieces = [
                    '(',
                    ...self::of(array_values($above), $unit),
                    ')/(',
                    ...self::of(array_values($below), $unit),
                    ')',
                ];

                return self::around($signs, $bar, [...$above, ...$below], $pieces, $unit);
            }
        }

        return self::inLine($signs, $unit);
    }

    /**
     * What stands before, the pieces, and what stands behind.
     *
     * @param  list<Sign>  $signs
     * @param  array<array-key, Sign>  $inside
     * @param  list<Sign|string>  $pieces
     * @return list<Sign|string>
     */
    private static function around(array $signs, Sign $middle, array $inside, array $pieces, float $unit): array
    {
        $rest = array_filter(
            $signs,
            static fn (Sign $one): bool => $one !== $middle && ! in_array($one, $inside, true),
        );
        $at = $middle->trace->middle()[0];
        $before = array_values(array_filter($rest, static fn (Sign $one): bool => $one->trace->middle()[0] < $at));
        $behind = array_values(array_filter($rest, static fn (Sign $one): bool => $one->trace->middle()[0] >= $at));

        return [...self::of($before, $unit), ...$before === [] ? [] : [' '], ...$pieces, ...self::of($behind, $unit)];
    }

    private static function isUnder(Sign $one, Sign $root): bool
    {
        [$x, $y] = $one->trace->middle();
        $box = $root->trace;

        return $x > $box->left + 0.2 * $box->height() && $x < $box->right + 0.15 * $box->height() &&
            $y > $box->top && $y < $box->bottom + 0.2 * $box->height();
    }

    /** @param  int  $side  −1 for above, 1 for below */
    private static function isBeside(Sign $one, Sign $bar, int $side, float $unit): bool
    {
        [$x, $y] = $one->trace->middle();
        $away = $side * ($y - $bar->trace->middle()[1]);
        $reach = 0.12 * $unit;

        return $one !== $bar && $x > $bar->trace->left - $reach && $x < $bar->trace->right + $reach &&
            $away > 0.12 * $unit && $away < 2.2 * $unit;
    }

    /**
     * @param  list<Sign>  $signs  from left to right
     * @return list<Sign|string>
     */
    private static function inLine(array $signs, float $unit): array
    {
        $foot = self::foot($signs);
        $pieces = [];
        $isUp = false;
        $before = null;
        foreach ($signs as $sign) {
            $isRaised = $before !== null && self::isRaised($sign, $foot, $unit, $isUp);
            if ($isRaised !== $isUp) {
                $pieces[] = $isRaised ? '^(' : ')';
                $isUp = $isRaised;
            }
            if ($before !== null && ! $isRaised && $sign->trace->left - $before->trace->right > self::SPACE * $unit) {
                $pieces[] = ' ';
            }
            $pieces[] = $sign;
            $before = $sign;
        }

        return $isUp ? [...$pieces, ')'] : $pieces;
    }

    /**
     * Where the line stands on.
     *
     * @param  list<Sign>  $signs
     */
    public static function foot(array $signs): float
    {
        $feet = [];
        foreach ($signs as $sign) {
            if (! in_array($sign->best(), [...self::OPERATORS, ...self::HANGING], true)) {
                $feet[] = $sign->trace->bottom;
            }
        }
        if ($feet === []) {
            return max([0.0, ...array_map(static fn (Sign $one): float => $one->trace->bottom, $signs)]);
        }
        rsort($feet);

        // Powers are above it: the lower half tells.
        return $feet[intdiv(count($feet) - 1, 3)];
    }

    private static function isRaised(Sign $sign, float $foot, float $unit, bool $isUp): bool
    {
        $box = $sign->trace;
        if ($sign->best() === '.') {
            return $isUp && $box->bottom < $foot - self::RAISED * $unit;
        }
        if (in_array($sign->best(), self::OPERATORS, true)) {
            return $box->middle()[1] < $foot - 0.74 * $unit && $box->width() < 0.62 * $unit;
        }

        return $box->bottom < $foot - self::RAISED * $unit && $box->height() < 0.85 * $unit;
    }
}
