<?php

declare(strict_types=1);

namespace Crag\Watch;

use Crag\Maths\Comparing\Outcome;

/** Answers to one question that are equal, and who gave them. */
final readonly class AnswerGroup
{
    /**
     * @param  string  $question  the question's id
     * @param  string  $written  as most of them wrote it
     * @param  ?Outcome  $outcome  null where there is no right and wrong
     * @param  non-empty-list<string>  $seats
     * @param  array<string, string>  $otherwise  by seat, what those wrote who wrote it otherwise
     */
    public function __construct(
        public string $question,
        public string $written,
        public ?Outcome $outcome,
        public array $seats,
        public array $otherwise = [],
    ) {
    }
}
