// Fills the disk of the database of a running server while six people log, and frees it again:
// node bench/full-disk.mjs URL FOLDER. The folder lies on the disk that the database alone lies on: bench/full-disk.sh.
import { closeSync, openSync, rmSync, writeSync } from 'node:fs';
import { ownMachine, person } from './client.mjs';
import { printTable } from './table.mjs';
import { isBack, sleep, writers } from './writers.mjs';

const base = ownMachine(process.argv[2] ?? '');
const filler = `${process.argv[3]}/filler`;
const FULL_S = 15;

const visitor = await person(base, 'visitor');
const writing = await writers(base, 6);
await sleep(2000);
const before = writing.acknowledged.length;
fill();
const answers = new Map();
const until = performance.now() + 1000 * FULL_S;
while (performance.now() < until) {
    for (const url of ['/', '/jobs/4/bench', '/up']) {
        const { status } = await visitor.call('GET', url).catch(() => ({ status: 'none' }));
        answers.set(`${url} ${status}`, (answers.get(`${url} ${status}`) ?? 0) + 1);
    }
    // What was taken back meanwhile is taken again.
    fill();
    await sleep(200);
}
const during = writing.acknowledged.length - before;
rmSync(filler);
const waited = await isBack(base);
const freed = writing.acknowledged.length;
await sleep(3000);
printTable(
    ['while it was full', 'answers'],
    [...answers].sort().map(([what, count]) => [what, count]),
);
printTable(
    ['', 'acknowledged'],
    [
        ['before', before],
        [`full, ${FULL_S} s`, during],
        [
            `3 s after it was freed, well again after ${Math.round(waited)} ms`,
            writing.acknowledged.length - freed,
        ],
    ],
);
const isKept = await writing.end();
if (!isKept || !Number.isFinite(waited) || writing.acknowledged.length === freed) process.exitCode = 1;

function fill() {
    const file = openSync(filler, 'a');
    const page = Buffer.alloc(8192);
    try {
        for (;;) writeSync(file, page);
    } catch (error) {
        if (error.code !== 'ENOSPC') throw error;
    } finally {
        closeSync(file);
    }
}
