<?php

declare(strict_types=1);

namespace Crag\Construct;

/**
 * Values that are exact where points stand on halves, thirds, quarters, fifths, eighths or tenths of the axes: lengths
 * as roots, slopes as fractions.
 */
final class Exact
{
    private const DENOMINATORS = [1, 2, 3, 4, 5, 8, 10];

    /** A place is stored in tenths of a unit of the page: so much may be missing. */
    private const SLACK = 0.001;

    private const LARGEST_ROOT = 999;

    /** The length of a way, such as 5, 2√5 or √2/3; null where it is no such value. */
    public static function length(float $x, float $y): ?string
    {
        [$p, $q] = [self::fraction($x), self::fraction($y)];
        if ($p === null || $q === null) {
            return null;
        }
        $over = intdiv($p[1] * $q[1], self::divisor($p[1], $q[1]));
        $square = ($p[0] * intdiv($over, $p[1])) ** 2 + ($q[0] * intdiv($over, $q[1])) ** 2;
        $out = 1;
        for ($k = (int) floor(sqrt($square)); $k > 1; $k--) {
            if ($square % ($k * $k) === 0) {
                $out = $k;
                break;
            }
        }
        $root = intdiv($square, $out * $out);
        if ($square === 0 || $root > self::LARGEST_ROOT) {
            return $square === 0 ? '0' : null;
        }
        $common = self::divisor($out, $over);
        [$times, $under] = [intdiv($out, $common), intdiv($over, $common)];
        $above = $root === 1 ? (string) $times : ($times === 1 ? '' : (string) $times)."√{$root}";

        return $under === 1 ? $above : "{$above}/{$under}";
    }

    /** How much it goes up for one to the right, such as 3/5 or −2; null where it is no such value, or upright. */
    public static function slope(float $x, float $y): ?string
    {
        [$p, $q] = [self::fraction($x), self::fraction($y)];
        if ($p === null || $q === null || $p[0] === 0) {
            return null;
        }
        [$above, $under] = [$q[0] * $p[1], $q[1] * $p[0]];
        $common = self::divisor(abs($above), abs($under));
        [$above, $under] = [intdiv($above, $common), intdiv($under, $common)];
        $sign = $above !== 0 && ($above < 0) !== ($under < 0) ? '−' : '';

        return $sign.abs($above).(abs($under) === 1 ? '' : '/'.abs($under));
    }

    /** @return array{int, int}|null */
    private static function fraction(float $value): ?array
    {
        foreach (self::DENOMINATORS as $under) {
            $above = (int) round($value * $under);
            if (abs($value * $under - $above) < self::SLACK * $under) {
                return [$above, $under];
            }
        }

        return null;
    }

    private static function divisor(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return max(1, $a);
    }
}
