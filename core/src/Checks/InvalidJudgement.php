<?php

declare(strict_types=1);

namespace Crag\Checks;

use InvalidArgumentException;

final class InvalidJudgement extends InvalidArgumentException
{
    public static function noSuchLevel(): self
    {
        return new self('The prompt has no such level to check with.');
    }

    public static function badPoints(float $points, float $most): self
    {
        return new self("You can’t give {$points} points: use whole or half points, up to {$most}.");
    }

    public static function tooLong(int $longest): self
    {
        return new self("A note can have up to {$longest} characters.");
    }
}
