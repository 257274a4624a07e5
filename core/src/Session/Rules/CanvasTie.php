<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

/** How somebody is tied to a canvas. What each may see and do there stands here, and nowhere else. */
enum CanvasTie: string
{
    /** The student's own. */
    case Own = 'own';
    /** Of a group that the student is in now. */
    case Member = 'member';
    /** Of a group that the student was in. */
    case Former = 'former';
    /** Of another student or another group, a lead canvas, private notes. */
    case None = 'none';

    /** @param  ?int  $untilMs  when the student left its group; null: is in it */
    public static function ofMember(bool $wasEver, ?int $untilMs): self
    {
        return match (true) {
            ! $wasEver => self::None,
            $untilMs === null => self::Member,
            default => self::Former,
        };
    }

    /** Its work, who draws there, and what the teacher writes on it. */
    public function sees(): bool
    {
        return $this === self::Own || $this === self::Member;
    }

    /** Whether what was drawn may arrive: what a former member drew before leaving may, and nothing else of theirs. */
    public function delivers(): bool
    {
        return $this !== self::None;
    }

    /** Whether they take it home when the session has ended, and their checks count it. */
    public function keeps(): bool
    {
        return $this !== self::None;
    }
}
