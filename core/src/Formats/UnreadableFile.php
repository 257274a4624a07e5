<?php

declare(strict_types=1);

namespace Crag\Formats;

use InvalidArgumentException;

/** A file that is not what it should be; the sentence is for the person who chose it. */
final class UnreadableFile extends InvalidArgumentException
{
    public static function notXml(string $format): self
    {
        return new self("This file is not well-formed {$format}.");
    }

    public static function holds(string $format, string $why): self
    {
        return new self("This {$format} file cannot be taken: {$why}");
    }

    public static function notText(): self
    {
        return new self('This file holds no text.');
    }

    public static function manyRows(int $most): self
    {
        return new self("This file has more than {$most} lines.");
    }

    public static function longNames(int $longest): self
    {
        return new self("No name was found that is {$longest} characters long or shorter.");
    }

    public static function noNames(): self
    {
        return new self('No names were found in it.');
    }

    public static function manyNames(int $found, int $most): self
    {
        return new self("{$found} names were found: a class has room for {$most}.");
    }

    public static function nothingIn(string $format): self
    {
        return new self("There is nothing in this {$format} file that a canvas can hold.");
    }

    public static function tooMuch(string $format, int $most, string $of = 'objects'): self
    {
        return new self("There is more in this {$format} file than the {$most} {$of} that can be brought in at once.");
    }
}
