import { guidesOf, isWorked, readManipulative, saidOf } from '../canvas/model/manipulative/manipulative';
import { sentence } from '../said';
import { wordFor } from '../protocol/wordfor';
import { decodeInk } from '../canvas/model/ink';
import type { Operation, WetInk } from '../canvas/model/objects';
import type { KeptScene } from '../canvas/model/scene';
import type { Noticed } from '../protocol/desk';
import { pageBox, union, type Box } from '../canvas/model/bounds';
import { drawnPart, whole } from '../canvas/drawing/camera';
import { View } from '../canvas/drawing/view';
import { AnswerBoxes } from '../questions/boxes';
import { element, fill } from '../page';
import type { MemberAnswer, SeatAnswer, StateAnswer } from '../protocol/desk';
import type { DeskWords } from '../protocol/words';
import { present } from '../present';

/** Which pages of its canvas a tile shows: where the student is, all of them, or the one with a number, from 0. */
export type PagesShown = 'theirs' | 'all' | number;

/** What can be shown before it is stored: nothing that would make this page ask for a picture. */
const SHOWN_WET = new Set([
    'text',
    'note',
    'line',
    'arrow',
    'rectangle',
    'ellipse',
    'triangle',
    'polygon',
    'curve',
    'manipulative',
]);
/** A stroke whose dry form never came is let go after so long. */
const WET_LIFE_MS = 15_000;
/** So long after the last wet point the frame still says that it is drawn on. */
const DRAWING_MS = 4000;
/** What is counted on the server when a check comes in is told so long after at most. */
const COUNTED_MS = 1500;
/** No line in a tile is thinner, in CSS pixels. */
const THINNEST = 0.9;
/** With all pages in one tile, so many at most. */
const MOST_PAGES = 9;
/** So many operations more, and what is old of a log is folded. */
const FOLD_EVERY = 200;

/** One student's canvas in the grid, with what its frame says. */
export class Tile {
    readonly root: HTMLElement;
    /** The one that has the log; with all pages shown, it shows the first. */
    readonly view: View;
    level: number | null = null;
    /** How many checks of this desk are on their way, or only just told. */
    private checking = 0;
    private hasChanged = false;
    states: string[] = ['not_started'];
    last = 0;
    objects = 0;
    answer = '';
    private readonly others: View[] = [];
    private readonly open: HTMLButtonElement;
    private readonly pages: HTMLElement;
    private told: StateAnswer;
    /** What is counted on its canvas, in words. */
    counted: string[] = [];
    /** How many of the prompt's tasks are done, and how many there are. */
    tasks: [done: number, all: number] | null = null;
    private shown: PagesShown = 'theirs';
    /** The page on which the student is, as far as it is known here. */
    private theirs = '';
    private wetTimer = 0;
    /** The members of a group who draw at this moment. */
    private readonly hands = new Map<string, number>();
    private drawingTimer = 0;
    private taken = 0;
    private isAsleep = false;
    private size: [number, number] | undefined;

    constructor(
        public seat: SeatAnswer,
        template: HTMLTemplateElement,
        private readonly assets: string,
        private readonly stamps: Record<string, string>,
        private readonly words: DeskWords,
    ) {
        this.root = (template.content.cloneNode(true) as DocumentFragment).firstElementChild as HTMLElement;
        this.root.dataset.seat = seat.id;
        this.open = element<HTMLButtonElement>('.tile-open', this.root);
        this.pages = element('.tile-pages', this.root);
        this.rename(seat);
        this.view = new View(element('.tile-page', this.root), assets, stamps, THINNEST);
        this.showBoxes(this.view);
        this.told = {
            seat: seat.id,
            states: ['not_started'],
            minutes: 0,
            last: 0,
            objects: 0,
            prompt: 1,
            level: null,
            changed: false,
            isSent: seat.isSent === true,
            hand: false,
            sorted: null,
            tasks: null,
        };
        this.showState(this.told);
    }

