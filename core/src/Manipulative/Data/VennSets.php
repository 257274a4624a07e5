<?php

declare(strict_types=1);

namespace Crag\Manipulative\Data;

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

/** Two or three overlapping sets, and words to be laid into them. */
final class VennSets implements Kind
{
    private const WIDE = 820;

    private const HIGH = 520;

    private const MOST = 24;

    /** Middles of two and of three circles, and their radius. */
    private const TWO = [[300, 260], [520, 260]];

    private const THREE = [[300, 200], [520, 200], [410, 350]];

    private const RADII = [190, 160];

    public static function settings(): array
    {
        return [
            Setting::words('names', 'Two or three names, with commas', 'Even, Multiple of 3'),
            Setting::words('items', 'What is laid into them, with commas', '1, 2, 3, 4, 5, 6, 8, 9, 12'),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('tokens', self::MOST, 0, 1000, Tokens::BY)];
    }

    public static function start(Values $set): Values
    {
        $tokens = [];
        foreach (array_slice(Written::parts($set->words('items')), 0, self::MOST) as $n => $item) {
            $tokens = Mat::added($tokens, $n, 11, 74, self::HIGH);
        }

        return Values::of(['tokens' => $tokens]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $tokens = $state->list('tokens');
        if ($act->part !== 'token' || $act->x === null || $act->n < 0 || $act->n >= Tokens::count($tokens)) {
            return $state;
        }
        $x = Tokens::within($act->x, 20, self::WIDE - 20);
        $y = Tokens::within($act->y ?? 0, 20, self::HIGH + 190);

        return $state->with('tokens', Tokens::moved($tokens, $act->n, $x, $y));
    }

    /** @return list<list<int>> */
    private static function circles(Values $set): array
    {
        return count(Written::parts($set->words('names'))) > 2 ? self::THREE : self::TWO;
    }

    private static function radius(Values $set): int
    {
        return self::RADII[count(self::circles($set)) - 2];
    }

    /** In which of the sets a place lies: 1 for the first, 2 for the second, 4 for the third, added up; −1 below. */
    private static function region(Values $set, int $x, int $y): int
    {
        if ($y > self::HIGH) {
            return -1;
        }
        $region = 0;
        $bit = 1;
        foreach (self::circles($set) as [$atX, $atY]) {
            $isIn = ($x - $atX) ** 2 + ($y - $atY) ** 2 <= self::radius($set) ** 2;
            $region += $isIn ? $bit : 0;
            $bit *= 2;
        }

        return $region;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tokens = $state->list('tokens');
        $names = Written::parts($set->words('names'));
        $items = Written::parts($set->words('items'));
        $rows = intdiv(min(self::MOST, count($items)) + 10, 11);
        $sketch->size(self::WIDE, self::HIGH + 20 + $rows * 74);
        $sketch->rect(0, 0, self::WIDE, self::HIGH, 'paper', 'stone', 8);
        foreach (self::circles($set) as $i => [$x, $y]) {
            $colour = ['lake', 'rust', 'lichen'][$i];
            $sketch->circle($x, $y, self::radius($set), '', $colour);
            $isThird = $i === 2;
            $sketch->words($isThird ? $x : ($i === 0 ? 30 : self::WIDE - 30), $isThird ? 500 : 34,
                $names[$i] ?? '', 26, $colour, $isThird ? 'middle' : ($i === 0 ? 'start' : 'end'));
        }
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            $item = $items[$tokens[3 * $n]] ?? '';
            $x = $tokens[3 * $n + 1];
            $y = $tokens[3 * $n + 2];
            $sketch->rect($x - 33, $y - 22, 66, 44, 'sand', 'slate', 8);
            $sketch->words($x, $y, $item, mb_strlen($item) > 4 ? 15 : 24);
            $sketch->drag('token', $n, Said::of(':item', ['item' => $item]), $x - 33, $y - 26, 66, 52, 37);
        }
    }

    /** The items in a region, with commas. */
    private static function in(Values $set, Values $state, int $region): string
    {
        $tokens = $state->list('tokens');
        $items = Written::parts($set->words('items'));
        $found = [];
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            if (self::region($set, $tokens[3 * $n + 1], $tokens[3 * $n + 2]) === $region) {
                $found[] = $items[$tokens[3 * $n]] ?? '';
            }
        }

        return implode(', ', $found);
    }

    public static function says(Values $set, Values $state): Said
    {
        $tokens = $state->list('tokens');
        $laid = 0;
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            $laid += self::region($set, $tokens[3 * $n + 1], $tokens[3 * $n + 2]) >= 0 ? 1 : 0;
        }
        $with = ['laid' => $laid, 'all' => Tokens::count($tokens), 'both' => self::in($set, $state, 3)];

        return $with['both'] === ''
            ? Said::of(':laid of :all laid, none in both', $with)
            : Said::of(':laid of :all laid, in both: :both', $with);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'first' => self::in($set, $state, 1),
            'second' => self::in($set, $state, 2),
            'both' => self::in($set, $state, 3),
            'outside' => self::in($set, $state, 0),
            'all_three' => self::in($set, $state, 7),
        ];
    }

    public static function factWords(): array
    {
        return [
            'first' => 'What is in the first set only, with commas',
            'second' => 'What is in the second set only, with commas',
            'both' => 'What is in both, with commas',
            'outside' => 'What is outside, with commas',
            'all_three' => 'What is in all three, with commas',
        ];
    }
}
