// Turns the segments the core sent into surfaces to draw; nothing here decides where a tube goes.
import { BufferAttribute, BufferGeometry, Quaternion, Vector3 } from 'three';
import type { Frame, Segment, TubeRun } from '@/lib/answers';

const SIDES = 28;
const DEGREES_A_RING = 4;

/** wide: how much wider it is towards the throat, as a tube is where it is cut at a slant. */
type Ring = { at: Vector3; across: Vector3; side: Vector3; wide?: number };

const vector = (xyz: [number, number, number]) => new Vector3(...xyz);

/** Rings round a segment: two for a straight, one every few degrees for a bend. */
export function ringsOf(segment: Segment): Ring[] {
    const forward = vector(segment.start.forward);
    const reference = vector(segment.start.reference);
    const at = vector(segment.start.at);
    const side = new Vector3().crossVectors(forward, reference);
    if (segment.bend === null) {
        return [0, segment.length].map((along) => ({
            at: at.clone().addScaledVector(forward, along),
            across: reference,
            side,
        }));
    }
    const centre = at.clone().addScaledVector(reference, segment.clr);
    if (segment.pie > 0) return wedgeRings(segment, centre, reference, side);
    const steps = Math.max(2, Math.ceil(segment.angle / DEGREES_A_RING));
    const rings: Ring[] = [];
    for (let i = 0; i <= steps; i++) {
        // The bend turns the flow towards the throat line: about forward × throat.
        const turn = new Quaternion().setFromAxisAngle(side, ((segment.angle * i) / steps) * (Math.PI / 180));
        const across = reference.clone().applyQuaternion(turn);
        rings.push({ at: centre.clone().addScaledVector(across, -segment.clr), across, side });
    }
    return rings;
}

/** A bend of wedges: straight from weld to weld, each weld a slanted ring. */
function wedgeRings(segment: Segment, centre: Vector3, reference: Vector3, side: Vector3): Ring[] {
    const each = (segment.angle * Math.PI) / 180 / segment.pie;
    const wide = 1 / Math.cos(each / 2);
    const ring = (angle: number, widened: number): Ring => {
        const across = reference.clone().applyAxisAngle(side, angle);
        return {
            at: centre.clone().addScaledVector(across, -segment.clr * widened),
            across,
            side,
            wide: widened,
        };
    };
    const welds = Array.from({ length: segment.pie }, (_, i) => ring((i + 0.5) * each, wide));
    return [ring(0, 1), ...welds, ring(each * segment.pie, 1)];
}

/** How far back from one end of a tube its skin begins, round the flow from the ring's first point; mm. */
export type CutEnd = { isStart: boolean; at: (angle: number) => number };

/** The outside of a segment as an indexed surface with smooth normals, its ends cut where they stand on another tube. */
export function segmentGeometry(segment: Segment, radiusMm: number, cuts: CutEnd[] = []): BufferGeometry {
    const rings = ringsOf(segment);
    const forward = vector(segment.start.forward);
    const positions = new Float32Array(rings.length * (SIDES + 1) * 3);
    const normals = new Float32Array(positions.length);
    const index: number[] = [];
    rings.forEach((ring, r) => {
        for (let s = 0; s <= SIDES; s++) {
            const angle = (2 * Math.PI * s) / SIDES;
            const normal = ring.across
                .clone()
                .multiplyScalar(Math.cos(angle))
                .addScaledVector(ring.side, Math.sin(angle));
            const vertex = ring.at
                .clone()
                .addScaledVector(normal, radiusMm)
                .addScaledVector(ring.across, ((ring.wide ?? 1) - 1) * Math.cos(angle) * radiusMm);
            for (const cut of cuts) {
                if (r === (cut.isStart ? 0 : rings.length - 1))
                    vertex.addScaledVector(forward, (cut.isStart ? 1 : -1) * cut.at(angle));
            }
            const offset = (r * (SIDES + 1) + s) * 3;
            vertex.toArray(positions, offset);
            normal.toArray(normals, offset);
            if (r > 0 && s < SIDES) {
                const here = r * (SIDES + 1) + s;
                const before = here - (SIDES + 1);
                index.push(before, before + 1, here, here, before + 1, here + 1);
            }
        }
    });
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(positions, 3));
    geometry.setAttribute('normal', new BufferAttribute(normals, 3));
    geometry.setIndex(index);
    return geometry;
}

/** The turn that lays a disc or a ring, drawn about y, square to the flow of a frame. */
export function squareTo(frame: Frame): Quaternion {
    return new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), vector(frame.forward));
}

export function pointOf(frame: Frame): Vector3 {
    return vector(frame.at);
}

/** Where on a drawn run a station lies; the run's own segments say so. */
export function frameAt(run: TubeRun, stationMm: number): Frame | null {
    const segment = run.segments.find((one) => stationMm <= one.from + one.length + 1e-6);
    if (!segment) return null;
    const forward = new Vector3(...segment.start.forward);
    const reference = new Vector3(...segment.start.reference);
    const along = stationMm - segment.from;
    if (segment.bend === null) {
        const at = new Vector3(...segment.start.at).addScaledVector(forward, along);
        return { at: at.toArray(), forward: segment.start.forward, reference: segment.start.reference };
    }
    const axis = new Vector3().crossVectors(forward, reference);
    const angle = along / segment.clr;
    const across = reference.clone().applyAxisAngle(axis, angle);
    const at = new Vector3(...segment.start.at)
        .addScaledVector(reference, segment.clr)
        .addScaledVector(across, -segment.clr);
    return {
        at: at.toArray(),
        forward: forward.applyAxisAngle(axis, angle).toArray(),
        reference: across.toArray(),
    };
}

/** What of a run lies between two stations, as a run of its own; stations stay as they are. */
export function stretchOf(run: TubeRun, fromMm: number, toMm: number): TubeRun {
    const segments = run.segments.flatMap((one): Segment[] => {
        const from = Math.max(one.from, fromMm);
        const to = Math.min(one.from + one.length, toMm);
        if (to - from < 0.01) return [];
        const start = frameAt(run, from + 1e-4) ?? one.start;
        const share = (to - from) / one.length;
        return share > 0.999 ? [one] : [{ ...one, from, length: to - from, angle: one.angle * share, start }];
    });
    return { ...run, segments };
}
