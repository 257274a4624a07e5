<?php

declare(strict_types=1);

namespace App\Canvas;

use App\Models\LoggedOperation;

/** What became of a batch. */
final readonly class Appended
{
    /**
     * @param  list<array{id: string, n: int}>  $accepted
     * @param  list<array{id: mixed, reason: string}>  $refused
     * @param  list<array{id: string, why: string, reason: string}>  $held  what the page keeps and sends again
     * @param  list<LoggedOperation>  $added  what the log did not have before
     */
    public function __construct(
        public Batch $batch,
        public Counts $counts,
        public array $accepted,
        public array $refused,
        public array $held,
        public array $added,
    ) {
    }

    /**
     * @return array{
     *     accepted: list<array{id: string, n: int}>,
     *     refused: list<array{id: mixed, reason: string}>,
     *     held: list<array{id: string, why: string, reason: string}>,
     * } what the page is answered
     */
    public function answer(): array
    {
        return ['accepted' => $this->accepted, 'refused' => $this->refused, 'held' => $this->held];
    }
}
