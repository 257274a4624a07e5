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

/** Notes on a staff, to be heard: each a step above the lowest line and a length in quarters of a beat. */
final class Staff implements Kind
{
    private const LINE = 26;

    private const TOP = 90;

    private const MOST = 16;

    /** Steps from the line below the staff to the one above it. */
    private const STEPS = 13;

    private const NAMES = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];

    /** Of the lowest step: which name, and in which octave. */
    private const LOWEST = [[0, 4], [2, 2]];

    public static function settings(): array
    {
        return [Setting::choice('clef', 'Clef', ['Treble', 'Bass'])];
    }

    public static function fields(): array
    {
        return [Field::list('notes', self::MOST, 0, 16, 2)];
    }

    public static function start(Values $set): Values
    {
        return Values::of(['notes' => []]);
    }

    public static function after(Values $set, Values $state, Act $act): Values
    {
        $notes = $state->list('notes');
        if ($act->part === 'step' && $act->n >= 0 && $act->n < self::STEPS && count($notes) < 2 * self::MOST) {
            return $state->with('notes', [...$notes, $act->n, 4]);
        }
        if ($act->part === 'back') {
            return $state->with('notes', array_slice($notes, 0, max(0, count($notes) - 2)));
        }
        if ($act->part === 'note' && $act->n >= 0 && 2 * $act->n + 1 < count($notes)) {
            if ($act->y !== null) {
                $step = (int) floor((self::y(0) - $act->y) * 2 / self::LINE + 0.5);
                $notes[2 * $act->n] = Tokens::within($step, 0, self::STEPS - 1);
            } else {
                $length = $notes[2 * $act->n + 1];
                $notes[2 * $act->n + 1] = $length >= 16 ? 1 : $length * 2;
            }

            return $state->with('notes', $notes);
        }

        return $state;
    }

    private static function y(int $step): float
    {
        return self::TOP + 5 * self::LINE - $step * self::LINE / 2;
    }

    public static function draw(Values $set, Values $state, Sketch $sketch): void
    {
        $notes = $state->list('notes');
        $wide = 150 + self::MOST * 52;
        $sketch->size($wide, 300);
        for ($line = 0; $line < 5; $line++) {
            $sketch->line([0, self::TOP + $line * self::LINE, $wide, self::TOP + $line * self::LINE], 'slate', 2);
        }
        // The clef by the name of the line that it stands on.
        $isTreble = $set->int('clef') === 0;
        $clef = $isTreble ? self::y(4) : self::y(8);
        $sketch->circle(28, $clef, 15, 'sand');
        $sketch->words(28, $clef, $isTreble ? 'G' : 'F', 20);
        for ($step = 0; $step < self::STEPS; $step++) {
            $label = Said::of('Add :note', ['note' => self::name($set, $step)]);
            $sketch->press('step', $step, $label, 60, self::y($step) - 6.5, $wide - 60, 13);
        }
        for ($n = 0; 2 * $n + 1 < count($notes); $n++) {
            self::note($set, $sketch, $n, $notes[2 * $n], $notes[2 * $n + 1]);
        }
        $sketch->button('play', 0, Said::of('Play'), 0, 312, 110);
        $sketch->button('back', 0, Said::of('Undo a note'), 120, 312, 150);
    }

    private static function note(Values $set, Sketch $sketch, int $n, int $step, int $length): void
    {
        $x = 100 + $n * 52;
        $y = self::y($step);
        if ($step === 0 || $step === 12) {
            $sketch->line([$x - 22, $y, $x + 22, $y], 'slate', 2);
        }
        $sketch->circle($x, $y, 12, $length >= 8 ? 'paper' : 'slate');
        if ($length < 16) {
            $isUp = $step < 6;
            $stem = $isUp ? $x + 11 : $x - 11;
            $end = $isUp ? $y - 70 : $y + 70;
            $sketch->line([$stem, $y, $stem, $end], 'slate', 3);
            for ($flag = max(1, $length); $flag < 4; $flag *= 2) {
                $at = $end + ($isUp ? 1 : -1) * ($flag === 1 ? 14 : 0);
                $sketch->line([$stem, $at, $stem + 16, $at + ($isUp ? 18 : -18)], 'slate', 3);
            }
        }
        $label = Said::of('Note :n: :note, beats: :beats', [
            'n' => $n + 1, 'note' => self::name($set, $step), 'beats' => Written::fraction($length, 4),
        ]);
        $sketch->drag('note', $n, $label, $x - 24, $y - 24, 48, 48, intdiv(self::LINE, 2));
    }

    private static function name(Values $set, int $step): string
    {
        [$first, $octave] = self::LOWEST[$set->int('clef')] ?? self::LOWEST[0];

        return self::NAMES[($first + $step) % 7].($octave + intdiv($first + $step, 7));
    }

    public static function says(Values $set, Values $state): Said
    {
        $notes = self::written($set, $state);

        return $notes === '' ? Said::of('No notes yet') : Said::of('Notes: :notes', ['notes' => $notes]);
    }

    private static function written(Values $set, Values $state): string
    {
        $notes = $state->list('notes');
        $names = [];
        for ($n = 0; 2 * $n + 1 < count($notes); $n++) {
            $names[] = self::name($set, $notes[2 * $n]);
        }

        return implode(' ', $names);
    }

    /**
     * What sounds: of each note the frequency in hertz, A4 being 440 in equal temperament, and its beats in quarters.
     *
     * @return list<array{float, int}>
     */
    public static function sounds(Values $set, Values $state): array
    {
        $notes = $state->list('notes');
        $sounds = [];
        for ($n = 0; 2 * $n + 1 < count($notes); $n++) {
            [$first, $octave] = self::LOWEST[$set->int('clef')] ?? self::LOWEST[0];
            $step = $first + $notes[2 * $n];
            $semitones = [0, 2, 4, 5, 7, 9, 11][$step % 7] + 12 * ($octave + intdiv($step, 7)) - 57;
            $sounds[] = [440 * 2 ** ($semitones / 12), $notes[2 * $n + 1]];
        }

        return $sounds;
    }

    public static function facts(Values $set, Values $state): array
    {
        $beats = 0;
        $notes = $state->list('notes');
        for ($n = 0; 2 * $n + 1 < count($notes); $n++) {
            $beats += $notes[2 * $n + 1];
        }

        return ['notes' => self::written($set, $state), 'beats' => Written::fraction($beats, 4)];
    }

    public static function factWords(): array
    {
        return ['notes' => 'The notes, as C4 E4 G4', 'beats' => 'How many beats they last'];
    }
}
