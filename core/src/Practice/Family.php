<?php

declare(strict_types=1);

namespace Crag\Practice;

/** Tasks of one sort, made up by a rule. */
interface Family
{
    public function name(): string;

    /** @return non-empty-array<string, string> which kinds of task there are: by key, in words */
    public function kinds(): array;

    /** @param  int  $level  1, 2 or 3: how large the numbers are, and how many steps it takes */
    public function task(Chance $chance, string $kind, int $level): Task;
}
