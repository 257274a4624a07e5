import { drawCodes } from './plain';
import { Idiomorph } from 'idiomorph';
import { Socket } from '../live/socket';
import { Streams, type Message } from '../live/streams';
import { element, pageData } from '../page';
import { chime, TimerFace, type Timer } from '../live/timer';
import { showAllWords } from '../questions/words';

interface Page {
    session: string;
    address: string;
    position: Record<string, number>;
}

const LIVE_MS = 2500;
const page = pageData<Page>();
const shown = element('#shown');

const streams = new Streams(page.position, {
    address: `${page.address}/catch-up`,
    also: () => ({}),
    event: () => void refresh(),
    operations: () => undefined,
    refused: () => location.reload(),
});

const socket = new Socket({
    path: () => `/live/screen/${page.session}`,
    message: (text) => {
        const message = JSON.parse(text) as Message;
        if ('event' in message) {
            streams.take(message.stream, message.event);
        }
    },
    catchUp: () => streams.catchUp(),
    state: (connection) => {
        document.body.dataset.connection = connection;
    },
});

let asked = 0;

/** What is shown comes whole from the server; an answer that a later one has overtaken is dropped. */
async function refresh(): Promise<void> {
    const mine = ++asked;
    try {
        const response = await fetch(`${page.address}/shown`);
        if (response.ok && mine === asked) {
            Idiomorph.morph(shown, await response.text(), { morphStyle: 'innerHTML' });
            drawCodes(shown);
            showAllWords(shown);
            takeRoom();
        }
    } catch {
        window.setTimeout(() => mine === asked && void refresh(), 1500);
    }
}

let ahead = 0;
const face = new TimerFace(
    () => Date.now() + ahead,
    (words, _, left) => {
        const place = document.querySelector<HTMLElement>('#shown-timer');
        if (place !== null) {
            place.hidden = words === null;
            place.textContent = words ?? '';
            place.classList.toggle('is-short', left < 60_000);
        }
    },
    ({ sound }) => {
        sound && chime();
        void refresh();
    },
);

function takeRoom(): void {
    const { timer, clock } = JSON.parse(element('[data-room]', shown).dataset.room!) as { timer: Timer | null; clock: number };
    ahead = clock - Date.now();
    face.set(timer);
}

takeRoom();
socket.open();
// What is shown live is looked at again and again; a picture that has not changed is not fetched.
window.setInterval(() => shown.querySelector('[data-live]') !== null && void refresh(), LIVE_MS);
