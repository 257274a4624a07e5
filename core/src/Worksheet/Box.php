<?php

declare(strict_types=1);

namespace Crag\Worksheet;

/** A rectangle on a page, in its units. */
final readonly class Box
{
    public function __construct(public float $x, public float $y, public float $w, public float $h)
    {
    }

    public function right(): float
    {
        return $this->x + $this->w;
    }

    public function bottom(): float
    {
        return $this->y + $this->h;
    }

    public function overlaps(self $other): bool
    {
        return $this->x < $other->right() &&
            $other->x < $this->right() &&
            $this->y < $other->bottom() &&
            $other->y < $this->bottom();
    }

    /** Whether the middle of another lies in it. */
    public function holds(self $other): bool
    {
        $x = $other->x + $other->w / 2;
        $y = $other->y + $other->h / 2;

        return $x > $this->x && $x < $this->right() && $y > $this->y && $y < $this->bottom();
    }
}
