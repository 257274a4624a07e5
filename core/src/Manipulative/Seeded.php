<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** Chance that can be looked up again: the same seed and the same throw give the same number. */
final class Seeded
{
    /** Park and Miller, "Random number generators: good ones are hard to find", CACM 31 (1988). */
    private const MODULUS = 2147483647;

    private const MULTIPLIER = 48271;

    /** One of 0 to count − 1, for a seed and the number of the throw. */
    public static function at(int $seed, int $n, int $count): int
    {
        $x = ($seed * 7919 + $n * 104729 + 1009) % self::MODULUS;
        for ($i = 0; $i < 4; $i++) {
            $x = ($x * self::MULTIPLIER + 11) % self::MODULUS;
        }

        return $x % $count;
    }
}
