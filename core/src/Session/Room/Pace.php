<?php

declare(strict_types=1);

namespace Crag\Session\Room;

/** Who decides which prompt a student is on. */
enum Pace: string
{
    /** The teacher's prompt is everybody's. */
    case Together = 'together';
    /** Students move among the prompts that are open. */
    case Own = 'own';

    public function word(): string
    {
        return match ($this) {
            self::Together => 'Everyone on one prompt',
            self::Own => 'Each at their own pace',
        };
    }
}
