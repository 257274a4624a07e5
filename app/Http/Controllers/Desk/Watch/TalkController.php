<?php

declare(strict_types=1);

namespace App\Http\Controllers\Desk\Watch;

use App\Http\ReplayAnswer;
use App\Models\LiveSession;
use App\Models\LoggedOperation;
use App\Models\TalkThrough;
use Crag\Canvas\Log\Replay;
use Crag\Formats\Sound;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What students said about a canvas: which talk-throughs there are, their sound, and their steps on its clock. */
final class TalkController
{
    public function list(LiveSession $session, string $canvas): View
    {
        return view('desk.watch.talks', [
            'talks' => TalkThrough::query()
                ->where('canvas_id', $session->canvases()->findOrFail($canvas)->id)
                ->with('seat')
                ->orderBy('id')
                ->get(),
        ]);
    }

    public function sound(LiveSession $session, string $canvas, string $talk): BinaryFileResponse
    {
        return response()->file($this->find($session, $canvas, $talk)->path(), [
            'Content-Type' => Sound::MIME,
            'Cache-Control' => 'private, max-age=3600',
        ]);
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

        return ReplayAnswer::of($replay, $rows, $found->lasts_ms);
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
