<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** How far a straight line goes. */
enum Extent: string
{
    case Segment = 'segment';
    case Ray = 'ray';
    case Line = 'line';
    /** A segment with a head. */
    case Vector = 'vector';

    /** Whether a place along it, 0 at its first point and 1 at its second, is on it. */
    public function holds(float $t): bool
    {
        $slack = 1e-9;

        return match ($this) {
            self::Line => true,
            self::Ray => $t >= -$slack,
            default => $t >= -$slack && $t <= 1 + $slack,
        };
    }

    /** The nearest place along it that is on it. */
    public function nearest(float $t): float
    {
        return match ($this) {
            self::Line => $t,
            self::Ray => max(0.0, $t),
            default => max(0.0, min(1.0, $t)),
        };
    }
}
