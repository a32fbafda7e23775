// What stands round the tubes: keep-outs as glass, gaps that are too small, the datum and a floor.
import {
    ArrowHelper,
    Box3,
    BoxGeometry,
    BufferAttribute,
    BufferGeometry,
    CapsuleGeometry,
    CylinderGeometry,
    DoubleSide,
    Group,
    LineBasicMaterial,
    LineLoop,
    LineSegments,
    Matrix4,
    Mesh,
    MeshStandardMaterial,
    PlaneGeometry,
    Quaternion,
    SphereGeometry,
    Vector3,
} from 'three';
import type { KeepOut, Triple } from '@/lib/answers';
import { colour } from './palette';

const DATUM_MM = 60;

export function keepOutMesh(solid: KeepOut, extent: Box3, opacity: number, isChosen: boolean): Mesh {
    const mesh = new Mesh(
        shapeOf(solid, extent),
        new MeshStandardMaterial({
            color: colour(isChosen ? '--action' : '--strong'),
            transparent: true,
            opacity: opacity * (solid.shape === 'half-space' ? 0.5 : 1),
            roughness: 0.8,
            side: DoubleSide,
            depthWrite: opacity > 0.8,
        }),
    );
    const from = new Vector3(...solid.at);
    if (solid.shape === 'box' || solid.shape === 'mesh') {
        const [x, y, z] = solid.axes.map((axis) => new Vector3(...axis)) as [Vector3, Vector3, Vector3];
        mesh.quaternion.setFromRotationMatrix(new Matrix4().makeBasis(x, y, z));
        mesh.position.copy(from);
    } else if (solid.shape === 'half-space') {
        const normal = new Vector3(...solid.axes[0]);
        const centre = extent.getCenter(new Vector3());
        mesh.quaternion.copy(new Quaternion().setFromUnitVectors(new Vector3(0, 0, 1), normal));
        mesh.position.copy(centre.addScaledVector(normal, normal.dot(from.clone().sub(centre))));
    } else {
        const along = new Vector3(...solid.to).sub(from);
        mesh.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), along.clone().normalize());
        mesh.position.copy(from).addScaledVector(along, 0.5);
    }
    mesh.userData['pick'] = () => ({ selection: { kind: 'keep-out', id: solid.name } });
    return mesh;
}

function shapeOf(solid: KeepOut, extent: Box3): BufferGeometry {
    const length = new Vector3(...solid.to).distanceTo(new Vector3(...solid.at));
    switch (solid.shape) {
        case 'box':
            return new BoxGeometry(...solid.size);
        case 'cylinder':
            return new CylinderGeometry(solid.radius, solid.radius, length, 40);
        case 'capsule':
            return new CapsuleGeometry(solid.radius, length, 10, 40);
        case 'mesh':
            return new BufferGeometry();
        case 'half-space': {
            const size = extent.isEmpty() ? 400 : extent.getSize(new Vector3()).length() * 0.8;
            return new PlaneGeometry(size, size);
        }
    }
}

const meshes = new Map<string, Promise<Float32Array>>();

/** The triangles of an imported mesh, asked for once. */
export function meshTriangles(url: string): Promise<Float32Array> {
    const known = meshes.get(url);
    if (known) return known;
    const asked = fetch(url).then(async (reply) =>
        reply.ok ? new Float32Array(await reply.arrayBuffer()) : new Float32Array(),
    );
    meshes.set(url, asked);
    return asked;
}

/** Gives a mesh its surface once that has come. */
export function fillMesh(mesh: Mesh, triangles: Float32Array): void {
    mesh.geometry.setAttribute('position', new BufferAttribute(triangles, 3));
    mesh.geometry.computeVertexNormals();
    // What is pressed is looked for in here: drawn while it was empty, it had none.
    mesh.geometry.computeBoundingSphere();
}

