// Judges an answer to a route problem (docs/route-problem.md) by dense points alone, sharing no geometry with the solver:
// node judge.mjs CASE.json ANSWER.json prints {"accepted", "failures", "objective", "joints"}.
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Vector3 } from 'three';

const MM = 0.05;
const DEG = 0.01;
const STEP = 0.5;

export function judge(problem, answer) {
    const failures = [];
    const fail = (text) => failures.push(text);
    const rules = problem.rules;
    const tubes = [];
    const ids = problem.ports.map((port) => port.id).sort();
    const answered = (answer.runners ?? []).map((runner) => runner.id).sort();
    if (JSON.stringify(ids) !== JSON.stringify(answered)) fail(`runners ${answered} for ports ${ids}`);

    for (const runner of answer.runners ?? []) {
        const port = problem.ports.find((one) => one.id === runner.id);
        const collector = problem.collectors.find(
            (one) =>
                one.inlets.some((inlet) => inlet.id === runner.inlet) && runnersOf(one).includes(runner.id),
        );
        const inlet = collector?.inlets.find((one) => one.id === runner.inlet);
        if (!port || !inlet) {
            fail(`${runner.id}: no such port or inlet`);
            continue;
        }
        tubes.push({ ...walk(problem, runner, port, inlet, fail), runner, collector });
    }
    assignments(problem, answer, fail);
    keepOuts(problem, tubes, fail);
    tubes.forEach((p, i) => tubes.slice(i + 1).forEach((q) => pair(rules, p, q, fail)));
    tubes.forEach((tube) => itself(rules, tube, fail));
    for (const group of problem.lengths ?? []) {
        const lengths = tubes
            .filter((tube) => group.runners.includes(tube.runner.id))
            .map((tube) => tube.length);
        const share = group.tol_pct / 100;
        const low = Math.min(...lengths) + MM;
        const high = Math.max(...lengths) - MM;
        const holds =
            group.target == null
                ? high / (1 + share) <= low / (1 - share)
                : high <= group.target * (1 + share) && low >= group.target * (1 - share);
        if (!holds) fail(`lengths ${lengths.map((one) => one.toFixed(1))}`);
    }
    return {
        accepted: failures.length === 0,
        failures,
        objective: tubes.reduce((sum, tube) => sum + tube.objective, 0),
        joints: tubes.reduce((sum, tube) => sum + tube.joints, 0),
    };
}

const vector = (xyz) => new Vector3(...xyz);

function runnersOf({ assignment }) {
    return assignment.mode === 'fixed'
        ? Object.keys(assignment.map)
        : (assignment.runners ?? assignment.order);
}

