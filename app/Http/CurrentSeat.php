<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\LiveSession;
use App\Models\Seat;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/** The seat that this device holds in a session: a cookie for each session. */
final class CurrentSeat
{
    private const MINUTES = 60 * 24 * 30;

    public static function in(Request $request, LiveSession $session): ?Seat
    {
        $token = $request->cookie(Seat::cookieFor($session->id));
        if (! is_string($token)) {
            return null;
        }

        return $session->seats()->where('token_hash', hash('sha256', $token))->first();
    }

    public static function holds(Request $request, Seat $seat): bool
    {
        $token = $request->cookie(Seat::cookieFor($seat->live_session_id));

        return is_string($token) && hash_equals($seat->token_hash, hash('sha256', $token));
    }

    /** Whether it held the seat until another device took it over: what was drawn there may still arrive. */
    public static function held(Request $request, Seat $seat): bool
    {
        $token = $request->cookie(Seat::cookieFor($seat->live_session_id));

        return is_string($token) &&
            $seat->old_token_hash !== null &&
            hash_equals($seat->old_token_hash, hash('sha256', $token));
    }

    public static function forget(Seat $seat): void
    {
        Cookie::queue(Cookie::forget(Seat::cookieFor($seat->live_session_id)));
    }

    public static function remember(Seat $seat, string $token): void
    {
        Cookie::queue(Cookie::make(Seat::cookieFor($seat->live_session_id), $token, self::MINUTES));
    }
}
