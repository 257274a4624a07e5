<?php

declare(strict_types=1);

namespace Crag\Manipulative\Science;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Mat;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;

/**
 * Atoms and the bonds between them; an atom with as many bonds as its valence is content. Press two atoms for a bond,
 * again for a double and a triple one, and again for none.
 */
final class Atoms implements Kind
{
    private const WIDE = 760;

    private const HIGH = 440;

    private const MOST = 24;

    private const SYMBOLS = ['H', 'C', 'N', 'O', 'Cl', 'S'];

    private const VALENCES = [1, 4, 3, 2, 1, 2];

    private const FILLS = ['paper', 'stone', 'sky', 'clay', 'moss', 'sand'];

    /** In which order a formula names them: carbon, hydrogen, then by the alphabet (Hill, JACS 22, 1900). */
    private const HILL = [1, 0, 4, 2, 3, 5];

    public static function settings(): array
    {
        return [Setting::choice('ring', 'Show whose bonds are all used', ['Yes', 'No'])];
    }

    public static function fields(): array
    {
        return [
            Field::list('tokens', self::MOST, 0, 1000, Tokens::BY),
            Field::list('bonds', 40, 0, self::MOST, 3),
            Field::whole('chosen', 0, self::MOST),
        ];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['tokens' => [], 'bonds' => [], 'chosen' => 0]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $tokens = $state->list('tokens');
        $count = Tokens::count($tokens);
        if ($act->part === 'clear') {
            return self::start($set);
        }
        if ($act->part === 'add' && $act->n >= 0 && $act->n < 6 && $count < self::MOST) {
            return $state->with('tokens', Mat::added($tokens, $act->n, 7, 110));
        }
        if ($act->part !== 'token' || $act->n < 0 || $act->n >= $count) {
            return $state;
        }
        if ($act->x !== null && Mat::isOff($act, self::WIDE, self::HIGH)) {
            return $state->with('tokens', Tokens::without($tokens, $act->n))
                ->with('bonds', self::bondsWithout($state->list('bonds'), $act->n))
                ->with('chosen', 0);
        }
        if ($act->x !== null) {
            return $state->with('tokens', Mat::dragged($tokens, $act, self::WIDE, self::HIGH));
        }
        $chosen = $state->int('chosen') - 1;
        if ($chosen < 0 || $chosen >= $count || $chosen === $act->n) {
            return $state->with('chosen', $chosen === $act->n ? 0 : $act->n + 1);
        }

        return $state->with('bonds', self::bonded($state->list('bonds'), min($chosen, $act->n), max($chosen, $act->n)))
            ->with('chosen', 0);
    }

    /**
     * @param  list<int>  $bonds  the first atom, the second, and how many bonds are between them
     * @return list<int>
     */
    private static function bonded(array $bonds, int $a, int $b): array
    {
        $rest = [];
        $order = 0;
        for ($i = 0; $i + 2 < count($bonds); $i += 3) {
            if ($bonds[$i] === $a && $bonds[$i + 1] === $b) {
                $order = $bonds[$i + 2];
            } else {
                $rest = [...$rest, $bonds[$i], $bonds[$i + 1], $bonds[$i + 2]];
            }
        }

        return $order >= 3 || count($rest) >= 120 ? $rest : [...$rest, $a, $b, $order + 1];
    }

    /**
     * @param  list<int>  $bonds
     * @return list<int> without those of an atom that is gone; those behind it move up
     */
    private static function bondsWithout(array $bonds, int $gone): array
    {
        $rest = [];
        for ($i = 0; $i + 2 < count($bonds); $i += 3) {
            [$a, $b] = [$bonds[$i], $bonds[$i + 1]];
            if ($a !== $gone && $b !== $gone) {
                $rest = [...$rest, $a > $gone ? $a - 1 : $a, $b > $gone ? $b - 1 : $b, $bonds[$i + 2]];
            }
        }

        return $rest;
    }

