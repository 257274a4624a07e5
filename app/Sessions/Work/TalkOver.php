<?php

declare(strict_types=1);

namespace App\Sessions\Work;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\TalkThrough;
use App\Models\Teachers\Teacher;
use App\Sessions\Room\RoomState;
use Crag\Formats\Sound;
use Crag\Formats\UnreadableSound;
use Crag\Formats\WebM;
use Crag\Session\Room\TalkLimits;
use Illuminate\Support\Facades\DB;

/** What was said about a canvas is sent: by a student to the teachers, or by a teacher to who works on it. */
final readonly class TalkOver
{
    public function __construct(private Announce $announce, private RoomState $room)
    {
    }

    /**
     * @param  int  $beganAtMs  on the clock of the canvas's operations
     * @param  string  $words  what is said in it, for those who cannot listen; empty for none
     *
     * @throws UnreadableSound
     */
    public function __invoke(
        LiveSession $session,
        Seat|Teacher $by,
        Canvas $canvas,
        string $bytes,
        int $beganAtMs,
        string $words,
    ): TalkThrough {
        $sound = WebM::read($bytes, $session->mayFilm());
        if ($sound->size === null && strlen($sound->bytes) > TalkLimits::MOST_BYTES) {
            throw UnreadableSound::large();
        }
        if ($sound->lastsMs > TalkLimits::LONGEST_MS + TalkLimits::GRACE_MS) {
            throw UnreadableSound::long(intdiv(TalkLimits::LONGEST_MS, 60_000));
        }

        return DB::transaction(function () use ($session, $by, $canvas, $sound, $beganAtMs, $words): TalkThrough {
            $talk = TalkThrough::query()->create([
                'live_session_id' => $session->id,
                'canvas_id' => $canvas->id,
                'seat_id' => $by instanceof Seat ? $by->id : null,
                'teacher_id' => $by instanceof Teacher ? $by->id : null,
                'speaker' => $by instanceof Teacher ? $by->name : '',
                'began_at_ms' => min($beganAtMs, Clock::ms()),
                'lasts_ms' => $sound->lastsMs,
                'bytes' => strlen($sound->bytes),
                'is_filmed' => $sound->size !== null,
                'sent_at_ms' => Clock::ms(),
                'words' => $words,
            ]);
            $this->keep($talk, $sound);
            $this->tell($session, $talk);

            return $talk;
        });
    }

    /** Nobody hears it any more. */
    public function remove(LiveSession $session, TalkThrough $talk): void
    {
        DB::transaction(function () use ($session, $talk): void {
            $talk->delete();
            $this->tell($session, $talk);
        });
        @unlink($talk->path());
    }

    private function tell(LiveSession $session, TalkThrough $talk): void
    {
        ($this->announce)($session, Audience::desk($session), 'talk', ['canvas' => $talk->canvas_id]);
        foreach ($talk->isByTeacher() ? $talk->canvas->seat?->people() ?? [] : [] as $seat) {
            $this->room->tellStudent($seat->setRelation('session', $session));
        }
    }

    private function keep(TalkThrough $talk, Sound $sound): void
    {
        file_put_contents($talk->path(), $sound->bytes);
        chmod($talk->path(), 0o600);
    }
}
