import type { BoxShape, PointShape, ShapeLook, Text } from '../model/objects';
import { LIGHT } from '../model/shapelook';
import type { ElementKind } from '../model/construct/elements';
import type { Typed } from '../model/construct/numbers';

/** What the tray offers: a kind of element, or taking one away. */
export type ConstructChoice = ElementKind | 'drop';

export type ToolName =
    | 'pen'
    | 'highlighter'
    | 'eraser'
    | 'move'
    | 'shapes'
    | 'text'
    | 'maths'
    | 'construct'
    | 'pieces'
    | 'note'
    | 'stamps'
    | 'picture';

/** What is chosen in the tray. Widths are tenths of a unit, sizes units. */
export interface Settings {
    tool: ToolName;
    colour: string;
    width: number;
    highlight: string;
    shape: BoxShape['type'] | PointShape['type'];
    /** What the next taps construct. */
    construct: ConstructChoice;
    /** The corners, degrees, times and radius that were typed. */
    constructNumbers: Typed;
    /** The kind of manipulative that is put next. */
    piece: string;
    /** The subject whose manipulatives are shown. */
    subject: string;
    filled: boolean;
    fill: string;
    strength: number;
    line: 'solid' | 'dashed' | 'dotted';
    /** As the shape usually ends, while nothing else is chosen. */
    ends: 'none' | 'end' | 'both' | null;
    /** Equal sides, and lines in steps of 15°: what Shift does while it is held. */
    even: boolean;
    rub: 'whole' | 'part';
    /** How far the eraser reaches, in CSS pixels. */
    reach: number;
    select: 'box' | 'lasso';
    size: number;
    align: Text['align'];
    list: 'none' | 'bullets' | 'numbers';
    face: 'plain' | 'code';
    note: string;
    stamp: string;
    /** The subject whose stamps are shown. */
    stamps: string;
    /** Which place of the stamp, on its field of 100, stands where one taps. */
    anchor: [x: number, y: number];
    snap: boolean;
    /** Whether a stroke that is held still becomes the shape that it was meant as: where shapes may be drawn. */
    straightens: boolean;
    /** As what ink that was read may be set in type here. */
    typesets: 'maths' | 'text' | 'nothing';
    /** Whether any tool moves a piece that is dragged: where things may be moved. */
    movesPieces: boolean;
}

export function firstSettings(stamp: string): Settings {
    return {
        tool: 'pen',
        colour: '#25323b',
        width: 40,
        highlight: '#f2d43d',
        shape: 'line',
        construct: 'segment',
        constructNumbers: {},
        piece: 'fraction_bar',
        subject: 'Number',
        filled: false,
        fill: 'own',
        strength: LIGHT,
        line: 'solid',
        ends: null,
        even: false,
        rub: 'whole',
        reach: 12,
        select: 'box',
        size: 36,
        align: 'start',
        list: 'none',
        face: 'plain',
        note: '#f8e9ae',
        stamp,
        stamps: 'marks',
        anchor: [50, 50],
        snap: false,
        straightens: true,
        typesets: 'maths',
        movesPieces: true,
    };
}

/** A highlighter's line is so many times as wide as a pen's of the same setting. */
export const HIGHLIGHT_WIDER = 6;

/** How the next shape will look. */
export function nextLook({ colour, width, filled, fill, strength, line, ends }: Settings): ShapeLook {
    return { colour, width, filled, fill, strength, line, ...(ends !== null && { ends }) };
}

/** A shape of the chosen kind, as it will look. */
export function sampleShape(settings: Settings): BoxShape | PointShape {
    const { shape } = settings;
    return shape === 'polygon' || shape === 'curve'
        ? { type: shape, points: [0, 0, 10, 0, 0, 10], ...nextLook(settings) }
        : { type: shape, x: 0, y: 0, w: 0, h: 0, ...nextLook(settings) };
}
