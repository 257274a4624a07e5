<?php

declare(strict_types=1);

namespace Crag\Session\Room;

use InvalidArgumentException;

final class InvalidTimer extends InvalidArgumentException
{
    public static function length(int $hours): self
    {
        return new self("A timer runs from 1 second to {$hours} hours.");
    }
}
