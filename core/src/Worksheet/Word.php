<?php

declare(strict_types=1);

namespace Crag\Worksheet;

/** A word where it stands on a page. */
final readonly class Word
{
    public function __construct(public string $text, public Box $box)
    {
    }
}
