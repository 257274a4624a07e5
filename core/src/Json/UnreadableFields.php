<?php

declare(strict_types=1);

namespace Crag\Json;

use InvalidArgumentException;

/** What came in is not an operation: the sentence says what was wrong with what. */
final class UnreadableFields extends InvalidArgumentException
{
    /** What somebody typed in a form of ours: the sentence is for that person. */
    public static function saying(string $sentence): self
    {
        return new self($sentence);
    }

    public static function missing(string $field): self
    {
        return new self("The operation has no usable \"{$field}\".");
    }

    public static function unknownKind(string $kind): self
    {
        return new self('"'.self::short($kind).'" is not a kind of operation.');
    }

    public static function unknownObject(string $type): self
    {
        return new self('"'.self::short($type).'" is not a kind of object.');
    }

    public static function badInk(string $why): self
    {
        return new self("The ink cannot be read: {$why}.");
    }

    public static function badValue(string $field, string $why): self
    {
        return new self("\"{$field}\" {$why}.");
    }

    private static function short(string $text): string
    {
        return mb_substr(mb_scrub($text), 0, 30);
    }
}