    /** The seat as it is called now. */
    rename({ name, light, takenBy }: Pick<SeatAnswer, 'name' | 'light' | 'takenBy'>): void {
        this.seat = { ...this.seat, name, light, takenBy };
        const taken = element('.tile-taken', this.root);
        const teacher = takenBy?.name ?? '';
        taken.hidden = teacher === '';
        taken.title = teacher === '' ? '' : fill(this.words.taken_by, { name: teacher });
        element('.visually-hidden', taken).textContent = taken.title;
        this.sayMembers();
        element('.tile-light', this.root).hidden = !light;
        this.nameOn(element('.tile-name', this.root));
        this.sayName();
    }

    /** Writes its name and its seat number into a place for both: the page shows the one that the desk goes by. */
    nameOn(place: HTMLElement): void {
        const { name, n } = this.seat;
        element('.name-real', place).textContent = name;
        element('.name-seat', place).textContent = this.isGroup ? name : fill(this.words.seat, { n });
    }

    /** The answer boxes on the page, with what the student has in them. */
    private showBoxes(view: View): void {
        if (this.seat.boxes !== undefined && this.seat.boxes.length > 0) {
            new AnswerBoxes(view).show(this.seat.boxes);
        }
    }

    /** How many talk-throughs there are of it. */
    private showTalks(n: number): void {
        const place = element('.tile-talks', this.root);
        place.hidden = n === 0;
        place.title = n === 0 ? '' : fill(this.words.talks, { n });
        element('.visually-hidden', place).textContent = place.title;
    }

    get isGroup(): boolean {
        return this.seat.members !== undefined;
    }

    /** Others draw on this canvas now. */
    regroup(members: MemberAnswer[]): void {
        this.seat = { ...this.seat, members };
        this.sayMembers();
        this.sayName();
    }

    /** Who is in the group, and who of them draws at this moment. */
    private sayMembers(): void {
        const place = element('.tile-members', this.root);
        const { members } = this.seat;
        place.hidden = members === undefined;
        place.replaceChildren(
            ...(members ?? []).map(({ id, n, name }) => {
                const one = document.createElement('span');
                one.classList.toggle('is-drawing', this.hands.has(id));
                one.append(
                    Object.assign(document.createElement('span'), { className: 'name-real', textContent: name }),
                    Object.assign(document.createElement('span'), {
                        className: 'name-seat',
                        textContent: fill(this.words.seat, { n }),
                    }),
                );
                return one;
            }),
        );
    }

    private drawsNow(seat: string): void {
        window.clearTimeout(this.hands.get(seat));
        const isNew = !this.hands.has(seat);
        this.hands.set(
            seat,
            window.setTimeout(() => {
                this.hands.delete(seat);
                this.sayMembers();
            }, DRAWING_MS),
        );
        if (isNew) {
            this.sayMembers();
        }
    }

    /** The part of the page that is drawn on, or all of it again. */
    seeDrawn(isOn: boolean): void {
        const { view } = this;
        view.openWith(isOn ? (size, paper) => drawnPart(this.drawn, size, paper) : whole);
    }

    /** Around everything that somebody has put on the page; null while there is nothing. */
    private get drawn(): Box | null {
        const boxes = [...this.view.here()].map(([, placed]) => pageBox(placed));
        return boxes.length === 0 ? null : union(boxes);
    }

    /** What the student chose in the quick ask that is before the class. */
    showChoice(choice: string): void {
        const place = element('.tile-choice', this.root);
        place.hidden = choice === '';
        place.textContent = choice;
        place.title = fill(this.words.chose, { choice });
    }

    /** Other teachers who have this canvas large. */
    showColleagues(names: string[]): void {
        const place = element('.tile-colleague', this.root);
        const said = names.length === 0 ? '' : fill(this.words.colleague_here, { name: names.join(', ') });
        place.hidden = said === '';
        place.title = said;
        element('.visually-hidden', place).textContent = said;
    }

    /** Its live view is held: what the student draws is drawn here later. */
    showHeld(isHeld: boolean): void {
        element('.tile-held', this.root).hidden = !isHeld;
    }

    showSent(isSent: boolean): void {
        element('.tile-sent', this.root).hidden = !isSent;
        this.root.classList.toggle('is-sent', isSent);
    }

