// Sends mutated documents of every kind to a running ./start and to the command line: no answer may be a fault of the
// program's, none may take over five seconds, and nothing may be half written:
// node bench/fuzz.mjs [http://127.0.0.1:8420] [HOW MANY = 2000] [SEED = 1]
import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ownMachine, person, propsOf } from './client.mjs';
import { printTable } from './table.mjs';

const base = ownMachine(process.argv[2] ?? 'http://127.0.0.1:8420');
const many = Number(process.argv[3] ?? 2000);
let state = Number(process.argv[4] ?? 1) >>> 0 || 1;

const SLOW_MS = 5000;
/** The same seed gives the same documents. */
function dice(below) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
}
const oneOf = (list) => list[dice(list.length)];
const deep = (depth) => (depth === 0 ? 1 : { x: [deep(depth - 1)] });
const HOSTILE = [
    ...[null, true, false, 0, -1, 1e308, -1e308, 5e-324, 2 ** 53, 0.1, '', ' ', 'x', 'NaN', '1e309', '-0'],
    ...[
        '1e30 m',
        '0 in',
        '-5 mm',
        '1/0',
        '10° 5°',
        '\u0000',
        '\ud83d\ude00',
        '<script>',
        "'; drop",
        '../../etc',
    ],
    ...[
        'x'.repeat(3000),
        [],
        {},
        [[]],
        [null],
        { 0: 1 },
        [1, 2],
        [0, 0, 0],
        ['a', 'b', 'c'],
        [1e308, 1e308, 1e308],
    ],
];

/** Every place in a document, as the object it is in and its key. */
function places(value, found = []) {
    if (typeof value !== 'object' || value === null) return found;
    for (const key of Object.keys(value)) {
        found.push([value, key]);
        places(value[key], found);
    }
    return found;
}

/** A copy with a few things changed that no screen would change. */
function mutated(document) {
    const copy = structuredClone(document);
    for (let i = 0; i <= dice(3); i++) {
        const all = places(copy);
        if (all.length === 0) return copy;
        const [holder, key] = oneOf(all);
        const how = dice(6);
        if (how === 0) delete holder[key];
        else if (how === 1 && Array.isArray(holder[key]))
            holder[key] = Array.from({ length: 25 }, () => structuredClone(oneOf([...holder[key], 1])));
        else if (how === 2) holder[`${key}${oneOf(['x', '[]', '.', '0'])}`] = oneOf(HOSTILE);
        else if (how === 3) {
            const [other, there] = oneOf(all);
            holder[key] = structuredClone(other[there] ?? null);
        } else if (how === 4 && dice(20) === 0) holder[key] = deep(40);
        else holder[key] = structuredClone(oneOf(HOSTILE));
    }
    return copy;
}

const { call, id: me } = await person(base);
const jobs = [];
for (const id of [1, 2, 3, 5]) jobs.push(JSON.parse((await call('GET', `/jobs/${id}/job.json`)).text));
const problem = JSON.parse(
    readFileSync(new URL('../core/tests/problems/08-inline-four.json', import.meta.url)),
);
const routed = jobs[1];
const entry = {
    ...{ id: '6f9619ff-8b86-4011-b42d-00c04fc964ff', by: me, revision: 1, units: 'inch', step: 'prepare.A1' },
    ...{ kind: 'done', readings: { length: '10 in' }, note: 'fuzz', at: new Date().toISOString() },
};
/** Under a number of its own, so that it is not refused for that alone. */
function numbered(document) {
    const copy = structuredClone(document);
    copy.job.number = `F-${Date.now() % 1e6}-${dice(1e6)}`;
    return copy;
}
const vertex = { do: 'vertex', index: 1, to: [100, 50, 20], length: 500 };
const KINDS = {
    'a new job': () => ['/jobs', { document: mutated(numbered(oneOf(jobs))) }],
    'a route problem': () => ['/jobs', { document: mutated(problem) }],
    'a preview': () => ['/jobs/2/preview', mutated({ document: oneOf(jobs) })],
    'a change by hand': () => ['/jobs/2/hand', mutated({ document: routed, letter: 'A', ...vertex })],
    'a why': () => ['/jobs/2/why', mutated({ document: routed, figure: 'AJ2.amps', units: 'inch' })],
    'a log entry': () => ['/jobs/4/log', mutated({ entries: [entry] })],
    'a kit': () => ['/jobs/3/survey/kit', mutated({ document: jobs[2], kind: 'block', answers: { at: ['0', '0', '0'] } })],
    'ports pasted': () => ['/jobs/3/paste', mutated({ document: jobs[2], text: '1\t0\t0\t0\t0\t1\t0\n2\t90\t0\t0\t0\t1\t0' })],
    'a row of ports': () => ['/jobs/3/survey/row', mutated({ document: jobs[2], letter: 'A', spacings: ['90 mm'], axis: [1, 0, 0] })],
}; // prettier-ignore
const shop = {
    format: 'upswept-bead/shop',
    version: 1,
    name: 'Fuzz',
    rules: { 'route.first_straight': '1 in' },
    shelf: {},
    bottles: [],
};
const folder = mkdtempSync(join(tmpdir(), 'bead-fuzz-'));
/** A process each, so they are tried more rarely. */
const COMMANDS = {
    './bead check': () => bead(['check', '--json', file('job', mutated(oneOf(jobs)))]),
    './bead plan': () => bead(['plan', '--json', file('job', mutated(routed))]),
    './bead plan with a shop': () =>
        bead(['plan', '--json', '--shop', file('shop', mutated(shop)), file('job', routed)]),
    './bead route': () =>
        bead(['route', '--json', '--seconds', '1', '--problem', file('problem', mutated(problem))]),
};
const COMMAND_EVERY = 10;

