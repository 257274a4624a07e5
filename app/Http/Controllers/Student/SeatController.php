<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Canvas\TakeCanvas;
use App\Live\Audience;
use App\Live\CatchUp;
use App\Live\Clock;
use App\Models\Canvas;
use App\Models\LoggedOperation;
use App\Models\Seat;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A student's own page and what it asks for. */
final class SeatController
{
    public function show(Seat $seat): View
    {
        $session = $seat->session;
        if (! $session->isRunning()) {
            return view('student.ended', [
                'seat' => $seat, 'session' => $session,
                'canvases' => $seat->canvases()->with('prompt')->get()->sortBy('prompt.n'),
            ]);
        }

        return view('student.seat', ['seat' => $seat, 'session' => $session, 'prompt' => $session->prompt()->firstOrFail()]);
    }

    /** The canvas for the present prompt with its whole log, and where the streams stand. */
    public function canvas(Seat $seat, TakeCanvas $takeCanvas): Response
    {
        $session = $seat->session;
        $position = CatchUp::position($session, Audience::room($session), Audience::seat($seat));
        $prompt = $session->prompt()->firstOrFail();
        $canvas = $takeCanvas($seat, $prompt);

        return response(sprintf(
            '{"canvas":"%s","prompt":%s,"position":%s,"ended":%s,"operations":[%s]}',
            $canvas->id,
            json_encode($prompt->announcement(), JSON_THROW_ON_ERROR),
            json_encode($position, JSON_THROW_ON_ERROR),
            $session->isRunning() ? 'false' : 'true',
            $this->log($canvas, 0),
        ))->header('Content-Type', 'application/json');
    }

    /** What the page missed: events, and operations on the canvas that it shows. */
    public function catchUp(Request $request, Seat $seat): Response
    {
        $seat->update(['polled_at_ms' => $request->boolean('polling') ? Clock::ms() : 0]);
        $session = $seat->session;
        $events = CatchUp::events($session, $request, Audience::room($session), Audience::seat($seat));
        $canvas = $seat->canvases()->find($request->string('canvas')->toString());

        return response(sprintf(
            '{"events":%s,"operations":[%s]}',
            json_encode($events, JSON_THROW_ON_ERROR),
            $canvas === null ? '' : $this->log($canvas, $request->integer('operations')),
        ))->header('Content-Type', 'application/json');
    }

    private function log(Canvas $canvas, int $after): string
    {
        return $canvas->operations()->where('n', '>', $after)->get()
            ->map(static fn (LoggedOperation $row): string => $row->wire())->implode(',');
    }
}
