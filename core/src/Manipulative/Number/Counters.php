<?php

declare(strict_types=1);

namespace Crag\Manipulative\Number;

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

/** Counters with two faces: one worth +1, one worth −1, or only to be counted. A pair of both is worth zero. */
final class Counters implements Kind
{
    private const WIDE = 700;

    private const HIGH = 340;

    private const MOST = 40;

    public static function settings(): array
    {
        return [
            Setting::choice('faces', 'Faces', ['+1 and −1', 'Two colours']),
            Setting::whole('first', 'Of the first face', 5, 0, 20),
            Setting::whole('second', 'Of the second face', 3, 0, 20),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('tokens', self::MOST, 0, 1000, Tokens::BY)];
    }

    public static function start(Values $set): Values
    {
        $tokens = [];
        for ($i = 0; $i < $set->int('first') + $set->int('second'); $i++) {
            $tokens = Mat::added($tokens, $i < $set->int('first') ? 0 : 1, 10, 66);
        }

        return Values::of(['tokens' => $tokens]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $tokens = $state->list('tokens');
        $count = Tokens::count($tokens);
        if ($act->part === 'token' && $act->n >= 0 && $act->n < $count) {
            return $state->with('tokens', $act->x === null
                ? Tokens::turned($tokens, $act->n, 1 - Tokens::within($tokens[$act->n * Tokens::BY], 0, 1))
                : Mat::dragged($tokens, $act, self::WIDE, self::HIGH));
        }
        if ($act->part === 'add' && $count < self::MOST) {
            return $state->with('tokens', Mat::added($tokens, Tokens::within($act->n, 0, 1), 10, 66));
        }
        if ($act->part === 'pair' && $count + 2 <= self::MOST) {
            return $state->with('tokens', Mat::added(Mat::added($tokens, 0, 10, 66), 1, 10, 66));
        }
        $first = Tokens::last($tokens, 0);
        $second = Tokens::last($tokens, 1);
        if ($act->part === 'unpair' && $first >= 0 && $second >= 0) {
            return $state->with(
                'tokens',
                Tokens::without(Tokens::without($tokens, max($first, $second)), min($first, $second)),
            );
        }

        return $state;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tokens = $state->list('tokens');
        $isSigned = $set->int('faces') === 0;
        $sketch->size(self::WIDE, self::HIGH);
        $sketch->rect(0, 0, self::WIDE, self::HIGH, 'paper', 'stone', 12);
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            $isFirst = $tokens[3 * $n] === 0;
            $x = $tokens[3 * $n + 1];
            $y = $tokens[3 * $n + 2];
            $sketch->circle($x, $y, 27, $isFirst ? 'sand' : 'lake');
            if ($isSigned) {
                $sketch->words($x, $y, $isFirst ? '+' : '−', 34, $isFirst ? 'slate' : 'paper');
            } elseif (! $isFirst) {
                $sketch->circle($x, $y, 17, '', 'paper');
            }
            $label = $isSigned
                ? Said::of('Counter :n: :face', ['n' => $n + 1, 'face' => $isFirst ? '+1' : '−1'])
                : Said::of('Counter :n: face :face', ['n' => $n + 1, 'face' => $isFirst ? 1 : 2]);
            $sketch->drag('token', $n, $label, $x - 30, $y - 30, 60, 60, 33);
        }
        $y = self::HIGH + 12;
        $sketch->button('add', 0, $isSigned ? Said::of('Add +1') : Said::of('Add a light one'), 0, $y, 160);
        $sketch->button('add', 1, $isSigned ? Said::of('Add −1') : Said::of('Add a dark one'), 170, $y, 160);
        if ($isSigned) {
            $sketch->button('pair', 0, Said::of('Add a zero pair'), 340, $y, 175);
            $sketch->button('unpair', 0, Said::of('Take a zero pair'), 525, $y, 175);
        }
    }

    public static function says(Values $set, Values $state): Said
    {
        $first = Tokens::countOf($state->list('tokens'), 0);
        $second = Tokens::countOf($state->list('tokens'), 1);

        return $set->int('faces') === 0
            ? Said::of(':first of +1, :second of −1: total :total', [
                'first' => $first, 'second' => $second, 'total' => Written::whole($first - $second),
            ])
            : Said::of(':first light and :second dark: :total in all', [
                'first' => $first, 'second' => $second, 'total' => $first + $second,
            ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $first = Tokens::countOf($state->list('tokens'), 0);
        $second = Tokens::countOf($state->list('tokens'), 1);

        return [
            'total' => (string) ($set->int('faces') === 0 ? $first - $second : $first + $second),
            'first' => (string) $first,
            'second' => (string) $second,
        ];
    }

    public static function factWords(): array
    {
        return [
            'total' => 'The total',
            'first' => 'How many show the first face',
            'second' => 'How many show the second face',
        ];
    }
}
