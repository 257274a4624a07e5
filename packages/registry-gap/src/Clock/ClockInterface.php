<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeImmutable;
use DateTimeZone;
use Psr\Clock\ClockInterface as PsrClockInterface;

/** The interface of symfony/clock, which Carbon names in a signature; nothing here makes one. */
interface ClockInterface extends PsrClockInterface
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(DateTimeZone|string $timezone): static;

    public function now(): DateTimeImmutable;
}
