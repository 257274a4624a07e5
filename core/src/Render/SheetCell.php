<?php

declare(strict_types=1);

namespace Crag\Render;

use Crag\Canvas\Scene;
use Crag\Checks\Level;

/** A page of a canvas with what stands beside it on paper. */
final readonly class SheetCell
{
    /**
     * @param  string  $label  whose it is
     * @param  string  $heading  which prompt, and which page of the canvas
     * @param  string  $words  the prompt's, as this student has them
     * @param  list<string>  $answers  to the prompt's questions, each with its question
     * @param  string  $page  which of the canvas's pages
     * @param  ?Level  $level  the check to print, if any
     * @param  string  $found  what was found in it, in words; empty as the level says
     * @param  string  $note  what the teacher wrote about it
     */
    public function __construct(
        public string $label,
        public string $heading,
        public Scene $scene,
        public string $page = '',
        public ?Level $level = null,
        public string $found = '',
        public string $note = '',
        public string $words = '',
        public array $answers = [],
    ) {
    }
}
