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
use Crag\Manipulative\Written;

/** A load on pulleys: as many ropes as carry it share its weight, and as many times as far the rope is pulled. */
final class Pulley implements Kind
{
    private const MOST_PULLED = 120;

    public static function settings(): array
    {
        return [
            Setting::whole('ropes', 'Ropes that carry the load', 2, 1, 4),
            Setting::whole('load', 'Load, in newtons', 60, 1, 1000),
        ];
    }

    public static function fields(): array
    {
        return [Field::whole('pulled', 0, self::MOST_PULLED)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['pulled' => 0]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        if ($act->part === 'rope' && $act->y !== null) {
            return $state->with('pulled', Tokens::within($act->y - 300, 0, self::MOST_PULLED));
        }
        if ($act->part === 'pull') {
            return $state->with('pulled', Tokens::within($state->int('pulled') + $act->n, 0, self::MOST_PULLED));
        }

        return $state;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $ropes = $set->int('ropes');
        $pulled = $state->int('pulled');
        $floor = 330 - $pulled / $ropes;
        $sketch->size(440, 460);
        $sketch->rect(20, 0, 400, 18, 'wood');
        $left = 150 - $ropes * 22;
        for ($i = 0; $i < $ropes; $i++) {
            $x = $left + $i * 44;
            $sketch->line([$x, 60, $x, $floor], 'slate', 3);
            $sketch->circle($x + 22, 56, 22, 'pale');
            if ($i > 0 && $i % 2 === 0 || $ropes > 1 && $i === $ropes - 1) {
                $sketch->circle($x - 22, $floor, 22, 'pale');
            }
        }
        $handX = $left + $ropes * 44;
        $sketch->line([$handX, 56, $handX, 300 + $pulled], 'slate', 3);
        $sketch->circle($handX, 300 + $pulled, 18, 'ochre');
        $sketch->rect($left - 30, $floor + 20, $ropes * 44 + 20, 76, 'clay', 'slate', 6);
        $sketch->words($left - 20 + $ropes * 22, $floor + 58, $set->int('load').' N', 26);
        $sketch->words($handX + 30, 300 + $pulled, self::effort($set).' N', 26, 'slate', 'start');
        $sketch->drag('rope', 0, Said::of('End of the rope'), $handX - 36, 264 + $pulled, 72, 72, 10);
        $sketch->button('pull', 10, Said::of('Pull 10 cm'), 0, 472, 150);
        $sketch->button('pull', -10, Said::of('Let go 10 cm'), 160, 472, 170);
    }

    private static function effort(Values $set): string
    {
        return Written::fraction($set->int('load'), $set->int('ropes'));
    }

    public static function says(Values $set, Values $state): Said
    {
        return Said::of('Pulled :pulled cm with :effort N, the load is up :up cm', [
            'pulled' => $state->int('pulled'),
            'effort' => self::effort($set),
            'up' => Written::fraction($state->int('pulled'), $set->int('ropes')),
        ]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return [
            'effort' => self::effort($set),
            'pulled' => (string) $state->int('pulled'),
            'up' => Written::fraction($state->int('pulled'), $set->int('ropes')),
        ];
    }

    public static function factWords(): array
    {
        return [
            'effort' => 'The force at the rope, in newtons',
            'pulled' => 'How far the rope is pulled, in centimetres',
            'up' => 'How far the load is up, in centimetres',
        ];
    }
}
