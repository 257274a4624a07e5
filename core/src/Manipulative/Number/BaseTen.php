<?php

declare(strict_types=1);

namespace Crag\Manipulative\Number;

use Crag\Manipulative\Act;
use Crag\Manipulative\Columns;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Values;

/** Cubes, squares, rods and ones: ten of each are one of the next. */
final class BaseTen implements Kind
{
    private const WIDE = 200;

    private const HIGH = 400;

    /** How many lie beside each other, and how far apart, by the power of ten. */
    private const ACROSS = [6, 9, 3, 3];

    private const APART = [28, 19, 58, 58];

    private const DOWN = [28, 126, 58, 58];

    private const WORDS = ['Ones', 'Tens', 'Hundreds', 'Thousands'];

    public static function settings(): array
    {
        return [
            Setting::whole('columns', 'Columns', 3, 2, 4),
            Setting::whole('value', 'Start with', 0, 0, 9999),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('counts', 4, 0, Columns::MOST)];
    }

    public static function start(Values $set): Values
    {
        $counts = [];
        for ($power = $set->int('columns') - 1; $power >= 0; $power--) {
            $counts[] = intdiv($set->int('value'), 10 ** $power) % 10;
        }

        return Values::of(['counts' => $counts]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        return $state->with('counts', Columns::after($state->list('counts'), $act));
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $counts = $state->list('counts');
        $sketch->size(count($counts) * self::WIDE, self::HIGH);
        foreach ($counts as $n => $count) {
            $power = count($counts) - 1 - $n;
            $x = $n * self::WIDE;
            $sketch->rect($x, 0, self::WIDE, self::HIGH, 'paper', 'stone');
            $sketch->words($x + self::WIDE / 2, 26, self::WORDS[$power], 26);
            for ($i = 0; $i < $count; $i++) {
                $left = $x + 14 + $i % self::ACROSS[$power] * self::APART[$power];
                self::block($sketch, $power, $left, 56 + intdiv($i, self::ACROSS[$power]) * self::DOWN[$power]);
            }
            $above = $n > 0 && $count >= 10 ? (string) 10 ** ($power + 1) : '';
            $below = Columns::breaks($counts, $n) ? (string) 10 ** ($power - 1) : '';
            Columns::buttons($sketch, $n, (string) 10 ** $power, $above, $below, $x + 12, self::HIGH + 12);
        }
    }

    private static function block(Sketch $sketch, int $power, int $x, int $y): void
    {
        if ($power === 0) {
            $sketch->rect($x, $y, 22, 22, 'sand');
        } elseif ($power === 1) {
            $sketch->rect($x, $y, 12, 120, 'moss');
            for ($i = 1; $i < 10; $i++) {
                $sketch->line([$x, $y + 12 * $i, $x + 12, $y + 12 * $i], 'slate', 1);
            }
        } else {
            $sketch->rect($x, $y, 50, 50, $power === 2 ? 'sky' : 'clay');
            for ($i = 1; $i < 10; $i++) {
                $sketch->line([$x, $y + 5 * $i, $x + 50, $y + 5 * $i], 'stone', 1);
                $sketch->line([$x + 5 * $i, $y, $x + 5 * $i, $y + 50], 'stone', 1);
            }
            if ($power === 3) {
                $sketch->polygon([$x, $y, $x + 5, $y - 7, $x + 57, $y - 7, $x + 50, $y], 'clay');
                $sketch->polygon([$x + 50, $y, $x + 57, $y - 7, $x + 57, $y + 43, $x + 50, $y + 50], 'clay');
            }
        }
    }

    public static function says(Values $set, Values $state): Said
    {
        $counts = $state->list('counts');

        return Said::of(':n in blocks: :blocks', ['n' => self::value($counts), 'blocks' => implode(' + ', $counts)]);
    }

    /** @param  list<int>  $counts */
    private static function value(array $counts): int
    {
        $value = 0;
        foreach ($counts as $count) {
            $value = $value * 10 + $count;
        }

        return $value;
    }

    public static function facts(Values $set, Values $state): array
    {
        $counts = $state->list('counts');

        return ['value' => (string) self::value($counts), 'blocks' => (string) array_sum($counts)];
    }

    public static function factWords(): array
    {
        return ['value' => 'What the blocks are worth', 'blocks' => 'How many blocks there are'];
    }
}
