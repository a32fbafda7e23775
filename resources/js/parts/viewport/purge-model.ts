// How a piece is filled with argon: where it is fed, vented and dammed, what is taped, where air stays.
import {
    ConeGeometry,
    CylinderGeometry,
    Group,
    Mesh,
    MeshStandardMaterial,
    Object3D,
    SphereGeometry,
    TorusGeometry,
    Vector3,
} from 'three';
import type { BenchPose, Frame, Mouth } from '@/lib/answers';
import type { Label } from './labels';
import { colour } from './palette';

/** Arrows are as long as so many bores. */
const ARROW_BORES = 1.6;
/** A dam stands out of its mouth and over its edge, so that it is seen from anywhere. */
const DAM_MM = 9;
const DAM_BORES = 1.16;
const DAM_LABEL_BORES = 1.2;
const TAPE_MM = 3.2;
const TRAP_MM = 11;

export function mouthsModel(pose: BenchPose): { models: Object3D[]; labels: Label[] } {
    const models: Object3D[] = [dam(pose.feed), flowArrow(pose.feed, true)];
    const labels: Label[] = [{ text: 'Feed', at: beyond(pose.feed), look: 'current' }];
    for (const vent of pose.vents) {
        models.push(flowArrow(vent, false));
        labels.push({ text: 'Vent', at: beyond(vent), look: 'run' });
    }
    for (const one of pose.dams) {
        models.push(dam(one));
        labels.push({ text: 'Dam', at: beyond(one, DAM_LABEL_BORES), look: 'quiet' });
    }
    for (const trap of pose.traps) {
        models.push(airModel(new Vector3(...trap.at)));
        labels.push({ text: trap.text, at: new Vector3(...trap.at), look: 'stop' });
    }
    return { models, labels };
}

/** A band of tape round a joint that is not welded yet. */
export function tapeModel(frame: Frame, radiusMm: number): Mesh {
    const band = new Mesh(
        new TorusGeometry(radiusMm + 0.6, TAPE_MM, 8, 48),
        new MeshStandardMaterial({ color: colour('--ink'), roughness: 0.9 }),
    );
    band.scale.set(1, 1, 2);
    band.quaternion.setFromUnitVectors(new Vector3(0, 0, 1), new Vector3(...frame.forward));
    band.position.set(...frame.at);
    return band;
}

/** In front of a mouth, where its word stands. */
function beyond(mouth: Mouth, bores = ARROW_BORES + 1.1): Vector3 {
    return new Vector3(...mouth.at).addScaledVector(new Vector3(...mouth.inward), -mouth.bore * bores);
}

/** An arrow thick enough to be seen from arm's length. */
function flowArrow(mouth: Mouth, isIn: boolean): Group {
    const long = mouth.bore * ARROW_BORES;
    const head = long * 0.45;
    const look = new MeshStandardMaterial({ color: colour(isIn ? '--action' : '--ink'), roughness: 0.7 });
    const shaft = new Mesh(new CylinderGeometry(mouth.bore * 0.12, mouth.bore * 0.12, long - head, 16), look);
    shaft.position.y = (long - head) / 2;
    const tip = new Mesh(new ConeGeometry(mouth.bore * 0.34, head, 24), look);
    tip.position.y = long - head / 2;
    const arrow = new Group().add(shaft, tip);
    const inward = new Vector3(...mouth.inward);
    arrow.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), isIn ? inward : inward.clone().negate());
    arrow.position.set(...mouth.at).addScaledVector(inward, isIn ? -long : 0);
    return arrow;
}

function dam(mouth: Mouth): Mesh {
    const radius = (mouth.bore * DAM_BORES) / 2;
    const plug = new Mesh(
        new CylinderGeometry(radius, radius, DAM_MM, 32),
        new MeshStandardMaterial({ color: colour('--ink'), roughness: 0.9 }),
    );
    const inward = new Vector3(...mouth.inward);
    plug.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), inward);
    plug.position.set(...mouth.at).addScaledVector(inward, -DAM_MM / 3);
    return plug;
}

function airModel(at: Vector3): Mesh {
    const air = new Mesh(
        new SphereGeometry(TRAP_MM, 20, 14),
        new MeshStandardMaterial({
            color: colour('--stop'),
            roughness: 0.7,
            depthTest: false,
            transparent: true,
            opacity: 0.8,
        }),
    );
    air.position.copy(at);
    return air;
}
