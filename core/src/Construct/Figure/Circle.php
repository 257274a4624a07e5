<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** A circle, of a radius above nothing. */
final readonly class Circle implements Figure
{
    private function __construct(public Point $centre, public float $radius)
    {
    }

    public static function around(Point $centre, float $radius): ?self
    {
        return $radius < 1e-6 ? null : new self($centre, $radius);
    }

    /** Null for three points of one line. */
    public static function throughThree(Point $a, Point $b, Point $c): ?self
    {
        if ($a->isNear($b) || $b->isNear($c) || $c->isNear($a)) {
            return null;
        }
        [$p, $q] = [$b->minus($a), $c->minus($a)];
        $twice = 2 * $p->cross($q);
        if (abs($twice) < 1e-9 * $p->length() * $q->length()) {
            return null;
        }
        $centre = new Point(
            ($q->y * $p->dot($p) - $p->y * $q->dot($q)) / $twice,
            ($p->x * $q->dot($q) - $q->x * $p->dot($p)) / $twice,
        );

        return self::around($a->plus($centre), $centre->length());
    }

    /** @param  float  $t  in radians from the right, clockwise as it is seen on a page */
    public function at(float $t): Point
    {
        return new Point($this->centre->x + $this->radius * cos($t), $this->centre->y + $this->radius * sin($t));
    }

    /** The direction in which a point lies. */
    public function along(Point $point): float
    {
        return atan2($point->y - $this->centre->y, $point->x - $this->centre->x);
    }
}
