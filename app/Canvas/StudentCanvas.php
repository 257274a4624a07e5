<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Keeper\KeepKey;
use App\Models\Canvas;
use Crag\Canvas\Log\Author;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Situation;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * A canvas with what decides whether a student may send work to it: their own, or one of a group that they are or were
 * in. It is asked for with every stroke, so it comes in one question, or two, and for many at once.
 */
final readonly class StudentCanvas
{
    /**
     * @param  string  $seat  who sends, by the id
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
     * @param  list<array{string, string}>  $asked  a canvas and the seat that wants to send to it, by their ids
     * @return array<string, self> by both, as {@see key} writes them; what the seat has no part in is not among them
     */
    public static function many(array $asked): array
    {
        $rows = self::canvases(array_column($asked, 0));
        $groups = array_filter(array_map(static fn (stdClass $row): ?string => self::group($row), $rows));
        $members = self::members(array_values($groups), array_column($asked, 1));
        $found = [];
        foreach ($asked as [$canvas, $seat]) {
            $row = $rows[$canvas] ?? null;
            $member = $row === null || $row->seat_id === $seat ? $row : $members["{$row->seat_id} {$seat}"] ?? null;
            // One that cannot be read is nobody else's trouble.
            $one =
                $row === null || $member === null
                    ? null
                    : rescue(static fn (): self => self::read($row, $member, $seat));
            if ($one !== null) {
                $found[self::key($canvas, $seat)] = $one;
            }
        }

        return $found;
    }

    public static function one(string $canvas, string $seat): ?self
    {
        return self::many([[$canvas, $seat]])[self::key($canvas, $seat)] ?? null;
    }

    public static function key(string $canvas, string $seat): string
    {
        return "{$canvas} {$seat}";
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, stdClass> by id
     */
    private static function canvases(array $ids): array
    {
        return DB::table('canvases')
            ->join('seats', 'seats.id', '=', 'canvases.seat_id')
            ->join('live_sessions', 'live_sessions.id', '=', 'canvases.live_session_id')
            ->whereIn('canvases.id', array_values(array_unique($ids)))
            ->get([
                'canvases.id',
                'canvases.live_session_id',
                'canvases.prompt_id',
                'canvases.seat_id',
                'seats.stands_for',
                'seats.token_hash',
                'seats.old_token_hash',
                'seats.turn',
                'seats.state',
                'live_sessions.ended_at',
            ])
            ->keyBy('id')
            ->all();
    }

    /** The seat that stands for the group whose canvas it is; null where it is a student's own. */
    private static function group(stdClass $row): ?string
    {
        return $row->stands_for === null ? null : $row->seat_id;
    }

    /**
     * @param  list<string>  $groups
     * @param  list<string>  $seats
     * @return array<string, stdClass> by group and seat: those that are in them, and those that were
     */
    private static function members(array $groups, array $seats): array
    {
        return $groups === []
            ? []
            : DB::table('members')
                ->join('seats', 'seats.id', '=', 'members.seat_id')
                ->whereIn('members.group_id', array_values(array_unique($groups)))
                ->whereIn('members.seat_id', array_values(array_unique($seats)))
                ->get([
                    'members.group_id',
                    'seats.id',
                    'seats.token_hash',
                    'seats.old_token_hash',
                    'seats.turn',
                    'seats.state',
                ])
                ->keyBy(static fn (stdClass $row): string => "{$row->group_id} {$row->id}")
                ->all();
    }

    /** @param  stdClass  $who  the seat that sends: the canvas's own row, or a member's */
    private static function read(stdClass $row, stdClass $who, string $seat): self
    {
        return new self(
            (new Canvas())->newFromBuilder([
                'id' => $row->id,
                'live_session_id' => $row->live_session_id,
                'prompt_id' => $row->prompt_id,
                'seat_id' => $row->seat_id,
            ]),
            $seat,
            (int) $who->turn,
            $who->token_hash,
            $who->old_token_hash,
            new Situation(isRunning: $row->ended_at === null, seat: SeatState::from($who->state)),
            $row->ended_at === null ? null : (int) Date::parse($row->ended_at)->getTimestampMs(),
        );
    }

    /** As whom it sends. */
    public function author(): Author
    {
        return Author::seat($this->seat);
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
