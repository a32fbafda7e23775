// Runs every route problem of a folder through ./bead and judges each answer apart from it:
// node bench/route.mjs FOLDER [--seconds 3] [--seeds 1] [--variants 0] [--jobs 1] [--keep FOLDER for what was not answered]
// One at a time, as each search takes two processors.
// A variant moves what a survey can be wrong about: collectors by up to 30 mm and 12°, keep-outs by 20 mm, port spacing by −7 to +10 %.
import { execFile } from 'node:child_process';
import {
    copyFileSync,
    mkdirSync,
    mkdtempSync,
    readdirSync,
    readFileSync,
    rmSync,
    writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { Vector3 } from 'three';
import { judge } from '../core/tests/reference/judge.mjs';
import { percentile, printTable } from './table.mjs';

const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
        seconds: { type: 'string', default: '3' },
        seeds: { type: 'string', default: '1' },
        variants: { type: 'string', default: '0' },
        jobs: { type: 'string', default: '1' },
        keep: { type: 'string' },
    },
});
const root = new URL('..', import.meta.url).pathname;
const folder = mkdtempSync(join(tmpdir(), 'bead-route-'));

try {
    const work = positionals.flatMap((place) =>
        readdirSync(resolve(place))
            .filter((file) => file.endsWith('.json'))
            .sort()
            .flatMap((file) => tasks(join(resolve(place), file))),
    );
    const results = await Promise.all(Array.from({ length: Number(values.jobs) }, () => worker(work)));
    report(results.flat().sort((a, b) => a.order - b.order));
} finally {
    rmSync(folder, { recursive: true });
}

function tasks(file) {
    const problem = JSON.parse(readFileSync(file, 'utf8'));
    const name = basename(file, '.json');
    const seeds = Array.from({ length: Number(values.seeds) }, (_, i) => i + 1);
    const plain = seeds.map((seed) => ({ name, problem, seed, order: `${name} a` }));
    const variants = Array.from({ length: Number(values.variants) }, (_, i) => ({
        name: `${name} varied`,
        problem: varied(problem, random(i + 1)),
        seed: 1,
        variant: i + 1,
        order: `${name} b`,
    }));
    return [...plain, ...variants];
}

async function worker(work) {
    const done = [];
    for (let task = work.shift(); task; task = work.shift()) done.push({ ...task, ...(await answer(task)) });
    return done;
}

function answer({ name, problem, seed, variant = 0 }) {
    const file = join(folder, `${Math.random()}.json`);
    writeFileSync(file, JSON.stringify(problem));
    const args = ['route', '--problem', file, '--seconds', values.seconds, '--seed', String(seed), '--json'];
    return new Promise((done, fail) => {
        execFile(join(root, 'bead'), args, { maxBuffer: 1 << 26 }, (error, stdout, stderr) => {
            if (error && error.code !== 1) return fail(new Error(stderr || error.message));
            const said = JSON.parse(stdout);
            if (said.status === 'not-found' && values.keep) {
                mkdirSync(values.keep, { recursive: true });
                copyFileSync(file, join(values.keep, `${name.replace(' ', '-')}-${variant || seed}.json`));
            }
            const verdict = said.status === 'solved' ? judge(problem, said) : null;
            done({
                status: said.status,
                first: said.first_seconds,
                best: said.best_seconds,
                seconds: said.seconds,
                mb: said.peak_mb,
                objective: verdict?.objective,
                wrong: verdict && !verdict.accepted ? verdict.failures.join('; ') : '',
            });
        });
    });
}

function report(results) {
    const names = [...new Set(results.map((one) => one.name))];
    const rows = names.map((name) => {
        const all = results.filter((one) => one.name === name);
        const solved = all.filter((one) => one.status === 'solved');
        const of = (key, share, digits = 2) =>
            solved.length
                ? percentile(
                      solved.map((one) => one[key]),
                      share,
                  ).toFixed(digits)
                : '–';
        const said = [...new Set(all.map((one) => one.status))].join(', ');
        return [
            name,
            all.length,
            `${solved.length} (${said})`,
            all.filter((one) => one.wrong).length,
            `${of('objective', 0)} / ${of('objective', 0.5)} / ${of('objective', 1)}`,
            `${of('first', 0.5)} / ${of('first', 1)}`,
            of('best', 0.5),
            Math.max(...all.map((one) => one.mb)).toFixed(0),
        ];
    });
    printTable(
        [
            'problem',
            'runs',
            'solved',
            'judged wrong',
            'objective least / mid / most',
            'first s mid / most',
            'best s',
            'MB',
        ],
        rows,
    );
    const varied = results.filter((one) => one.name.endsWith('varied'));
    const answered = varied.filter((one) => one.status !== 'not-found').length;
    if (varied.length)
        console.log(
            `Variants answered: ${answered} of ${varied.length}, ${Math.round((100 * answered) / varied.length)} %`,
        );
    for (const one of results.filter((one) => one.wrong))
        console.log(`WRONG ${one.name}, seed ${one.seed}: ${one.wrong}`);
}

function varied(problem, chance) {
    const copy = structuredClone(problem);
    const between = (low, high) => low + (high - low) * chance();
    const shift = () => new Vector3(between(-1, 1), between(-1, 1), between(-1, 1));
    const spacing = between(0.93, 1.1);
    const first = new Vector3(...copy.ports[0].at);
    for (const port of copy.ports)
        port.at = new Vector3(...port.at).sub(first).multiplyScalar(spacing).add(first).toArray();
    for (const collector of copy.collectors) {
        const centre = new Vector3();
        for (const inlet of collector.inlets) centre.add(new Vector3(...inlet.at));
        centre.divideScalar(collector.inlets.length);
        const axis = shift().normalize();
        const angle = (between(-12, 12) * Math.PI) / 180;
        const move = shift().multiplyScalar(30);
        const turn = (xyz) =>
            new Vector3(...xyz).sub(centre).applyAxisAngle(axis, angle).add(centre).add(move).toArray();
        for (const inlet of collector.inlets) {
            inlet.at = turn(inlet.at);
            inlet.dir = new Vector3(...inlet.dir).applyAxisAngle(axis, angle).toArray();
        }
        // The collector itself is a keep-out in some problems; it goes with its inlets.
        for (const solid of copy.keepouts ?? [])
            if (solid.id === 'collector' || solid.id === collector.id)
                [solid.from, solid.to] = [turn(solid.from), turn(solid.to)];
    }
    for (const solid of copy.keepouts ?? []) {
        if (['block', 'collector'].includes(solid.id) || copy.collectors.some((one) => one.id === solid.id))
            continue;
        const move = shift().multiplyScalar(20);
        for (const key of ['from', 'to', 'centre', 'point'])
            if (solid[key]) solid[key] = new Vector3(...solid[key]).add(move).toArray();
    }
    return copy;
}

/** Repeatable numbers from 0 to 1 (mulberry32). */
function random(seed) {
    let state = seed * 0x9e3779b9;
    return () => {
        state = (state + 0x6d2b79f5) | 0;
        let t = Math.imul(state ^ (state >>> 15), 1 | state);
        t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
        return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    };
}
