// Words in the picture: plain page text laid over it, pushed apart so that none covers another.
import { Vector3 } from 'three';
import type { Stage } from './stage';

export type Label = { text: string; at: Vector3; look: 'run' | 'current' | 'quiet' | 'stop' };

const LOOKS: Record<Label['look'], string> = {
    run: 'bg-ink text-paper font-label px-1.5 text-base font-semibold',
    current: 'bg-action text-on-action font-label px-1.5 text-base font-semibold',
    quiet: 'label text-quiet bg-sheet/75 px-0.5',
    stop: 'figure text-stop bg-sheet px-1 text-[0.8rem]',
};
const GAP_PX = 2;

export class Labels {
    #shown: { label: Label; element: HTMLElement; width: number; height: number }[] = [];

    constructor(
        private readonly layer: HTMLElement,
        private readonly stage: Stage,
    ) {}

    show(labels: Label[]): void {
        this.layer.replaceChildren();
        this.#shown = labels.map((label) => {
            const element = document.createElement('span');
            element.className = `absolute top-0 left-0 whitespace-nowrap leading-snug ${LOOKS[label.look]}`;
            element.textContent = label.text;
            this.layer.append(element);
            return { label, element, width: element.offsetWidth, height: element.offsetHeight };
        });
    }

    /** Puts every label at its place; one that would cover another goes below or above it instead. */
    place(): void {
        const taken: { left: number; top: number; right: number; bottom: number }[] = [];
        const [wide, high] = [this.layer.clientWidth, this.layer.clientHeight];
        for (const { label, element, width, height } of this.#shown) {
            const seen = this.stage.onScreen(label.at);
            const isIn = seen && seen.x > 0 && seen.y > 0 && seen.x < wide && seen.y < high;
            element.style.visibility = isIn ? 'visible' : 'hidden';
            if (!isIn) continue;
            const left = Math.min(Math.max(seen.x - width / 2, 2), wide - width - 2);
            let top = seen.y - height / 2;
            for (let i = 0; i < 12; i++) {
                const tried = top + (i % 2 === 0 ? 1 : -1) * Math.ceil(i / 2) * (height + GAP_PX);
                const isFree = taken.every(
                    (one) =>
                        left >= one.right ||
                        left + width <= one.left ||
                        tried >= one.bottom ||
                        tried + height <= one.top,
                );
                if (isFree) {
                    top = tried;
                    break;
                }
            }
            taken.push({ left, top, right: left + width + GAP_PX, bottom: top + height });
            element.style.transform = `translate(${left}px, ${top}px)`;
        }
    }
}
