<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Database\Turn;
use App\Models\LiveSession;
use App\Models\Seat;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What a request writes, it writes in the turn of its session. */
final class TakesTurn
{
    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->route('session');
        $seat = $request->route('seat');
        Turn::of(...match (true) {
            $session instanceof LiveSession => [$session->id],
            $seat instanceof Seat => [$seat->live_session_id],
            default => [],
        });

        return $next($request);
    }
}
