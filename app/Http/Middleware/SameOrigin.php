<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Only pages of our own may ask, without a session and its token: what a page asks all day long stays cheap, and no
 * stroke is turned away because a page was open for long. Browsers say by themselves which site a request comes from;
 * besides, the cookies are SameSite, and a body must be JSON or plain bytes, which no form of another site can send.
 */
final class SameOrigin
{
    public function handle(Request $request, Closure $next): Response
    {
        // The type itself, not what stands behind it: text/plain;a=/json can be sent by any form.
        $type = mb_strtolower(trim(explode(';', (string) $request->headers->get('Content-Type'))[0]));
        abort_unless(
            self::isOurs($request) &&
                ($request->isMethodSafe() || in_array($type, ['application/json', 'application/octet-stream'], true)),
            403,
        );

        return $next($request);
    }

    /** Whether the page that asks came from here; the port counts. */
    public static function isOurs(Request $request): bool
    {
        $origin = $request->headers->get('Origin');

        return in_array($request->headers->get('Sec-Fetch-Site', 'same-origin'), ['same-origin', 'none'], true) &&
            ($origin === null || preg_replace('#\Ahttps?://#', '', $origin) === $request->headers->get('Host'));
    }
}
