<?php

declare(strict_types=1);

namespace Crag\Manipulative\Data;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** A tree of chances: each branch has a numerator, typed, over one denominator; at its ends stand the products. */
final class TreeDiagram implements Kind
{
    private const HIGH = 480;

    private const WIDE = 210;

    public static function settings(): array
    {
        return [
            Setting::words('names', 'Two or three outcomes, with commas', 'head, tail'),
            Setting::whole('stages', 'Stages', 2, 1, 3),
            Setting::whole('whole', 'Denominator', 2, 2, 100),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('branches', 39, 0, 100)];
    }

    /** @return list<string> */
    private static function names(Values $set): array
    {
        $names = array_slice(Written::parts($set->words('names')), 0, 3);

        return count($names) < 2 ? ['A', 'B'] : $names;
    }

    /** How many branches stages have together. */
    private static function before(Values $set, int $stage): int
    {
        $count = 0;
        for ($i = 1; $i <= $stage; $i++) {
            $count += count(self::names($set)) ** $i;
        }

        return $count;
    }

    public static function start(Values $set): Values
    {
        $count = count(self::names($set));
        $branches = [];
        for ($i = 0; $i < self::before($set, $set->int('stages')); $i++) {
            $even = intdiv($set->int('whole'), $count);
            $branches[] = $i % $count === 0 ? $set->int('whole') - $even * ($count - 1) : $even;
        }

        return Values::of(['branches' => $branches]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $branches = $state->list('branches');
        if ($act->part !== 'branch' || $act->to === null || $act->n < 0 || $act->n >= count($branches)) {
            return $state;
        }
        $branches[$act->n] = Tokens::within($act->to, 0, $set->int('whole'));

        return $state->with('branches', $branches);
    }

    private static function y(Values $set, int $stage, int $i): float
    {
        return $stage === 0 ? self::HIGH / 2 : ($i + 0.5) * self::HIGH / count(self::names($set)) ** $stage;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $names = self::names($set);
        $stages = $set->int('stages');
        $sketch->size(($stages + 1) * self::WIDE + 60, self::HIGH);
        $size = count($names) ** $stages > 9 ? 14 : 22;
        for ($stage = 1; $stage <= $stages; $stage++) {
            for ($i = 0; $i < count($names) ** $stage; $i++) {
                $n = self::before($set, $stage - 1) + $i;
                $fromX = ($stage - 1) * self::WIDE + ($stage === 1 ? 8 : 100);
                $fromY = self::y($set, $stage - 1, intdiv($i, count($names)));
                $x = $stage * self::WIDE;
                $y = self::y($set, $stage, $i);
                $sketch->line([$fromX, $fromY, $x - 8, $y], 'slate', 2);
                $name = $names[$i % count($names)] ?? '';
                $sketch->words($x, $y, $name, $size, 'slate', 'start');
                $value = $state->list('branches')[$n] ?? 0;
                $atX = ($fromX + $x) / 2;
                $atY = ($fromY + $y) / 2;
                $sketch->rect($atX - 32, $atY - $size / 2 - 4, 64, $size + 8, 'paper', 'pale', 4);
                $sketch->words($atX, $atY, $value.'/'.$set->int('whole'), $size, 'lake');
                $label = Said::of('Chance of :name, stage :stage', ['name' => $name, 'stage' => $stage]);
                $sketch->type('branch', $n, $label, $atX - 36, $atY - $size, 72, 2 * $size, $value);
                if ($stage === $stages) {
                    $chance = '= '.self::chance($set, $state, $i);
                    $sketch->words($x + 110, $y, $chance, $size, 'lichen', 'start');
                }
            }
        }
    }

    /** The product along the way to an end. */
    private static function product(Values $set, Values $state, int $end): int
    {
        $count = count(self::names($set));
        $product = 1;
        for ($stage = $set->int('stages'); $stage > 0; $stage--) {
            $product *= $state->list('branches')[self::before($set, $stage - 1) + $end] ?? 0;
            $end = intdiv($end, $count);
        }

        return $product;
    }

    private static function chance(Values $set, Values $state, int $end): string
    {
        return Written::fraction(self::product($set, $state, $end), $set->int('whole') ** $set->int('stages'));
    }

    /** Whether the branches at every fork make a whole. */
    private static function isWhole(Values $set, Values $state): bool
    {
        $count = count(self::names($set));
        $branches = $state->list('branches');
        for ($i = 0; $i < count($branches); $i += $count) {
            if (array_sum(array_slice($branches, $i, $count)) !== $set->int('whole')) {
                return false;
            }
        }

        return true;
    }

    public static function says(Values $set, Values $state): Said
    {
        $ends = [];
        for ($i = 0; $i < min(9, count(self::names($set)) ** $set->int('stages')); $i++) {
            $ends[] = self::chance($set, $state, $i);
        }
        $with = ['ends' => implode(', ', $ends)];

        return self::isWhole($set, $state)
            ? Said::of('Ends: :ends', $with)
            : Said::of('Some branches don’t add up to 1. Ends: :ends', $with);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'first' => self::chance($set, $state, 0),
            'last' => self::chance($set, $state, count(self::names($set)) ** $set->int('stages') - 1),
            'whole' => self::isWhole($set, $state) ? 'yes' : 'no',
        ];
    }

    public static function factWords(): array
    {
        return [
            'first' => 'The chance at the top end',
            'last' => 'The chance at the bottom end',
            'whole' => 'Whether all branches add up to 1 (yes or no)',
        ];
    }
}
