<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Canvas\AppendOperations;
use App\Canvas\Batch;
use App\Live\Clock;
use App\Models\Canvas;
use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\LateInk;
use Crag\Canvas\Log\Layer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Finished work comes in, on a canvas of the author's own. */
trait TakesOperations
{
    /**
     * @param  ?int  $endedMs  when the session ended; null while it runs
     * @param  ?Author  $by  where several draw on it; null: whose canvas it is, or the teacher on one layer of it
     */
    private function append(
        Request $request,
        ?int $endedMs,
        Canvas $canvas,
        AppendOperations $append,
        ?Layer $only = null,
        ?Author $by = null,
    ): JsonResponse {
        $batch = $request->json('operations');
        abort_unless(
            is_array($batch) && array_is_list($batch),
            422,
            __('Nothing came with that. Reload the page and try again.'),
        );
        abort_if(
            count($batch) > Batch::MOST,
            422,
            __('That’s too much at once. Send up to :n steps.', ['n' => Batch::MOST]),
        );
        abort_unless(LateInk::mayArrive($endedMs, Clock::ms()), 410, __('This session has ended.'));

        return response()->json(
            $append($canvas, $by ?? ($only === null ? $canvas->author() : Author::teacher()), $batch, $only),
        );
    }
}
