import type { ScreenWords } from '../protocol/words';
import type { Timer } from '../protocol/timer';
import type { ShownItem } from '../protocol/show';
import { drawCodes } from './plain';
import { Idiomorph } from 'idiomorph';
import { InkLine } from '../live/inkline';
import { Socket } from '../live/socket';
import { Streams } from '../live/streams';
import { element, pageData } from '../page';
import { ShownFrames } from '../live/shownframe';
import { chime, clockFace, TimerFace } from '../live/timer';
import { showAllWords } from '../questions/words';
import { present } from '../present';

interface Page {
    session: string;
    address: string;
    position: Record<string, number>;
    assets: string;
    stamps: Record<string, string>;
    words: ScreenWords;
}

const LIVE_MS = 2500;
/** Between these a list of results is set, in hundredths of the screen's shorter side. */
const LARGEST_VMIN = 3.4;
const SMALLEST_VMIN = 1.2;
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
    message: (message) => 'event' in message && streams.take(message.stream, message.event),
    catchUp: () => streams.catchUp(),
    state: (connection) => {
        document.body.dataset.connection = connection;
    },
});

/** The teacher's ink, and where the teacher points. */
const lead = new InkLine({ path: () => `/live/shown/${page.session}`, hear: (ink) => frames?.wet(ink) });

let asked = 0;

/** What is shown comes whole from the server; an answer that a later one has overtaken is dropped. */
async function refresh(): Promise<void> {
    const mine = ++asked;
    try {
        const response = await fetch(`${page.address}/shown`);
        const written = await response.text();
        if (response.ok && mine === asked) {
            Idiomorph.morph(shown, written, {
                morphStyle: 'innerHTML',
                callbacks: { beforeNodeMorphed: keepFrames },
            });
            drawCodes(shown);
            showAllWords(shown);
            takeRoom();
            takeFrames();
            fitResults();
        }
    } catch {
        window.setTimeout(() => mine === asked && void refresh(), 1500);
    }
}

/** What is in the frames is this page's: of what the server says only the items are taken. */
function keepFrames(old: Node, next: Node): boolean {
    if (
        old instanceof HTMLElement &&
        next instanceof HTMLElement &&
        old.id === 'shown-works' &&
        next.id === 'shown-works'
    ) {
        Object.assign(old.dataset, next.dataset);
        return false;
    }
    return true;
}

let frames: ShownFrames | null = null;
let framed: HTMLElement | null = null;

function takeFrames(): void {
    const place = shown.querySelector<HTMLElement>('#shown-works');
    if (place !== framed) {
        framed = place;
        frames =
            place === null
                ? null
                : new ShownFrames(place, {
                      ...page,
                      now: () => Date.now() + ahead,
                      // The small one on a desk is beside the large one.
                      hears: window === window.top ? 'at once' : 'never',
                      addressOf: (id) => `${page.address}/showcase/${id}`,
                  });
    }
    if (place !== null) {
        present(frames).take(present(place.dataset.showcase), JSON.parse(present(place.dataset.items)) as ShownItem[]);
    }
}

/** Results are as large as they can be with all of them in view. */
function fitResults(): void {
    const place = shown.querySelector<HTMLElement>('.shown-results');
    if (place === null) {
        return;
    }
    for (let size = LARGEST_VMIN; size >= SMALLEST_VMIN; size -= 0.2) {
        place.style.fontSize = `${size}vmin`;
        if (place.scrollHeight <= place.clientHeight) {
            return;
        }
    }
}

window.addEventListener('resize', fitResults);

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
        if (sound) {
            chime();
        }
        void refresh();
    },
);

function takeRoom(): void {
    const { timer, clock } = JSON.parse(present(element('[data-room]', shown).dataset.room)) as {
        timer: Timer | null;
        clock: number;
    };
    ahead = clock - Date.now();
    face.set(timer);
}

/** What is asked counts down where it says so. */
window.setInterval(() => {
    const place = shown.querySelector<HTMLElement>('[data-ends]');
    if (place !== null) {
        place.textContent = clockFace(Number(place.dataset.ends) - Date.now() - ahead);
    }
}, 250);

takeRoom();
takeFrames();
fitResults();
socket.open();
lead.follow();
// What is shown live is looked at again and again; a picture that has not changed is not fetched.
window.setInterval(() => shown.querySelector('[data-live]') !== null && void refresh(), LIVE_MS);
