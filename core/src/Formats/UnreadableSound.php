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

    public static function large(): self
    {
        return new self('That recording is too large.');
    }

    public static function long(int $minutes): self
    {
        return new self("A recording can last up to {$minutes} minutes.");
    }

    public static function otherTracks(bool $mayFilm): self
    {
        return new self(
            $mayFilm
                ? 'A recording has one track of sound, at most one of pictures, and nothing else.'
                : 'A recording has one track of sound and nothing else.',
        );
    }

    public static function largePicture(int $most): self
    {
        return new self("The picture of who speaks can be up to {$most} pixels wide and high.");
    }
}
