<?php

declare(strict_types=1);

namespace App\Plans;

/** What a running session does not have of its plan, in sentences, and what becomes of work that is there. */
final readonly class Lacking
{
    /**
     * @param  list<string>  $lacks
     * @param  list<string>  $warnings
     */
    public function __construct(public array $lacks, public array $warnings)
    {
    }

    public function isNothing(): bool
    {
        return $this->lacks === [];
    }
}
