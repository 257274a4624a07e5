/** Something that lies over the grid. */
export interface Layer {
    readonly isOpen: boolean;
    /**
     * Work in the grid's place: only one such layer is open at a time. Students' work goes when the teacher turns to
     * another prompt; the teacher's own stays, and Escape does not close it.
     */
    readonly work?: 'students' | 'own';
    /** It goes on when the same prompt's canvases are asked for anew. */
    readonly goesOn?: boolean;
    close(): void;
}

/** What lies over the grid, the uppermost first. */
export class Layers {
    private layers: Layer[] = [];

    /** In the order in which Escape closes them. */
    pile(...layers: Layer[]): void {
        this.layers = layers;
    }

    /** Closes the uppermost. Answers whether there was one. */
    escape(): boolean {
        const open = this.layers.find(({ isOpen, work }) => isOpen && work !== 'own');
        open?.close();
        return open !== undefined;
    }

    /**
     * Back to the grid alone.
     *
     * @param  isAnew  the same prompt's canvases come anew: what can go on does
     */
    closeStudentsWork(isAnew = false): void {
        this.layers
            .filter(({ work, isOpen, goesOn }) => work === 'students' && isOpen && !(isAnew && goesOn === true))
            .forEach((layer) => layer.close());
    }

    /** What takes the grid's place is open alone. */
    makeRoomFor(layer: Layer): void {
        this.layers.forEach((other) => other !== layer && other.work !== undefined && other.isOpen && other.close());
    }
}
