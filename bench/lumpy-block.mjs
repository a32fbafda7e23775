// A closed surface of a set number of triangles, lumpy like a scanned engine, as the bytes of a binary STL file.

/** @param {number[]} size whole edges in mm, about zero */
export function lumpyBlock(size, triangles = 50_000) {
    const n = Math.round(Math.sqrt(triangles / 12));
    const faces = [];
    for (let axis = 0; axis < 3; axis++) {
        for (const side of [-1, 1]) {
            for (let i = 0; i < n; i++) {
                for (let j = 0; j < n; j++) {
                    const [a, b, c, d] = [
                        [i, j],
                        [i + 1, j],
                        [i + 1, j + 1],
                        [i, j + 1],
                    ].map(([u, v]) => point(axis, side, (2 * u) / n - 1, (2 * v) / n - 1, size));
                    faces.push(
                        ...(side > 0
                            ? [
                                  [a, b, c],
                                  [a, c, d],
                              ]
                            : [
                                  [a, c, b],
                                  [a, d, c],
                              ]),
                    );
                }
            }
        }
    }
    const bytes = Buffer.alloc(84 + 50 * faces.length);
    bytes.writeUInt32LE(faces.length, 80);
    faces.forEach((face, i) =>
        face.flat().forEach((number, k) => bytes.writeFloatLE(number, 84 + 50 * i + 12 + 4 * k)),
    );
    return bytes;
}

/** A place of the cube's surface, pulled in by lumps that depend on the place alone, so that edges still meet. */
function point(axis, side, u, v, size) {
    const cube = [0, 0, 0];
    cube[axis] = side;
    cube[(axis + 1) % 3] = u;
    cube[(axis + 2) % 3] = v;
    const [x, y, z] = cube.map((share, k) => (share * size[k]) / 2);
    const lump = 0.98 + 0.02 * Math.sin(x / 17) * Math.cos(y / 13) * Math.sin(z / 11 + 1);
    return [x * lump, y * lump, z * lump];
}
