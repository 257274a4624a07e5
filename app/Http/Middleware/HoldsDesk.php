<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentRole;
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
        $role = $session instanceof LiveSession ? $teacher?->roleIn($session) : null;
        abort_unless(
            $teacher !== null && $role !== null,
            403,
            __('This desk belongs to another device. Open it with its private return link.'),
        );
        $request->attributes->set('teacher', $teacher);
        CurrentRole::set($request, $role);

        return $next($request);
    }
}
