import './plain';
import { post } from '../live/http';
import { element } from '../page';

/** A plan tried as a student: the same page that students have, in a frame of a device's size. */
const frame = element<HTMLIFrameElement>('.try-frame');
const stage = element('.try-stage');
let size: [wide: number, tall: number] = [390, 844];

function fit(): void {
    const [wide, tall] = size;
    const scale = Math.min(1, (stage.clientWidth - 40) / wide, (stage.clientHeight - 40) / tall);
    const device = element('.try-device');
    frame.style.width = `${wide}px`;
    frame.style.height = `${tall}px`;
    frame.style.transform = `scale(${scale})`;
    device.style.width = `${wide * scale}px`;
    device.style.height = `${tall * scale}px`;
}

function press(group: string, button: HTMLElement): void {
    document.querySelectorAll(`[${group}]`).forEach((one) => one.setAttribute('aria-pressed', String(one === button)));
}

document.addEventListener('click', (event) => {
    const button = (event.target as Element).closest<HTMLElement>('[data-device], [data-try-prompt]');
    if (button?.dataset.device !== undefined) {
        const [wide = 390, tall = 844] = button.dataset.device.split('x').map(Number);
        size = [wide, tall];
        press('data-device', button);
        fit();
    } else if (button?.dataset.tryPrompt !== undefined) {
        void post(button.dataset.tryPrompt, {}).then(() => press('data-try-prompt', button));
    }
});
new ResizeObserver(fit).observe(stage);
fit();
