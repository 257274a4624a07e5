<?php

declare(strict_types=1);

namespace Crag\Manipulative\Chance;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Seeded;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** Dice to be rolled; pressed, one is held while the others roll. The same seed rolls the same. */
final class Dice implements Kind
{
    private const SIDES = [6, 4, 8, 10, 12, 20];

    private const MOST_ROLLS = 200;

    /** Where the pips of a face lie, on a field of 3 by 3. */
    private const PIPS = [[4], [0, 8], [0, 4, 8], [0, 2, 6, 8], [0, 2, 4, 6, 8], [0, 2, 3, 5, 6, 8]];

    public static function settings(): array
    {
        return [
            Setting::whole('dice', 'Dice', 2, 1, 6),
            Setting::choice('sides', 'Faces', ['6', '4', '8', '10', '12', '20']),
            Setting::whole('seed', 'Seed', 1, 1, 9999),
        ];
    }

    public static function fields(): array
    {
        return [
            Field::whole('rolls', 0, self::MOST_ROLLS),
            Field::list('faces', 6, 1, 20),
            Field::list('held', 6, 0, 1),
            Field::list('totals', self::MOST_ROLLS, 0, 120),
        ];
    }

    public static function start(Values $set): Values
    {
        return Values::of([
            'rolls' => 0,
            'faces' => array_fill(0, $set->int('dice'), 1),
            'held' => array_fill(0, $set->int('dice'), 0),
            'totals' => [],
        ]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $faces = $state->list('faces');
        $held = $state->list('held');
        if ($act->part === 'again') {
            return self::start($set);
        }
        if ($act->part === 'die' && $act->n >= 0 && $act->n < count($held)) {
            $held[$act->n] = 1 - $held[$act->n];

            return $state->with('held', $held);
        }
        if ($act->part !== 'roll' || $state->int('rolls') >= self::MOST_ROLLS) {
            return $state;
        }
        $rolls = $state->int('rolls') + 1;
        foreach ($faces as $i => $face) {
            $isHeld = ($held[$i] ?? 0) === 1;
            $faces[$i] = $isHeld ? $face : 1 + Seeded::at($set->int('seed') + 131 * $i, $rolls, self::sides($set));
        }

        return $state->with('rolls', $rolls)
            ->with('faces', $faces)
            ->with('totals', [...$state->list('totals'), array_sum($faces)]);
    }

    private static function sides(Values $set): int
    {
        return self::SIDES[$set->int('sides')] ?? 6;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $faces = $state->list('faces');
        $sketch->size(max(360, count($faces) * 130 - 20), 170);
        foreach ($faces as $i => $face) {
            $x = $i * 130;
            $isHeld = ($state->list('held')[$i] ?? 0) === 1;
            $sketch->rect($x, 0, 110, 110, $isHeld ? 'sand' : 'paper', 'slate', 18);
            if (self::sides($set) === 6 && $state->int('rolls') > 0) {
                foreach (self::PIPS[$face - 1] ?? [] as $pip) {
                    $sketch->circle($x + 28 + $pip % 3 * 27, 28 + intdiv($pip, 3) * 27, 10, 'slate', '');
                }
            } else {
                $sketch->words($x + 55, 55, $state->int('rolls') === 0 ? '–' : (string) $face, 46);
            }
            $label = $isHeld ? Said::of('Die :n, held', ['n' => $i + 1]) : Said::of('Die :n', ['n' => $i + 1]);
            $sketch->press('die', $i, $label, $x, 0, 110, 110);
        }
        $last = array_slice($state->list('totals'), -10);
        $sketch->words(0, 144, implode('   ', $last), 26, 'stone', 'start');
        $sketch->button('roll', 0, Said::of('Roll'), 0, 182, 130);
        $sketch->button('again', 0, Said::of('Start again'), 140, 182, 150);
    }

    public static function says(Values $set, Values $state): Said
    {
        $faces = $state->list('faces');
        if ($state->int('rolls') === 0) {
            return Said::of('Not rolled yet');
        }

        return Said::of('Rolled :faces: total :total, roll :n', [
            'faces' => Written::list($faces),
            'total' => array_sum($faces),
            'n' => $state->int('rolls'),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'total' => (string) array_sum($state->list('faces')),
            'rolls' => (string) $state->int('rolls'),
        ];
    }

    public static function factWords(): array
    {
        return ['total' => 'The total of the faces', 'rolls' => 'How often they were rolled'];
    }
}
