// @vitest-environment happy-dom
import { beforeEach, describe, expect, it } from 'vitest';
import { morph } from '../../resources/ts/desk/shell/morph';

function written(html: string): Element[] {
    const next = document.createElement('div');
    next.innerHTML = html;
    return [...next.children];
}

const body = (): HTMLElement => document.querySelector<HTMLElement>('#body') as HTMLElement;
const write = (html: string): void => morph(body(), written(html), 'innerHTML');
const button = (post: string): HTMLElement => document.querySelector(`[data-post="${post}"]`) as HTMLElement;

const CLOSE = '<button data-post="/ask/1/close" data-body="{}">Stop answers</button>';
const AGAIN = '<button data-post="/ask/1/again" data-body="{}">Ask again</button>';

describe('a part of the desk that is written anew', () => {
    beforeEach(() => {
        document.body.innerHTML = '<div id="body"></div>';
    });

    it('keeps the button that is being pressed', () => {
        write(`<p>1 of 4 answered</p>${CLOSE}${AGAIN}`);
        const pressed = button('/ask/1/close');
        write(`<p>2 of 4 answered</p><p>Two changed</p>${CLOSE}${AGAIN}`);
        expect(button('/ask/1/close')).toBe(pressed);
        expect(body().textContent).toContain('2 of 4 answered');
    });

    it('turns no button into another under the finger', () => {
        write(CLOSE + AGAIN);
        const pressed = button('/ask/1/close');
        write(AGAIN);
        expect(pressed.isConnected).toBe(false);
        expect(pressed.dataset.post).toBe('/ask/1/close');
        expect(body().children).toHaveLength(1);
    });

    it('keeps what is being typed, until it is what the server says', () => {
        write('<form><input name="words" value=""></form>');
        const field = document.querySelector('input') as HTMLInputElement;
        field.value = 'Which way does it tip';
        write('<p>1 of 4</p><form><input name="words" value=""></form>');
        const kept = document.querySelector('input') as HTMLInputElement;
        expect(kept.value).toBe('Which way does it tip');
        kept.value = 'Left';
        write('<form><input name="words" value="Left"></form>');
        write('<form><input name="words" value="Right"></form>');
        expect((document.querySelector('input') as HTMLInputElement).value).toBe('Right');
    });

    it('keeps a fold open', () => {
        write('<details id="missing"><summary>Not answered yet 3</summary></details>');
        (document.querySelector('details') as HTMLDetailsElement).open = true;
        write('<details id="missing"><summary>Not answered yet 2</summary></details>');
        expect((document.querySelector('details') as HTMLDetailsElement).open).toBe(true);
    });

    it('leaves alone what the page writes itself', () => {
        write('<p id="time" hx-preserve>12:00</p>');
        (document.querySelector('#time') as HTMLElement).textContent = '12:01';
        write('<p id="time" hx-preserve></p>');
        expect((document.querySelector('#time') as HTMLElement).textContent).toBe('12:01');
    });
});
