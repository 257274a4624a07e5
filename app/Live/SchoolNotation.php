<?php

declare(strict_types=1);

namespace App\Live;

use Crag\Maths\Parsing\Notation;

/** How numbers and money are written in this school. */
final class SchoolNotation
{
    public static function now(): Notation
    {
        $setting = static fn (string $name): string => is_string($value = config("crag.{$name}")) ? $value : '';

        return Notation::of($setting('decimal'), $setting('money'));
    }
}