    private static function used(Values $state, int $n): int
    {
        $bonds = $state->list('bonds');
        $used = 0;
        for ($i = 0; $i + 2 < count($bonds); $i += 3) {
            $used += $bonds[$i] === $n || $bonds[$i + 1] === $n ? $bonds[$i + 2] : 0;
        }

        return $used;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tokens = $state->list('tokens');
        $bonds = $state->list('bonds');
        $count = Tokens::count($tokens);
        $sketch->size(self::WIDE, self::HIGH);
        $sketch->rect(0, 0, self::WIDE, self::HIGH, 'paper', 'stone', 12);
        for ($i = 0; $i + 2 < count($bonds); $i += 3) {
            if ($bonds[$i] < $count && $bonds[$i + 1] < $count) {
                self::bond($sketch, $tokens, $bonds[$i], $bonds[$i + 1], $bonds[$i + 2]);
            }
        }
        for ($n = 0; $n < $count; $n++) {
            $kind = Tokens::within($tokens[3 * $n], 0, 5);
            $x = $tokens[3 * $n + 1];
            $y = $tokens[3 * $n + 2];
            $used = self::used($state, $n);
            if ($set->int('ring') === 0 && $used >= self::VALENCES[$kind]) {
                $sketch->circle($x, $y, 34, $used === self::VALENCES[$kind] ? 'moss' : 'rust', '');
            }
            $sketch->circle($x, $y, 28, self::FILLS[$kind], $state->int('chosen') === $n + 1 ? 'rust' : 'slate');
            $sketch->words($x, $y, self::SYMBOLS[$kind], 28);
            $label = Said::of('Atom :n: :symbol, bonds: :used of :all', [
                'n' => $n + 1, 'symbol' => self::SYMBOLS[$kind], 'used' => $used, 'all' => self::VALENCES[$kind],
            ]);
            $sketch->drag('token', $n, $label, $x - 34, $y - 34, 68, 68, 40);
        }
        foreach (self::SYMBOLS as $n => $symbol) {
            $sketch->button('add', $n, Said::of('+ :n', ['n' => $symbol]), $n * 90, self::HIGH + 12, 84);
        }
        $sketch->button('clear', 0, Said::of('Clear'), 560, self::HIGH + 12, 110);
    }

    /** @param  list<int>  $tokens */
    private static function bond(Sketch $sketch, array $tokens, int $a, int $b, int $order): void
    {
        [$fromX, $fromY] = [$tokens[3 * $a + 1], $tokens[3 * $a + 2]];
        [$toX, $toY] = [$tokens[3 * $b + 1], $tokens[3 * $b + 2]];
        $far = max(1, sqrt(($toX - $fromX) ** 2 + ($toY - $fromY) ** 2));
        for ($i = 0; $i < $order; $i++) {
            $aside = ($i - ($order - 1) / 2) * 9 / $far;
            [$dx, $dy] = [($fromY - $toY) * $aside, ($toX - $fromX) * $aside];
            $sketch->line([$fromX + $dx, $fromY + $dy, $toX + $dx, $toY + $dy], 'slate', 4);
        }
    }

    private static function formula(Values $state): string
    {
        $formula = '';
        foreach (self::HILL as $kind) {
            $count = Tokens::countOf($state->list('tokens'), $kind);
            $formula = $formula.($count === 0 ? '' : self::SYMBOLS[$kind].($count === 1 ? '' : $count));
        }

        return $formula;
    }

    private static function isContent(Values $state): bool
    {
        $tokens = $state->list('tokens');
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            if (self::used($state, $n) !== self::VALENCES[Tokens::within($tokens[3 * $n], 0, 5)]) {
                return false;
            }
        }

        return true;
    }

    public static function says(Values $set, Values $state): Said
    {
        $with = ['formula' => self::formula($state)];
        if ($with['formula'] === '') {
            return Said::of('No atoms yet');
        }

        return self::isContent($state)
            ? Said::of(':formula, all bonds used', $with)
            : Said::of(':formula, bonds don’t fit yet', $with);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'formula' => self::formula($state),
            'bonds' => $state->list('tokens') !== [] && self::isContent($state) ? 'yes' : 'no',
        ];
    }

    public static function factWords(): array
    {
        return ['formula' => 'The formula, as H2O', 'bonds' => 'Whether all bonds are used (yes or no)'];
    }
}