    /** So many of so many, as the core counts them on the canvas: in the frame, and in words. */
    private showCount(place: HTMLElement, words: string, count: [number, number] | null): string[] {
        const [n, all] = count ?? [0, 0];
        place.hidden = count === null;
        place.textContent = `${n}/${all}`;
        place.title = fill(words, { n, all });
        place.classList.toggle('is-whole', n === all);
        return count === null ? [] : [place.title];
    }

    focus(): void {
        this.open.focus({ preventScroll: true });
        this.root.scrollIntoView({ block: 'nearest' });
    }

    /** The state that its frame says. */
    get state(): string {
        return this.states[0] ?? 'not_started';
    }

    showState(told: StateAnswer): void {
        this.told = told;
        const {
            states,
            minutes,
            last,
            objects,
            prompt,
            level,
            changed,
            isSent,
            hand,
            sorted,
            tasks,
            practice = null,
            talks = 0,
        } = told;
        this.showSent(isSent);
        this.tasks = tasks;
        this.counted = [
            ...this.showCount(element('.tile-sorted', this.root), this.words.sorted, sorted),
            ...this.showCount(element('.tile-tasks', this.root), this.words.tasks, tasks),
            ...this.showCount(element('.tile-practice', this.root), this.words.practice_right, practice),
        ];
        this.showTalks(talks);
        element('.tile-hand', this.root).hidden = !hand;
        this.states = this.drawingTimer === 0 ? states : drawn(states);
        this.last = last;
        this.objects = objects;
        const { state } = this;
        this.root.dataset.state = state;
        const values = { n: minutes, p: prompt };
        const words = fill(wordFor(this.words, `state_${state}`), values);
        const place = element('.tile-state-words', this.root);
        if (place.textContent !== words) {
            place.textContent = words;
            element('.tile-state-short', this.root).textContent = fill(
                wordFor(this.words, `state_${state}_short`) || words,
                values,
            );
            this.sayName();
        }
        this.showLevel(this.checking > 0 ? this.level : level, changed);
    }

    /** For those who hear the page. */
    sayName(): void {
        this.open.setAttribute(
            'aria-label',
            fill(this.words.tile, {
                name: this.nameShown,
                state: element('.tile-state-words', this.root).textContent ?? '',
            }),
        );
    }

    get nameShown(): string {
        const { name, n } = this.seat;
        return this.isGroup ? name : this.shownAs(name, n, this.words.student);
    }

    /** Who is in the group, as names stand on this desk; nobody on a student's own canvas. */
    get memberNames(): { id: string; name: string }[] {
        return (this.seat.members ?? []).map(({ id, n, name }, i) => ({
            id,
            name: this.shownAs(name, n, `${this.words.student} ${i + 1}`),
        }));
    }

    /** What a student is called here: who it is alone, or one of the group. */
    nameOf(seat: string): string {
        return this.memberNames.find(({ id }) => id === seat)?.name ?? this.nameShown;
    }

    private shownAs(name: string, n: number, hidden: string): string {
        const shown: Record<string, string> = { names: name, seats: fill(this.words.seat, { n }), hidden };
        return shown[document.body.dataset.names ?? 'names'] ?? hidden;
    }

    /** Checked on this desk: what the server counted before it had this check does not take it away again. */
    checkHere(level: number | null, telling: Promise<unknown>): void {
        this.showLevel(level);
        this.checking++;
        const over = (): void => {
            this.checking--;
        };
        telling.then(() => window.setTimeout(over, COUNTED_MS), over);
    }

    /** @param changed whether the student went on since; a check that is made now is of the work as it is now */
    showLevel(level: number | null, changed = false): void {
        this.level = level;
        this.hasChanged = changed && level !== null;
        this.root.classList.toggle('has-changed', this.hasChanged);
        this.root.dataset.level = level === null ? '' : String(level);
        const mark = element('.strata', this.root);
        mark.dataset.level = level === null ? '' : String(level);
        mark.setAttribute(
            'aria-label',
            fill(this.words.check, {
                level: level === null ? this.words.unchecked : wordFor(this.words, `level${level}`),
            }) + (this.hasChanged ? `. ${this.words.changed_since}` : ''),
        );
        mark.title = this.hasChanged ? this.words.changed_since : this.words.check_keys;
    }