function file(name, document) {
    const path = join(folder, `${name}.json`);
    writeFileSync(path, JSON.stringify(document));
    return path;
}

/** What the command line says, as an answer over HTTP would be: taken, refused with a reason, or a fault. */
function bead(args) {
    const program = fileURLToPath(new URL('../bead', import.meta.url));
    return new Promise((done) =>
        execFile(program, args, { timeout: 20_000, maxBuffer: 64e6 }, (error, out, said) => {
            const isFault = /Fatal error|Uncaught|Stack trace|Warning:|Deprecated:/.test(
                out.slice(0, 2000) + said,
            );
            const isRefused = error && [1, 2].includes(error.code) && (out + said).trim() !== '';
            const status = !error && !isFault ? 200 : isRefused && !isFault ? 422 : 500;
            done({ status, text: said || out });
        }),
    );
}

const tally = new Map(
    [...Object.keys(KINDS), ...Object.keys(COMMANDS)].map((name) => [
        name,
        { sent: 0, taken: 0, refused: 0, faults: 0, worst: 0 },
    ]),
);
const before = await rackTotal();
const names = Object.keys(KINDS);
for (let i = 0; i < many; i++) {
    const isCommand = i % COMMAND_EVERY === COMMAND_EVERY - 1;
    const name = isCommand ? oneOf(Object.keys(COMMANDS)) : names[i % names.length];
    const counted = tally.get(name);
    const [url, body] = isCommand ? [] : KINDS[name]();
    const began = performance.now();
    const { status, text } = isCommand ? await COMMANDS[name]() : await call('POST', url, body);
    const took = performance.now() - began;
    counted.sent++;
    counted.worst = Math.max(counted.worst, took);
    if (status < 300) counted.taken++;
    else if (status < 500) counted.refused++;
    if (status >= 500 || took > SLOW_MS) {
        counted.faults++;
        console.log(
            `${name}: ${status} after ${Math.round(took)} ms\n  ${isCommand ? '' : JSON.stringify(body).slice(0, 1500)}\n  ${text.slice(0, 600)}`,
        );
    }
}
printTable(
    ['mutated', 'sent', 'taken', 'refused', 'faults', 'longest'],
    [...tally].map(([name, one]) => [
        name,
        one.sent,
        one.taken,
        one.refused,
        one.faults,
        `${Math.round(one.worst)} ms`,
    ]),
);
rmSync(folder, { recursive: true });
const begun = tally.get('a new job').taken + tally.get('a route problem').taken;
const added = (await rackTotal()) - before;
console.log(`${begun} jobs begun, ${added} more on the rack`);
if (begun !== added || [...tally.values()].some((one) => one.faults > 0)) process.exitCode = 1;

async function rackTotal() {
    const { text } = await call('GET', '/?page=1000000');
    return propsOf(text).rack.total;
}
