<?php

declare(strict_types=1);

namespace Crag\Formats;

/** A recording as it is kept: Opus in WebM, perhaps with small pictures of who speaks. */
final readonly class Sound
{
    public const MIME = 'audio/webm';

    public const FILMED_MIME = 'video/webm';

    /**
     * @param  int  $lastsMs  milliseconds
     * @param  array{int, int}|null  $size  of the pictures, in pixels; null where there are none
     */
    public function __construct(public string $bytes, public int $lastsMs, public ?array $size = null)
    {
    }
}
