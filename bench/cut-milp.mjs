// Sets what ./bead cut finds in a few seconds beside what a mixed-integer programme finds in minutes (bench/cut-milp.py):
// node bench/cut-milp.mjs [--kinds header,manifold] [--seeds 5] [--from 1] [--seconds 3] [--minutes 3]
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { judge } from '../core/tests/reference/cut-judge.mjs';
import { KINDS } from './cut-problems.mjs';
import { printTable } from './table.mjs';

const { values } = parseArgs({
    options: {
        kinds: { type: 'string', default: 'header,manifold' },
        seeds: { type: 'string', default: '5' },
        from: { type: 'string', default: '1' },
        seconds: { type: 'string', default: '3' },
        minutes: { type: 'string', default: '3' },
    },
});
const root = new URL('..', import.meta.url).pathname;
const folder = mkdtempSync(join(tmpdir(), 'bead-milp-'));
const rows = [];
for (const kind of values.kinds.split(','))
    for (let seed = Number(values.from); seed < Number(values.from) + Number(values.seeds); seed++) {
        const problem = KINDS[kind](seed);
        const file = join(folder, 'problem.json');
        writeFileSync(file, JSON.stringify(problem));
        const [ours, theirs] = [
            answer('./bead', ['cut', '--problem', file, '--seconds', values.seconds, '--json']),
            answer('/usr/bin/python3', ['bench/cut-milp.py', file, String(60 * Number(values.minutes))]),
        ].map(({ found, seconds }) => ({ ...judged(problem, found), seconds }));
        const more = ours.cost / theirs.cost - 1;
        rows.push([
            problem.name,
            problem.runs.flatMap((run) => run.elements).filter((element) => element.bend).length,
            ours.told,
            ours.seconds.toFixed(1),
            theirs.told,
            theirs.seconds.toFixed(0),
            Number.isNaN(more) ? '' : `${(100 * more).toFixed(1)} %`,
        ]);
        console.error(rows.at(-1).join('  '));
    }
rmSync(folder, { recursive: true });
printTable(['problem', 'bends', './bead cut', 'seconds', 'HiGHS', 'seconds', 'ours more by'], rows);

function answer(command, parameters) {
    const began = performance.now();
    const found = JSON.parse(execFileSync(command, parameters, { cwd: root }).toString());
    return { found, seconds: (performance.now() - began) / 1000 };
}

/** Its cost, as the judge counts it; none where the answer does not hold. */
function judged(problem, found) {
    if (found.status !== 'solved') return { cost: NaN, told: found.status };
    if (found.totals.cost === null) {
        const { cuts, cost } = judge(problem, found);
        Object.assign(found.totals, { cuts, cost });
    }
    const { faults, cost } = judge(problem, found);
    return faults.length > 0 ? { cost: NaN, told: faults[0] } : { cost, told: cost.toFixed(2) };
}
