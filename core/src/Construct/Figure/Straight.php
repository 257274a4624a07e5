<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** A segment, a ray, a line or a vector, from one point towards another; the two are never the same. */
final readonly class Straight implements Figure
{
    private function __construct(public Extent $extent, public Point $from, public Point $to)
    {
    }

    /** Null for two points that are one. */
    public static function through(Extent $extent, Point $from, Point $to): ?self
    {
        return $from->isNear($to) ? null : new self($extent, $from, $to);
    }

    public function way(): Point
    {
        return $this->to->minus($this->from);
    }

    /** @param  float  $t  0 at the first point, 1 at the second */
    public function at(float $t): Point
    {
        return $this->from->plus($this->way(), $t);
    }

    /** Where along it the foot of a perpendicular from a point stands. */
    public function along(Point $point): float
    {
        $way = $this->way();

        return $point->minus($this->from)->dot($way) / $way->dot($way);
    }
}
