<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** Chance that can be looked up again: the same seed and the same throw give the same number. */
final class Seeded
{
    /** Park and Miller, "Random number generators: good ones are hard to find", CACM 31 (1988). */
    private const MODULUS = 2147483647;

    private const MULTIPLIER = 48271;

    /** How many throws a button does at once. */
    private const AT_ONCE = [1, 10, 100];

    /** One of 0 to count − 1, for a seed and the number of the throw. */
    public static function at(int $seed, int $n, int $count): int
    {
        $x = ($seed * 7919 + $n * 104729 + 1009) % self::MODULUS;
        for ($i = 0; $i < 4; $i++) {
            $x = ($x * self::MULTIPLIER + 11) % self::MODULUS;
        }

        return $x % $count;
    }

    /**
     * Buttons for one throw, ten and a hundred, and for starting again.
     *
     * @param  list<Said>  $labels  of the first three
     */
    public static function buttons(Sketch $sketch, string $name, array $labels, float $y): void
    {
        foreach ($labels as $i => $label) {
            $sketch->button($name, self::AT_ONCE[$i] ?? 1, $label, $i * 116, $y, 110);
        }
        $sketch->button('again', 0, Said::of('Start again'), 348, $y, 150);
    }
}
