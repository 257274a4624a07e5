<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Http\CurrentRole;
use App\Live\Announce;
use App\Live\Audience;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\Check;
use App\Models\LiveSession;
use App\Models\Teacher;
use Crag\Checks\Level;
use Crag\Checks\LevelTally;
use Crag\Session\Deed;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rules\Enum;

/** A quick mark on one canvas or on several. */
final class CheckController
{
    private const MOST_AT_ONCE = 200;

    public function __invoke(Request $request, LiveSession $session, Announce $announce): JsonResponse
    {
        $request->validate(['level' => ['nullable', 'integer', new Enum(Level::class)], 'canvas' => ['nullable', 'string'], 'canvases' => ['nullable', 'array', 'max:'.self::MOST_AT_ONCE]]);
        $canvases = $this->canvases($request, $session);
        $level = $request->json('level') === null ? null : Level::from($request->integer('level'));
        $teacher = $request->attributes->get('teacher');
        assert($teacher instanceof Teacher);
        $before = $canvases->map(static fn (Canvas $canvas): array => ['canvas' => $canvas->id, 'level' => $canvas->check?->level?->value]);
        $told = [];
        DB::transaction(function () use ($session, $announce, $canvases, $level, $teacher, &$told): void {
            foreach ($canvases as $canvas) {
                Check::query()->create([
                    'canvas_id' => $canvas->id, 'teacher_id' => $teacher->id, 'level' => $level, 'at_operation' => $canvas->operation_count, 'made_at_ms' => Clock::ms(),
                ]);
            }
            foreach ($canvases as $canvas) {
                $told = ['canvas' => $canvas->id, 'seat' => $canvas->seat_id, 'level' => $level?->value, 'tally' => self::tally($canvas->prompt_id)];
                $announce($session, Audience::desk($session), 'check', $told);
            }
        });

        return response()->json($told + ['before' => $before]);
    }

    /** @return Collection<int, Canvas> */
    private function canvases(Request $request, LiveSession $session): Collection
    {
        $ids = $request->json('canvas') === null ? $request->array('canvases') : [$request->json('canvas')];
        $canvases = $session->canvases()->with('check', 'prompt.session')->whereIn('id', $ids)->get();
        abort_if($canvases->isEmpty(), 404);
        foreach ($canvases->unique('prompt_id') as $canvas) {
            CurrentRole::check($request, $session, Deed::Check, $canvas->prompt);
        }

        return $canvases;
    }

    /** @return array<array-key, int> */
    private static function tally(string $prompt): array
    {
        return LevelTally::of(Canvas::query()->where('prompt_id', $prompt)->whereNotNull('seat_id')->with('check')->get()->map(static fn (Canvas $one) => $one->check?->level))->toArray();
    }
}
