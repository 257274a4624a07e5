<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\CurrentScreen;
use App\Http\CurrentSeat;
use App\Http\CurrentTeacher;
use App\Http\Middleware\SameOrigin;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Sessions\Room\CurrentSituation;
use Crag\Session\Room\SeatState;
use Crag\Session\Rules\Deed;
use Crag\Session\Rules\Rules;
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
        preg_match('#\A/live/([a-z]+)/([0-9A-Za-z]+)(?:/([0-9A-Za-z]+))?(?:/([0-9A-Za-z]+))?\z#', $path, $parts);
        [, $what, $first, $second, $third] = $parts + ['', '', '', '', ''];
        $may = match ("{$what} ".count($parts)) {
            // What the server tells, and the ink that this page sends or is shown.
            'seat 4', 'light 4', 'wet 4', 'lead 4' => $this->maySit($request, $first, $second) === SeatState::Seated,
            // Ink on a group's canvas, to the desks and to those who draw there.
            'near 5', 'wet 5' => $this->maySit($request, $first, $second) === SeatState::Seated && $this->isIn($second, $third),
            'door 3' => $this->maySit($request, null, $first) !== null,
            'desk 3', 'pens 3' => $this->mayRun($request, $first, Deed::Watch),
            'leading 3' => $this->mayRun($request, $first, Deed::Lead),
            'coach 4' => $this->mayRun($request, $first, Deed::Coach) && $this->isSeatOf($first, $second),
            'screen 3', 'shown 3' => $this->mayShow($request, $first),
            default => false,
        };

        // A page of another site can open a socket here with this device's cookies; its origin gives it away.
        return response('', $may && SameOrigin::isOurs($request) ? 204 : 403);
    }

    /**
     * The seat's state, where this device holds it and means its present channel. A student who is out hears the door
     * alone.
     */
    private function maySit(Request $request, ?string $sessionId, string $channelId): ?SeatState
    {
        $seat = self::seat($channelId);
        $isOwn =
            $seat !== null &&
            ($sessionId === null || $seat->live_session_id === $sessionId) &&
            CurrentSeat::holds($request, $seat);

        return $isOwn ? $seat->state : null;
    }

    private function mayRun(Request $request, string $sessionId, Deed $deed): bool
    {
        $session = LiveSession::query()->find($sessionId);
        $role = $session === null ? null : CurrentTeacher::of($request)?->roleIn($session);

        return $role !== null && Rules::refusal($deed, $role, CurrentSituation::of($session)) === null;
    }

    /** Whether a seat is in a group now, whose present channel this is. */
    private function isIn(string $channelId, string $groupChannel): bool
    {
        $group = self::seat($groupChannel);

        return $group !== null &&
            self::seat($channelId)
                ?->memberships()
                ->where('group_id', $group->id)
                ->whereNull('until_ms')
                ->exists() === true;
    }

    private function isSeatOf(string $sessionId, string $channelId): bool
    {
        return self::seat($channelId)?->live_session_id === $sessionId;
    }

    /** The seat whose present channels these are; before it was last begun anew they were others. */
    private static function seat(string $channelId): ?Seat
    {
        $seat = Seat::query()->find(explode('u', $channelId)[0]);

        return $seat?->channelId() === $channelId ? $seat : null;
    }

    private function mayShow(Request $request, string $sessionId): bool
    {
        $session = LiveSession::query()->find($sessionId);

        return $session !== null &&
            (CurrentScreen::shows($request, $session) || CurrentTeacher::of($request)?->mayRun($session) === true);
    }
}
