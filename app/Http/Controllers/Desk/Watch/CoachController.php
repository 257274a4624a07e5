<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Watch;

use App\Canvas\AppendForTeacher;
use App\Canvas\AppendOperations;
use App\Canvas\CopyToLead;
use App\Canvas\TakeCanvas;
use App\Http\CanvasAnswer;
use App\Http\Controllers\TakesOperations;
use App\Models\Canvas;
use App\Models\LiveSession;
use Crag\Canvas\Log\Layer;
use Crag\Canvas\Log\RefusedOperation;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Question\Question;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a teacher does close beside one student: coach ink, private notes, an earlier state given back. */
final class CoachController
{
    use TakesOperations;

    private const MOST_AT_ONCE = 200;

    /** The student's canvas as the close-up opens it. */
    public function canvas(LiveSession $session, string $canvas): Response
    {
        $found = $this->find($session, $canvas);
        $seat = $found->seat ?? abort(404);

        return CanvasAnswer::opening(
            $found,
            $this->tools() + [
                'questions' => array_map(
                    static fn (Question $question): array => $question->forStudent($seat->id),
                    $found->questions(),
                ),
                'channel' => $seat->channelId(),
                'looked' => $found->looked_at_operation,
                'notes' => Canvas::query()->where('notes_on_id', $found->id)->value('id'),
            ],
            Layer::Coach,
        );
    }

    /** Up to where a teacher has seen it. */
    public function looked(Request $request, LiveSession $session, string $canvas): JsonResponse
    {
        $request->validate(['n' => ['required', 'integer', 'min:0']]);
        $found = $this->find($session, $canvas);
        Canvas::query()
            ->whereKey($found->id)
            ->update(['looked_at_operation' => min($found->operation_count, $request->integer('n'))]);

        return response()->json([]);
    }

    /** The private notes over it. */
    public function notes(LiveSession $session, string $canvas, TakeCanvas $takeCanvas): Response
    {
        return CanvasAnswer::opening($takeCanvas->notes($this->find($session, $canvas))->refresh(), $this->tools());
    }

    /** Coach ink, or private notes: whichever canvas is named. */
    public function operations(Request $request, LiveSession $session, AppendOperations $append): JsonResponse
    {
        $canvas = Canvas::query()->where('live_session_id', $session->id)->findOrFail($request->json('canvas'));
        abort_if($canvas->isLead(), 404);

        return $this->append(
            $request,
            $session->endedMs(),
            $canvas,
            $append,
            $canvas->notes_on_id === null ? Layer::Coach : Layer::Private,
        );
    }

    /** As it was just after an operation. */
    public function giveBack(
        Request $request,
        LiveSession $session,
        string $canvas,
        AppendForTeacher $putOn,
    ): JsonResponse {
        $request->validate(['to' => ['required', 'string', 'max:40']]);
        $found = $this->find($session, $canvas);
        try {
            $id = $putOn->earlier($found, $request->string('to')->toString());
        } catch (UnreadableFields|RefusedOperation $problem) {
            abort(422, $problem->getMessage());
        }

        return response()->json([
            'said' => __('Restored. Nothing is lost: later work is in Replay.'),
            'undo' => [
                'address' => route('desk.give-back.undo', [$session, $canvas], false),
                'body' => ['operation' => $id],
            ],
        ]);
    }

    /** Chosen canvases as they were before they were last emptied. */
    public function giveBackSome(Request $request, LiveSession $session, AppendForTeacher $putOn): JsonResponse
    {
        $canvases = $this->some($request, $session);
        $given = [];
        foreach ($canvases as $canvas) {
            $id = $putOn->beforeEmptied($canvas);
            if ($id !== null) {
                $given[] = ['canvas' => $canvas->id, 'operation' => $id];
            }
        }
        $said = __('Restored on :n of :all. Nothing is lost: later work is in Replay.', [
            'n' => count($given),
            'all' => count($canvases),
        ]);

        return response()->json(
            $given === []
                ? ['said' => __('None of them was cleared, so there’s nothing to restore.')]
                : [
                    'said' => $said,
                    'undo' => [
                        'address' => route('desk.give-back-some.undo', $session, false),
                        'body' => ['given' => $given],
                    ],
                ],
        );
    }

    public function undoGiveBackSome(Request $request, LiveSession $session, AppendForTeacher $putOn): JsonResponse
    {
        $request->validate([
            'given' => ['required', 'array', 'max:'.self::MOST_AT_ONCE],
            'given.*.canvas' => ['required', 'string'],
            'given.*.operation' => ['required', 'string', 'max:40'],
        ]);
        foreach ($request->array('given') as $one) {
            $putOn->withdraw($this->find($session, (string) $one['canvas']), [$one['operation']]);
        }

        return response()->json(['said' => __('Everything is back as it was.')]);
    }

    /** @return list<Canvas> */
    private function some(Request $request, LiveSession $session): array
    {
        $request->validate([
            'canvases' => ['required', 'array', 'max:'.self::MOST_AT_ONCE],
            'canvases.*' => ['string'],
        ]);
        $canvases = $session
            ->canvases()
            ->with('prompt.session', 'seat')
            ->whereIn('id', $request->array('canvases'))
            ->get();
        abort_if($canvases->isEmpty(), 404);

        return array_values($canvases->all());
    }

    public function undoGiveBack(
        Request $request,
        LiveSession $session,
        string $canvas,
        AppendForTeacher $putOn,
    ): JsonResponse {
        $request->validate(['operation' => ['required', 'string', 'max:40']]);
        $putOn->withdraw($this->find($session, $canvas), [$request->string('operation')->toString()]);

        return response()->json(['said' => __('Everything is back as it was.')]);
    }

    /** A page of it as a new page of the lead canvas. The student's own is not touched. */
    public function copyToLead(Request $request, LiveSession $session, string $canvas, CopyToLead $copy): JsonResponse
    {
        $request->validate(['page' => ['nullable', 'string', 'max:40']]);
        $page = $copy($this->find($session, $canvas), $request->string('page')->toString());

        return response()->json(['said' => __('Copied onto page :n of your lead canvas.', ['n' => $page])]);
    }

    private function find(LiveSession $session, string $canvas): Canvas
    {
        return $session->canvases()->with('prompt.session', 'seat')->findOrFail($canvas);
    }

    /** @return array<string, mixed> */
    private function tools(): array
    {
        return ['tray' => ToolTray::of(TrayKind::Maths)->toArray()];
    }
}
