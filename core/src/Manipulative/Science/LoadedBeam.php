<?php

declare(strict_types=1);

namespace Crag\Manipulative\Science;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** A beam on a pivot with loads hung from it: it turns by its moments. */
final class LoadedBeam implements Kind
{
    private const APART = 70;

    private const MOST = 8;

    public static function settings(): array
    {
        return [
            Setting::whole('arms', 'Hooks on each side', 5, 2, 8),
            Setting::whole('weight', 'One load, in newtons', 10, 1, 100),
            Setting::choice('moments', 'Show the moments', ['No', 'Yes']),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('loads', 17, 0, self::MOST)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['loads' => array_fill(0, 2 * $set->int('arms') + 1, 0)]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $loads = $state->list('loads');
        $arms = $set->int('arms');
        if ($act->part === 'clear') {
            return self::start($set);
        }
        $n = $act->n + $arms;
        if ($n < 0 || $n >= count($loads) || $n === $arms) {
            return $state;
        }
        if ($act->part === 'hook' && $loads[$n] < self::MOST) {
            $loads[$n]++;
        } elseif ($act->part === 'load' && $loads[$n] > 0) {
            $loads[$n]--;
            $to = $act->x === null ? -1 : (int) floor(($act->x - 40) / self::APART + 0.5);
            if ($to >= 0 && $to < count($loads) && $to !== $arms && $loads[$to] < self::MOST) {
                $loads[$to]++;
            }
        }

        return $state->with('loads', $loads);
    }

    /** The moments on the left and on the right, in newtons times marks. */
    private static function moment(Values $set, Values $state, int $side): int
    {
        $sum = 0;
        foreach ($state->list('loads') as $n => $load) {
            $place = $n - $set->int('arms');
            $sum += $place * $side > 0 ? abs($place) * $load * $set->int('weight') : 0;
        }

        return $sum;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $arms = $set->int('arms');
        $wide = 2 * $arms * self::APART + 80;
        $middle = $arms * self::APART + 40;
        $left = self::moment($set, $state, -1);
        $right = self::moment($set, $state, 1);
        $drop = $left === $right ? 0 : ($left > $right ? 8 : -8);
        $sketch->size($wide, 420);
        $sketch->polygon([$middle, 90, $middle + 50, 400, $middle - 50, 400], 'wood');
        $sketch->line([10, 80 + $drop * $arms, $wide - 10, 80 - $drop * $arms], 'slate', 14);
        $sketch->circle($middle, 80, 12, 'ochre');
        foreach ($state->list('loads') as $n => $load) {
            $place = $n - $arms;
            if ($place !== 0) {
                $x = 40 + $n * self::APART;
                $y = 80 - $drop * $place;
                $sketch->words($x, $y - 26, (string) abs($place), 22);
                $sketch->line([$x, $y, $x, $y + 28], 'stone', 3);
                for ($i = 0; $i < $load; $i++) {
                    $sketch->rect($x - 26, $y + 28 + $i * 30, 52, 28, 'clay', 'slate', 4);
                    $sketch->words($x, $y + 43 + $i * 30, (string) $set->int('weight'), 18);
                }
                $hook = Said::of('Hang a load at :n', ['n' => Written::whole($place)]);
                $sketch->press('hook', $place, $hook, $x - 35, $y - 44, 70, 72);
                if ($load > 0) {
                    $taken = Said::of('Loads at :n: :load', ['load' => $load, 'n' => Written::whole($place)]);
                    $sketch->drag('load', $place, $taken, $x - 30, $y + 28, 60, $load * 30, self::APART);
                }
            }
        }
        if ($set->int('moments') === 1) {
            $sketch->words(20, 400, (string) $left, 30, 'lake', 'start');
            $sketch->words($wide - 20, 400, (string) $right, 30, 'lake', 'end');
        }
        $sketch->button('clear', 0, Said::of('Clear'), 0, 432, 110);
    }

    public static function says(Values $set, Values $state): Said
    {
        $left = self::moment($set, $state, -1);
        $right = self::moment($set, $state, 1);
        $with = ['left' => $left, 'right' => $right];
        if ($left === $right) {
            return $left === 0 ? Said::of('No loads yet') : Said::of('Balanced: moments :left and :right', $with);
        }

        return $left > $right
            ? Said::of('Tips left: moments :left and :right', $with)
            : Said::of('Tips right: moments :left and :right', $with);
    }

    public static function facts(Values $set, Values $state): array
    {
        $left = self::moment($set, $state, -1);
        $right = self::moment($set, $state, 1);

        return [
            'balance' => $left === $right ? 'balanced' : ($left > $right ? 'tips left' : 'tips right'),
            'left' => (string) $left,
            'right' => (string) $right,
            'loads' => (string) array_sum($state->list('loads')),
        ];
    }

    public static function factWords(): array
    {
        return [
            'balance' => 'How it stands (balanced, tips left or tips right)',
            'left' => 'The moment on the left',
            'right' => 'The moment on the right',
            'loads' => 'How many loads hang on it',
        ];
    }
}
