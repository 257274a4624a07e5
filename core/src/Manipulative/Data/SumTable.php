<?php

declare(strict_types=1);

namespace Crag\Manipulative\Data;

use Crag\Manipulative\Act;
use Crag\Manipulative\Columns;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** A table of numbers with the sums of its rows and columns: worked out, or typed and looked at. */
final class SumTable implements Kind
{
    private const WIDE = 130;

    private const HIGH = 64;

    public static function settings(): array
    {
        return [
            Setting::whole('rows', 'Rows', 2, 1, 6),
            Setting::whole('columns', 'Columns', 3, 1, 6),
            Setting::words('names', 'Names of the columns, with commas', 'A, B, C'),
            Setting::choice('sums', 'Totals', ['Worked out', 'Typed']),
        ];
    }

    /** The cells of all rows, each with its total behind it, and a last row of totals. */
    public static function fields(): array
    {
        return [Field::list('cells', 49, -99_999, 99_999)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['cells' => array_fill(0, ($set->int('rows') + 1) * ($set->int('columns') + 1), 0)]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $cells = $state->list('cells');
        if ($act->part !== 'cell' || $act->to === null || $act->n < 0 || $act->n >= count($cells)) {
            return $state;
        }
        if (self::isTotal($set, $act->n) && $set->int('sums') === 0) {
            return $state;
        }
        $cells[$act->n] = Tokens::within($act->to, -99_999, 99_999);

        return $state->with('cells', $cells);
    }

    private static function isTotal(Values $set, int $n): bool
    {
        $across = $set->int('columns') + 1;

        return $n % $across === $across - 1 || $n >= $set->int('rows') * $across;
    }

    /** The sum that belongs into a cell for totals. */
    private static function sum(Values $set, Values $state, int $n): int
    {
        $across = $set->int('columns') + 1;
        $sum = 0;
        foreach ($state->list('cells') as $i => $cell) {
            $isOver = $n % $across === $across - 1 || $i % $across === $n % $across;
            $isBeside = $n >= $set->int('rows') * $across || intdiv($i, $across) === intdiv($n, $across);
            $sum += ! self::isTotal($set, $i) && $isOver && $isBeside ? $cell : 0;
        }

        return $sum;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $across = $set->int('columns') + 1;
        $names = Written::parts($set->words('names'));
        $cells = $state->list('cells');
        $sketch->size($across * self::WIDE, ($set->int('rows') + 1) * self::HIGH + 44);
        for ($i = 0; $i < $across; $i++) {
            $name = $i === $across - 1 ? 'Σ' : $names[$i] ?? '';
            $sketch->words(($i + 0.5) * self::WIDE, 22, $name, 26);
        }
        foreach ($cells as $n => $cell) {
            $x = $n % $across * self::WIDE;
            $y = 44 + intdiv($n, $across) * self::HIGH;
            $isTotal = self::isTotal($set, $n);
            $value = $isTotal && $set->int('sums') === 0 ? self::sum($set, $state, $n) : $cell;
            $sketch->rect($x, $y, self::WIDE, self::HIGH, $isTotal ? 'pale' : 'paper', 'stone');
            $sketch->words($x + self::WIDE / 2, $y + self::HIGH / 2, Written::whole($value), 30);
            $with = ['row' => intdiv($n, $across) + 1, 'column' => $n % $across + 1];
            $label = $isTotal
                ? Said::of('Total, row :row column :column', $with)
                : Said::of('Row :row, column :column', $with);
            if (! $isTotal || $set->int('sums') === 1) {
                $sketch->type('cell', $n, $label, $x, $y, self::WIDE, self::HIGH, $value);
            }
        }
    }

    private static function addsUp(Values $set, Values $state): bool
    {
        foreach ($state->list('cells') as $n => $cell) {
            if ($set->int('sums') === 1 && self::isTotal($set, $n) && $cell !== self::sum($set, $state, $n)) {
                return false;
            }
        }

        return true;
    }

    public static function says(Values $set, Values $state): Said
    {
        $total = Written::whole(self::sum($set, $state, count($state->list('cells')) - 1));

        return self::addsUp($set, $state)
            ? Said::of('Adds up to :total', ['total' => $total])
            : Said::of('The totals don’t add up yet');
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'total' => (string) self::sum($set, $state, count($state->list('cells')) - 1),
            'adds_up' => self::addsUp($set, $state) ? 'yes' : 'no',
        ];
    }

    public static function factWords(): array
    {
        return ['total' => 'The sum of all cells', 'adds_up' => 'Whether the totals are right (yes or no)'];
    }
}
