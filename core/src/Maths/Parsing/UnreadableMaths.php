<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

use DomainException;

/** Something typed that cannot be read as a number or an expression; the sentence is for the person who typed it. */
final class UnreadableMaths extends DomainException
{
    /** What another way of writing says of itself. */
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }

    public static function nothing(): self
    {
        return new self('There’s nothing to read.');
    }

    public static function long(int $most): self
    {
        return new self("That’s longer than {$most} characters.");
    }

    public static function sign(string $sign): self
    {
        return new self("The sign “{$sign}” can’t be used here.");
    }

    public static function word(string $word): self
    {
        return new self("“{$word}” isn’t a word Crag knows.");
    }

    public static function unit(string $unit): self
    {
        return new self("“{$unit}” isn’t a unit Crag knows.");
    }

    public static function expected(string $what, string $found): self
    {
        return $found === ''
            ? new self("Something is missing at the end: {$what}.")
            : new self("Something is missing before “{$found}”: {$what}.");
    }

    public static function sideBySide(string $second): self
    {
        return new self("There are two numbers side by side: what should happen with “{$second}”?");
    }

    public static function open(): self
    {
        return new self('A bracket is not closed.');
    }

    public static function extra(string $rest): self
    {
        return new self("It isn’t clear what “{$rest}” belongs to.");
    }

    public static function divisionByZero(): self
    {
        return new self('You can’t divide by 0.');
    }

    public static function negativeRoot(): self
    {
        return new self('A negative number has no real root like that.');
    }

    public static function rootOfSum(): self
    {
        return new self('A root of a sum with letters or roots in it can’t be used here.');
    }

    public static function rootOfPower(string $letter): self
    {
        return new self("A root of a power of {$letter} depends on the sign of {$letter}, so it can’t be used here.");
    }

    public static function undefined(): self
    {
        return new self('That isn’t defined for this number.');
    }

    public static function power(): self
    {
        return new self('Powers can only be plain numbers.');
    }

    public static function large(): self
    {
        return new self('That’s too large to work out.');
    }

    public static function letters(string $letter): self
    {
        return new self("Give a number: “{$letter}” is a letter.");
    }
}
