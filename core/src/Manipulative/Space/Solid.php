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
use Crag\Manipulative\Values;

/**
 * A solid that is turned by dragging it; edges behind it are dashed. Two points on it are joined and measured, through
 * three goes a plane: the cut is drawn and measured. Points are corners and the middles of edges.
 */
final class Solid implements Kind
{
    private const SIZE = 460;

    private const WORDS = ['Cuboid', 'Prism', 'Pyramid', 'Cylinder', 'Cone'];

    public static function settings(): array
    {
        return [
            Setting::choice('shape', 'Solid', ['Cuboid', 'Prism', 'Pyramid', 'Cylinder', 'Cone']),
            Setting::whole('sides', 'Sides of the base (prism, pyramid)', 4, 3, 8),
            Setting::whole('wide', 'Width, in centimetres', 6, 1, 20),
            Setting::whole('deep', 'Depth (cuboid), in centimetres', 4, 1, 20),
            Setting::whole('high', 'Height, in centimetres', 5, 1, 20),
        ];
    }

    public static function fields(): array
    {
        return [
            Field::whole('turn', 0, 359),
            Field::whole('tilt', -90, 90),
            Field::list('points', 3, 0, 60),
        ];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['turn' => 325, 'tilt' => 20, 'points' => []]);
    }

    private static function isRound(Values $set): bool
    {
        return $set->int('shape') === Solids::CYLINDER || $set->int('shape') === Solids::CONE;
    }

    /** @return list<list<float>> */
    private static function corners(Values $set): array
    {
        return Solids::corners(
            $set->int('shape'),
            $set->int('sides'),
            $set->int('wide'),
            $set->int('deep'),
            $set->int('high'),
        );
    }

    /** @return list<list<int>> */
    private static function edges(Values $set): array
    {
        return Solids::edges(Solids::faces($set->int('shape'), $set->int('sides')));
    }

    /** @return list<list<float>> where points can be set: the corners, then the middles of the edges */
    private static function places(Values $set): array
    {
        if (self::isRound($set)) {
            return [];
        }
        $places = self::corners($set);
        foreach (self::edges($set) as $edge) {
            $places[] = Solids::middle([$places[$edge[0]], $places[$edge[1]]]);
        }

        return $places;
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        if ($act->part === 'turn' && $act->x !== null && $act->y !== null) {
            return Solids::turned($state, $act->x - intdiv(self::SIZE, 2), $act->y - intdiv(self::SIZE, 2));
        }
        if ($act->part === 'clear') {
            return $state->with('points', []);
        }
        $points = $state->list('points');
        if ($act->part !== 'point' || $act->n < 0 || $act->n >= count(self::places($set))) {
            return $state;
        }
        if (in_array($act->n, $points, true)) {
            $rest = [];
            foreach ($points as $point) {
                if ($point !== $act->n) {
                    $rest[] = $point;
                }
            }

            return $state->with('points', $rest);
        }

        return count($points) < 3 ? $state->with('points', [...$points, $act->n]) : $state;
    }

    /** @return list<list<float>> the points that are set */
    private static function chosen(Values $set, Values $state): array
    {
        $places = self::places($set);
        $chosen = [];
        foreach ($state->list('points') as $point) {
            if ($point < count($places)) {
                $chosen[] = $places[$point];
            }
        }

        return $chosen;
    }

    /** @return list<list<float>> the corners of the cut through three points */
    private static function cut(Values $set, Values $state): array
    {
        $points = self::chosen($set, $state);
        if (count($points) < 3) {
            return [];
        }
        $normal = Solids::cross(Solids::minus($points[1], $points[0]), Solids::minus($points[2], $points[0]));

        return Solids::dot($normal, $normal) < 1e-9
            ? []
            : Solids::section(self::corners($set), self::edges($set), $normal, $points[0]);
    }

    /** Units for a centimetre, so that it fits however it is turned. */
    private static function scale(Values $set): float
    {
        $deep = $set->int('shape') === Solids::CUBOID ? $set->int('deep') : $set->int('wide');
        $longest = sqrt($set->int('wide') ** 2 + $deep ** 2 + $set->int('high') ** 2);

        return (self::SIZE - 60) / $longest;
    }

    /**
     * @param  list<float>  $point
     * @return list<float>
     */
    private static function on(Values $set, Values $state, array $point): array
    {
        [$x, $y] = Solids::seen($point, $state->int('turn'), $state->int('tilt'));
        $scale = self::scale($set);

        return [self::SIZE / 2 + $x * $scale, self::SIZE / 2 + $y * $scale];
    }

    /** @return list<bool> whether each face is turned to the eye */
    private static function front(Values $set, Values $state): array
    {
        $corners = self::corners($set);
        $front = [];
        foreach (Solids::faces($set->int('shape'), $set->int('sides')) as $face) {
            $middle = Solids::middle(array_map(static fn (int $i): array => $corners[$i], $face));
            $normal = Solids::cross(
                Solids::minus($corners[$face[1]], $corners[$face[0]]),
                Solids::minus($corners[$face[2]], $corners[$face[0]]),
            );
            $out = Solids::dot($normal, $middle) < 0 ? -1 : 1;
            $seen = Solids::seen($normal, $state->int('turn'), $state->int('tilt'));
            $front[] = $out * $seen[2] > 1e-9;
        }

        return $front;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $sketch->size(self::SIZE, self::SIZE);
        $sketch->drag('turn', 0, Said::of('Turn it'), 0, 0, self::SIZE, self::SIZE, 20);
        $corners = array_map(static fn (array $one): array => self::on($set, $state, $one), self::corners($set));
        $front = self::front($set, $state);
        foreach (Solids::faces($set->int('shape'), $set->int('sides')) as $f => $face) {
            if ($front[$f]) {
                $points = [];
                foreach ($face as $corner) {
                    $points = [...$points, ...$corners[$corner]];
                }
                $sketch->polygon($points, 'glass', '');
            }
        }
        $cut = self::cut($set, $state);
        if (count($cut) > 2) {
            $points = [];
            foreach ($cut as $one) {
                $points = [...$points, ...self::on($set, $state, $one)];
            }
            $sketch->polygon($points, 'sand', 'ochre');
        }
        foreach (self::edges($set) as [$a, $b, $f, $g]) {
            // Between the strips of something round there is an edge only where it turns away.
            $isStrip = self::isRound($set) && $f > 0 && $g <= Solids::ROUND;
            if (! $isStrip || $front[$f] !== $front[$g]) {
                $isSeen = $front[$f] || $front[$g];
                $line = [...$corners[$a], ...$corners[$b]];
                $sketch->line($line, $isSeen ? 'slate' : 'stone', $isSeen ? 3 : 2, ! $isSeen);
            }
        }
        self::drawPoints($set, $state, $sketch);
        $sketch->button('clear', 0, Said::of('Clear the points'), 0, self::SIZE + 12, 190);
    }

    private static function drawPoints(Values $set, Values $state, Sketch $sketch): void
    {
        $points = array_map(
            static fn (array $one): array => self::on($set, $state, $one),
            self::chosen($set, $state),
        );
        if (count($points) === 2) {
            $sketch->line([...$points[0], ...$points[1]], 'rust', 4);
        }
        foreach (self::places($set) as $n => $place) {
            [$x, $y] = self::on($set, $state, $place);
            $isChosen = in_array($n, $state->list('points'), true);
            $sketch->circle($x, $y, $isChosen ? 9 : 4, $isChosen ? 'rust' : 'stone', '');
            $label = $isChosen ? Said::of('Point :n, set', ['n' => $n + 1]) : Said::of('Point :n', ['n' => $n + 1]);
            $sketch->press('point', $n, $label, $x - 18, $y - 18, 36, 36);
        }
    }

    private static function volume(Values $set): float
    {
        $shape = $set->int('shape');
        $radius = $set->int('wide') / 2;
        $sides = $set->int('sides');
        $isRound = self::isRound($set);
        $polygon = $sides / 2 * $radius ** 2 * sin(2 * M_PI / $sides);
        $base = $shape === Solids::CUBOID
            ? $set->int('wide') * $set->int('deep')
            : ($isRound ? M_PI * $radius ** 2 : $polygon);

        return $base * $set->int('high') / (Solids::isPointed($shape) ? 3 : 1);
    }

    private static function length(Values $set, Values $state): float
    {
        $points = self::chosen($set, $state);
        if (count($points) !== 2) {
            return 0.0;
        }
        $way = Solids::minus($points[1], $points[0]);

        return sqrt(Solids::dot($way, $way));
    }

    public static function says(Values $set, Values $state): Said
    {
        $cut = self::cut($set, $state);
        if (count($cut) > 2) {
            return Said::of('Cut with :n corners, area :area cm²', [
                'n' => count($cut), 'area' => Solids::written(Solids::area($cut)),
            ]);
        }
        $length = self::length($set, $state);

        return $length > 0
            ? Said::of('Length :n cm', ['n' => Solids::written($length)])
            : Said::of(':what, turned :turn°, tilted :tilt°', [
                'what' => self::WORDS[$set->int('shape')] ?? '',
                'turn' => $state->int('turn'),
                'tilt' => $state->int('tilt'),
            ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $cut = self::cut($set, $state);

        return [
            'cut' => (string) count($cut),
            'area' => Solids::written(Solids::area($cut)),
            'length' => Solids::written(self::length($set, $state)),
            'volume' => Solids::written(self::volume($set)),
        ];
    }

    public static function factWords(): array
    {
        return [
            'cut' => 'How many corners the cut has',
            'area' => 'The area of the cut, in square centimetres',
            'length' => 'The length between two points, in centimetres',
            'volume' => 'The volume, in cubic centimetres',
        ];
    }
}
