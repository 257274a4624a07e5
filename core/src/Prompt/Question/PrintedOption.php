<?php

declare(strict_types=1);

namespace Crag\Prompt\Question;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Prompt\Paper;

/** An answer that is printed on the page, with the box around it, in units. */
final readonly class PrintedOption
{
    private const LONGEST_WORDS = 100;

    private const SMALLEST = 12;

    private function __construct(
        public string $id,
        public string $words,
        public int $x,
        public int $y,
        public int $w,
        public int $h,
    ) {
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        return new self(
            QuestionId::read($fields),
            trim($fields->text('words', self::LONGEST_WORDS)),
            $fields->whole('x', 0, Paper::LONGEST),
            $fields->whole('y', 0, Paper::LONGEST),
            $fields->whole('w', self::SMALLEST, Paper::LONGEST),
            $fields->whole('h', self::SMALLEST, Paper::LONGEST),
        );
    }

    /** @return array{id: string, words: string, x: int, y: int, w: int, h: int} */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'words' => $this->words,
            'x' => $this->x, 'y' => $this->y, 'w' => $this->w, 'h' => $this->h,
        ];
    }
}
