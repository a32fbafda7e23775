// Takes binary STL files (base64) for solids with manifold-3d: the volume of each body in mm³, or why it is none.
import Module from 'manifold-3d';

const files = JSON.parse(await new Response(process.stdin).text());
const wasm = await Module();
wasm.setup();
const { Manifold, Mesh } = wasm;

const answers = files.map((base64) => {
    const bytes = Buffer.from(base64, 'base64');
    const count = bytes.readUInt32LE(80);
    const vertices = [];
    const triangles = [];
    const known = new Map();
    for (let i = 0; i < count; i++) {
        for (let corner = 0; corner < 3; corner++) {
            const at = 84 + 50 * i + 12 + 12 * corner;
            const point = [0, 4, 8].map((offset) => bytes.readFloatLE(at + offset));
            const key = point.join(' ');
            if (!known.has(key)) {
                known.set(key, vertices.length / 3);
                vertices.push(...point);
            }
            triangles.push(known.get(key));
        }
    }
    const mesh = new Mesh({
        numProp: 3,
        vertProperties: Float32Array.from(vertices),
        triVerts: Uint32Array.from(triangles),
    });
    const bodies = new Manifold(mesh).decompose();
    return { triangles: count, size: bytes.length, volumes: bodies.map((body) => body.volume()) };
});
console.log(JSON.stringify(answers));
