import type { BoxShape, PointShape, Text } from '../model/objects';

export type ToolName =
    'pen' | 'highlighter' | 'eraser' | 'move' | 'shapes' | 'text' | 'maths' | 'note' | 'stamps' | 'picture';

/** What is chosen in the tray. Widths are tenths of a unit, sizes units. */
export interface Settings {
    tool: ToolName;
    colour: string;
    width: number;
    highlight: string;
    shape: BoxShape['type'] | PointShape['type'];
    filled: boolean;
    /** Equal sides, and lines in steps of 15°: what Shift does while it is held. */
    even: boolean;
    rub: 'whole' | 'part';
    /** How far the eraser reaches, in CSS pixels. */
    reach: number;
    select: 'box' | 'lasso';
    size: number;
    align: Text['align'];
    note: string;
    stamp: string;
    snap: boolean;
}

export function firstSettings(stamp: string): Settings {
    return {
        tool: 'pen',
        colour: '#25323b',
        width: 40,
        highlight: '#f2d43d',
        shape: 'line',
        filled: false,
        even: false,
        rub: 'whole',
        reach: 12,
        select: 'box',
        size: 36,
        align: 'start',
        note: '#f8e9ae',
        stamp,
        snap: false,
    };
}

/** A highlighter's line is so many times as wide as a pen's of the same setting. */
export const HIGHLIGHT_WIDER = 6;
