<?php

declare(strict_types=1);

namespace Crag\Classes;

/** The seat numbers of a class that nobody has yet. */
final class FreeSeats
{
    private int $next = 1;

    /** @param  array<int, true>  $taken */
    private function __construct(private array $taken)
    {
    }

    /** @param  iterable<int>  $taken */
    public static function besides(iterable $taken): self
    {
        $numbers = [];
        foreach ($taken as $n) {
            $numbers[$n] = true;
        }

        return new self($numbers);
    }

    /** The number that is wanted, or the lowest that is free where somebody has it; from then on it is taken. */
    public function take(int $wanted): int
    {
        $n = $wanted;
        while (isset($this->taken[$n])) {
            $n = $this->next++;
        }
        $this->taken[$n] = true;

        return $n;
    }

    public function count(): int
    {
        return count($this->taken);
    }
}
