<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Event;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use Crag\Session\Expiry;
use Crag\Session\Retention;

/** Sessions that nobody uses any more are warned and ended, and what was kept long enough is forgotten. */
final readonly class EndIdle
{
    public const EVERY_MS = 20_000;

    public function __construct(private Announce $announce, private EndSession $end, private ForgetSession $forget)
    {
    }

    public function __invoke(): void
    {
        $days = config()->integer('crag.keep_days');
        foreach (LiveSession::query()->whereNull('ended_at')->get() as $session) {
            $sign = self::lastSign($session);
            match (Expiry::of($sign, Clock::ms(), $session->settingsValue()->expiresAfterMinutes)) {
                Expiry::Over => ($this->end)($session),
                Expiry::Warned => $this->warn($session, $sign),
                Expiry::Alive => null,
            };
        }
        foreach (LiveSession::query()->where('ended_at', '<=', now()->subDays($days))->get() as $session) {
            Retention::isOver((int) $session->endedMs(), $days, Clock::ms()) && ($this->forget)($session);
        }
    }

    /** When something was last drawn or done in it. */
    public static function lastSign(LiveSession $session): int
    {
        $drawn = LoggedOperation::query()->where('live_session_id', $session->id)->orderByDesc('session_n')->value('stored_at_ms');
        $done = Event::query()->where('live_session_id', $session->id)->where('type', '!=', 'ending')->orderByDesc('id')->value('at_ms');

        return max(is_numeric($drawn) ? (int) $drawn : 0, is_numeric($done) ? (int) $done : 0, (int) $session->created_at->getTimestampMs());
    }

    private function warn(LiveSession $session, int $sign): void
    {
        if ($session->warned_at_ms < $sign) {
            $session->update(['warned_at_ms' => Clock::ms()]);
            ($this->announce)($session, Audience::desk($session), 'ending', ['at' => Expiry::endsMs($sign, $session->settingsValue()->expiresAfterMinutes)]);
        }
    }
}
