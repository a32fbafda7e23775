// Fills the disk of the database of a running server while six people log, ends the database on it, and frees it again:
// node bench/full-disk.mjs URL FOLDER. The folder lies on the disk that the database alone lies on: bench/full-disk.sh.
import { closeSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { ownMachine, person, sleep } from './client.mjs';
import { printTable } from './table.mjs';
import { isBack, writers } from './writers.mjs';

const base = ownMachine(process.argv[2] ?? '');
const folder = process.argv[3];
const filler = `${folder}/filler`;
const FULL_S = 25;

const visitor = await person(base, 'visitor');
const owner = await person(base);
const document = JSON.parse(readFileSync(new URL('eight-runs.job.json', import.meta.url), 'utf8'));
const writing = await writers(base, 6);
await sleep(2000);
const before = writing.acknowledged.length;
fill();
const answers = new Map();
let isKilled = false;
const until = performance.now() + 1000 * FULL_S;
while (performance.now() < until) {
    for (const url of ['/', '/jobs/4/bench', '/up']) await ask('GET', url, visitor);
    // A large one, so that the database's own journal wants room too.
    document.job.number = `TB-F${Math.round(performance.now())}`;
    await ask('POST', '/jobs', owner, { document });
    // What was taken back meanwhile is taken again.
    fill();
    if (!isKilled && performance.now() > until - 500 * FULL_S) {
        // What it needs to begin again is not there until the disk is freed.
        process.kill(Number(readFileSync(`${folder}/data/postmaster.pid`, 'utf8').split('\n')[0]), 'SIGKILL');
        isKilled = true;
    }
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

async function ask(method, url, { call }, body) {
    const { status } = await call(method, url, body).catch(() => ({ status: 'none' }));
    const what = `${method} ${url} ${status}`;
    answers.set(what, (answers.get(what) ?? 0) + 1);
}

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
