<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Live\Audience;
use App\Live\Publisher;
use App\Models\LoggedOperation;

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
        $messages = self::toSeats($seats, $desks);
        foreach ($desks as $session => $some) {
            $messages[] = [Audience::deskChannel($session), self::message('operations', self::forDesks($some))];
        }
        foreach ($all as $one) {
            if ($one->added !== [] && $one->batch->canvas->seat_id === null) {
                array_push($messages, ...self::ofTeachers($one));
            }
        }
        $this->publisher->publishAll($messages);
        foreach ($all as $one) {
            $canvas = $one->batch->canvas;
            if ($one->added !== [] && $canvas->seat_id === null && $canvas->live_session_id !== null) {
                event(new TeacherDrew($canvas));
            }
        }
    }

    /**
     * Where a student's page and the desks hear the same, one message goes to both.
     *
     * @param  list<Appended>  $seats
     * @param  array<string, list<Appended>>  $desks  by session; what is told here goes from it
     * @return list<array{string, string}>
     */
    private static function toSeats(array $seats, array &$desks): array
    {
        $messages = [];
        foreach ($seats as $one) {
            if ($one->counts->isShared) {
                array_push($messages, ...self::toMembers($one));

                continue;
            }
            $channel = $one->counts->writers[(string) $one->batch->canvas->seat_id]->channel;
            $session = (string) $one->batch->canvas->live_session_id;
            if (
                $one->batch->reply === null &&
                ! $one->counts->isCovered &&
                count($desks[$session] ?? []) === 1
            ) {
                unset($desks[$session]);
                $channel = Audience::deskChannel($session)."/{$channel}";
            }
            $messages[] = [$channel, self::message('operations', self::wires($one->added), self::kept($one))];
        }

        return $messages;
    }

    /**
     * Everyone who draws on a group's canvas; the answer is for who waits for it alone.
     *
     * @return list<array{string, string}>
     */
    private static function toMembers(Appended $one): array
    {
        $messages = [];
        $waits = $one->batch->reply === null ? null : $one->batch->author->seat;
        foreach ($one->counts->writers as $seat => $writer) {
            $operations = $writer->tie->sees() ? self::wires($one->added) : '';
            if ($operations !== '' || $seat === $waits) {
                $messages[] = [
                    $writer->channel,
                    self::message('operations', $operations, $seat === $waits ? self::kept($one) : ''),
                ];
            }
        }

        return $messages;
    }

    /**
     * Of the teacher's canvas students hear what they may see: one page, or the ink that lies under theirs.
     *
     * @return list<array{string, string}>
     */
    private static function ofTeachers(Appended $one): array
    {
        $canvas = $one->batch->canvas;
        $seen = array_filter(
            $one->added,
            static fn (LoggedOperation $row): bool => $one->counts->lead->lets($canvas->id, $row->operation()),
        );

        return $canvas->live_session_id === null || $seen === []
            ? []
            : [["lead.{$canvas->live_session_id}", self::message('lead', self::wires($seen))]];
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
