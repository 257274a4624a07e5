<?php

declare(strict_types=1);

namespace Crag\Prompt\Values;

use DomainException;

/** Values in braces that cannot be drawn; the sentence is for the teacher who wrote them. */
final class InvalidValues extends DomainException
{
    public static function twice(string $name): self
    {
        return new self("{$name} is given values twice.");
    }

    public static function range(string $values): self
    {
        return new self("“{$values}” is neither a range such as 2..9 nor a list such as 3, 5, 7.");
    }

    /** 2-9 is what was typed, and may well be meant as a range; as a value it would be -7. */
    public static function dash(string $values): self
    {
        return new self("“{$values}” could be a range or a subtraction. Write a range with two dots, such as 2..9.");
    }

    public static function longName(string $name): self
    {
        return new self("“{$name}” is too long for the name of a value: use one letter, such as {a: 2..9}.");
    }

    public static function unknown(string $name): self
    {
        return new self("{{$name}} has no values. Give it some where it first stands, such as {{$name}: 2..9}.");
    }

    public static function many(string $name, int $most): self
    {
        return new self("{$name} has more than {$most} values to choose from.");
    }

    public static function unreadable(string $part, string $why): self
    {
        return new self("In {{$part}}: {$why}");
    }

    public static function nothingFits(): self
    {
        return new self('No values fit all the conditions.');
    }

    public static function manyNames(int $most): self
    {
        return new self("A prompt can use up to {$most} values.");
    }
}
