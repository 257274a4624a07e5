<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Crag\Maths\Parsing\UnreadableMaths;

/**
 * What a function of a number is worth: exactly where that can be written with roots, π and whole numbers, such as
 * sin π/6 = 1/2; otherwise to fourteen figures.
 */
final class Functions
{
    /** The largest number whose factorial is worked out. */
    private const LARGEST_FACTORIAL = 200;

    /** Logarithms with no larger denominator, and between no larger numbers, are exact. */
    private const LARGEST_ROOT = 6;

    private const LARGEST_LOG = 300;

    /** Of sines, by twelfths of π from 0 to π/2: the radicands and factors of a sum of roots. */
    private const SINES = [
        0 => [],
        1 => [['1/4', 6], ['-1/4', 2]],
        2 => [['1/2', 1]],
        3 => [['1/2', 2]],
        4 => [['1/2', 3]],
        5 => [['1/4', 6], ['1/4', 2]],
        6 => [['1', 1]],
    ];

    /** @throws UnreadableMaths where it depends on letters, or is not defined */
    public static function of(string $name, Value $of): Value
    {
        if ($of->hasLetters()) {
            throw UnreadableMaths::word($name);
        }

        return match ($name) {
            'sin' => self::sine($of),
            'cos' => self::sine(self::pi('1/2')->minus($of)),
            'tan' => self::tangent($of),
            'asin' => self::arcsine($of),
            'acos' => self::pi('1/2')->minus(self::arcsine($of)),
            'atan' => self::arctangent($of),
            'abs' => $of->compareTo(Value::number(0)) < 0 ? $of->negated() : $of,
            'log' => self::logarithm($of, Value::number(10)),
            'ln' => self::logarithm($of, Value::letter('e')),
            'exp' => self::exponential($of),
            default => throw UnreadableMaths::word($name),
        };
    }

    /** @throws UnreadableMaths where it is no whole number, or too large a one */
    public static function factorial(Value $of): Value
    {
        $product = BigInteger::one();
        for ($n = self::whole($of, self::LARGEST_FACTORIAL); $n > 1; $n--) {
            $product = $product->multipliedBy($n);
        }

        return Value::number(BigRational::of($product));
    }

    /** In how many ways so many are chosen of so many. */
    public static function binomial(Value $all, Value $chosen): Value
    {
        [$n, $k] = [self::whole($all, self::LARGEST_FACTORIAL), self::whole($chosen, self::LARGEST_FACTORIAL)];
        if ($k > $n) {
            return Value::number(0);
        }
        $product = BigRational::one();
        for ($i = 1; $i <= min($k, $n - $k); $i++) {
            $product = $product->multipliedBy($n - $i + 1)->dividedBy($i);
        }

        return Value::number($product->simplified());
    }

    private static function whole(Value $of, int $most): int
    {
        $number = $of->rational();
        if ($number === null || $number->getSign() < 0 || ! $number->simplified()->getDenominator()->isEqualTo(1)) {
            throw UnreadableMaths::undefined();
        }

        return $number->isGreaterThan($most) ? throw UnreadableMaths::large() : $number->toInt();
    }

    private static function sine(Value $of): Value
    {
        $twelfths = $of->dividedBy(self::pi('1/12'))->rational();
        if ($twelfths === null || ! $twelfths->simplified()->getDenominator()->isEqualTo(1)) {
            return self::about(sin($of->approximated()->toFloat()));
        }
        $n = $twelfths->getNumerator()->mod(24)->toInt();
        $sign = $n >= 12 ? '-1' : '1';
        $n %= 12;
        $sine = Value::number(0);
        foreach (self::SINES[min($n, 12 - $n)] as [$factor, $root]) {
            $sine = $sine->plus(Value::number($root)->root(2)->multipliedBy(Value::number($factor)));
        }

        return $sine->multipliedBy(Value::number($sign));
    }

    private static function tangent(Value $of): Value
    {
        $cosine = self::sine(self::pi('1/2')->minus($of));
        if ($cosine->equals(Value::number(0))) {
            throw UnreadableMaths::undefined();
        }

        return self::sine($of)->dividedBy($cosine);
    }

    private static function arcsine(Value $of): Value
    {
        for ($twelfths = -6; $twelfths <= 6; $twelfths++) {
            $angle = self::pi("{$twelfths}/12");
            if (self::sine($angle)->equals($of)) {
                return $angle;
            }
        }
        $number = $of->approximated()->toFloat();

        return abs($number) > 1 ? throw UnreadableMaths::undefined() : self::about(asin($number));
    }

    private static function arctangent(Value $of): Value
    {
        for ($twelfths = -5; $twelfths <= 5; $twelfths++) {
            $angle = self::pi("{$twelfths}/12");
            if (self::sine($angle)->equals(self::sine(self::pi('1/2')->minus($angle))->multipliedBy($of))) {
                return $angle;
            }
        }

        return self::about(atan($of->approximated()->toFloat()));
    }

    /**
     * Exactly where it is a fraction with a small denominator: log₄ 8 = 3/2.
     *
     * @throws UnreadableMaths where there is none
     */
    public static function logarithm(Value $of, Value $base): Value
    {
        if ($of->hasLetters() || $base->hasLetters()) {
            throw UnreadableMaths::word('log');
        }
        $foot = log(self::positive($base));
        if (abs($foot) < 1e-12) {
            throw UnreadableMaths::undefined();
        }
        $log = log(self::positive($of)) / $foot;
        foreach (range(1, self::LARGEST_ROOT) as $denominator) {
            $numerator = (int) round($log * $denominator);
            if (
                abs($numerator) <= self::LARGEST_LOG &&
                abs($log * $denominator - $numerator) < 1e-9 &&
                self::isPower($of, $denominator, $base, $numerator)
            ) {
                return Value::number(BigRational::nd($numerator, $denominator));
            }
        }

        return self::about($log);
    }

    /** Whether one to a power is another to another power. */
    private static function isPower(Value $one, int $power, Value $other, int $otherPower): bool
    {
        try {
            return $one->power(Value::number($power))->equals($other->power(Value::number($otherPower)));
        } catch (UnreadableMaths) {
            return false;
        }
    }

    private static function exponential(Value $of): Value
    {
        try {
            return Value::letter('e')->power($of);
        } catch (UnreadableMaths) {
            return self::about(exp($of->approximated()->toFloat()));
        }
    }

    private static function positive(Value $of): float
    {
        $number = $of->approximated()->toFloat();

        return $number > 0 ? $number : throw UnreadableMaths::undefined();
    }

    private static function pi(string $times): Value
    {
        return Value::letter('π')->multipliedBy(Value::number($times));
    }

    private static function about(float $number): Value
    {
        return is_finite($number) ? Value::about($number) : throw UnreadableMaths::large();
    }
}
