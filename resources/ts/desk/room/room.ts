import type { Room } from '../../protocol/room';
import { chime, TimerFace } from '../../live/timer';
import { Toggle } from '../../live/toggle';
import { element, fill } from '../../page';
import { wordFor } from '../../protocol/wordfor';
import type { Desk } from '../shell/desk';
import { present } from '../../present';

const MODES = ['names', 'seats', 'hidden'];

/** What holds for the whole room, as the now band says it, and the keys that change it. */
export class RoomDesk {
    private room: Room;
    /** How many changes of the names are on their way. */
    private telling = 0;
    private readonly face: TimerFace;

    constructor(private readonly desk: Desk) {
        const { actions, bus, drawer } = desk;
        const toggle = new Toggle(
            () => this.arePensDown,
            (isDown) => this.tellPens(isDown),
        );
        const pens = (): void => void toggle.press();
        const names = (): void => this.nextNames();
        const door = (): void => {
            drawer.open('door');
            bus.tell('doorOpened', null);
        };
        bus.on('room', ({ room }) => this.take(room));
        bus.on('written', () => {
            this.read();
            this.showNames();
            this.showSettings();
        });
        actions.add(
            {
                pens,
                names,
                door,
                tools: () => {
                    this.showTray();
                    drawer.open('tools');
                },
                'set-timer': (button) => this.setTimer(Number(button.dataset.seconds)),
                'pause-timer': () => this.pauseTimer(),
            },
            { pens, names, door },
        );
        this.face = new TimerFace(
            desk.now,
            (words, isPaused) => {
                document.body.classList.toggle('has-timer', words !== null);
                const said =
                    words === null ? desk.words.timer : isPaused ? fill(desk.words.paused, { left: words }) : words;
                for (const place of document.querySelectorAll<HTMLElement>('#timer-left, #timing-left')) {
                    const shown = place.id === 'timing-left' && words === null ? '–:––' : said;
                    if (place.textContent !== shown) {
                        place.textContent = shown;
                    }
                }
            },
            ({ sound }) => {
                desk.say(desk.words.time_up);
                if (sound) {
                    chime();
                }
                this.showPens();
            },
        );
        this.room = this.read();
        element<HTMLFormElement>('#timer-form').addEventListener('submit', (event) => {
            event.preventDefault();
            const form = new FormData(event.target as HTMLFormElement);
            this.setTimer(Number(form.get('minutes')) * 60 + Number(form.get('seconds')));
        });
    }

    private take(room: Room): void {
        this.room = room;
        this.face.set(room.timer);
        this.showPens();
    }

    /** What the server has written into the now band. */
    private read(): Room {
        const room = JSON.parse(present(element('#now').dataset.room)) as Room;
        this.room = room;
        this.face.set(room.timer);
        this.showPens();
        return room;
    }

    private get arePensDown(): boolean {
        return this.room.pens !== null || this.face.bringsPensDown;
    }

    private tellPens(isDown: boolean): Promise<boolean> {
        return this.desk.run(`${this.desk.address}/pens`, {
            down: isDown,
            words: element<HTMLInputElement>('#pens-words').value,
        });
    }

    private setTimer(seconds: number): void {
        void this.desk.run(`${this.desk.address}/timer`, {
            do: 'set',
            seconds,
            pens: element<HTMLInputElement>('#timer-pens').checked,
        });
    }

    private pauseTimer(): void {
        const { timer } = this.room;
        if (timer !== null) {
            void this.desk.run(`${this.desk.address}/timer`, { do: timer.ends === null ? 'resume' : 'pause' });
        }
    }

    /**
     * What stands for students on this desk: names, then seat numbers, then nothing. Here at once, then told: two
     * presses are two steps.
     */
    private nextNames(): void {
        const names = present(MODES[(MODES.indexOf(present(document.body.dataset.names)) + 1) % MODES.length]);
        this.telling++;
        this.putNames(names);
        void this.desk.run(`${this.desk.address}/settings`, { desk_names: names }).finally(() => {
            this.telling--;
            if (this.telling === 0) {
                this.desk.bands.refresh();
            }
        });
    }

    /** As the server says, unless this desk is just telling it. */
    private showNames(): void {
        if (this.telling === 0) {
            this.putNames(present(element('#now').dataset.names));
        }
    }

    private putNames(names: string): void {
        if (document.body.dataset.names !== names) {
            document.body.dataset.names = names;
            this.desk.bus.tell('renamed', null);
        }
        element('#names').setAttribute('aria-pressed', String(names === MODES[0]));
        element('#names .names-word').textContent = wordFor(this.desk.words, `names_${names}`);
    }

    /** The settings' fields say what holds, but for the one in which somebody is. */
    private showSettings(): void {
        const settings = JSON.parse(present(element('#now').dataset.settings)) as Record<string, unknown>;
        for (const field of document.querySelectorAll<HTMLInputElement>('#settings form [name]')) {
            const value = field.name
                .replace('[]', '')
                .split('.')
                .reduce<unknown>((at, name) => (at as Record<string, unknown> | undefined)?.[name], settings);
            if (value === undefined || field === document.activeElement) {
                continue;
            }
            if (field.type === 'checkbox') {
                field.checked = Array.isArray(value) ? value.includes(field.value) : value === true;
            } else {
                field.value = String(value);
            }
        }
    }

    /** The tools' form begins with what students have now. */
    private showTray(): void {
        const { kind, tools } = JSON.parse(present(element('#now').dataset.tray)) as { kind: string; tools: string[] };
        for (const field of document.querySelectorAll<HTMLInputElement>('#tools form input')) {
            if (field.name === 'tray') {
                field.checked = field.value === kind;
            } else if (field.name === 'tools[]' && field.type === 'checkbox') {
                field.checked = tools.includes(field.value);
            } else if (field.name === 'pictures' || field.name === 'pages') {
                field.checked = tools.includes(field.name === 'pictures' ? 'picture' : 'pages');
            }
        }
    }

    private showPens(): void {
        const button = document.querySelector<HTMLElement>('#pens');
        if (button !== null) {
            button.setAttribute('aria-pressed', String(this.arePensDown));
            button.classList.toggle('is-on', this.arePensDown);
            element('.pens-word', button).textContent = this.arePensDown
                ? this.desk.words.pens_up
                : this.desk.words.pens_down;
        }
    }
}
