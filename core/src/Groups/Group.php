<?php

declare(strict_types=1);

namespace Crag\Groups;

/** Some students who work together next, and why they do, as a sentence that has places for values. */
final readonly class Group
{
    /**
     * @param  list<string>  $students  ids
     * @param  array<string, string|int>  $values  by their names in the sentence
     */
    public function __construct(public array $students, public string $sentence, public array $values = [])
    {
    }
}
