<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentRole;
use App\Models\Seat;
use Closure;
use Crag\Session\Rules\Role;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/** Lets whoever has a student's private link at that student's own work, and at nothing else. */
final class TakesHome
{
    public function handle(Request $request, Closure $next): Response
    {
        $route = $request->route();
        abort_unless($route instanceof Route, 404);
        $seat = $route->parameter('seat');
        $key = $route->parameter('key');
        if (
            ! ($seat instanceof Seat) ||
            ! is_string($key) ||
            $seat->home_key === null ||
            ! hash_equals($seat->home_key, $key)
        ) {
            abort(404);
        }
        $request->attributes->set('home', '/home/'.$seat->id.'/'.$key);
        $route->forgetParameter('key');
        CurrentRole::set($request, Role::Student);

        return $next($request);
    }
}
