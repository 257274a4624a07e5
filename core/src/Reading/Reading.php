<?php

declare(strict_types=1);

namespace Crag\Reading;

/** What a reader gives back: what holds, what is missing, and one question to think about. */
final readonly class Reading
{
    /**
     * @param  list<Point>  $holds
     * @param  list<Point>  $missing
     */
    public function __construct(public array $holds, public array $missing, public Point $question)
    {
    }
}
