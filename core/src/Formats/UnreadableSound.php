<?php

declare(strict_types=1);

namespace Crag\Formats;

use DomainException;

/** What was sent as a recording is none that can be kept. */
final class UnreadableSound extends DomainException
{
    public static function broken(): self
    {
        return new self('This recording is damaged. Record it again.');
    }

    public static function noSound(): self
    {
        return new self('There’s no sound in this recording.');
    }

    public static function long(int $minutes): self
    {
        return new self("A recording can last up to {$minutes} minutes.");
    }

    public static function notOpusAlone(): self
    {
        return new self('A recording has one track of sound and nothing else.');
    }
}
