<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Models\Seat;
use App\Models\TalkThrough;
use App\Sessions\Work\TalkOver;
use Crag\Formats\UnreadableSound;
use Crag\Session\Room\TalkLimits;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a student said about a drawing comes in. */
final class TalkController
{
    public function send(Request $request, Seat $seat, TalkOver $talk): JsonResponse
    {
        abort_unless($seat->session->mayRecord(), 409, __('Recording is off in this session.'));
        $request->validate([
            'canvas' => ['required', 'string'],
            'began' => ['required', 'integer', 'min:0'],
            'words' => ['nullable', 'string', 'max:'.TalkLimits::LONGEST_WORDS],
        ]);
        $canvas = $seat->worksOn()->findOrFail($request->string('canvas')->toString());
        $bytes = $request->getContent();
        abort_if(strlen($bytes) > TalkLimits::MOST_BYTES, 422, __('That recording is too large.'));
        abort_if(
            TalkThrough::query()->where('canvas_id', $canvas->id)->where('seat_id', $seat->id)->count() >=
                TalkLimits::MOST_ON_A_CANVAS,
            409,
            __('You’ve sent enough talk-throughs for this canvas.'),
        );
        try {
            $words = $request->string('words')->trim()->toString();
            $sent = $talk($seat, $canvas, $bytes, $request->integer('began'), $words);
        } catch (UnreadableSound $problem) {
            abort(422, __($problem->getMessage()));
        }

        return response()->json(['lasts' => $sent->lasts_ms, 'said' => __('Sent. Your teacher can play it with your drawing.')]);
    }
}
