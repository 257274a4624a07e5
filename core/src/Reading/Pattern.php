<?php

declare(strict_types=1);

namespace Crag\Reading;

/** What several students' work has in common, as a reader says it. */
final readonly class Pattern
{
    /** @param  list<string>  $who */
    public function __construct(public Point $point, public array $who)
    {
    }
}
