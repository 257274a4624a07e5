<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Canvas\AppendOperations;
use App\Live\Clock;
use App\Models\Seat;
use Crag\Canvas\LateInk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Finished work comes in. */
final class OperationsController
{
    private const MOST_AT_ONCE = 100;

    public function __invoke(Request $request, Seat $seat, AppendOperations $append): JsonResponse
    {
        $batch = $request->json('operations');
        abort_unless(is_array($batch) && array_is_list($batch), 422, __('There are no operations in that.'));
        abort_if(count($batch) > self::MOST_AT_ONCE, 422, __('Too many operations at once: :n are the most.', ['n' => self::MOST_AT_ONCE]));
        $canvas = $seat->canvases()->findOrFail($request->json('canvas'));
        $ended = $seat->session->ended_at?->getTimestampMs();
        abort_unless(LateInk::mayArrive($ended === null ? null : (int) $ended, Clock::ms()), 410, __('This session has ended.'));

        return response()->json($append($canvas, $seat->author(), $batch));
    }
}
