<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\LiveSession;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing of a lesson can be changed once it has ended. */
final class WhileRunning
{
    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->route('session');
        abort_unless($session instanceof LiveSession && $session->isRunning(), 409, __('This session has ended.'));

        return $next($request);
    }
}
