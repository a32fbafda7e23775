// Runs on the move: going in one after another, or spread out to be looked at.
import { Quaternion, Vector3, type Object3D } from 'three';
import type { Insertion } from '@/lib/answers';
import type { Stage } from './stage';

const SECONDS_A_RUN = 1.6;

export class Motion {
    #frame = 0;

    constructor(private readonly stage: Stage) {}

    stop(): void {
        cancelAnimationFrame(this.#frame);
    }

    /** Moves each run to its place in turn, along the way it goes in; those still to come wait out of sight. */
    playInsertion(order: Insertion['order']): void {
        this.stop();
        const began = performance.now();
        const far = Math.max(this.stage.extent.getSize(new Vector3()).length() * 0.8, 300);
        const parts = order.map((step) => ({
            direction: new Vector3(...step.direction),
            tip: step.tip,
            objects: this.#runs().filter((one) => one.userData['run'] === step.run),
        }));
        const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
        const frame = (): void => {
            const time = (performance.now() - began) / (still ? 1 : SECONDS_A_RUN * 1000);
            parts.forEach(({ direction, tip, objects }, i) => {
                const share = Math.min(Math.max(time - i, 0), 1);
                // Where it is tipped it comes in so, and is turned back at the end.
                const pushed = tip ? Math.min(share / 0.75, 1) : share;
                const turn = tip ? tip.deg * Math.min((1 - share) / 0.25, 1) : 0;
                for (const object of objects) {
                    object.visible = time > i;
                    object.position.copy(direction).multiplyScalar(-far * (1 - pushed) ** 2);
                    if (tip) tilt(object, new Vector3(...tip.about), new Vector3(...tip.axis), turn);
                }
            });
            this.stage.draw();
            if (time < parts.length) this.#frame = requestAnimationFrame(frame);
        };
        frame();
    }

    /** Moves every run away from the middle of all, 0 back to its place. */
    spread(share: number): void {
        this.stop();
        const middle = this.stage.extent.getCenter(new Vector3());
        for (const run of this.#runs()) {
            const centre = run.userData['centre'] as Vector3 | undefined;
            run.visible = true;
            run.quaternion.identity();
            if (centre) run.position.copy(centre).sub(middle).multiplyScalar(share);
        }
        this.stage.draw();
    }

    #runs(): Object3D[] {
        return this.stage.content.children.filter((one) => typeof one.userData['run'] === 'string');
    }
}

/** Turns an object about a place of its own, on top of where it has been moved. */
function tilt(object: Object3D, about: Vector3, axis: Vector3, degrees: number): void {
    object.quaternion.copy(new Quaternion().setFromAxisAngle(axis, (degrees * Math.PI) / 180));
    object.position.add(about).sub(about.clone().applyQuaternion(object.quaternion));
}
