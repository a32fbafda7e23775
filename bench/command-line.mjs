// Whole processes of ./bead, from exec to exit: node bench/command-line.mjs [TIMES]
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ms, percentile, printTable } from './table.mjs';

const root = new URL('..', import.meta.url).pathname;
const times = Number(process.argv[2] ?? 20);
const folder = mkdtempSync(join(tmpdir(), 'bead-bench-'));

try {
    const downpipe = join(root, 'database/demo/camper-van-downpipe.job.json');
    const job = JSON.parse(readFileSync(downpipe, 'utf8'));
    const { answers } = JSON.parse(bead('route', downpipe, '--json')).A;
    job.runs[0].route = answers[0].route;
    const routed = join(folder, 'routed.json');
    writeFileSync(routed, JSON.stringify(job));

    const rows = [
        ['bead check, demo downpipe routed', 'check', routed],
        ['bead plan, demo downpipe routed', 'plan', routed],
        ['bead plan --json, the same', 'plan', routed, '--json'],
        ['bead route, two bends', 'route', downpipe],
    ].map(([name, ...args]) => {
        const sample = Array.from({ length: times }, () => {
            const start = performance.now();
            bead(...args);
            return performance.now() - start;
        });
        return [name, times, ms(percentile(sample, 0.5)), ms(percentile(sample, 0.95))];
    });
    printTable(['whole process', 'times', 'p50', 'p95'], rows);
} finally {
    rmSync(folder, { recursive: true });
}

function bead(...args) {
    return execFileSync(join(root, 'bead'), args, { encoding: 'utf8', maxBuffer: 64 << 20 });
}
