<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\Plan;
use Crag\Construct\Graph;
use Crag\Construct\Scale;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A function's graph for a construction on axes: worked out here, put on the canvas by whoever asked. */
final class PlotController
{
    public function student(Request $request, Seat $seat): JsonResponse
    {
        return self::plotted($request);
    }

    public function desk(Request $request, LiveSession $session): JsonResponse
    {
        return self::plotted($request);
    }

    public function plan(Request $request, Plan $plan): JsonResponse
    {
        return self::plotted($request);
    }

    private static function plotted(Request $request): JsonResponse
    {
        $request->validate([
            'line' => ['required', 'string', 'max:'.Graph::LONGEST],
            'scale' => ['required', 'array'],
            'paper' => ['required', 'string', 'max:20'],
        ]);
        try {
            $graph = Graph::of(
                $request->string('line')->toString(),
                Scale::read(new Fields($request->array('scale'))),
                Paper::from($request->string('paper')->toString()),
            );
        } catch (UnreadableFields $problem) {
            abort(422, __($problem->getMessage()));
        }
        abort_if($graph->pieces === [], 422, __('Nothing of that graph is on this page.'));

        return response()->json([
            'element' => ['kind' => 'graph', 'source' => $graph->source, 'pieces' => $graph->pieces] +
                ($graph->fills === [] ? [] : ['fills' => $graph->fills]) +
                ($graph->isDashed ? ['dashed' => true] : []),
        ]);
    }
}
