import type { DeskWords } from '../../protocol/words';
/** What every canvas of the desk knows of the page around it. */
export interface CanvasContext {
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: DeskWords;
    say(sentence: string): void;
}

/** What a part of the desk that works in the session knows. */
export interface DeskContext extends CanvasContext {
    session: string;
    run(address: string, body: unknown): Promise<boolean>;
}
