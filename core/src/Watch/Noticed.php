<?php

declare(strict_types=1);

namespace Crag\Watch;

/** A signal about one seat, with its reason as a sentence that has places for values. */
final readonly class Noticed
{
    /** @param  array<string, string|int>  $values  by their names in the sentence */
    public function __construct(
        public Signal $signal,
        public string $seat,
        public string $sentence,
        public array $values,
    ) {
    }
}
