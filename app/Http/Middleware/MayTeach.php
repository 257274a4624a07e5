<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\WhoTeaches;
use App\Http\CurrentTeacher;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Sessions, plans and classes are made by those who may teach here; the others are shown how to become one. */
final class MayTeach
{
    public function handle(Request $request, Closure $next): Response
    {
        if (WhoTeaches::here()->admits(CurrentTeacher::of($request))) {
            return $next($request);
        }

        return $request->expectsJson() || $request->isJson()
            ? abort(403, __('Teachers sign in here first.'))
            : redirect()->route('account')->with('said', __('Teachers sign in here first.'));
    }
}
