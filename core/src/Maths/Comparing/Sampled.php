<?php

declare(strict_types=1);

namespace Crag\Maths\Comparing;

use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\NodeKind;
use Crag\Maths\Plotting\NumberAt;

/**
 * Compares what no exact algebra here can: functions of letters, and letters in exponents. Both are worked out at fixed
 * places that lie apart irregularly; what agrees at all of them is taken to be the same. That two elementary
 * expressions that differ agree so by chance is not to be expected (Schwartz 1980, for polynomials; Richardson 1968
 * shows that nothing decides it for all of them).
 */
final class Sampled
{
    /** Values of the first letter; further letters begin further down the list. */
    private const PLACES = [
        0.2718, 1.1931, 2.0437, 0.6603, 3.3179, 1.6021, -0.4142, 0.9109, -1.3806, 2.6726, 0.0821, -2.2141,
    ];

    /** At so many places both must be worth something. */
    private const LEAST = 4;

    private const NEAR = 1e-9;

    /** Whether a node holds what is compared so. */
    public static function isNeeded(Node ...$nodes): bool
    {
        $isNeeded = static fn (Node $node): bool => match ($node->sign) {
            NodeKind::Called, NodeKind::Logarithm, NodeKind::Root => self::letters($node) !== [],
            NodeKind::Power => self::letters($node->parts[1]) !== [] ||
                (! $node->parts[1]->bare()->isWhole() && self::letters($node->parts[0]) !== []),
            default => false,
        };
        foreach ($nodes as $node) {
            if ($node->holds($isNeeded)) {
                return true;
            }
        }

        return false;
    }

    /** Null where they cannot be told: too few places at which both are worth something. */
    public static function areEqual(Node $one, Node $other): ?bool
    {
        return self::agree(
            array_unique([...self::letters($one), ...self::letters($other)]),
            static fn (array $at): array => [NumberAt::of($one, $at), NumberAt::of($other, $at)],
        );
    }

    /**
     * Whether one equation is a number times the other: {left, right} each.
     *
     * @param  array{Node, Node}  $one
     * @param  array{Node, Node}  $other
     */
    public static function areMultiples(array $one, array $other): ?bool
    {
        $factor = null;

        return self::agree(
            array_unique(array_merge(...array_map(self::letters(...), [...$one, ...$other]))),
            static function (array $at) use ($one, $other, &$factor): array {
                $first = self::difference($one, $at);
                $second = self::difference($other, $at);
                if ($first === null || $second === null || abs($second) < self::NEAR) {
                    // Where an equation holds it says nothing of the factor.
                    return $first !== null && $second !== null && abs($first) >= self::NEAR ? [1.0, 0.0] : [null, null];
                }
                $factor ??= $first / $second;

                return [$first, $factor * $second];
            },
        );
    }

    /**
     * @param  array<array-key, string>  $letters
     * @param  callable(array<string, float>): array{?float, ?float}  $both
     */
    private static function agree(array $letters, callable $both): ?bool
    {
        $told = 0;
        foreach (self::PLACES as $n => $place) {
            $at = [];
            foreach (array_values($letters) as $i => $letter) {
                $at[$letter] = self::PLACES[($n + 5 * $i) % count(self::PLACES)] + 0.01 * $i;
            }
            [$one, $other] = $both($at);
            if ($one === null || $other === null) {
                continue;
            }
            if (abs($one - $other) > self::NEAR * max(1.0, abs($one), abs($other))) {
                return false;
            }
            $told++;
        }

        return $told >= self::LEAST ? true : null;
    }

    /**
     * @param  array{Node, Node}  $sides
     * @param  array<string, float>  $at
     */
    private static function difference(array $sides, array $at): ?float
    {
        [$left, $right] = [NumberAt::of($sides[0], $at), NumberAt::of($sides[1], $at)];

        return $left === null || $right === null ? null : $left - $right;
    }

    /** @return list<string> the letters that stand for any number */
    public static function letters(Node $node): array
    {
        $letters = [];
        $node->holds(static function (Node $one) use (&$letters): bool {
            if ($one->is(NodeKind::Letter) && ! isset(NumberAt::CONSTANTS[$one->letter])) {
                $letters[$one->letter] = true;
            }

            return false;
        });

        return array_map(strval(...), array_keys($letters));
    }
}
