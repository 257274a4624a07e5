import { RunCards } from '../../questions/cards';
import { post, reasonOf } from '../../live/http';
import { element } from '../../page';
import type { Card } from '../../protocol/cards';
import type { Desk } from '../shell/desk';

/** A run of several quick asks: its cards, how it is played, and the same cards as practice. */
export function listenToRuns(desk: Desk): void {
    const fold = document.querySelector<HTMLDetailsElement>('#ask-run');
    if (fold === null) {
        return;
    }
    const form = element<HTMLFormElement>('#run-form');
    const problem = element('#run-problem');
    const n = element('#ask-run-n');
    const count = (): void => {
        n.textContent = cards.all.length === 0 ? '' : String(cards.all.length);
    };
    /** What is planned stands there as long as nobody has written anything else. */
    let planned = '[]';
    let isBusy = false;
    const cards = new RunCards(element('#run-cards'), {
        address: desk.address,
        assets: desk.assets,
        words: desk.words,
        changed: count,
    });

    const takePlanned = (): void => {
        const found = document.querySelector<HTMLElement>('#ask-planned');
        fold.hidden = found?.dataset.running === '1';
        const now = found?.dataset.cards ?? '[]';
        if (now !== planned && (cards.all.length === 0 || JSON.stringify(cards.all) === planned)) {
            cards.show(JSON.parse(now) as Card[]);
            planned = now;
            count();
        }
    };

    const send = async (to: string, more: Record<string, unknown>): Promise<void> => {
        if (isBusy) {
            return;
        }
        isBusy = true;
        problem.textContent = '';
        try {
            const { said } = await post<{ said: string }>(`${desk.address}/${to}`, { cards: cards.all, ...more });
            fold.open = false;
            desk.say(said);
            desk.bus.tell('done', 'ask');
            desk.bands.refresh();
            element('#ask').scrollIntoView({ block: 'start' });
        } catch (refused) {
            problem.textContent = reasonOf(refused, desk.words);
        } finally {
            isBusy = false;
        }
    };

    form.addEventListener('submit', (event) => {
        event.preventDefault();
        const data = new FormData(form);
        const text = (name: string): string => String(data.get(name) ?? '');
        void send('runs', {
            seconds: Number(text('seconds')),
            auto: text('auto') === '1',
            screen: text('screen') === '1',
            teams: text('teams') === '' ? null : text('teams'),
            team_names: text('team_names').split(','),
        });
    });
    form.addEventListener('change', () => {
        const teams = element<HTMLSelectElement>('[name=teams]', form).value;
        element('#run-team-names').hidden = teams === '' || teams === 'groups';
    });
    desk.actions.add({ 'run-practice': () => void send('practice', {}) }, {});
    document.addEventListener('htmx:afterSwap', (event) => {
        if ((event.target as Element).id === 'ask-body') {
            takePlanned();
        }
    });
}
