<?php

declare(strict_types=1);

namespace Crag\Manipulative\Space;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Solids;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;

/** A sphere with its equator and a parallel; the parts behind are dashed. */
final class Sphere implements Kind
{
    private const SIZE = 420;

    private const RADIUS = 180;

    public static function settings(): array
    {
        return [
            Setting::whole('radius', 'Radius, in centimetres', 5, 1, 20),
            Setting::whole('cut', 'Cut at this height, in centimetres above the middle', 2, -20, 20),
        ];
    }

    public static function fields(): array
    {
        return [Field::whole('turn', 0, 359), Field::whole('tilt', -90, 90)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['turn' => 0, 'tilt' => 20]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        return $act->part === 'turn' && $act->x !== null && $act->y !== null
            ? Solids::turned($state, $act->x - intdiv(self::SIZE, 2), $act->y - intdiv(self::SIZE, 2))
            : $state;
    }

    /** A circle round the upright axis at a height, front and back of it apart. */
    private static function parallel(Sketch $sketch, Values $state, float $high, string $colour): void
    {
        $radius = sqrt(max(0, 1 - $high ** 2));
        for ($i = 0; $i < 60; $i++) {
            $line = [];
            $near = 0.0;
            foreach ([$i * 6, $i * 6 + 6] as $degrees) {
                $angle = $degrees * M_PI / 180;
                $point = [$radius * cos($angle), $high, $radius * sin($angle)];
                $seen = Solids::seen($point, $state->int('turn'), $state->int('tilt'));
                $line = [...$line, self::SIZE / 2 + $seen[0] * self::RADIUS, self::SIZE / 2 + $seen[1] * self::RADIUS];
                $near += $seen[2];
            }
            if ($near >= 0 || $i % 2 === 0) {
                $sketch->line($line, $near >= 0 ? $colour : 'stone', $near >= 0 ? 3 : 2);
            }
        }
    }

    private static function cut(Values $set): float
    {
        return Tokens::within($set->int('cut'), -$set->int('radius'), $set->int('radius')) / $set->int('radius');
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $sketch->size(self::SIZE, self::SIZE);
        $sketch->circle(self::SIZE / 2, self::SIZE / 2, self::RADIUS, 'glass');
        self::parallel($sketch, $state, 0, 'slate');
        self::parallel($sketch, $state, self::cut($set), 'rust');
        foreach ([1, -1] as $pole) {
            $seen = Solids::seen([0.0, $pole + 0.0, 0.0], $state->int('turn'), $state->int('tilt'));
            $x = self::SIZE / 2 + $seen[0] * self::RADIUS;
            $sketch->circle($x, self::SIZE / 2 + $seen[1] * self::RADIUS, 5, $seen[2] >= 0 ? 'slate' : 'pale', '');
        }
        $sketch->drag('turn', 0, Said::of('Turn it'), 0, 0, self::SIZE, self::SIZE, 20);
    }

    private static function area(Values $set): float
    {
        return M_PI * $set->int('radius') ** 2 * (1 - self::cut($set) ** 2);
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Sphere, tilted :tilt°: the cut is a circle of :area cm²', [
            'tilt' => $state->int('tilt'), 'area' => Solids::written(self::area($set)),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'area' => Solids::written(self::area($set)),
            'volume' => Solids::written(4 / 3 * M_PI * $set->int('radius') ** 3),
            'tilt' => (string) $state->int('tilt'),
        ];
    }

    public static function factWords(): array
    {
        return [
            'area' => 'The area of the cut, in square centimetres',
            'volume' => 'The volume, in cubic centimetres',
            'tilt' => 'How far it is tilted, in degrees',
        ];
    }
}
