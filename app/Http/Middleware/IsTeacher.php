<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentTeacher;
use App\Models\Teachers\Teacher;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Makes sure that there is a teacher: a device that is none yet becomes one with the first thing that it makes, since
 * nothing but a name is needed. Looking alone makes nobody one.
 */
final class IsTeacher
{
    public function handle(Request $request, Closure $next): Response
    {
        $device = CurrentTeacher::device($request);
        $device?->used();
        $teacher = $device?->teacher;
        $request->attributes->set(
            'teacher',
            $teacher ?? ($request->isMethodSafe() ? new Teacher() : CurrentTeacher::orNew($request, '')),
        );

        return $next($request);
    }
}
