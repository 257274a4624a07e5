<?php

declare(strict_types=1);

namespace Crag\Maths\Steps;

use Crag\Maths\Algebra\Value;
use Crag\Maths\Parsing\Node;
use Crag\Maths\Parsing\UnreadableMaths;

/** The numbers for which an equation of at most the second degree in one letter holds. */
final class Roots
{
    /**
     * @return ?list<Value> null where they are not found here: another kind of equation, or one that always holds
     */
    public static function of(Node $left, Node $right, string $letter): ?array
    {
        try {
            $difference = $left->value()->minus($right->value());
            $degree = self::degree($difference, $letter);
            if ($degree === null) {
                return null;
            }
            $at = static fn (int $n): Value => $left
                ->value([$letter => Value::number($n)])
                ->minus($right->value([$letter => Value::number($n)]));
            // What a polynomial is worth at 0, 1 and −1 gives it up to the second degree.
            $c = $at(0);
            [$one, $other] = [$at(1)->minus($c), $at(-1)->minus($c)];
            $half = Value::number('1/2');
            $a = $one->plus($other)->multipliedBy($half);
            $b = $one->minus($other)->multipliedBy($half);

            return $degree === 2 && ! self::isZero($a) ? self::quadratic($a, $b, $c) : self::linear($b, $c);
        } catch (UnreadableMaths) {
            return null;
        }
    }

    /** @return ?list<Value> */
    private static function linear(Value $b, Value $c): ?array
    {
        if (self::isZero($b)) {
            return self::isZero($c) ? null : [];
        }

        return [$c->negated()->dividedBy($b)];
    }

    /** @return list<Value> */
    private static function quadratic(Value $a, Value $b, Value $c): array
    {
        $under = $b->multipliedBy($b)->minus(Value::number(4)->multipliedBy($a)->multipliedBy($c));
        $sign = $under->compareTo(Value::number(0));
        if ($sign < 0) {
            return [];
        }
        $root = $under->root(2);
        $twice = Value::number(2)->multipliedBy($a);
        $roots = [$b->negated()->plus($root)->dividedBy($twice)];

        return $sign === 0 ? $roots : [...$roots, $b->negated()->minus($root)->dividedBy($twice)];
    }

    /** Null where it is no polynomial of at most the second degree with numbers before the letter. */
    private static function degree(Value $value, string $letter): ?int
    {
        if ($value->denominator->hasLetters() || array_diff($value->letters(), [$letter]) !== []) {
            return null;
        }
        $degree = 0;
        foreach ($value->numerator->terms as $term) {
            [$power, $root] = $term->powers[$letter] ?? [0, 1];
            if ($root !== 1 || $power < 0 || $power > 2) {
                return null;
            }
            $degree = max($degree, $power);
        }

        return $degree;
    }

    private static function isZero(Value $value): bool
    {
        return $value->equals(Value::number(0));
    }
}
