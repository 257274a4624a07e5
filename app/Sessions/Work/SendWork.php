<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Act;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Models\Seat;
use App\Models\Teachers\Teacher;
use App\Sessions\Checks\ReadWork;
use App\Sessions\Room\EachSeat;
use App\Sessions\Room\Hands;
use App\Sessions\Room\RoomState;
use Crag\Session\Room\ActKind;
use Crag\Session\Room\ShortMessage;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/** A student sends a canvas to the teacher, or takes it back; covered work is revealed. */
final readonly class SendWork
{
    public function __construct(
        private Announce $announce,
        private ReadWork $read,
        private Hands $hands,
        private RoomState $room,
    ) {
    }

    public function send(Seat $seat, Canvas $canvas, bool $isSent): void
    {
        DB::transaction(function () use ($seat, $canvas, $isSent): void {
            $canvas->update(['sent_at_ms' => $isSent ? Clock::ms() : null]);
            foreach ($canvas->seat?->people() ?? [] as $one) {
                $this->room->tellStudent($one->setRelation('session', $seat->session));
            }
            ($this->announce)($seat->session, Audience::desk($seat->session), 'sent', [
                'canvas' => $canvas->id,
                'isSent' => $isSent,
            ]);
            if ($canvas->prompt->ask_id !== null) {
                ($this->announce)($seat->session, Audience::desk($seat->session), 'answered', [
                    'ask' => $canvas->prompt->ask_id,
                ]);
                if ($seat->session->screen_view === ScreenView::Tally) {
                    // It says how many have sent theirs.
                    ($this->announce)($seat->session, Audience::screen($seat->session), 'screen', [
                        'view' => ScreenView::Tally->value,
                    ]);
                }
            }
            $words =
                $isSent && $canvas->prompt->reads_at_once
                    ? EachSeat::read(
                        $seat->id,
                        fn (): string => ReadWork::words(($this->read)($canvas, $seat)),
                        static fn (): string => '',
                    )
                    : '';
            if ($words !== '') {
                $this->hands->read($seat, $words, $this->read->shortName());
            }
        });
    }

    /** The work comes back for another try: it can be drawn on again, and the student is told. */
    public function again(Seat $seat, Canvas $canvas, Teacher $by): void
    {
        DB::transaction(function () use ($seat, $canvas, $by): void {
            if ($canvas->sent_at_ms !== null) {
                $this->send($seat, $canvas, false);
            }
            $words = __('Have another go at this (:prompt), then send it again.', [
                'prompt' => $canvas->prompt->title(),
            ]);
            $this->hands->remark($seat, ShortMessage::read($words), $by);
        });
    }

    /** All work on a prompt opens on the desks at once; nothing sent can be taken back from now on. */
    public function reveal(LiveSession $session, Prompt $prompt): Act
    {
        return DB::transaction(function () use ($session, $prompt): Act {
            $this->show($session, $prompt, true);

            return Act::note($session, ActKind::Reveal, $prompt, ['n' => $prompt->canvases()->count()], []);
        });
    }

    /** The work that was revealed is covered again. */
    public function cover(Act $act): void
    {
        $prompt = $act->session->prompts()->findOrFail($act->prompt_id);
        DB::transaction(fn () => $this->show($act->session, $prompt, false));
    }

    private function show(LiveSession $session, Prompt $prompt, bool $isRevealed): void
    {
        $prompt->update(['revealed_at_ms' => $isRevealed ? Clock::ms() : null]);
        ($this->announce)($session, Audience::desk($session), 'reveal', ['prompt' => $prompt->id]);
        foreach ($prompt->canvases()->with('seat.members.seat')->get() as $canvas) {
            foreach ($canvas->seat?->people() ?? [] as $seat) {
                $this->room->tellStudent($seat->setRelation('session', $session));
            }
        }
        $this->room->tell($session);
    }
}
