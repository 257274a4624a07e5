<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** Where a point comes as another moves: pieces, each a row of places. */
final readonly class Path implements Figure
{
    /** @param  list<non-empty-list<Point>>  $pieces */
    public function __construct(public array $pieces)
    {
    }
}
