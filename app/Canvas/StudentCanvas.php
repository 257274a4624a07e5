<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Keeper\KeepKey;
use App\Models\Canvas;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Situation;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * A student's canvas with what decides who may send work to it. It is asked for with every stroke, so it comes in one
 * question, and for many at once.
 */
final readonly class StudentCanvas
{
    /**
     * @param  string  $seat  its id
     * @param  int  $turn  how often the seat's channels were begun anew
     * @param  ?string  $oldTokenHash  of the device before this one
     * @param  ?int  $endedMs  when the session ended, milliseconds since 1970
     */
    private function __construct(
        public Canvas $canvas,
        public string $seat,
        public int $turn,
        private string $tokenHash,
        private ?string $oldTokenHash,
        public Situation $situation,
        public ?int $endedMs,
    ) {
    }

    /**
     * @param  list<string>  $ids  of canvases
     * @return array<string, self> by id; what is no student's canvas is not among them
     */
    public static function many(array $ids): array
    {
        $rows = DB::table('canvases')
            ->join('seats', 'seats.id', '=', 'canvases.seat_id')
            ->join('live_sessions', 'live_sessions.id', '=', 'canvases.live_session_id')
            ->whereIn('canvases.id', array_values(array_unique($ids)))
            ->get([
                'canvases.id',
                'canvases.live_session_id',
                'canvases.prompt_id',
                'canvases.seat_id',
                'seats.token_hash',
                'seats.old_token_hash',
                'seats.turn',
                'seats.state',
                'live_sessions.ended_at',
            ]);
        $found = [];
        foreach ($rows as $row) {
            // One that cannot be read is nobody else's trouble.
            $one = rescue(static fn (): self => self::read($row));
            if ($one !== null) {
                $found[$one->canvas->id] = $one;
            }
        }

        return $found;
    }

    private static function read(stdClass $row): self
    {
        return new self(
            (new Canvas())->newFromBuilder([
                'id' => $row->id,
                'live_session_id' => $row->live_session_id,
                'prompt_id' => $row->prompt_id,
                'seat_id' => $row->seat_id,
            ]),
            $row->seat_id,
            (int) $row->turn,
            $row->token_hash,
            $row->old_token_hash,
            new Situation(isRunning: $row->ended_at === null, seat: SeatState::from($row->state)),
            $row->ended_at === null ? null : (int) Date::parse($row->ended_at)->getTimestampMs(),
        );
    }

    /** Whether a device holds the seat, or held it before another took it: what was drawn there may still arrive. */
    public function isHeldBy(string $token): bool
    {
        $hash = hash('sha256', $token);

        return hash_equals($this->tokenHash, $hash) ||
            ($this->oldTokenHash !== null && hash_equals($this->oldTokenHash, $hash));
    }

    /** By which a page proves over its socket that it is the seat's. */
    public function keepKey(): string
    {
        return KeepKey::from($this->seat, $this->turn, $this->tokenHash);
    }
}
