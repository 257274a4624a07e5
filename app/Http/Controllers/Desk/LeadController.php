<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk;

use App\Canvas\AppendOperations;
use App\Canvas\TakeCanvas;
use App\Http\CanvasAnswer;
use App\Http\Controllers\TakesOperations;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Sessions\HandOutPieces;
use Crag\Canvas\UnreadableOperation;
use Crag\Prompt\ToolTray;
use Crag\Prompt\TrayKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The teacher's own canvas for a prompt. */
final class LeadController
{
    use TakesOperations;

    public function canvas(LiveSession $session, Prompt $prompt, TakeCanvas $takeCanvas): Response
    {
        abort_unless($prompt->live_session_id === $session->id, 404);

        return CanvasAnswer::opening($takeCanvas->lead($prompt)->refresh(), [
            'prompt' => $prompt->announcement(),
            'tray' => ToolTray::of(TrayKind::Maths)->toArray(),
            'ended' => ! $session->isRunning(),
        ]);
    }

    public function log(LiveSession $session, string $canvas): Response
    {
        return CanvasAnswer::whole(Canvas::query()->where('live_session_id', $session->id)->findOrFail($canvas));
    }

    public function operations(Request $request, LiveSession $session, AppendOperations $append): JsonResponse
    {
        $canvas = Canvas::query()->where('live_session_id', $session->id)->whereNull('seat_id')->findOrFail($request->json('canvas'));

        return $this->append($request, $session, $canvas, $append);
    }

    /** Objects of the lead canvas become pieces on every canvas of the prompt. */
    public function pieces(Request $request, LiveSession $session, Prompt $prompt, HandOutPieces $handOut): JsonResponse
    {
        abort_unless($prompt->live_session_id === $session->id, 404);
        $objects = $request->json('objects');
        try {
            $count = $handOut($prompt, is_array($objects) ? $objects : []);
        } catch (UnreadableOperation $problem) {
            abort(422, __($problem->getMessage()));
        }

        return response()->json(['canvases' => $count]);
    }
}
