<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Clock;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\ByteBudget;
use Crag\Canvas\Log\StoredBytes;
use Crag\Canvas\Log\TrayInForce;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Crag\Session\Life\SessionSettings;
use Crag\Session\Room\MayDraw;
use Crag\Session\Room\Pens;
use Crag\Session\Room\PromptState;
use Crag\Session\Room\SeatState;
use Crag\Session\Room\Timer;
use Crag\Session\Rules\CanvasTie;
use Crag\Session\Rules\Refusal;
use Crag\Session\Screen\LeadSharing;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use stdClass;

/**
 * How much a canvas and its session, if it is in one, hold, and what may go there now: the tray, pens, whether it is
 * sent. Read in one go as a transaction begins, never remembered: another process may have changed it just now.
 */
final class Counts
{
    private function __construct(
        public int $operations,
        public int $objects,
        /** What the session holds; null where it is in none. */
        public readonly ?SessionCounts $session,
        public readonly TrayInForce $tray,
        /** @var array<string, Writer> the students who draw there, and those who did, by seat */
        public readonly array $writers,
        /** Whether it is a group's. */
        public readonly bool $isShared,
        public readonly LeadSharing $lead,
        public readonly ByteBudget $bytes,
        /** Whether the desks may not see what is drawn there yet. */
        public readonly bool $isCovered,
    ) {
    }

    /**
     * @param  list<string>  $canvases  their ids
     * @return array<string, self> by canvas; those of one session, and of one student, count together
     */
    public static function ofAll(array $canvases): array
    {
        $rows = DB::table('canvases')
            ->leftJoin('live_sessions', 'live_sessions.id', '=', 'canvases.live_session_id')
            ->join('prompts', 'prompts.id', '=', 'canvases.prompt_id')
            ->leftJoin('seats', 'seats.id', '=', 'canvases.seat_id')
            ->whereIn('canvases.id', array_values(array_unique($canvases)))
            ->get([
                'canvases.id',
                'canvases.live_session_id as session',
                'canvases.operation_count as operations',
                'canvases.added_count as objects',
                'live_sessions.operation_count as of_session',
                DB::raw('coalesce(prompts.tray, live_sessions.tray) as tray'),
                'canvases.seat_id',
                'canvases.sent_at_ms',
                'prompts.state as prompt_state',
                'prompts.state_at_ms as prompt_at',
                'prompts.closes_at_ms',
                'seats.state as seat_state',
                'seats.state_at_ms as seat_at',
                'seats.turn',
                'seats.stands_for',
                'seats.pens as own_pens',
                'canvases.byte_count as bytes',
                'live_sessions.byte_count as bytes_of_session',
                DB::raw(
                    '(select sum(byte_count) from canvases mine where mine.seat_id = canvases.seat_id) as bytes_of_seat',
                ),
                'live_sessions.pens',
                'live_sessions.timer',
                'live_sessions.lead',
                'live_sessions.ended_at',
                'live_sessions.settings',
                'prompts.revealed_at_ms',
            ]);
        $members = self::members($rows->whereNotNull('stands_for')->pluck('seat_id')->unique()->all());
        $sessions = $seats = $counts = [];
        foreach ($rows as $row) {
            if ($row->session !== null) {
                $sessions[$row->session] ??= new SessionCounts(
                    self::int($row->of_session) ?? 0,
                    new StoredBytes(self::int($row->bytes_of_session) ?? 0),
                );
            }
            if ($row->seat_id !== null) {
                $seats[$row->seat_id] ??= new StoredBytes(self::int($row->bytes_of_seat) ?? 0);
            }
            $counts[$row->id] = self::read(
                $row,
                $members[$row->seat_id] ?? [],
                $sessions[$row->session] ?? null,
                $seats[$row->seat_id] ?? null,
            );
        }
        $gone = array_diff($canvases, array_keys($counts));
        if ($gone !== []) {
            throw new RuntimeException('A canvas has gone: '.implode(', ', $gone));
        }

        return $counts;
    }

