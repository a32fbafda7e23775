// What lies on the bench as a flat picture: seen from in front, a little from the side and from above, as it is held. Plain
// sums, so that it is drawn without the 3D library and without a network.
import type { BenchPose, CollectorShape, Mouth, RunPlan, Triple, TubeRun } from '@/lib/answers';

export type Flat = { x: number; y: number };
export type Tube = { points: Flat[]; wide: number };
export type Arrow = { word: string; from: Flat; to: Flat; at: Flat };
export type HeldPicture = { tubes: Tube[]; arrows: Arrow[]; dams: Flat[]; taped: Flat[]; seam: Flat | null };

const WIDE = 360;
const HIGH = 240;
const MARGIN = 40;
const STEPS = 40;
/** Arrows are so long, and words so far off, on the picture. */
const ARROW = 24;
const WORD = 14;

const dot = (a: Triple, b: Triple) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Triple, b: Triple): Triple => [
    a[1] * b[2] - a[2] * b[1],
    a[2] * b[0] - a[0] * b[2],
    a[0] * b[1] - a[1] * b[0],
];
const mix = (a: Triple, share: number, b: Triple, other: number): Triple => [
    a[0] * share + b[0] * other,
    a[1] * share + b[1] * other,
    a[2] * share + b[2] * other,
];
const unit = (a: Triple): Triple => mix(a, 1 / Math.max(1e-9, Math.hypot(...a)), a, 0);

/** A place of a run's middle line; its own segments say where that is. */
export function placeOf(run: TubeRun, station: number): Triple {
    const segment =
        run.segments.find((one) => station <= one.from + one.length + 1e-6) ?? run.segments.at(-1);
    if (!segment) return run.end.at;
    const { at, forward, reference } = segment.start;
    const along = station - segment.from;
    if (segment.bend === null) return mix(at, 1, forward, along);
    const angle = along / segment.clr;
    const inward = mix(at, 1, reference, segment.clr * (1 - Math.cos(angle)));
    return mix(inward, 1, forward, segment.clr * Math.sin(angle));
}

type Shown = {
    pose: BenchPose;
    runs: RunPlan[];
    collectors: CollectorShape[];
    taped: string[];
    joint: string;
};

export function heldPicture({ pose, runs, collectors, taped, joint }: Shown): HeldPicture {
    const up = unit(pose.up);
    const aside: Triple = Math.abs(up[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
    const level = unit(mix(aside, 1, up, -dot(aside, up)));
    const other = cross(up, level);
    const right = mix(level, 0.82, other, 0.57);
    const rise = mix(up, 0.9, mix(level, -0.57, other, 0.82), 0.43);
    const flat = (at: Triple): Flat => ({ x: dot(at, right), y: -dot(at, rise) });

    const lines = [
        ...runs.flatMap((plan) => linesOf(plan, pose.standing)),
        ...collectors
            .filter((one) => pose.standing.includes(one.letter))
            .flatMap((one) =>
                one.mouths.map((mouth) => ({ places: [mouth.at, one.outlet.at], od: one.tube.od.value })),
            ),
    ];
    const mouths = [pose.feed, ...pose.vents, ...pose.dams];
    const all = [...lines.flatMap((one) => one.places), ...mouths.map((one) => one.at)].map(flat);
    const box = {
        left: Math.min(...all.map((one) => one.x)),
        right: Math.max(...all.map((one) => one.x)),
        top: Math.min(...all.map((one) => one.y)),
        low: Math.max(...all.map((one) => one.y)),
    };
    const scale = Math.min(
        (WIDE - 2 * MARGIN) / Math.max(1, box.right - box.left),
        (HIGH - 2 * MARGIN) / Math.max(1, box.low - box.top),
    );
    const on = (at: Triple): Flat => {
        const { x, y } = flat(at);
        return {
            x: WIDE / 2 + scale * (x - (box.left + box.right) / 2),
            y: HIGH / 2 + scale * (y - (box.top + box.low) / 2),
        };
    };
    const way = (mouth: Mouth): Flat => {
        const { x, y } = flat(mouth.inward);
        const long = Math.hypot(x, y);
        return long < 0.2 ? { x: 0, y: -1 } : { x: -x / long, y: -y / long };
    };
    const arrow = (mouth: Mouth, word: string, isIn: boolean): Arrow => {
        const [end, out] = [on(mouth.at), way(mouth)];
        const far = { x: end.x + ARROW * out.x, y: end.y + ARROW * out.y };
        const at = { x: far.x + WORD * out.x, y: far.y + WORD * out.y };
        return isIn ? { word, from: far, to: end, at } : { word, from: end, to: far, at };
    };
    const jointAt = (id: string): Triple | null => {
        const plan = runs.find((one) => one.joints.some((own) => own.id === id));
        const found = plan?.joints.find((own) => own.id === id);
        return plan?.run && found ? placeOf(plan.run, found.station) : null;
    };
    const seam = jointAt(joint);
    return {
        tubes: lines.map(({ places, od }) => ({ points: places.map(on), wide: Math.max(2, od * scale) })),
        arrows: [arrow(pose.feed, 'Feed', true), ...pose.vents.map((one) => arrow(one, 'Vent', false))],
        dams: pose.dams.map((one) => on(one.at)),
        taped: taped.map(jointAt).flatMap((at) => (at ? [on(at)] : [])),
        seam: seam ? on(seam) : null,
    };
}

/** The middle line of what of a run lies there, piece by piece or whole. */
function linesOf(plan: RunPlan, standing: string[]): { places: Triple[]; od: number }[] {
    const run = plan.run;
    if (!run) return [];
    const od = plan.tube?.od.value ?? 50;
    const spans = standing.includes(plan.letter)
        ? [[0, run.length.value]]
        : plan.pieces.filter((one) => standing.includes(one.mark)).map((one) => [one.from, one.to]);
    return spans.map(([from = 0, to = 0]) => ({
        od,
        places: Array.from({ length: STEPS + 1 }, (_, i) => placeOf(run, from + ((to - from) * i) / STEPS)),
    }));
}
