// @vitest-environment happy-dom
import assert from 'node:assert/strict';
import { beforeEach, test } from 'vitest';
import { Actions } from '../../resources/ts/desk/shell/actions';
import { Bus } from '../../resources/ts/desk/shell/bus';
import type { Desk } from '../../resources/ts/desk/shell/desk';
import { listenToKeys } from '../../resources/ts/desk/shell/keys';
import { Layers, type Layer } from '../../resources/ts/desk/shell/layers';
import { openWindow } from '../../resources/ts/desk/shell/panels';
import { Store } from '../../resources/ts/desk/shell/store';

beforeEach(() => {
    document.body.className = '';
    document.body.innerHTML = '';
});

test('who listens hears what is said, in the order in which they came, and nothing else', () => {
    const bus = new Bus<{ tally: number; tiles: null }>();
    const heard: string[] = [];
    bus.on('tally', (n) => heard.push(`first ${n}`));
    bus.on('tally', (n) => heard.push(`second ${n}`));
    bus.on('tiles', () => heard.push('tiles'));
    bus.tell('tally', 3);
    assert.deepEqual(heard, ['first 3', 'second 3']);
});

test('a store tells of what has changed, and of nothing that stays as it is', () => {
    const store = new Store({ looking: 'a', started: 0 });
    const heard: unknown[] = [];
    store.follow('looking', (now) => heard.push(now));
    store.follow('started', (now) => heard.push(now));
    store.put({ looking: 'a' });
    store.put({ looking: 'b', started: 0 });
    store.put({ started: 2 });
    assert.deepEqual(heard, ['b', 2]);
    assert.deepEqual(store.now, { looking: 'b', started: 2 });
});

/** Something over the grid that can be opened and closed. */
function layer(work?: Layer['work']): Layer & { isOpen: boolean } {
    return {
        isOpen: false,
        work,
        close() {
            this.isOpen = false;
        },
    };
}

test('Escape closes the uppermost alone, and never the teacher’s own canvas', () => {
    const [menu, closeUp, lead] = [layer(), layer('students'), layer('own')];
    const layers = new Layers();
    layers.pile(menu, closeUp, lead);
    for (const one of [menu, closeUp, lead]) {
        one.isOpen = true;
    }
    assert.equal(layers.escape(), true);
    assert.deepEqual([menu.isOpen, closeUp.isOpen, lead.isOpen], [false, true, true]);
    assert.equal(layers.escape(), true);
    assert.equal(layers.escape(), false);
    assert.equal(lead.isOpen, true);
});

test('work in the grid’s place is open alone; another prompt closes students’ work and nothing else', () => {
    const [menu, closeUp, talking, lead] = [layer(), layer('students'), layer('students'), layer('own')];
    const layers = new Layers();
    layers.pile(menu, closeUp, talking, lead);
    for (const one of [menu, closeUp, lead]) {
        one.isOpen = true;
    }
    layers.makeRoomFor(talking);
    talking.isOpen = true;
    assert.deepEqual([menu.isOpen, closeUp.isOpen, talking.isOpen, lead.isOpen], [true, false, true, false]);
    lead.isOpen = true;
    layers.closeStudentsWork();
    assert.deepEqual([menu.isOpen, talking.isOpen, lead.isOpen], [true, false, true]);
});

test('a button does what its part of the desk says, unless it is disabled; its menu closes', () => {
    document.body.innerHTML = `<details class="menu-details" open><summary>More</summary>
        <button data-do="keys"><i>?</i></button><button data-do="pens" disabled>P</button></details>`;
    const did: string[] = [];
    const actions = new Actions({});
    actions.add({ keys: () => did.push('keys'), pens: () => did.push('pens') });
    document.querySelector<HTMLElement>('i')!.click();
    document.querySelector<HTMLElement>('[data-do=pens]')!.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    assert.deepEqual(did, ['keys']);
    assert.equal(document.querySelector('details')!.open, false);
});

