<?php

declare(strict_types=1);

namespace Crag\Manipulative\Number;

use Crag\Manipulative\Act;
use Crag\Manipulative\Columns;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;

/** A chart of places with counters in it, thousandths to hundred thousands. */
final class PlaceValue implements Kind
{
    private const WIDE = 190;

    private const HIGH = 300;

    private const WORDS = [
        '100 000', '10 000', '1000', '100', '10', '1', '0.1', '0.01', '0.001',
    ];

    /** Which of them is the ones. */
    private const ONES = 5;

    public static function settings(): array
    {
        return [
            Setting::whole('whole', 'Whole places', 3, 1, 5),
            Setting::whole('decimals', 'Decimal places', 2, 0, 3),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('counts', 8, 0, Columns::MOST)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['counts' => array_fill(0, $set->int('whole') + $set->int('decimals'), 0)]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        return $state->with('counts', Columns::after($state->list('counts'), $act));
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $counts = $state->list('counts');
        $sketch->size(count($counts) * self::WIDE, self::HIGH);
        foreach ($counts as $n => $count) {
            $place = self::ONES + 1 - $set->int('whole') + $n;
            $x = $n * self::WIDE;
            $sketch->rect($x, 0, self::WIDE, self::HIGH, 'paper', 'stone');
            $sketch->rect($x, 0, self::WIDE, 44, 'pale', 'stone');
            $sketch->words($x + self::WIDE / 2, 23, self::WORDS[$place] ?? '', 26);
            for ($i = 0; $i < $count; $i++) {
                $sketch->circle($x + 27 + $i % 5 * 34, 68 + intdiv($i, 5) * 36, 14, 'sky', 'lake');
            }
            $sketch->line([$x, 220, $x + self::WIDE, 220], 'stone', 2);
            $sketch->words($x + self::WIDE / 2, 262, (string) $count, 48, $count > 9 ? 'rust' : 'slate');
            $above = $n > 0 && $count >= 10 ? self::WORDS[$place - 1] ?? '' : '';
            $below = Columns::breaks($counts, $n) ? self::WORDS[$place + 1] ?? '' : '';
            Columns::buttons($sketch, $n, self::WORDS[$place] ?? '', $above, $below, $x + 7, self::HIGH + 12);
        }
        if ($set->int('decimals') > 0) {
            $sketch->circle($set->int('whole') * self::WIDE, 280, 7, 'slate', '');
        }
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Shows :n', ['n' => self::value($set, $state)]);
    }

    private static function value(Values $set, Values $state): string
    {
        $value = 0;
        foreach ($state->list('counts') as $count) {
            $value = $value * 10 + $count;
        }
        $unit = 10 ** $set->int('decimals');
        $rest = $value % $unit;
        $digits = '';
        for ($i = 0; $i < $set->int('decimals'); $i++) {
            $digits = $rest % 10 === 0 && $digits === '' ? '' : ($rest % 10).$digits;
            $rest = intdiv($rest, 10);
        }

        return intdiv($value, $unit).($digits === '' ? '' : '.'.$digits);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'value' => self::value($set, $state),
            'counters' => (string) array_sum($state->list('counts')),
        ];
    }

    public static function factWords(): array
    {
        return ['value' => 'The number it shows', 'counters' => 'How many counters there are'];
    }
}
