<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** Numbers and lists as one writes them. */
final class Written
{
    /** With a true minus sign. */
    public static function whole(int $value): string
    {
        return $value < 0 ? '−'.(-$value) : (string) $value;
    }

    /** A fraction in its lowest terms; a whole number where it is one. */
    public static function fraction(int $numerator, int $denominator): string
    {
        $common = self::gcd(abs($numerator), $denominator);
        $sign = $numerator < 0 ? '−' : '';
        $top = intdiv(abs($numerator), $common);
        $bottom = intdiv($denominator, $common);

        return $bottom === 1 ? $sign.$top : $sign.$top.'/'.$bottom;
    }

    public static function gcd(int $a, int $b): int
    {
        while ($b !== 0) {
            $rest = $a % $b;
            $a = $b;
            $b = $rest;
        }

        return max(1, $a);
    }

    /** So many hundredths as a decimal: 1.35, 4. */
    public static function hundredths(int $value): string
    {
        $sign = $value < 0 ? '−' : '';
        $rest = abs($value) % 100;
        $whole = intdiv(abs($value), 100);
        if ($rest === 0) {
            return $sign.$whole;
        }

        $digits = $rest % 10 === 0 ? (string) intdiv($rest, 10) : ($rest < 10 ? '0' : '').$rest;

        return $sign.$whole.'.'.$digits;
    }

    /**
     * Words apart, as they were written with commas between them.
     *
     * @return list<string>
     */
    public static function parts(string $words): array
    {
        $parts = [];
        foreach (explode(',', $words) as $part) {
            if (trim($part) !== '') {
                $parts[] = trim($part);
            }
        }

        return $parts;
    }

    /** @param  list<int>  $values */
    public static function list(array $values): string
    {
        return implode(', ', array_map(static fn (int $one): string => self::whole($one), $values));
    }
}
