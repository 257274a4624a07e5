<?php

declare(strict_types=1);

namespace Crag\Session\Room;

use Crag\Canvas\Log\LateInk;
use Crag\Session\Rules\Refusal;

/**
 * Whether ink that arrives may go onto its canvas now. What was made before drawing was stopped counts, however late it
 * comes; what was made after is held back on the device that made it, and lost by nobody.
 */
final readonly class MayDraw
{
    /** For the stroke that was under way, whatever a device's clock says. */
    public const ON_THE_WAY_MS = 3_000;

    /**
     * @param  array<string, int>  $since  since when drawing is stopped, by the {@see Refusal}'s value; milliseconds
     *      since 1970
     */
    private function __construct(private array $since)
    {
    }

    public static function always(): self
    {
        return new self([]);
    }

    /** The same, stopped besides since then; null: not stopped. */
    public function stopped(Refusal $why, ?int $sinceMs): self
    {
        return $sinceMs === null ? $this : new self($this->since + [$why->value => $sinceMs]);
    }

    /**
     * @param  int  $madeAtMs  by the page's own clock, set after the server's
     * @return ?Refusal why it is held back
     */
    public function holdsBack(int $madeAtMs, int $nowMs): ?Refusal
    {
        foreach ($this->since as $why => $sinceMs) {
            $passed = $nowMs - $sinceMs;
            $late =
                $passed <= self::ON_THE_WAY_MS ||
                ($madeAtMs <= $sinceMs + self::ON_THE_WAY_MS && $passed <= LateInk::GRACE_MS);
            if (! $late) {
                return Refusal::from($why);
            }
        }

        return null;
    }
}
