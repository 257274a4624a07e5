<?php

declare(strict_types=1);

namespace Crag\Tests\Worksheet;

use Crag\Worksheet\Box;
use Crag\Worksheet\SheetPage;
use Crag\Worksheet\Word;

/** A worksheet that is set line by line, and remembers where something is to be filled in. */
final class MadeUpSheet
{
    /** @var list<Word> */
    private array $words = [];

    /** @var list<Box> */
    private array $rules = [];

    /** @var list<Box> */
    private array $uprights = [];

    /** @var list<Box> */
    public array $expected = [];

    private float $y = 90;

    public function __construct(
        private readonly float $width = 1000,
        private readonly float $height = 1414,
        private readonly float $size = 22,
        private readonly float $left = 90,
    ) {
    }

    public function page(): SheetPage
    {
        return new SheetPage($this->width, $this->height, $this->words, $this->rules, $this->uprights);
    }

    public function title(string $words): self
    {
        $box = $this->text($words, $this->left, 1.5);
        // Underlined, as titles are: not to be written on.
        $this->rules[] = new Box($this->left, $this->y + 1.5 * $this->size + 2, $box, 2);

        return $this->down(3);
    }

    /** Words; ____ of any length are gaps, ..... too. */
    public function line(string $words, float $indent = 0): self
    {
        $this->text($words, $this->left + $indent);

        return $this->down(1.6);
    }

    /** Words, and behind them a line to write on. */
    public function ruled(string $words, float $long): self
    {
        $end = $this->left + $this->text($words, $this->left) + $this->size;
        $this->rules[] = new Box($end, $this->y + $this->size, $long, 1.5);
        $this->expected[] = new Box($end, $this->y - 0.5 * $this->size, $long, 1.5 * $this->size);

        return $this->down(2);
    }

    /** Several lines to write on, one below the other. */
    public function lines(int $n): self
    {
        $top = $this->y;
        for ($i = 0; $i < $n; $i++) {
            $this->rules[] = new Box($this->left, $this->y + 1.6 * $this->size, $this->width - 2 * $this->left, 1.5);
            $this->down(1.8);
        }
        $tall = $this->y - $top - 0.2 * $this->size;
        $this->expected[] = new Box($this->left, $top, $this->width - 2 * $this->left, $tall);

        return $this->down(1);
    }

    /** A line from side to side that parts what is above from what is below. */
    public function separator(): self
    {
        $this->rules[] = new Box($this->left / 2, $this->y, $this->width - $this->left, 2);

        return $this->down(1.5);
    }

    /** A sum with nothing behind its equals sign. */
    public function sum(string $words, float $at = 0): self
    {
        $end = $this->left + $at + $this->text($words, $this->left + $at);
        $this->expected[] = new Box($end, $this->y - 0.5 * $this->size, 0.14 * $this->width, 1.5 * $this->size);

        return $this;
    }

    /**
     * A table; an empty text is a cell to be filled in.
     *
     * @param  list<list<string>>  $rows
     */
    public function table(array $rows, float $column = 170, float $row = 1.9): self
    {
        $columns = count($rows[0]);
        $top = $this->y;
        foreach ($rows as $r => $cells) {
            $this->rules[] = new Box($this->left, $this->y, $columns * $column, 2);
            foreach ($cells as $c => $text) {
                $x = $this->left + $c * $column;
                if ($text === '') {
                    $this->expected[] = new Box($x, $this->y, $column, $row * $this->size);
                } else {
                    $this->y += 0.4 * $this->size;
                    $this->text($text, $x + 8);
                    $this->y -= 0.4 * $this->size;
                }
            }
            $this->down($row);
        }
        $this->rules[] = new Box($this->left, $this->y, $columns * $column, 2);
        for ($c = 0; $c <= $columns; $c++) {
            $this->uprights[] = new Box($this->left + $c * $column, $top, 2, $this->y - $top);
        }

        return $this->down(1.5);
    }

    /** A numbered question, and so much room below it. */
    public function question(string $words, float $room): self
    {
        $this->text($words, $this->left);
        $this->down(1.2);
        if ($room > 3) {
            $x = $this->left + 2 * $this->size;
            $this->expected[] = new Box($x, $this->y, $this->width - 2 * $x, min($room, 6) * $this->size);
        }

        return $this->down($room);
    }

    public function down(float $lines): self
    {
        $this->y += $lines * $this->size;

        return $this;
    }

    /** @return float how long it is */
    private function text(string $words, float $x, float $times = 1): float
    {
        $from = $x;
        $letter = 0.5 * $this->size * $times;
        foreach (explode(' ', $words) as $word) {
            $w = mb_strlen($word) * $letter;
            $this->words[] = new Word($word, new Box($x, $this->y, $w, $this->size * $times));
            if (preg_match('/_{3,}|\.{4,}|…{2,}/u', $word, $gap, PREG_OFFSET_CAPTURE) === 1) {
                $at = mb_strlen(substr($word, 0, $gap[0][1]));
                $this->expected[] = new Box(
                    $x + $at * $letter,
                    $this->y - 0.5 * $this->size,
                    mb_strlen($gap[0][0]) * $letter,
                    1.5 * $this->size,
                );
            }
            $x += $w + $letter;
        }

        return $x - $from - $letter;
    }
}
