<?php

declare(strict_types=1);

namespace Crag\Formats;

/** A recording as it is kept: Opus in WebM. */
final readonly class Sound
{
    public const MIME = 'audio/webm';

    /** @param  int  $lastsMs  milliseconds */
    public function __construct(public string $bytes, public int $lastsMs)
    {
    }
}
