<?php

declare(strict_types=1);

namespace Crag\Render;

/** A quick ask, or how a run ended, as it stands on paper: nobody is named. */
final readonly class AskBlock
{
    /**
     * @param  string  $heading  which one, when, and how many answered
     * @param  string  $words  what was asked
     * @param  list<array{string, float, string}>  $bars  each with its label, its length and what stands at its end
     * @param  list<string>  $lines  what else is to be said: what changed, what was right
     */
    public function __construct(
        public string $heading,
        public string $words,
        public array $bars,
        public array $lines = [],
    ) {
    }
}
