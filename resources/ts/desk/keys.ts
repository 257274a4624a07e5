import type { Grid } from '../grid/grid';
import type { Tile } from '../grid/tile';

interface KeyListener {
    /** The tile that a key means: the one in the close-up, else the focused one. */
    tile(): Tile | undefined;
    look(tile: Tile): void;
    check(tile: Tile, level: number | null): void;
    show(tile: Tile): void;
    handOut(): void;
    flip(): void;
    names(): void;
    pens(): void;
    timer(): void;
    gather(): void;
    door(): void;
    talk(tile: Tile): void;
    keys(): void;
    escape(): void;
}

/** The desk's keys. Every one has a button; the page of keys lists them. */
export function listenToKeys(grid: Grid, to: KeyListener): void {
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        if (event.key === 'Escape') {
            to.escape();
            return;
        }
        const field = (event.target as Element).closest('input:not([type=range]):not([type=radio]):not([type=checkbox]), textarea, select, dialog');
        if (field !== null) {
            return;
        }
        const tile = to.tile();
        if (event.key.startsWith('Arrow') && (event.target as Element).closest('input') === null) {
            const next = grid.beside(tile, event.key);
            if (next !== undefined) {
                event.preventDefault();
                to.look(next);
            }
        } else if (tile !== undefined && /^[0-3]$/.test(event.key)) {
            to.check(tile, Number(event.key));
        } else if (tile !== undefined && (event.key === 'Delete' || event.key === 'Backspace')) {
            to.check(tile, null);
        } else if (tile !== undefined && event.key.toLowerCase() === 's') {
            to.show(tile);
        } else if (event.key.toLowerCase() === 'h') {
            event.preventDefault();
            to.handOut();
        } else if (event.key.toLowerCase() === 'f') {
            to.flip();
        } else if (event.key.toLowerCase() === 'n') {
            to.names();
        } else if (event.key.toLowerCase() === 'p') {
            to.pens();
        } else if (event.key.toLowerCase() === 't') {
            event.preventDefault();
            to.timer();
        } else if (event.key.toLowerCase() === 'g') {
            to.gather();
        } else if (event.key.toLowerCase() === 'd') {
            to.door();
        } else if (tile !== undefined && event.key.toLowerCase() === 'w') {
            event.preventDefault();
            to.talk(tile);
        } else if (event.key === '?') {
            to.keys();
        }
    });
}
