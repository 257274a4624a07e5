<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentTeacher;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Makes sure that there is a teacher: a device that is none yet becomes one, since nothing but a name is needed. */
final class IsTeacher
{
    public function handle(Request $request, Closure $next): Response
    {
        $request->attributes->set('teacher', CurrentTeacher::of($request) ?? CurrentTeacher::orNew($request, ''));

        return $next($request);
    }
}
