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

/** A coin that is tossed, and how often it fell on each side. The same seed falls the same. */
final class CoinToss implements Kind
{
    private const MOST = 1000;

    public static function settings(): array
    {
        return [Setting::whole('seed', 'Seed', 1, 1, 9999)];
    }

    public static function fields(): array
    {
        return [
            Field::whole('tosses', 0, self::MOST),
            Field::whole('heads', 0, self::MOST),
            Field::whole('last', 0, 1),
        ];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['tosses' => 0, 'heads' => 0, 'last' => 0]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        if ($act->part === 'again') {
            return self::start($set);
        }
        if ($act->part !== 'toss') {
            return $state;
        }
        for ($i = 0; $i < min(100, max(1, $act->n)); $i++) {
            if ($state->int('tosses') < self::MOST) {
                $side = Seeded::at($set->int('seed'), $state->int('tosses') + 1, 2);
                $state = $state->with('tosses', $state->int('tosses') + 1)
                    ->with('heads', $state->int('heads') + $side)
                    ->with('last', $side);
            }
        }

        return $state;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tosses = $state->int('tosses');
        $heads = $state->int('heads');
        $sketch->size(480, 180);
        $sketch->circle(80, 90, 76, 'sand');
        $sketch->circle(80, 90, 62, '', 'stone');
        if ($tosses > 0) {
            $sketch->words(80, 90, $state->int('last') === 1 ? 'H' : 'T', 64);
        }
        foreach ([['H', $heads], ['T', $tosses - $heads]] as $i => [$side, $count]) {
            $y = 34 + $i * 66;
            $sketch->words(190, $y + 22, $side, 30);
            $sketch->rect(215, $y, 200 * $count / max(1, $tosses), 44, $i === 0 ? 'sky' : 'clay');
            $sketch->words(475, $y + 22, (string) $count, 28, 'slate', 'end');
        }
        Seeded::buttons($sketch, 'toss', [Said::of('Toss'), Said::of('Toss 10'), Said::of('Toss 100')], 192);
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Tosses: :n, heads: :heads', ['heads' => $state->int('heads'), 'n' => $state->int('tosses')]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $tosses = $state->int('tosses');

        return [
            'tosses' => (string) $tosses,
            'heads' => (string) $state->int('heads'),
            'share' => $tosses === 0 ? '0' : Written::fraction($state->int('heads'), $tosses),
        ];
    }

    public static function factWords(): array
    {
        return [
            'tosses' => 'How often it was tossed',
            'heads' => 'How often it fell on heads',
            'share' => 'The share of heads, as a fraction',
        ];
    }
}
