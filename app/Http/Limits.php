<?php

declare(strict_types=1);

namespace App\Http;

use Crag\Session\Door\InvalidJoinCode;
use Crag\Session\Door\JoinCode;
use Illuminate\Cache\RateLimiter;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;

/**
 * How often in a minute something may be asked for: so often by one browser, so often by all that bring no cookie, and
 * so often by everybody at one address, which may be a school where thirty classes begin at nine.
 */
final class Limits
{
    /** Name => [by one browser, by an address without a cookie, by one address]. */
    private const A_MINUTE = [
        'start' => [12, 30, 300],
        'link' => [60, 60, 600],
        'picture' => [240, 60, 2400],
        'make' => [60, 30, 600],
        'upload' => [30, 10, 300],
        'join' => [20, 120, 3000],
        'ink' => [40, 20, 6000],
        'account' => [12, 12, 200],
        'mail' => [4, 4, 60],
    ];

    /** A class that comes in at once has 35, a hall 100. */
    private const INTO_ONE_SESSION = 120;

    public static function define(RateLimiter $limiter): void
    {
        foreach (self::A_MINUTE as $name => [$browser, $stranger, $address]) {
            $limiter->for(
                $name,
                static fn (Request $request): array => [
                    self::browser($request, $browser, $stranger, $name),
                    Limit::perMinute($address)->by("{$name} address {$request->ip()}"),
                    ...$name === 'join'
                        ? [
                            Limit::perMinute(self::INTO_ONE_SESSION)->by(
                                "into {$request->ip()} ".self::code($request),
                            ),
                        ]
                        : [],
                ],
            );
        }
    }

    private static function browser(Request $request, int $known, int $stranger, string $name): Limit
    {
        $visitor = Visitor::of($request);

        return $visitor === ''
            ? Limit::perMinute($stranger)->by("{$name} stranger {$request->ip()}")
            : Limit::perMinute($known)->by("{$name} visitor {$visitor}");
    }

    /** However it is typed. */
    private static function code(Request $request): string
    {
        try {
            return JoinCode::read($request->string('code')->toString())->value;
        } catch (InvalidJoinCode) {
            return '';
        }
    }
}
