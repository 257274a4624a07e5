<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * A browser's session that does not remember where it was: an address names a session or a seat, which may be
 * forgotten.
 */
final class StartWebSession extends StartSession
{
    /**
     * The way back is the browser's own word, its referrer.
     *
     * @param  \Illuminate\Contracts\Session\Session  $session
     */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }
}
