<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use Crag\Json\UnreadableFields;

/** What came in is not an operation: the sentence says what was wrong with what. */
final class UnreadableOperation extends UnreadableFields
{
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
        return new self("The ink can’t be read: {$why}.");
    }

    private static function short(string $text): string
    {
        return mb_substr(mb_scrub($text), 0, 30);
    }
}
