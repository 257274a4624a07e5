<?php

declare(strict_types=1);

namespace Crag\Maths\Algebra;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** Writes a value: whole numbers and short decimals as such, other numbers as fractions, sums term by term. */
final class Written
{
    /** Decimals with more places than this are written as fractions. */
    private const MOST_PLACES = 6;

    public static function plain(Value $value): string
    {
        return self::quotient(
            $value,
            static fn (string $numerator, string $denominator): string => "{$numerator}/{$denominator}",
            false,
        );
    }

    /** For a formula, in LaTeX. */
    public static function latex(Value $value): string
    {
        return self::quotient(
            $value,
            static fn (string $numerator, string $denominator): string => "\\frac{{$numerator}}{{$denominator}}",
            true,
        );
    }

    /** @param  callable(string, string): string  $fraction */
    private static function quotient(Value $value, callable $fraction, bool $latex): string
    {
        $rational = $value->rational();
        if ($rational !== null) {
            return self::number($rational, $fraction);
        }
        $numerator = self::sum($value->numerator, $fraction, $latex);
        $denominator = $value->denominator->rational();
        if ($denominator !== null && $denominator->isEqualTo(1)) {
            return $numerator;
        }
        $bracketed = static fn (string $sum, Terms $terms): string => $latex || count($terms->terms) === 1
            ? $sum
            : "({$sum})";

        return $fraction(
            $bracketed($numerator, $value->numerator),
            $bracketed(self::sum($value->denominator, $fraction, $latex), $value->denominator),
        );
    }

    /** @param  callable(string, string): string  $fraction */
    private static function sum(Terms $terms, callable $fraction, bool $latex): string
    {
        $sum = '';
        foreach (array_reverse($terms->terms) as $term) {
            $written = self::term($term, $fraction, $latex);
            $sum .= match (true) {
                $sum === '' => $written,
                str_starts_with($written, '−') => ' − '.substr($written, strlen('−')),
                default => " + {$written}",
            };
        }

        return $sum;
    }

    /** @param  callable(string, string): string  $fraction */
    private static function term(Term $term, callable $fraction, bool $latex): string
    {
        $roots = $letters = '';
        foreach ($term->powers as $name => [$numerator, $denominator]) {
            $base = Term::isRoot($name) || Term::isNear($name) ? Term::figures($name) : $name;
            $power = $denominator === 1 ? (string) $numerator : "{$numerator}/{$denominator}";
            $written = match (true) {
                [$numerator, $denominator] === [1, 2] => $latex ? "\\sqrt{{$base}}" : "√{$base}",
                $power === '1' => $latex && $base === 'π' ? '\pi ' : $base,
                default => $latex ? "{$base}^{{$power}}" : $base.'^'.($denominator === 1 ? $power : "({$power})"),
            };
            if (Term::isRoot($name)) {
                $roots .= $written;
            } else {
                $letters .= $written;
            }
        }
        $factor = self::number($term->factor, $fraction);
        if ($roots.$letters === '') {
            return $factor;
        }

        return match ($factor) {
            '1' => '',
            '−1' => '−',
            default => str_contains($factor, '/') ? "({$factor})" : $factor,
        }.
            $roots.
            $letters;
    }

    /** @param  callable(string, string): string  $fraction */
    private static function number(BigRational $number, callable $fraction): string
    {
        $minus = $number->getSign() < 0 ? '−' : '';
        $number = $number->abs()->simplified();
        $rounded = $number->toScale(self::MOST_PLACES, RoundingMode::DOWN);
        if ($number->isEqualTo($rounded)) {
            $plain = (string) $rounded;

            return $minus.(str_contains($plain, '.') ? rtrim(rtrim($plain, '0'), '.') : $plain);
        }

        return $minus.$fraction((string) $number->getNumerator(), (string) $number->getDenominator());
    }
}
