<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** A part of a circle. */
final readonly class Arc implements Figure
{
    /**
     * @param  float  $from  in radians from the right
     * @param  float  $sweep  in radians, above 0 clockwise as it is seen on a page
     */
    public function __construct(public Circle $circle, public float $from, public float $sweep)
    {
    }
}
