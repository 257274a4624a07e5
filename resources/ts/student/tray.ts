import type { PenSettings } from '../canvas/pen';
import { element } from '../page';

interface TrayListener {
    undo(): void;
    redo(): void;
    empty(): void;
    /** Text without a pointer: words at the top of the page. */
    text(): void;
    chosen(): void;
    can(): { undo?: string; redo?: string };
}

/** The tool tray: what is chosen, and what its buttons and keys do. Gives back a function that freshens the buttons. */
export function listenToTray(settings: PenSettings, to: TrayListener): () => void {
    const tray = element('#tray');
    const buttons = [...tray.querySelectorAll<HTMLButtonElement>('button')];
    const undo = element<HTMLButtonElement>('#undo');
    const redo = element<HTMLButtonElement>('#redo');

    const show = (): void => {
        for (const button of buttons) {
            const { tool, colour, width } = button.dataset;
            if (tool !== undefined) {
                button.setAttribute('aria-pressed', String(tool === settings.tool));
            } else if (colour !== undefined) {
                button.setAttribute('aria-pressed', String(colour === settings.colour));
            } else if (width !== undefined) {
                button.setAttribute('aria-pressed', String(Number(width) === settings.width));
            }
        }
        to.chosen();
    };

    const choose = (tool: PenSettings['tool']): void => {
        settings.tool = tool;
        show();
    };

    tray.addEventListener('click', (event) => {
        const button = (event.target as Element).closest('button');
        const { tool, colour, width } = button?.dataset ?? {};
        if (tool !== undefined) {
            choose(tool as PenSettings['tool']);
            // A keyboard's click has no place: the words begin at the top of the page.
            if (tool === 'text' && event.detail === 0) {
                to.text();
            }
        } else if (colour !== undefined) {
            settings.colour = colour;
            choose(settings.tool === 'eraser' ? 'pen' : settings.tool);
        } else if (width !== undefined) {
            settings.width = Number(width);
            choose('pen');
        }
    });
    undo.addEventListener('click', to.undo);
    redo.addEventListener('click', to.redo);
    element('#empty').addEventListener('click', to.empty);

    document.addEventListener('keydown', (event) => {
        if (event.target instanceof HTMLTextAreaElement || event.target instanceof HTMLInputElement || event.altKey) {
            return;
        }
        const key = event.key.toLowerCase();
        if (event.ctrlKey || event.metaKey) {
            if (key === 'z' || key === 'y') {
                event.preventDefault();
                (key === 'y' || event.shiftKey ? to.redo : to.undo)();
            }
            return;
        }
        const tools: Record<string, PenSettings['tool']> = { p: 'pen', e: 'eraser', t: 'text' };
        if (tools[key] !== undefined) {
            choose(tools[key]);
            if (key === 't') {
                event.preventDefault();
                to.text();
            }
        }
    });

    show();
    return () => {
        const can = to.can();
        undo.disabled = can.undo === undefined;
        redo.disabled = can.redo === undefined;
    };
}
