<?php

declare(strict_types=1);

namespace Crag\Manipulative\Measure;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** A band around pegs. Pressing a peg takes it in, or lets it go; a corner can be dragged to another peg. */
final class Geoboard implements Kind
{
    private const APART = 80;

    private const EDGE = 40;

    private const MOST = 24;

    public static function settings(): array
    {
        return [Setting::whole('pegs', 'Pegs on each side', 6, 3, 9)];
    }

    public static function fields(): array
    {
        return [Field::list('band', self::MOST, 0, 80)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['band' => []]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $band = $state->list('band');
        $pegs = $set->int('pegs');
        if ($act->part === 'back') {
            return $state->with('band', array_slice($band, 0, max(0, count($band) - 1)));
        }
        if ($act->part === 'clear') {
            return self::start($set);
        }
        if ($act->part === 'corner' && $act->n >= 0 && $act->n < count($band)) {
            if ($act->x === null || $act->y === null) {
                return $state->with('band', self::without($band, $band[$act->n]));
            }
            $column = Tokens::within((int) floor(($act->x - self::EDGE) / self::APART + 0.5), 0, $pegs - 1);
            $row = Tokens::within((int) floor(($act->y - self::EDGE) / self::APART + 0.5), 0, $pegs - 1);
            $peg = $row * $pegs + $column;
            if (! in_array($peg, $band, true)) {
                $band[$act->n] = $peg;
            }

            return $state->with('band', $band);
        }
        $isNew = $act->part === 'peg' && ! in_array($act->n, $band, true);
        if ($isNew && $act->n >= 0 && $act->n < $pegs * $pegs && count($band) < self::MOST) {
            return $state->with('band', [...$band, $act->n]);
        }

        return $state;
    }

    /**
     * @param  list<int>  $band
     * @return list<int>
     */
    private static function without(array $band, int $peg): array
    {
        $rest = [];
        foreach ($band as $one) {
            if ($one !== $peg) {
                $rest[] = $one;
            }
        }

        return $rest;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $band = $state->list('band');
        $pegs = $set->int('pegs');
        $side = ($pegs - 1) * self::APART + 2 * self::EDGE;
        $sketch->size($side, $side);
        $sketch->rect(0, 0, $side, $side, 'paper', 'wood', 12);
        $points = [];
        foreach ($band as $peg) {
            $points[] = self::EDGE + $peg % $pegs * self::APART;
            $points[] = self::EDGE + intdiv($peg, $pegs) * self::APART;
        }
        if (count($band) > 2) {
            $sketch->polygon($points, 'sky', 'lake');
        }
        if (count($band) > 1) {
            $sketch->line(count($band) > 2 ? [...$points, $points[0], $points[1]] : $points, 'lake', 5);
        }
        for ($peg = 0; $peg < $pegs * $pegs; $peg++) {
            $x = self::EDGE + $peg % $pegs * self::APART;
            $y = self::EDGE + intdiv($peg, $pegs) * self::APART;
            $isIn = in_array($peg, $band, true);
            $sketch->circle($x, $y, $isIn ? 10 : 6, $isIn ? 'lake' : 'slate');
            $label = Said::of('Peg :x, :y', ['x' => $peg % $pegs, 'y' => $pegs - 1 - intdiv($peg, $pegs)]);
            if (! $isIn) {
                $sketch->press('peg', $peg, $label, $x - 30, $y - 30, 60, 60);
            }
        }
        foreach ($band as $n => $peg) {
            $x = self::EDGE + $peg % $pegs * self::APART;
            $y = self::EDGE + intdiv($peg, $pegs) * self::APART;
            $label = Said::of('Corner :n at :x, :y', [
                'n' => $n + 1, 'x' => $peg % $pegs, 'y' => $pegs - 1 - intdiv($peg, $pegs),
            ]);
            $sketch->drag('corner', $n, $label, $x - 30, $y - 30, 60, 60, self::APART);
        }
        $sketch->button('back', 0, Said::of('Undo a peg'), 0, $side + 12, 150);
        $sketch->button('clear', 0, Said::of('Clear'), 160, $side + 12, 110);
    }

    /**
     * Twice the area, by the shoelace formula: the sum of the cross products of neighbouring corners.
     *
     * @param  list<int>  $band
     */
    private static function twice(array $band, int $pegs): int
    {
        $sum = 0;
        foreach ($band as $i => $peg) {
            $next = $band[($i + 1) % count($band)];
            $sum += $peg % $pegs * intdiv($next, $pegs) - $next % $pegs * intdiv($peg, $pegs);
        }

        return abs($sum);
    }

    public static function says(Values $set, Values $state): Said
    {
        $band = $state->list('band');
        if (count($band) < 3) {
            return Said::of('Pegs in the band: :n', ['n' => count($band)]);
        }

        return Said::of(':n corners, area :area', [
            'n' => count($band),
            'area' => Written::hundredths(self::twice($band, $set->int('pegs')) * 50),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $band = $state->list('band');

        return [
            'area' => Written::hundredths(self::twice($band, $set->int('pegs')) * 50),
            'corners' => (string) count($band),
        ];
    }

    public static function factWords(): array
    {
        return ['area' => 'The area, in squares', 'corners' => 'How many corners it has'];
    }
}
