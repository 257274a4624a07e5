import { element, fill } from '../../page';
import type { Desk } from '../shell/desk';

/** How many have done every task of the prompt; pressed, those are chosen who have not. */
export function listenToTasks({ bus, words }: Desk): void {
    const chip = element('#tasks-all');
    bus.on('states', ({ states }) => {
        const asked = states.filter(({ tasks }) => tasks !== null);
        const open = asked.filter(({ tasks }) => tasks !== null && tasks[0] < tasks[1]);
        chip.hidden = asked.length === 0;
        chip.textContent = fill(words.tasks_all, { n: asked.length - open.length, all: asked.length });
        chip.dataset.seat = open.map(({ seat }) => seat).join(' ');
    });
}
