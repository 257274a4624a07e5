import type { BenchWords } from '../../protocol/words';
import type { WetSender } from '../../live/wet';
import type { View } from '../drawing/view';
import type { CanvasObject, Kind, Operation, Place } from '../model/objects';
import type { Settings, ToolName } from './settings';

/** What tools work on. Each names the few of these that it uses, and is given no more. */
export interface Host {
    /** The canvas that is open. */
    readonly canvas: string;
    readonly view: View;
    readonly surface: HTMLElement;
    readonly settings: Settings;
    readonly layer: Operation['layer'];
    /** The page is looked at alone: nothing draws. */
    readonly isLooking: boolean;
    readonly words: BenchWords;
    readonly wet: WetSender | null;
    /** Whether what is drawn there is read as words. */
    isRead(at: { x: number; y: number }): boolean;
    say(sentence: string): void;
    choose(tool: ToolName): void;
    /** Something finished: drawn here at once, kept here until the server has it. */
    make(kind: Kind, body: Operation['body'], id?: string): void;
    add(object: CanvasObject, id?: string): void;
    /** An object as it stands at this moment, to be seen here and by the teacher. */
    showWet(id: string, object: CanvasObject, place?: Place): void;
    dropWet(id: string): void;
    /** What is to be seen around the page has changed. */
    refresh(): void;
}
