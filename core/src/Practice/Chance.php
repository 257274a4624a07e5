<?php

declare(strict_types=1);

namespace Crag\Practice;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** What is drawn by lot, always the same for the same seed. */
final readonly class Chance
{
    private Randomizer $randomizer;

    public function __construct(string $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)));
    }

    public function from(int $least, int $most): int
    {
        return $this->randomizer->getInt($least, $most);
    }

    /** From one number to another, but for zero. */
    public function notZero(int $least, int $most): int
    {
        do {
            $n = $this->from($least, $most);
        } while ($n === 0);

        return $n;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $choices
     * @return T
     */
    public function among(array $choices): mixed
    {
        return $choices[$this->from(0, count($choices) - 1)];
    }

    /**
     * @template T
     *
     * @param  list<T>  $list
     * @return list<T>
     */
    public function mixed(array $list): array
    {
        return $this->randomizer->shuffleArray($list);
    }
}
