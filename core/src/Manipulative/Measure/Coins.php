<?php

declare(strict_types=1);

namespace Crag\Manipulative\Measure;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Mat;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** Coins of no country: a hundred of the smallest are 1. */
final class Coins implements Kind
{
    private const WIDE = 780;

    private const HIGH = 340;

    private const MOST = 40;

    private const WORTH = [1, 2, 5, 10, 20, 50, 100, 200];

    private const RADIUS = [22, 25, 28, 26, 30, 34, 32, 36];

    private const FILLS = ['wood', 'wood', 'wood', 'sand', 'sand', 'sand', 'pale', 'pale'];

    public static function settings(): array
    {
        return [Setting::choice('total', 'Show the total', ['No', 'Yes'], 1)];
    }

    public static function fields(): array
    {
        return [Field::list('tokens', self::MOST, 0, 1000, Tokens::BY)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['tokens' => []]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $tokens = $state->list('tokens');
        $count = Tokens::count($tokens);
        if ($act->part === 'add' && $act->n >= 0 && $act->n < 8 && $count < self::MOST) {
            return $state->with('tokens', Mat::added($tokens, $act->n, 10, 76));
        }
        if ($act->part === 'clear') {
            return self::start($set);
        }
        if ($act->part === 'token' && $act->x !== null && $act->n >= 0 && $act->n < $count) {
            return $state->with('tokens', Mat::dragged($tokens, $act, self::WIDE, self::HIGH));
        }

        return $state;
    }

    private static function worth(Values $state): int
    {
        $tokens = $state->list('tokens');
        $total = 0;
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            $total += self::WORTH[$tokens[3 * $n]] ?? 0;
        }

        return $total;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tokens = $state->list('tokens');
        $isShown = $set->int('total') === 1;
        $sketch->size(self::WIDE, self::HIGH + ($isShown ? 56 : 0));
        $sketch->rect(0, 0, self::WIDE, self::HIGH, 'paper', 'stone', 12);
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            $coin = Tokens::within($tokens[3 * $n], 0, 7);
            $x = $tokens[3 * $n + 1];
            $y = $tokens[3 * $n + 2];
            $radius = self::RADIUS[$coin];
            $sketch->circle($x, $y, $radius, self::FILLS[$coin]);
            if ($coin >= 6) {
                $sketch->circle($x, $y, $radius - 7, 'sand', 'stone');
            }
            $words = Written::hundredths(self::WORTH[$coin] * ($coin >= 6 ? 1 : 100));
            $sketch->words($x, $y, $words, 24);
            $label = Said::of('Coin :n: :worth', ['n' => $n + 1, 'worth' => self::WORTH[$coin]]);
            $sketch->drag('token', $n, $label, $x - $radius, $y - $radius, 2 * $radius, 2 * $radius, 38);
        }
        if ($isShown) {
            $total = Written::hundredths(self::worth($state));
            $sketch->words(self::WIDE / 2, self::HIGH + 30, $total, 38);
        }
        $y = self::HIGH + ($isShown ? 68 : 12);
        foreach (self::WORTH as $n => $worth) {
            $words = $worth < 100 ? (string) $worth : Written::hundredths($worth).'.00';
            $sketch->button('add', $n, Said::of('+ :n', ['n' => $words]), $n * 85, $y, 80);
        }
        $sketch->button('clear', 0, Said::of('Clear'), 685, $y, 95);
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Coins: :n, total :total', [
            'n' => Tokens::count($state->list('tokens')),
            'total' => Written::hundredths(self::worth($state)),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'total' => Written::hundredths(self::worth($state)),
            'coins' => (string) Tokens::count($state->list('tokens')),
        ];
    }

    public static function factWords(): array
    {
        return ['total' => 'The total, as 1.35', 'coins' => 'How many coins there are'];
    }
}
