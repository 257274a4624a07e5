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
        return $this->among([$seat])[$seat->id];
    }

    /**
     * Of a whole class at once: one after the other each would wait for nginx.
     *
     * @param  iterable<Seat>  $seats
     * @return array<string, bool> by seat
     */
    public function among(iterable $seats): array
    {
        $now = Clock::ms();
        $here = $asked = [];
        foreach ($seats as $seat) {
            $here[$seat->id] = $now - $seat->polled_at_ms <= self::POLL_MS;
            if (! $here[$seat->id]) {
                $asked[$seat->id] = Audience::seat($seat)->channel;
            }
        }
        $listening = $this->publisher->listenersOfAll(array_values($asked));
        foreach ($asked as $id => $channel) {
            $here[$id] = $listening[$channel] > 0;
        }

        return $here;
    }
}
