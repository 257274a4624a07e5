import { element, fill } from '../../page';
import type { Desk } from '../shell/desk';
import type { Tile } from '../../grid/tile';
import type { CloseUp } from '../watch/closeup';
import type { Looking } from '../watch/looking';

/** Of the class screen's picture in the frame, in pixels. */
const SCREEN_WIDE = 1280;
/** Where this device keeps how it praises. */
const PRAISE = 'crag-praise';
/** As many works as the class sees beside each other. */
const MOST = 4;

/** What the class sees, in one panel; what is meant on the grid can be shown at once. */
export function listenToShow(desk: Desk, looking: Looking, closeUp: CloseUp): void {
    const { actions, bus, drawer, run, address, words } = desk;
    const offer = element('#show-these');
    // As it was before the panel took the focus.
    let meant: Tile[] = [];
    const freshen = (): void => {
        const now = looking.meant.filter(({ seat }) => seat.canvas !== null);
        meant = now.length > 0 ? now : meant.filter((tile) => tile.root.isConnected);
        const [only] = meant;
        offer.hidden = only === undefined;
        if (only !== undefined) {
            element('#show-these-words').textContent =
                meant.length === 1
                    ? fill(words.show_one, { name: only.nameShown })
                    : fill(words.show_some, { n: Math.min(MOST, meant.length) });
        }
    };
    const open = (): void => {
        if (drawer.panel === 'show') {
            drawer.close();
            return;
        }
        meant = [];
        freshen();
        drawer.open('show');
        // What one comes for most is under the thumb: Enter shows it.
        if (!offer.hidden) {
            element('[data-do=show-these]', offer).focus();
        }
    };
    const lineUp = (show: boolean): void => {
        const isInPanel = drawer.panel === 'show' && !offer.hidden;
        const tiles = isInPanel ? meant : looking.meant.filter(({ seat }) => seat.canvas !== null);
        const chosen = tiles
            .slice(0, show ? MOST : tiles.length)
            .map((tile) => ({ canvas: tile.seat.canvas, page: closeUp.pageOf(tile) }));
        if (chosen.length > 0) {
            const notes = closeUp.isOpen && closeUp.withNotes;
            void run(`${address}/line-up`, { chosen, notes, ...(show && { show }) });
        }
    };
    // The class screen is a page of 1280 pixels, however small it is seen.
    const small = element('#mini-screen');
    new ResizeObserver(() => {
        element('iframe', small).style.transform = `scale(${small.clientWidth / SCREEN_WIDE})`;
    }).observe(small);
    bus.on('tiles', () => drawer.panel === 'show' && freshen());
    const line = (): void => lineUp(false);
    bus.on('written', recallPraise);
    recallPraise();
    actions.add(
        {
            'show-panel': open,
            'show-these': () => lineUp(true),
            'line-up': line,
            // Pressed once more, it is taken away.
            praise: (button) =>
                void run(`${address}/praise`, {
                    n: Number(button.dataset.n),
                    words: button.getAttribute('aria-pressed') === 'true' ? '' : praiseWords(),
                }),
        },
        { 'show-panel': open, 'line-up': line },
    );
}

/** The teacher's own words of praise, as they were used last on this device. */
function praiseWords(): string {
    const words = element<HTMLInputElement>('#praise-words').value.trim();
    localStorage.setItem(PRAISE, words);
    return words;
}

function recallPraise(): void {
    const field = document.querySelector<HTMLInputElement>('#praise-words:not([data-recalled])');
    if (field !== null) {
        field.dataset.recalled = '';
        field.value = localStorage.getItem(PRAISE) ?? field.value;
    }
}
