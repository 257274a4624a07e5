<?php

declare(strict_types=1);

namespace Crag\Checks;

/** How many canvases stand at each level, and how many have no check. */
final readonly class LevelTally
{
    /** @param  array<int, int>  $counts by level value */
    private function __construct(private array $counts, public int $unchecked)
    {
    }

    /** @param  iterable<?Level>  $levels one for each canvas; null for one without a check */
    public static function of(iterable $levels): self
    {
        $counts = array_fill_keys(array_column(Level::cases(), 'value'), 0);
        $unchecked = 0;
        foreach ($levels as $level) {
            if ($level === null) {
                $unchecked++;
            } else {
                $counts[$level->value]++;
            }
        }

        return new self($counts, $unchecked);
    }

    public function at(Level $level): int
    {
        return $this->counts[$level->value];
    }

    /** @return array{0: int, 1: int, 2: int, 3: int, unchecked: int} */
    public function toArray(): array
    {
        return [
            $this->at(Level::NoAttempt),
            $this->at(Level::NotYet),
            $this->at(Level::Nearly),
            $this->at(Level::Secure),
            'unchecked' => $this->unchecked,
        ];
    }
}
