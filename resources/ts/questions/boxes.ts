import type { Asked, Boxes, Spot } from '../protocol/questions';
import { pageBox } from '../canvas/model/bounds';
import type { AnswerValue, Placed } from '../canvas/model/objects';
import type { View } from '../canvas/drawing/view';

/** What a line of typed words takes with its frame, in units: Crag\Prompt\Question\Spot::LINE. */
export const LINE = 48;

/** Those of a prompt's questions that have a place. */
export function boxesAmong(questions: readonly Asked[]): Boxes {
    return questions.flatMap((asked, i): Boxes => (asked.spot === null ? [] : [[i + 1, asked]]));
}

/**
 * The answer boxes of a page as they are seen where nobody answers: under the ink, with what was answered. The server
 * draws the same: Crag\Render\AnswerBoxes.
 */
export class AnswerBoxes {
    private readonly root = Object.assign(document.createElement('div'), { className: 'answer-boxes' });
    private asked: { n: number; asked: Asked; spot: Spot }[] = [];
    private shown = '';

    constructor(
        private readonly view: View,
        /** Whether each says its number: where dots lie over them, those do. */
        private readonly isNumbered = true,
    ) {
        view.onPaper(this.root);
        view.whenSeen(() => this.freshen());
    }

    show(boxes: Boxes): void {
        this.asked = boxes.flatMap(([n, asked]) => (asked.spot === null ? [] : [{ n, asked, spot: asked.spot }]));
        this.freshen();
    }

    private freshen(): void {
        const { scene } = this.view.log;
        const page = [...scene.pages.keys()].indexOf(this.view.page);
        const here = this.asked.filter(({ spot }) => spot.page === page);
        const now = JSON.stringify([page, here.map(({ asked }) => [asked, scene.answers.get(asked.id)])]);
        if (now !== this.shown) {
            this.shown = now;
            this.root.replaceChildren(
                ...here.map(({ n, asked, spot }) => {
                    const root = box(asked, spot, scene.answers.get(asked.id));
                    if (this.isNumbered && asked.kind !== 'space') {
                        root.prepend(span('answer-box-n', String(n)));
                    }
                    return root;
                }),
            );
        }
    }
}

function box(asked: Asked, spot: Spot, value: AnswerValue | undefined): HTMLElement {
    const root = Object.assign(document.createElement('div'), { className: 'answer-box' });
    root.dataset.kind = asked.kind;
    root.style.left = `${spot.x}px`;
    root.style.top = `${spot.y}px`;
    root.style.width = `${spot.w}px`;
    root.style.minHeight = `${spot.h ?? LINE}px`;
    root.toggleAttribute('data-by-hand', isByHand(asked));
    if (spot.bare !== true && asked.words !== '' && !isOnPaper(asked)) {
        root.append(span('answer-box-words', asked.words.replaceAll('$', '')));
    }
    const said = writtenAnswer(asked, value);
    if (said !== '') {
        root.classList.add('is-answered');
        root.append(span('answer-box-said', said));
    }
    return root;
}

/** A part of the page that is written or marked on by hand. */
export function isRoom(kind: Asked['kind']): kind is 'drawing' | 'space' | 'marked' {
    return kind === 'drawing' || kind === 'space' || kind === 'marked';
}

/** Whether it is answered by writing in its box. */
export function isByHand(asked: Asked): asked is Asked & { spot: Spot } {
    return asked.by_hand === true && asked.spot !== null;
}

/** Whether the pen goes through its box onto the page. */
export function isOnPaper(asked: Asked): boolean {
    return isRoom(asked.kind) || isByHand(asked);
}

/** Whether a place on its page lies in a box. */
export function isIn({ x, y, w, h = LINE }: Spot, atX: number, atY: number): boolean {
    return atX >= x && atX <= x + w && atY >= y && atY <= y + h;
}

/** Whether something on its page has its middle in a box: as Crag\Canvas\Scene::answerTo says. */
export function isMiddleIn(spot: Spot, placed: Placed): boolean {
    const { left, top, right, bottom } = pageBox(placed);
    return isIn(spot, (left + right) / 2, (top + bottom) / 2);
}

/** An answer in words; empty for none. */
export function writtenAnswer(asked: Asked, value: AnswerValue | undefined): string {
    if (asked.kind === 'tick') {
        return value === 'ticked' ? '✓' : '';
    }
    if (asked.options === undefined || isRoom(asked.kind)) {
        return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
    }
    const chosen = Array.isArray(value) ? value : [value];
    return asked.options
        .map(({ id, words }, i) => (chosen.includes(id) ? words || String.fromCharCode(65 + i) : ''))
        .filter((words) => words !== '')
        .join(' · ');
}

function span(className: string, textContent: string): HTMLElement {
    return Object.assign(document.createElement('span'), { className, textContent, dir: 'auto' });
}
