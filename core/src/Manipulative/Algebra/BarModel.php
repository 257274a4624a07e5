<?php

declare(strict_types=1);

namespace Crag\Manipulative\Algebra;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** Bars cut into parts, each as long as a number is large, typed or pulled; a part can be unknown. */
final class BarModel implements Kind
{
    private const BARS = 3;

    private const PARTS = 8;

    private const WIDE = 700;

    private const FILLS = ['sky', 'sand', 'moss', 'clay'];

    public static function settings(): array
    {
        return [
            Setting::words('first', 'Parts of the first bar', '12, 8'),
            Setting::words('second', 'Parts of the second bar', '20'),
            Setting::words('third', 'Parts of the third bar', ''),
        ];
    }

    public static function fields(): array
    {
        return [
            Field::list('bars', self::BARS, 0, self::PARTS),
            Field::list('lengths', self::BARS * self::PARTS, 1, 1000),
            Field::list('unknown', self::BARS * self::PARTS, 0, 1),
        ];
    }

    public static function start(Values $set): Values
    {
        $bars = [];
        $lengths = array_fill(0, self::BARS * self::PARTS, 10);
        $unknown = array_fill(0, self::BARS * self::PARTS, 0);
        foreach (['first', 'second', 'third'] as $bar => $name) {
            $parts = array_slice(Written::parts($set->words($name)), 0, self::PARTS);
            $bars[] = count($parts);
            foreach ($parts as $i => $part) {
                $isNumber = ctype_digit($part) && strlen($part) < 4 && (int) $part > 0;
                $lengths[$bar * self::PARTS + $i] = $isNumber ? (int) $part : 10;
                $unknown[$bar * self::PARTS + $i] = $isNumber ? 0 : 1;
            }
        }

        return Values::of(['bars' => $bars, 'lengths' => $lengths, 'unknown' => $unknown]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $bars = $state->list('bars');
        $lengths = $state->list('lengths');
        $unknown = $state->list('unknown');
        $isWhole = count($bars) === self::BARS && count($lengths) === self::BARS * self::PARTS;
        if (! $isWhole || count($unknown) !== self::BARS * self::PARTS) {
            return self::start($set);
        }
        $n = $act->n;
        if ($act->part === 'more' && $n >= 0 && $n < self::BARS && $bars[$n] < self::PARTS) {
            $lengths[$n * self::PARTS + $bars[$n]] = 10;
            $unknown[$n * self::PARTS + $bars[$n]] = 0;
            $bars[$n]++;
        } elseif ($act->part === 'fewer' && $n >= 0 && $n < self::BARS && $bars[$n] > 0) {
            $bars[$n]--;
        } elseif ($n < 0 || $n >= self::BARS * self::PARTS) {
            return $state;
        } elseif ($act->part === 'length' && $act->to !== null) {
            $lengths[$n] = Tokens::within($act->to, 1, 1000);
            $unknown[$n] = 0;
        } elseif ($act->part === 'unknown') {
            $unknown[$n] = 1 - $unknown[$n];
        } elseif ($act->part === 'edge' && $act->x !== null) {
            $left = 0;
            for ($i = intdiv($n, self::PARTS) * self::PARTS; $i < $n; $i++) {
                $left += $lengths[$i];
            }
            $at = (int) floor($act->x * self::longest($state) / self::WIDE + 0.5);
            $lengths[$n] = Tokens::within($at - $left, 1, 1000);
        }

        return $state->with('bars', $bars)->with('lengths', $lengths)->with('unknown', $unknown);
    }

    private static function total(Values $state, int $bar): int
    {
        $first = $bar * self::PARTS;

        return array_sum(array_slice($state->list('lengths'), $first, $state->list('bars')[$bar] ?? 0));
    }

    private static function longest(Values $state): int
    {
        return max(10, self::total($state, 0), self::total($state, 1), self::total($state, 2));
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $bars = $state->list('bars');
        $longest = self::longest($state);
        $sketch->size(self::WIDE + 110, 300);
        foreach ($bars as $bar => $count) {
            $x = 0;
            $y = $bar * 104;
            for ($i = 0; $i < $count; $i++) {
                $n = $bar * self::PARTS + $i;
                $length = $state->list('lengths')[$n] ?? 1;
                $wide = $length * self::WIDE / $longest;
                $isUnknown = ($state->list('unknown')[$n] ?? 0) === 1;
                $sketch->rect($x, $y, $wide, 76, self::FILLS[$i % 4]);
                $sketch->words($x + $wide / 2, $y + 38, $isUnknown ? '?' : (string) $length, $wide < 40 ? 20 : 30);
                $label = Said::of('Part :n of bar :bar', ['n' => $i + 1, 'bar' => $bar + 1]);
                $sketch->type('length', $n, $label, $x, $y, $wide, 44, $length);
                $hide = Said::of('Part :n of bar :bar: known or not', ['n' => $i + 1, 'bar' => $bar + 1]);
                $sketch->press('unknown', $n, $hide, $x, $y + 44, $wide, 32);
                $x += $wide;
                $end = Said::of('End of part :n of bar :bar', ['n' => $i + 1, 'bar' => $bar + 1]);
                $sketch->drag('edge', $n, $end, $x - 12, $y, 24, 76, (int) ceil(self::WIDE / $longest));
            }
            if ($count > 0) {
                $sketch->words($x + 12, $y + 38, '= '.self::sum($state, $bar), 26, 'stone', 'start');
            }
            $sketch->button('more', $bar, Said::of('+ part'), self::WIDE + 130, $y + 10, 100);
            $sketch->button('fewer', $bar, Said::of('− part'), self::WIDE + 240, $y + 10, 100);
        }
    }

    private static function sum(Values $state, int $bar): string
    {
        $hidden = 0;
        for ($i = 0; $i < ($state->list('bars')[$bar] ?? 0); $i++) {
            $hidden += $state->list('unknown')[$bar * self::PARTS + $i] ?? 0;
        }

        return $hidden > 0 ? '?' : (string) self::total($state, $bar);
    }

    private static function bar(Values $state, int $bar): string
    {
        $parts = [];
        for ($i = 0; $i < ($state->list('bars')[$bar] ?? 0); $i++) {
            $n = $bar * self::PARTS + $i;
            $isUnknown = ($state->list('unknown')[$n] ?? 0) === 1;
            $parts[] = $isUnknown ? '?' : (string) ($state->list('lengths')[$n] ?? 1);
        }

        return implode(' + ', $parts);
    }

    public static function says(Values $set, Values $state): Said
    {
        $all = [];
        for ($bar = 0; $bar < self::BARS; $bar++) {
            $words = self::bar($state, $bar);
            if ($words !== '') {
                $all[] = $words;
            }
        }

        return Said::of('Bars: :all', ['all' => implode('; ', $all)]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'first' => (string) self::total($state, 0),
            'second' => (string) self::total($state, 1),
            'equal' => self::total($state, 0) === self::total($state, 1) ? 'yes' : 'no',
        ];
    }

    public static function factWords(): array
    {
        return [
            'first' => 'How long the first bar is',
            'second' => 'How long the second bar is',
            'equal' => 'Whether the first two are equally long (yes or no)',
        ];
    }
}
