// Collectors and branches as they are drawn: every tube with its wall and its cut end, the edge of each hole.
import {
    BufferAttribute,
    BufferGeometry,
    CylinderGeometry,
    DoubleSide,
    Group,
    InstancedMesh,
    LineBasicMaterial,
    LineLoop,
    Matrix4,
    Mesh,
    MeshStandardMaterial,
    Vector3,
    type Object3D,
} from 'three';
import { mergeGeometries } from 'three/addons/utils/BufferGeometryUtils.js';
import type { BranchShape, CollectorShape, Frame, Triple } from '@/lib/answers';
import { colour } from './palette';
import { pointOf, squareTo } from './tube-mesh';

const vector = (xyz: Triple) => new Vector3(...xyz);

export function collectorModel(collector: CollectorShape, isChosen: boolean): Object3D {
    const model = new Group();
    model.userData['collector'] = collector.letter;
    model.add(collector.skin ? tubes(collector, collector.skin, isChosen) : body(collector, isChosen));
    return model;
}

/** The edge of a hole on the side of the tube that a branch stands on. */
export function holeLine(branch: BranchShape): LineLoop {
    return new LineLoop(
        new BufferGeometry().setFromPoints(branch.hole.map(vector)),
        new LineBasicMaterial({ color: colour('--ink') }),
    );
}

/** The first tube, and the others turned about the axis. */
function tubes(
    collector: CollectorShape,
    skin: NonNullable<CollectorShape['skin']>,
    isChosen: boolean,
): InstancedMesh {
    const { outside, inside } = skin;
    const last = (line: Triple[]): Triple => line.at(-1) ?? [0, 0, 0];
    const first = (line: Triple[]): Triple => line[0] ?? [0, 0, 0];
    const parts = [
        sheet(outside),
        sheet(inside),
        sheet(outside.map((line, i) => [first(line), first(inside[i] ?? line)])),
        sheet(outside.map((line, i) => [last(line), last(inside[i] ?? line)])),
    ];
    const geometry = mergeGeometries(parts) ?? new BufferGeometry();
    for (const part of parts) part.dispose();
    const mesh = new InstancedMesh(
        geometry,
        new MeshStandardMaterial({
            color: colour(isChosen ? '--tube' : '--bend'),
            metalness: 0.35,
            roughness: 0.42,
            side: DoubleSide,
        }),
        collector.inlets,
    );
    const own = ownFrame(collector.frame);
    for (let i = 0; i < collector.inlets; i++) {
        const turn = new Matrix4().makeRotationZ((2 * Math.PI * i) / collector.inlets);
        mesh.setMatrixAt(i, own.clone().multiply(turn));
    }
    mesh.userData['pick'] = () => ({ letter: collector.letter });
    return mesh;
}

/** Lines side by side as one surface; all have as many points. */
function sheet(lines: Triple[][]): BufferGeometry {
    const along = lines[0]?.length ?? 0;
    const positions = new Float32Array(lines.flat(2));
    const index: number[] = [];
    for (let line = 1; line < lines.length; line++) {
        for (let i = 1; i < along; i++) {
            const here = line * along + i;
            const before = here - along;
            index.push(before - 1, before, here - 1, here - 1, before, here);
        }
    }
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(positions, 3));
    geometry.setIndex(index);
    geometry.computeVertexNormals();
    return geometry;
}

/** A bought collector: a mouth at each inlet and the outlet, no more is known of it. */
function body(collector: CollectorShape, isChosen: boolean): Group {
    const group = new Group();
    const radius = collector.tube.od.value / 2;
    for (const { frame, radiusMm } of [
        ...collector.mouths.map((frame) => ({ frame, radiusMm: radius })),
        { frame: collector.outlet, radiusMm: collector.outletOd / 2 },
    ]) {
        const ring = new Mesh(
            new CylinderGeometry(radiusMm, radiusMm, 2 * radius, 32, 1, true),
            new MeshStandardMaterial({
                color: colour(isChosen ? '--action' : '--strong'),
                side: DoubleSide,
                metalness: 0.3,
                roughness: 0.5,
            }),
        );
        ring.quaternion.copy(squareTo(frame));
        ring.position.copy(pointOf(frame));
        group.add(ring);
    }
    return group;
}

/** From a collector's own frame, reference, aside and along its axis, into the picture. */
function ownFrame(frame: Frame): Matrix4 {
    const [x, z] = [vector(frame.reference), vector(frame.forward)];
    const y = new Vector3().crossVectors(z, x);
    return new Matrix4().makeBasis(x, y, z).setPosition(pointOf(frame));
}
