import htmx from 'htmx.org';
import QRCode from 'qrcode';
import { mountWindow } from '../bench/window';
import { guardThePage } from '../guards';
import { token } from '../live/http';
import { element } from '../page';
import { showAllWords } from '../questions/words';
import { forgetPages } from '../student/keptpage';
import { present } from '../present';

htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.selfRequestsOnly = true;

/** Draws the QR codes that the page asks for. */
export function drawCodes(within: ParentNode): void {
    for (const place of within.querySelectorAll<HTMLElement>('[data-qr]:empty')) {
        QRCode.toString(present(place.dataset.qr), {
            type: 'svg',
            margin: 2,
            errorCorrectionLevel: 'M',
            color: { dark: '#25323b', light: '#ffffff' },
        })
            .then((svg) => {
                place.innerHTML = svg;
            })
            .catch(() => undefined);
    }
}

/** Buttons that copy what they name, and say that they did. */
function listenToCopying(): void {
    document.addEventListener('click', (event) => {
        const button = (event.target as Element).closest<HTMLElement>('[data-copy]');
        if (button === null) {
            return;
        }
        void copy(present(button.dataset.copy)).then((done) => {
            const before = button.textContent ?? '';
            const said = done ? present(button.dataset.copied) : present(button.dataset.copy);
            if (before !== said) {
                button.textContent = said;
                window.setTimeout(() => {
                    button.textContent = before;
                }, 2500);
            }
        });
    });
}

async function copy(text: string): Promise<boolean> {
    try {
        await navigator.clipboard.writeText(text);
        return true;
    } catch {
        // Without a secure context there is no clipboard for scripts but this one.
        const field = document.createElement('textarea');
        field.value = text;
        document.body.append(field);
        field.select();
        const done = document.execCommand('copy');
        field.remove();
        return done;
    }
}

/**
 * Forms that ask first: the question stands in the form, and what would be pressed says yes to it in its own words.
 */
function listenToAsking(): void {
    const yes = element('#ask-first-yes').textContent;
    let asking: { form: HTMLFormElement; button: HTMLElement | null } | null = null;
    const window = mountWindow('#ask-first', (answer) => {
        const asked = asking;
        if (answer === 'yes' && asked !== null) {
            // What the server writes may have replaced it meanwhile, and a form outside the page goes nowhere.
            if (!asked.form.isConnected) {
                asked.form.hidden = true;
                document.body.append(asked.form);
            }
            asked.form.dataset.answered = '';
            asked.form.requestSubmit(asked.button);
        }
    });
    window.addEventListener('close', () => {
        const button = asking?.button;
        // What the server writes may have replaced it meanwhile.
        (button?.isConnected === false ? document.getElementById(button.id) : button)?.focus();
    });
    document.addEventListener('submit', (event) => {
        const form = event.target as HTMLFormElement;
        if (form.dataset.ask === undefined || form.dataset.post !== undefined) {
            return;
        }
        if (form.dataset.answered !== undefined) {
            delete form.dataset.answered;
            return;
        }
        event.preventDefault();
        asking = { form, button: event.submitter };
        element('#ask-first-question').textContent = form.dataset.ask;
        // Sent with Enter, no button says what it does.
        const verb = (event.submitter?.textContent ?? '').replace(/\s+/g, ' ').trim();
        element('#ask-first-yes').textContent = verb === '' ? yes : verb;
        if (!window.open) {
            window.showModal();
        }
    });
}

/** Forms that send only what was changed, and buttons that print. */
function listenToTables(): void {
    document.addEventListener('submit', (event) => {
        const form = event.target as HTMLFormElement;
        if (form.dataset.onlyChanged === undefined) {
            return;
        }
        const same = [...form.querySelectorAll<HTMLInputElement>('input[data-before]')].filter(
            (input) => input.value === input.dataset.before,
        );
        same.forEach((input) => {
            input.disabled = true;
        });
        // Back on this page, all of it can be edited again.
        window.setTimeout(() =>
            same.forEach((input) => {
                input.disabled = false;
            }),
        );
    });
    document.addEventListener(
        'click',
        (event) => (event.target as Element).closest('[data-print]') !== null && window.print(),
    );
}

/** Requests by htmx carry the token and want their problems in a form that the page can tell. */
function listenToRequests(): void {
    document.addEventListener('htmx:configRequest', (event) => {
        const { headers } = (event as CustomEvent<{ headers: Record<string, string> }>).detail;
        headers['X-XSRF-TOKEN'] = token();
        headers.Accept = 'application/json, text/html';
    });
    document.addEventListener('htmx:responseError', (event) => {
        const { xhr } = (event as CustomEvent<{ xhr: XMLHttpRequest }>).detail;
        let told: string;
        try {
            told = (JSON.parse(xhr.responseText) as { message: string }).message;
        } catch {
            told = xhr.statusText;
        }
        document.dispatchEvent(new CustomEvent('crag:problem', { detail: told }));
    });
}

/** Larger files are not sent at all: the server would cut the connection without a word. */
const MOST_BYTES = 60 * 1024 * 1024;

/** Forms that are sent as soon as a file is chosen; menus that close when something else is pressed. */
function listenToMenus(): void {
    document.addEventListener('change', (event) => {
        const input = event.target as HTMLInputElement;
        const form = input.type === 'file' ? input.closest<HTMLFormElement>('form[data-send-file]') : null;
        if (form !== null && (input.files?.[0]?.size ?? 0) > MOST_BYTES) {
            window.alert(form.dataset.sendFile);
            input.value = '';
        } else {
            form?.requestSubmit();
        }
    });
    document.addEventListener(
        'change',
        (event) =>
            event.target instanceof HTMLSelectElement &&
            event.target.dataset.send !== undefined &&
            event.target.form?.requestSubmit(),
    );
    document.addEventListener('click', (event) => {
        for (const menu of document.querySelectorAll<HTMLDetailsElement>('details.menu-details[open]')) {
            if (!menu.contains(event.target as Node)) {
                menu.open = false;
            }
        }
    });
    document.addEventListener('keydown', (event) => {
        const menu =
            event.key === 'Escape' ? document.querySelector<HTMLDetailsElement>('details.menu-details[open]') : null;
        if (menu !== null) {
            menu.open = false;
            menu.querySelector<HTMLElement>('summary')?.focus();
        }
    });
}

// Whoever comes in at this device next sees nothing of the one before.
if (location.pathname.startsWith('/join')) {
    void forgetPages();
}
drawCodes(document);
listenToMenus();
showAllWords(document);
listenToRequests();
listenToCopying();
listenToAsking();
listenToTables();
guardThePage();
document.addEventListener('htmx:afterSettle', () => {
    drawCodes(document);
    showAllWords(document);
});
