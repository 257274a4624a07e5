<?php

declare(strict_types=1);

namespace Crag\Practice;

/** Numbers and terms as they stand in words and in formulas. */
final class Write
{
    /** With the sign that is read. */
    public static function n(int|float $n): string
    {
        $written = is_int($n) ? (string) $n : rtrim(rtrim(number_format($n, 4, '.', ''), '0'), '.');

        return str_replace('-', '−', $written);
    }

    /** In brackets where it is negative and stands behind a sign. */
    public static function after(int $n): string
    {
        return $n < 0 ? '('.self::n($n).')' : (string) $n;
    }

    public static function fraction(int $numerator, int $denominator): string
    {
        return "\\dfrac{{$numerator}}{{$denominator}}";
    }

    /** In lowest terms, as it is typed. */
    public static function lowest(int $numerator, int $denominator): string
    {
        $divisor = self::gcd($numerator, $denominator);
        [$numerator, $denominator] = [intdiv($numerator, $divisor), intdiv($denominator, $divisor)];

        return $denominator === 1 ? (string) $numerator : "{$numerator}/{$denominator}";
    }

    public static function gcd(int $a, int $b): int
    {
        [$a, $b] = [abs($a), abs($b)];
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return max(1, $a);
    }

    /**
     * A sum of terms: coefficients by what they stand before, in order; what is nothing is left out.
     *
     * @param  array<string, int>  $terms
     */
    public static function sum(array $terms): string
    {
        $written = '';
        foreach (array_filter($terms) as $letters => $n) {
            $size = abs($n) === 1 && $letters !== '' ? '' : (string) abs($n);
            $sign = $n < 0 ? '-' : '+';
            $written .= $written === '' ? ($n < 0 ? '-' : '')."{$size}{$letters}" : " {$sign} {$size}{$letters}";
        }

        return $written === '' ? '0' : $written;
    }
}
