<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Work;

use App\Canvas\AppendOperations;
use App\Canvas\TakeCanvas;
use App\Http\CanvasAnswer;
use App\Http\Controllers\TakesOperations;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\Prompt;
use App\Sessions\Work\LeadCanvas;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The teacher's own canvas for a prompt. */
final class LeadController
{
    use TakesOperations;

    public function canvas(LiveSession $session, Prompt $prompt, TakeCanvas $takeCanvas): Response
    {
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
        $canvas = Canvas::query()
            ->where('live_session_id', $session->id)
            ->whereNull('seat_id')
            ->whereNull('notes_on_id')
            ->findOrFail($request->json('canvas'));

        return $this->append($request, $session->endedMs(), $canvas, $append);
    }

    /** Which page of it students may look at, or none. */
    public function show(Request $request, LiveSession $session, Prompt $prompt, LeadCanvas $lead): JsonResponse
    {
        $request->validate(['page' => ['nullable', 'string', 'max:32']]);
        $lead->show($session, $prompt, $request->input('page') === null ? null : (string) $request->string('page'));

        return response()->json([]);
    }

    /** Its ink under everybody's from now on, or no more; then it goes again, or stays as a backdrop. */
    public function ink(Request $request, LiveSession $session, Prompt $prompt, LeadCanvas $lead): JsonResponse
    {
        $request->validate(['on' => ['required', 'boolean'], 'stays' => ['boolean']]);
        if ($request->boolean('on')) {
            $lead->inkOn($session, $prompt);
        } else {
            $lead->inkOff($session, $request->boolean('stays'));
        }

        return response()->json([]);
    }
}