/** Points every STEP mm along the centreline, straights and arcs taken apart with turns about the bend's axis. */
function walk(problem, runner, port, inlet, fail) {
    const { rules } = problem;
    const stock = problem.tubes[port.tube];
    const a = vector(port.dir).normalize();
    const b = vector(inlet.dir).normalize();
    const corners = [vector(port.at), ...runner.vertices.map(vector), vector(inlet.at)];
    const legs = corners.slice(1).map((corner, i) => corner.clone().sub(corners[i]));
    const directions = legs.map((leg) => leg.clone().normalize());
    const degrees = (one, other) =>
        (Math.atan2(one.clone().cross(other).length(), one.dot(other)) * 180) / Math.PI;
    if (degrees(directions[0], a) > DEG)
        fail(`${runner.id} leaves its port ${degrees(directions[0], a)}° off`);
    if (degrees(directions.at(-1), b) > DEG)
        fail(`${runner.id} meets its inlet ${degrees(directions.at(-1), b)}° off`);
    if (runner.radii.length !== runner.vertices.length) fail(`${runner.id}: radii do not match vertices`);
    if (runner.radii.length > rules.max_bends) fail(`${runner.id} has ${runner.radii.length} bends`);

    const angles = runner.radii.map((_, i) => degrees(directions[i], directions[i + 1]));
    const setbacks = angles.map((angle, i) => runner.radii[i] * Math.tan((angle * Math.PI) / 360));
    let odd = 0;
    angles.forEach((angle, i) => {
        const bend = stock.bends.find((one) => Math.abs(one.radius - runner.radii[i]) < 1e-6);
        if (!bend) fail(`${runner.id}: radius ${runner.radii[i]} is not in stock`);
        else if (angle > bend.max_angle + DEG) fail(`${runner.id}: ${angle}° on radius ${bend.radius}`);
        if (angle < rules.min_angle - DEG) fail(`${runner.id}: a bend of ${angle}°`);
        const near = Math.round(angle / rules.angle_step) * rules.angle_step;
        if (Math.abs(angle - near) > rules.angle_window + 1e-9) odd++;
    });
    const straights = legs.map((leg, i) => leg.length() - (setbacks[i - 1] ?? 0) - (setbacks[i] ?? 0));
    straights.forEach((straight, i) => {
        const least = Math.max(
            i === 0 ? rules.first_straight : 0,
            i === straights.length - 1 ? rules.last_straight : 0,
            i > 0 && i < straights.length - 1 ? rules.inner_straight : 0,
        );
        if (straight < least - MM) fail(`${runner.id}: straight ${i} of ${straight.toFixed(3)} mm`);
    });

    const points = [];
    const stations = [];
    let station = 0;
    const put = (point, at) => {
        points.push(point);
        stations.push(at);
    };
    straights.forEach((straight, i) => {
        const start = corners[i].clone().addScaledVector(directions[i], setbacks[i - 1] ?? 0);
        const steps = Math.max(1, Math.ceil(straight / STEP));
        for (let k = 0; k <= steps; k++)
            put(
                start.clone().addScaledVector(directions[i], (straight * k) / steps),
                station + (straight * k) / steps,
            );
        station += straight;
        if (i === angles.length) return;
        const radians = (angles[i] * Math.PI) / 180;
        const axis = directions[i]
            .clone()
            .cross(directions[i + 1])
            .normalize();
        const from = corners[i + 1].clone().addScaledVector(directions[i], -setbacks[i]);
        const centre = from.clone().addScaledVector(axis.clone().cross(directions[i]), runner.radii[i]);
        const arm = from.clone().sub(centre);
        const arc = runner.radii[i] * radians;
        const turns = Math.max(1, Math.ceil(arc / STEP));
        for (let k = 1; k < turns; k++)
            put(
                centre.clone().add(arm.clone().applyAxisAngle(axis, (radians * k) / turns)),
                station + (arc * k) / turns,
            );
        station += arc;
    });
    const turning = angles.reduce((sum, angle) => sum + angle, 0);
    const bends = runner.radii.map(
        (radius) => stock.bends.find((one) => Math.abs(one.radius - radius) < 1e-6)?.leg ?? 0,
    );
    let joints = 2;
    straights.forEach((straight, i) => {
        const legsThere = (bends[i - 1] ?? 0) + (bends[i] ?? 0);
        const between = i > 0 && i < straights.length - 1 ? 1 : 0;
        joints += between + (straight > legsThere + MM && bends.length > 0 ? 1 : 0);
    });
    return {
        points,
        stations,
        od: stock.od,
        length: station,
        leastRadius: Math.min(...stock.bends.map((bend) => bend.radius)),
        objective: 10 * angles.length + 2 * odd + turning / 45 + station / 500,
        joints,
    };
}

function assignments(problem, answer, fail) {
    const place = new Map((answer.runners ?? []).map((runner) => [runner.id, runner.inlet]));
    for (const collector of problem.collectors) {
        const runners = runnersOf(collector);
        const ids = collector.inlets.map((inlet) => inlet.id);
        const used = runners.map((runner) => place.get(runner));
        if (new Set(used).size !== used.length || used.some((inlet) => !ids.includes(inlet)))
            fail(`${collector.id}: inlets ${used}`);
        const { mode, map, order } = collector.assignment;
        if (mode === 'fixed') {
            for (const [runner, inlet] of Object.entries(map))
                if (place.get(runner) !== inlet) fail(`${runner} must enter ${inlet}`);
        }
        if (mode === 'cyclic' && order.length > 1) {
            const n = ids.length;
            const steps = order
                .slice(1)
                .map(
                    (runner, i) =>
                        (ids.indexOf(place.get(runner)) - ids.indexOf(place.get(order[i])) + n) % n,
                );
            if (!steps.every((step) => step === 1) && !steps.every((step) => step === n - 1))
                fail(`${collector.id}: ${used} is not the firing order`);
        }
    }
}

