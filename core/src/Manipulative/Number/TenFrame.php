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

/** Frames of two rows of five, filled with counters of two colours. */
final class TenFrame implements Kind
{
    private const CELL = 80;

    public static function settings(): array
    {
        return [
            Setting::whole('frames', 'Frames', 2, 1, 3),
            Setting::whole('filled', 'Filled', 0, 0, 30),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('cells', 30, 0, 2)];
    }

    public static function start(Values $set): Values
    {
        $cells = [];
        for ($i = 0; $i < 10 * $set->int('frames'); $i++) {
            $cells[] = $i < $set->int('filled') ? 1 : 0;
        }

        return Values::of(['cells' => $cells]);
    }

    /** Pressed, a cell is filled, filled with the other colour, and emptied. */
    public static function after(Values $set, Values $state, Act $act): Values
    {
        $cells = $state->list('cells');
        if ($act->part !== 'cell' || $act->n < 0 || $act->n >= count($cells)) {
            return $state;
        }
        $cells[$act->n] = ($cells[$act->n] + 1) % 3;

        return $state->with('cells', $cells);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $cells = $state->list('cells');
        $frames = intdiv(count($cells), 10);
        $sketch->size($frames * 440 - 40, 2 * self::CELL);
        foreach ($cells as $i => $cell) {
            $x = intdiv($i, 10) * 440 + $i % 5 * self::CELL;
            $y = intdiv($i, 5) % 2 * self::CELL;
            $sketch->rect($x, $y, self::CELL, self::CELL, 'paper');
            if ($cell > 0) {
                $sketch->circle($x + 40, $y + 40, 30, $cell === 1 ? 'rust' : 'sand');
            }
            $sketch->press('cell', $i, Said::of('Cell :n', ['n' => $i + 1]), $x, $y, self::CELL, self::CELL);
        }
    }

    public static function says(Values $set, Values $state): Said
    {
        [$dark, $light, $all] = self::counted($state);

        return $light === 0
            ? Said::of(':n of :all filled', ['n' => $dark, 'all' => $all])
            : Said::of(':n of :all filled: :dark dark, :light light', [
                'n' => $dark + $light, 'all' => $all, 'dark' => $dark, 'light' => $light,
            ]);
    }

    /** @return array{int, int, int} dark ones, light ones, cells */
    private static function counted(Values $state): array
    {
        $dark = 0;
        $light = 0;
        foreach ($state->list('cells') as $cell) {
            $dark += $cell === 1 ? 1 : 0;
            $light += $cell === 2 ? 1 : 0;
        }

        return [$dark, $light, count($state->list('cells'))];
    }

    public static function facts(Values $set, Values $state): array
    {
        [$dark, $light, $all] = self::counted($state);

        return [
            'filled' => (string) ($dark + $light),
            'empty' => (string) ($all - $dark - $light),
            'dark' => (string) $dark,
            'light' => (string) $light,
        ];
    }

    public static function factWords(): array
    {
        return [
            'filled' => 'How many cells are filled',
            'empty' => 'How many cells are empty',
            'dark' => 'How many are dark',
            'light' => 'How many are light',
        ];
    }
}
