<?php

declare(strict_types=1);

namespace App\Http\Controllers\Student;

use App\Canvas\CanvasJson;
use App\Canvas\TakeCanvas;
use App\Http\CanvasAnswer;
use App\Http\CurrentSeat;
use App\Http\SameForAll;
use App\Live\Audience;
use App\Live\CatchUp;
use App\Live\Clock;
use App\Live\Keeper\KeepKey;
use App\Live\Portion;
use App\Models\Seat;
use App\Sessions\Room\RoomState;
use App\Sessions\Work\HandOutWork;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\HtmlString;

/** A student's own page and what it asks for. */
final class SeatController
{
    /** htmx's own status for a question that need not be asked again. */
    private const ASKS_NO_MORE = 286;

    /** The page of a session that has ended asks whether it runs again. */
    public function again(Seat $seat): Response
    {
        $session = $seat->session;
        if ($session->isRunning()) {
            return response('')->header('HX-Refresh', 'true');
        }

        return response('', $session->isJustOver() ? 204 : self::ASKS_NO_MORE);
    }

    public function show(Request $request, Seat $seat, TakeCanvas $takeCanvas, HandOutWork $handOut): View|Response
    {
        $session = $seat->session;
        $request->attributes->set('framed', $session->is_trial);
        if ($session->isRunning() && ! $seat->isIn()) {
            return view('student.outside', ['seat' => $seat, 'session' => $session]);
        }
        if (! $session->isRunning()) {
            return WorkController::page($request, $seat);
        }

        return response((string) self::page($request, $seat, self::opening($seat, $takeCanvas, $handOut)));
    }

    private static function page(Request $request, Seat $seat, string $opening): HtmlString
    {
        $session = $seat->session;
        $prompt = $seat->presentPrompt();

        return SameForAll::view('student.seat', [], [
            'title' => $session->title,
            'session' => $session->id,
            'code' => $session->join_code,
            'host' => $request->getHttpHost(),
            'seat' => $seat->id,
            'name' => $seat->name,
            'channel' => $seat->channelId(),
            'ink' => $seat->ink_key,
            'keep' => KeepKey::of($seat),
            'home' => route('seat.home', $seat),
            'wordless' => $prompt->words === '' ? 'is-wordless' : '',
            'n' => (string) $prompt->n,
            'mine' => $prompt->forSeat($seat)->words,
            // Nothing in it can end the element that holds it.
            'opening' => new HtmlString(str_replace('<', '\\u003c', $opening)),
        ]);
    }

    /** This device does not hold the place any more; it is kept for another one. */
    public function leave(Seat $seat): JsonResponse
    {
        CurrentSeat::forget($seat);

        return response()->json([]);
    }

    /** The canvas for the present prompt, and where the streams stand. */
    public function canvas(Seat $seat, TakeCanvas $takeCanvas, HandOutWork $handOut): Response
    {
        return CanvasAnswer::json(self::opening($seat, $takeCanvas, $handOut));
    }

    /** The canvas on which the present quick ask is answered; made for whoever came after it was asked. */
    public function pad(Request $request, Seat $seat, TakeCanvas $takeCanvas): Response
    {
        $ask = $seat->session->ask;
        $drawings = $ask?->isFor($seat) === true ? $ask->drawings : null;
        abort_if($drawings === null, 404);
        $canvas = $takeCanvas($seat, $drawings->setRelation('session', $seat->session));
        $canvas = ($canvas->wasRecentlyCreated ? $canvas->refresh() : $canvas)->setRelation('seat', $seat);

        return CanvasAnswer::json(CanvasJson::opening($canvas, [
            'tray' => $drawings->trayInForce()->now->toArray(),
            // The tools around it, once: most pages never need them.
            'bench' => $request->boolean('bench') ? view('student.pad')->render() : null,
        ]));
    }

    /** @return string what a page begins with, as JSON */
    private static function opening(Seat $seat, TakeCanvas $takeCanvas, HandOutWork $handOut): string
    {
        $session = $seat->session;
        $position = CatchUp::position($session, Audience::room($session), Audience::seat($seat));
        $prompt = $seat->presentPrompt();
        $canvas = $takeCanvas($seat, $prompt);
        $holder = $canvas->seat;
        $canvas = ($canvas->wasRecentlyCreated ? $canvas->refresh() : $canvas)->setRelation('seat', $holder);
        $handOut->got($canvas);

        return CanvasJson::opening($canvas, [
            'room' => RoomState::shared($session),
            'own' => RoomState::own($seat),
            'prompt' => $prompt->announcementTo($seat),
            'tray' => $prompt->trayInForce()->now->toArray(),
            'position' => (object) $position,
            'ended' => ! $session->isRunning(),
        ], by: $seat);
    }

    /** Everything that ever happened on a canvas on which the student works. */
    public function log(Seat $seat, string $canvas): Response
    {
        return CanvasAnswer::whole($seat->worksOn()->findOrFail($canvas));
    }

    /** What the page missed: events, and operations on the canvas that it shows. */
    public function catchUp(Request $request, Seat $seat): Response
    {
        $seat->update(['polled_at_ms' => $request->boolean('polling') ? Clock::ms() : 0]);
        $session = $seat->session;
        // Outside the room there is nothing to hear but the own knocking.
        $audiences =
            $seat->isIn() || ! $session->isRunning()
                ? [Audience::room($session), Audience::seat($seat)]
                : [Audience::seat($seat)];
        $events = CatchUp::events($session, $request, ...$audiences);
        $canvas = ! $seat->isIn() ? null : $seat->worksOn()->find($request->string('canvas')->toString());

        return CatchUp::answer(
            $events,
            $canvas === null
                ? Portion::none()
                : Portion::of($canvas->operations()->where('n', '>', $request->integer('operations'))),
        );
    }
}
