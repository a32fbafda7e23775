// A body with holes and hollows made by manifold-3d: its triangles, how far thin bars lie from it, and which points lie inside.
import Module from 'manifold-3d';

const { bars, points, radius } = JSON.parse(await new Response(process.stdin).text());
const wasm = await Module();
wasm.setup();
const { CrossSection, Manifold } = wasm;

const body = Manifold.cube([160, 90, 70], true)
    .subtract(Manifold.cylinder(200, 24, 24, 48, true))
    .add(Manifold.revolve(CrossSection.circle(12, 24).translate([50, 0]), 48).translate([60, 30, 40]))
    .subtract(Manifold.cube([40, 40, 200]).translate([-90, -60, -10]));
const { vertProperties, triVerts, numProp } = body.getMesh();
const corners = [];
for (const vertex of triVerts) for (let i = 0; i < 3; i++) corners.push(vertProperties[vertex * numProp + i]);

const ball = (at) => Manifold.sphere(radius, 32).translate(at);
const inside = (at) =>
    body.intersect(Manifold.cube([1e-3, 1e-3, 1e-3], true).translate(at)).volume() > 0.5e-9;
process.stdout.write(
    JSON.stringify({
        corners,
        gaps: bars.map(([from, to]) => body.minGap(Manifold.hull([ball(from), ball(to)]), 400)),
        inside: points.map(inside),
    }),
);
