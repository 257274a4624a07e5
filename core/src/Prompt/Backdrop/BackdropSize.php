<?php

declare(strict_types=1);

namespace Crag\Prompt\Backdrop;

/** How wide a ruling is. */
enum BackdropSize: string
{
    case Small = 'small';
    case Middle = 'middle';
    case Large = 'large';

    /** From one line or dot to the next, in units. */
    public function step(): int
    {
        return match ($this) {
            self::Small => 25,
            self::Middle => 50,
            self::Large => 100,
        };
    }

    public function word(): string
    {
        return ucfirst($this->value);
    }
}
