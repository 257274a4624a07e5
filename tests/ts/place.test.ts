// @vitest-environment happy-dom
import { beforeEach, describe, expect, it } from 'vitest';
import { placeBench } from '../../resources/ts/bench/place';

const TEMPLATE = `<template id="bench">
    <div class="stage"><div class="page-frame" id="bench-page-frame" aria-label=""></div></div>
    <button aria-controls="bench-options">Pen</button><div id="bench-options"></div>
    <button data-chosen="pieces">Hand out as pieces</button>
    <a data-format="png" data-address="its own">PNG</a>
    <dialog aria-labelledby="bench-title"><h2 id="bench-title">Keys</h2></dialog>
    <template class="page-item"><li></li></template>
</template>`;

const here = (id: string): HTMLElement => document.getElementById(id) as HTMLElement;

describe('a bench that is put in its place', () => {
    beforeEach(() => {
        document.body.innerHTML = `${TEMPLATE}
            <section id="lead"><div class="bench-place" data-as="" data-label="Lead canvas"
                data-pieces data-files="/desk/1/work/CANVAS.FORMAT"></div></section>
            <section id="closeup"><div class="bench-place" data-as="closeup-" data-label="Close-up"></div></section>`;
    });

    it('has ids of its own, which its parts go by', () => {
        placeBench(here('lead'));
        placeBench(here('closeup'));
        expect(here('page-frame').getAttribute('aria-label')).toBe('Lead canvas');
        expect(here('closeup-page-frame').getAttribute('aria-label')).toBe('Close-up');
        for (const root of ['lead', 'closeup']) {
            for (const name of ['aria-controls', 'aria-labelledby']) {
                const id = here(root).querySelector(`[${name}]`)?.getAttribute(name) ?? '';
                expect(here(root).contains(here(id))).toBe(true);
            }
        }
    });

    it('offers only what can be done there', () => {
        placeBench(here('lead'));
        placeBench(here('closeup'));
        expect(here('lead').querySelector('a')?.dataset.address).toBe('/desk/1/work/CANVAS.FORMAT');
        expect(here('lead').querySelector('[data-chosen=pieces]')).not.toBeNull();
        expect(here('closeup').querySelector('a')).toBeNull();
        expect(here('closeup').querySelector('[data-chosen=pieces]')).toBeNull();
    });

    it('is put there once, with all that belongs to it', () => {
        placeBench(here('lead'));
        const page = here('page-frame');
        placeBench(here('lead'));
        expect(here('page-frame')).toBe(page);
        expect(here('lead').querySelectorAll('.page-frame')).toHaveLength(1);
        expect(
            here('lead').querySelector<HTMLTemplateElement>('.page-item')?.content.querySelector('li'),
        ).not.toBeNull();
    });
});
