<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Live\Clock;
use App\Models\Canvas;
use App\Models\Message;
use App\Models\Seat;
use App\Models\Show\Offer;
use Crag\Watch\SentWork;
use Illuminate\Support\Collection;

/** Somebody who waits for the teacher: at the door, with a hand up, for an answer, or with work to be looked at. */
final readonly class WaitingOne
{
    public const KNOCKS = 'knocks';

    public const HAND = 'hand';

    public const WROTE = 'wrote';

    public const OFFERS = 'offers';

    public const SENT = 'sent';

    /**
     * @param  int  $since  on the server's clock, in milliseconds
     * @param  string  $prompt  the id of the prompt that sent work is on
     */
    private function __construct(
        public string $kind,
        public Seat $seat,
        public int $since,
        public string $note = '',
        public string $prompt = '',
    ) {
    }

    public static function knocks(Seat $seat): self
    {
        return new self(self::KNOCKS, $seat, $seat->state_at_ms);
    }

    public static function offers(Offer $offer): self
    {
        return new self(self::OFFERS, $offer->seat, $offer->made_at_ms, $offer->words);
    }

    /** Sent work that no teacher has looked at since, nor checked. */
    public static function sent(Canvas $canvas, Seat $seat): ?self
    {
        $waits = SentWork::waits(
            $canvas->sent_at_ms,
            $canvas->check !== null,
            $canvas->looked_at_operation,
            $canvas->operation_count,
        );

        return $canvas->sent_at_ms === null || ! $waits
            ? null
            : new self(self::SENT, $seat, $canvas->sent_at_ms, prompt: $canvas->prompt_id);
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
            self::OFFERS => __('offers work'),
            self::SENT => __('sent'),
            default => __('wrote'),
        };
    }
}
