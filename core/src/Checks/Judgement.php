<?php

declare(strict_types=1);

namespace Crag\Checks;

/**
 * What a teacher found in one canvas: a mark for each aspect, points, a note in words. Any of it may be missing. Its
 * Strata level and how secure it is follow from the marks; without marks, from the points where the most that there
 * are is known.
 */
final readonly class Judgement
{
    public const LONGEST_NOTE = 600;

    /**
     * @param  array<int, int>  $marks  by place of the aspect: the place of the level on its scale
     * @param  ?float  $points  whole or half
     */
    private function __construct(
        public bool $isNoAttempt,
        public array $marks,
        public ?float $points,
        public string $note,
    ) {
    }

    public static function nothing(): self
    {
        return new self(false, [], null, '');
    }

    /**
     * @param  list<Aspect>  $aspects
     * @param  array<array-key, mixed>  $marks  by place of the aspect; null takes one away
     *
     * @throws InvalidJudgement
     */
    public static function of(
        array $aspects,
        bool $isNoAttempt,
        array $marks,
        ?float $points,
        string $note,
        ?float $mostPoints,
    ): self {
        $kept = [];
        foreach ($marks as $at => $mark) {
            if ($mark === null) {
                continue;
            }
            $aspect = is_int($at) ? $aspects[$at] ?? null : null;
            if ($aspect === null || ! is_int($mark) || ! $aspect->scale->has($mark)) {
                throw InvalidJudgement::noSuchLevel();
            }
            $kept[$at] = $mark;
        }
        if ($points !== null && ($points < 0 || floor($points * 2) !== $points * 2 || $points > ($mostPoints ?? 100))) {
            throw InvalidJudgement::badPoints($points, $mostPoints ?? 100);
        }
        $note = trim($note);
        if (mb_strlen($note) > self::LONGEST_NOTE) {
            throw InvalidJudgement::tooLong(self::LONGEST_NOTE);
        }

        return new self($isNoAttempt && $kept === [], $kept, $points, $note);
    }

    /**
     * The same with what a teacher changes; what is not named stays. A key on the first aspect's scale is its level;
     * the key for no attempt takes all marks away, no key takes the whole judgement away.
     *
     * @param  list<Aspect>  $aspects
     * @param  array{level?: ?int, marks?: array<array-key, mixed>, points?: ?float, note?: string}  $changes
     *
     * @throws InvalidJudgement
     */
    public function changed(array $aspects, array $changes, ?float $mostPoints): self
    {
        $marks = $this->marks;
        $isNone = $this->isNoAttempt;
        if (array_key_exists('level', $changes)) {
            if ($changes['level'] === null) {
                return self::nothing();
            }
            $mark = $aspects[0]->scale->markOfKey($changes['level']);
            $isNone = $mark === null;
            $marks = $isNone ? [] : [$mark] + $marks;
        }

        return self::of(
            $aspects,
            $isNone,
            array_replace($marks, $changes['marks'] ?? []),
            array_key_exists('points', $changes) ? $changes['points'] : $this->points,
            $changes['note'] ?? $this->note,
            $mostPoints,
        );
    }

    /**
     * One that was checked when it was made.
     *
     * @param  array<int, int>  $marks
     */
    public static function kept(bool $isNoAttempt, array $marks, ?float $points, string $note): self
    {
        return new self($isNoAttempt, $marks, $points, $note);
    }

    /** @return array{none: bool, marks: array<int, int>, points: ?float, note: string} */
    public function toArray(): array
    {
        return [
            'none' => $this->isNoAttempt,
            'marks' => $this->marks,
            'points' => $this->points,
            'note' => $this->note,
        ];
    }

    public function isEmpty(): bool
    {
        return ! $this->isNoAttempt && $this->marks === [] && $this->points === null && $this->note === '';
    }

    /**
     * @param  list<Aspect>  $aspects
     * @return ?float from 0 to 1; null where nothing was judged
     */
    public function share(array $aspects, ?float $mostPoints): ?float
    {
        if ($this->isNoAttempt) {
            return 0.0;
        }
        $shares = [];
        foreach ($this->marks as $at => $mark) {
            if (isset($aspects[$at])) {
                $shares[] = $aspects[$at]->scale->share($mark);
            }
        }
        if ($shares !== []) {
            return array_sum($shares) / count($shares);
        }

        return $this->points === null || $mostPoints === null || $mostPoints <= 0.0
            ? null
            : $this->points / $mostPoints;
    }

    /**
     * The Strata level: itself where Strata alone is checked.
     *
     * @param  list<Aspect>  $aspects
     */
    public function level(array $aspects, ?float $mostPoints): ?Level
    {
        if ($this->isNoAttempt) {
            return Level::NoAttempt;
        }
        if (count($aspects) === 1 && $aspects[0]->scale->isStrata && isset($this->marks[0])) {
            return Level::from($this->marks[0]);
        }
        $share = $this->share($aspects, $mostPoints);

        return $share === null ? null : Scale::level($share);
    }

    /**
     * In words, such as "Method: Nearly, Answer: Secure".
     *
     * @param  list<Aspect>  $aspects
     */
    public function words(array $aspects): string
    {
        if ($this->isNoAttempt) {
            return Level::NoAttempt->word();
        }
        $words = [];
        foreach ($aspects as $at => $aspect) {
            if (isset($this->marks[$at])) {
                $word = $aspect->scale->words[$this->marks[$at]];
                $words[] = $aspect->name === '' ? $word : "{$aspect->name}: {$word}";
            }
        }

        return implode(', ', $words);
    }
}
