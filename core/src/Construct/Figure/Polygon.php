<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** Corners in order. */
final readonly class Polygon implements Figure
{
    /** @param  non-empty-list<Point>  $corners */
    public function __construct(public array $corners)
    {
    }

    /** In square units, by the shoelace rule; of one that crosses itself the parts count against each other. */
    public function area(): float
    {
        $sum = 0.0;
        foreach ($this->corners as $i => $corner) {
            $sum += $corner->cross($this->corners[($i + 1) % count($this->corners)]);
        }

        return abs($sum) / 2;
    }
}
