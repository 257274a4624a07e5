import { readFileSync } from 'node:fs';
import { decodeInk, encodeInk, type Sample } from '../../resources/ts/canvas/ink';
import { fold, history } from '../../resources/ts/canvas/log';
import type { Operation } from '../../resources/ts/canvas/model';

/*
 * Reads cases as JSON from standard input and answers what the browser's code makes of them, so that a test can hold
 * it against the core: [{"log": [operations]}, {"ink": [samples]}, …].
 */
type Case = { log: Operation[] } | { ink: Sample[] };

const cases = JSON.parse(readFileSync(0, 'utf8')) as Case[];
const answers = cases.map((one) => {
    if ('ink' in one) {
        const text = encodeInk(one.ink);
        return { text, back: decodeInk(text) };
    }
    const scene = fold(one.log);
    const { undo, redo } = history(one.log);
    return {
        backdrop: scene.backdrop,
        objects: [...scene.objects].map(([id, object]) => ({ id, layer: scene.layers.get(id), object })),
        undo: undo ?? null,
        redo: redo ?? null,
    };
});
process.stdout.write(JSON.stringify(answers));
