// A run as it is drawn: one surface for its tube, one instanced ring for its seams, its ends and what is welded to its side.
import {
    ArrowHelper,
    BoxGeometry,
    BufferAttribute,
    BufferGeometry,
    Color,
    CylinderGeometry,
    DoubleSide,
    Group,
    InstancedMesh,
    Matrix4,
    Mesh,
    MeshStandardMaterial,
    Quaternion,
    TorusGeometry,
    Vector3,
} from 'three';
import { mergeGeometries } from 'three/addons/utils/BufferGeometryUtils.js';
import type { Selection } from '@/lib/job-desk.svelte';
import type { BranchShape, Drill, Frame, RunEnd, RunPlan, Segment, TubeRun } from '@/lib/answers';
import { drill } from './drilled';
import { colour } from './palette';
import { frameAt, pointOf, segmentGeometry, squareTo, type CutEnd } from './tube-mesh';

/** How a run stands in the picture: the one worked on, one beside it, or a way that is only being considered. */
export type Standing = 'current' | 'beside' | 'ghost';

/** An end that is not square: on the side of another run, or slanted. */
export type EndCut = Pick<BranchShape, 'letter' | 'isStart' | 'cut'>;

/** Tells what of a drawn object was hit. */
export type Picked = { selection?: Selection; letter?: string };

export function runModel(
    run: TubeRun,
    plan: RunPlan,
    order: number,
    selection: Selection,
    as: Standing,
    cut: EndCut[] = [],
    holes: Drill[] = [],
): Group {
    const odMm = plan.tube?.od.value ?? 50;
    const model = new Group();
    if (as !== 'ghost') model.userData['run'] = plan.letter;
    const tube = tubeMesh(run, plan, odMm, selection, as, cut);
    if (tube) {
        drill(tube.material, holes);
        model.add(tube);
    }
    if (as === 'ghost') return model;
    const seams = seamRings(run, plan, odMm, as === 'current' ? selection : null);
    if (seams) model.add(seams);
    const tally = tallyBands(run, odMm, order);
    if (tally) model.add(tally);
    for (const fitting of plan.fittings) {
        const frame = frameAt(run, fitting.station);
        if (frame) model.add(onSide(frame, odMm, fitting));
    }
    return model;
}

/** The tube as one surface, bends tinted; a triangle tells by its place in the list which bend it belongs to. */
function tubeMesh(
    run: TubeRun,
    plan: RunPlan,
    odMm: number,
    selection: Selection,
    as: Standing,
    cut: EndCut[],
): Mesh<BufferGeometry, MeshStandardMaterial> | null {
    const [straight, bent, chosen] = [colour('--tube'), colour('--bend'), colour('--action')];
    if (as === 'beside') for (const one of [straight, bent]) one.lerp(colour('--strong'), 0.35);
    const bends: { until: number; bend: number | null }[] = [];
    let triangles = 0;
    const parts = run.segments.map((segment, i) => {
        const cuts = cut
            .filter((one) => segment.bend === null && i === (one.isStart ? 0 : run.segments.length - 1))
            .map((one) => cutEnd(one, segment, (one.isStart ? plan.start : plan.target).frame));
        const part = segmentGeometry(segment, odMm / 2, cuts);
        const isOn = as === 'current' && selection?.kind === 'bend' && selection.id === String(segment.bend);
        tint(part, as === 'ghost' || isOn ? chosen : segment.bend === null ? straight : bent);
        triangles += (part.index?.count ?? 0) / 3;
        bends.push({ until: triangles, bend: segment.bend });
        return part;
    });
    const surface = parts.length > 0 ? mergeGeometries(parts) : null;
    for (const part of parts) part.dispose();
    if (!surface) return null;
    const mesh = new Mesh(
        surface,
        new MeshStandardMaterial({
            vertexColors: true,
            metalness: 0.35,
            roughness: 0.42,
            side: DoubleSide,
            transparent: as === 'ghost',
            opacity: as === 'ghost' ? 0.35 : 1,
        }),
    );
    if (as === 'ghost') return mesh;
    mesh.userData['pick'] = (face: number): Picked => {
        const bend = bends.find((one) => face < one.until)?.bend ?? null;
        if (as === 'beside') return { letter: plan.letter };
        return { selection: bend === null ? null : { kind: 'bend', id: String(bend) } };
    };
    return mesh;
}

/** The cut of an end, told from the reference of its end, as it lies round the ring that is drawn. */
function cutEnd({ isStart, cut }: EndCut, segment: Segment, end: Frame): CutEnd {
    const forward = new Vector3(...segment.start.forward);
    const [across, zero] = [new Vector3(...segment.start.reference), new Vector3(...end.reference)];
    const turn = Math.atan2(forward.dot(across.clone().cross(zero)), across.dot(zero));
    return {
        isStart,
        at: (angle) => {
            const place = ((((angle - turn) / (2 * Math.PI)) % 1) + 1) % 1;
            const i = place * cut.length;
            const [low, high] = [cut[Math.floor(i) % cut.length], cut[(Math.floor(i) + 1) % cut.length]];
            return (low ?? 0) + ((high ?? 0) - (low ?? 0)) * (i - Math.floor(i));
        },
    };
}

function tint(geometry: BufferGeometry, of: Color): void {
    const count = geometry.getAttribute('position').count;
    const colours = new Float32Array(count * 3);
    for (let i = 0; i < count; i++) of.toArray(colours, 3 * i);
    geometry.setAttribute('color', new BufferAttribute(colours, 3));
}

