// Reads STEP files with an OpenCASCADE kernel and says what it finds: every solid's volume in mm³, whether it is valid, and
// which kinds of surface it has.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import init from 'replicad-opencascadejs';

const { resolve } = createRequire(import.meta.url);
const wasm = resolve('replicad-opencascadejs').replace(/\.c?js$/, '.wasm');
const oc = await init({ wasmBinary: readFileSync(wasm) });
const files = JSON.parse(await new Response(process.stdin).text());

const all = (shape, kind, cast) => {
    const found = [];
    for (const e = new oc.TopExp_Explorer(shape, kind); e.More(); e.Next()) found.push(cast(e.Current()));
    return found;
};

const answers = files.map((text, i) => {
    oc.FS.writeFile(`/${i}.step`, text);
    const reader = new oc.STEPControl_Reader();
    const status = reader.ReadFile(`/${i}.step`);
    const roots = reader.TransferRoots();
    const shape = reader.OneShape();
    const solids = all(shape, oc.TopAbs_ShapeEnum.TopAbs_SOLID, (one) => oc.TopoDS.Solid(one));
    return {
        status: status?.value ?? status,
        roots,
        solids: solids.map((solid) => {
            const properties = new oc.GProp_GProps();
            oc.BRepGProp.VolumeProperties(solid, properties, true, false, false);
            const kinds = {};
            for (const face of all(solid, oc.TopAbs_ShapeEnum.TopAbs_FACE, (one) => oc.TopoDS.Face(one))) {
                const type = new oc.BRepAdaptor_Surface(face, true).GetType();
                const name = Object.keys(oc.GeomAbs_SurfaceType).find(
                    (key) => oc.GeomAbs_SurfaceType[key] === type,
                );
                kinds[name] = (kinds[name] ?? 0) + 1;
            }
            return { volume: properties.Mass(), valid: new oc.BRepCheck_Analyzer(solid).IsValid(), kinds };
        }),
    };
});
console.log(JSON.stringify(answers));
