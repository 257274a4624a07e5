<?php

declare(strict_types=1);

namespace Crag\Manipulative\Algebra;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;

/** A balance with bags of an unknown weight x and weights of 1; it tips by what lies on its pans. */
final class Balance implements Kind
{
    private const MOST = 15;

    private const MIDDLE = 400;

    /** What is counted: x and ones on the left, x and ones on the right. */
    private const NAMES = ['left_x', 'left_1', 'right_x', 'right_1'];

    public static function settings(): array
    {
        return [
            Setting::words('left', 'On the left', '2x + 3'),
            Setting::words('right', 'On the right', '11'),
            Setting::whole('x', 'What x weighs (students don’t see it)', 4, 0, 50),
        ];
    }

    public static function fields(): array
    {
        return array_map(static fn (string $name): Field => Field::whole($name, 0, self::MOST), self::NAMES);
    }

    public static function start(Values $set): Values
    {
        [$leftX, $left] = self::read($set->words('left'));
        [$rightX, $right] = self::read($set->words('right'));

        return Values::of(['left_x' => $leftX, 'left_1' => $left, 'right_x' => $rightX, 'right_1' => $right]);
    }

    /**
     * "2x + 3" as a number of x's and a number of ones; what is not read counts for nothing.
     *
     * @return array{int, int}
     */
    private static function read(string $words): array
    {
        $xs = 0;
        $ones = 0;
        foreach (explode('+', strtolower(implode('', explode(' ', $words)))) as $term) {
            $isX = str_contains($term, 'x');
            $digits = implode('', explode('*', implode('', explode('x', $term))));
            if (ctype_digit($digits) && strlen($digits) < 4) {
                $xs += $isX ? (int) $digits : 0;
                $ones += $isX ? 0 : (int) $digits;
            } elseif ($isX && $digits === '') {
                $xs++;
            }
        }

        return [min(self::MOST, $xs), min(self::MOST, $ones)];
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        if ($act->n < 0 || $act->n > 3) {
            return $state;
        }
        $name = self::NAMES[$act->n];
        $value = $state->int($name);
        if ($act->part === 'add' && $value < self::MOST) {
            return $state->with($name, $value + 1);
        }
        if ($act->part === 'take' && $value > 0) {
            return $state->with($name, $value - 1);
        }
        // From both sides at once: it stays as it was.
        $left = $act->n === 0 ? 'left_x' : 'left_1';
        $right = $act->n === 0 ? 'right_x' : 'right_1';
        if ($act->part === 'both' && $act->n < 2 && $state->int($left) > 0 && $state->int($right) > 0) {
            return $state->with($left, $state->int($left) - 1)->with($right, $state->int($right) - 1);
        }

        return $state;
    }

    /** More than 0 where the left is heavier. */
    private static function tips(Values $set, Values $state): int
    {
        $bags = $state->int('left_x') - $state->int('right_x');

        return $bags * $set->int('x') + $state->int('left_1') - $state->int('right_1');
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tips = self::tips($set, $state);
        $drop = $tips === 0 ? 0 : ($tips > 0 ? 40 : -40);
        $sketch->size(800, 420);
        $sketch->polygon([self::MIDDLE, 120, self::MIDDLE + 46, 400, self::MIDDLE - 46, 400], 'wood');
        $sketch->rect(self::MIDDLE - 130, 396, 260, 20, 'wood', 'slate', 6);
        $sketch->line([200, 120 + $drop, 600, 120 - $drop], 'slate', 8);
        $sketch->circle(self::MIDDLE, 120, 12, 'slate');
        foreach ([0, 1] as $side) {
            $x = $side === 0 ? 200 : 600;
            $y = 120 + ($side === 0 ? $drop : -$drop);
            $sketch->line([$x, $y, $x - 150, $y + 190], 'stone', 2);
            $sketch->line([$x, $y, $x + 150, $y + 190], 'stone', 2);
            $pan = [$x - 170, $y + 190, $x + 170, $y + 190, $x + 120, $y + 216, $x - 120, $y + 216];
            $sketch->polygon($pan, 'pale');
            self::load($sketch, $side, $state, $x, $y + 190);
            foreach (['x', '1'] as $i => $what) {
                $n = 2 * $side + $i;
                $sketch->button('add', $n, Said::of('+ :n', ['n' => $what]), $x - 170 + $i * 175, 434, 76);
                $sketch->button('take', $n, Said::of('− :n', ['n' => $what]), $x - 90 + $i * 175, 434, 76);
            }
        }
        $sketch->button('both', 0, Said::of('Take x from both'), 190, 500, 205);
        $sketch->button('both', 1, Said::of('Take 1 from both'), 405, 500, 205);
    }

    private static function load(Sketch $sketch, int $side, Values $state, int $x, int $floor): void
    {
        $bags = $state->int(self::NAMES[2 * $side]);
        $ones = $state->int(self::NAMES[2 * $side + 1]);
        for ($i = 0; $i < $bags; $i++) {
            $left = $x - 142 + $i % 3 * 46;
            $top = $floor - 44 - intdiv($i, 3) * 46;
            $sketch->rect($left, $top, 42, 42, 'sky', 'slate', 8);
            $sketch->words($left + 21, $top + 21, 'x', 26);
        }
        for ($i = 0; $i < $ones; $i++) {
            $left = $x + 6 + $i % 4 * 34;
            $top = $floor - 32 - intdiv($i, 4) * 34;
            $sketch->rect($left, $top, 30, 30, 'sand');
            $sketch->words($left + 15, $top + 16, '1', 20);
        }
    }

    private static function written(int $xs, int $ones): string
    {
        $bags = $xs === 0 ? '' : ($xs === 1 ? 'x' : $xs.'x');

        return $ones === 0 && $bags !== '' ? $bags : ($bags === '' ? (string) $ones : $bags.' + '.$ones);
    }

    public static function says(Values $set, Values $state): Said
    {
        $with = [
            'left' => self::written($state->int('left_x'), $state->int('left_1')),
            'right' => self::written($state->int('right_x'), $state->int('right_1')),
        ];
        $tips = self::tips($set, $state);
        if ($tips === 0) {
            return Said::of('Balanced: :left = :right', $with);
        }

        return $tips > 0
            ? Said::of('Left is heavier: :left and :right', $with)
            : Said::of('Right is heavier: :left and :right', $with);
    }

    public static function facts(Values $set, Values $state): array
    {
        $tips = self::tips($set, $state);

        return [
            'balance' => $tips === 0 ? 'balanced' : ($tips > 0 ? 'tips left' : 'tips right'),
            'left' => self::written($state->int('left_x'), $state->int('left_1')),
            'right' => self::written($state->int('right_x'), $state->int('right_1')),
        ];
    }

    public static function factWords(): array
    {
        return [
            'balance' => 'How it stands (balanced, tips left or tips right)',
            'left' => 'What lies on the left',
            'right' => 'What lies on the right',
        ];
    }
}
