<?php

declare(strict_types=1);

namespace Crag\Manipulative\Number;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Turn;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** A number line on which one jumps. Places and jumps are counted in parts of a whole. */
final class NumberLine implements Kind
{
    private const WIDE = 1100;

    private const LINE = 190;

    private const MOST_JUMPS = 20;

    /** As many ticks are numbered at most. */
    private const NUMBERED = 24;

    private const EVERY = [1, 2, 5, 10, 20, 50, 100, 200, 500];

    public static function settings(): array
    {
        return [
            Setting::whole('from', 'From', 0, -1000, 1000),
            Setting::whole('to', 'To', 10, -1000, 1000),
            Setting::whole('parts', 'Steps in each whole', 1, 1, 12),
            Setting::whole('at', 'Start at', 0, -1000, 1000),
        ];
    }

    public static function fields(): array
    {
        return [Field::list('jumps', self::MOST_JUMPS, -24_000, 24_000)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['jumps' => []]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $jumps = $state->list('jumps');
        if ($act->part === 'back') {
            return $state->with('jumps', array_slice($jumps, 0, max(0, count($jumps) - 1)));
        }
        if ($act->part === 'clear') {
            return $state->with('jumps', []);
        }
        if ($act->part !== 'end' || $act->x === null || count($jumps) >= self::MOST_JUMPS) {
            return $state;
        }
        $least = self::least($set);
        $place = (int) floor($act->x * self::length($set) / self::WIDE + 0.5);
        $jump = $least + Tokens::within($place, 0, self::length($set)) - self::at($set, $state);

        return $jump === 0 ? $state : $state->with('jumps', [...$jumps, $jump]);
    }

    private static function least(Values $set): int
    {
        return min($set->int('from'), $set->int('to')) * $set->int('parts');
    }

    /** From one end to the other, in parts; never none. */
    private static function length(Values $set): int
    {
        return max(1, abs($set->int('to') - $set->int('from'))) * $set->int('parts');
    }

    private static function first(Values $set): int
    {
        $least = self::least($set);

        return Tokens::within($set->int('at') * $set->int('parts'), $least, $least + self::length($set));
    }

    private static function at(Values $set, Values $state): int
    {
        return self::first($set) + array_sum($state->list('jumps'));
    }

    private static function placeOf(Values $set, int $value): float
    {
        return ($value - self::least($set)) * self::WIDE / self::length($set);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $length = self::length($set);
        $parts = $set->int('parts');
        $sketch->size(self::WIDE, 250);
        $sketch->line([0, self::LINE, self::WIDE, self::LINE], 'slate', 3);
        $every = self::every(intdiv($length, $parts));
        $tick = $length <= 240 ? 1 : $parts * $every;
        for ($i = 0; $i <= $length; $i += $tick) {
            $value = self::least($set) + $i;
            $x = $i * self::WIDE / $length;
            $isWhole = $value % $parts === 0;
            $isNumbered = $isWhole && intdiv($value, $parts) % $every === 0;
            $high = $isNumbered ? 16 : ($isWhole ? 12 : 7);
            $sketch->line([$x, self::LINE - $high, $x, self::LINE + $high], 'slate', 2);
            if ($isNumbered) {
                $sketch->words($x, self::LINE + 38, Written::whole(intdiv($value, $parts)), 26);
            }
        }
        $from = self::first($set);
        foreach ($state->list('jumps') as $n => $jump) {
            self::arc($sketch, self::placeOf($set, $from), self::placeOf($set, $from + $jump));
            $middle = (self::placeOf($set, $from) + self::placeOf($set, $from + $jump)) / 2;
            $words = ($jump > 0 ? '+' : '').Written::fraction($jump, $parts);
            $sketch->words($middle, $n % 2 === 0 ? 56 : 24, $words, 24, 'lake');
            $from += $jump;
        }
        $end = self::placeOf($set, $from);
        $sketch->circle($end, self::LINE, 16, 'ochre');
        $step = (int) ceil(self::WIDE / $length);
        $label = Said::of('Jump from :n', ['n' => Written::fraction($from, $parts)]);
        $sketch->drag('end', 0, $label, $end - 36, self::LINE - 36, 72, 72, $step);
        $sketch->button('back', 0, Said::of('Undo a jump'), 0, 262, 180);
        $sketch->button('clear', 0, Said::of('Start again'), 190, 262, 180);
    }

    /** How far numbers stand apart, so that no more than a few are written. */
    private static function every(int $wholes): int
    {
        foreach (self::EVERY as $every) {
            if (intdiv($wholes, $every) <= self::NUMBERED) {
                return $every;
            }
        }

        return 1000;
    }

    private static function arc(Sketch $sketch, float $from, float $to): void
    {
        $middle = ($from + $to) / 2;
        $radius = abs($to - $from) / 2;
        $high = min(110, 40 + $radius / 3);
        $points = [];
        for ($i = 0; $i <= 24; $i++) {
            [$x, $y] = Turn::at(0, 0, 1, -90 + $i * 7.5);
            $points = [...$points, $middle + $x * ($to - $from) / 2, self::LINE + $y * $high];
        }
        $sketch->line($points, 'lake', 3);
        $side = $to > $from ? -1 : 1;
        $tip = [$to + $side * 16, self::LINE - 18, $to, self::LINE, $to + $side * -2, self::LINE - 24];
        $sketch->line($tip, 'lake', 3);
    }

    public static function says(Values $set, Values $state): Said
    {
        $parts = $set->int('parts');
        $at = Written::fraction(self::at($set, $state), $parts);
        if ($state->list('jumps') === []) {
            return Said::of('At :n, no jumps yet', ['n' => $at]);
        }

        return Said::of('From :from, jumps :jumps: at :n', [
            'from' => Written::fraction(self::first($set), $parts),
            'jumps' => self::jumps($set, $state),
            'n' => $at,
        ]);
    }

    private static function jumps(Values $set, Values $state): string
    {
        $jumps = [];
        foreach ($state->list('jumps') as $jump) {
            $jumps[] = ($jump > 0 ? '+' : '').Written::fraction($jump, $set->int('parts'));
        }

        return implode(', ', $jumps);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'at' => Written::fraction(self::at($set, $state), $set->int('parts')),
            'jumps' => (string) count($state->list('jumps')),
        ];
    }

    public static function factWords(): array
    {
        return ['at' => 'Where the jumps end', 'jumps' => 'How many jumps there are'];
    }
}
