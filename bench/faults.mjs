// Kills each process of a running ./start in turn while six people log at the bench, and counts what was acknowledged
// against what is there: node bench/faults.mjs [http://127.0.0.1:8420] [FOLDER OF THE CHECKOUT] [ROUNDS = 4]
// Only processes that this checkout's ./start wrote down are ended, by their ids.
import { readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { ownMachine, person, propsOf } from './client.mjs';
import { printTable } from './table.mjs';

const base = ownMachine(process.argv[2] ?? 'http://127.0.0.1:8420');
const root = process.argv[3] ?? '.';
const rounds = Number(process.argv[4] ?? 4);

const WRITERS = 6;
const BACK_WITHIN_MS = 20_000;
const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

/** The ids that can be ended: of the parts, and of the database. */
function victims() {
    const parts = readFileSync(`${root}/var/run/app`, 'utf8')
        .trim()
        .split('\n')
        .map((line) => line.split(' '));
    return new Map([
        ...parts.map(([name, pid]) => [name, Number(pid)]),
        ['database', Number(readFileSync(`${databaseFolder()}/postmaster.pid`, 'utf8').split('\n')[0])],
    ]);
}

function databaseFolder() {
    return process.env['BEAD_PG'] ?? `${root}/var/pg/data`;
}

/** Logs one entry after another; each is sent again until it is answered, as the tablet does. */
async function write({ call, id }, job, step, until, acknowledged) {
    while (!until.over) {
        const entry = {
            ...{ id: randomUUID(), by: id, revision: job.revision, units: 'inch', step, kind: 'note' },
            ...{ readings: {}, note: 'under faults', at: new Date().toISOString() },
        };
        for (;;) {
            const answer = await call('POST', `/jobs/${job.id}/log`, { entries: [entry] }).catch(() => null);
            if (answer?.status === 200) {
                const { state } = JSON.parse(answer.text).results[0];
                if (state === 'refused') throw new Error(answer.text.slice(0, 300));
                acknowledged.push(entry.id);
                break;
            }
            if (answer && answer.status < 500)
                throw new Error(`${answer.status} ${answer.text.slice(0, 200)}`);
            await sleep(100);
        }
    }
}

async function isBack() {
    const began = performance.now();
    while (performance.now() - began < BACK_WITHIN_MS) {
        const answer = await fetch(`${base}/up`, { signal: AbortSignal.timeout(3000) }).catch(() => null);
        if (answer?.status === 200) return performance.now() - began;
        await sleep(50);
    }
    return Infinity;
}

const people = await Promise.all(
    Array.from({ length: WRITERS }, (_, i) => person(base, ['wren', 'pia'][i % 2])),
);
const { call } = people[0];
const { id, bench } = propsOf((await call('GET', '/jobs/4/bench')).text).job;
const before = await logged(call, id);
const [until, acknowledged] = [{ over: false }, []];
const writing = people.map((one) =>
    write(one, { id, revision: bench.revision }, bench.steps[0].id, until, acknowledged),
);
const waits = new Map();
for (let round = 0; round < rounds; round++)
    for (const name of victims().keys()) {
        await sleep(700);
        process.kill(victims().get(name), 'SIGKILL');
        await sleep(150);
        waits.set(name, [...(waits.get(name) ?? []), await isBack()]);
        // What watches looks once a second; the next to be ended should be there again.
        await sleep(1500);
    }
until.over = true;
await Promise.all(writing);
const after = await logged(call, id);
const counts = new Map();
for (const one of after) counts.set(one, (counts.get(one) ?? 0) + 1);
const lost = acknowledged.filter((one) => !counts.has(one)).length;
const twice = [...counts.values()].filter((count) => count > 1).length;
printTable(
    ['ended with -9', 'times', 'back after, longest'],
    [...waits].map(([name, all]) => [name, all.length, `${Math.round(Math.max(...all))} ms`]),
);
printTable(
    ['entries', 'acknowledged', 'in the log', 'lost', 'twice'],
    [['', acknowledged.length, after.length - before.length, lost, twice]],
);
const isWell = lost === 0 && twice === 0 && [...waits.values()].flat().every(Number.isFinite);
if (!isWell) process.exitCode = 1;

/** The ids of a job's log, oldest page last. */
async function logged(call, job) {
    const ids = [];
    let place = '';
    for (;;) {
        const answer = JSON.parse((await call('GET', `/jobs/${job}/log${place}`)).text);
        ids.push(...answer.lines.map((line) => line.id));
        if (answer.earlier === 0) return ids;
        place = `?before=${answer.lines[0].position}`;
    }
}
