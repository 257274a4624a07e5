<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

use DomainException;

/** Something typed that cannot be read as a number or an expression; the sentence is for the person who typed it. */
final class UnreadableMaths extends DomainException
{
    public static function nothing(): self
    {
        return new self('There is nothing to read.');
    }

    public static function long(int $most): self
    {
        return new self("That is longer than {$most} characters.");
    }

    public static function sign(string $sign): self
    {
        return new self("The sign “{$sign}” was not understood.");
    }

    public static function word(string $word): self
    {
        return new self("The word “{$word}” was not understood.");
    }

    public static function unit(string $unit): self
    {
        return new self("The unit “{$unit}” was not understood.");
    }

    public static function expected(string $what, string $found): self
    {
        return $found === ''
            ? new self("Something is missing at the end: {$what}.")
            : new self("Something is missing before “{$found}”: {$what}.");
    }

    public static function sideBySide(string $second): self
    {
        return new self("Two numbers stand side by side: what is to be done with “{$second}”?");
    }

    public static function open(): self
    {
        return new self('A bracket is not closed.');
    }

    public static function extra(string $rest): self
    {
        return new self("It is not clear what “{$rest}” belongs to.");
    }

    public static function byNought(): self
    {
        return new self('Nothing can be divided by 0.');
    }

    public static function negativeRoot(): self
    {
        return new self('A negative number has no such root.');
    }

    public static function rootOfSum(): self
    {
        return new self('The root of a sum with letters or roots in it is not understood.');
    }

    public static function rootOfPower(string $letter): self
    {
        return new self("A root of a power of {$letter} depends on the sign of {$letter}, and is not understood.");
    }

    public static function power(): self
    {
        return new self('Only plain numbers are understood as powers.');
    }

    public static function large(): self
    {
        return new self('That is too large to be worked out.');
    }

    public static function letters(string $letter): self
    {
        return new self("A number is asked for; “{$letter}” is a letter.");
    }
}
