import { mountWindow } from '../../bench/window';
import { post } from '../../live/http';
import type { Desk } from '../shell/desk';
import type { Canvases } from '../watch/canvases';
import type { CloseUp } from '../watch/closeup';

/** Which prompt is looked at, where everybody is called to, and what is done with the prompt's canvases. */
export function listenToPrompts(desk: Desk, canvases: Canvases, closeUp: CloseUp): void {
    const { address, actions, drawer, run, store, tell } = desk;
    const gather = (prompt: string): void => void run(`${address}/prompt/${prompt}/gather`, {});
    const emptyOne = mountWindow('#empty-one', (how) => {
        const { shown } = closeUp;
        if (how === 'empty' && shown !== null) {
            void run(`${address}/prompt/${store.now.looking}/hand-out`, {
                what: 'prompt',
                mode: 'fresh',
                seats: [shown.seat.id],
            });
        }
    });
    const onShown = (act: (canvas: string, page: string) => void) => (): void => {
        const { shown } = closeUp;
        if (shown !== null && shown.seat.canvas !== null) {
            act(shown.seat.canvas, closeUp.pageOf(shown));
        }
    };
    actions.add(
        {
            gather: ({ dataset: { prompt = '' } }) => gather(prompt),
            look: ({ dataset: { prompt = '' } }) => void canvases.look(prompt),
            'empty-one': () => emptyOne.showModal(),
            show: onShown((canvas, page) => void tell(post(`${address}/showcase`, { canvas, page }))),
            'copy-to-lead': onShown((canvas, page) => void run(`${address}/canvas/${canvas}/copy-to-lead`, { page })),
        },
        { gather: () => gather(store.now.looking) },
    );
    document.body.addEventListener('crag:handed-out', () => drawer.panel === 'tools' && drawer.close());
}
