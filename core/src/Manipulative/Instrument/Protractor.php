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

/** A half disc with degrees, counted from both sides; its middle is laid on a corner. */
final class Protractor implements Guiding
{
    private const RADIUS = 250;

    public static function settings(): array
    {
        return [Setting::choice('degrees', 'Counted', ['From both sides', 'From the right'])];
    }

    public static function fields(): array
    {
        return Laid::fields();
    }

    public static function start(Values $set): Values
    {
        return Laid::start();
    }

    /** @return list<float> a half disc of a radius over its base, along and aside */
    private static function half(float $radius): array
    {
        $points = [];
        for ($degrees = 0; $degrees <= 180; $degrees += 6) {
            $points = [...$points, ...self::polar($radius, $degrees)];
        }

        return [...$points, -$radius, 24, $radius, 24];
    }

    /** @return list<float> */
    private static function polar(float $radius, float $degrees): array
    {
        return [$radius * cos($degrees * M_PI / 180), -$radius * sin($degrees * M_PI / 180)];
    }

    /** @return list<float> */
    private static function body(): array
    {
        $points = [];
        for ($degrees = 10; $degrees <= 170; $degrees += 10) {
            $points = [...$points, ...self::polar(self::RADIUS - 70, $degrees)];
        }

        return [...$points, -(self::RADIUS - 90), -24, self::RADIUS - 90, -24];
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        return Laid::after($state, $act, self::body(), 140, -34);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        Laid::draw($sketch, $state, self::half(self::RADIUS), self::body(), 140, -34);
        $sketch->line(Laid::all($state, [-self::RADIUS, 0, self::RADIUS, 0]), 'slate', 2);
        $sketch->line(Laid::all($state, [0, 12, 0, -40]), 'slate', 2);
        for ($degrees = 0; $degrees <= 180; $degrees++) {
            $deep = $degrees % 10 === 0 ? 24 : ($degrees % 5 === 0 ? 17 : 10);
            $mark = [...self::polar(self::RADIUS, $degrees), ...self::polar(self::RADIUS - $deep, $degrees)];
            $sketch->line(Laid::all($state, $mark), 'slate', $degrees % 10 === 0 ? 2 : 1);
            if ($degrees % 10 === 0 && $degrees > 0 && $degrees < 180) {
                $at = self::polar(self::RADIUS - 38, $degrees);
                [$x, $y] = Laid::at($state, $at[0], $at[1]);
                $sketch->words($x, $y, (string) $degrees, 15);
                if ($set->int('degrees') === 0) {
                    $in = self::polar(self::RADIUS - 72, $degrees);
                    [$inX, $inY] = Laid::at($state, $in[0], $in[1]);
                    $sketch->words($inX, $inY, (string) (180 - $degrees), 13, 'lake');
                }
            }
        }
    }

    public static function guides(Values $set, Values $state): array
    {
        return [Laid::all($state, [-self::RADIUS, 24, self::RADIUS, 24])];
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Protractor at :n°', ['n' => Laid::degrees($state)]);
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
