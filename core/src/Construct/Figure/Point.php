<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** A place, or a way from one: units, x to the right and y down. */
final readonly class Point implements Figure
{
    public function __construct(public float $x, public float $y)
    {
    }

    public function plus(self $way, float $times = 1.0): self
    {
        return new self($this->x + $times * $way->x, $this->y + $times * $way->y);
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y;
    }

    /** Positive where the other lies clockwise of this, as it is seen on a page. */
    public function cross(self $other): float
    {
        return $this->x * $other->y - $this->y * $other->x;
    }

    public function length(): float
    {
        return hypot($this->x, $this->y);
    }

    /** A quarter turn clockwise, as it is seen on a page. */
    public function quarter(): self
    {
        return new self(-$this->y, $this->x);
    }

    public function turned(float $radians): self
    {
        [$c, $s] = [cos($radians), sin($radians)];

        return new self($c * $this->x - $s * $this->y, $s * $this->x + $c * $this->y);
    }

    public function distance(self $other): float
    {
        return $this->minus($other)->length();
    }

    public function isNear(self $other): bool
    {
        return $this->distance($other) < 1e-6;
    }
}
