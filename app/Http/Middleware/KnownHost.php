<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Where a public address is set, this server answers to it alone: what a stranger's name for it would put into links
 * and pages stays out.
 */
final class KnownHost
{
    /** Asked by the machine itself, under whatever name. */
    private const OF_THE_MACHINE = ['up', 'health', 'metrics'];

    public function handle(Request $request, Closure $next): Response
    {
        $public = config()->string('crag.url');
        $host = preg_replace('#\Ahttps?://#', '', $public);
        if (
            $public !== '' &&
            mb_strtolower((string) $request->headers->get('Host')) !== $host &&
            ! in_array($request->path(), self::OF_THE_MACHINE, true)
        ) {
            return response(__('This isn’t Crag’s address here. Go to :address.', ['address' => $public]), 421)->header(
                'Content-Type',
                'text/plain; charset=utf-8',
            );
        }

        return $next($request);
    }
}
