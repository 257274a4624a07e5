<?php

declare(strict_types=1);

namespace Crag\Manipulative\Measure;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Turn;
use Crag\Manipulative\Values;

/** A clock whose hands go together. */
final class Clock implements Kind
{
    private const RADIUS = 180;

    private const DAY = 1440;

    public static function settings(): array
    {
        return [
            Setting::whole('hours', 'Hour', 9, 0, 23),
            Setting::whole('minutes', 'Minute', 0, 0, 59),
            Setting::choice('figures', 'Also in figures', ['No', 'Yes']),
        ];
    }

    public static function fields(): array
    {
        return [Field::whole('time', 0, self::DAY - 1)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['time' => $set->int('hours') * 60 + $set->int('minutes')]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $time = $state->int('time');
        if ($act->part === 'forward') {
            return $state->with('time', ($time + $act->n + self::DAY) % self::DAY);
        }
        if ($act->x === null || $act->y === null) {
            return $state;
        }
        $degrees = Turn::towards(self::RADIUS, self::RADIUS, $act->x, $act->y);
        if ($act->part === 'minute') {
            // The nearest time at which the hand stands there.
            $minute = (int) floor($degrees / 6 + 0.5) % 60;
            $by = $minute - $time % 60;
            $by = $by > 30 ? $by - 60 : ($by < -30 ? $by + 60 : $by);

            return $state->with('time', ($time + $by + self::DAY) % self::DAY);
        }
        if ($act->part === 'hour') {
            $half = intdiv(self::DAY, 2);
            $by = (int) floor($degrees / 2.5 + 0.5) * 5 - $time % $half;
            $by = $by > intdiv($half, 2) ? $by - $half : ($by < -intdiv($half, 2) ? $by + $half : $by);

            return $state->with('time', ($time + $by + self::DAY) % self::DAY);
        }

        return $state;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $time = $state->int('time');
        $middle = self::RADIUS;
        $sketch->size(2 * self::RADIUS, 2 * self::RADIUS + ($set->int('figures') === 1 ? 64 : 0));
        $sketch->circle($middle, $middle, self::RADIUS, 'paper');
        for ($i = 0; $i < 60; $i++) {
            [$x, $y] = Turn::at($middle, $middle, self::RADIUS - 4, $i * 6);
            [$toX, $toY] = Turn::at($middle, $middle, self::RADIUS - ($i % 5 === 0 ? 18 : 10), $i * 6);
            $sketch->line([$x, $y, $toX, $toY], 'slate', $i % 5 === 0 ? 3 : 1);
        }
        for ($hour = 1; $hour <= 12; $hour++) {
            [$x, $y] = Turn::at($middle, $middle, self::RADIUS - 40, $hour * 30);
            $sketch->words($x, $y, (string) $hour, 30);
        }
        [$hourX, $hourY] = Turn::at($middle, $middle, 88, $time / 2);
        [$minuteX, $minuteY] = Turn::at($middle, $middle, 140, $time % 60 * 6);
        $sketch->line([$middle, $middle, $hourX, $hourY], 'slate', 12);
        $sketch->line([$middle, $middle, $minuteX, $minuteY], 'lake', 6);
        $sketch->circle($middle, $middle, 10, 'slate');
        if ($set->int('figures') === 1) {
            $sketch->words($middle, 2 * self::RADIUS + 36, self::written($time), 46);
        }
        $sketch->drag('hour', 0, Said::of('Hour hand'), $hourX - 36, $hourY - 36, 72, 72, 16);
        $sketch->drag('minute', 0, Said::of('Minute hand'), $minuteX - 36, $minuteY - 36, 72, 72, 16);
        $y = 2 * self::RADIUS + ($set->int('figures') === 1 ? 76 : 12);
        $steps = [
            [-60, Said::of('− 1 h')], [-5, Said::of('− 5 min')], [5, Said::of('+ 5 min')], [60, Said::of('+ 1 h')],
        ];
        foreach ($steps as $i => [$by, $label]) {
            $sketch->button('forward', $by, $label, $i * 110 - 40, $y, 104);
        }
    }

    private static function written(int $time): string
    {
        $minutes = $time % 60;

        return intdiv($time, 60).':'.($minutes < 10 ? '0' : '').$minutes;
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Clock at :time', ['time' => self::written($state->int('time'))]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $time = $state->int('time');

        return [
            'time' => self::written($time),
            'hands' => self::written($time % intdiv(self::DAY, 2)),
        ];
    }

    public static function factWords(): array
    {
        return [
            'time' => 'The time, as 15:40',
            'hands' => 'What the hands show, morning or afternoon (from 0:00 to 11:59)',
        ];
    }
}
