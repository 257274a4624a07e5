<?php

declare(strict_types=1);

namespace Crag\Tests\Canvas\Marking;

use Crag\Canvas\Fit\Trace;
use Crag\Canvas\Marking\InkMark;
use Crag\Canvas\Marking\InkMarks;
use Crag\Json\Fields;
use Crag\Prompt\Question\PrintedOption;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Marks as unsteady hands make them, on options beside each other and below each other. */
final class InkMarksTest extends TestCase
{
    private const HANDS = 25;

    /** @return iterable<string, array{string, list<array{int, int, int, int}>}> */
    public static function clear(): iterable
    {
        $rows = [
            'words in a row' => [[100, 200, 90, 36], [260, 200, 120, 36], [450, 200, 60, 36], [600, 200, 200, 36]],
            'letters close together' => [[100, 200, 30, 36], [170, 200, 30, 36], [240, 200, 30, 36]],
            'a list' => [[100, 200, 260, 36], [100, 260, 180, 36], [100, 320, 320, 36]],
            'boxes before words' => [[100, 200, 32, 32], [100, 262, 32, 32], [100, 324, 32, 32]],
        ];
        foreach ($rows as $name => $row) {
            foreach (['circle', 'tick', 'long tick', 'cross', 'line through', 'line under', 'dot'] as $form) {
                yield "{$form}, {$name}" => [$form, $row];
            }
        }
    }

    /** @param  list<array{int, int, int, int}>  $row */
    #[Test]
    #[DataProvider('clear')]
    public function a_mark_on_one_option_is_that_option(string $form, array $row): void
    {
        $options = self::options($row);
        foreach (array_keys($row) as $meant) {
            for ($hand = 0; $hand < self::HANDS; $hand++) {
                $marks = self::drawn($form, $row[$meant], $hand);
                $read = InkMarks::on($options, $marks);
                self::assertTrue($read->isClear, "{$form} on {$meant}, hand {$hand}");
                self::assertSame([$meant], $read->marked, "{$form} on {$meant}, hand {$hand}");
            }
        }
    }

    #[Test]
    public function two_marks_are_two_options(): void
    {
        $row = [[100, 200, 90, 36], [260, 200, 120, 36], [450, 200, 60, 36]];
        $marks = [...self::drawn('circle', $row[2], 1), ...self::drawn('tick', $row[0], 2)];
        $read = InkMarks::on(self::options($row), $marks);
        self::assertTrue($read->isClear);
        self::assertSame([0, 2], $read->marked);
    }

    #[Test]
    public function a_circle_around_two_tells_nothing(): void
    {
        $row = [[100, 200, 90, 36], [260, 200, 120, 36], [450, 200, 60, 36]];
        $read = InkMarks::on(self::options($row), self::drawn('circle', [100, 200, 280, 36], 3));
        self::assertFalse($read->isClear);
    }

    #[Test]
    public function a_line_through_two_tells_nothing(): void
    {
        $row = [[100, 200, 90, 36], [230, 200, 90, 36]];
        $read = InkMarks::on(self::options($row), self::drawn('line through', [100, 200, 220, 36], 4));
        self::assertFalse($read->isClear);
    }

    #[Test]
    public function what_is_scribbled_over_is_neither_chosen_nor_struck_out(): void
    {
        $row = [[100, 200, 90, 36], [260, 200, 120, 36]];
        $scribble = [];
        for ($i = 0; $i < 40; $i++) {
            $scribble[] = [100 + 90 * ($i % 2), 200 + 36 * $i / 40];
        }
        $read = InkMarks::on(self::options($row), [self::mark($scribble)]);
        self::assertFalse($read->isClear);
    }

    #[Test]
    public function writing_elsewhere_marks_nothing(): void
    {
        $row = [[100, 200, 90, 36], [260, 200, 120, 36]];
        $written = [];
        for ($i = 0; $i < 60; $i++) {
            $written[] = [100 + 5 * $i, 330 + 20 * sin($i / 2)];
        }
        $read = InkMarks::on(self::options($row), [self::mark($written)]);
        self::assertTrue($read->isClear);
        self::assertSame([], $read->marked);
    }