    /** The student's typed or chosen answer, and what came of comparing it. */
    showAnswer(written: string, outcome: string | null): void {
        this.answer = written;
        const place = element('.tile-answer', this.root);
        place.textContent = written;
        place.title = outcome === null ? written : `${written} (${wordFor(this.words, `outcome_${outcome}`)})`;
        place.dataset.outcome = written === '' ? 'none' : (outcome ?? '');
    }

    /** What the last piece shows that its student worked, in a sentence; empty where there is none. */
    get pieceSays(): string {
        const worked = [...this.view.log.scene.objects.values()].flatMap(({ object, layer }) =>
            object.type === 'manipulative' &&
            (layer === 'student' || layer === 'pieces') &&
            isWorked(object) &&
            guidesOf(object).length === 0
                ? [object]
                : [],
        );
        const last = worked.at(-1);
        return last === undefined ? '' : sentence(saidOf(last));
    }

    /** Why it is worth a look; of the few that are marked, with a shape, the reason stands on the tile. */
    showSignal(reason: string, marked?: Pick<Noticed, 'mark' | 'reason'>): void {
        element('.tile-signal', this.root).textContent = reason;
        element('.tile-frame', this.root).title = reason;
        this.root.dataset.mark = marked?.mark ?? '';
        element('.tile-mark', this.root).textContent = marked?.reason ?? '';
    }

    /** Begins with the scene that the server kept. */
    begin(kept: KeptScene, n: number): void {
        this.view.begin(kept, n);
        this.follow([...kept.objects].at(-1)?.page ?? '');
    }

    /** Begins anew with the whole log. What came while that was on its way may not stand in it. */
    restart(operations: Operation[]): void {
        const { page, log } = this.view;
        const here = [...log.all()];
        this.view.reset();
        this.view.take([...operations, ...here]);
        this.view.showPage(page);
        this.showPages(this.shown);
    }

    take(operations: Operation[]): void {
        const change = this.view.take(operations);
        this.others.forEach((view) => view.show(change, operations));
        const last = operations.at(-1);
        if (last !== undefined) {
            this.follow(last.kind === 'page' ? last.id : (last.body.page ?? pageOf(this.view, last)));
        }
        this.taken += operations.length;
        if (this.taken >= FOLD_EVERY) {
            this.taken = 0;
            this.view.log.compact();
        }
    }

    /** Which pages it shows. All of them stand in one picture, each with a view of its own on the same log. */
    showPages(shown: PagesShown): void {
        this.shown = shown;
        const pages = [...this.view.log.scene.pages.keys()];
        const count = shown === 'all' ? Math.min(pages.length, MOST_PAGES) : 1;
        const holder = element('.tile-open', this.root);
        while (this.others.length > Math.max(0, count - 1)) {
            present(this.others.pop()).frame.remove();
        }
        while (this.others.length < count - 1) {
            const frame = Object.assign(document.createElement('span'), { className: 'tile-page page' });
            holder.append(frame);
            const view = new View(frame, this.assets, this.stamps, THINNEST);
            view.log = this.view.log;
            this.others.push(view);
            this.showBoxes(view);
        }
        holder.style.setProperty('--across', String(Math.ceil(Math.sqrt(count))));
        holder.classList.toggle('has-pages', count > 1);
        this.others.forEach((view, i) => {
            view.log = this.view.log;
            view.page = present(pages[i + 1]);
        });
        const page = shown === 'theirs' ? this.theirs : typeof shown === 'number' ? (pages[shown] ?? '') : '';
        if (page !== this.view.page) {
            this.view.showPage(page);
        }
        this.root.classList.toggle('has-no-page', typeof shown === 'number' && pages[shown] === undefined);
        this.fit();
        this.others.forEach((view) => view.drawAll());
        this.sayPage();
    }

