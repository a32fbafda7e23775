// People who log at the bench without pause while something is done to the server, and what became of their entries.
import { randomUUID } from 'node:crypto';
import { person, propsOf, sleep } from './client.mjs';
import { printTable } from './table.mjs';

const BACK_WITHIN_MS = 20_000;
const JOB = 4;

/** So many writers at the finished demo job; `end` stops them, prints the account and says whether it is well. */
export async function writers(base, count) {
    const people = await Promise.all(
        Array.from({ length: count }, (_, i) => person(base, ['wren', 'pia'][i % 2])),
    );
    const { call } = people[0];
    const { bench } = propsOf((await call('GET', `/jobs/${JOB}/bench`)).text).job;
    const before = await logged(call, JOB);
    const [until, acknowledged] = [{ over: false }, []];
    const job = { id: JOB, revision: bench.revision };
    const writing = people.map((one) => write(one, job, bench.steps[0].id, until, acknowledged));
    return {
        acknowledged,
        async end() {
            until.over = true;
            await Promise.all(writing);
            const after = await logged(call, JOB);
            const counts = new Map();
            for (const one of after) counts.set(one, (counts.get(one) ?? 0) + 1);
            const lost = acknowledged.filter((one) => !counts.has(one)).length;
            const twice = [...counts.values()].filter((count) => count > 1).length;
            printTable(
                ['entries', 'acknowledged', 'in the log', 'lost', 'twice'],
                [['', acknowledged.length, after.length - before.length, lost, twice]],
            );
            return lost === 0 && twice === 0;
        },
    };
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
            const results = answer?.status === 200 ? resultsIn(answer.text) : null;
            if (results) {
                const { state } = results[0];
                if (state === 'refused') throw new Error(answer.text.slice(0, 300));
                acknowledged.push(entry.id);
                break;
            }
            if (answer && answer.status !== 200 && answer.status < 500)
                throw new Error(`${answer.status} ${answer.text.slice(0, 200)}`);
            await sleep(100);
        }
    }
}

/** What became of the entries; null where the answer broke off, as its worker was killed: then it is no answer. */
function resultsIn(text) {
    try {
        return JSON.parse(text).results;
    } catch {
        return null;
    }
}

/** How long it takes until the server says that it is well; without end if it does not. */
export async function isBack(base) {
    const began = performance.now();
    while (performance.now() - began < BACK_WITHIN_MS) {
        const answer = await fetch(`${base}/up`, { signal: AbortSignal.timeout(3000) }).catch(() => null);
        if (answer?.status === 200) return performance.now() - began;
        await sleep(50);
    }
    return Infinity;
}

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
