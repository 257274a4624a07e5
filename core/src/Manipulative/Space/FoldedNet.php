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
use Crag\Manipulative\Turn;
use Crag\Manipulative\Values;

/**
 * The net of a cuboid, a prism or a pyramid, that folds up: the base stays, the sides turn about its edges, the top
 * about an edge of the first side.
 */
final class FoldedNet implements Kind
{
    private const SIZE = 520;

    private const FILLS = ['sand', 'sky', 'moss', 'clay', 'sky', 'moss', 'clay', 'sky', 'moss', 'sand'];

    public static function settings(): array
    {
        return [
            Setting::choice('shape', 'Solid', ['Cuboid', 'Prism', 'Pyramid']),
            Setting::whole('sides', 'Sides of the base (prism, pyramid)', 4, 3, 8),
            Setting::whole('wide', 'Width, in centimetres', 4, 1, 12),
            Setting::whole('deep', 'Depth (cuboid), in centimetres', 3, 1, 12),
            Setting::whole('high', 'Height, in centimetres', 5, 1, 12),
        ];
    }

    public static function fields(): array
    {
        return [
            Field::whole('turn', 0, 359),
            Field::whole('tilt', -90, 90),
            Field::whole('folded', 0, 100),
        ];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['turn' => 340, 'tilt' => 50, 'folded' => 0]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        if ($act->part === 'turn' && $act->x !== null && $act->y !== null) {
            return Solids::turned($state, $act->x - intdiv(self::SIZE, 2), $act->y - intdiv(self::SIZE, 2));
        }
        if ($act->part === 'fold') {
            return $state->with('folded', Tokens::within($state->int('folded') + $act->n, 0, 100));
        }

        return $state;
    }

    /**
     * A point turned about an axis (Rodrigues): the axis has length 1 and goes through a point.
     *
     * @param  list<float>  $point
     * @param  list<float>  $on
     * @param  list<float>  $axis
     * @return list<float>
     */
    private static function about(array $point, array $on, array $axis, float $angle): array
    {
        $v = Solids::minus($point, $on);
        $cross = Solids::cross($axis, $v);
        $dot = Solids::dot($axis, $v);
        [$cos, $sin] = [cos($angle), sin($angle)];

        return [
            $on[0] + $v[0] * $cos + $cross[0] * $sin + $axis[0] * $dot * (1 - $cos),
            $on[1] + $v[1] * $cos + $cross[1] * $sin + $axis[1] * $dot * (1 - $cos),
            $on[2] + $v[2] * $cos + $cross[2] * $sin + $axis[2] * $dot * (1 - $cos),
        ];
    }

    /** @return list<list<list<float>>> the faces as they stand now */
    private static function faces(Values $set, Values $state): array
    {
        $shape = $set->int('shape');
        $corners = Solids::corners($shape, $set->int('sides'), $set->int('wide'), $set->int('deep'), $set->int('high'));
        $isPointed = Solids::isPointed($shape);
        $faces = [];
        $open = (100 - $state->int('folded')) / 100;
        foreach (Solids::faces($shape, $set->int('sides')) as $f => $face) {
            $points = array_map(static fn (int $i): array => $corners[$i], $face);
            $isTop = ! $isPointed && $f === Solids::sides($shape, $set->int('sides')) + 1;
            if ($isTop) {
                // Its edge on the first side is the hinge: opened about it, then with that side.
                $points = self::opened($points, $points[0], $points[1], $open * M_PI / 2);
                $points = self::opened($points, $corners[0], $corners[1], $open * M_PI / 2);
            } elseif ($f > 0) {
                $up = self::slope($points, $isPointed);
                $points = self::opened($points, $points[0], $points[1], $open * $up);
            }
            $faces[] = $points;
        }

        return $faces;
    }

    /**
     * How far a side of the solid has to be turned to lie flat outside.
     *
     * @param  list<list<float>>  $side
     */
    private static function slope(array $side, bool $isPointed): float
    {
        if (! $isPointed) {
            return M_PI / 2;
        }
        $foot = Solids::middle([$side[0], $side[1]]);
        $way = Solids::minus($side[2], $foot);

        return M_PI - atan2($way[1], sqrt($way[0] ** 2 + $way[2] ** 2));
    }

    /**
     * @param  list<list<float>>  $points
     * @param  list<float>  $from
     * @param  list<float>  $to
     * @return list<list<float>> turned outwards and down about a hinge
     */
    private static function opened(array $points, array $from, array $to, float $angle): array
    {
        $way = Solids::minus($to, $from);
        $length = max(1e-9, sqrt(Solids::dot($way, $way)));
        $axis = [$way[0] / $length, $way[1] / $length, $way[2] / $length];

        return array_map(static fn (array $one): array => self::about($one, $from, $axis, -$angle), $points);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $sketch->size(self::SIZE, self::SIZE);
        $sketch->drag('turn', 0, Said::of('Turn it'), 0, 0, self::SIZE, self::SIZE, 20);
        $wide = max($set->int('wide'), $set->int('shape') === Solids::CUBOID ? $set->int('deep') : 0);
        // As large as the net is when it lies flat.
        $scale = self::SIZE / (3 * $wide + 2 * $set->int('high') + 1);
        $faces = self::faces($set, $state);
        // To a thousandth: what is as far away stands in the order of the faces.
        $near = array_map(static fn (array $face): float => floor(Solids::seen(
            Solids::middle($face),
            $state->int('turn'),
            $state->int('tilt'),
        )[2] * 1000 + 0.5), $faces);
        // What is farther away is drawn first.
        $drawn = [];
        for ($step = 0; $step < count($faces); $step++) {
            $next = -1;
            foreach ($near as $f => $depth) {
                if (! in_array($f, $drawn, true) && ($next < 0 || $depth < $near[$next])) {
                    $next = $f;
                }
            }
            $drawn[] = $next;
            $points = [];
            foreach ($faces[$next] as $corner) {
                [$x, $y] = Solids::seen($corner, $state->int('turn'), $state->int('tilt'));
                $points = [...$points, self::SIZE / 2 + $x * $scale, self::SIZE / 2 + $y * $scale];
            }
            $sketch->polygon($points, self::FILLS[$next % 10]);
        }
        $steps = [[-10, Said::of('Unfold')], [10, Said::of('Fold')], [100, Said::of('Fold it up')]];
        foreach ($steps as $i => [$n, $label]) {
            $sketch->button('fold', $n, $label, $i * 130, self::SIZE + 12, 124);
        }
    }

    private static function surface(Values $set, Values $state): float
    {
        $sum = 0.0;
        foreach (self::faces($set, $state) as $face) {
            $sum += Solids::area($face);
        }

        return $sum;
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Net, folded :n %, surface :area cm²', [
            'n' => $state->int('folded'), 'area' => Solids::written(self::surface($set, $state)),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'folded' => (string) $state->int('folded'),
            'surface' => Solids::written(self::surface($set, $state)),
        ];
    }

    public static function factWords(): array
    {
        return ['folded' => 'How far it is folded, in per cent', 'surface' => 'The surface, in square centimetres'];
    }
}