    /** @param size its picture's, where it is known; several pages in it are measured */
    fit(size = this.size): void {
        this.size = size;
        const known = this.others.length === 0 ? size : undefined;
        [this.view, ...this.others].forEach((view) => (this.isAsleep ? view.sleep() : view.fit(known)));
    }

    /** Out of sight: nothing is drawn until it is seen again. */
    sleep(): void {
        this.isAsleep = true;
        this.fit();
    }

    wake(): void {
        this.isAsleep = false;
        [this.view, ...this.others].forEach((view) => view.wake(this.others.length === 0 ? this.size : undefined));
        this.fit();
    }

    /** The student is on this page now. */
    follow(page: string | undefined): void {
        const { pages } = this.view.log.scene;
        if (page !== undefined && pages.has(page)) {
            this.theirs = page;
        } else if (!pages.has(this.theirs)) {
            this.theirs = '';
        }
        const stale = this.shown === 'all' && Math.min(pages.size, MOST_PAGES) !== this.others.length + 1;
        if (
            (this.shown === 'theirs' && this.theirs !== this.view.page) ||
            stale ||
            (typeof this.shown === 'number' && this.root.classList.contains('has-no-page'))
        ) {
            this.showPages(this.shown);
        }
        this.sayPage();
    }

    /** On which page the student is, where there are several. */
    private sayPage(): void {
        const pages = [...this.view.log.scene.pages.keys()];
        const at = pages.indexOf(this.theirs);
        this.pages.hidden = pages.length === 1;
        this.pages.textContent = `${at + 1}/${pages.length}`;
        this.pages.classList.toggle('is-elsewhere', typeof this.shown === 'number' && at !== this.shown);
    }

    /** @param  seat  whose ink it is */
    wet(message: WetInk, seat: string): void {
        if (this.isGroup) {
            this.drawsNow(seat);
        }
        this.follow(message.g ?? '');
        [this.view, ...this.others].forEach((view) => showWet(view, message));
        this.drawingNow();
        window.clearTimeout(this.wetTimer);
        this.wetTimer = window.setTimeout(
            () =>
                [this.view, ...this.others].forEach((view) =>
                    [...view.wetInk.keys()].forEach((id) => view.dropWet(id)),
                ),
            WET_LIFE_MS,
        );
    }

    /** Ink is coming in: the frame says so at once, and the next count of states confirms it. */
    private drawingNow(): void {
        window.clearTimeout(this.drawingTimer);
        this.drawingTimer = window.setTimeout(() => {
            this.drawingTimer = 0;
        }, DRAWING_MS);
        if (drawn(this.states)[0] !== this.state) {
            this.showState({
                ...this.told,
                states: this.states,
                minutes: 0,
                prompt: 1,
                level: this.level,
                changed: this.hasChanged,
                isSent: this.root.classList.contains('is-sent'),
                hand: !element('.tile-hand', this.root).hidden,
            });
        }
    }
}

/**
 * Ink that comes in says more than what the server knew: whoever draws is here, and the first stroke is drawn before it
 * is stored.
 */
function drawn(states: string[]): string[] {
    const here = states
        .filter((state) => state !== 'away')
        .map((state) => (['quiet', 'pausing', 'not_started'].includes(state) ? 'drawing' : state));
    return here.length === 0 ? ['drawing'] : here;
}

/** On which page something happened to what is, or was, there. */
function pageOf(view: View, { body }: Operation): string | undefined {
    const [target = ''] = body.targets ?? body.cuts?.map((cut) => cut.target) ?? [body.target ?? ''];
    return view.log.scene.objects.get(target)?.page;
}

/** Puts a message about something being drawn onto a view. */
export function showWet(view: View, { o, s, p, t, q, x, g }: WetInk): void {
    if (x === 1) {
        view.dropWet(o);
    } else if (t !== undefined && SHOWN_WET.has(t.type)) {
        view.putWet(o, t.type === 'manipulative' ? readManipulative(t) : t, g ?? '', q);
    } else if (s !== undefined && p !== undefined) {
        view.growWet(o, s[2] === 1 ? 'highlight' : 'stroke', s[0], s[1], decodeInk(p), g ?? '');
    }
}
