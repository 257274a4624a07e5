<?php

declare(strict_types=1);

namespace Crag\Asks;

/** A canvas that might be talked about. */
final readonly class Work
{
    /**
     * @param  int  $objects  how much stands on it
     * @param  int  $shown  how often it was before the class
     * @param  bool  $keepsBack  whether its author asks not to be shown
     */
    public function __construct(
        public string $canvas,
        public int $objects,
        public int $shown,
        public bool $keepsBack,
    ) {
    }
}