/** All seams of a run in one draw; the chosen one is larger and coloured. */
function seamRings(run: TubeRun, plan: RunPlan, odMm: number, selection: Selection): InstancedMesh | null {
    const seams = plan.joints
        .filter((joint) => joint.type === 'butt' || joint.type === 'pie-cut')
        .flatMap((joint) => {
            const frame = frameAt(run, joint.station);
            return frame ? [{ joint, frame }] : [];
        });
    if (seams.length === 0) return null;
    const rings = new InstancedMesh(
        new TorusGeometry(odMm / 2 + 0.4, 1.6, 8, 48),
        new MeshStandardMaterial({ roughness: 0.6 }),
        seams.length,
    );
    seams.forEach(({ joint, frame }, i) => {
        const isOn = selection?.kind === 'joint' && selection.id === joint.id;
        rings.setMatrixAt(i, placedAlong(frame, isOn ? 1.03 : 1, isOn ? 2 : 1));
        rings.setColorAt(i, colour(isOn ? '--action' : '--ink'));
    });
    rings.userData['pickInstance'] = (i: number): Picked => ({
        selection: { kind: 'joint', id: seams[i]?.joint.id ?? '' },
    });
    return rings;
}

/** One thin band for the first run, two for the second, and so on; a broad one counts five. */
function tallyBands(run: TubeRun, odMm: number, order: number): InstancedMesh | null {
    const count = order + 1;
    const broad = Math.floor(count / 5);
    const bands = [...Array<number>(broad).fill(12), ...Array<number>(count % 5).fill(3)];
    let station = Math.min(26, run.length.value / 6);
    const places: { frame: Frame; wide: number }[] = [];
    for (const wide of bands) {
        const frame = frameAt(run, station + wide / 2);
        if (frame) places.push({ frame, wide });
        station += wide + 4;
    }
    if (places.length === 0) return null;
    const mesh = new InstancedMesh(
        new CylinderGeometry(odMm / 2 + 0.5, odMm / 2 + 0.5, 1, 40, 1, true).rotateX(Math.PI / 2),
        new MeshStandardMaterial({ color: colour('--ink'), roughness: 0.7, side: DoubleSide }),
        places.length,
    );
    places.forEach(({ frame, wide }, i) => mesh.setMatrixAt(i, placedAlong(frame, 1, wide)));
    return mesh;
}

/** Carries a ring drawn about z to a frame, its axis along the flow, so much wider and longer. */
function placedAlong(frame: Frame, across: number, along: number): Matrix4 {
    const turn = new Quaternion().setFromUnitVectors(new Vector3(0, 0, 1), new Vector3(...frame.forward));
    return new Matrix4().compose(pointOf(frame), turn, new Vector3(across, across, along));
}

/** What is welded to the side of a tube, or lies in it, about as large as such things are. */
function onSide(frame: Frame, odMm: number, fitting: RunPlan['fittings'][number]): Mesh {
    const forward = new Vector3(...frame.forward);
    const out = new Vector3(...frame.reference).applyAxisAngle(
        forward,
        (fitting.fromThroat.turn.value * Math.PI) / 180,
    );
    const isCrack = fitting.kind === 'crack';
    const mesh = new Mesh(
        shapeOf(fitting, odMm),
        new MeshStandardMaterial({ color: colour(isCrack ? '--stop' : '--ink'), roughness: 0.5 }),
    );
    // Each shape has y out of the tube and z along it.
    mesh.quaternion.setFromRotationMatrix(new Matrix4().makeBasis(out.clone().cross(forward), out, forward));
    mesh.position.copy(pointOf(frame));
    return mesh;
}

function shapeOf({ kind, length }: RunPlan['fittings'][number], odMm: number): BufferGeometry {
    const radius = odMm / 2;
    switch (kind) {
        case 'crack': {
            // Round the tube, where it was ground out.
            const arc = Math.min(2 * Math.PI, (length ?? 0) / radius);
            return new TorusGeometry(radius, 2.5, 8, 48, arc).rotateZ((Math.PI - arc) / 2);
        }
        case 'bracket':
            return new BoxGeometry(4, 32, 40).translate(0, radius + 14, 0);
        case 'hanger':
            return new CylinderGeometry(5, 5, 60, 16).translate(0, radius + 28, 0);
        case 'temperature-probe':
            return new CylinderGeometry(7, 7, 22, 16).translate(0, radius + 8, 0);
        default:
            return new CylinderGeometry(14, 14, 16, 24).translate(0, radius + 5, 0);
    }
}

/** A ring or a plate where the run meets a part, and an arrow for the flow. */
export function endModel(end: RunEnd, odMm: number, id: string, isStart: boolean, isChosen: boolean): Group {
    const model = new Group();
    const isFlange = end.kind === 'flange';
    const pick = (): Picked => ({ selection: { kind: 'end', id } });
    if (end.kind !== 'open' && end.kind !== 'saddle') {
        const plate = new Mesh(
            new CylinderGeometry(
                odMm * (isFlange ? 0.85 : 0.66),
                odMm * (isFlange ? 0.85 : 0.62),
                isFlange ? 9.5 : 14,
                40,
                1,
                !isFlange,
            ),
            new MeshStandardMaterial({
                color: colour(isChosen ? '--action' : '--strong'),
                metalness: 0.3,
                roughness: 0.5,
                side: DoubleSide,
            }),
        );
        plate.quaternion.copy(squareTo(end.frame));
        plate.position.copy(pointOf(end.frame));
        plate.userData['pick'] = pick;
        model.add(plate);
    }
    const forward = new Vector3(...end.frame.forward);
    const arrow = new ArrowHelper(
        forward,
        pointOf(end.frame).addScaledVector(forward, -odMm * 1.6),
        odMm * 1.3,
        colour(isStart ? '--ink' : '--action'),
        odMm * 0.35,
        odMm * 0.2,
    );
    // The line of an arrow is too thin to be hit; its head is not.
    arrow.cone.userData['pick'] = pick;
    model.add(arrow);
    return model;
}
