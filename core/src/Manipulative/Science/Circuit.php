<?php

declare(strict_types=1);

namespace Crag\Manipulative\Science;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;

/**
 * A loop of places for cells, lamps, switches and wires, with two branches side by side if wished. A cell drives 1,
 * a lamp resists 1: a lamp is as bright as the current through it (Ohm and Kirchhoff).
 */
final class Circuit implements Kind
{
    /** Which part lies in a place. */
    private const WIRE = 0;

    private const CELL = 1;

    private const LAMP = 2;

    private const OPEN = 3;

    private const SHUT = 4;

    private const GAP = 5;

    /** Places in the main loop; behind them two in each branch. */
    private const MAIN = 4;

    private const PLACES = [
        [140, 330], [300, 330], [60, 245], [380, 245], [140, 60], [300, 60], [140, 160], [300, 160],
    ];

    private const WORDS = ['wire', 'cell', 'lamp', 'open switch', 'shut switch', 'gap'];

    public static function settings(): array
    {
        return [Setting::choice('branches', 'Branches side by side', ['No', 'Two'])];
    }

    public static function fields(): array
    {
        return [Field::list('parts', 8, 0, 5)];
    }

    public static function start(Values $set): Values
    {
        $main = [self::CELL, self::WIRE, self::WIRE, self::OPEN];

        return Values::of(['parts' => [...$main, self::LAMP, self::WIRE, self::WIRE, self::WIRE]]);
    }

    /** Pressed, a place takes the next part; a switch is pressed to and fro by its own button. */
    public static function after(Values $set, Values $state, Act $act): Values
    {
        $parts = $state->list('parts');
        if ($act->n < 0 || $act->n >= self::count($set) || count($parts) !== 8) {
            return $state;
        }
        $part = $parts[$act->n];
        if ($act->part === 'place') {
            $next = $part === self::OPEN ? self::GAP : ($part + 1) % 6;
            // A branch has no cell of its own.
            $isBranch = $act->n >= self::MAIN && $set->int('branches') === 1;
            $parts[$act->n] = $next === self::CELL && $isBranch ? self::LAMP : $next;
        } elseif ($act->part === 'switch' && ($part === self::OPEN || $part === self::SHUT)) {
            $parts[$act->n] = $part === self::OPEN ? self::SHUT : self::OPEN;
        }

        return $state->with('parts', $parts);
    }

    private static function count(Values $set): int
    {
        return $set->int('branches') === 1 ? 8 : 6;
    }

    /**
     * Of a stretch of places: cells, lamps, and 1 where it is broken.
     *
     * @param  list<int>  $parts
     * @return array{int, int, int}
     */
    private static function stretch(array $parts, int $from, int $to): array
    {
        [$cells, $lamps, $broken] = [0, 0, 0];
        for ($i = $from; $i < $to; $i++) {
            $cells += $parts[$i] === self::CELL ? 1 : 0;
            $lamps += $parts[$i] === self::LAMP ? 1 : 0;
            $broken = $parts[$i] === self::OPEN || $parts[$i] === self::GAP ? 1 : $broken;
        }

        return [$cells, $lamps, $broken];
    }

    /**
     * The current in the main loop, in the first branch and in the second, in 60ths; −1 is a short circuit.
     *
     * @return array{int, int, int}
     */
    private static function currents(Values $set, Values $state): array
    {
        $parts = $state->list('parts');
        if (count($parts) !== 8) {
            return [0, 0, 0];
        }
        if ($set->int('branches') === 0) {
            [$cells, $lamps, $broken] = self::stretch($parts, 0, 6);
            $current = $broken === 1 || $cells === 0 ? 0 : ($lamps === 0 ? -1 : intdiv(60 * $cells, $lamps));

            return [$current, $current, 0];
        }
        [$cells, $lamps, $broken] = self::stretch($parts, 0, self::MAIN);
        [, $first, $firstBroken] = self::stretch($parts, 4, 6);
        [, $second, $secondBroken] = self::stretch($parts, 6, 8);
        if ($cells === 0 || $broken === 1 || $firstBroken + $secondBroken === 2) {
            return [0, 0, 0];
        }
        // Conductances of the branches, where neither is without a lamp.
        $isShort = ($first === 0 && $firstBroken === 0) || ($second === 0 && $secondBroken === 0);
        if ($isShort) {
            $current = $lamps === 0 ? -1 : intdiv(60 * $cells, $lamps);
            $isFirst = $first === 0 && $firstBroken === 0;

            return [$current, $isFirst ? $current : 0, $isFirst ? 0 : $current];
        }
        $a = $firstBroken === 1 ? 0.0 : 1 / $first;
        $b = $secondBroken === 1 ? 0.0 : 1 / $second;
        $current = 60 * $cells / ($lamps + 1 / ($a + $b));

        return [
            (int) floor($current + 0.5),
            (int) floor($current * $a / ($a + $b) + 0.5),
            (int) floor($current * $b / ($a + $b) + 0.5),
        ];
    }

