<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\Seat;
use App\Models\TalkThrough;
use Crag\Formats\Sound;
use Crag\Formats\UnreadableSound;
use Crag\Formats\WebM;
use Crag\Session\Room\TalkLimits;
use Illuminate\Support\Facades\DB;

/** A student sends what they said while they drew. It was heard by nobody else until then. */
final readonly class TalkOver
{
    public function __construct(private Announce $announce)
    {
    }

    /**
     * @param  int  $beganAtMs  on the clock of the canvas's operations
     * @param  string  $words  what is said in it, for those who cannot listen; empty for none
     *
     * @throws UnreadableSound
     */
    public function __invoke(Seat $seat, Canvas $canvas, string $bytes, int $beganAtMs, string $words): TalkThrough
    {
        $sound = WebM::read($bytes);
        if ($sound->lastsMs > TalkLimits::LONGEST_MS + TalkLimits::GRACE_MS) {
            throw UnreadableSound::long(intdiv(TalkLimits::LONGEST_MS, 60_000));
        }

        return DB::transaction(function () use ($seat, $canvas, $sound, $beganAtMs, $words): TalkThrough {
            $talk = TalkThrough::query()->create([
                'live_session_id' => $seat->live_session_id,
                'canvas_id' => $canvas->id,
                'seat_id' => $seat->id,
                'began_at_ms' => min($beganAtMs, Clock::ms()),
                'lasts_ms' => $sound->lastsMs,
                'bytes' => strlen($sound->bytes),
                'sent_at_ms' => Clock::ms(),
                'words' => $words,
            ]);
            $this->keep($talk, $sound);
            ($this->announce)($seat->session, Audience::desk($seat->session), 'talk', ['canvas' => $canvas->id]);

            return $talk;
        });
    }

    private function keep(TalkThrough $talk, Sound $sound): void
    {
        file_put_contents($talk->path(), $sound->bytes);
        chmod($talk->path(), 0o600);
    }
}
