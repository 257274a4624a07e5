<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing inline, nothing from another host, framed by nobody. */
final class SecurityHeaders
{
    private const POLICY =
        "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:; media-src 'self' blob:; ".
        "connect-src 'self' %s; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $headers = $response->headers;
        // A student's page of a session that a teacher only tries stands in a frame of our own.
        $isFramed = $request->attributes->get('framed') === true;
        // Some browsers do not count a WebSocket to the same host as 'self'.
        $socket = ($request->isSecure() ? 'wss://' : 'ws://').$request->getHttpHost();
        if (! $headers->has('Content-Security-Policy')) {
            $policy = sprintf(self::POLICY, $socket);
            $headers->set(
                'Content-Security-Policy',
                $isFramed ? str_replace("frame-ancestors 'none'", "frame-ancestors 'self'", $policy) : $policy,
            );
        }
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('Referrer-Policy', 'same-origin');
        $headers->set('X-Frame-Options', $isFramed ? 'SAMEORIGIN' : 'DENY');
        $headers->set('Permissions-Policy', 'camera=(self), microphone=(self), geolocation=()');
        $headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        if (! $headers->has('Cache-Control') || str_contains((string) $headers->get('Cache-Control'), 'no-cache')) {
            $headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
