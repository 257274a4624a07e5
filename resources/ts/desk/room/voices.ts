import { TalkThrough } from '../../bench/talkthrough';
import type { Grid } from '../../grid/grid';
import { element } from '../../page';
import type { Desk } from '../shell/desk';
import type { CloseUp } from '../watch/closeup';
import type { Lead } from '../work/lead';
import { LiveTalk } from './livetalk';
import type { Talk } from './talk';

/** The teacher's voice, where the installation allows it: spoken notes on canvases, and talks with one student. */
export function listenToVoices(desk: Desk, grid: Grid, closeUp: CloseUp, lead: Lead, talk: Talk): void {
    const { address, actions, say, words } = desk;
    if (document.querySelector('#spoken') !== null) {
        new TalkThrough({
            bar: '#spoken',
            buttons: '.speak',
            key: `desk-${desk.session}`,
            words,
            // The lead canvas lies over the close-up.
            canvas: () => (lead.isOpen ? lead : closeUp).canvas || null,
            clockAhead: () => (lead.isOpen ? lead : closeUp).clockAhead,
            addressOf: (canvas) => `${address}/canvas/${canvas}/talks?`,
            begun: () => undefined,
            rest: () => closeUp.isOpen && element('#closeup-name').focus({ preventScroll: true }),
            say,
        }).allow(true);
    }
    if (document.querySelector('#live-desk') !== null) {
        const live = new LiveTalk(desk, (seat) => grid.ofSeat(seat)?.nameOf(seat) ?? '');
        actions.add({
            'talk-live': ({ dataset: { seat } }) => {
                const { shown } = closeUp;
                if (seat !== undefined) {
                    void live.ask(seat);
                } else if (shown?.isGroup === true) {
                    // Which of them is said there.
                    talk.open(shown.seat.id);
                } else if (shown !== null) {
                    void live.ask(shown.seat.id);
                }
            },
        });
    }
}
