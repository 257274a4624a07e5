<?php

declare(strict_types=1);

namespace Crag\Tests\Worksheet;

use Crag\Prompt\Question\QuestionKind;
use Crag\Worksheet\Box;
use Crag\Worksheet\Gap;
use Crag\Worksheet\Gaps;
use Crag\Worksheet\ScannedLines;
use Crag\Worksheet\SheetPage;
use Crag\Worksheet\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Gaps on worksheets: thirty made-up pages of five kinds, each with what is to be filled in. */
final class GapsTest extends TestCase
{
    #[DataProvider('sheets')]
    public function test_what_is_to_be_filled_in_is_found_and_nothing_else(MadeUpSheet $sheet): void
    {
        $gaps = Gaps::on($sheet->page());
        $found = array_map(static fn (Gap $gap): Box => $gap->box, $gaps);
        $missed = array_filter($sheet->expected, static fn (Box $box): bool => ! self::isAmong($found, $box));
        $false = array_filter($found, static fn (Box $box): bool => ! self::isAmong($sheet->expected, $box));
        self::assertSame([[], []], [array_values($missed), array_values($false)]);
        self::assertNotSame([], $sheet->expected);
    }

    /** @return iterable<string, array{MadeUpSheet}> */
    public static function sheets(): iterable
    {
        for ($i = 0; $i < 6; $i++) {
            // Portrait and wide, small print and large.
            $make = static fn (): MadeUpSheet => $i % 2 === 0
                ? new MadeUpSheet(1000, 1414, 16 + 2 * $i, 70 + 10 * $i)
                : new MadeUpSheet(1600, 1000, 18 + 2 * $i, 60 + 20 * $i);
            yield "words left out {$i}" => [$make()
                ->title('Levers')
                ->line('A lever turns about a '.str_repeat('_', 8 + $i).' and a load.')
                ->line('The moment is the '.str_repeat('.', 12).' times the ______ (in m).', 40)
                ->line('No gap in this line, nor after 3.5 m.')
                ->line('Unit: ____ Name: ……………… .')];
            yield "lines to write on {$i}" => [$make()
                ->title('Bracing a frame')
                ->ruled('Name', 220 + 10 * $i)
                ->ruled('A frame of four bars bends because', 200)
                ->separator()
                ->line('Explain what a diagonal bar does.')
                ->lines(3 + $i % 2)
                ->line('Thank you.')];
            yield "tables {$i}" => [$make()
                ->title('Loads')
                ->table([['load', 'distance', 'moment'], ['40 N', '2 m', ''], ['80 N', '', '160'], ['', '3 m', '']], 150 + 10 * $i)
                ->line('Two more:')
                ->table([['a', ''], ['b', '']], 140)];
            yield "sums {$i}" => [$make()
                ->title('Ratios')
                ->sum('12 × 7 =')->down(2)
                ->sum('240 : 3 =')->sum('5 + 8 =', 420)->down(2)
                ->line('Remember: 2 + 2 = 4')
                ->sum('1/2 + 1/4 =')->down(2)];
            yield "questions with room {$i}" => [$make()
                ->title('Moments')
                ->question('1. How large is the force at the right end?', 7)
                ->question('2. What changes when the load moves?', 5)
                ->line('Both parts belong together:')
                ->question('a) Draw the forces.', 8)
                ->question('b) Name them.', 1)
                ->line('The end.')];
        }
    }

    public function test_the_kind_and_what_stands_before_it_are_told(): void
    {
        $sheet = (new MadeUpSheet())
            ->sum('12 × 7 =')->down(2)
            ->line('How many bars are there? ______')
            ->line('The pivot is made of ______ and ______');
        [$sum, $many, $made, $and] = Gaps::on($sheet->page());
        self::assertSame([QuestionKind::Number, '12 × 7 ='], [$sum->kind, $sum->label]);
        self::assertSame([QuestionKind::Number, 'How many bars are there?'], [$many->kind, $many->label]);
        self::assertSame([QuestionKind::Text, 'The pivot is made of'], [$made->kind, $made->label]);
        self::assertSame('and', $and->label);
    }

    public function test_a_page_with_nothing_on_it_has_no_gaps(): void
    {
        self::assertSame([], Gaps::on(new SheetPage(1000, 1414, [], [], [])));
        $one = new Word('1.', new Box(90, 1380, 20, 20));
        self::assertSame([], Gaps::on(new SheetPage(1000, 1414, [$one], [], [])));
    }

    public function test_lines_are_read_from_a_picture_and_letters_are_not(): void
    {
        $rows = array_fill(0, 120, str_repeat('0', 200));
        $draw = static function (int $y, int $x, string $pixels) use (&$rows): void {
            $rows[$y] = substr_replace($rows[$y], $pixels, $x, strlen($pixels));
        };
        // Solid and two thick, dashed, dotted; a line down; a bar that is too thick; something like letters.
        $draw(10, 20, str_repeat('1', 100));
        $draw(11, 20, str_repeat('1', 100));
        $draw(30, 20, str_repeat('11110000', 12).'1');
        $draw(50, 20, str_repeat('100', 40).'1');
        for ($y = 60; $y < 110; $y++) {
            $draw($y, 190, '1');
        }
        for ($y = 60; $y < 72; $y++) {
            $draw($y, 20, str_repeat('1', 90));
        }
        for ($y = 85; $y < 97; $y++) {
            $draw($y, 20, str_repeat($y % 2 === 0 ? '1100110' : '1110010', 14));
        }
        $rows = array_values($rows);
        $across = ScannedLines::across($rows, 40);
        self::assertEquals(
            [new Box(20, 10, 100, 2), new Box(20, 30, 97, 1), new Box(20, 50, 121, 1)],
            $across,
        );
        self::assertEquals([new Box(190, 60, 1, 50)], ScannedLines::down($rows, 40));
    }

    /** @param  list<Box>  $boxes */
    private static function isAmong(array $boxes, Box $one): bool
    {
        return array_filter($boxes, static fn (Box $other): bool => self::fits($one, $other)) !== [];
    }

    /** Whether the middle of one lies in the other, and they are about as long. */
    private static function fits(Box $gap, Box $box): bool
    {
        return ($box->holds($gap) || $gap->holds($box)) && $gap->w > 0.5 * $box->w && $gap->w < 2 * $box->w;
    }
}
