<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Canvas\AppendOperations;
use App\Http\Controllers\TakesOperations;
use App\Models\Seat;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A student's finished work comes in. */
final class OperationsController
{
    use TakesOperations;

    public function __invoke(Request $request, Seat $seat, AppendOperations $append): JsonResponse
    {
        return $this->append(
            $request,
            $seat->session,
            $seat->canvases()->findOrFail($request->json('canvas')),
            $append,
        );
    }
}