    /**
     * @param  array<array-key, mixed>  $groups  the seats that stand for them
     * @return array<string, list<stdClass>> who is in each, and who was
     */
    private static function members(array $groups): array
    {
        $members = [];
        $rows = $groups === []
            ? []
            : DB::table('members')
                ->join('seats', 'seats.id', '=', 'members.seat_id')
                ->whereIn('members.group_id', array_values($groups))
                ->get([
                    'members.group_id',
                    'members.until_ms',
                    'seats.id as seat_id',
                    'seats.state as seat_state',
                    'seats.state_at_ms as seat_at',
                    'seats.turn',
                    'seats.pens as own_pens',
                ]);
        foreach ($rows as $row) {
            $members[$row->group_id][] = $row;
        }

        return $members;
    }

    /** @param  list<stdClass>  $members */
    private static function read(stdClass $row, array $members, ?SessionCounts $session, ?StoredBytes $seat): self
    {
        $tray = is_string($row->tray)
            ? TrayInForce::read(json_decode($row->tray, true, flags: JSON_THROW_ON_ERROR))
            : TrayInForce::always(ToolTray::of(TrayKind::Standard));

        return new self(
            self::int($row->operations) ?? 0,
            self::int($row->objects) ?? 0,
            $session,
            $tray,
            self::writers($row, $members),
            $row->stands_for !== null,
            LeadSharing::read(self::json($row->lead) ?? []),
            new ByteBudget(new StoredBytes(self::int($row->bytes) ?? 0), $seat, $session?->bytes),
            $row->seat_id !== null &&
                SessionSettings::read(self::json($row->settings) ?? [])->covers(
                    $row->ended_at === null,
                    $row->revealed_at_ms !== null,
                ),
        );
    }

    /**
     * @param  list<stdClass>  $members
     * @return array<string, Writer>
     */
    private static function writers(stdClass $row, array $members): array
    {
        $writers = [];
        foreach ($row->stands_for !== null ? $members : ($row->seat_id === null ? [] : [$row]) as $who) {
            $until = self::int($who->until_ms ?? null);
            $writers[$who->seat_id] = Writer::of(
                $who->seat_id,
                self::int($who->turn) ?? 0,
                self::rule($row, $who)->stopped(Refusal::OtherGroup, $until),
                $row->stands_for === null ? CanvasTie::Own : CanvasTie::ofMember($until),
            );
        }

        return $writers;
    }

    /** Whether a student's ink may go there now; nothing is in its way where no student is at work. */
    public function mayDraw(Author $author): MayDraw
    {
        return $this->writers[(string) $author->seat]->mayDraw ?? MayDraw::always();
    }

    /**
     * Whether a student's ink may go there: not while pens are down, the work is sent, the prompt is closed, or the
     * student is out.
     *
     * @param  stdClass  $who  the row of the seat that draws
     */
    private static function rule(stdClass $row, stdClass $who): MayDraw
    {
        if ($row->ended_at !== null) {
            return MayDraw::always();
        }
        $timer = self::json($row->timer);
        $pens = Pens::inForce(
            Pens::read(self::json($row->pens)),
            Pens::read(self::json($who->own_pens)),
            $timer === null ? Pens::up() : Timer::read($timer)->pens(Clock::ms(), ''),
        );
        $closed = $row->prompt_state !== PromptState::Open->value;
        $out = $who->seat_state !== SeatState::Seated->value;

        return MayDraw::always()
            ->stopped(Refusal::NotIn, $out && is_numeric($who->seat_at) ? (int) $who->seat_at : null)
            ->stopped(Refusal::PensDown, $pens->downSinceMs)
            ->stopped(Refusal::PromptClosed, $closed && is_numeric($row->prompt_at) ? (int) $row->prompt_at : null)
            ->stopped(Refusal::PromptClosed, self::over($row))
            ->stopped(Refusal::Sent, is_numeric($row->sent_at_ms) ? (int) $row->sent_at_ms : null);
    }

    /** Since when a prompt that closes by itself is closed; null while it is not. */
    private static function over(stdClass $row): ?int
    {
        $at = self::int($row->closes_at_ms);

        return $at !== null && $at <= Clock::ms() ? $at : null;
    }

    private static function int(mixed $value): ?int
    {
        return is_numeric($value) ? (int) $value : null;
    }

    /** @return array<array-key, mixed>|null */
    private static function json(mixed $text): ?array
    {
        $json = is_string($text) ? json_decode($text, true) : null;

        return is_array($json) ? $json : null;
    }

    /** One more operation, which puts so many objects on the canvas. */
    public function take(int $objects): void
    {
        $this->operations++;
        if ($this->session !== null) {
            $this->session->operations++;
        }
        $this->objects += $objects;
    }
}
