<?php

declare(strict_types=1);

namespace Crag\Session\Rules;

/**
 * How a student is tied to a canvas on which they draw or drew. Who is tied to it in no way is not asked about: the
 * canvas is not found. What a former member drew before leaving may still arrive (MayDraw), and nothing else of theirs.
 */
enum CanvasTie: string
{
    /** The student's own. */
    case Own = 'own';
    /** Of a group that the student is in now. */
    case Member = 'member';
    /** Of a group that the student was in. */
    case Former = 'former';

    /** @param  ?int  $untilMs  when the student left the group; null: is in it */
    public static function ofMember(?int $untilMs): self
    {
        return $untilMs === null ? self::Member : self::Former;
    }

    /** Its work, who draws there, and what the teacher writes on it. */
    public function sees(): bool
    {
        return $this === self::Own || $this === self::Member;
    }
}
