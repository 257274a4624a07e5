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
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Turn;
use Crag\Manipulative\Values;
use Crag\Manipulative\Written;

/** A spinner with equal sectors, named; a name that stands twice has twice the chance. */
final class Spinner implements Kind
{
    private const RADIUS = 150;

    private const MOST_SPINS = 1000;

    private const MOST = 12;

    private const FILLS = ['sky', 'sand', 'moss', 'clay'];

    public static function settings(): array
    {
        return [
            Setting::words('names', 'Sectors, with commas between them', 'A, B, C, D'),
            Setting::whole('seed', 'Seed', 1, 1, 9999),
        ];
    }

    public static function fields(): array
    {
        return [
            Field::list('counts', self::MOST, 0, self::MOST_SPINS),
            Field::whole('last', 0, self::MOST - 1),
        ];
    }

    /** @return list<string> */
    private static function names(Values $set): array
    {
        $names = array_slice(Written::parts($set->words('names')), 0, self::MOST);

        return $names === [] ? ['1', '2'] : $names;
    }

    public static function start(Values $set): Values
    {
        return Values::of(['counts' => array_fill(0, count(self::names($set)), 0), 'last' => 0]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        if ($act->part === 'again') {
            return self::start($set);
        }
        $counts = $state->list('counts');
        if ($act->part !== 'spin' || count($counts) === 0) {
            return $state;
        }
        $last = $state->int('last');
        for ($i = 0; $i < Tokens::within($act->n, 1, 100); $i++) {
            $spins = array_sum($counts);
            if ($spins < self::MOST_SPINS) {
                $last = Seeded::at($set->int('seed'), $spins + 1, count($counts));
                $counts[$last]++;
            }
        }

        return $state->with('counts', $counts)->with('last', $last);
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $names = self::names($set);
        $counts = $state->list('counts');
        $sketch->size(560, 2 * self::RADIUS);
        $each = 360 / count($names);
        foreach ($names as $i => $name) {
            $fill = count($names) % 4 === 1 && $i === count($names) - 1 ? 'pale' : self::FILLS[$i % 4];
            $piece = Turn::sector(self::RADIUS, self::RADIUS, self::RADIUS, $i * $each, ($i + 1) * $each);
            $sketch->polygon($piece, $fill);
            [$x, $y] = Turn::at(self::RADIUS, self::RADIUS, self::RADIUS * 0.68, ($i + 0.5) * $each);
            $sketch->words($x, $y, $name, mb_strlen($name) > 3 ? 20 : 28);
            if (count($names) <= 9) {
                $sketch->words(340, 20 + $i * 32, $name, 24, 'slate', 'start');
                $sketch->words(540, 20 + $i * 32, (string) ($counts[$i] ?? 0), 24, 'slate', 'end');
            }
        }
        if (array_sum($counts) > 0) {
            // Somewhere within the sector, as a pointer comes to rest.
            $within = 0.15 + Seeded::at($set->int('seed'), array_sum($counts) + 5000, 70) / 100;
            $degrees = ($state->int('last') + $within) * $each;
            [$x, $y] = Turn::at(self::RADIUS, self::RADIUS, self::RADIUS - 26, $degrees);
            $sketch->line([self::RADIUS, self::RADIUS, $x, $y], 'rust', 8);
        }
        $sketch->circle(self::RADIUS, self::RADIUS, 14, 'slate');
        $labels = [Said::of('Spin'), Said::of('Spin 10'), Said::of('Spin 100')];
        Seeded::buttons($sketch, 'spin', $labels, 2 * self::RADIUS + 12);
    }

    public static function says(Values $set, Values $state): Said
    {
        $spins = array_sum($state->list('counts'));

        return $spins === 0
            ? Said::of('Not spun yet')
            : Said::of('Landed on :name, spin :n', [
                'name' => self::names($set)[$state->int('last')] ?? '', 'n' => $spins,
            ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        $spins = array_sum($state->list('counts'));

        return [
            'spins' => (string) $spins,
            'last' => $spins === 0 ? '' : self::names($set)[$state->int('last')] ?? '',
        ];
    }

    public static function factWords(): array
    {
        return ['spins' => 'How often it was spun', 'last' => 'Where it landed last'];
    }
}
