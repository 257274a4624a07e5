<?php

declare(strict_types=1);

namespace Crag\Maths\Steps;

use Crag\Maths\Algebra\Value;
use Crag\Maths\Comparing\Compare;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\UnreadableMaths;
use Crag\Maths\Plotting\NumberAt;
use Crag\Maths\Structured\Region;

/**
 * Lines of working, one below the other, each compared with the one before. It says "no" only where that is certain:
 * an equation that holds for other numbers, an expression after "=" that is worth something else.
 */
final class Working
{
    private const NEAR = 1e-9;

    /**
     * The first line that does not follow from the one before it.
     *
     * @param  list<string>  $lines  from top to bottom
     * @return ?array{before: string, after: string, at: int, why: string}
     */
    public static function firstSlip(array $lines): ?array
    {
        foreach ($lines as $i => $line) {
            $step = $i === 0 ? self::within($line) : self::step($lines[$i - 1], $line);
            if ($step->follows === Follows::No) {
                return ['before' => $lines[max(0, $i - 1)], 'after' => $line, 'at' => $i, 'why' => $step->why];
            }
        }

        return null;
    }

    public static function step(string $before, string $after): Step
    {
        [$one, $two] = [Line::read($before), Line::read($after)];
        if ($two === null) {
            return Step::unknown();
        }
        try {
            $within = self::chain($two);
            if ($within->follows === Follows::No || $one === null) {
                return $within->follows === Follows::No ? $within : Step::unknown();
            }

            return self::compared($one, $two);
        } catch (UnreadableMaths) {
            return Step::unknown();
        }
    }

    /** A line alone: "720 ÷ 3 = 240" holds or does not. */
    private static function within(string $line): Step
    {
        $read = Line::read($line);
        try {
            return $read === null ? Step::unknown() : self::chain($read);
        } catch (UnreadableMaths) {
            return Step::unknown();
        }
    }

    /** Of "M = 3 × 240 = 720" what stands between the signs must be worth the same; two sides may be an equation. */
    private static function chain(Line $line): Step
    {
        $sides = $line->sides;
        if (count($sides) === 2 && $line->letters() !== []) {
            return Step::unknown();
        }
        $from = count($sides) > 2 ? 1 : 0;
        for ($i = $from; $i + 1 < count($sides); $i++) {
            if (! Compare::areEqual($sides[$i], $sides[$i + 1])) {
                return Step::no('What stands on both sides of “=” isn’t worth the same.');
            }
        }

        return count($sides) > 1 ? Step::yes() : Step::unknown();
    }

    private static function compared(Line $one, Line $two): Step
    {
        if ($one->region !== null && $two->region !== null) {
            return self::regions($one->region, $two->region);
        }
        if ($two->isExpression()) {
            $last = $one->sides[count($one->sides) - 1] ?? null;

            return match (true) {
                $last === null => Step::unknown(),
                Compare::areEqual($last, $two->sides[0]) => Step::yes(),
                // Two sums below each other need not have to do with each other.
                $two->goesOn => Step::no('It isn’t worth the same as the line before.'),
                default => Step::unknown(),
            };
        }

        return self::equations($one, $two);
    }

    private static function regions(Region $one, Region $two): Step
    {
        return match (true) {
            $one->is($two) => Step::yes(),
            $one->hasBoundsOf($two) => Step::no('Look at whether the end belongs to it.'),
            ! $one->isLinear() || ! $two->isLinear() || ! $one->hasLetterOf($two) => Step::unknown(),
            default => Step::no('It allows other numbers than the line before.'),
        };
    }

    private static function equations(Line $one, Line $two): Step
    {
        if ($one->isEquation() && $two->isEquation() && Compare::areMultiples(self::pair($one), self::pair($two))) {
            return Step::yes();
        }
        $letters = array_values(array_unique([...$one->letters(), ...$two->letters()]));
        // "x = 2" and below it "x = 5" are answers to two questions.
        if (count($letters) !== 1 || $one->letters() === [] || $two->letters() === [] || $one->solution() !== null) {
            return Step::unknown();
        }
        [$before, $after] = [self::roots($one, $letters[0]), self::roots($two, $letters[0])];
        if ($before !== null && $after !== null) {
            return self::solutions($before, $after);
        }
        $solution = $two->solution();

        return $solution === null || count($one->sides) !== 2
            ? Step::unknown()
            : self::putIn($one, $letters[0], $solution);
    }

    /**
     * @param  list<Value>  $before
     * @param  list<Value>  $after
     */
    private static function solutions(array $before, array $after): Step
    {
        $lost = array_filter($before, static fn (Value $one): bool => ! self::has($after, $one));
        $new = array_filter($after, static fn (Value $one): bool => ! self::has($before, $one));

        return match (true) {
            $lost === [] && ($before !== [] || $new === []) => Step::yes(),
            $new === [] && $after !== [] => Step::no('A solution is lost.'),
            default => Step::no('It holds for another number than the line before.'),
        };
    }

    /** @param  list<Value>  $some */
    private static function has(array $some, Value $one): bool
    {
        return array_filter($some, static fn (Value $other): bool => $other->equals($one)) !== [];
    }

    /** Where the equation before cannot be solved here, the number is put into it. */
    private static function putIn(Line $one, string $letter, Value $solution): Step
    {
        if (Compare::areEqual($one->sides[0], $one->sides[1])) {
            // It holds for every number.
            return Step::unknown();
        }
        $at = [$letter => $solution->approximated()->toFloat()];
        foreach ([false, true] as $inDegrees) {
            [$left, $right] = [
                NumberAt::of($one->sides[0], $at, $inDegrees),
                NumberAt::of($one->sides[1], $at, $inDegrees),
            ];
            if ($left === null || $right === null) {
                return Step::unknown();
            }
            if (abs($left - $right) <= self::NEAR * max(1.0, abs($left), abs($right))) {
                return Step::yes();
            }
        }

        // Rounded numbers do not fit either.
        return $solution->rational() !== null && $solution->rational()->getDenominator()->isEqualTo(1)
            ? Step::no('It doesn’t fit the line before.')
            : Step::unknown();
    }

    /** @return ?list<Value> */
    private static function roots(Line $line, string $letter): ?array
    {
        if ($line->alternatives === []) {
            return count($line->sides) === 2 ? Roots::of($line->sides[0], $line->sides[1], $letter) : null;
        }
        $roots = [];
        foreach ($line->alternatives as $one) {
            $some = self::roots($one, $letter);
            if ($some === null) {
                return null;
            }
            $roots = [...$roots, ...$some];
        }

        return $roots;
    }

    /** @return array{Node, Node} */
    private static function pair(Line $line): array
    {
        return [$line->sides[0], $line->sides[1]];
    }
}
