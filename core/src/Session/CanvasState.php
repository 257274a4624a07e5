<?php

declare(strict_types=1);

namespace Crag\Session;

/** What a teacher wants to know of a canvas at a glance. */
enum CanvasState: string
{
    case NotStarted = 'not_started';
    case Drawing = 'drawing';
    case Quiet = 'quiet';
    case Away = 'away';

    /** A student who made a stroke within this time is drawing. */
    public const DRAWING_MS = 10_000;

    /** Quiet is worth a word from this time on; until then the student may just be thinking. */
    public const QUIET_MS = 60_000;

    /**
     * @param  ?int  $lastStrokeMs  when the student last wrote on this canvas; null for never
     * @param  int  $nowMs  on the same clock
     * @param  bool  $here  whether the student's page answers
     */
    public static function of(?int $lastStrokeMs, int $nowMs, bool $here): self
    {
        return match (true) {
            ! $here => self::Away,
            $lastStrokeMs === null => self::NotStarted,
            $nowMs - $lastStrokeMs <= self::DRAWING_MS => self::Drawing,
            default => self::Quiet,
        };
    }

    /** Whole minutes since the last stroke, as the word on a quiet tile counts them. */
    public static function quietMinutes(int $lastStrokeMs, int $nowMs): int
    {
        return max(0, intdiv($nowMs - $lastStrokeMs, self::QUIET_MS));
    }
}
