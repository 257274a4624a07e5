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

/** A set square: a right angle with two of 45°, or with 30° and 60°; a pen goes along its three sides. */
final class SetSquare implements Guiding
{
    private const LONG = 380;

    public static function settings(): array
    {
        return [Setting::choice('angles', 'Angles', ['45°, 45°, 90°', '30°, 60°, 90°'])];
    }

    public static function fields(): array
    {
        return Laid::fields();
    }

    public static function start(Values $set): Values
    {
        return Laid::start();
    }

    private static function high(Values $set): float
    {
        return $set->int('angles') === 0 ? self::LONG : self::LONG / sqrt(3);
    }

    /**
     * The triangle drawn in towards its middle.
     *
     * @return list<float>
     */
    private static function triangle(Values $set, float $share): array
    {
        [$midAlong, $midAside] = [self::LONG / 3, -self::high($set) / 3];
        $points = [];
        foreach ([[0, 0], [self::LONG, 0], [0, -self::high($set)]] as [$along, $aside]) {
            $points[] = $midAlong + ($along - $midAlong) * $share;
            $points[] = $midAside + ($aside - $midAside) * $share;
        }

        return $points;
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        return Laid::after($state, $act, self::triangle($set, 0.76), self::LONG * 0.62, -32);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $outline = self::triangle($set, 1);
        Laid::draw($sketch, $state, $outline, self::triangle($set, 0.76), self::LONG * 0.62, -32);
        $sketch->polygon(Laid::all($state, self::triangle($set, 0.32)), 'paper', 'stone');
        $sketch->line(Laid::all($state, [0, -26, 26, -26, 26, 0]), 'stone', 2);
    }

    public static function guides(Values $set, Values $state): array
    {
        $high = self::high($set);

        return [
            Laid::all($state, [0, 0, self::LONG, 0]),
            Laid::all($state, [0, 0, 0, -$high]),
            Laid::all($state, [self::LONG, 0, 0, -$high]),
        ];
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Set square at :n°', ['n' => Laid::degrees($state)]);
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
