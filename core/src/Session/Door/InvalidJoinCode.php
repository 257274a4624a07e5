<?php

declare(strict_types=1);

namespace Crag\Session\Door;

use InvalidArgumentException;

/** What was typed cannot be a join code. The sentence is for the student who typed it. */
final class InvalidJoinCode extends InvalidArgumentException
{
    public static function length(int $length): self
    {
        return new self("A join code has 6 characters; this has {$length}.");
    }

    public static function character(string $character): self
    {
        return new self("Join codes never use \"{$character}\". Check the code again.");
    }
}
