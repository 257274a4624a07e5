<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\NotSignedIn;
use App\Accounts\SchoolAccount;
use App\Accounts\SchoolIdentity;
use App\Database\Turn;
use App\Http\CurrentSeat;
use App\Models\LiveSession;
use App\Models\Seat;
use App\Models\Teachers\RosterEntry;
use App\Sessions\Room\ComeIn;
use App\Sessions\Room\TakeSeat;
use Crag\Session\Door\DeviceKind;
use Crag\Session\Door\InvalidJoinCode;
use Crag\Session\Door\InvalidName;
use Crag\Session\Door\JoinCode;
use Crag\Session\Door\PersonName;
use Crag\Session\Rules\RefusedDeed;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A student comes in with a school account. Nobody has to: a name is enough. */
final class SchoolAccountController
{
    public function __construct()
    {
        abort_unless(SchoolAccount::isThere(), 404);
    }

    public function begin(Request $request, string $code, SchoolAccount $accounts): RedirectResponse
    {
        $session = self::session($code);
        if ($session === null) {
            return redirect()->route('join', $code);
        }
        try {
            return redirect()->away($accounts->begin($request, $session->join_code));
        } catch (NotSignedIn $problem) {
            return self::back($session, $problem->getMessage());
        }
    }

    public function end(Request $request, SchoolAccount $accounts, ComeIn $comeIn): RedirectResponse
    {
        [$code, $who] = $accounts->end($request);
        $session = self::session($code);
        if ($session === null) {
            return redirect()
                ->route('join')
                ->withErrors(['code' => __('That session has ended. Ask your teacher for the new code.')]);
        }
        if ($who instanceof NotSignedIn) {
            return self::back($session, $who->getMessage());
        }
        $seat = CurrentSeat::in($request, $session);
        if ($seat !== null) {
            return redirect()->route('seat', $seat);
        }
        if ($session->seats()->count() >= TakeSeat::MOST_SEATS) {
            return self::back($session, __('This session is full. Tell your teacher.'));
        }
        try {
            [$seat, $token] = $this->comeIn($request, $session, $who, $comeIn);
        } catch (InvalidName|RefusedDeed $problem) {
            return self::back($session, __($problem->getMessage()));
        }
        CurrentSeat::remember($seat, $token);

        return redirect()->route('seat', $seat);
    }

    /**
     * @return array{Seat, string}
     *
     * @throws InvalidName
     * @throws RefusedDeed
     */
    private function comeIn(Request $request, LiveSession $session, SchoolIdentity $who, ComeIn $comeIn): array
    {
        $entry = $who->account === ''
            ? null
            : RosterEntry::query()
                ->where('roster_id', $session->roster_id)
                ->where('account', mb_strtolower($who->account))
                ->first();

        return $comeIn->withAccount(
            $session,
            PersonName::read($entry->name ?? $who->name),
            $entry,
            $who->seal(),
            DeviceKind::of((string) $request->userAgent()),
        );
    }

    private static function session(string $code): ?LiveSession
    {
        try {
            $code = JoinCode::read($code)->value;
        } catch (InvalidJoinCode) {
            return null;
        }
        $session = LiveSession::query()->with('prompt')->where('join_code', $code)->first();

        if ($session?->isRunning() !== true) {
            return null;
        }
        Turn::of($session->id);

        return $session;
    }

    private static function back(LiveSession $session, string $why): RedirectResponse
    {
        return redirect()->route('join', $session->join_code)->withErrors(['account' => $why]);
    }
}
