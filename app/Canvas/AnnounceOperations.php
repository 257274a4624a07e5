<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Audience;
use App\Live\Publisher;
use App\Models\LoggedOperation;
use App\Models\Seat;

/**
 * Tells pages what was appended: a session's desks in one message, each student's own pages in another, which also
 * carries the answer for the page that waits for one.
 */
final readonly class AnnounceOperations
{
    /** What is larger is only told of, and pages ask for it: all that is under way shares the channels' memory. */
    private const MOST_LIVE_BYTES = 200_000;

    public function __construct(private Publisher $publisher)
    {
    }

    /** @param  list<Appended>  $all */
    public function __invoke(array $all): void
    {
        $seats = $desks = [];
        foreach ($all as $one) {
            $canvas = $one->batch->canvas;
            if ($canvas->live_session_id === null) {
                continue;
            }
            if ($one->added !== []) {
                $desks[$canvas->live_session_id][] = $one;
            }
            if ($canvas->seat_id !== null && ($one->added !== [] || $one->batch->reply !== null)) {
                $seats[] = $one;
            }
        }
        // Who waits for an answer has it first.
        $this->tellSeats($seats, $desks);
        foreach ($desks as $session => $some) {
            $this->publisher->publish(self::desk($session), self::message('operations', self::forDesks($some)));
        }
        foreach ($desks as $some) {
            foreach ($some as $one) {
                if ($one->batch->canvas->seat_id === null) {
                    $this->tellOfTeachers($one);
                }
            }
        }
    }

    /**
     * Where a student's page and the desks hear the same, one request carries it to both.
     *
     * @param  list<Appended>  $seats
     * @param  array<string, list<Appended>>  $desks  by session; what is told here goes from it
     */
    private function tellSeats(array $seats, array &$desks): void
    {
        foreach ($seats as $one) {
            $seat = 'seat.'.Seat::channelOf((string) $one->batch->canvas->seat_id, $one->counts->turn);
            $session = (string) $one->batch->canvas->live_session_id;
            $message = self::message('operations', self::wires($one->added), self::kept($one));
            $isSame = $one->batch->reply === null && ! $one->counts->isCovered && count($desks[$session] ?? []) === 1;
            if ($isSame) {
                unset($desks[$session]);
                $this->publisher->publishToBoth(self::desk($session), $seat, $message);
            } else {
                $this->publisher->publish($seat, $message);
            }
        }
    }

    private static function desk(string $session): string
    {
        return Audience::deskChannel($session);
    }

    /**
     * Of the teacher's canvas students hear what they may see: one page, or the ink that lies under theirs.
     */
    private function tellOfTeachers(Appended $one): void
    {
        $canvas = $one->batch->canvas;
        $seen = array_filter(
            $one->added,
            static fn (LoggedOperation $row): bool => $one->counts->lead->lets($canvas->id, $row->operation()),
        );
        if ($seen !== []) {
            $this->publisher->publish("lead.{$canvas->live_session_id}", self::message('lead', self::wires($seen)));
        }
        event(new TeacherDrew($canvas));
    }

    /** @param  list<Appended>  $some */
    private static function forDesks(array $some): string
    {
        return implode(
            ',',
            array_map(
                static fn (Appended $one): string => $one->counts->isCovered
                    ? implode(',', array_map(static fn ($row): string => $row->coveredWire(), $one->added))
                    : self::wires($one->added),
                $some,
            ),
        );
    }

    /** @param  array<LoggedOperation>  $rows */
    private static function wires(array $rows): string
    {
        return implode(',', array_map(static fn (LoggedOperation $row): string => $row->wire(), $rows));
    }

    /** The answer to a batch that came over the socket, as JSON; empty where none is waited for there. */
    private static function kept(Appended $one): string
    {
        return $one->batch->reply === null
            ? ''
            : json_encode(['reply' => $one->batch->reply] + $one->answer(), JSON_THROW_ON_ERROR);
    }

    private static function message(string $stream, string $operations, string $kept = ''): string
    {
        $isLarge = strlen($operations) > self::MOST_LIVE_BYTES;

        return '{"stream":"'.
            $stream.
            '","operations":['.
            ($isLarge ? '' : $operations).
            ']'.
            ($isLarge ? ',"ask":true' : '').
            ($kept === '' ? '' : ',"kept":'.$kept).
            '}';
    }
}
