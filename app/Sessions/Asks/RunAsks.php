<?php

declare(strict_types=1);

namespace App\Sessions\Asks;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Asks\Run;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Room\EachSeat;
use App\Sessions\Room\RoomState;
use App\Sessions\Show\ShowToClass;
use Crag\Asks\AskLine;
use Crag\Session\Screen\ScreenView;
use Illuminate\Support\Facades\DB;

/** Quick asks one after the other: by themselves when a time is up, or by the teacher; at the end how everybody did. */
final readonly class RunAsks
{
    /** The answers to one stand before the class for so long before the next one comes. */
    public const PAUSE_MS = 4000;

    public function __construct(
        private Asking $asking,
        private Announce $announce,
        private RoomState $room,
        private ShowToClass $shown,
    ) {
    }

    /** @param  list<AskLine>  $lines */
    public function start(LiveSession $session, array $lines, int $seconds, bool $isAuto, bool $byTeams): Run
    {
        return DB::transaction(function () use ($session, $lines, $seconds, $isAuto, $byTeams): Run {
            $run = Run::query()->create([
                'live_session_id' => $session->id,
                'lines' => array_map(static fn (AskLine $line): string => $line->line, $lines),
                'seconds' => $seconds,
                'is_auto' => $isAuto,
                'by_teams' => $byTeams,
            ]);
            $session->update(['run_id' => $run->id]);
            $this->next($session, $run, 0);

            return $run;
        });
    }

    /** @param  int  $at  the one that was before the class: a second word about the same one changes nothing */
    public function next(LiveSession $session, Run $run, int $at): void
    {
        DB::transaction(function () use ($session, $run, $at): void {
            $run->refresh();
            if ($run->isOver() || $run->at !== $at) {
                return;
            }
            $line = $run->lines[$at] ?? null;
            if ($line === null) {
                $this->end($session, $run);

                return;
            }
            $run->update(['at' => $at + 1]);
            $line = AskLine::read($line);
            $ask = $this->asking->ask($session, $line->question, null, $line->seconds ?? $run->seconds, false);
            $ask->update(['run_id' => $run->id]);
        });
    }

    public function end(LiveSession $session, Run $run): void
    {
        DB::transaction(function () use ($session, $run): void {
            $run->update(['ended_at_ms' => $run->ended_at_ms ?? Clock::ms()]);
            $this->asking->putAway($session);
            ($this->announce)($session, Audience::desk($session), 'ask');
        });
    }

    /** Whether the class sees how everybody did: each the own count, the class screen no single name. */
    public function show(LiveSession $session, Run $run, bool $isShown): void
    {
        DB::transaction(function () use ($session, $run, $isShown): void {
            $run->update(['is_shown' => $isShown]);
            $session->update([
                'run_id' => $run->id,
                'screen_view' => $isShown ? ScreenView::Run : $session->screen_view->without(ScreenView::Run),
            ]);
            $session
                ->seated()
                ->get()
                ->each(fn (Seat $seat) => $this->room->tellStudent($seat->setRelation('session', $session)));
            ($this->announce)($session, Audience::desk($session), 'ask');
            $this->shown->again($session->refresh());
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
            EachSeat::read($run->live_session_id, fn () => $this->moveOnIfDue($run), static fn () => null);
        }
    }

    private function moveOnIfDue(Run $run): void
    {
        $ask = $run->session->ask;
        if (
            $ask === null ||
            ($ask->run_id === $run->id && $ask->ends_at_ms !== null && Clock::ms() > $ask->ends_at_ms + self::PAUSE_MS)
        ) {
            $this->next($run->session, $run, $run->at);
        }
    }

    /** @return array{right: int, of: int}|null how a student did in the run that is shown */
    public static function of(Seat $seat): ?array
    {
        $run = $seat->session->run_id === null ? null : Run::query()->find($seat->session->run_id);
        if ($run === null || ! $run->is_shown) {
            return null;
        }
        $result = $run->result();

        return isset($result->right[$seat->id]) ? ['right' => $result->right[$seat->id], 'of' => $result->of] : null;
    }
}
