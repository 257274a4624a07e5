<?php

declare(strict_types=1);

namespace Crag\Manipulative\Algebra;

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
 * Tiles for x², x and 1 and their opposites. Arranged, they form a rectangle whose sides are the factors, where there
 * is one; else they lie in rows.
 */
final class AlgebraTiles implements Kind
{
    private const WIDE = 860;

    private const HIGH = 460;

    private const MOST = 60;

    private const X = 110;

    private const ONE = 36;

    /** Kinds: x², x upright, 1; the same minus; x lying, −x lying. */
    private const WIDTHS = [110, 36, 36, 110, 36, 36, 110, 110];

    private const HEIGHTS = [110, 110, 36, 110, 110, 36, 36, 36];

    private const WORDS = ['x²', 'x', '1', '−x²', '−x', '−1', 'x', '−x'];

    private const FILLS = ['sky', 'moss', 'sand', 'clay', 'clay', 'clay', 'moss', 'clay'];

    private const OPPOSITE = [3, 4, 5, 0, 1, 2, 7, 6];

    public static function settings(): array
    {
        return [
            Setting::whole('squares', 'x² tiles', 1, -4, 4),
            Setting::whole('xs', 'x tiles', 5, -12, 12),
            Setting::whole('ones', 'Tiles of 1', 6, -20, 20),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('tokens', self::MOST, 0, 1000, Tokens::BY)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['tokens' => self::rows($set->int('squares'), $set->int('xs'), $set->int('ones'))]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $tokens = $state->list('tokens');
        if ($act->part === 'token' && $act->n >= 0 && $act->n < Tokens::count($tokens)) {
            return $state->with('tokens', $act->x === null
                ? Tokens::turned($tokens, $act->n, self::OPPOSITE[$tokens[3 * $act->n]] ?? 0)
                : Mat::dragged($tokens, $act, self::WIDE, self::HIGH));
        }
        if ($act->part === 'add' && $act->n >= 0 && $act->n <= 2 && Tokens::count($tokens) < self::MOST) {
            return $state->with('tokens', Mat::added($tokens, $act->n, 7, 116, 20));
        }
        [$squares, $xs, $ones] = self::sums($tokens);
        if ($act->part === 'pairs') {
            return $state->with('tokens', self::withoutPairs($tokens));
        }
        if ($act->part === 'arrange') {
            return $state->with('tokens', self::arranged($squares, $xs, $ones));
        }

        return $state;
    }

    /**
     * @param  list<int>  $tokens
     * @return array{int, int, int} how many x², x and ones it is worth
     */
    private static function sums(array $tokens): array
    {
        $lying = Tokens::countOf($tokens, 6) - Tokens::countOf($tokens, 7);

        return [
            Tokens::countOf($tokens, 0) - Tokens::countOf($tokens, 3),
            Tokens::countOf($tokens, 1) - Tokens::countOf($tokens, 4) + $lying,
            Tokens::countOf($tokens, 2) - Tokens::countOf($tokens, 5),
        ];
    }

    /**
     * @param  list<int>  $tokens
     * @return list<int> without what is worth zero together; the rest stays where it lies
     */
    private static function withoutPairs(array $tokens): array
    {
        foreach ([[0, 3], [1, 4], [6, 7], [1, 7], [6, 4], [2, 5]] as $pair) {
            while (Tokens::last($tokens, $pair[0]) >= 0 && Tokens::last($tokens, $pair[1]) >= 0) {
                $tokens = Tokens::without($tokens, Tokens::last($tokens, $pair[0]));
                $tokens = Tokens::without($tokens, Tokens::last($tokens, $pair[1]));
            }
        }

        return $tokens;
    }

    /**
     * The factors of a·x² + b·x + c with whole numbers that are not negative: p, q, r, s of (p·x + q)(r·x + s); none
     * where there are none.
     *
     * @return list<int>
     */
    private static function factors(int $a, int $b, int $c): array
    {
        if ($a < 1 || $b < 0 || $c < 0) {
            return [];
        }
        for ($p = 1; $p <= $a; $p++) {
            for ($q = 0; $q <= $b; $q++) {
                if ($a % $p === 0) {
                    $r = intdiv($a, $p);
                    // p·s + q·r = b
                    $s = intdiv($b - $q * $r, $p);
                    if ($s >= 0 && $p * $s + $q * $r === $b && $q * $s === $c) {
                        return [$p, $q, $r, $s];
                    }
                }
            }
        }

        return [];
    }

    /** @return list<int> */
    private static function arranged(int $a, int $b, int $c): array
    {
        $factors = self::factors($a, $b, $c);
        if ($factors === []) {
            return self::rows($a, $b, $c);
        }
        [$p, $q, $r, $s] = $factors;
        $tokens = [];
        // Down the side p x's and q ones; along the top r x's and s ones.
        $y = 30;
        for ($i = 0; $i < $p + $q; $i++) {
            $isTall = $i < $p;
            $x = 40;
            for ($j = 0; $j < $r + $s; $j++) {
                $isWide = $j < $r;
                $kind = $isTall ? ($isWide ? 0 : 1) : ($isWide ? 6 : 2);
                $tokens = Tokens::put(
                    $tokens,
                    $kind,
                    $x + intdiv(self::WIDTHS[$kind], 2),
                    $y + intdiv(self::HEIGHTS[$kind], 2),
                );
                $x += ($isWide ? self::X : self::ONE) + 2;
            }
            $y += ($isTall ? self::X : self::ONE) + 2;
        }

        return $tokens;
    }

    /** @return list<int> those of a kind beside each other */
    private static function rows(int $squares, int $xs, int $ones): array
    {
        $tokens = [];
        for ($i = 0; $i < abs($squares); $i++) {
            $tokens = Tokens::put($tokens, $squares > 0 ? 0 : 3, 75 + $i * 120, 75);
        }
        for ($i = 0; $i < abs($xs); $i++) {
            $tokens = Tokens::put($tokens, $xs > 0 ? 1 : 4, 40 + $i * 46, 200);
        }
        for ($i = 0; $i < abs($ones); $i++) {
            $tokens = Tokens::put($tokens, $ones > 0 ? 2 : 5, 40 + $i % 10 * 46, 290 + intdiv($i, 10) * 46);
        }

        return $tokens;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tokens = $state->list('tokens');
        $sketch->size(self::WIDE, self::HIGH);
        $sketch->rect(0, 0, self::WIDE, self::HIGH, 'paper', 'stone', 12);
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            $kind = Tokens::within($tokens[3 * $n], 0, 7);
            $wide = self::WIDTHS[$kind];
            $high = self::HEIGHTS[$kind];
            $x = $tokens[3 * $n + 1] - $wide / 2;
            $y = $tokens[3 * $n + 2] - $high / 2;
            $sketch->rect($x, $y, $wide, $high, self::FILLS[$kind]);
            $sketch->words($x + $wide / 2, $y + $high / 2, self::WORDS[$kind], $wide + $high > 80 ? 26 : 20);
            $label = Said::of('Tile :n: :tile', ['n' => $n + 1, 'tile' => self::WORDS[$kind]]);
            $sketch->drag('token', $n, $label, $x, $y, $wide, $high, 38);
        }
        $y = self::HIGH + 12;
        foreach (['+ x²', '+ x', '+ 1'] as $n => $words) {
            $sketch->button('add', $n, Said::of($words), $n * 110, $y, 100);
        }
        $sketch->button('pairs', 0, Said::of('Take zero pairs away'), 340, $y, 230);
        $sketch->button('arrange', 0, Said::of('Arrange'), 580, $y, 140);
    }

