import './plain';
import { HttpProblem, post } from '../live/http';
import { Socket } from '../live/socket';
import { Streams } from '../live/streams';
import { element, pageData } from '../page';

interface Page {
    address: string;
    channel: string;
    join: string;
    state: string;
    position: Record<string, number>;
}

/** A student who is not in the room: the page follows what becomes of the knocking. */
const page = pageData<Page>();

/** The way in knows where this device's place is now. */
const leave = (): void => location.assign(page.join);

const streams = new Streams(page.position, {
    address: `${page.address}/catch-up`,
    also: () => ({ polling: socket.isPolling ? 1 : 0 }),
    event: (_, { type, body }) => {
        if (type === 'become' || type === 'moved') {
            leave();
        } else if (type === 'own' && (body.own as { state: string }).state !== page.state) {
            location.reload();
        } else if (type === 'ended') {
            location.reload();
        }
    },
    operations: () => undefined,
    refused: leave,
});

const socket: Socket = new Socket({
    path: () => `/live/door/${page.channel}`,
    message: (message) => 'event' in message && streams.take(message.stream, message.event),
    catchUp: () => streams.catchUp(),
    state: () => undefined,
});

document.querySelector('#knock')?.addEventListener('click', () => {
    const name = document.querySelector<HTMLInputElement>('#knock-name')?.value;
    post(`${page.address}/knock`, name === undefined ? {} : { name })
        .then(() => location.reload())
        .catch((problem: unknown) => {
            element('#knock-problem').textContent =
                problem instanceof HttpProblem && problem.status > 0 ? problem.message : '';
        });
});
socket.open();
