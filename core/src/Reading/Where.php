<?php

declare(strict_types=1);

namespace Crag\Reading;

/** The place on a canvas that something is about: the page, counted from 0, and a place on it in units. */
final readonly class Where
{
    public function __construct(public int $page, public float $x, public float $y)
    {
    }
}
