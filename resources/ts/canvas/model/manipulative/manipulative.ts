import { RULES, type Act } from './rules';
import { Field, Setting } from './setting';
import { Sketch } from './sketch';
import type { Sentence } from './said';
import { Values, type Value } from './values';

export type { Act };

/** A piece with settings and a state, its upper left corner in tenths. */
export interface Manipulative {
    type: 'manipulative';
    kind: string;
    x: number;
    y: number;
    settings: Record<string, Value>;
    state: Record<string, Value>;
    /** Whether students may change its settings where it was handed out. */
    free?: true;
    /** Settings that each student is given by the prompt's values, as "{a}". */
    vary?: Record<string, string>;
}

const sketches = new WeakMap<Manipulative, Sketch>();

/** A new one of a kind. */
export function begun(
    kind: string,
    given: Record<string, unknown>,
    [x, y]: readonly [number, number] = [0, 0],
    free = false,
): Manipulative {
    const settings = settingsOf(kind, given);
    const state = RULES[kind]?.start(settings).toArray() ?? {};
    return {
        type: 'manipulative',
        kind,
        x,
        y,
        settings: settings.toArray(),
        state,
        ...(free && { free }),
        ...varied(kind, given),
    };
}

/** Of settings the numbers that a prompt's values give, as Crag\\Manipulative\\ManipulativeKind::varied finds them. */
function varied(kind: string, given: Record<string, unknown>): Pick<Manipulative, 'vary'> {
    const vary = Object.fromEntries(
        (RULES[kind]?.settings() ?? []).flatMap(({ name, first }): [string, string][] => {
            const value = given[name];
            const isVaried = typeof first === 'number' && typeof value === 'string' && /^\{[^{}]{1,60}\}$/u.test(value);
            return isVaried ? [[name, value]] : [];
        }),
    );
    return Object.keys(vary).length === 0 ? {} : { vary };
}

function settingsOf(kind: string, given: Record<string, unknown>): Values {
    const all = RULES[kind]?.settings().map((one): [string, Value] => [one.name, Setting.fitted(one, given[one.name])]);
    return Values.of(Object.fromEntries(all ?? []));
}

/** The same as a page reads it that was sent it: made to fit, as the core does. */
export function readManipulative(object: Manipulative): Manipulative {
    const settings = settingsOf(object.kind, (object.settings as Manipulative['settings'] | undefined) ?? {});
    const state = (object.state as Manipulative['state'] | undefined) ?? {};
    const all = RULES[object.kind]
        ?.fields()
        .map((one): [string, Value] => [one.name, Field.fitted(one, state[one.name])]);
    return { ...object, settings: settings.toArray(), state: Object.fromEntries(all ?? []) };
}

/** One with a change to it, as Crag\Canvas\Object\Manipulative::with makes it. */
export function worked(object: Manipulative, set: Record<string, unknown>): Manipulative {
    const rules = RULES[object.kind];
    if (rules === undefined) {
        return object;
    }
    const given = set.settings as Record<string, unknown> | undefined;
    const settings = given === undefined ? Values.of(object.settings) : settingsOf(object.kind, given);
    let state = given === undefined ? Values.of(object.state) : rules.start(settings);
    if (set.act !== undefined) {
        const { part, n = 0, x = null, y = null, to = null } = set.act as Partial<Act> & Pick<Act, 'part'>;
        state = rules.after(settings, state, { part, n, x, y, to });
    }
    const free = typeof set.free === 'boolean' ? set.free : object.free;
    return {
        type: object.type,
        kind: object.kind,
        x: typeof set.x === 'number' ? set.x : object.x,
        y: typeof set.y === 'number' ? set.y : object.y,
        settings: settings.toArray(),
        state: state.toArray(),
        ...(free === true && { free }),
        ...(given !== undefined ? varied(object.kind, given) : object.vary !== undefined && { vary: object.vary }),
    };
}

/** What of a change counts where it was handed out. */
export function handedOut({ free }: Manipulative, set: Record<string, unknown>): Record<string, unknown> {
    return free === true ? set : Object.fromEntries(Object.entries(set).filter(([name]) => name !== 'settings'));
}

/** What it looks like and what can be taken hold of. */
export function sketchOf(object: Manipulative): Sketch {
    let sketch = sketches.get(object);
    if (sketch === undefined) {
        sketch = new Sketch();
        RULES[object.kind]?.draw(Values.of(object.settings), Values.of(object.state), sketch);
        sketches.set(object, sketch);
    }
    return sketch;
}

/** Whether a hand has done something to it since its settings were chosen. */
export function isWorked(object: Manipulative): boolean {
    const first = RULES[object.kind]?.start(Values.of(object.settings)).toArray();
    return JSON.stringify(first) !== JSON.stringify(object.state);
}

/** What of an instrument guides a pen, in its own units; nothing of others. */
export function guidesOf(object: Manipulative): number[][] {
    return RULES[object.kind]?.guides?.(Values.of(object.settings), Values.of(object.state)) ?? [];
}

/** Its state in a few words. */
export function saidOf(object: Manipulative): Sentence {
    return RULES[object.kind]?.says(Values.of(object.settings), Values.of(object.state)) ?? { words: '', with: {} };
}
