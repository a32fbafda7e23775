// Builds tubes and keep-outs as meshes with manifold-3d. For each other body and the gap that is claimed from the first tube
// to it, says whether the tube touches the body when grown by a little less, and by a little more, than that gap.
import Module from 'manifold-3d';
import { Vector3 } from 'three';

const { tubes, solids, gaps, within } = JSON.parse(await new Response(process.stdin).text());
const wasm = await Module();
wasm.setup();
const { CrossSection, Manifold } = wasm;
const FACETS = 64;

/** A body along z or about z, carried to an origin with its own x and z. */
function placed(body, origin, x, z) {
    const y = z.clone().cross(x);
    return body.transform([...x.toArray(), 0, ...y.toArray(), 0, ...z.toArray(), 0, ...origin.toArray(), 1]);
}

function anySide(z) {
    return z
        .clone()
        .cross(Math.abs(z.x) < 0.8 ? new Vector3(1, 0, 0) : new Vector3(0, 1, 0))
        .normalize();
}

function bar(from, to, radius) {
    const z = to.clone().sub(from);
    const length = z.length();
    z.normalize();
    return placed(Manifold.cylinder(length, radius, radius, FACETS), from, anySide(z), z);
}

function ball(at, radius) {
    return Manifold.sphere(radius, FACETS).translate(at.toArray());
}

/** Straights as cylinders, bends as parts of a torus, half balls at the ends. */
function tube({ vertices, radii, od }) {
    const corners = vertices.map((one) => new Vector3(...one));
    const bodies = [ball(corners[0], od / 2), ball(corners.at(-1), od / 2)];
    let from = corners[0];
    radii.forEach((radius, i) => {
        const u = corners[i + 1].clone().sub(corners[i]).normalize();
        const v = corners[i + 2]
            .clone()
            .sub(corners[i + 1])
            .normalize();
        const angle = u.angleTo(v);
        const setback = radius * Math.tan(angle / 2);
        const start = corners[i + 1].clone().addScaledVector(u, -setback);
        const axis = u.clone().cross(v).normalize();
        const inward = axis.clone().cross(u);
        const centre = start.clone().addScaledVector(inward, radius);
        const torus = Manifold.revolve(
            CrossSection.circle(od / 2, FACETS).translate([radius, 0]),
            FACETS * 2,
            (angle * 180) / Math.PI,
        );
        if (start.distanceTo(from) > 1e-6) bodies.push(bar(from, start, od / 2));
        bodies.push(placed(torus, centre, inward.negate(), axis));
        from = corners[i + 1].clone().addScaledVector(v, setback);
    });
    bodies.push(bar(from, corners.at(-1), od / 2));
    return bodies;
}

function solid({ type, from, to, radius, centre, size, axes }) {
    if (type === 'box') {
        const [x, , z] = axes.map((axis) => new Vector3(...axis));
        return [placed(Manifold.cube(size, true), new Vector3(...centre), x, z)];
    }
    const [a, b] = [new Vector3(...from), new Vector3(...to)];
    return type === 'capsule' ? [bar(a, b, radius), ball(a, radius), ball(b, radius)] : [bar(a, b, radius)];
}

const [first, ...rest] = tubes;
const others = [...rest.map(tube), ...(solids ?? []).map(solid)];
const touches = (by, other) =>
    tube({ ...first, od: first.od + 2 * by }).some((p) => other.some((q) => p.intersect(q).volume() > 1e-9));
console.log(
    JSON.stringify({
        touching: others.map((other, i) => [
            touches(gaps[i] - within, other),
            touches(gaps[i] + within, other),
        ]),
    }),
);
