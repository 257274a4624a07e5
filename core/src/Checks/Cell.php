<?php

declare(strict_types=1);

namespace Crag\Checks;

/** What there is of one student's work on one prompt. */
final readonly class Cell
{
    public function __construct(public ?Level $level, public bool $isStarted = false, public bool $isSent = false, public int $drawingMs = 0)
    {
    }

    public static function none(): self
    {
        return new self(null);
    }
}
