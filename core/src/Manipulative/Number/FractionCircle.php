<?php

declare(strict_types=1);

namespace Crag\Manipulative\Number;

use Crag\Manipulative\Act;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Turn;
use Crag\Manipulative\Values;

/** Discs in equal parts, some of them shaded; otherwise as bars are. */
final class FractionCircle implements Kind
{
    private const RADIUS = 120;

    public static function settings(): array
    {
        return [
            Setting::whole('rows', 'Circles', 1, 1, 4),
            Setting::whole('parts', 'Parts in each', 4, 1, FractionBar::MOST_PARTS),
        ];
    }

    public static function fields(): array
    {
        return FractionBar::fields();
    }

    public static function start(Values $set): Values
    {
        return FractionBar::start($set);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        return FractionBar::after($set, $state, $act);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $parts = $state->list('parts');
        $shaded = $state->list('shaded');
        $sketch->size(count($parts) * 280 - 40, 2 * self::RADIUS);
        foreach ($parts as $row => $count) {
            $x = $row * 280 + self::RADIUS;
            for ($i = 0; $i < $count; $i++) {
                $isShaded = (($shaded[$row] ?? 0) >> $i & 1) === 1;
                $piece = Turn::sector($x, self::RADIUS, self::RADIUS, 360 * $i / $count, 360 * ($i + 1) / $count);
                $sketch->polygon($piece, $isShaded ? 'lake' : 'paper');
                $label = Said::of('Part :n of :all', ['n' => $i + 1, 'all' => $count]);
                $sketch->pressOn('cell', $row * 100 + $i, $label, $piece);
            }
            $sketch->button('fewer', $row, Said::of('Fewer parts'), $x - 120, 2 * self::RADIUS + 16, 116, 56);
            $sketch->button('more', $row, Said::of('More parts'), $x + 4, 2 * self::RADIUS + 16, 116, 56);
        }
    }

    public static function says(Values $set, Values $state): Said
    {
        return FractionBar::says($set, $state);
    }

    public static function facts(Values $set, Values $state): array
    {
        return FractionBar::facts($set, $state);
    }

    public static function factWords(): array
    {
        return FractionBar::factWords();
    }
}