test('two parts that want the same key are told so', () => {
    const actions = new Actions({ a: 'ask', z: 'drawn-part' });
    actions.add({ ask: () => undefined }, { ask: () => undefined });
    assert.throws(() => actions.add({ ask: () => undefined }), /action “ask”/);
    assert.throws(() => actions.add({}, { ask: () => undefined }), /for “ask”/);
    assert.throws(() => actions.add({}, { unlisted: () => undefined }), /for “unlisted”/);
    assert.deepEqual(actions.idleKeys, ['z']);
});

/** A desk with its letters p, b and a, and what was pressed. */
function keyed(): { pressed: string[]; press(key: string, on?: Element, how?: KeyboardEventInit): boolean } {
    const actions = new Actions({ p: 'pens', b: 'shield', a: 'ask' });
    const layers = new Layers();
    const pressed: string[] = [];
    actions.add({}, { pens: () => pressed.push('p'), shield: () => pressed.push('b'), ask: () => pressed.push('a') });
    listenToKeys(
        { actions, layers } as unknown as Desk,
        ({ key, ctrlKey }) => key === 'ArrowLeft' || (ctrlKey && key === 'a'),
        () => pressed.push('nothing left'),
    );
    return {
        pressed,
        press: (key, on = document.body, how = {}) =>
            !on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...how })),
    };
}

test('letters are keys of the desk but where somebody types, and in a window', () => {
    document.body.innerHTML =
        '<textarea></textarea><input type="range"><dialog open><button>Good</button></dialog><select></select>';
    const { pressed, press } = keyed();
    assert.equal(press('P'), true);
    assert.equal(press('p', document.querySelector('textarea')!), false);
    assert.equal(press('p', document.querySelector('select')!), false);
    assert.equal(press('p', document.querySelector('button')!), false);
    assert.equal(press('p', document.querySelector('input')!), true);
    assert.deepEqual(pressed, ['p', 'p']);
});

test('with Ctrl a letter is the browser’s, or the canvases’', () => {
    const { pressed, press } = keyed();
    assert.equal(press('p', document.body, { ctrlKey: true }), false);
    assert.equal(press('a', document.body, { ctrlKey: true }), true);
    assert.equal(press('ArrowLeft'), true);
    assert.deepEqual(pressed, []);
});

test('the Shield works in a window too, and while it is up nothing is done that cannot be seen', () => {
    document.body.innerHTML = '<dialog open><button>Good</button></dialog><input>';
    const { pressed, press } = keyed();
    press('b', document.querySelector('button')!);
    press('b', document.querySelector('input')!);
    document.body.className = 'is-shielded';
    press('a');
    press('Escape');
    press('p');
    press('b');
    assert.deepEqual(pressed, ['b', 'p', 'b']);
});

test('Escape in a window is the window’s', () => {
    document.body.innerHTML = '<dialog open><button>Good</button></dialog>';
    const { pressed, press } = keyed();
    press('Escape', document.querySelector('button')!);
    assert.deepEqual(pressed, []);
    press('Escape');
    assert.deepEqual(pressed, ['nothing left']);
});

test('a window about one student names that student and nobody from before', () => {
    document.body.innerHTML = `<dialog id="rename"><h2>Rename <b class="window-name"></b></h2>
        <input type="hidden" name="seat"><input name="name"></dialog>`;
    const window = document.querySelector('dialog')!;
    openWindow('rename', { seat: 's7', name: 'نور' });
    assert.equal(window.querySelector('.window-name')!.textContent, 'نور');
    assert.equal(window.querySelector<HTMLInputElement>('[name=seat]')!.value, 's7');
    assert.equal(window.querySelector<HTMLInputElement>('[name=name]')!.value, 'نور');
    assert.equal(window.open, true);
    window.close();
    openWindow('rename', {});
    assert.equal(window.querySelector<HTMLInputElement>('[name=seat]')!.value, '');
});