    #[Test]
    public function nothing_drawn_marks_nothing(): void
    {
        $read = InkMarks::on(self::options([[100, 200, 90, 36]]), []);
        self::assertTrue($read->isClear);
        self::assertSame([], $read->marked);
    }

    /**
     * @param  list<array{int, int, int, int}>  $boxes
     * @return list<PrintedOption>
     */
    private static function options(array $boxes): array
    {
        return array_map(static fn (array $box, int $i): PrintedOption => PrintedOption::read(new Fields([
            'id' => "c{$i}", 'words' => '', 'x' => $box[0], 'y' => $box[1], 'w' => $box[2], 'h' => $box[3],
        ])), $boxes, array_keys($boxes));
    }

    /**
     * @param  array{int, int, int, int}  $box
     * @return list<InkMark>
     */
    private static function drawn(string $form, array $box, int $hand): array
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', "{$form} {$hand}", true)));
        $near = static fn (float $by): float => $by * ($random->getInt(-100, 100) / 100);
        [$x, $y, $w, $h] = $box;
        [$cx, $cy] = [$x + $w / 2 + $near($h * 0.12), $y + $h / 2 + $near($h * 0.12)];
        $lines = [];
        if ($form === 'circle') {
            $from = $near(3.0);
            $line = [];
            for ($i = 0; $i <= 40; $i++) {
                $turn = $from + 2 * M_PI * (1.04 + $near(0.005)) * $i / 40;
                $line[] = [
                    $cx + cos($turn) * ($w / 2 + 0.3 * $h) * (1 + $near(0.03)),
                    $cy + sin($turn) * ($h / 2 + 0.2 * $h) * (1 + $near(0.03)),
                ];
            }
            $lines[] = $line;
        } elseif ($form === 'tick' || $form === 'long tick') {
            $tail = $form === 'tick' ? 0.8 : 1.5;
            $at = [$x + min($w / 2, $h * 0.6) + $near($h * 0.1), $y + $h * 0.8];
            $lines[] = [
                ...self::straight([$at[0] - $h * 0.35, $at[1] - $h * 0.4], $at),
                ...self::straight($at, [$at[0] + $tail * $h * 0.7, $at[1] - $tail * $h]),
            ];
        } elseif ($form === 'cross') {
            $r = $h * 0.45;
            $lines[] = self::straight([$cx - $r, $cy - $r], [$cx + $r, $cy + $r]);
            $lines[] = self::straight([$cx + $r, $cy - $r], [$cx - $r, $cy + $r]);
        } elseif ($form === 'line through') {
            $lines[] = self::straight([$x, $cy], [$x + $w, $cy + $near(4)]);
        } elseif ($form === 'line under') {
            $lines[] = self::straight([$x, $y + $h + 2], [$x + $w, $y + $h + 2 + $near(3)]);
        } else {
            $lines[] = [[$cx, $cy], [$cx + 1, $cy + 1]];
        }

        return array_map(self::mark(...), $lines);
    }

    /**
     * @param  array{float|int, float|int}  $from
     * @param  array{float|int, float|int}  $to
     * @return list<array{float, float}>
     */
    private static function straight(array $from, array $to): array
    {
        $line = [];
        for ($i = 0; $i <= 12; $i++) {
            $line[] = [$from[0] + ($to[0] - $from[0]) * $i / 12, $from[1] + ($to[1] - $from[1]) * $i / 12];
        }

        return $line;
    }

    /** @param  list<array{float|int, float|int}>  $line  units */
    private static function mark(array $line): InkMark
    {
        return InkMark::of(Trace::of(array_map(
            static fn (array $point): array => [(int) round($point[0] * 10), (int) round($point[1] * 10), 0, 0],
            $line,
        )));
    }
}
