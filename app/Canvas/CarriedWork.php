<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\Asset;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\Prompt;
use App\Models\Seat;
use Illuminate\Support\Facades\DB;

/**
 * Work that goes on from an earlier session: the same student's log on the same prompt, copied step by step, so that Replay and
 * undo go on too. Pictures are copied with it; the earlier session can be forgotten.
 */
final readonly class CarriedWork
{
    /** The same student in the earlier session: by the class list, or else by the name. */
    public static function seat(Seat $seat): ?Seat
    {
        $earlier = $seat->session->carries_on_id;
        if ($earlier === null) {
            return null;
        }
        $seats = Seat::query()->where('live_session_id', $earlier);

        return ($seat->roster_entry_id === null ? null : (clone $seats)->where('roster_entry_id', $seat->roster_entry_id)->first()) ?? $seats->where('name', $seat->name)->first();
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
            foreach ($from->operations()->toBase()->get()->chunk(300) as $some) {
                LoggedOperation::query()->insert($some->map(static function (object $row) use ($canvas, $seat, $session, $copies, &$count): array {
                    $row = (array) $row;
                    unset($row['id']);

                    return ['live_session_id' => $session->id, 'canvas_id' => $canvas->id, 'session_n' => ++$count, 'seat_id' => $row['seat_id'] === null ? null : $seat->id, 'body' => strtr((string) $row['body'], $copies)] + $row;
                })->values()->all());
            }
            $canvas->update($from->only(['operation_count', 'added_count', 'last_stroke_ms']));
            LiveSession::query()->whereKey($session->id)->update(['operation_count' => $count]);
        });

        return true;
    }

    /** @return array<string, string> the ids of copies by those of the pictures on it */
    private static function pictures(Canvas $from, Seat $seat, LiveSession $session): array
    {
        $copies = [];
        foreach (Asset::query()->where('live_session_id', $from->live_session_id)->get() as $asset) {
            if ($from->operations()->where('body', 'like', "%{$asset->id}%")->exists()) {
                $copy = $asset->copyTo($session);
                $asset->seat_id === null || $copy->update(['seat_id' => $seat->id]);
                $copies[$asset->id] = $copy->id;
            }
        }

        return $copies;
    }
}
