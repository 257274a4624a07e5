<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentTeacher;
use App\Models\LiveSession;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets only a teacher of the session through. */
final class HoldsDesk
{
    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->route('session');
        $teacher = CurrentTeacher::of($request);
        abort_unless(
            $session instanceof LiveSession && $teacher !== null && $teacher->mayRun($session),
            403,
            __('This desk belongs to another device. Open it with its private return link.'),
        );
        $request->attributes->set('teacher', $teacher);

        return $next($request);
    }
}
