// Arrows to drag something by, with snap: along all three axes, or along one line only.
import { Object3D, Quaternion, Vector3 } from 'three';
import { TransformControls } from 'three/addons/controls/TransformControls.js';
import type { Triple } from '@/lib/answers';
import { colour } from './palette';
import type { Stage } from './stage';

/** What can be dragged now: where it is, the only line it may move on if there is one, and a name for who listens. */
export type Grip = { key: string; at: Triple; along: Triple | null };

export class Handles {
    readonly #controls: TransformControls;
    readonly #held = new Object3D();
    #grip: Grip | null = null;
    #isDragging = false;

    constructor(
        private readonly stage: Stage,
        canvas: HTMLCanvasElement,
        private readonly ondrag: (key: string, at: Triple, isDone: boolean) => void,
    ) {
        this.#controls = new TransformControls(stage.camera, canvas);
        this.#controls.setSize(0.75);
        const [ink, action] = [colour('--ink'), colour('--action')];
        this.#controls.setColors(ink, ink, ink, action);
        this.#controls.addEventListener('change', stage.draw);
        this.#controls.addEventListener('objectChange', () => this.#tell(false));
        this.#controls.addEventListener('dragging-changed', (event) => {
            this.#isDragging = event.value === true;
            stage.controls.enabled = !this.#isDragging;
            if (!this.#isDragging) this.#tell(true);
        });
        stage.scene.add(this.#held, this.#controls.getHelper());
    }

    dispose(): void {
        this.#controls.dispose();
    }

    snapTo(mm: number): void {
        this.#controls.setTranslationSnap(mm > 0 ? mm : null);
    }

    /** While something is dragged the pointer says where it is; what the core makes of it follows when it is let go. */
    offer(grip: Grip | null): void {
        if (this.#isDragging && grip?.key === this.#grip?.key) return;
        this.#grip = grip;
        if (!grip) {
            this.#controls.detach();
            return;
        }
        this.#held.position.set(...grip.at);
        this.#held.quaternion.copy(
            grip.along
                ? new Quaternion().setFromUnitVectors(new Vector3(1, 0, 0), new Vector3(...grip.along))
                : new Quaternion(),
        );
        this.#controls.space = grip.along ? 'local' : 'world';
        this.#controls.showY = this.#controls.showZ = grip.along === null;
        this.#controls.attach(this.#held);
    }

    #tell(isDone: boolean): void {
        if (this.#grip) this.ondrag(this.#grip.key, this.#held.position.toArray(), isDone);
    }
}
