<?php

declare(strict_types=1);

namespace Crag\Maths\Steps;

/** What is said of a step from one line to the next. */
final readonly class Step
{
    private function __construct(public Follows $follows, public string $why)
    {
    }

    public static function yes(): self
    {
        return new self(Follows::Yes, '');
    }

    public static function no(string $why): self
    {
        return new self(Follows::No, $why);
    }

    public static function unknown(): self
    {
        return new self(Follows::Unknown, '');
    }
}