function keepOuts(problem, tubes, fail) {
    for (const solid of problem.keepouts ?? []) {
        const distance = surface(solid);
        for (const tube of tubes) {
            const need = tube.od / 2 + (solid.clearance ?? problem.rules.clearance);
            let least = Infinity;
            tube.points.forEach((point, i) => {
                if (
                    tube.stations[i] < (solid.exempt_first ?? 0) ||
                    tube.stations[i] > tube.length - (solid.exempt_last ?? 0)
                )
                    return;
                least = Math.min(least, distance(point));
            });
            if (least < need - MM)
                fail(`${tube.runner.id} is ${(need - least).toFixed(3)} mm too near ${solid.id}`);
        }
    }
}

function surface(solid) {
    if (solid.type === 'halfspace') {
        const normal = vector(solid.normal).normalize();
        const point = vector(solid.point);
        return (at) => at.clone().sub(point).dot(normal);
    }
    if (solid.type === 'box') {
        const axes = (
            solid.axes ?? [
                [1, 0, 0],
                [0, 1, 0],
                [0, 0, 1],
            ]
        ).map((axis) => vector(axis).normalize());
        const centre = vector(solid.centre);
        return (at) => {
            const out = axes.map((axis, i) => Math.abs(at.clone().sub(centre).dot(axis)) - solid.size[i] / 2);
            return Math.hypot(...out.map((one) => Math.max(one, 0))) + Math.min(0, Math.max(...out));
        };
    }
    const from = vector(solid.from);
    const axis = vector(solid.to).sub(from);
    const length = axis.length();
    axis.normalize();
    return (at) => {
        const across = at.clone().sub(from);
        const along = across.dot(axis);
        const aside = across.addScaledVector(axis, -along).length();
        if (solid.type === 'capsule')
            return Math.hypot(aside, Math.max(0, -along, along - length)) - solid.radius;
        const [u, v] = [aside - solid.radius, Math.max(-along, along - length)];
        return Math.hypot(Math.max(u, 0), Math.max(v, 0)) + Math.min(0, Math.max(u, v));
    };
}

function pair(rules, p, q, fail) {
    const bodies = (p.od + q.od) / 2;
    const same = p.collector === q.collector ? p.collector.near : null;
    let worst = 0;
    for (let i = 0; i < p.points.length; i++) {
        const pNear = same && p.stations[i] >= p.length - same.length;
        for (let j = 0; j < q.points.length; j++) {
            const need =
                bodies +
                (pNear && q.stations[j] >= q.length - same.length
                    ? Math.min(rules.gap, same.gap)
                    : rules.gap);
            const distance = p.points[i].distanceTo(q.points[j]);
            worst = Math.max(worst, need - distance);
            // No nearer than this until it has gone that far along.
            j += Math.max(0, Math.floor((distance - need + worst) / STEP) - 1);
        }
    }
    if (worst > MM) fail(`${p.runner.id} and ${q.runner.id} are ${worst.toFixed(3)} mm too near`);
}

function itself(rules, tube, fail) {
    const apart = Math.PI * Math.max(tube.leastRadius, (tube.od + rules.gap) / 2);
    let worst = 0;
    for (let i = 0; i < tube.points.length; i++) {
        for (let j = i + 1; j < tube.points.length; j++) {
            if (tube.stations[j] - tube.stations[i] <= apart) continue;
            const distance = tube.points[i].distanceTo(tube.points[j]);
            worst = Math.max(worst, tube.od + rules.gap - distance);
            j += Math.max(0, Math.floor((distance - tube.od - rules.gap + worst) / STEP) - 1);
        }
    }
    if (worst > MM) fail(`${tube.runner.id} is ${worst.toFixed(3)} mm too near itself`);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
    const [problem, answer] = process.argv.slice(2, 4).map((file) => JSON.parse(readFileSync(file, 'utf8')));
    console.log(JSON.stringify(judge(problem, answer)));
}
