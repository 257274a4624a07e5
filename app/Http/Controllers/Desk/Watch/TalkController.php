<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Watch;

use App\Http\CurrentRole;
use App\Http\CurrentTeacher;
use App\Http\Pages\Deeds;
use App\Http\Recording;
use App\Http\ReplayAnswer;
use App\Models\Canvas;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\TalkThrough;
use App\Sessions\Show\LineUp;
use App\Sessions\Show\ShowToClass;
use App\Sessions\Work\TalkOver;
use Crag\Canvas\Log\Replay;
use Crag\Session\Rules\Deed;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * What was said about a canvas: which talk-throughs there are, their sound, and their steps on its clock. A teacher
 * adds their own, and shows them to the class.
 */
final class TalkController
{
    public function list(Request $request, LiveSession $session, string $canvas): View
    {
        $found = self::canvas($session, $canvas);

        return view('desk.watch.talks', [
            'session' => $session,
            'isLead' => $found->seat_id === null,
            'talks' => TalkThrough::query()
                ->where('canvas_id', $found->id)
                ->with('seat')
                ->orderBy('id')
                ->get(),
            'deeds' => Deeds::of($request, $session),
        ]);
    }

    /** A spoken note to who works on the canvas; on the lead canvas, to be shown to the class. */
    public function speak(Request $request, LiveSession $session, string $canvas, TalkOver $talk): JsonResponse
    {
        abort_unless(config()->boolean('crag.recording'), 409, __('Recording is off here.'));
        $found = self::canvas($session, $canvas);
        if ($found->seat === null) {
            CurrentRole::check($request, $session, Deed::Lead);
        }
        $kept = Recording::of($request, $session)->take($talk, $session, CurrentTeacher::found($request), $found);

        return response()->json([
            'lasts' => $kept->lasts_ms,
            'said' => $found->seat === null
                ? __('Kept. You can show it to the class.')
                : __('Sent. :name can play it now.', ['name' => $found->seat->name]),
        ]);
    }

    /** A teacher takes back what a teacher said. */
    public function remove(
        LiveSession $session,
        string $canvas,
        string $talk,
        TalkOver $talks,
        ShowToClass $shown,
    ): JsonResponse {
        $found = $this->find($session, $canvas, $talk);
        abort_unless($found->isByTeacher(), 404);
        $talks->remove($session, $found);
        $shown->again($session);

        return response()->json(['said' => __('Spoken note removed.')]);
    }

    /** The class sees the drawing grow and hears the voice. */
    public function show(LiveSession $session, string $canvas, string $talk, ShowToClass $shown): JsonResponse
    {
        $shown->talk($session, $this->find($session, $canvas, $talk));

        return response()->json(['said' => __('The class screen plays it.')]);
    }

    public function sound(LiveSession $session, string $canvas, string $talk): BinaryFileResponse
    {
        return Recording::played($this->find($session, $canvas, $talk));
    }

    /** Into the line-up, to be shown with its voice when its turn comes. */
    public function lineUp(LiveSession $session, string $canvas, string $talk, LineUp $lineUp): JsonResponse
    {
        $found = $this->find($session, $canvas, $talk);
        abort_if($found->canvas->seat_id === null, 404);
        $lineUp->add($session, [[$found->canvas, $found->page()]], false, $found);

        return response()->json(['said' => __('It’s in the line-up, with its voice.')]);
    }

    /** As the replay of a canvas is told, each step at the moment of the recording at which it was made. */
    public function replay(LiveSession $session, string $canvas, string $talk): Response
    {
        $found = $this->find($session, $canvas, $talk);
        $rows = $found->canvas->operations()->get();
        $replay = Replay::along(
            $rows->map(static fn (LoggedOperation $row) => $row->operation()),
            $found->began_at_ms,
            $found->lasts_ms,
        );

        return ReplayAnswer::of($replay, $rows, $found->canvas, $found);
    }

    /** A student's, a group's, or the lead canvas: notes and what is drawn over shown work are not spoken about. */
    private static function canvas(LiveSession $session, string $id): Canvas
    {
        return Canvas::query()
            ->where('live_session_id', $session->id)
            ->whereNull(['notes_on_id', 'over_item_id'])
            ->with('seat')
            ->findOrFail($id);
    }

    private function find(LiveSession $session, string $canvas, string $talk): TalkThrough
    {
        return TalkThrough::query()
            ->where('live_session_id', $session->id)
            ->where('canvas_id', $canvas)
            ->with('canvas')
            ->findOrFail($talk);
    }
}
