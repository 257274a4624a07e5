<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\Check;
use App\Models\LiveSession;
use App\Models\Teacher;
use Crag\Checks\Level;
use Crag\Checks\LevelTally;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;

/** A quick mark on one canvas. */
final class CheckController
{
    public function __invoke(Request $request, LiveSession $session, Announce $announce): JsonResponse
    {
        $request->validate(['level' => ['nullable', 'integer', new Enum(Level::class)]]);
        $canvas = $session->canvases()->findOrFail($request->json('canvas'));
        $level = $request->json('level') === null ? null : Level::from($request->integer('level'));
        $teacher = $request->attributes->get('teacher');
        assert($teacher instanceof Teacher);
        Check::query()->create([
            'canvas_id' => $canvas->id,
            'teacher_id' => $teacher->id,
            'level' => $level,
            'at_operation' => $canvas->operation_count,
            'made_at_ms' => Clock::ms(),
        ]);
        $levels = Canvas::query()->where('prompt_id', $canvas->prompt_id)->with('check')->get()
            ->map(static fn (Canvas $one) => $one->check?->level);
        $told = ['canvas' => $canvas->id, 'seat' => $canvas->seat_id, 'level' => $level?->value, 'tally' => LevelTally::of($levels)->toArray()];
        $announce($session, Audience::desk($session), 'check', $told);

        return response()->json($told);
    }
}
