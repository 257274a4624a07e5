<?php

declare(strict_types=1);

namespace Crag\Checks;

/** What there is of one student's work on one prompt. */
final readonly class StudentResult
{
    /** @param  ?float  $share  how secure it is, from 0 to 1; null as the level says */
    public function __construct(
        public ?Level $level,
        public bool $isStarted = false,
        public bool $isSent = false,
        public int $drawingMs = 0,
        private ?float $share = null,
        public ?float $points = null,
    ) {
    }

    public static function none(): self
    {
        return new self(null);
    }

    /** @return ?float from 0 to 1; null where it was not checked */
    public function secure(): ?float
    {
        return $this->share ?? ($this->level === null ? null : $this->level->value / Level::Secure->value);
    }
}
