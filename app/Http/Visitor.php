<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/**
 * One browser, as far as limits go: a random word in a cookie, kept nowhere else. A whole school may sit behind one
 * address; what one browser does too often must not shut out the others.
 */
final class Visitor
{
    private const COOKIE = 'crag_visitor';

    /** @return string nothing where the browser brings none */
    public static function of(Request $request): string
    {
        $cookie = $request->cookie(self::COOKIE);

        return is_string($cookie) ? $cookie : '';
    }

    /** From its first page on a browser is told apart from the others. */
    public static function greet(Request $request): void
    {
        if (self::of($request) === '') {
            Cookie::queue(Cookie::make(self::COOKIE, Str::random(24)));
        }
    }
}