    private static function currentAt(Values $set, Values $state, int $n): int
    {
        return self::currents($set, $state)[$n < self::MAIN ? 0 : ($n < 6 ? 1 : 2)];
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $sketch->size(440, 390);
        $sketch->line([60, 60, 380, 60, 380, 330, 60, 330, 60, 60], 'slate', 3);
        if ($set->int('branches') === 1) {
            $sketch->line([60, 160, 380, 160], 'slate', 3);
        }
        $parts = $state->list('parts');
        for ($n = 0; $n < min(count($parts), self::count($set)); $n++) {
            [$x, $y] = self::PLACES[$n];
            $part = $parts[$n];
            $isUpright = $n === 2 || $n === 3;
            self::part($sketch, $part, $x, $y, $isUpright, self::currentAt($set, $state, $n));
            $label = Said::of('Place :n: :part', ['n' => $n + 1, 'part' => self::WORDS[$part] ?? '']);
            $sketch->press('place', $n, $label, $x - 40, $y - 40, 80, 80);
            if ($part === self::OPEN || $part === self::SHUT) {
                $does = $part === self::OPEN ? Said::of('Shut the switch') : Said::of('Open the switch');
                // Within the loop: beside it a small screen ends.
                $left = $isUpright ? ($x > 200 ? $x - 210 : $x + 45) : $x - 80;
                $top = $isUpright ? $y - 26 : ($y > 300 ? $y - 92 : $y + 40);
                $sketch->button('switch', $n, $does, $left, $top, 165, 52);
            }
        }
    }

    private static function part(Sketch $sketch, int $part, int $x, int $y, bool $isUpright, int $current): void
    {
        if ($part === self::WIRE) {
            $sketch->circle($x, $y, 6, 'slate');

            return;
        }
        $sketch->rect($x - 30, $y - 30, 60, 60, 'paper', '');
        if ($part === self::LAMP) {
            if ($current >= 60) {
                $sketch->circle($x, $y, 38, 'sand', '');
            }
            $sketch->circle($x, $y, 28, $current <= 0 ? 'paper' : ($current < 60 ? 'sand' : 'ochre'));
            $sketch->line([$x - 19, $y - 19, $x + 19, $y + 19], 'slate', 2);
            $sketch->line([$x - 19, $y + 19, $x + 19, $y - 19], 'slate', 2);
        } elseif ($part === self::CELL) {
            $sketch->line(self::ends($x, $y, $isUpright, -30, 0, -8, 0), 'slate', 3);
            $sketch->line(self::ends($x, $y, $isUpright, 8, 0, 30, 0), 'slate', 3);
            $sketch->line(self::ends($x, $y, $isUpright, -8, -28, -8, 28), 'slate', 3);
            $sketch->line(self::ends($x, $y, $isUpright, 8, -14, 8, 14), 'slate', 7);
        } elseif ($part === self::GAP) {
            $sketch->line(self::ends($x, $y, $isUpright, -26, -14, -26, 14), 'stone', 2);
            $sketch->line(self::ends($x, $y, $isUpright, 26, -14, 26, 14), 'stone', 2);
        } else {
            $arm = self::ends($x, $y, $isUpright, -28, 0, 28, $part === self::OPEN ? -26 : 0);
            $sketch->line($arm, 'slate', 4);
            $knobs = self::ends($x, $y, $isUpright, -28, 0, 28, 0);
            $sketch->circle($knobs[0], $knobs[1], 5, 'slate');
            $sketch->circle($knobs[2], $knobs[3], 5, 'slate');
        }
    }

    /** @return list<int> two places: so far along the wire and so far beside it, from the middle of a part */
    private static function ends(int $x, int $y, bool $isUpright, int $a, int $b, int $c, int $d): array
    {
        return $isUpright ? [$x + $b, $y + $a, $x + $d, $y + $c] : [$x + $a, $y + $b, $x + $c, $y + $d];
    }

    /** How many lamps there are, and how many of them light up. */
    private static function lamps(Values $set, Values $state, bool $onlyLit): int
    {
        $count = 0;
        for ($n = 0; $n < min(count($state->list('parts')), self::count($set)); $n++) {
            $isLamp = $state->list('parts')[$n] === self::LAMP;
            $count += $isLamp && (! $onlyLit || self::currentAt($set, $state, $n) > 0) ? 1 : 0;
        }

        return $count;
    }

    public static function says(Values $set, Values $state): Said
    {
        if (self::currents($set, $state)[0] < 0) {
            return Said::of('Short circuit');
        }

        return Said::of('Lamps lit: :lit of :all', [
            'lit' => self::lamps($set, $state, true),
            'all' => self::lamps($set, $state, false),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $current = self::currents($set, $state)[0];

        return [
            'lit' => (string) self::lamps($set, $state, true),
            'lamps' => (string) self::lamps($set, $state, false),
            'state' => $current < 0 ? 'short' : ($current > 0 ? 'closed' : 'open'),
        ];
    }

    public static function factWords(): array
    {
        return [
            'lit' => 'How many lamps are lit',
            'lamps' => 'How many lamps there are',
            'state' => 'The circuit (closed, open or short)',
        ];
    }
}
