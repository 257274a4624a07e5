import type { Grid } from '../../grid/grid';
import type { Tile } from '../../grid/tile';

interface KeyListener {
    /** The tile from which the arrows go on: the one in the close-up, else the focused one. */
    tile(): Tile | undefined;
    /** Whether anything is meant by a key that does something with canvases. */
    hasTiles(): boolean;
    look(tile: Tile, choose: boolean): void;
    choose(tile: Tile): void;
    chooseAll(): void;
    check(level: number | null): void;
    /** Every other key. */
    letter: Record<string, () => void>;
    escape(): void;
}

/** The desk's keys. Every one has a button; the page of keys lists them. */
export function listenToKeys(grid: Grid, to: KeyListener): void {
    document.addEventListener('keydown', (event) => {
        const target = event.target as Element;
        const isField =
            target.closest(
                'input:not([type=range]):not([type=radio]):not([type=checkbox]), textarea, select, dialog',
            ) !== null;
        // The Shield works from everywhere but from within words; while it is up, nothing is done that cannot be seen.
        const isTyping =
            target.closest('input:not([type=range]):not([type=radio]):not([type=checkbox]), textarea, select') !== null;
        const isShielded = document.body.classList.contains('is-shielded');
        const isBare = !event.ctrlKey && !event.metaKey && !event.altKey;
        if (isBare && event.key.toLowerCase() === 'b' && !isTyping) {
            event.preventDefault();
            to.letter.b();
            return;
        }
        if (isShielded) {
            if (isBare && event.key.toLowerCase() === 'p') {
                to.letter.p();
            }
            return;
        }
        if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a' && !isField && !event.altKey) {
            event.preventDefault();
            to.chooseAll();
            return;
        }
        if (event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        if (event.key === 'Escape') {
            if (target.closest('dialog') === null) {
                to.escape();
            }
            return;
        }
        if (!isField && alone(event, grid, to)) {
            event.preventDefault();
        }
    });
}

function alone(event: KeyboardEvent, grid: Grid, to: KeyListener): boolean {
    const tile = to.tile();
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (key.startsWith('Arrow') && (event.target as Element).closest('input') === null) {
        const next = grid.beside(tile, event.key);
        if (next !== undefined) {
            to.look(next, event.shiftKey);
        }
        return next !== undefined;
    }
    if (key === 'x' && tile !== undefined) {
        to.choose(tile);
    } else if (/^[0-6]$/.test(key) && to.hasTiles()) {
        to.check(Number(key));
    } else if ((key === 'Delete' || key === 'Backspace') && to.hasTiles()) {
        to.check(null);
    } else if (to.letter[key] !== undefined) {
        to.letter[key]();
    } else {
        return false;
    }
    return true;
}
