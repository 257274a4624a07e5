<?php

declare(strict_types=1);

namespace Crag\Prompt;

use InvalidArgumentException;

final class InvalidPrompt extends InvalidArgumentException
{
    public static function untitled(): self
    {
        return new self('A plan needs a title.');
    }

    public static function tooLong(int $length, int $longest): self
    {
        return new self("A prompt can have up to {$longest} characters; this has {$length}.");
    }
}
