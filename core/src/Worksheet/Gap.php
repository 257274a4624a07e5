<?php

declare(strict_types=1);

namespace Crag\Worksheet;

use Crag\Prompt\Question\QuestionKind;

/** A place on a worksheet where something is to be filled in. */
final readonly class Gap
{
    /**
     * @param  QuestionKind  $kind  a number, or words
     * @param  string  $label  what stands before it on its line
     */
    public function __construct(public Box $box, public QuestionKind $kind, public string $label)
    {
    }
}
