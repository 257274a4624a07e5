<?php

declare(strict_types=1);

namespace App\Sessions\Show;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Show\Offer;
use Crag\Canvas\Drawing\CutOut;
use Crag\Session\Screen\OfferState;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/** What students offer to the class: it waits for the teacher, and stands on a page of its own once it is accepted. */
final readonly class Offering
{
    public function __construct(private Announce $announce, private ShowToClass $shown)
    {
    }

    public function offer(Seat $seat, Canvas $canvas, string $page, ?CutOut $cut, string $words): Offer
    {
        return DB::transaction(function () use ($seat, $canvas, $page, $cut, $words): Offer {
            $offer = Offer::query()->create([
                'live_session_id' => $seat->live_session_id,
                'seat_id' => $seat->id,
                'canvas_id' => $canvas->id,
                'page' => $page,
                'at_operation' => $canvas->operation_count,
                'cut' => $cut,
                'words' => $words,
                'made_at_ms' => Clock::ms(),
            ]);
            if ($seat->session->board->isOpen) {
                $this->accept($seat->session, $offer);
            } else {
                $this->tell($seat->session);
            }

            return $offer;
        });
    }

    public function accept(LiveSession $session, Offer $offer): void
    {
        $this->place($session, $offer, 0, null, ['state' => OfferState::Accepted]);
    }

    /** It vanishes quietly: its student is told nothing. */
    public function decline(LiveSession $session, Offer $offer): void
    {
        DB::transaction(function () use ($session, $offer): void {
            $offer->update(['state' => OfferState::Declined]);
            $this->tell($session);
        });
    }

    /**
     * In a column, before what stands at a place of it now; at its end without one.
     *
     * @param  array<string, mixed>  $also
     */
    public function place(LiveSession $session, Offer $offer, int $column, ?int $at, array $also = []): void
    {
        DB::transaction(function () use ($session, $offer, $column, $at, $also): void {
            $accepted = Offer::query()
                ->where('live_session_id', $session->id)
                ->where('state', OfferState::Accepted);
            $last = (clone $accepted)->where('column', $column)->max('place');
            $number = Offer::query()->where('live_session_id', $session->id)->max('number');
            $offer->update($also + [
                'column' => $column,
                'place' => (is_numeric($last) ? (int) $last : 0) + 1,
                // By it the class votes: it stays with the work wherever that moves.
                'number' => $offer->number > 0 ? $offer->number : (is_numeric($number) ? (int) $number : 0) + 1,
            ]);
            if ($at !== null) {
                $ids = $accepted->where('column', $column)->orderBy('place')->pluck('id')->all();
                $ids = array_values(array_diff($ids, [$offer->id]));
                array_splice($ids, $at, 0, [$offer->id]);
                $this->number($ids);
            }
            $this->tell($session);
        });
    }

    /** @param  list<string>  $ids  offers, in the order in which they stand in their column */
    private function number(array $ids): void
    {
        foreach ($ids as $i => $id) {
            Offer::query()
                ->whereKey($id)
                ->update(['place' => $i + 1]);
        }
    }

    /** @param  list<int>  $order  each column's place until now, from left to right */
    public function columns(LiveSession $session, array $order): void
    {
        DB::transaction(function () use ($session, $order): void {
            $board = $session->board->inOrder($order);
            if ($board === null) {
                return;
            }
            $session->update(['board' => $board]);
            $to = array_flip($order);
            foreach ($session->offers()->get() as $offer) {
                $offer->update(['column' => $to[$offer->column] ?? 0]);
            }
            $this->tell($session);
        });
    }

    /**
     * @param  ?list<string>  $headings  of the columns, from left to right; null leaves them as they are
     * @param  ?bool  $isOpen  whether what is offered stands there without being looked at first
     */
    public function arrange(LiveSession $session, ?array $headings, ?bool $isOpen): void
    {
        DB::transaction(function () use ($session, $headings, $isOpen): void {
            $session->update(['board' => $session->board->arranged($headings, $isOpen)]);
            $last = $session->board->lastColumn();
            Offer::query()
                ->where('live_session_id', $session->id)
                ->where('column', '>', $last)
                ->update(['column' => $last]);
            if ($isOpen === true) {
                $session
                    ->offers()
                    ->where('state', OfferState::Waiting)
                    ->get()
                    ->each(fn (Offer $offer) => $this->accept($session, $offer));
            }
            $this->tell($session);
        });
    }

    private function tell(LiveSession $session): void
    {
        ($this->announce)($session, Audience::desk($session), 'offer');
        if ($session->screen_view === ScreenView::Board) {
            $this->shown->again($session);
        }
    }
}
