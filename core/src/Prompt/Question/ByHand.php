<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

/** Something asked that may be written by hand: it is read, and counts once its writer has confirmed it. */
interface ByHand
{
    public function isByHand(): bool;
}
