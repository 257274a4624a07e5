<?php

declare(strict_types=1);

namespace Crag\Practice;

use Crag\Maths\Comparing\FormKind;

/** One task of a family, as one student has it. */
final readonly class Task
{
    /**
     * @param  string  $words  formulas between dollar signs
     * @param  string  $right  as an answer would be typed
     * @param  FormKind  $form  how it should be written
     * @param  bool  $hasLetters  whether the answer is an expression or an equation
     * @param  list<string>  $steps  how it is worked out
     * @param  array<array-key, string>  $slips  by a wrong answer, what leads there
     */
    public function __construct(
        public string $words,
        public string $right,
        public FormKind $form = FormKind::Any,
        public bool $hasLetters = false,
        public array $steps = [],
        public array $slips = [],
    ) {
    }
}
