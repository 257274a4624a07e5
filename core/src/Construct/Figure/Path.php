<?php

declare(strict_types=1);

namespace Crag\Construct\Figure;

/** A line of any form: where a point comes as another moves, or a function's graph. Pieces, each a row of places. */
final readonly class Path implements Figure
{
    /**
     * @param  list<non-empty-list<Point>>  $pieces
     * @param  string  $words  of a graph: as it was typed; empty for a locus
     * @param  list<non-empty-list<Point>>  $fills  what is shaded
     */
    public function __construct(
        public array $pieces,
        public string $words = '',
        public array $fills = [],
        public bool $isDashed = false,
    ) {
    }
}
