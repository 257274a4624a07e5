<?php

declare(strict_types=1);

namespace App\Http\Words;

/**
 * The desk's keys, once: the script binds what stands here, and the window of keys lists it. A key without an action is
 * one of the grid's own (resources/ts/desk/watch/looking.ts).
 */
final class DeskKeys
{
    /**
     * @return array<string, list<array{list<string>, ?string, string}>> by heading: the keys, the action's name, and
     *      what it does
     */
    public static function all(): array
    {
        return [
            __('The class') => [
                [['p'], 'pens', __('pens down for everyone, and up again')],
                [['s'], 'show-panel', __('what the class sees, and take it down')],
                [['a'], 'ask', __('quick ask: then C, Y, N, W, S or H asks at once')],
                [['/'], 'ask-step', __('the answers to the ask: the bars, the right one, hidden again')],
                [['h'], 'hand-out', __('hand out')],
                [['f'], 'lead', __('lead canvas, and back to the grid')],
                [['y'], 'waiting', __('who is waiting')],
                [['g'], 'gather', __('bring everyone to the prompt you’re looking at')],
                [['t'], 'timer', __('timer')],
                [['d'], 'door', __('door and seats')],
                [['k'], 'pick', __('pick a student')],
                [['i'], 'done', __('what was done, and undo it')],
            ],
            __('The grid') => [
                [['← ↑ → ↓'], null, __('from tile to tile')],
                [['Enter'], null, __('close-up')],
                [['x'], null, __('choose this tile, or not')],
                [['Shift+← →'], null, __('choose on the way')],
                [['Ctrl+A'], null, __('choose all that are shown')],
                [['w'], 'write', __('write to this student')],
                [['v'], 'compare', __('compare what is chosen')],
                [['z'], 'drawn-part', __('the part that is drawn on, or whole pages')],
                [['+', '='], 'larger', __('larger tiles')],
                [['-'], 'smaller', __('smaller tiles')],
                [['n'], 'names', __('names on this desk: names, seat numbers, hidden')],
                [['b'], 'shield', __('Shield: hide everything on this desk')],
            ],
            __('Checks') => [
                [['0 1 2 3'], null, __('check: No attempt, Not yet, Nearly, Secure')],
                [['Del'], null, __('take the check away')],
                [['.'], 'note', __('write a note, in the close-up; Enter to go on')],
                [['7', '8', '9'], 'phrase', __('one of your first three phrases, in the close-up')],
                [[';'], 'points-more', __('a point more, in the close-up')],
                [[','], 'points-less', __('a point less, in the close-up')],
                [['q'], 'pass', __('check pass: one canvas after the other, one key each')],
                [['m'], 'picture', __('class picture and next groups')],
            ],
            __('Showing work') => [
                [['j'], 'line-up', __('into the line-up')],
                [['['], 'show-previous', __('show the one before')],
                [[']'], 'show-next', __('show the next one')],
                [['u'], 'talking', __('draw over what the class sees')],
                [['e'], 'offers', __('what students offer')],
            ],
            __('In the close-up') => [
                [['← →'], null, __('the one before, the next one')],
                [['c'], 'coach', __('coach ink')],
                [['o'], 'notes', __('private notes')],
                [['r'], 'replay', __('Replay')],
                [['l'], 'last-look', __('as it was when a teacher last looked')],
                [['v'], null, __('compare with an earlier moment')],
            ],
            __('Anywhere') => [
                [['Esc'], null, __('close what is open, choose nothing')],
                [['?'], 'keys', __('these keys')],
            ],
        ];
    }

    /** @return array<string, string> by key, the name of what it does */
    public static function bound(): array
    {
        $bound = [];
        foreach (array_merge(...array_values(self::all())) as [$keys, $action]) {
            if ($action !== null) {
                $bound += array_fill_keys($keys, $action);
            }
        }

        return $bound;
    }
}
