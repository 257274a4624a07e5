<?php

declare(strict_types=1);

namespace Crag\Checks;

/** The levels of a check: how many layers of the Strata mark are filled. */
enum Level: int
{
    case NoAttempt = 0;
    case NotYet = 1;
    case Nearly = 2;
    case Secure = 3;

    public function word(): string
    {
        return match ($this) {
            self::NoAttempt => 'No attempt',
            self::NotYet => 'Not yet',
            self::Nearly => 'Nearly',
            self::Secure => 'Secure',
        };
    }
}
