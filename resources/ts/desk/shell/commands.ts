import type { Words } from '../../protocol/words';
import { HttpProblem, post } from '../../live/http';
import { InOrder } from '../../live/inorder';
import { Toggle } from '../../live/toggle';
import type { Notice } from '../../live/notice';
import { clearSent } from '../../page';
import { present } from '../../present';

interface Told {
    said?: string | null;
    undo?: { address: string; body: unknown };
}

interface Settings {
    words: Words<'undo' | 'unreachable'>;
    /** After what a command with `data-then` did. */
    then(name: string): void;
    /** The server refused: the page puts itself right. */
    mend(): void;
}

/**
 * Buttons and forms that say in the page what they do: `data-post` is where to, `data-body` what; what is on or off has
 * `data-on` and `data-off` instead; a form sends its fields. What the answer says is said, with a way back where there is one.
 */
export class Commands {
    private readonly order = new InOrder();
    private readonly switches = new Map<string, Toggle>();

    constructor(
        private readonly notice: Notice,
        private readonly settings: Settings,
    ) {
        document.addEventListener('click', (event) => {
            const button = (event.target as Element).closest<HTMLElement>('[data-post]:not(form)');
            if (button?.dataset.on !== undefined) {
                void this.switchOf(button).press();
            } else if (button !== null) {
                void this.run(
                    present(button.dataset.post),
                    JSON.parse(button.dataset.body ?? '{}'),
                    button.dataset.then,
                );
            }
        });
        document.addEventListener('submit', (event) => {
            const form = event.target as HTMLFormElement;
            if (form.dataset.post !== undefined) {
                event.preventDefault();
                void this.submit(form);
            }
        });
        // Settings hold as soon as they are changed. What was changed is sent, and nothing that the form remembers
        // beside it.
        document.addEventListener('change', (event) => {
            const field = event.target as HTMLInputElement;
            const form = field.closest<HTMLFormElement>('form[data-live]');
            if (field.dataset.to !== undefined) {
                void this.run(field.dataset.to, {
                    ...JSON.parse(field.dataset.body ?? '{}'),
                    [field.name]: field.type === 'checkbox' ? field.checked : field.value === '' ? null : field.value,
                });
            } else if (form !== null && field.name !== '') {
                void this.run(present(form.dataset.post), fieldsOf(form, field.name), form.dataset.then);
            }
        });
    }

    /** One for each thing that is switched, though the server may write its button anew between two presses. */
    private switchOf(button: HTMLElement): Toggle {
        const { post = '', on = '{}', off = '{}', then = '' } = button.dataset;
        const key = `${post} ${on}`;
        const found = this.switches.get(key);
        const toggle =
            found ??
            new Toggle(
                () =>
                    document.querySelector(`[data-post="${post}"][data-on='${on}']`)?.getAttribute('aria-pressed') ===
                    'true',
                (isOn) => this.run(post, JSON.parse(isOn ? on : off), then),
            );
        this.switches.set(key, toggle);
        return toggle;
    }

    /** Resolves to whether it was done. */
    run(address: string, body: unknown, then = ''): Promise<boolean> {
        return this.inOrder(() => this.tell(address, body, then));
    }

    /** What is pressed is done one thing after the other, whichever button it was. */
    inOrder<T>(what: () => Promise<T>): Promise<T> {
        return this.order.do(what);
    }

    /** Resolves when everything that was pressed is done, or could not be. */
    settled(): Promise<void> {
        return this.order.settled();
    }

    private async tell(address: string, body: unknown, then: string): Promise<boolean> {
        try {
            const told = (await post<Told | undefined>(address, body)) ?? {};
            const { undo } = told;
            if (told.said) {
                this.notice.say(
                    told.said,
                    undo && { word: this.settings.words.undo, press: () => void this.run(undo.address, undo.body) },
                );
            }
            this.settings.then(then);
            return true;
        } catch (problem) {
            this.notice.say(
                problem instanceof HttpProblem && problem.status > 0
                    ? problem.message
                    : this.settings.words.unreachable,
            );
            this.settings.mend();
            return false;
        }
    }

    /** A form that leaves the page, as the one that ends the session does, waits for what was pressed before it. */
    leaveInOrder(): void {
        document.addEventListener('submit', (event) => {
            const form = event.target as HTMLFormElement;
            if (form.method === 'post' && form.dataset.post === undefined && !event.defaultPrevented) {
                event.preventDefault();
                void this.settled().then(() => {
                    // What the server writes may have replaced it meanwhile, and a form outside the page goes nowhere.
                    if (!form.isConnected) {
                        form.hidden = true;
                        document.body.append(form);
                    }
                    form.submit();
                });
            }
        });
    }

    private async submit(form: HTMLFormElement): Promise<void> {
        const body = fieldsOf(form);
        const written = [...form.querySelectorAll('textarea')].map((field) => ({ field, sent: field.value }));
        const done = await this.run(present(form.dataset.post), body, form.dataset.then);
        if (done && form.dataset.live === undefined) {
            // A window that was opened for something else since stays.
            if (JSON.stringify(fieldsOf(form)) === JSON.stringify(body)) {
                form.closest('dialog')?.close();
            }
            written.forEach(({ field, sent }) => clearSent(field, sent));
        }
    }
}

/**
 * A form's fields as JSON: ticks are true or false, names that end in [] are lists, `group.name` stands in a group.
 * With `only`, the fields of one name.
 */
export function fieldsOf(form: HTMLFormElement, only?: string): Record<string, unknown> {
    const whole: Record<string, unknown> = {};
    for (const field of form.elements) {
        const { name: path, type, value, checked } = field as HTMLInputElement;
        if (path === undefined || path === '' || (only !== undefined && path !== only)) {
            continue;
        }
        const [group = '', inner] = path.split('.');
        const name = inner ?? path;
        const body = inner === undefined ? whole : ((whole[group] ??= {}) as Record<string, unknown>);
        if (name.endsWith('[]')) {
            const list = (body[name.slice(0, -2)] ??= []) as string[];
            if (type !== 'checkbox' || checked) {
                list.push(value);
            }
        } else if (type === 'checkbox') {
            body[name] = checked;
        } else if (type !== 'radio' || checked) {
            body[name] = value;
        }
    }
    return whole;
}
