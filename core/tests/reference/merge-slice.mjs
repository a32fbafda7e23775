/* Builds tubes as solids with manifold-3d, joins them, and slices the whole across z: where two skins meet, the outline
 * has a corner that looks inward. Reads {tubes: [{od, from: [x, y, z], to: [x, y, z]}], heights} from standard input;
 * writes for each height the corners that look inward, [[x, y], …]. */
import Module from 'manifold-3d';

const { tubes, heights } = JSON.parse(await new Response(process.stdin).text());
const wasm = await Module();
wasm.setup();
const { Manifold } = wasm;
const FACETS = 300;
/** Facets of a circle turn one way at every corner; a crease turns the other way. */
const LEAST_TURN_DEG = 1;

const solids = tubes.map(({ od, from, to }) => {
    const way = to.map((v, i) => v - from[i]);
    const length = Math.hypot(...way);
    const lean = (Math.acos(way[2] / length) * 180) / Math.PI;
    const turn = (Math.atan2(way[1], way[0]) * 180) / Math.PI;
    return Manifold.cylinder(length, od / 2, od / 2, FACETS)
        .rotate([0, lean, turn])
        .translate(from);
});
const whole = Manifold.union(solids);
const inward = (height) => {
    const found = [];
    for (const polygon of whole.slice(height).toPolygons())
        polygon.forEach((at, i) => {
            const before = polygon[(i + polygon.length - 1) % polygon.length];
            const after = polygon[(i + 1) % polygon.length];
            const [a, b] = [
                [at[0] - before[0], at[1] - before[1]],
                [after[0] - at[0], after[1] - at[1]],
            ];
            const turned = Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]);
            if ((turned * 180) / Math.PI < -LEAST_TURN_DEG) found.push(at);
        });
    return found;
};
console.log(JSON.stringify(heights.map(inward)));
