<?php

declare(strict_types=1);

namespace Crag\Reading;

use Crag\Prompt\LookFor;

/**
 * What a reader of work gets of one canvas. Ink itself is not among it: how much there is, and for how long it was
 * drawn.
 */
final readonly class Work
{
    /**
     * @param  string  $prompt  the prompt's words, without formulas' signs
     * @param  list<Answered>  $answers
     * @param  list<string>  $texts  typed on the canvas
     * @param  int  $strokes  how many the student drew
     * @param  int  $drawingMs  how long the student was at work
     */
    public function __construct(
        public string $prompt,
        public LookFor $lookFor,
        public array $answers,
        public array $texts,
        public int $strokes,
        public int $drawingMs,
    ) {
    }

    /** Everything that was typed, for looking words up in it: without regard to case. */
    public function typed(): string
    {
        return mb_convert_case(
            implode("\n", [
                ...$this->texts,
                ...array_map(static fn (Answered $one): string => $one->answer, $this->answers),
            ]),
            MB_CASE_FOLD,
            'UTF-8',
        );
    }
}
