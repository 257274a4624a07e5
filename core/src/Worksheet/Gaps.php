<?php

declare(strict_types=1);

namespace Crag\Worksheet;

use Crag\Prompt\Question\QuestionKind;

/**
 * Where something is to be filled in on a worksheet: lines of underscores or dots, ruled lines, empty cells of tables,
 * an equals sign at the end of a line, and room below a numbered question. What was found first holds the place.
 */
final class Gaps
{
    /** In heights of a line of the page's words. */
    private const BOX = 1.5;

    private const ROOM = 3.2;

    /** In widths of the page. */
    private const SHORTEST_RULE = 0.035;

    private const SEPARATOR = 0.8;

    private const AFTER_EQUALS = 0.14;

    /** @var list<Gap> */
    private array $gaps = [];

    /** @var list<list<Word>> */
    private readonly array $lines;

    private readonly float $line;

    private function __construct(private readonly SheetPage $page)
    {
        $this->lines = $page->lines();
        $heights = array_map(static fn (Word $word): float => $word->box->h, $page->words);
        sort($heights);
        // Half of a page's words are no higher.
        $this->line = $heights === [] ? $page->height / 50 : $heights[intdiv(count($heights), 2)];
    }

    /** @return list<Gap> from top to bottom, on a line from left to right */
    public static function on(SheetPage $page): array
    {
        $gaps = new self($page);
        $gaps->written();
        $gaps->cells();
        $gaps->ruled();
        $gaps->afterEquals();
        $gaps->belowQuestions();
        $found = $gaps->gaps;
        $step = $gaps->line;
        usort($found, static fn (Gap $a, Gap $b): int => abs($a->box->y - $b->box->y) < $step
            ? $a->box->x <=> $b->box->x
            : $a->box->y <=> $b->box->y);

        return $found;
    }

    /** Underscores, dots and ellipses in the words themselves. */
    private function written(): void
    {
        foreach ($this->page->words as $word) {
            [$text, $box] = [$word->text, $word->box];
            $length = max(1, mb_strlen($text));
            preg_match_all('/_{3,}|\.{4,}|…{2,}/u', $text, $found, PREG_OFFSET_CAPTURE);
            foreach ($found[0] as [$gap, $at]) {
                $from = mb_strlen(substr($text, 0, (int) $at));
                $this->add(new Box(
                    $box->x + $box->w * $from / $length,
                    $box->bottom() - self::BOX * $this->line,
                    $box->w * mb_strlen($gap) / $length,
                    self::BOX * $this->line,
                ));
            }
        }
    }

    /** Cells between lines across and lines down in which nothing stands. */
    private function cells(): void
    {
        $near = $this->line / 2;
        foreach ($this->page->rules as $top) {
            $below = array_filter(
                $this->page->rules,
                static fn (Box $one): bool => $one->y > $top->y + $near &&
                    $one->x < $top->right() &&
                    $one->right() > $top->x,
            );
            $sides = array_values(array_filter(
                $this->page->uprights,
                static fn (Box $one): bool => $one->y <= $top->y + $near &&
                    $one->bottom() > $top->y + 2 * $near &&
                    $one->x >= $top->x - $near &&
                    $one->x <= $top->right() + $near,
            ));
            usort($sides, static fn (Box $a, Box $b): int => $a->x <=> $b->x);
            for ($i = 1; $i < count($sides); $i++) {
                [$left, $right] = [$sides[$i - 1], $sides[$i]];
                $floor = array_filter($below, static fn (Box $one): bool => $one->x <= $left->x + $near &&
                    $one->right() >= $right->x - $near && $one->y <= min($left->bottom(), $right->bottom()) + $near);
                if ($floor === []) {
                    continue;
                }
                $bottom = min(array_map(static fn (Box $one): float => $one->y, $floor));
                $cell = new Box($left->x, $top->y, $right->x - $left->x, $bottom - $top->y);
                if ($cell->w > 2 * $this->line && $cell->h > $this->line && $this->isEmpty($cell)) {
                    $inset = min(0.15 * $cell->h, $this->line / 3);
                    $this->add(new Box(
                        $cell->x + $inset,
                        $cell->y + $inset,
                        $cell->w - 2 * $inset,
                        $cell->h - 2 * $inset,
                    ));
                }
            }
        }
    }

    /** Lines to write on, alone or in a stack. */
    private function ruled(): void
    {
        $rules = array_values(array_filter($this->page->rules, fn (Box $rule): bool => $this->isToWriteOn($rule)));
        usort($rules, static fn (Box $a, Box $b): int => $a->y <=> $b->y);
        while ($rules !== []) {
            $stack = [array_shift($rules)];
            foreach ($rules as $i => $rule) {
                $last = $stack[count($stack) - 1];
                $by = $rule->y - $last->y;
                if (
                    abs($rule->x - $last->x) < $this->line &&
                    abs($rule->w - $last->w) < 2 * $this->line &&
                    $by > 0.8 * $this->line &&
                    $by < 4 * $this->line &&
                    $this->isEmpty(new Box($last->x, $last->y + 1, $last->w, $by - 2))
                ) {
                    $stack[] = $rule;
                    unset($rules[$i]);
                }
            }
            $rules = array_values($rules);
            $first = $stack[0];
            // Across the whole page and alone it parts what stands above from what stands below.
            if (count($stack) > 1 || $first->w < self::SEPARATOR * $this->page->width || $this->before($first) !== '') {
                $top = $first->y - self::BOX * $this->line;
                $this->add(new Box($first->x, $top, $first->w, $stack[count($stack) - 1]->y - $top));
            }
        }
    }

