<?php

declare(strict_types=1);

namespace Crag\Asks;

/** What everyone sees of the answers before a run goes on. */
enum Look: string
{
    case None = 'none';
    case Bars = 'bars';
    case Right = 'right';

    /** The milliseconds for which it stands before the class when the run moves on by itself. */
    public function stays(): int
    {
        return $this === self::None ? 4_000 : 10_000;
    }

    public function word(): string
    {
        return match ($this) {
            self::None => 'go on',
            self::Bars => 'show the answers',
            self::Right => 'show which is right',
        };
    }
}
