/* Finds the cut lines of merge problems from the solids themselves, without any of their formulas: a point walks along
 * the skin of a tube until it lies deeper in another tube than in its own, or beyond the outlet. Tubes are distances to
 * centrelines, which are made of straights and arcs. Slow on purpose.
 * Reads a list of problems from standard input; writes for each the cuts found, as tables like an answer's. */
import { readFileSync } from 'node:fs';

const STEP_MM = 0.4;
const WALL_STEPS = 200;
const add = (a, b, by = 1) => a.map((v, i) => v + by * b[i]);
const dot = (a, b) => a.reduce((sum, v, i) => sum + v * b[i], 0);
const cross = (a, b) => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const size = (a) => Math.sqrt(dot(a, a));
const rad = (deg) => (deg * Math.PI) / 180;

/** The centreline of tube i: where it is at s, which way it goes there, and how far a point is from it. */
function centreline(problem, i) {
    const turn = (2 * Math.PI * i) / problem.tubes.length;
    const out = [Math.cos(turn), Math.sin(turn), 0];
    const tube = problem.tubes[i];
    const base = out.map((v) => v * (tube.inlet_radius ?? problem.inlet_radius));
    const leaning = (angle) => add([0, 0, Math.cos(angle)], out, -Math.sin(angle));
    if (!problem.bend) {
        const along = leaning(rad(tube.half_angle ?? problem.half_angle));
        return {
            at: (s) => [add(base, along, s), along],
            distance: (p) => size(cross(add(p, base, -1), along)),
        };
    }
    const { clr, angle, inlet_leg: leg } = problem.bend;
    const centre = add(add(base, [0, 0, leg]), out, -clr);
    const far = leaning(rad(angle));
    const last = add(add(centre, out, clr * Math.cos(rad(angle))), [0, 0, clr * Math.sin(rad(angle))]);
    const at = (s) => {
        if (s <= leg) return [add(base, [0, 0, s]), [0, 0, 1]];
        const turned = (s - leg) / clr;
        if (turned >= rad(angle)) return [add(last, far, s - leg - clr * rad(angle)), far];
        const arm = add(
            out.map((v) => v * Math.cos(turned)),
            [0, 0, Math.sin(turned)],
        );
        return [add(centre, arm, clr), leaning(turned)];
    };
    const distance = (p) => {
        const v = add(p, centre, -1);
        const [e, z] = [dot(v, out), v[2]];
        const turned = Math.atan2(z, e);
        const aside = dot(v, cross([0, 0, 1], out));
        if (z <= 0) return Math.hypot(e - clr, aside);
        if (turned > rad(angle)) return size(cross(add(p, last, -1), far));
        return Math.hypot(Math.hypot(e, z) - clr, aside);
    };
    return { at, distance };
}

function collector(problem) {
    const lines = problem.tubes.map((_, i) => centreline(problem, i));
    const plane = problem.outlet.plane;
    return problem.tubes.map((tube, i) => {
        const turn = (2 * Math.PI * i) / problem.tubes.length;
        const aside = [-Math.sin(turn), Math.cos(turn), 0];
        const cut = (psi, depth) => {
            const radius = tube.od / 2 - depth;
            const skin = (s) => {
                const [p, along] = lines[i].at(s);
                const outward = cross(aside, along);
                return add(add(p, outward, radius * Math.cos(psi)), aside, radius * Math.sin(psi));
            };
            const isGone = (s) => {
                const p = skin(s);
                return (
                    p[2] > plane ||
                    lines.some(
                        (other, j) => j !== i && problem.tubes[j].od / 2 - other.distance(p) > depth + 1e-12,
                    )
                );
            };
            let low = 0;
            while (!isGone(low + STEP_MM)) low += STEP_MM;
            let high = low + STEP_MM;
            for (let k = 0; k < 60; k++) {
                const middle = (low + high) / 2;
                if (isGone(middle)) high = middle;
                else low = middle;
            }
            return low;
        };
        return problem.psi.map((psi) => ({ psi, s: cut(rad(psi), 0), s_inside: cut(rad(psi), tube.wall) }));
    });
}

/** Slides the end of a branch outward until nothing of its wall is inside the main. */
function saddle(problem) {
    const angle = rad(problem.angle);
    const along = [Math.sin(angle), 0, Math.cos(angle)];
    const u = [Math.cos(angle), 0, -Math.sin(angle)];
    const seat = problem.main.od / 2 - (problem.seat === 'set-in' ? problem.main.wall : 0);
    const outside = problem.branch.od / 2;
    const inside = outside - problem.branch.wall;
    return problem.psi.map((deg) => {
        const psi = rad(deg);
        let most = -Infinity;
        for (let k = 0; k <= WALL_STEPS; k++) {
            const r = inside + ((outside - inside) * k) / WALL_STEPS;
            const isIn = (s) => {
                const p = add(
                    add(add([0, problem.offset, 0], along, s), u, r * Math.cos(psi)),
                    [0, 1, 0],
                    r * Math.sin(psi),
                );
                return Math.hypot(p[0], p[1]) < seat;
            };
            let [low, high] = [(-r * Math.cos(psi) * Math.cos(angle)) / Math.sin(angle), 3000];
            for (let n = 0; n < 60; n++) {
                const middle = (low + high) / 2;
                if (isIn(middle)) low = middle;
                else high = middle;
            }
            most = Math.max(most, high);
        }
        return { psi: deg, s: most };
    });
}

const problems = JSON.parse(readFileSync(0, 'utf8'));
process.stdout.write(
    JSON.stringify(problems.map((one) => (one.kind === 'saddle' ? saddle(one) : collector(one)))),
);
