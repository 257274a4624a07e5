<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Http\Recording;
use App\Models\Seat;
use App\Models\TalkThrough;
use App\Sessions\Work\TalkOver;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What a student said about a drawing comes in, and what a teacher said about it is heard. */
final class TalkController
{
    public function send(Request $request, Seat $seat, TalkOver $talk): JsonResponse
    {
        abort_unless($seat->session->mayRecord(), 409, __('Recording is off in this session.'));
        $request->validate(['canvas' => ['required', 'string']]);
        $canvas = $seat->worksOn()->findOrFail($request->string('canvas')->toString());
        $kept = Recording::of($request, $seat->session)->take($talk, $seat->session, $seat, $canvas);

        return response()->json([
            'lasts' => $kept->lasts_ms,
            'said' => __('Sent. Your teacher can play it with your drawing.'),
        ]);
    }

    /** What a teacher said about a canvas on which this student works, or worked. */
    public function hear(Seat $seat, string $talk): BinaryFileResponse
    {
        return Recording::played(
            TalkThrough::query()
                ->whereNull('seat_id')
                ->whereIn('canvas_id', $seat->worksOn()->select('id'))
                ->findOrFail($talk),
        );
    }
}
