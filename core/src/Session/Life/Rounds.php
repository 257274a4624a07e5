<?php

declare(strict_types=1);

namespace Crag\Session\Life;

/**
 * What ends and forgets by itself goes by the clock, which may be wrong: a machine's battery, a wrong date, days
 * without power. After a gap between two rounds nothing ends for a while, and nothing is forgotten for hours: long
 * enough for somebody to notice.
 */
final readonly class Rounds
{
    /** Rounds are seconds apart; what is longer is a gap. */
    private const GAP_MS = 60 * 60 * 1000;

    /** Only a jump by days holds forgetting back: a machine that is switched off at night still forgets. */
    private const DAYS_MS = 24 * 60 * 60 * 1000;

    private const NOTHING_FORGOTTEN_MS = 6 * 60 * 60 * 1000;

    /**
     * @param  int  $lastMs  when the last round was
     * @param  ?int  $aliveFromMs  from when on sessions count as alive, at least; null for no gap
     * @param  ?int  $heldUntilMs  until when nothing is forgotten
     */
    private function __construct(public int $lastMs, public ?int $aliveFromMs, public ?int $heldUntilMs)
    {
    }

    public static function first(int $nowMs): self
    {
        return new self($nowMs, null, null);
    }

    /** @param  array<array-key, mixed>  $kept  as toArray gave it */
    public static function read(array $kept, int $nowMs): self
    {
        $int = static fn (string $name): ?int => is_int($kept[$name] ?? null) ? $kept[$name] : null;

        return $int('last') === null
            ? self::first($nowMs)
            : new self((int) $int('last'), $int('alive_from'), $int('held_until'));
    }

    /** The round of this moment. */
    public function at(int $nowMs): self
    {
        $gap = $nowMs - $this->lastMs;
        // Back in time is a jump too: what was held until a moment far ahead is held from now.
        if ($gap < -self::GAP_MS) {
            return new self($nowMs, $nowMs, $nowMs + self::NOTHING_FORGOTTEN_MS);
        }

        return new self(
            max($nowMs, $this->lastMs),
            $gap > self::GAP_MS ? $nowMs : $this->aliveFromMs,
            $gap > self::DAYS_MS ? $nowMs + self::NOTHING_FORGOTTEN_MS : $this->heldUntilMs,
        );
    }

    public function mayForget(int $nowMs): bool
    {
        return $this->heldUntilMs === null || $nowMs >= $this->heldUntilMs;
    }

    /** Whether this round came after a jump by days. */
    public function hasJumped(self $before): bool
    {
        return $this->heldUntilMs !== $before->heldUntilMs;
    }

    /** @return array{last: int, alive_from: ?int, held_until: ?int} */
    public function toArray(): array
    {
        return ['last' => $this->lastMs, 'alive_from' => $this->aliveFromMs, 'held_until' => $this->heldUntilMs];
    }
}
