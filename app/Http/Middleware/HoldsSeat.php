<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentRole;
use App\Http\CurrentSeat;
use App\Models\Seat;
use Closure;
use Crag\Session\Rules\Role;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets only the device that took the seat through. */
final class HoldsSeat
{
    public function handle(Request $request, Closure $next): Response
    {
        $seat = $request->route('seat');
        abort_unless(
            $seat instanceof Seat && CurrentSeat::holds($request, $seat),
            403,
            __('This seat belongs to another device. Join with the code to get your own.'),
        );
        CurrentRole::set($request, Role::Student);

        return $next($request);
    }
}
