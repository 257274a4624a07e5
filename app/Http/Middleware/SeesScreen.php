<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentScreen;
use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets only a device through on which the class screen was opened with its private link. */
final class SeesScreen
{
    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->route('session');
        abort_unless(
            $session instanceof LiveSession &&
                (CurrentScreen::shows($request, $session) || CurrentTeacher::of($request)?->mayRun($session) === true),
            403,
            __('Open the class screen from the desk.'),
        );

        return $next($request);
    }
}
