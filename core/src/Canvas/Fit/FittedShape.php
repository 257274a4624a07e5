<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/** The shape that a stroke was meant as, in its JSON form without colour and width. */
final readonly class FittedShape
{
    /**
     * @param  string  $kind  line, arrow, arc, circle, ellipse, triangle, rectangle or polygon
     * @param  array<string, mixed>  $object  a box shape's or a point shape's type and position, in tenths
     * @param  ?array{int, int, int, int}  $place  where it is turned
     * @param  float  $residual  the mean distance of the stroke from it, as a share of the stroke's size
     */
    public function __construct(
        public string $kind,
        public array $object,
        public ?array $place,
        public float $residual,
    ) {
    }
}
