import { Workbench, type WorkbenchSettings } from '../canvas/workbench';
import { listenToNumbers, listenToWords } from './constructing';
import { listenToBenchKeys } from './keys';
import { PageText } from './pagetext';
import { Panel } from './panel';
import { PieceParts } from './parts';
import { Sliders } from './sliders';
import { Tray } from './tray';
import { element } from '../page';
import { present } from '../present';

/** A canvas with its tray, its keys and what stands around it. */
export function mountBench(
    settings: Omit<WorkbenchSettings, 'changed'>,
    pieces?: () => void,
    changed?: () => void,
): { bench: Workbench; tray: Tray } {
    let tray: Tray | null = null;
    let panel: Panel | null = null;
    let parts: PieceParts | null = null;
    let sliders: Sliders | null = null;
    const bench = new Workbench({
        ...settings,
        changed: () => {
            tray?.show();
            panel?.show();
            parts?.show();
            sliders?.show();
            changed?.();
        },
    });
    tray = new Tray(bench, settings.root, pieces, () => panel?.focusList());
    panel = new Panel(bench, settings.root, () => present(tray), settings.assets, settings.stamps);
    parts = new PieceParts(bench);
    sliders = new Sliders(bench, element('.construct-sliders', settings.root), settings.address);
    new PageText(bench.view, element('.stage', settings.root), settings.words.page_text);
    listenToBenchKeys(bench, tray);
    listenToWords(bench, settings.root, settings.address);
    listenToNumbers(bench, settings.root);
    tray.show();
    panel.show();
    return { bench, tray };
}
