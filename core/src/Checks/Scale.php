<?php

declare(strict_types=1);

namespace Crag\Checks;

use Crag\Json\UnreadableFields;

/** The levels of a check, from the lowest to the highest: Strata, or two to six with a teacher's own words. */
final readonly class Scale
{
    public const LEAST = 2;

    public const MOST = 6;

    private const LONGEST = 40;

    /** @param  list<string>  $words */
    private function __construct(public array $words, public bool $isStrata)
    {
    }

    public static function strata(): self
    {
        return new self(array_map(static fn (Level $level): string => $level->word(), Level::cases()), true);
    }

    /**
     * @param  list<string>  $words  lowest first; none for Strata
     *
     * @throws UnreadableFields
     */
    public static function of(array $words): self
    {
        if ($words === []) {
            return self::strata();
        }
        $words = array_map(trim(...), $words);
        if (count($words) < self::LEAST || count($words) > self::MOST) {
            throw UnreadableFields::badValue(
                'levels',
                'must be '.self::LEAST.' to '.self::MOST.', not '.count($words),
            );
        }
        foreach ($words as $word) {
            if ($word === '' || mb_strlen($word) > self::LONGEST) {
                throw UnreadableFields::badValue(
                    'levels',
                    "hold “{$word}”: each needs 1 to ".self::LONGEST.' characters',
                );
            }
        }

        return new self($words, false);
    }

    public function has(int $mark): bool
    {
        return isset($this->words[$mark]);
    }

    /**
     * The level that a key sets: on Strata the key is the level, on a teacher's own scale 1 is the lowest.
     *
     * @return ?int its place; null for no attempt
     */
    public function markOfKey(int $key): ?int
    {
        return $this->isStrata ? $key : ($key === 0 ? null : $key - 1);
    }

    /** @return int the place of the level that comes nearest to a Strata level */
    public function nearest(Level $level): int
    {
        return $this->isStrata
            ? $level->value
            : (int) round((max(0, $level->value - 1) / 2) * (count($this->words) - 1));
    }

    /** @return float from 0 for the lowest to 1 for the highest */
    public function share(int $mark): float
    {
        return $mark / (count($this->words) - 1);
    }

    /**
     * The Strata mark that stands for a share: No attempt is for work that is not there, so the lowest of a teacher's
     * own levels shows as Not yet.
     */
    public static function level(float $share): Level
    {
        return Level::from(1 + (int) round(2 * $share));
    }
}
