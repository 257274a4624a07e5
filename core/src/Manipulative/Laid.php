<?php

declare(strict_types=1);

namespace Crag\Manipulative;

/** An instrument as it lies on the page: its corner at x, y, its long side turned by so many tenths of a degree. */
final class Laid
{
    public const CENTIMETRE = 58.9;

    private const FULL = 3600;

    /** How far from an edge a pen is guided, and a hand does not move the instrument, in units. */
    private const EDGE = 16;

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::whole('x', -4000, 4000),
            Field::whole('y', -4000, 4000),
            Field::whole('turn', 0, self::FULL - 1),
        ];
    }

    /** @return array<string, string> */
    public static function facts(Values $state): array
    {
        return ['turn' => (string) self::degrees($state)];
    }

    /** @return array<string, string> */
    public static function factWords(): array
    {
        return ['turn' => 'How far it is turned, in degrees'];
    }

    public static function start(): Values
    {
        return Values::of(['x' => 0, 'y' => 0, 'turn' => 0]);
    }

    /** @return list<float> a place so far along its long side and so far beside it */
    public static function at(Values $state, float $along, float $aside): array
    {
        $angle = $state->int('turn') * M_PI / 1800;

        return [
            $state->int('x') + $along * cos($angle) - $aside * sin($angle),
            $state->int('y') + $along * sin($angle) + $aside * cos($angle),
        ];
    }

    /**
     * @param  list<int|float>  $points  along, aside, along, aside …
     * @return list<float> x, y, x, y …
     */
    public static function all(Values $state, array $points): array
    {
        $all = [];
        for ($i = 0; $i + 1 < count($points); $i += 2) {
            $all = [...$all, ...self::at($state, $points[$i], $points[$i + 1])];
        }

        return $all;
    }

    /**
     * Its outline, where a hand moves it, and where a hand turns it.
     *
     * @param  list<int|float>  $outline  along, aside …
     * @param  list<int|float>  $body  the part of it that lies in from the edges
     */
    public static function draw(
        Sketch $sketch,
        Values $state,
        array $outline,
        array $body,
        float $gripAlong,
        float $gripAside,
    ): void {
        $points = self::all($state, $outline);
        $sketch->around($points);
        $sketch->polygon($points, 'glass', 'stone');
        [$x, $y] = self::at($state, $gripAlong, $gripAside);
        $sketch->circle($x, $y, 13, 'paper', 'lake');
        $sketch->dragOn('body', 0, Said::of('Move it'), self::all($state, $body), 20);
        $turn = Said::of('Turn it: now at :n°', ['n' => self::degrees($state)]);
        $sketch->drag('grip', 0, $turn, $x - 30, $y - 30, 60, 60, 16);
    }

    /** Counted as one counts angles: against the clock. */
    public static function degrees(Values $state): int
    {
        return (int) floor((self::FULL - $state->int('turn')) % self::FULL / 10 + 0.5) % 360;
    }

    /** @param  list<int|float>  $body  as it was drawn */
    public static function after(Values $state, Act $act, array $body, float $gripAlong, float $gripAside): Values
    {
        if ($act->x === null || $act->y === null) {
            return $state;
        }
        if ($act->part === 'body') {
            [$x, $y] = self::middle(self::all($state, $body));

            return $state
                ->with('x', Tokens::within($state->int('x') + (int) floor($act->x - $x + 0.5), -4000, 4000))
                ->with('y', Tokens::within($state->int('y') + (int) floor($act->y - $y + 0.5), -4000, 4000));
        }
        if ($act->part === 'grip') {
            $grip = atan2($gripAside, $gripAlong);
            $angle = atan2($act->y - $state->int('y'), $act->x - $state->int('x')) - $grip;
            // To a whole degree.
            $turn = (int) floor($angle * 180 / M_PI + 0.5) * 10;

            return $state->with('turn', ($turn % self::FULL + self::FULL) % self::FULL);
        }

        return $state;
    }

    /**
     * The middle of the box around points.
     *
     * @param  list<float>  $points
     * @return list<float>
     */
    private static function middle(array $points): array
    {
        [$left, $top, $right, $bottom] = [$points[0], $points[1], $points[0], $points[1]];
        for ($i = 2; $i + 1 < count($points); $i += 2) {
            $left = min($left, $points[$i]);
            $right = max($right, $points[$i]);
            $top = min($top, $points[$i + 1]);
            $bottom = max($bottom, $points[$i + 1]);
        }

        return [($left + $right) / 2, ($top + $bottom) / 2];
    }

    /** @return list<float> a rectangle, in from its edges */
    public static function inside(float $along, float $aside, float $wide, float $high): array
    {
        $edge = self::EDGE;

        return [
            $along + $edge, $aside + $edge, $along + $wide - $edge, $aside + $edge,
            $along + $wide - $edge, $aside + $high - $edge, $along + $edge, $aside + $high - $edge,
        ];
    }
}
