<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

/** Which of several printed options are marked by hand. */
final readonly class MarkedOptions
{
    /**
     * @param  list<int>  $marked  places in the list of options, in its order
     * @param  bool  $isClear  whether each mark is on one option alone
     */
    public function __construct(public array $marked, public bool $isClear)
    {
    }
}
