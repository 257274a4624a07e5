<?php

declare(strict_types=1);

namespace Crag\Session\Door;

use InvalidArgumentException;

final class InvalidName extends InvalidArgumentException
{
    public static function empty(): self
    {
        return new self('Please type a name.');
    }

    public static function tooLong(int $longest): self
    {
        return new self("A name can have up to {$longest} characters.");
    }

    public static function seat(int $most): self
    {
        return new self("A seat number is from 1 to {$most}.");
    }

    public static function pin(): self
    {
        return new self('A PIN has four to six digits.');
    }

    public static function noWords(): self
    {
        return new self('Please type a few words.');
    }

    public static function longWords(int $longest): self
    {
        return new self("That’s too long: use up to {$longest} characters.");
    }
}
