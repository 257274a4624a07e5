<?php

declare(strict_types=1);

namespace Crag\Manipulative\Number;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** Numbers in rows, coloured by pressing them. */
final class HundredSquare implements Kind
{
    private const CELL = 62;

    private const MOST = 144;

    private const FILLS = ['paper', 'sand', 'sky'];

    public static function settings(): array
    {
        return [
            Setting::whole('first', 'First number', 1, -100, 1000),
            Setting::whole('rows', 'Rows', 10, 1, 12),
            Setting::whole('columns', 'Columns', 10, 2, 12),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('cells', self::MOST, 0, 2)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['cells' => array_fill(0, $set->int('rows') * $set->int('columns'), 0)]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $cells = $state->list('cells');
        if ($act->part === 'clear') {
            return self::start($set);
        }
        if ($act->part !== 'cell' || $act->n < 0 || $act->n >= count($cells)) {
            return $state;
        }
        $cells[$act->n] = ($cells[$act->n] + 1) % 3;

        return $state->with('cells', $cells);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $columns = max(1, $set->int('columns'));
        $cells = $state->list('cells');
        $sketch->size($columns * self::CELL, intdiv(count($cells) + $columns - 1, $columns) * self::CELL);
        foreach ($cells as $i => $cell) {
            $x = $i % $columns * self::CELL;
            $y = intdiv($i, $columns) * self::CELL;
            $sketch->rect($x, $y, self::CELL, self::CELL, self::FILLS[$cell] ?? 'paper', 'stone');
            if ($cell === 2) {
                $sketch->circle($x + 31, $y + 31, 26, '', 'lake');
            }
            $number = Written::whole($set->int('first') + $i);
            $sketch->words($x + 31, $y + 31, $number, 26);
            $sketch->press('cell', $i, Said::of(':n', ['n' => $number]), $x, $y, self::CELL, self::CELL);
        }
        $sketch->button('clear', 0, Said::of('Start again'), $columns * self::CELL + 14, 0, 150);
    }

    /** @return list<int> */
    private static function coloured(Values $set, Values $state): array
    {
        $numbers = [];
        foreach ($state->list('cells') as $i => $cell) {
            if ($cell > 0) {
                $numbers[] = $set->int('first') + $i;
            }
        }

        return $numbers;
    }

    public static function says(Values $set, Values $state): Said
    {
        $numbers = self::coloured($set, $state);
        $some = Written::list(array_slice($numbers, 0, 12)).(count($numbers) > 12 ? ' …' : '');

        return $numbers === []
            ? Said::of('None coloured')
            : Said::of(':n coloured: :some', ['n' => count($numbers), 'some' => $some]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $numbers = self::coloured($set, $state);

        return [
            'count' => (string) count($numbers),
            'numbers' => implode(', ', $numbers),
            'sum' => (string) array_sum($numbers),
        ];
    }

    public static function factWords(): array
    {
        return [
            'count' => 'How many are coloured',
            'numbers' => 'Which are coloured',
            'sum' => 'The sum of those coloured',
        ];
    }
}
