<?php

declare(strict_types=1);

namespace App\Sessions\Room;

use App\Live\Audience;
use App\Live\Clock;
use App\Live\Publisher;
use App\Models\Seat;

/** Whether a student's page answers: it listens on a socket, or it asked a moment ago. */
final readonly class Presence
{
    private const POLL_MS = 7_000;

    public function __construct(private Publisher $publisher)
    {
    }

    public function isHere(Seat $seat): bool
    {
        return Clock::ms() - $seat->polled_at_ms <= self::POLL_MS ||
            $this->publisher->listeners(Audience::seat($seat)->channel) > 0;
    }
}
