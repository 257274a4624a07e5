<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Words\ActWords;
use App\Models\Act;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a desk is told after something was done to the whole room: what was done, and where to take it back. */
final class ActAnswer
{
    /** @param  ?Act  $act  null where nothing changed */
    public static function of(Request $request, ?Act $act): JsonResponse
    {
        return response()->json($act === null ? [] : self::told($request, $act));
    }

    /** @return array{said: string, undo: array{address: string, body: object}} */
    public static function told(Request $request, Act $act): array
    {
        $act->update(['teacher_id' => CurrentTeacher::of($request)?->id]);

        return [
            'said' => ActWords::said($act),
            'undo' => [
                'address' => route('desk.act.undo', [$act->live_session_id, $act->id], false),
                'body' => (object) [],
            ],
        ];
    }
}
