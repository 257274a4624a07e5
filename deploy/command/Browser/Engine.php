<?php

declare(strict_types=1);

namespace Deploy\Browser;

use Deploy\Problem;

/** Which of the three engines tests run in: `CRAG_ENGINE`, as a rule Chromium. */
final class Engine
{
    public const CHROMIUM = 'chromium';

    public const OTHERS = ['firefox', 'webkit'];

    private static ?Browsers $shared = null;

    public static function name(): string
    {
        return getenv('CRAG_ENGINE') ?: self::CHROMIUM;
    }

    /** The kind of pointer that an engine's driver can move: only Chromium's has a stylus. */
    public static function pointer(string $wanted): string
    {
        return $wanted === 'pen' && self::name() !== self::CHROMIUM ? 'mouse' : $wanted;
    }

    /** One for all of this process, stopped with it. */
    public static function shared(): Browsers
    {
        if (self::$shared === null) {
            self::$shared = match (self::name()) {
                self::CHROMIUM => Chrome::start(),
                'firefox' => Firefox::start(),
                'webkit' => Webkit::start(),
                default => throw new Problem('There is no engine "'.self::name().'".'),
            };
            register_shutdown_function(static fn () => self::$shared?->stop());
        }

        return self::$shared;
    }
}
