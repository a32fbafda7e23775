// The seam that is looked at, once round its tube: where a torch gets to, and where it does not.
import { Group, Matrix4, Mesh, MeshStandardMaterial, TorusGeometry, Vector3 } from 'three';
import { gapsOf } from '@/parts/dial';
import type { Frame } from '@/lib/answers';
import { colour } from './palette';

const WIDE_MM = 2.6;

/** Angles as on the dial: from the reference of the frame, clockwise looking with the flow. */
export function seamModel(frame: Frame, radiusMm: number, reached: [number, number][]): Group {
    const model = new Group();
    const forward = new Vector3(...frame.forward);
    const across = new Vector3(...frame.reference);
    const basis = new Matrix4()
        .makeBasis(across, new Vector3().crossVectors(forward, across), forward)
        .setPosition(new Vector3(...frame.at));
    const add = ([from, to]: [number, number], look: string) => {
        const span = Math.min(360, to - from);
        const arc = new Mesh(
            new TorusGeometry(
                radiusMm + 1,
                WIDE_MM,
                10,
                Math.max(4, Math.ceil(span / 5)),
                (span * Math.PI) / 180,
            ),
            new MeshStandardMaterial({ color: colour(look), roughness: 0.6 }),
        );
        arc.applyMatrix4(new Matrix4().makeRotationZ((from * Math.PI) / 180).premultiply(basis));
        model.add(arc);
    };
    for (const arc of reached) add(arc, '--action');
    for (const arc of gapsOf(reached)) add(arc, '--stop');
    return model;
}
