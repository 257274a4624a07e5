<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** A measure: what was measured, and where its number stands. */
final readonly class Label implements Figure
{
    /**
     * @param  float  $value  in units of the page, square units, degrees, or a plain number
     * @param  ?Arc  $arc  of an angle: the mark that goes with it
     */
    public function __construct(
        public Point $at,
        public float $value,
        public MeasureUnit $unit,
        public ?Arc $arc = null,
    ) {
    }
}
