<?php

declare(strict_types=1);

namespace Crag\Manipulative\Science;

use Crag\Manipulative\Act;
use Crag\Manipulative\Field;
use Crag\Manipulative\Kind;
use Crag\Manipulative\Said;
use Crag\Manipulative\Setting;
use Crag\Manipulative\Sketch;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Values;

/** A spring that stretches by its load (Hooke: the extension is proportional to the force). */
final class Spring implements Kind
{
    private const MOST = 12;

    public static function settings(): array
    {
        return [
            Setting::whole('stretch', 'Stretches by this for each newton, in millimetres', 5, 1, 20),
            Setting::whole('weight', 'One load, in newtons', 1, 1, 10),
            Setting::whole('length', 'Length without a load, in millimetres', 80, 40, 150),
        ];
    }

    public static function fields(): array
    {
        return [Field::whole('loads', 0, self::MOST)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['loads' => 0]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $by = $act->part === 'add' ? 1 : ($act->part === 'take' ? -1 : 0);

        return $state->with('loads', Tokens::within($state->int('loads') + $by, 0, self::MOST));
    }

    private static function extension(Values $set, Values $state): int
    {
        return $state->int('loads') * $set->int('weight') * $set->int('stretch');
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $all = $set->int('length') + self::MOST * $set->int('weight') * $set->int('stretch');
        // The longest that it can become has room.
        $scale = min(1.6, 380 / $all);
        $length = ($set->int('length') + self::extension($set, $state)) * $scale;
        $sketch->size(340, 560);
        $sketch->rect(20, 0, 220, 18, 'wood');
        $points = [130, 18, 130, 30];
        for ($i = 0; $i < 16; $i++) {
            $points = [...$points, $i % 2 === 0 ? 100 : 160, 30 + ($i + 0.5) * ($length - 24) / 16];
        }
        $sketch->line([...$points, 130, $length + 6, 130, $length + 18], 'slate', 3);
        for ($i = 0; $i < $state->int('loads'); $i++) {
            $sketch->rect(98, $length + 18 + $i * 11, 64, 10, 'clay', 'slate', 2);
        }
        $every = $scale * 10 >= 24 ? 10 : ($scale * 20 >= 24 ? 20 : ($scale * 50 >= 24 ? 50 : 200));
        $sketch->line([270, 18, 270, 18 + $all * $scale], 'slate', 2);
        for ($mark = 0; $mark <= $all; $mark += $every) {
            $sketch->line([262, 18 + $mark * $scale, 278, 18 + $mark * $scale], 'slate', 2);
            $sketch->words(286, 18 + $mark * $scale, (string) $mark, 18, 'slate', 'start');
        }
        $sketch->line([168, 18 + $length, 262, 18 + $length], 'rust', 2, true);
        $sketch->button('add', 0, Said::of('+ load'), 0, 572, 120);
        $sketch->button('take', 0, Said::of('− load'), 130, 572, 120);
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of(':force N stretches it by :by mm', [
            'force' => $state->int('loads') * $set->int('weight'),
            'by' => self::extension($set, $state),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'force' => (string) ($state->int('loads') * $set->int('weight')),
            'extension' => (string) self::extension($set, $state),
            'length' => (string) ($set->int('length') + self::extension($set, $state)),
        ];
    }

    public static function factWords(): array
    {
        return [
            'force' => 'The force on it, in newtons',
            'extension' => 'How far it is stretched, in millimetres',
            'length' => 'How long it is, in millimetres',
        ];
    }
}
