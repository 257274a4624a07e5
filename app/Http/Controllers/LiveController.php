<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentScreen;
use App\Http\CurrentSeat;
use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use App\Models\Seat;
use Crag\Session\SeatState;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Whether a page may open the socket that it asked nginx for. nginx asks once, as the socket opens, and passes the
 * address; the same checks hold as for the pages.
 */
final class LiveController
{
    public function __invoke(Request $request): Response
    {
        $path = (string) parse_url((string) $request->header('X-Original-URI'), PHP_URL_PATH);
        $may = match (true) {
            preg_match('#\A/live/(seat|light)/([0-9A-Za-z]+)/([0-9A-Za-z]+?)(?:u(\d+))?\z#', $path, $ids) === 1 => $this->maySit($request, $ids[2], $ids[3], (int) ($ids[4] ?? 0)) === SeatState::Seated,
            preg_match('#\A/live/door/([0-9A-Za-z]+?)(?:u(\d+))?\z#', $path, $ids) === 1 => $this->maySit($request, null, $ids[1], (int) ($ids[2] ?? 0)) !== null,
            preg_match('#\A/live/desk/([0-9A-Za-z]+)\z#', $path, $ids) === 1 => $this->mayRun($request, $ids[1]),
            preg_match('#\A/live/coach/([0-9A-Za-z]+)/([0-9A-Za-z]+?)(?:u(\d+))?\z#', $path, $ids) === 1 => $this->mayRun($request, $ids[1]) && $this->isSeatOf($ids[1], $ids[2], (int) ($ids[3] ?? 0)),
            preg_match('#\A/live/screen/([0-9A-Za-z]+)\z#', $path, $ids) === 1 => $this->mayShow($request, $ids[1]),
            default => false,
        };
        // A page of another site can open a socket here with this device's cookies; its origin gives it away.
        $origin = $request->header('Origin');
        $same = $origin === null || parse_url($origin, PHP_URL_HOST) === $request->getHost();

        return response('', $may && $same ? 204 : 403);
    }

    /** The seat's state, where this device holds it and means its present channel. A student who is out hears the door alone. */
    private function maySit(Request $request, ?string $sessionId, string $seatId, int $turn): ?SeatState
    {
        $seat = Seat::query()->find($seatId);
        $isOwn = $seat !== null && ($sessionId === null || $seat->live_session_id === $sessionId) && CurrentSeat::holds($request, $seat);

        return $isOwn && $seat->turn === $turn ? $seat->state : null;
    }

    private function mayRun(Request $request, string $sessionId): bool
    {
        $session = LiveSession::query()->find($sessionId);

        return $session !== null && CurrentTeacher::of($request)?->mayRun($session) === true;
    }

    private function isSeatOf(string $sessionId, string $seatId, int $turn): bool
    {
        $seat = Seat::query()->find($seatId);

        return $seat !== null && $seat->live_session_id === $sessionId && $seat->turn === $turn;
    }

    private function mayShow(Request $request, string $sessionId): bool
    {
        $session = LiveSession::query()->find($sessionId);

        return $session !== null && (CurrentScreen::shows($request, $session) || CurrentTeacher::of($request)?->mayRun($session) === true);
    }
}
