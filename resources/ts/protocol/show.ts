/** One canvas before the class: App\Models\Show\ShowcaseItem::told. */
export interface ShownItem {
    /** The same for the same page of the same canvas, wherever it stands. */
    key: string;
    n: number;
    version: string;
    /** How much is drawn over it, and on which canvas. */
    over: number;
    ink: string | null;
    /** The part that everybody sees, in units; null for the whole page. */
    view: { x: number; y: number; scale: number } | null;
    replay: { from: number; speed: number } | null;
    /** Whether its replay goes along with a voice. */
    isSpoken: boolean;
    name: string;
    /** What was said of it before the class; empty for nothing. */
    praise: string;
}
