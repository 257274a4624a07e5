<?php

declare(strict_types=1);

namespace Crag\Manipulative\Data;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/**
 * Values on a line, as dots, a box plot or a histogram. Pressing a place on the line puts a value there, pressing a
 * value takes it away. Quartiles are the medians of the lower and upper half, the middle value left out (Moore and
 * McCabe, "Introduction to the Practice of Statistics").
 */
final class DataLine implements Kind
{
    private const WIDE = 840;

    private const LINE = 300;

    private const MOST = 60;

    private const MOST_PLACES = 60;

    public static function settings(): array
    {
        return [
            Setting::whole('from', 'From', 0, -100, 1000),
            Setting::whole('to', 'To', 20, -100, 1000),
            Setting::choice('look', 'Drawn as', ['Dots', 'Box plot', 'Histogram']),
            Setting::whole('class', 'Width of a class (histogram)', 5, 1, 50),
            Setting::words('values', 'Values, with commas between them', ''),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('values', self::MOST, -100, 1000)];
    }

    private static function length(Values $set): int
    {
        return Tokens::within(abs($set->int('to') - $set->int('from')), 1, self::MOST_PLACES);
    }

    private static function least(Values $set): int
    {
        return min($set->int('from'), $set->int('to'));
    }

    public static function start(Values $set): Values
    {
        $values = [];
        foreach (Written::parts($set->words('values')) as $part) {
            $least = self::least($set);
            if (ctype_digit($part) && strlen($part) < 5 && count($values) < self::MOST) {
                $values[] = Tokens::within((int) $part, $least, $least + self::length($set));
            }
        }

        return Values::of(['values' => self::sorted($values)]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $values = $state->list('values');
        $place = $act->n - self::least($set);
        if ($act->part === 'add' && $place >= 0 && $place <= self::length($set) && count($values) < self::MOST) {
            return $state->with('values', self::sorted([...$values, $act->n]));
        }
        if ($act->part === 'dot' && $act->n >= 0 && $act->n < count($values)) {
            return $state->with('values', [...array_slice($values, 0, $act->n), ...array_slice($values, $act->n + 1)]);
        }
        if ($act->part === 'clear') {
            return $state->with('values', []);
        }

        return $state;
    }

    /**
     * @param  list<int>  $values
     * @return list<int>
     */
    private static function sorted(array $values): array
    {
        for ($i = 1; $i < count($values); $i++) {
            $value = $values[$i];
            $j = $i - 1;
            while ($j >= 0 && $values[$j] > $value) {
                $values[$j + 1] = $values[$j];
                $j--;
            }
            $values[$j + 1] = $value;
        }

        return array_values($values);
    }

    /**
     * Twice the median.
     *
     * @param  list<int>  $sorted
     */
    private static function twiceMedian(array $sorted): int
    {
        $count = count($sorted);
        if ($count === 0) {
            return 0;
        }

        return $sorted[intdiv($count - 1, 2)] + $sorted[intdiv($count, 2)];
    }

    /**
     * Twice the lower quartile, the median and the upper quartile.
     *
     * @param  list<int>  $sorted
     * @return array{int, int, int}
     */
    private static function quartiles(array $sorted): array
    {
        $count = count($sorted);
        if ($count < 2) {
            return [self::twiceMedian($sorted), self::twiceMedian($sorted), self::twiceMedian($sorted)];
        }

        return [
            self::twiceMedian(array_slice($sorted, 0, intdiv($count, 2))),
            self::twiceMedian($sorted),
            self::twiceMedian(array_slice($sorted, intdiv($count + 1, 2))),
        ];
    }

    private static function at(Values $set, float $value): float
    {
        return 20 + ($value - self::least($set)) * (self::WIDE - 40) / self::length($set);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $values = $state->list('values');
        $least = self::least($set);
        $length = self::length($set);
        $sketch->size(self::WIDE, self::LINE + 60);
        $sketch->line([0, self::LINE, self::WIDE, self::LINE], 'slate', 3);
        $every = $length <= 20 ? 1 : ($length <= 40 ? 2 : 5);
        $wide = (self::WIDE - 40) / $length;
        for ($i = 0; $i <= $length; $i++) {
            $x = self::at($set, $least + $i);
            $sketch->line([$x, self::LINE, $x, self::LINE + ($i % $every === 0 ? 12 : 6)], 'slate', 2);
            if ($i % $every === 0) {
                $sketch->words($x, self::LINE + 32, Written::whole($least + $i), 22);
            }
            $label = Said::of('Add :n', ['n' => Written::whole($least + $i)]);
            $sketch->press('add', $least + $i, $label, $x - $wide / 2, self::LINE - 10, $wide, 68);
        }
        if ($set->int('look') === 0) {
            self::dots($set, $state, $sketch);
        } elseif ($set->int('look') === 1 && $values !== []) {
            self::box($set, $state, $sketch);
        } elseif ($set->int('look') === 2) {
            self::histogram($set, $state, $sketch);
        }
        $sketch->button('clear', 0, Said::of('Clear'), 0, self::LINE + 72, 110);
    }

    private static function dots(Values $set, Values $state, Sketch $sketch): void
    {
        $before = 0;
        $high = 0;
        foreach ($state->list('values') as $n => $value) {
            $high = $n > 0 && $value === $before ? $high + 1 : 0;
            $before = $value;
            $x = self::at($set, $value);
            $y = self::LINE - 20 - $high * 28;
            $sketch->circle($x, $y, 12, 'lake');
            $label = Said::of('Take :n away', ['n' => Written::whole($value)]);
            $sketch->press('dot', $n, $label, $x - 14, $y - 14, 28, 28);
        }
    }

    private static function box(Values $set, Values $state, Sketch $sketch): void
    {
        $values = $state->list('values');
        [$lower, $median, $upper] = self::quartiles($values);
        $left = self::at($set, $values[0]);
        $right = self::at($set, $values[count($values) - 1]);
        $sketch->line([$left, 180, $right, 180], 'slate', 3);
        $sketch->line([$left, 150, $left, 210], 'slate', 3);
        $sketch->line([$right, 150, $right, 210], 'slate', 3);
        $from = self::at($set, $lower / 2);
        $sketch->rect($from, 130, self::at($set, $upper / 2) - $from, 100, 'sky');
        $middle = self::at($set, $median / 2);
        $sketch->line([$middle, 130, $middle, 230], 'rust', 5);
    }

    private static function histogram(Values $set, Values $state, Sketch $sketch): void
    {
        $least = self::least($set);
        $end = $least + self::length($set);
        $class = $set->int('class');
        for ($from = $least; $from < $end; $from += $class) {
            $count = 0;
            foreach ($state->list('values') as $value) {
                // The last class holds its end, too.
                $isLast = $value === $end && $from + $class >= $end;
                $count += $value >= $from && ($value < $from + $class || $isLast) ? 1 : 0;
            }
            $x = self::at($set, $from);
            $high = min(270, $count * 28);
            if ($count > 0) {
                $wide = self::at($set, min($end, $from + $class)) - $x;
                $sketch->rect($x, self::LINE - $high, $wide, $high, 'sky');
                $sketch->words($x + $wide / 2, self::LINE - $high - 16, (string) $count, 22);
            }
        }
    }

    public static function says(Values $set, Values $state): Said
    {
        $values = $state->list('values');
        if ($values === []) {
            return Said::of('No values yet');
        }

        return Said::of('Values: :n, median :median, from :least to :most', [
            'n' => count($values),
            'median' => Written::hundredths(self::twiceMedian($values) * 50),
            'least' => Written::whole($values[0]),
            'most' => Written::whole($values[count($values) - 1]),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $values = $state->list('values');
        [$lower, $median, $upper] = self::quartiles($values);

        return [
            'count' => (string) count($values),
            'mean' => $values === [] ? '' : Written::fraction(array_sum($values), count($values)),
            'median' => Written::hundredths($median * 50),
            'lower' => Written::hundredths($lower * 50),
            'upper' => Written::hundredths($upper * 50),
            'range' => $values === [] ? '0' : (string) ($values[count($values) - 1] - $values[0]),
        ];
    }

    public static function factWords(): array
    {
        return [
            'count' => 'How many values there are',
            'mean' => 'The mean',
            'median' => 'The median',
            'lower' => 'The lower quartile',
            'upper' => 'The upper quartile',
            'range' => 'The range',
        ];
    }
}
