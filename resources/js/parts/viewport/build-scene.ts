// What of a build stands there so far, with the seam that is looked at; on the bench as it is held and filled.
import { Box3, Group, Object3D, Quaternion, Vector3 } from 'three';
import type { Frame, RunPlan, TubeRun } from '@/lib/answers';
import { ON_SIDE } from '../ribbon';
import { collectorModel } from './branching';
import type { Label } from './labels';
import { partModel } from './part-model';
import { mouthsModel, tapeModel } from './purge-model';
import { endModel, runModel } from './run-model';
import { seamModel } from './seam';
import { frameAt, stretchOf } from './tube-mesh';
import type { Scenery, SeamShown } from './tube-scene';

/** Room about it, in mm. */
const ROOM_MM = 40;

type Built = { model: Object3D; extent: Box3; labels: Label[] };

export function buildScene(scenery: Scenery, standing: string[]): Built {
    const model = new Group();
    const extent = new Box3();
    const labels: Label[] = [];
    const held = scenery.held?.pose ?? null;
    const turn = new Quaternion();
    if (held) turn.setFromUnitVectors(new Vector3(...held.up), new Vector3(0, 0, 1));

    // What lies on the bench is looked at by itself; a build keeps its place on the vehicle.
    scenery.runs.forEach((plan, order) => {
        const run = plan.run;
        if (!run) return;
        const isWhole = standing.includes(plan.letter);
        const pieces = plan.pieces.filter((one) => isWhole || standing.includes(one.mark));
        for (const one of held ? [] : run.segments) extent.expandByPoint(new Vector3(...one.start.at));
        if (!held) extent.expandByPoint(new Vector3(...run.end.at));
        for (const piece of held ? pieces : [])
            for (const at of [piece.from, (piece.from + piece.to) / 2, piece.to])
                expand(extent, frameAt(run, at), turn);
        if (pieces.length === 0) return;
        for (const [from, to, isFresh] of stretches(pieces, scenery.fresh)) {
            const part = {
                ...plan,
                joints: plan.joints.filter((one) => one.station > from && one.station < to),
                fittings: plan.fittings.filter((one) => isWhole && one.station > from && one.station < to),
            };
            const piece = stretchOf(run, from, to);
            const cuts = [...scenery.merge.branches, ...scenery.merge.slants].filter(
                (one) => one.letter === plan.letter && one.cut.length > 0 && isWhole,
            );
            model.add(runModel(piece, part, order, null, isFresh ? 'current' : 'beside', cuts));
        }
        const first = pieces[0];
        if (first && first.from < 1 && !held)
            model.add(endModel(plan.start, plan.tube?.od.value ?? 50, plan.letter, true, false));
        if (scenery.runs.length > 1)
            labels.push(
                letterLabel(
                    plan,
                    pieces.some((one) => one.mark === scenery.fresh),
                ),
            );
        const odMm = plan.tube?.od.value ?? 50;
        const taped = plan.joints.filter((one) => scenery.held?.taped.includes(one.id));
        for (const joint of taped) {
            const frame = frameAt(run, joint.station);
            if (frame) model.add(tapeModel(frame, odMm / 2));
        }
        if (scenery.seam) addSeam(model, plan, run, scenery.seam);
    });
    for (const collector of scenery.merge.collectors) {
        const isThere = standing.some((one) => one.startsWith(collector.letter));
        if (!held || isThere) extent.expandByPoint(new Vector3(...collector.outlet.at).applyQuaternion(turn));
        if (isThere) {
            model.add(collectorModel(collector, false));
            labels.push({ text: collector.letter, at: new Vector3(...collector.outlet.at), look: 'run' });
        }
    }
    for (const part of held ? [] : scenery.parts.filter((one) => standing.includes(one.run))) {
        extent.expandByPoint(new Vector3(...part.to));
        model.add(partModel(part));
    }
    if (held) {
        const { models, labels: words } = mouthsModel(held);
        model.add(...models);
        labels.push(...words);
        model.quaternion.copy(turn);
        for (const label of labels) extent.expandByPoint(label.at.applyQuaternion(turn));
    }
    return { model, extent: extent.expandByScalar(ROOM_MM), labels };
}

function expand(extent: Box3, frame: Frame | null, turn: Quaternion): void {
    if (frame) extent.expandByPoint(new Vector3(...frame.at).applyQuaternion(turn));
}

function addSeam(model: Object3D, plan: RunPlan, run: TubeRun, seam: SeamShown): void {
    const joint = plan.joints.find((one) => one.id === seam.joint);
    const isDrawn = joint && joint.round && !ON_SIDE.includes(joint.type);
    const frame = isDrawn ? frameAt(run, joint.station) : null;
    if (frame) model.add(seamModel(frame, (plan.tube?.od.value ?? 50) / 2, seam.reached));
}

/** At the middle of the tube, or at its port as long as there is none. */
export function letterLabel(plan: RunPlan, isCurrent: boolean): Label {
    const middle = plan.run ? frameAt(plan.run, plan.run.length.value / 2) : null;
    return {
        text: plan.letter,
        at: new Vector3(...(middle ?? plan.start.frame).at),
        look: isCurrent ? 'current' : 'run',
    };
}

/** Pieces side by side as stretches of their run, the one that has just come by itself. */
function stretches(pieces: RunPlan['pieces'], fresh: string): [number, number, boolean][] {
    const found: [number, number, boolean][] = [];
    for (const piece of pieces) {
        const last = found.at(-1);
        const isFresh = piece.mark === fresh;
        if (last && !isFresh && !last[2] && Math.abs(last[1] - piece.from) < 0.01) last[1] = piece.to;
        else found.push([piece.from, piece.to, isFresh]);
    }
    return found;
}
