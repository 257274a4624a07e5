<?php

declare(strict_types=1);

namespace App\Sessions\Life;

use App\Database\Turn;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Event;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Sessions\Asks\RunAsks;
use App\Sessions\Room\EachSeat;
use Crag\Session\Life\Expiry;

/** Sessions that nobody uses any more are warned and ended, and what was kept long enough is forgotten. */
final readonly class EndIdle
{
    public const EVERY_MS = 20_000;

    /** After a gap, what should have ended by its date stays open so long. */
    private const GRACE_MS = 1_800_000;

    public function __construct(
        private Announce $announce,
        private EndSession $end,
        private ForgetSession $forget,
        private RunAsks $runs,
    ) {
    }

    /**
     * @param  int  $aliveFromMs  sessions count as alive from then on, whatever they say: the clock was wrong, or the
     *      machine off
     */
    public function __invoke(int $aliveFromMs = 0, bool $mayForget = true): void
    {
        $this->runs->moveOn();
        // A session that cannot be read stops no other.
        foreach (LiveSession::query()->whereNull('ended_at')->get() as $session) {
            $this->each($session, fn () => $this->endIfIdle($session, $aliveFromMs));
        }
        foreach ($mayForget ? LiveSession::query()->whereNotNull('ended_at')->with('school')->get() : [] as $session) {
            $this->each($session, fn () => $this->forgetIfOver($session));
        }
    }

    /** @param  callable(): void  $what */
    private function each(LiveSession $session, callable $what): void
    {
        EachSeat::read($session->id, static fn () => Turn::during([$session->id], $what), static fn () => null);
    }

    private function endIfIdle(LiveSession $session, int $aliveFromMs): void
    {
        $sign = max($aliveFromMs, self::lastSign($session));
        $minutes = $session->settings->expiresAfterMinutes;
        $expiry =
            $session->open_until_ms === null
                ? Expiry::of($sign, Clock::ms(), $minutes)
                : Expiry::at(
                    max($session->open_until_ms, $aliveFromMs === 0 ? 0 : $aliveFromMs + self::GRACE_MS),
                    Clock::ms(),
                );
        match ($expiry) {
            Expiry::Over => ($this->end)($session),
            Expiry::Warned => $this->warn($session, $sign),
            Expiry::Alive => null,
        };
    }

    private function forgetIfOver(LiveSession $session): void
    {
        if ($session->retention()->isOver((int) $session->endedMs(), Clock::ms())) {
            ($this->forget)($session);
        }
    }

    /** When something was last drawn or done in it. */
    public static function lastSign(LiveSession $session): int
    {
        $drawn = LoggedOperation::query()
            ->where('live_session_id', $session->id)
            ->orderByDesc('session_n')
            ->value('stored_at_ms');
        $done = Event::query()
            ->where('live_session_id', $session->id)
            ->where('type', '!=', 'ending')
            ->orderByDesc('id')
            ->value('at_ms');

        return max(
            is_numeric($drawn) ? (int) $drawn : 0,
            is_numeric($done) ? (int) $done : 0,
            (int) $session->created_at->getTimestampMs(),
        );
    }

    private function warn(LiveSession $session, int $sign): void
    {
        if ($session->warned_at_ms < $sign) {
            $session->update(['warned_at_ms' => Clock::ms()]);
            ($this->announce)($session, Audience::desk($session), 'ending', [
                'at' => Expiry::endsMs($sign, $session->settings->expiresAfterMinutes),
            ]);
        }
    }
}
