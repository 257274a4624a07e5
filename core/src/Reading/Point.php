<?php

declare(strict_types=1);

namespace Crag\Reading;

/** One thing that a reader says, as sentences that have places for values: what, and the reason for it. */
final readonly class Point
{
    /**
     * @param  array<string, string|int>  $values  by their names in both sentences
     * @param  ?Where  $where  what it is about on the canvas, where that has a place
     */
    public function __construct(
        public string $sentence,
        public string $reason,
        public array $values = [],
        public ?Where $where = null,
    ) {
    }
}
