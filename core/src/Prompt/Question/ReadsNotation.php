<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Maths\Parsing\Notation;

/** Something asked whose answers are numbers, which schools write in different ways. */
interface ReadsNotation
{
    /** The same, with answers and the right answer read as a school writes them. */
    public function inNotation(Notation $notation): Asked;
}
