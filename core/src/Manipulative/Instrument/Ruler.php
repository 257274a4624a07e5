<?php

declare(strict_types=1);

namespace Crag\Manipulative\Instrument;

use Crag\Manipulative\Act;
use Crag\Manipulative\Guiding;
use Crag\Manipulative\Laid;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;

/** A ruler in centimetres of a printed page; a pen that is put to its edge draws along it. */
final class Ruler implements Guiding
{
    private const HIGH = 96;

    public static function settings(): array
    {
        return [Setting::whole('length', 'Length, in centimetres', 12, 5, 25)];
    }

    public static function fields(): array
    {
        return Laid::fields();
    }

    public static function start(Values $set): Values
    {
        return Laid::start();
    }

    private static function length(Values $set): float
    {
        return ($set->int('length') + 0.6) * Laid::CENTIMETRE;
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $length = self::length($set);

        return Laid::after($state, $act, Laid::inside(0, 0, $length, self::HIGH), $length - 50, 62);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $length = self::length($set);
        $outline = [0, 0, $length, 0, $length, self::HIGH, 0, self::HIGH];
        Laid::draw($sketch, $state, $outline, Laid::inside(0, 0, $length, self::HIGH), $length - 50, 62);
        for ($mm = 0; $mm <= $set->int('length') * 10; $mm++) {
            $along = ($mm / 10 + 0.3) * Laid::CENTIMETRE;
            $high = $mm % 10 === 0 ? 26 : ($mm % 5 === 0 ? 19 : 12);
            $sketch->line(Laid::all($state, [$along, 0, $along, $high]), 'slate', $mm % 10 === 0 ? 2 : 1);
            if ($mm % 10 === 0) {
                [$x, $y] = Laid::at($state, $along, 44);
                $sketch->words($x, $y, (string) intdiv($mm, 10), 20);
            }
        }
    }

    public static function guides(Values $set, Values $state): array
    {
        $length = self::length($set);

        return [
            Laid::all($state, [0, 0, $length, 0]),
            Laid::all($state, [0, self::HIGH, $length, self::HIGH]),
        ];
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Ruler at :n°', ['n' => Laid::degrees($state)]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return Laid::facts($state);
    }

    public static function factWords(): array
    {
        return Laid::factWords();
    }
}
