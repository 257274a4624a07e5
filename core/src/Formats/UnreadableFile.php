<?php

declare(strict_types=1);

namespace Crag\Formats;

use InvalidArgumentException;

/** A file that is not what it should be; the sentence is for the person who chose it. */
final class UnreadableFile extends InvalidArgumentException
{
    public static function notXml(string $format): self
    {
        return new self("This file isn’t well-formed {$format}.");
    }

    public static function holds(string $format, string $why): self
    {
        return new self("This {$format} file can’t be used: {$why}");
    }

    public static function notText(): self
    {
        return new self('This file has no text in it.');
    }

    public static function manyRows(int $most): self
    {
        return new self("This file has more than {$most} lines.");
    }

    public static function longNames(int $longest): self
    {
        return new self("No names of up to {$longest} characters were found.");
    }

    public static function noNames(): self
    {
        return new self('It has no names in it.');
    }

    public static function manyNames(int $found, int $most): self
    {
        return new self("Found {$found} names: a class can have up to {$most}.");
    }

    public static function nothingIn(string $format): self
    {
        return new self("Nothing in this {$format} file can go on a canvas.");
    }

    public static function tooMuch(string $format, int $most, string $of = 'objects'): self
    {
        return new self("This {$format} file has too much in it: up to {$most} {$of} can be added at once.");
    }

    public static function noClasses(): self
    {
        return new self('No class in this export has students.');
    }

    public static function lacksFile(string $format, string $name): self
    {
        return new self("This isn’t a whole {$format} export: there’s no {$name} in it.");
    }

    public static function lacksColumn(string $name, string $column): self
    {
        return new self("{$name} has no column “{$column}”.");
    }
}
