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
use Crag\Manipulative\Written;

/**
 * A cube of coordinates with points in it; two are joined by a line, through three goes a plane. A point is moved by
 * typing its coordinates.
 */
final class CoordinateCube implements Kind
{
    private const SIZE = 500;

    private const NAMES = ['A', 'B', 'C'];

    public static function settings(): array
    {
        return [
            Setting::whole('size', 'The axes go up to', 5, 2, 10),
            Setting::choice('points', 'Points', ['One', 'Two and a line', 'Three and a plane'], 2),
        ];
    }

    public static function fields(): array
    {
        return [
            Field::whole('turn', 0, 359),
            Field::whole('tilt', -90, 90),
            Field::list('points', 3, -10, 10, 3),
        ];
    }

    public static function start(Values $set): Values
    {
        $points = [3, 0, 0, 0, 3, 0, 0, 0, 3];

        return Values::of([
            'turn' => 320,
            'tilt' => 22,
            'points' => array_slice($points, 0, 3 * ($set->int('points') + 1)),
        ]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $points = $state->list('points');
        if ($act->part === 'turn' && $act->x !== null && $act->y !== null) {
            return Solids::turned($state, $act->x - intdiv(self::SIZE, 2), $act->y - intdiv(self::SIZE, 2));
        }
        if ($act->part === 'place' && $act->to !== null && $act->n >= 0 && $act->n < count($points)) {
            $points[$act->n] = Tokens::within($act->to, 0, $set->int('size'));

            return $state->with('points', $points);
        }

        return $state;
    }

    /**
     * Where coordinates are in space: the third one goes up.
     *
     * @param  list<int|float>  $at
     * @return list<float>
     */
    private static function inSpace(Values $set, array $at): array
    {
        $half = $set->int('size') / 2;

        return [$at[0] - $half, $at[2] - $half, $half - $at[1]];
    }

    /**
     * @param  list<int|float>  $at  coordinates
     * @return list<float>
     */
    private static function on(Values $set, Values $state, array $at): array
    {
        [$x, $y] = Solids::seen(self::inSpace($set, $at), $state->int('turn'), $state->int('tilt'));
        $scale = (self::SIZE - 110) / $set->int('size') / 1.75;

        return [self::SIZE / 2 + $x * $scale, self::SIZE / 2 + $y * $scale];
    }

    /** @return list<list<int>> */
    private static function points(Values $state): array
    {
        $list = $state->list('points');
        $points = [];
        for ($i = 0; $i + 2 < count($list); $i += 3) {
            $points[] = [$list[$i], $list[$i + 1], $list[$i + 2]];
        }

        return $points;
    }

    /** @return list<int> a, b, c and d of the plane a·x + b·y + c·z = d in lowest terms; empty where there is none */
    private static function plane(Values $state): array
    {
        $points = self::points($state);
        if (count($points) < 3) {
            return [];
        }
        [$p, $q, $r] = $points;
        $u = [$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]];
        $v = [$r[0] - $p[0], $r[1] - $p[1], $r[2] - $p[2]];
        $a = $u[1] * $v[2] - $u[2] * $v[1];
        $b = $u[2] * $v[0] - $u[0] * $v[2];
        $c = $u[0] * $v[1] - $u[1] * $v[0];
        if ($a === 0 && $b === 0 && $c === 0) {
            return [];
        }
        $d = $a * $p[0] + $b * $p[1] + $c * $p[2];
        $common = Written::gcd(Written::gcd(abs($a), abs($b)), Written::gcd(abs($c), abs($d)));
        $leads = $a !== 0 ? $a : ($b !== 0 ? $b : $c);
        $sign = $leads < 0 ? -$common : $common;

        return [intdiv($a, $sign), intdiv($b, $sign), intdiv($c, $sign), intdiv($d, $sign)];
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $size = $set->int('size');
        $points = self::points($state);
        $sketch->size(self::SIZE, self::SIZE);
        $sketch->drag('turn', 0, Said::of('Turn it'), 0, 0, self::SIZE, self::SIZE, 20);
        foreach ([[0, 0], [$size, 0], [0, $size], [$size, $size]] as [$a, $b]) {
            self::line($set, $state, $sketch, [0, $a, $b], [$size, $a, $b]);
            self::line($set, $state, $sketch, [$a, 0, $b], [$a, $size, $b]);
            self::line($set, $state, $sketch, [$a, $b, 0], [$a, $b, $size]);
        }
        self::drawPlane($set, $state, $sketch);
        foreach ([[1, 0, 0], [0, 1, 0], [0, 0, 1]] as $axis => $way) {
            $end = [$way[0] * $size, $way[1] * $size, $way[2] * $size];
            $sketch->line([...self::on($set, $state, [0, 0, 0]), ...self::on($set, $state, $end)], 'slate', 3);
            for ($i = 1; $i <= $size; $i++) {
                [$x, $y] = self::on($set, $state, [$way[0] * $i, $way[1] * $i, $way[2] * $i]);
                $sketch->circle($x, $y, 3, 'slate', '');
                if ($i === $size) {
                    $sketch->words($x + 14, $y - 14, ['x', 'y', 'z'][$axis], 24);
                }
            }
        }
        if (count($points) === 2) {
            $line = [...self::on($set, $state, $points[0]), ...self::on($set, $state, $points[1])];
            $sketch->line($line, 'rust', 4);
        }
        foreach ($points as $n => $point) {
            [$x, $y] = self::on($set, $state, $point);
            [$downX, $downY] = self::on($set, $state, [$point[0], $point[1], 0]);
            $sketch->line([$x, $y, $downX, $downY], 'stone', 1, true);
            $sketch->circle($x, $y, 8, 'rust');
            $sketch->words($x + 18, $y - 16, self::NAMES[$n], 26);
            $top = self::SIZE + 12;
            $sketch->words($n * 175 + 14, $top + 24, self::NAMES[$n], 26);
            foreach ($point as $i => $value) {
                $left = $n * 175 + 34 + $i * 44;
                $sketch->rect($left, $top, 42, 46, 'paper', 'stone', 4);
                $sketch->words($left + 21, $top + 24, (string) $value, 24);
                $label = Said::of(':axis of :point', ['axis' => ['x', 'y', 'z'][$i], 'point' => self::NAMES[$n]]);
                $sketch->type('place', 3 * $n + $i, $label, $left, $top, 42, 46, $value);
            }
        }
        $sketch->size(self::SIZE, self::SIZE + 62);
    }

