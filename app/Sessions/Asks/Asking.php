<?php

declare(strict_types=1);

namespace App\Sessions\Asks;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Room\RoomState;
use App\Sessions\Show\ShowToClass;
use Crag\Asks\Bar;
use Crag\Asks\Tally;
use Crag\Plan\PromptPages;
use Crag\Prompt\Question\Question;
use Crag\Session\Room\PromptState;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/** Quick asks: made, answered, closed, shown, asked again. One at a time is before the class. */
final readonly class Asking
{
    public function __construct(
        private Announce $announce,
        private RoomState $room,
        private ShowToClass $shown,
        private AskPads $pads,
    ) {
    }

    /**
     * @param  ?list<string>  $seats  who is asked; null for everybody
     * @param  bool  $onScreen  whether it stands on the class screen from the beginning
     * @param  ?PromptPages  $pad  what is drawn on, where it is answered by drawing
     */
    public function ask(
        LiveSession $session,
        Question $question,
        ?array $seats,
        ?int $seconds,
        bool $isAnonymous,
        ?Ask $again = null,
        bool $onScreen = false,
        ?PromptPages $pad = null,
        ?Run $run = null,
        string $picture = '',
        bool $isVote = false,
    ): Ask {
        return DB::transaction(function () use (
            $session,
            $question,
            $seats,
            $seconds,
            $isAnonymous,
            $again,
            $onScreen,
            $pad,
            $run,
            $picture,
            $isVote,
        ): Ask {
            $this->end($session);
            $now = Clock::ms();
            $last = Ask::query()->where('live_session_id', $session->id)->max('n');
            $ask = Ask::query()->create([
                'live_session_id' => $session->id,
                'n' => (is_numeric($last) ? (int) $last : 0) + 1,
                'question' => $question,
                'seats' => $seats,
                'is_anonymous' => $isAnonymous,
                'made_at_ms' => $now,
                'ends_at_ms' => $seconds === null ? null : $now + $seconds * 1000,
                'again_of_id' => $again?->id,
                'run_id' => $run?->id,
                'picture' => $picture,
                'is_vote' => $isVote,
                'screen_before' => $onScreen ? $this->screenBefore($session, $again) : null,
            ]);
            if ($pad !== null) {
                ($this->pads)($session, $ask, $pad);
            }
            $session->update(
                ['ask_id' => $ask->id] + ($onScreen ? ['screen_view' => ScreenView::Tally] : []),
            );
            $this->tell($session);

            return $ask;
        });
    }

    /** What the class screen goes back to: of an ask that follows another, what stood there before that one. */
    private function screenBefore(LiveSession $session, ?Ask $again): ScreenView
    {
        return $session->screen_view === ScreenView::Tally
            ? $again->screen_before ?? $session->ask->screen_before ?? ScreenView::Prompt
            : $session->screen_view;
    }

    /** So much longer, though its time be up; one without an end gets one. */
    public function longer(LiveSession $session, Ask $ask, int $seconds): void
    {
        DB::transaction(function () use ($session, $ask, $seconds): void {
            $now = Clock::ms();
            $ask->update(['closed_at_ms' => null, 'ends_at_ms' => max($now, $ask->ends_at_ms ?? 0) + $seconds * 1000]);
            $ask->drawings()->update(['state' => PromptState::Open, 'closes_at_ms' => $ask->ends_at_ms]);
            $this->tell($session);
        });
    }

    /** Words that follow what was asked aloud; the answers so far stay. */
    public function reword(LiveSession $session, Ask $ask, Question $question): void
    {
        DB::transaction(function () use ($session, $ask, $question): void {
            $ask->update(['question' => $question]);
            $ask->drawings()->update(['words' => $question->words]);
            $this->tell($session);
        });
    }

    /** From hidden to the bars, from these to the right answer, and hidden again. */
    public function step(LiveSession $session, Ask $ask): void
    {
        $hasMore = $ask->question->asked->hasKey() && ! $ask->is_right_shown;
        match (true) {
            ! $ask->is_tally_shown => $this->show($session, $ask, true, null),
            $hasMore => $this->show($session, $ask, null, true),
            default => $this->show($session, $ask, false, false),
        };
    }

    /** No more answers are taken; it stays before the class until it is put away. */
    public function close(LiveSession $session, Ask $ask): void
    {
        DB::transaction(function () use ($session, $ask): void {
            $ask->update(['closed_at_ms' => $ask->closed_at_ms ?? Clock::ms()]);
            $this->pads->close($ask->drawings());
            $this->tell($session);
        });
    }

    public function putAway(LiveSession $session): void
    {
        DB::transaction(function () use ($session): void {
            $this->end($session);
            $session->update([
                'ask_id' => null,
                'screen_view' => $session->screen_view === ScreenView::Tally
                    ? $session->ask->screen_before ?? ScreenView::Prompt
                    : $session->screen_view,
            ]);
            $this->tell($session);
        });
    }

    /** What everybody may see of it. */
    public function show(LiveSession $session, Ask $ask, ?bool $tally, ?bool $right): void
    {
        DB::transaction(function () use ($session, $ask, $tally, $right): void {
            $ask->update(array_filter(['is_tally_shown' => $tally, 'is_right_shown' => $right], is_bool(...)));
            $this->tell($session);
        });
    }

    /**
     * The student's page hears of its own answer too: something that was told a moment before, and comes a moment
     * after, must not be its last word.
     *
     * @param  mixed  $value  checked by the question; null takes the answer back
     */
    public function answer(Ask $ask, Seat $seat, mixed $value): void
    {
        DB::transaction(function () use ($ask, $seat, $value): void {
            // What the request read at its beginning may have been shown, or closed, since.
            $ask->refresh();
            $ask->session->refresh();
            abort_unless($ask->isOpen(Clock::ms()), 409, __('This is closed, so no more answers can come in.'));
            $ask->answers()->create([
                'voter' => $ask->voter($seat),
                'value' => ['value' => $value],
                'made_at_ms' => Clock::ms(),
            ]);
            ($this->announce)($ask->session, Audience::desk($ask->session), 'answered', ['ask' => $ask->id]);
            if ($ask->is_tally_shown) {
                $this->tell($ask->session);

                return;
            }
            $this->room->tellStudent($seat->setRelation('session', $ask->session));
            if ($ask->session->screen_view === ScreenView::Tally) {
                // It says how many have answered.
                ($this->announce)($ask->session, Audience::screen($ask->session), 'screen', [
                    'view' => ScreenView::Tally->value,
                ]);
            }
        });
    }

    /**
     * @return array<string, mixed>|null what a student's page knows of the present ask; null where there is none for
     *      this student
     */
    public static function toStudent(Seat $seat): ?array
    {
        $ask = $seat->session->ask;
        if ($ask === null || ! $ask->isFor($seat)) {
            return null;
        }
        $question = $ask->question;
        $pad = $ask->drawings;
        $mine = $ask->answers()->where('voter', $ask->voter($seat))->reorder('id', 'desc')->first();

        return [
            'id' => $ask->id,
            'n' => $ask->n,
            'question' => $question->forStudent($ask->id),
            'picture' => $ask->picture,
            'ends' => $ask->ends_at_ms,
            'isOpen' => $ask->isOpen(Clock::ms()),
            'isAnonymous' => $ask->is_anonymous,
            'mine' => $mine?->value['value'],
            // Where it is answered by drawing: the canvas, once the page has asked for it, and whether it is sent.
            'pad' => $pad === null ? null : AskPads::told($pad, $seat),
            'tally' => $ask->is_tally_shown ? self::bars($ask->tally(), $ask->is_right_shown) : null,
            'right' => $ask->is_right_shown && $question->asked->hasKey() ? $question->asked->key() : null,
        ];
    }

    /**
     * @return array{ends: ?int, run: ?string, at: int, looked: bool, steps: ?int}|null
     *      the ask or the card before the class, so that every desk can count down and move its run on
     */
    public static function underWay(LiveSession $session): ?array
    {
        $ask = $session->ask;
        $run = $session->run?->isOver() === false ? $session->run : null;
        if ($ask === null && $run === null) {
            return null;
        }

        return [
            'ends' => $ask === null ? $run?->ends_at_ms : ($ask->isOpen(Clock::ms()) ? $ask->ends_at_ms : null),
            'run' => $run?->id,
            'at' => $run->at ?? 0,
            'looked' => $run?->looked_at_ms !== null,
            'steps' => $run?->stepsAt($ask),
        ];
    }

    /**
     * @return array{answered: int, bars: list<array{label: string, count: int, outcome: ?string}>, middle: ?string}
     *      counts alone: nobody is named
     */
    public static function bars(Tally $tally, bool $isRightShown): array
    {
        return [
            'answered' => $tally->answered,
            'bars' => array_map(
                static fn (Bar $bar): array => [
                    'label' => $bar->label,
                    'count' => $bar->count(),
                    'outcome' => $isRightShown ? $bar->outcome?->value : null,
                ],
                $tally->bars,
            ),
            'middle' => $tally->middle,
        ];
    }

    private function end(LiveSession $session): void
    {
        $open = Ask::query()->where('live_session_id', $session->id)->whereNull('closed_at_ms');
        $this->pads->close($session->allPrompts()->whereIn('ask_id', (clone $open)->select('id')));
        $open->update(['closed_at_ms' => Clock::ms()]);
    }

    /** Each page hears what it has to ask; the class screen shows the tally anew. */
    private function tell(LiveSession $session): void
    {
        $session->unsetRelation('ask');
        foreach ($session->seated()->with('messages')->get() as $seat) {
            $this->room->tellStudent($seat->setRelation('session', $session));
        }
        ($this->announce)($session, Audience::desk($session), 'ask');
        $this->shown->again($session);
    }
}