    private function isToWriteOn(Box $rule): bool
    {
        if ($rule->w < self::SHORTEST_RULE * $this->page->width || $rule->h > $this->line / 2) {
            return false;
        }
        foreach ($this->page->uprights as $upright) {
            // A side of a table, or of a frame.
            if (
                $upright->x > $rule->x - $this->line / 2 &&
                $upright->x < $rule->right() + $this->line / 2 &&
                $upright->y < $rule->bottom() + $this->line / 2 &&
                $upright->bottom() > $rule->y - $this->line / 2
            ) {
                return false;
            }
        }
        // What stands on it is underlined.
        $on = 0.0;
        foreach ($this->page->words as $word) {
            $box = $word->box;
            if ($box->bottom() > $rule->y - 0.7 * $this->line && $box->y < $rule->y) {
                $on += max(0.0, min($box->right(), $rule->right()) - max($box->x, $rule->x));
            }
        }

        return $on < 0.3 * $rule->w;
    }

    /** A line of words that ends with an equals sign, with room behind it. */
    private function afterEquals(): void
    {
        foreach ($this->lines as $line) {
            foreach ($line as $i => $word) {
                $next = $line[$i + 1] ?? null;
                $room = ($next === null ? $this->page->width * 0.95 : $next->box->x) - $word->box->right();
                if (str_ends_with($word->text, '=') && $room > 3 * $this->line) {
                    $this->add(new Box(
                        $word->box->right() + $this->line / 2,
                        $word->box->bottom() - self::BOX * $this->line,
                        min(self::AFTER_EQUALS * $this->page->width, $room - $this->line),
                        self::BOX * $this->line,
                    ), QuestionKind::Number);
                }
            }
        }
    }

    /** Room below a numbered question in which nothing stands. */
    private function belowQuestions(): void
    {
        foreach ($this->lines as $line) {
            $first = $line[0];
            if (preg_match('/^\(?(?:\d{1,2}|[a-h])[.)]/u', $first->text) !== 1) {
                continue;
            }
            // A question goes on over the lines close below it.
            $bottoms = array_map(static fn (Word $one): float => $one->box->bottom(), $line);
            $bottom = max($first->box->bottom(), ...$bottoms);
            do {
                $goesOn = false;
                foreach ($this->page->words as $word) {
                    $box = $word->box;
                    if (
                        $box->y > $bottom - 1 &&
                        $box->y < $bottom + 0.9 * $this->line &&
                        $box->x > $first->box->x + $this->line / 2
                    ) {
                        $bottom = $box->bottom();
                        $goesOn = true;
                    }
                }
            } while ($goesOn);
            $ends = [$this->page->height * 0.97];
            $there = [
                ...array_map(static fn (Word $word): Box => $word->box, $this->page->words),
                ...array_map(static fn (Gap $gap): Box => $gap->box, $this->gaps),
                ...$this->page->rules,
            ];
            foreach ($there as $box) {
                if ($box->bottom() > $bottom + 2) {
                    $ends[] = max($bottom, $box->y);
                }
            }
            $room = min($ends) - $bottom;
            // What is asked for stands on the question's own line already.
            $isAsked = array_filter(
                $this->gaps,
                static fn (Gap $gap): bool => $gap->box->bottom() > $first->box->y && $gap->box->y < $bottom,
            ) !== [];
            if ($room > self::ROOM * $this->line && ! $isAsked) {
                $x = $line[1]->box->x ?? $first->box->x + 2 * $this->line;
                $this->add(new Box(
                    $x,
                    $bottom + $this->line / 2,
                    $this->page->width * 0.93 - $x,
                    min($room - $this->line, 6 * $this->line),
                ));
            }
        }
    }

    private function isEmpty(Box $box): bool
    {
        foreach ($this->page->words as $word) {
            if ($box->holds($word->box)) {
                return false;
            }
        }

        return true;
    }

    private function add(Box $box, ?QuestionKind $kind = null): void
    {
        if ($box->w < 1.5 * $this->line) {
            return;
        }
        foreach ($this->gaps as $gap) {
            if ($gap->box->overlaps($box)) {
                return;
            }
        }
        $label = $this->before($box);
        $kind ??= preg_match('/=\s*$|how (many|much|long|far|old)|work out|calculate/iu', $label) === 1
            ? QuestionKind::Number
            : QuestionKind::Text;
        $this->gaps[] = new Gap($box, $kind, $label);
    }

    /** What stands before a place on its line, from the last gap on. */
    private function before(Box $box): string
    {
        $from = 0.0;
        foreach ($this->gaps as $gap) {
            if ($gap->box->right() <= $box->x && $gap->box->bottom() > $box->y && $gap->box->y < $box->bottom()) {
                $from = max($from, $gap->box->right());
            }
        }
        $words = [];
        foreach ($this->lines as $line) {
            foreach ($line as $word) {
                $middle = $word->box->y + $word->box->h / 2;
                if (
                    $word->box->right() <= $box->x + $this->line / 2 &&
                    $word->box->x >= $from - 1 &&
                    $middle > $box->y &&
                    $middle < $box->bottom() + $this->line / 2
                ) {
                    $words[] = (string) preg_replace('/_{3,}|\.{4,}|…+/u', '', $word->text);
                }
            }
        }

        return trim(mb_substr(implode(' ', array_filter($words, static fn (string $one): bool => $one !== '')), -120));
    }
}
