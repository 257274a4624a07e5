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
 * Work that goes on from an earlier session: the same student's log on the same prompt, copied step by step, so that
 * Replay and undo go on too. Pictures are copied with it; the earlier session can be forgotten.
 */
final readonly class CarriedWork
{
    /** The same student in the earlier session: by the class list, or else by the name. */
    public static function seat(Seat $seat): ?Seat
    {
        return self::earlier($seat->session, $seat->name, $seat->roster_entry_id);
    }

    public static function earlier(LiveSession $session, string $name, ?string $entry): ?Seat
    {
        if ($session->carries_on_id === null) {
            return null;
        }
        $seats = Seat::query()->where('live_session_id', $session->carries_on_id);

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
                LoggedOperation::query()->insert(
                    $some
                        ->map(static function (object $row) use ($canvas, $seat, $session, $copies, &$count): array {
                            $row = (array) $row;
                            unset($row['id']);

                            return [
                                'live_session_id' => $session->id,
                                'canvas_id' => $canvas->id,
                                'session_n' => ++$count,
                                'seat_id' => $row['seat_id'] === null ? null : $seat->id,
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
