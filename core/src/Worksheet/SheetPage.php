<?php

declare(strict_types=1);

namespace Crag\Worksheet;

/** What stands on a page of a worksheet: its words, and its straight lines. */
final readonly class SheetPage
{
    /**
     * @param  list<Word>  $words
     * @param  list<Box>  $rules  lines across, as thick as they are drawn
     * @param  list<Box>  $uprights  lines down
     */
    public function __construct(
        public float $width,
        public float $height,
        public array $words,
        public array $rules,
        public array $uprights,
    ) {
    }

    /** @return list<list<Word>> line by line, from left to right; words far apart are still one line */
    public function lines(): array
    {
        $words = $this->words;
        usort($words, static fn (Word $a, Word $b): int => $a->box->y <=> $b->box->y);
        $lines = [];
        foreach ($words as $word) {
            $middle = $word->box->y + $word->box->h / 2;
            foreach ($lines as $i => $line) {
                if ($middle > $line[0]->box->y && $middle < $line[0]->box->bottom()) {
                    $lines[$i][] = $word;

                    continue 2;
                }
            }
            $lines[] = [$word];
        }
        foreach ($lines as $i => $line) {
            usort($line, static fn (Word $a, Word $b): int => $a->box->x <=> $b->box->x);
            $lines[$i] = $line;
        }

        return array_values($lines);
    }
}
