/** What every canvas of the desk knows of the page around it. */
export interface AroundCanvas {
    address: string;
    assets: string;
    stamps: Record<string, string>;
    words: Record<string, string>;
    say(sentence: string): void;
}

/** What a part of the desk that works in the session knows. */
export interface AroundDesk extends AroundCanvas {
    session: string;
    run(address: string, body: unknown): Promise<boolean>;
}
