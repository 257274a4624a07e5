<?php

declare(strict_types=1);

namespace App\Sessions\Asks;

use App\Database\Turn;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Asks\Ask;
use App\Models\Asks\Run;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Room\EachSeat;
use App\Sessions\Room\RoomState;
use App\Sessions\Show\LineUp;
use App\Sessions\Show\ShowToClass;
use Crag\Asks\Card;
use Crag\Asks\CardKind;
use Crag\Asks\Look;
use Crag\Asks\Teams;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/**
 * Quick asks one after the other, with what everyone looks at between them: by themselves when a time is up, or by the
 * teacher; at the end how everybody did.
 */
final readonly class RunAsks
{
    public function __construct(
        private Asking $asking,
        private Announce $announce,
        private RoomState $room,
        private ShowToClass $shown,
        private LineUp $lineUp,
        private ShowOneOfEach $oneOfEach,
    ) {
    }

    /**
     * @param  list<Card>  $cards
     * @param  int  $seconds  for each card that has no time of its own
     */
    public function start(
        LiveSession $session,
        array $cards,
        int $seconds,
        bool $isAuto,
        bool $onScreen,
        ?Teams $teams,
    ): Run {
        return DB::transaction(function () use ($session, $cards, $seconds, $isAuto, $onScreen, $teams): Run {
            Run::query()
                ->where('live_session_id', $session->id)
                ->whereNull('ended_at_ms')
                ->update(['ended_at_ms' => Clock::ms()]);
            $run = Run::query()->create([
                'live_session_id' => $session->id,
                'cards' => array_map(static fn (Card $card): array => $card->toArray(), $cards),
                'seconds' => $seconds,
                'is_auto' => $isAuto,
                'teams' => $teams,
                'on_screen' => $onScreen,
                'screen_before' => $session->screen_view->without(ScreenView::Tally)->without(ScreenView::Run),
            ]);
            $session->run()->associate($run);
            $session->save();
            $this->go($session, $run);

            return $run;
        });
    }

    /**
     * One step on: the answers, if they are to be seen before it goes on, or the next card.
     *
     * @param  int  $at  the card that was before the class
     * @param  bool  $isLookedAt  whether its answers were: a second word about the same step changes nothing
     */
    public function next(LiveSession $session, Run $run, int $at, bool $isLookedAt): void
    {
        DB::transaction(function () use ($session, $run, $at, $isLookedAt): void {
            $run->refresh();
            if ($run->isOver() || $run->at !== $at || ($run->looked_at_ms !== null) !== $isLookedAt) {
                return;
            }
            $card = $run->card();
            if ($card?->isLookedAtFirst($run->looked_at_ms) === true && $session->ask?->run_id === $run->id) {
                $run->update(['looked_at_ms' => Clock::ms()]);
                $this->asking->close($session, $session->ask);
                $this->asking->show($session, $session->ask, true, $card->look === Look::Right ? true : null);

                return;
            }
            $this->go($session, $run);
        });
    }

    private function go(LiveSession $session, Run $run): void
    {
        $this->takeDown($session, $run);
        $card = $run->card($run->at + 1);
        if ($card === null) {
            $this->end($session, $run);

            return;
        }
        $run->update([
            'at' => $run->at + 1,
            'looked_at_ms' => null,
            'ends_at_ms' => $run->is_auto ? Clock::ms() + $card->lasts($run->seconds) * 1000 : null,
            'teams' => $run->teams?->with($session->seated()->pluck('id')->map(strval(...))->values()->all()),
        ]);
        match ($card->kind) {
            CardKind::Ask => $this->ask($session, $run, $card),
            CardKind::Worked => $this->standStill($session, $run, ScreenView::Run),
            CardKind::Work => $this->work($session, $run),
        };
    }

    /** What a card put on the class screen goes with it; what the teacher put there meanwhile stays. */
    private function takeDown(LiveSession $session, Run $run): void
    {
        $own = match ($run->card()?->kind) {
            CardKind::Worked => ScreenView::Run,
            CardKind::Work => ScreenView::Showcase,
            default => null,
        };
        if ($own !== null && $session->screen_view === $own) {
            $session->update(['screen_view' => $run->screen_before ?? ScreenView::Prompt]);
        }
    }

    private function ask(LiveSession $session, Run $run, Card $card): void
    {
        if ($card->question === null) {
            return;
        }
        $ask = $this->asking->ask(
            $session,
            $card->question,
            null,
            $card->lasts($run->seconds),
            false,
            onScreen: $run->on_screen,
            run: $run,
            picture: $card->picture,
        );
        $ask->update(['screen_before' => $run->screen_before]);
    }

    /** No ask is before the class; what is, stands on the class screen. */
    private function standStill(LiveSession $session, Run $run, ScreenView $view): void
    {
        $this->asking->putAway($session);
        if ($run->on_screen) {
            $session->update(['screen_view' => $view]);
        }
        $this->tell($session);
    }

    /** The next of the line-up, or one canvas for each answer to the ask before. */
    private function work(LiveSession $session, Run $run): void
    {
        $before = $run->asks()->reorder('n', 'desc')->first();
        $this->asking->putAway($session);
        if (! $this->lineUp->step($session, 1) && $before !== null) {
            ($this->oneOfEach)($session, $before);
        }
        $this->tell($session);
    }

    public function end(LiveSession $session, Run $run): void
    {
        DB::transaction(function () use ($session, $run): void {
            $run->update(['ended_at_ms' => $run->ended_at_ms ?? Clock::ms(), 'ends_at_ms' => null]);
            $this->asking->putAway($session);
            $this->takeDown($session, $run);
            $this->tell($session);
        });
    }

    /** Whether the class sees how everybody did: each their own count, the class screen no single name. */
    public function show(LiveSession $session, Run $run, bool $isShown): void
    {
        DB::transaction(function () use ($session, $run, $isShown): void {
            $run->update(['is_shown' => $isShown]);
            $session->update([
                'run_id' => $run->id,
                'screen_view' => $isShown ? ScreenView::Run : $session->screen_view->without(ScreenView::Run),
            ]);
            $this->tell($session);
        });
    }

    /** A run that is over leaves the desk and the class screen; the record keeps it. */
    public function putAway(LiveSession $session, Run $run): void
    {
        DB::transaction(function () use ($session, $run): void {
            $this->show($session, $run, false);
            $session->update(['run_id' => null]);
            ($this->announce)($session, Audience::desk($session), 'ask');
        });
    }

    /** Every student's page, the desks and the class screen hear where the run is. */
    private function tell(LiveSession $session): void
    {
        $session->unsetRelation('run');
        foreach ($session->seated()->with('messages')->get() as $seat) {
            $this->room->tellStudent($seat->setRelation('session', $session));
        }
        ($this->announce)($session, Audience::desk($session), 'ask');
        $this->shown->again($session->refresh());
    }

    /** Runs whose desk is not there to move them on. */
    public function moveOn(): void
    {
        foreach (
            Run::query()
                ->where('is_auto', true)
                ->whereNull('ended_at_ms')
                ->whereIn('live_session_id', LiveSession::query()->whereNull('ended_at')->select('id'))
                ->with('session.ask')
                ->get() as $run
        ) {
            $session = $run->live_session_id;
            $inTurn = fn () => Turn::during([$session], fn () => $this->moveOnIfDue($run));
            EachSeat::read($session, $inTurn, static fn () => null);
        }
    }

    private function moveOnIfDue(Run $run): void
    {
        $due = $run->stepsAt($run->session->ask);
        if ($due !== null && Clock::ms() > $due) {
            $this->next($run->session, $run, $run->at, $run->looked_at_ms !== null);
        }
    }

    /**
     * @return array{team: ?string, result: array{right: int, of: int}|null, worked: array<string, mixed>|null}|null
     *      what a student's page knows of the run: null where there is none
     */
    public static function of(Seat $seat): ?array
    {
        $run = $seat->session->run_id === null ? null : Run::query()->find($seat->session->run_id);
        if ($run === null) {
            return null;
        }
        $result = $run->is_shown ? $run->result() : null;
        $card = $run->isOver() ? null : $run->card();

        return [
            'team' => $run->isOver() && ! $run->is_shown ? null : $run->teams?->of($seat->id),
            'result' => isset($result->right[$seat->id])
                ? ['right' => $result->right[$seat->id], 'of' => $result->of]
                : null,
            'worked' => $card?->kind === CardKind::Worked
                ? ['id' => "{$run->id} {$run->at}", 'words' => $card->words, 'picture' => $card->picture]
                : null,
        ];
    }
}