/** A line across a gap with a dot where it begins. */
export function gapLine(from: Triple, to: Triple | null): Group {
    const model = new Group();
    const stop = colour('--stop');
    if (to) {
        const line = new BufferGeometry().setFromPoints([new Vector3(...from), new Vector3(...to)]);
        model.add(new LineSegments(line, new LineBasicMaterial({ color: stop, depthTest: false })));
    }
    const dot = new Mesh(
        new SphereGeometry(6, 16, 12),
        new MeshStandardMaterial({ color: stop, depthTest: false }),
    );
    dot.position.set(...from);
    model.add(dot);
    return model;
}

/** The edge of a port's opening, on its face. */
export function openingLine(edge: Triple[]): LineLoop {
    const line = new BufferGeometry().setFromPoints(edge.map((point) => new Vector3(...point)));
    return new LineLoop(line, new LineBasicMaterial({ color: colour('--ink'), depthTest: false }));
}

/** How sure an end is: its place, and the way it points, one standard deviation each. */
export type Doubt = { at: Triple; out: Triple; sdMm: number; sdDeg: number };

/** So far out the doubt of a direction is drawn, in mm. */
const DOUBT_MM = 400;

/** Where an end and its axis lie in 95 of 100 cases: a ball about its middle, opening into a cone. */
export function doubtModel({ at, out, sdMm, sdDeg }: Doubt): Group {
    const model = new Group();
    const near = Math.max(0.5, 2 * sdMm);
    const far = near + DOUBT_MM * Math.tan((2 * sdDeg * Math.PI) / 180);
    const look = new MeshStandardMaterial({
        color: colour('--action'),
        transparent: true,
        opacity: 0.3,
        side: DoubleSide,
        depthWrite: false,
    });
    const cone = new Mesh(new CylinderGeometry(far, near, DOUBT_MM, 32, 1, true), look);
    const along = new Vector3(...out).normalize();
    cone.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), along);
    cone.position.set(...at).addScaledVector(along, DOUBT_MM / 2);
    const ball = new Mesh(new SphereGeometry(near, 24, 16), look);
    ball.position.set(...at);
    model.add(cone, ball);
    return model;
}

/** A point that others are measured from. */
export function pointMark(at: Triple): Mesh {
    const mark = new Mesh(
        new SphereGeometry(4, 16, 12),
        new MeshStandardMaterial({ color: colour('--ink') }),
    );
    mark.position.set(...at);
    return mark;
}

/** The three axes at the datum. */
export function datumAxes(): Group {
    const model = new Group();
    for (const axis of [new Vector3(1, 0, 0), new Vector3(0, 1, 0), new Vector3(0, 0, 1)]) {
        model.add(new ArrowHelper(axis, new Vector3(), DATUM_MM, colour('--ink'), 12, 7));
    }
    return model;
}

export const DATUM_LABELS: { text: string; at: Triple }[] = [
    { text: 'rearward', at: [DATUM_MM + 8, 0, 0] },
    { text: 'right', at: [0, DATUM_MM + 8, 0] },
    { text: 'up', at: [0, 0, DATUM_MM + 8] },
];

/** A plain grid below everything, rearward and right, a line every so many mm. */
export function floorGrid(extent: Box3, stepMm: number): LineSegments {
    const { min, max } = extent;
    const points: Vector3[] = [];
    const level = min.z - 20;
    const lines = (least: number, most: number) => {
        const first = Math.floor(least / stepMm) - 1;
        const count = Math.ceil(most / stepMm) + 2 - first;
        return Array.from({ length: count }, (_, i) => (first + i) * stepMm);
    };
    const [across, along] = [lines(min.x, max.x), lines(min.y, max.y)];
    for (const x of across) points.push(new Vector3(x, along[0], level), new Vector3(x, along.at(-1), level));
    for (const y of along)
        points.push(new Vector3(across[0], y, level), new Vector3(across.at(-1), y, level));
    return new LineSegments(
        new BufferGeometry().setFromPoints(points),
        new LineBasicMaterial({ color: colour('--line') }),
    );
}
