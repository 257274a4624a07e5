<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentRole;
use App\Models\Seat;
use Closure;
use Crag\Session\Role;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets whoever has a student's private link at that student's own work, and at nothing else. */
final class TakesHome
{
    public function handle(Request $request, Closure $next): Response
    {
        $seat = $request->route('seat');
        $key = $request->route('key');
        abort_unless($seat instanceof Seat && is_string($key) && $seat->home_key !== null && hash_equals($seat->home_key, $key), 404);
        $request->route()?->forgetParameter('key');
        $request->attributes->set('home', "/home/{$seat->id}/{$key}");
        CurrentRole::set($request, Role::Student);

        return $next($request);
    }
}