    private static function written(int $squares, int $xs, int $ones): string
    {
        $words = '';
        foreach ([$squares, $xs, $ones] as $power => $count) {
            if ($count !== 0) {
                $sign = $count < 0 ? ($words === '' ? '−' : ' − ') : ($words === '' ? '' : ' + ');
                $number = abs($count) === 1 && $power < 2 ? '' : (string) abs($count);
                $words = $words.$sign.$number.($power === 0 ? 'x²' : ($power === 1 ? 'x' : ''));
            }
        }

        return $words === '' ? '0' : $words;
    }

    private static function factor(int $xs, int $ones): string
    {
        $sum = self::written(0, $xs, $ones);

        return $ones === 0 && $xs === 1 ? $sum : '('.$sum.')';
    }

    public static function says(Values $set, Values $state): Said
    {
        [$squares, $xs, $ones] = self::sums($state->list('tokens'));
        $sum = self::written($squares, $xs, $ones);
        $factors = self::factors($squares, $xs, $ones);
        if ($factors === [] || $state->list('tokens') !== self::arranged($squares, $xs, $ones)) {
            return Said::of('Tiles: :sum', ['sum' => $sum]);
        }

        return Said::of('Rectangle: :sum = :factors', [
            'sum' => $sum,
            'factors' => self::factor($factors[0], $factors[1]).self::factor($factors[2], $factors[3]),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $tokens = $state->list('tokens');
        [$squares, $xs, $ones] = self::sums($tokens);

        return [
            'sum' => self::written($squares, $xs, $ones),
            'tiles' => (string) Tokens::count($tokens),
        ];
    }

    public static function factWords(): array
    {
        return ['sum' => 'What the tiles add up to', 'tiles' => 'How many tiles there are'];
    }
}
