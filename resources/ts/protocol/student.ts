import type { Task } from './tasks';
import type { Operation } from '../canvas/model/objects';
import type { KeptScene } from '../canvas/model/scene';
import type { Asked } from './questions';
import type { Own, Room } from './room';

/** A prompt as a student's page knows it: App\Models\Prompt::announcementTo. */
export interface Prompt {
    id: string;
    n: number;
    words: string;
    questions?: Asked[];
    tasks?: Task[];
    /** How many answers in a row are right, in practice that goes on until enough are. */
    course?: { n: number; all: number; done: boolean } | null;
    /** The plan's prompt was changed: there is more to fetch than the words. */
    again?: boolean;
    /** Each student has other values in the words. */
    own?: boolean;
}

/** A canvas that is opened, with everything around it. */
export interface CanvasAnswer {
    canvas: string;
    prompt: Prompt;
    tray: { tools: string[] };
    /** Not in what is sent ahead: there the page knows where its streams stand. */
    position?: Record<string, number>;
    /** Something that was handed out lies on it, and the server is to be told that it came. */
    waiting?: boolean;
    ended: boolean;
    room: Room;
    own: Own;
    clock: number;
    n: number;
    older: { undo: boolean; redo: boolean };
    scene: KeptScene | null;
    operations: Operation[];
    /** Who made what is in the kept scene, where several draw: ids of operations, by seat. */
    authors?: Record<string, string[]>;
}

/** What every page of the session is told. */
export type RoomTold =
    | { type: 'room'; body: { room: Room } }
    | { type: 'prompt'; body: { prompt: Prompt; room: Room; back?: boolean; page?: number } }
    | { type: 'tray'; body: { tray: { tools: string[] } } }
    | { type: 'ended' };

/** What one student's page is told. */
export type OwnTold =
    | { type: 'own'; body: { own: Own } }
    | { type: 'handout'; body: { handout: string; prompt: string; last: string; again?: boolean } }
    | { type: 'moved' };
