<?php

declare(strict_types=1);

namespace Crag\Json;

use InvalidArgumentException;

/** What came in cannot be used: the sentence says what was wrong with which field. */
class UnreadableFields extends InvalidArgumentException
{
    /** What somebody typed in a form of ours: the sentence is for that person. */
    public static function saying(string $sentence): self
    {
        return new self($sentence);
    }

    public static function missing(string $field): self
    {
        return new self("There is no usable \"{$field}\".");
    }

    public static function badValue(string $field, string $why): self
    {
        return new self("\"{$field}\" {$why}.");
    }
}
