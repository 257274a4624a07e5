<?php

declare(strict_types=1);

namespace Crag\Manipulative\Instrument;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Guiding;
use Crag\Manipulative\Laid;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;

/**
 * A pair of compasses: the needle stays, a pen at the pencil's tip goes round it. Its opening is pulled at the hinge,
 * or typed in millimetres of a printed page.
 */
final class Compass implements Guiding
{
    private const LEG = 300;

    private const WIDEST = 590;

    public static function settings(): array
    {
        return [Setting::whole('opening', 'Opening, in millimetres', 40, 5, 100)];
    }

    public static function fields(): array
    {
        return [
            ...Laid::fields(),
            Field::whole('radius', 20, self::WIDEST),
        ];
    }

    public static function start(Values $set): Values
    {
        return Laid::start()->with('radius', self::units($set->int('opening')));
    }

    private static function units(int $millimetres): int
    {
        return Tokens::within((int) floor($millimetres * Laid::CENTIMETRE / 10 + 0.5), 20, self::WIDEST);
    }

    private static function millimetres(Values $state): int
    {
        return (int) floor($state->int('radius') * 10 / Laid::CENTIMETRE + 0.5);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        if ($act->part === 'radius' && $act->to !== null) {
            return $state->with('radius', self::units(Tokens::within($act->to, 1, 200)));
        }
        if ($act->x === null || $act->y === null) {
            return $state;
        }
        $dx = $act->x - $state->int('x');
        $dy = $act->y - $state->int('y');
        if ($act->part === 'needle') {
            return $state->with('x', $act->x)->with('y', $act->y);
        }
        if ($act->part === 'pencil') {
            $turn = (int) floor(atan2($dy, $dx) * 1800 / M_PI + 0.5);

            return $state->with('turn', ($turn % 3600 + 3600) % 3600);
        }
        if ($act->part === 'hinge') {
            // The hinge stands over the middle of the opening.
            $angle = $state->int('turn') * M_PI / 1800;
            $along = $dx * cos($angle) + $dy * sin($angle);

            return $state->with('radius', Tokens::within((int) floor(2 * $along + 0.5), 20, self::WIDEST));
        }

        return $state;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $radius = $state->int('radius');
        $high = sqrt(self::LEG ** 2 - ($radius / 2) ** 2);
        [$x, $y] = Laid::at($state, 0, 0);
        [$pencilX, $pencilY] = Laid::at($state, $radius, 0);
        [$hingeX, $hingeY] = Laid::at($state, $radius / 2, -$high);
        $sketch->around([$x, $y, $pencilX, $pencilY, $hingeX, $hingeY]);
        $sketch->line([$x, $y, $hingeX, $hingeY], 'stone', 10);
        $sketch->line([$pencilX, $pencilY, $hingeX, $hingeY], 'wood', 10);
        $sketch->circle($hingeX, $hingeY, 20, 'paper', 'lake');
        $sketch->circle($x, $y, 6, 'slate');
        $sketch->circle($pencilX, $pencilY, 9, 'ochre');
        [$typedX, $typedY] = Laid::at($state, $radius / 2, -$high / 2);
        $sketch->words($typedX, $typedY, self::millimetres($state).' mm', 22);
        $sketch->drag('needle', 0, Said::of('Needle'), $x - 30, $y - 30, 60, 60, 10);
        $sketch->drag('hinge', 0, Said::of('Open or close it'), $hingeX - 32, $hingeY - 32, 64, 64, 6);
        $sketch->drag('pencil', 0, Said::of('Turn the pencil'), $pencilX - 24, $pencilY - 24, 48, 48, 12);
        $label = Said::of('Opening, in millimetres');
        $sketch->type('radius', 0, $label, $typedX - 50, $typedY - 20, 100, 40, self::millimetres($state));
    }

    public static function guides(Values $set, Values $state): array
    {
        [$x, $y] = Laid::at($state, 0, 0);

        return [[$x, $y, $state->int('radius') + 0.0]];
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Compasses open :n mm', ['n' => self::millimetres($state)]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return ['opening' => (string) self::millimetres($state)];
    }

    public static function factWords(): array
    {
        return ['opening' => 'The opening, in millimetres'];
    }
}
