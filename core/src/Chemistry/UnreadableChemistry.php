<?php

declare(strict_types=1);

namespace Crag\Chemistry;

use DomainException;

/** Something typed that is no chemical formula or equation; the sentence is for the person who typed it. */
final class UnreadableChemistry extends DomainException
{
    public static function nothing(): self
    {
        return new self('There’s nothing to read.');
    }

    public static function sign(string $sign): self
    {
        return new self("The sign “{$sign}” can’t be used here.");
    }

    public static function element(string $symbol): self
    {
        return new self("“{$symbol}” isn’t the symbol of an element.");
    }

    public static function zero(): self
    {
        return new self('Is that a zero, or the letter O?');
    }

    public static function open(): self
    {
        return new self('A bracket is not closed.');
    }

    public static function large(): self
    {
        return new self('A number in it is too large.');
    }

    public static function arrows(): self
    {
        return new self('There’s more than one arrow.');
    }
}
