// Answers cut problems through ./bead and judges each answer apart from it:
// node bench/cut.mjs [FILES or FOLDERS …] [--kinds small,header,…] [--seeds 5] [--seconds 2] [--keep FOLDER]
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { judge } from '../core/tests/reference/cut-judge.mjs';
import { KINDS } from './cut-problems.mjs';
import { printTable } from './table.mjs';

const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
        kinds: { type: 'string', default: '' },
        seeds: { type: 'string', default: '5' },
        seconds: { type: 'string', default: '2' },
        keep: { type: 'string' },
    },
});
const root = new URL('..', import.meta.url).pathname;
const folder = values.keep ?? mkdtempSync(join(tmpdir(), 'bead-cut-'));
mkdirSync(folder, { recursive: true });

const files = positionals.flatMap((place) =>
    statSync(place).isDirectory()
        ? readdirSync(place)
              .filter((name) => name.endsWith('.json'))
              .sort()
              .map((name) => join(place, name))
        : [place],
);
const read = files.map((file) => JSON.parse(readFileSync(file, 'utf8')));
const made = values.kinds
    .split(',')
    .filter((kind) => kind !== '')
    .flatMap((kind) => Array.from({ length: Number(values.seeds) }, (_, i) => KINDS[kind](i + 1)));

let wrong = 0;
const rows = [...read, ...made].map((problem) => {
    const file = join(folder, `${problem.name}.json`);
    writeFileSync(file, JSON.stringify(problem));
    const began = performance.now();
    const ran = spawnSync('./bead', ['cut', '--problem', file, '--seconds', values.seconds, '--json'], {
        cwd: root,
    });
    const seconds = (performance.now() - began) / 1000;
    const answer = JSON.parse(ran.stdout.toString() || '{"status": "no answer"}');
    if (answer.status !== 'solved') {
        const why = (answer.reasons ?? []).map((one) => `${one.field} ${one.by ?? ''}`).join('; ');
        return [problem.name, answer.status, '', '', '', '', seconds.toFixed(2), why];
    }
    const { faults, joints, cuts, cost } = judge(problem, answer);
    wrong += faults.length > 0 ? 1 : 0;
    const bound = answer.lower_bound;
    return [
        problem.name,
        'solved',
        cost.toFixed(2),
        bound === null ? '' : `${((100 * (cost - bound)) / cost).toFixed(1)} %`,
        joints,
        cuts,
        seconds.toFixed(2),
        faults.slice(0, 2).join('; '),
    ];
});
printTable(['problem', 'answer', 'cost', 'gap', 'joints', 'cuts', 'seconds', 'wrong'], rows);
if (values.keep === undefined) rmSync(folder, { recursive: true });
process.exitCode = wrong > 0 ? 1 : 0;
