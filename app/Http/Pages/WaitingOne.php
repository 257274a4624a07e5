<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Live\Clock;
use App\Models\Message;
use App\Models\Seat;
use Illuminate\Support\Collection;

/** Somebody who waits for the teacher: at the door, with a hand up, or for an answer. */
final readonly class WaitingOne
{
    public const KNOCKS = 'knocks';

    public const HAND = 'hand';

    public const WROTE = 'wrote';

    /** @param  int  $since  on the server's clock, in milliseconds */
    private function __construct(public string $kind, public Seat $seat, public int $since, public string $note = '')
    {
    }

    public static function knocks(Seat $seat): self
    {
        return new self(self::KNOCKS, $seat, $seat->state_at_ms);
    }

    /** @param  ?Collection<int, Message>  $messages  the oldest first */
    public static function of(Seat $seat, ?Collection $messages): ?self
    {
        $last = $messages?->last();
        if ($seat->hand_at_ms !== null) {
            $note = $messages?->last(
                static fn (Message $one): bool => $one->isFromStudent() && $one->made_at_ms >= $seat->hand_at_ms,
            );

            return new self(self::HAND, $seat, $seat->hand_at_ms, $note->words ?? '');
        }
        $isOpen = $last !== null && $last->isFromStudent() && $last->made_at_ms > $seat->seen_to_at_ms;

        return $isOpen ? new self(self::WROTE, $seat, $last->made_at_ms, $last->words) : null;
    }

    public function isComing(): bool
    {
        return $this->kind === self::HAND && $this->seat->coming_at_ms !== null;
    }

    /** Whole minutes. */
    public function minutes(): int
    {
        return intdiv(max(0, Clock::ms() - $this->since), 60_000);
    }

    public function word(): string
    {
        return match ($this->kind) {
            self::KNOCKS => __('knocks'),
            self::HAND => __('hand up'),
            default => __('wrote'),
        };
    }
}
