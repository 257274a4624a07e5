import type { KeptScene } from '../../canvas/model/scene';
import { mountBench } from '../../bench/mount';
import { placeBench } from '../../bench/place';
import type { Tray } from '../../bench/tray';
import type { Operation } from '../../canvas/model/objects';
import type { Workbench } from '../../canvas/workbench';
import { get } from '../../live/http';
import { Outbox } from '../../live/outbox';
import type { WetSender } from '../../live/wet';
import { element, fill } from '../../page';
import type { CanvasContext } from '../shell/context';

/** A canvas of the teacher's own as the server opens it. */
export interface OpenedCanvas {
    canvas: string;
    tray: { tools: string[] };
    clock: number;
    n: number;
    older: { undo: boolean; redo: boolean };
    scene: KeptScene | null;
    operations: Operation[];
}

interface Settings extends CanvasContext {
    root: HTMLElement;
    /** Where it says whether all is saved. */
    saved: string;
    /** What waits is kept under this name. */
    box: string;
    wet: WetSender;
    turned(): void;
    pieces?(): void;
}

/** A bench on the teacher's layer, whose operations wait in an outbox until the server has them. */
export async function openTeacherBench(settings: Settings): Promise<{ bench: Workbench; tray: Tray; outbox: Outbox }> {
    const { address, say, words } = settings;
    let bench: Workbench | null = null;
    const outbox = await Outbox.open({
        seat: settings.box,
        address: `${address}/operations`,
        accepted: (where, accepted) => {
            if (where === bench?.canvas) {
                bench.view.confirm(accepted);
            }
        },
        refused: (where, id, reason) => {
            if (where === bench?.canvas) {
                bench.view.log.drop(id);
                bench.view.drawAll();
            }
            say(reason);
        },
        changed: (waiting, reachable) => {
            element(settings.saved).textContent = fill(
                words[reachable ? (waiting > 0 ? 'saving' : 'saved') : 'offline_lead'],
                { n: waiting },
            );
        },
    });
    placeBench(settings.root);
    const mounted = mountBench(
        {
            root: settings.root,
            layer: 'lead',
            isOnDesk: true,
            assets: settings.assets,
            stamps: settings.stamps,
            words,
            address,
            wet: settings.wet,
            put: (canvas, operation) => void outbox.put(canvas, operation),
            whole: async (canvas) => (await get<OpenedCanvas>(`${address}/canvas/${canvas}/log`)).operations,
            say,
            turned: () => settings.turned(),
        },
        settings.pieces,
    );
    bench = mounted.bench;
    void outbox.flush();
    return { ...mounted, outbox };
}
