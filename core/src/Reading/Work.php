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
     * @param  list<Typed>  $texts  typed on the canvas, from top to bottom; formulas in LaTeX
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

    /** @return list<Typed> lines of working, from top to bottom */
    public function lines(): array
    {
        return array_merge(...array_map(static fn (Typed $one): array => $one->lines(), $this->texts));
    }

    /** Everything that was typed, for looking words up in it: without regard to case. */
    public function typed(): string
    {
        return mb_convert_case(
            implode("\n", [
                ...array_map(static fn (Typed $one): string => $one->text, $this->texts),
                ...array_map(static fn (Answered $one): string => $one->answer, $this->answers),
            ]),
            MB_CASE_FOLD,
            'UTF-8',
        );
    }
}
