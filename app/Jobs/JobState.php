<?php

declare(strict_types=1);

namespace App\Jobs;

/** How far long work is that is done beside the lesson. */
enum JobState: string
{
    /** Before it: its pages are still to be chosen. */
    case Chosen = 'chosen';
    case Waiting = 'waiting';
    case Making = 'making';
    case Ready = 'ready';
    case Failed = 'failed';

    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Making;
    }
}
