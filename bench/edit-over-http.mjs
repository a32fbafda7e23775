// One edit of a routed run after another, as the Route screen sends them, to a running ./start:
// node bench/edit-over-http.mjs [http://127.0.0.1:8420] [TIMES]
import { readFileSync } from 'node:fs';
import { ownMachine, person } from './client.mjs';
import { lumpyBlock } from './lumpy-block.mjs';
import { ms, percentile, printTable } from './table.mjs';

const base = ownMachine(process.argv[2] ?? 'http://127.0.0.1:8420');
const times = Number(process.argv[3] ?? 200);
const { call } = await person(base);
const rows = [];
for (const [name, document] of [
    ['one run', await oneRun()],
    ['eight runs, 20 keep-outs', eightRuns()],
    ['eight runs, 20 keep-outs, one a mesh of 50 000 triangles', await withMesh(eightRuns())],
]) {
    document.job.number = `TB-B${name.length}${Date.now() % 100000}`;
    const { id } = await ask('POST', '/jobs', { document });
    const [saves, previews, drags] = [[], [], []];
    const { plan } = await ask('POST', `/jobs/${id}/preview`, { document });
    const index = Math.floor(plan.runs[0].run.vertices.length / 2);
    const [x, y, z] = plan.runs[0].run.vertices[index];
    for (let i = 0; i < times; i++) {
        document.runs[0].route.bends[0].rotation = `${i % 90} deg`;
        const to = [x + (i % 20), y, z + (i % 7)];
        drags.push(
            await timed('POST', `/jobs/${id}/hand`, { document, letter: 'A', do: 'vertex', index, to }),
        );
        previews.push(await timed('POST', `/jobs/${id}/preview`, { document }));
        saves.push(await timed('PUT', `/jobs/${id}/draft`, { version: i + 1, document }));
    }
    console.log(`${name}: ${plan.runs.reduce((sum, run) => sum + run.joints.length, 0)} joints`);
    rows.push(
        row(`${name}, a vertex dragged`, drags),
        row(`${name}, a turn tried`, previews),
        row(`${name}, saved`, saves),
    );
}
printTable(['over HTTP, planned again in full', 'times', 'p50', 'p95', 'worst'], rows);

async function oneRun() {
    const document = await ask('GET', '/jobs/1/job.json');
    const { answers } = await ask('POST', '/jobs/1/routes', { document, letter: 'A' });
    document.runs[0].route = answers[0].route;
    return document;
}

/** A V8: four tubes a side from a fixed design, among shafts, rails and boxes. */
/** With three probes on every run, so that there are more than sixty joints. */
function eightRuns() {
    const file = new URL('eight-runs.job.json', import.meta.url);
    const document = JSON.parse(readFileSync(file, 'utf8'));
    for (const run of document.runs)
        for (const station of ['90 mm', '150 mm', '210 mm'])
            run.fittings.push({ kind: 'temperature-probe', station, fromTop: '20 deg' });
    return document;
}

/** The engine as a scan in place of its box. */
async function withMesh(document) {
    const block = document.set.keepOuts[0];
    const form = new FormData();
    const millimetres = block.size.map((edge) => parseFloat(edge));
    form.append('file', new Blob([lumpyBlock(millimetres)]), 'engine.stl');
    form.append('unit', 'mm');
    form.append('up', 'z');
    const { fingerprint, triangles } = await ask('POST', '/jobs/1/meshes', form);
    if (triangles < 49_000) throw new Error(`Only ${triangles} triangles arrived.`);
    delete block.size;
    Object.assign(block, { shape: 'mesh', mesh: fingerprint });
    return document;
}

function row(name, sample) {
    return [name, sample.length, ...[0.5, 0.95, 1].map((share) => ms(percentile(sample, share)))];
}

async function timed(method, path, body) {
    const start = performance.now();
    await well(method, path, body);
    return performance.now() - start;
}

async function ask(method, path, body) {
    return JSON.parse(await well(method, path, body));
}

/** The text of an answer that is no refusal. */
async function well(method, path, body) {
    const { status, text } = await call(method, path, body);
    if (status >= 400) throw new Error(`${method} ${path}: ${status} ${text.slice(0, 300)}`);
    return text;
}
