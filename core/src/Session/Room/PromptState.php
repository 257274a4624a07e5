<?php

declare(strict_types=1);

namespace Crag\Session\Room;

/** How far a prompt of a session is. */
enum PromptState: string
{
    /** Students do not know of it. */
    case Unseen = 'unseen';
    case Open = 'open';
    /** It can be looked at; no more work on it is taken. */
    case Closed = 'closed';
    /** Left out of this session. */
    case Skipped = 'skipped';

    public function word(): string
    {
        return match ($this) {
            self::Unseen => 'not opened yet',
            self::Open => 'open',
            self::Closed => 'closed',
            self::Skipped => 'skipped',
        };
    }

    /** Whether nobody goes on with it: it is closed, or the class has gone on together. */
    public function isOver(Pace $pace, bool $isPresent): bool
    {
        return $this === self::Closed || ($pace === Pace::Together && ! $isPresent);
    }

    public function isSeen(): bool
    {
        return $this === self::Open || $this === self::Closed;
    }
}
