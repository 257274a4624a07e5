<?php

declare(strict_types=1);

namespace Crag\Manipulative\Number;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** Bars in equal parts, some of them shaded. */
final class FractionBar implements Kind
{
    public const MOST_PARTS = 20;

    private const WIDE = 600;

    private const HIGH = 80;

    private const APART = 100;

    public static function settings(): array
    {
        return [
            Setting::whole('rows', 'Bars', 1, 1, 4),
            Setting::whole('parts', 'Parts in each', 4, 1, self::MOST_PARTS),
        ];
    }

    public static function fields(): array
    {
        return [
            Field::list('parts', 4, 1, self::MOST_PARTS),
            Field::list('shaded', 4, 0, (1 << self::MOST_PARTS) - 1),
        ];
    }

    public static function start(Values $set): Values
    {
        return Values::of([
            'parts' => array_fill(0, $set->int('rows'), $set->int('parts')),
            'shaded' => array_fill(0, $set->int('rows'), 0),
        ]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $parts = $state->list('parts');
        $shaded = $state->list('shaded');
        $row = $act->part === 'cell' ? intdiv($act->n, 100) : $act->n;
        if ($row < 0 || $row >= count($parts) || $row >= count($shaded)) {
            return $state;
        }
        if ($act->part === 'cell') {
            $cell = $act->n % 100;
            if ($cell < $parts[$row]) {
                $shaded[$row] = $shaded[$row] ^ (1 << $cell);
            }
        } elseif ($act->part === 'more' || $act->part === 'fewer') {
            $by = $act->part === 'more' ? 1 : -1;
            $parts[$row] = Tokens::within($parts[$row] + $by, 1, self::MOST_PARTS);
            $shaded[$row] = $shaded[$row] & ((1 << $parts[$row]) - 1);
        }

        return $state->with('parts', $parts)->with('shaded', $shaded);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $parts = $state->list('parts');
        $shaded = $state->list('shaded');
        $sketch->size(self::WIDE, count($parts) * self::APART - 20);
        foreach ($parts as $row => $count) {
            $wide = self::WIDE / $count;
            $y = $row * self::APART;
            for ($i = 0; $i < $count; $i++) {
                $isShaded = (($shaded[$row] ?? 0) >> $i & 1) === 1;
                $sketch->rect($i * $wide, $y, $wide, self::HIGH, $isShaded ? 'lake' : 'paper');
                $label = Said::of('Part :n of :all', ['n' => $i + 1, 'all' => $count]);
                $sketch->press('cell', $row * 100 + $i, $label, $i * $wide, $y, $wide, self::HIGH);
            }
            $sketch->button('fewer', $row, Said::of('Fewer parts'), self::WIDE + 16, $y, 130, 38);
            $sketch->button('more', $row, Said::of('More parts'), self::WIDE + 16, $y + 42, 130, 38);
        }
    }

    public static function says(Values $set, Values $state): Said
    {
        $all = [];
        foreach ($state->list('parts') as $row => $count) {
            $all[] = self::bits($state->list('shaded')[$row] ?? 0).'/'.$count;
        }

        return Said::of(':all shaded', ['all' => implode(', ', $all)]);
    }

    public static function facts(Values $set, Values $state): array
    {
        [$numerator, $denominator] = [0, 1];
        $count = count($state->list('parts'));
        foreach ($state->list('parts') as $row => $parts) {
            $bits = self::bits($state->list('shaded')[$row] ?? 0);
            [$numerator, $denominator] = [$numerator * $parts + $bits * $denominator, $denominator * $parts];
        }

        return [
            // Of one bar as it stands; together in lowest terms.
            'shaded' => $count === 1 ? "{$numerator}/{$denominator}" : Written::fraction($numerator, $denominator),
            'parts' => (string) array_sum($state->list('parts')),
        ];
    }

    public static function factWords(): array
    {
        return ['shaded' => 'How much is shaded', 'parts' => 'How many parts there are'];
    }

    /** How many bits are set. */
    public static function bits(int $mask): int
    {
        $count = 0;
        while ($mask > 0) {
            $count += $mask & 1;
            $mask = $mask >> 1;
        }

        return $count;
    }
}
