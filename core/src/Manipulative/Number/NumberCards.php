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

/** Cards with numbers and signs that are laid in a line. */
final class NumberCards implements Kind
{
    private const WIDE = 800;

    private const HIGH = 330;

    /** The line that is read lies above this. */
    private const LINE = 130;

    private const MOST = 24;

    public static function settings(): array
    {
        return [Setting::words('cards', 'Cards, with commas between them', '1, 2, 3, 4, 5, +, −, =')];
    }

    public static function fields(): array
    {
        return [Field::list('tokens', self::MOST, 0, 1000, Tokens::BY)];
    }

    public static function start(Values $set): Values
    {
        $tokens = [];
        foreach (array_slice(Written::parts($set->words('cards')), 0, self::MOST) as $n => $card) {
            $tokens = Mat::added($tokens, $n, 9, 90, 150);
        }

        return Values::of(['tokens' => $tokens]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $tokens = $state->list('tokens');
        if ($act->part !== 'token' || $act->x === null || $act->n < 0 || $act->n >= Tokens::count($tokens)) {
            return $state;
        }
        $x = Tokens::within($act->x, 36, self::WIDE - 36);
        $y = Tokens::within($act->y ?? 0, 46, self::HIGH - 46);

        return $state->with('tokens', Tokens::moved($tokens, $act->n, $x, $y < self::LINE ? 65 : $y));
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $tokens = $state->list('tokens');
        $cards = Written::parts($set->words('cards'));
        $sketch->size(self::WIDE, self::HIGH);
        $sketch->rect(0, 0, self::WIDE, self::LINE, 'paper', 'lake', 8);
        $sketch->rect(0, self::LINE, self::WIDE, self::HIGH - self::LINE, 'pale', 'stone', 8);
        for ($n = 0; $n < Tokens::count($tokens); $n++) {
            $card = $cards[$tokens[3 * $n]] ?? '';
            $x = $tokens[3 * $n + 1];
            $y = $tokens[3 * $n + 2];
            $sketch->rect($x - 36, $y - 46, 72, 92, 'paper', 'slate', 8);
            $sketch->words($x, $y, $card, mb_strlen($card) > 3 ? 22 : 38);
            $sketch->drag('token', $n, Said::of('Card :card', ['card' => $card]), $x - 36, $y - 46, 72, 92, 40);
        }
    }

    /** The line from left to right. */
    private static function line(Values $set, Values $state): string
    {
        $tokens = $state->list('tokens');
        $cards = Written::parts($set->words('cards'));
        $words = [];
        $beyond = -1;
        for ($step = 0; $step < Tokens::count($tokens); $step++) {
            $next = -1;
            for ($n = 0; $n < Tokens::count($tokens); $n++) {
                // Of cards on the same spot the one that was laid first comes first.
                $place = $tokens[3 * $n + 1] * 100 + $n;
                $isLaid = $tokens[3 * $n + 2] < self::LINE && $place > $beyond;
                if ($isLaid && ($next < 0 || $place < $tokens[3 * $next + 1] * 100 + $next)) {
                    $next = $n;
                }
            }
            if ($next < 0) {
                return implode(' ', $words);
            }
            $beyond = $tokens[3 * $next + 1] * 100 + $next;
            $words[] = $cards[$tokens[3 * $next]] ?? '';
        }

        return implode(' ', $words);
    }

    public static function says(Values $set, Values $state): Said
    {
        $line = self::line($set, $state);

        return $line === '' ? Said::of('No card in the line') : Said::of('Line: :line', ['line' => $line]);
    }

    public static function facts(Values $set, Values $state): array
    {
        return ['line' => self::line($set, $state)];
    }

    public static function factWords(): array
    {
        return ['line' => 'What stands in the line'];
    }
}
