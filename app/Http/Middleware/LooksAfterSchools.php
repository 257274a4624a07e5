<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CurrentTeacher;
use App\Models\Teachers\School;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Who looks after the school in the address, or after all of them where `all` is asked for. For everybody else there
 * is no such page.
 */
final class LooksAfterSchools
{
    public function handle(Request $request, Closure $next, string $whom = 'one'): Response
    {
        $teacher = CurrentTeacher::of($request);
        $school = $request->route('school');
        $may = $teacher !== null && $teacher->isAdministrator() &&
            ($whom !== 'all' || $teacher->school_id === null) &&
            (! $school instanceof School || $teacher->looksAfter($school));
        abort_unless($may, 404);
        $request->attributes->set('teacher', $teacher);

        return $next($request);
    }
}
