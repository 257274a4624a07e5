<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** A measure: what was measured, and where it is written. */
final readonly class Label implements Figure
{
    /**
     * @param  float  $value  in the units of the scale, their squares, degrees, or a plain number; of a place, across
     * @param  ?Arc  $arc  of an angle: the mark that goes with it
     * @param  string  $exact  the value where it can be told exactly; empty where it cannot
     * @param  float  $second  of a place: up
     */
    public function __construct(
        public Point $at,
        public float $value,
        public MeasureUnit $unit,
        public ?Arc $arc = null,
        public string $exact = '',
        public float $second = 0.0,
    ) {
    }
}
