<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

/** One sign of what was typed: of a kind, with its text, and whether a space stood before it. */
final readonly class Token
{
    /** @param  string  $kind  number, fraction, raised, letter, command, or the mark itself */
    public function __construct(public string $kind, public string $text, public bool $spaceBefore)
    {
    }
}
