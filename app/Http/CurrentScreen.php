<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\LiveSession;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/** Whether this device may show a session's class screen: it was opened by the screen's private link once. */
final class CurrentScreen
{
    private const MINUTES = 60 * 24 * 30;

    public static function shows(Request $request, LiveSession $session): bool
    {
        $key = $request->cookie(self::cookie($session));

        return is_string($key) && hash_equals($session->screen_key, $key);
    }

    public static function remember(LiveSession $session): void
    {
        Cookie::queue(Cookie::make(self::cookie($session), $session->screen_key, self::MINUTES));
    }

    private static function cookie(LiveSession $session): string
    {
        return 'crag_screen_'.strtolower($session->id);
    }
}
