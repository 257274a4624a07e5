<?php

declare(strict_types=1);

namespace Crag\Asks;

use Crag\Maths\Comparing\Outcome;

/** How many gave one answer. */
final readonly class Bar
{
    /**
     * @param  string  $label  as the most of them wrote it, or the words of the choice
     * @param  ?Outcome  $outcome  null where there is no right and wrong
     * @param  list<string>  $voters  those who gave it
     */
    public function __construct(public string $label, public ?Outcome $outcome, public array $voters)
    {
    }

    public function count(): int
    {
        return count($this->voters);
    }
}
