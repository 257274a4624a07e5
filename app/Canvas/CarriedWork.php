<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Asset;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Member;
use App\Models\Prompt;
use App\Models\Seat;
use Illuminate\Support\Facades\DB;

/**
 * Work that goes on from an earlier session: the same student's log on the same prompt, copied step by step, so that
 * Replay and undo go on too. Pictures are copied with it; the earlier session can be forgotten.
 */
final readonly class CarriedWork
{
    /** The same student in the earlier session: by the class list, or else by the name; of a group, the same group. */
    public static function seat(Seat $seat): ?Seat
    {
        if ($seat->isGroup()) {
            return Seat::query()
                ->where('live_session_id', $seat->session->carries_on_id)
                ->where('stands_for', $seat->stands_for)
                ->first();
        }

        return self::earlier($seat->session, $seat->name, $seat->roster_entry_id);
    }

    public static function earlier(LiveSession $session, string $name, ?string $entry): ?Seat
    {
        if ($session->carries_on_id === null) {
            return null;
        }
        // Whoever calls themselves as a group is called does not have its work.
        $seats = Seat::query()->where('live_session_id', $session->carries_on_id)->whereNull('stands_for');

        return ($entry === null ? null : (clone $seats)->where('roster_entry_id', $entry)->first()) ??
            $seats->where('name', $name)->first();
    }

    /** Whose earlier work whoever comes in under this name would have; null for nobody's. */
    public static function waitsFor(LiveSession $session, string $name, ?string $entry): ?Seat
    {
        return $session->carries_on_id !== null && $session->prompts()->whereNotNull('carries_prompt_id')->exists()
            ? self::earlier($session, $name, $entry)
            : null;
    }

    /**
     * Who draws there now, for each who did in the earlier session: their own, or on a group's canvas the same student.
     *
     * @return array<string, string> seats, by the earlier ones; a group's own where a student is not there
     */
    private static function authors(Canvas $from, Seat $seat, LiveSession $session): array
    {
        $authors = [(string) $from->seat_id => $seat->id];
        $now = $session->seats()->get();
        $earlier = ! $seat->isGroup() ? [] : Member::query()->where('group_id', $from->seat_id)->with('seat')->get();
        foreach ($earlier as $member) {
            $was = $member->seat;
            $same = $was->roster_entry_id === null ? null : $now->firstWhere('roster_entry_id', $was->roster_entry_id);
            $authors[$was->id] = ($same ?? $now->firstWhere('name', $was->name) ?? $seat)->id;
        }

        return $authors;
    }

    /** @return bool whether there was any */
    public static function onto(Canvas $canvas, Seat $seat, Prompt $prompt): bool
    {
        $old = $prompt->carries_prompt_id === null ? null : self::seat($seat);
        $from = $old?->canvases()->where('prompt_id', $prompt->carries_prompt_id)->first();
        if ($from === null || $from->operation_count === 0) {
            return false;
        }
        DB::transaction(static function () use ($canvas, $seat, $from): void {
            $session = LiveSession::query()->findOrFail($seat->live_session_id);
            $count = $session->operation_count;
            $copies = self::pictures($from, $seat, $session);
            $authors = self::authors($from, $seat, $session);
            foreach ($from->operations()->toBase()->get()->chunk(300) as $some) {
                LoggedOperation::query()->insert(
                    $some
                        ->map(static function (object $row) use ($canvas, $authors, $session, $copies, &$count): array {
                            $row = (array) $row;
                            unset($row['id']);

                            return [
                                'live_session_id' => $session->id,
                                'canvas_id' => $canvas->id,
                                'session_n' => ++$count,
                                'seat_id' => $authors[(string) $row['seat_id']] ?? null,
                                'body' => strtr((string) $row['body'], $copies),
                            ] + $row;
                        })
                        ->values()
                        ->all(),
                );
            }
            $canvas->update($from->only(['operation_count', 'added_count', 'last_stroke_ms', 'byte_count']));
            LiveSession::query()
                ->whereKey($session->id)
                ->update(['operation_count' => $count, 'byte_count' => DB::raw('byte_count + '.$from->byte_count)]);
        });

        return true;
    }

    /** @return array<string, string> the ids of copies by those of the pictures on it */
    private static function pictures(Canvas $from, Seat $seat, LiveSession $session): array
    {
        $copies = [];
        foreach (Asset::query()->where('live_session_id', $from->live_session_id)->get() as $asset) {
            if (
                $from
                    ->operations()
                    ->where('body', 'like', "%{$asset->id}%")
                    ->exists()
            ) {
                $copy = $asset->copyTo($session);
                if ($asset->seat_id !== null) {
                    $copy->update(['seat_id' => $seat->id]);
                }
                $copies[$asset->id] = $copy->id;
            }
        }

        return $copies;
    }
}
