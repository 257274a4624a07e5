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

/** A chart of counts by name, as bars or as rows of dots; a bar is pulled by its top, or its number typed. */
final class BarChart implements Kind
{
    private const HIGH = 320;

    private const MOST_BARS = 10;

    public static function settings(): array
    {
        return [
            Setting::words('names', 'Names, with commas between them', 'A, B, C, D'),
            Setting::whole('most', 'The scale goes up to', 10, 5, 200),
            Setting::choice('look', 'Drawn as', ['Bars', 'Dots']),
            Setting::words('title', 'Title', ''),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('values', self::MOST_BARS, 0, 200)];
    }

    /** @return list<string> */
    private static function names(Values $set): array
    {
        $names = array_slice(Written::parts($set->words('names')), 0, self::MOST_BARS);

        return $names === [] ? ['A'] : $names;
    }

    public static function start(Values $set): Values
    {
        return Values::of(['values' => array_fill(0, count(self::names($set)), 0)]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $values = $state->list('values');
        if ($act->n < 0 || $act->n >= count($values)) {
            return $state;
        }
        if ($act->part === 'bar' && $act->y !== null) {
            $high = (int) floor((self::HIGH + 40 - $act->y) * $set->int('most') / self::HIGH + 0.5);
            $values[$act->n] = Tokens::within($high, 0, $set->int('most'));
        } elseif ($act->part === 'value' && $act->to !== null) {
            $values[$act->n] = Tokens::within($act->to, 0, $set->int('most'));
        }

        return $state->with('values', $values);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $names = self::names($set);
        $most = $set->int('most');
        $wide = count($names) * 90 + 60;
        $floor = self::HIGH + 40;
        $sketch->size($wide, self::HIGH + 124);
        $sketch->words($wide / 2, 16, $set->words('title'), 26);
        $every = $most <= 12 ? 1 : ($most <= 25 ? 2 : ($most <= 60 ? 5 : 20));
        for ($i = 0; $i <= $most; $i += $every) {
            $y = $floor - $i * self::HIGH / $most;
            $sketch->line([50, $y, $wide, $y], 'pale', 1);
            $sketch->words(42, $y, (string) $i, 20, 'slate', 'end');
        }
        foreach ($names as $n => $name) {
            $value = $state->list('values')[$n] ?? 0;
            $x = 60 + $n * 90;
            $high = $value * self::HIGH / $most;
            if ($set->int('look') === 0) {
                $sketch->rect($x, $floor - $high, 70, $high, 'sky');
            } else {
                for ($i = 0; $i < $value; $i++) {
                    $radius = min(16, self::HIGH / $most / 2 - 1);
                    $sketch->circle($x + 35, $floor - ($i + 0.5) * self::HIGH / $most, $radius, 'lake', '');
                }
            }
            $sketch->words($x + 35, $floor + 22, $name, mb_strlen($name) > 6 ? 18 : 24);
            $sketch->words($x + 35, $floor + 58, (string) $value, 26, 'lake');
            $step = (int) ceil(self::HIGH / $most);
            $label = Said::of(':name: :n', ['name' => $name, 'n' => $value]);
            $sketch->drag('bar', $n, $label, $x, $floor - $high - 36, 70, 72, $step);
            $typed = Said::of('Number for :name', ['name' => $name]);
            $sketch->type('value', $n, $typed, $x, $floor + 38, 70, 44, $value);
        }
        $sketch->line([50, 40, 50, $floor, $wide, $floor], 'slate', 3);
    }

    public static function says(Values $set, Values $state): Said
    {
        $all = [];
        foreach (self::names($set) as $n => $name) {
            $all[] = $name.' '.($state->list('values')[$n] ?? 0);
        }

        return Said::of('Chart: :all', ['all' => implode(', ', $all)]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'values' => implode(', ', $state->list('values')),
            'total' => (string) array_sum($state->list('values')),
        ];
    }

    public static function factWords(): array
    {
        return ['values' => 'The values in order, with commas', 'total' => 'The total'];
    }
}
