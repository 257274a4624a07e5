<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Canvas\AppendOperations;
use App\Canvas\StudentCanvas;
use App\Http\Controllers\TakesOperations;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A student's finished work comes in. */
final class OperationsController
{
    use TakesOperations;

    public function __invoke(Request $request, AppendOperations $append): JsonResponse
    {
        $work = $request->attributes->get('work');
        abort_unless($work instanceof StudentCanvas, 403);

        return $this->append($request, $work->endedMs, $work->canvas, $append, by: $work->author());
    }
}
