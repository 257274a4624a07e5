import { readFileSync } from 'node:fs';
import { decodeInk, encodeInk, type Sample } from '../../resources/ts/canvas/model/ink';
import { fold, history, readScene, type KeptScene, type Scene } from '../../resources/ts/canvas/model/scene';
import { fitShape } from '../../resources/ts/canvas/fit/fit';
import type { Operation } from '../../resources/ts/canvas/model/objects';
import { constructed, type Construct, type Element } from '../../resources/ts/canvas/model/construct/elements';
import { figuresOf, scaleOf } from '../../resources/ts/canvas/model/construct/figures';
import { written as measured } from '../../resources/ts/canvas/model/construct/written';
import {
    readManipulative,
    saidOf,
    sketchOf,
    worked,
    type Manipulative,
} from '../../resources/ts/canvas/model/manipulative/manipulative';
import type { Task } from '../../resources/ts/protocol/tasks';
import { doneTasks, type Facts } from '../../resources/ts/questions/tasks';

/*
 * Reads cases as JSON from standard input and answers what the browser's code makes of them, so that a test can hold
 * it against the core: [{"log": [operations]}, {"kept": scene, "log": [operations]}, {"ink": [samples]}, {"drawn": [samples]}, …].
 */
type Case =
    | { manipulative: Manipulative; sets: Record<string, unknown>[] }
    | { construction: Element[]; set: Record<string, unknown>; scale: Construct['scale'] | null }
    | { log: Operation[]; tasks: Task[]; facts: Facts }
    | { log: Operation[]; kept?: KeptScene }
    | { ink: Sample[] }
    | { drawn: Sample[] };

function written({ pages, pageLayers, objects, answers }: Scene): unknown {
    return {
        pages: [...pages].map(([id, backdrop]) => ({
            id,
            backdrop,
            ...(pageLayers.has(id) && { layer: pageLayers.get(id) }),
        })),
        objects: [...objects].map(([id, { page, ...placed }]) => ({ id, ...placed, ...(page === '' ? {} : { page }) })),
        ...(answers.size > 0 && { answers: [...answers].map(([question, value]) => ({ question, value })) }),
    };
}

const cases = JSON.parse(readFileSync(0, 'utf8')) as Case[];
const answers = cases.map((one) => {
    if ('ink' in one) {
        const text = encodeInk(one.ink);
        return { text, back: decodeInk(text) };
    }
    if ('manipulative' in one) {
        let object = readManipulative(one.manipulative);
        return one.sets.map((set) => {
            object = worked(object, set);
            const { width, height, shapes, parts } = sketchOf(object);
            return { object, size: [width, height], shapes, parts, says: saidOf(object) };
        });
    }
    if ('construction' in one) {
        const object: Construct = { type: 'construction', elements: one.construction, colour: '#25323b', width: 40 };
        const after = constructed(object, one.set);
        const scale = scaleOf(one.scale ?? undefined);
        return {
            figures: [...figuresOf(one.construction, scale)].map(([id, figure]) => ({ id, figure })),
            after: after.elements,
            labels: [...figuresOf(one.construction, scale).values()].flatMap((figure) =>
                figure?.is === 'label' ? [measured(figure, scale)] : [],
            ),
        };
    }
    if ('tasks' in one) {
        const scene = fold(one.log);
        return scene === null ? null : doneTasks(one.tasks, scene, one.facts);
    }
    if ('drawn' in one) {
        return fitShape(one.drawn);
    }
    const scene = fold(one.log, one.kept === undefined ? undefined : readScene(one.kept));
    const { undo, redo } = history(one.log);
    return { scene: scene === null ? null : written(scene), undo: undo ?? null, redo: redo ?? null };
});
process.stdout.write(JSON.stringify(answers));