    /**
     * An edge of the cube.
     *
     * @param  list<int>  $from
     * @param  list<int>  $to
     */
    private static function line(Values $set, Values $state, Sketch $sketch, array $from, array $to): void
    {
        $sketch->line([...self::on($set, $state, $from), ...self::on($set, $state, $to)], 'pale', 2);
    }

    private static function drawPlane(Values $set, Values $state, Sketch $sketch): void
    {
        $plane = self::plane($state);
        if ($plane === []) {
            return;
        }
        $size = $set->int('size');
        $corners = [];
        foreach ([0, $size] as $z) {
            foreach ([[0, 0], [$size, 0], [$size, $size], [0, $size]] as [$x, $y]) {
                $corners[] = [$x + 0.0, $y + 0.0, $z + 0.0];
            }
        }
        $cut = Solids::section(
            $corners,
            Solids::edges(Solids::faces(Solids::CUBOID, 4)),
            [$plane[0] + 0.0, $plane[1] + 0.0, $plane[2] + 0.0],
            array_map(static fn (int $one): float => $one + 0.0, self::points($state)[0]),
        );
        $points = [];
        foreach ($cut as $one) {
            $points = [...$points, ...self::on($set, $state, $one)];
        }
        if (count($cut) > 2) {
            $sketch->polygon($points, 'glass', 'lake');
        }
    }

    private static function equation(Values $state): string
    {
        $plane = self::plane($state);
        $words = '';
        foreach (['x', 'y', 'z'] as $i => $letter) {
            $count = $plane[$i] ?? 0;
            if ($count !== 0) {
                $sign = $count < 0 ? ($words === '' ? '−' : ' − ') : ($words === '' ? '' : ' + ');
                $words = $words.$sign.(abs($count) === 1 ? '' : (string) abs($count)).$letter;
            }
        }

        return $words === '' ? '' : $words.' = '.Written::whole($plane[3]);
    }

    /** The distance between the first two points. */
    private static function length(Values $state): float
    {
        $points = self::points($state);
        if (count($points) < 2) {
            return 0.0;
        }
        $sum = 0;
        foreach ([0, 1, 2] as $i) {
            $sum += ($points[1][$i] - $points[0][$i]) ** 2;
        }

        return sqrt($sum);
    }

    public static function says(Values $set, Values $state): Said
    {
        $equation = self::equation($state);
        if ($equation !== '') {
            return Said::of('Plane :equation', ['equation' => $equation]);
        }
        $points = array_map(
            static fn (array $one): string => '('.implode(', ', $one).')',
            self::points($state),
        );

        return Said::of('Points :points', ['points' => implode(' ', $points)]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'plane' => self::equation($state),
            'length' => Solids::written(self::length($state)),
        ];
    }

    public static function factWords(): array
    {
        return ['plane' => 'The plane, as x + 2y − z = 4', 'length' => 'The distance of A and B'];
    }
}
