// How many answers a second a running ./start gives, and how long people wait for them:
// node bench/load.mjs [http://127.0.0.1:8420] [SECONDS = 8]
import { randomUUID } from 'node:crypto';
import { ownMachine, person, propsOf, sleep } from './client.mjs';
import { ms, percentile, printTable } from './table.mjs';

const base = ownMachine(process.argv[2] ?? 'http://127.0.0.1:8420');
const seconds = Number(process.argv[3] ?? 8);

const { call: first, id: me } = await person(base);
const document = JSON.parse((await first('GET', '/jobs/2/job.json')).text);
const { bench } = propsOf((await first('GET', '/jobs/4/bench')).text).job;
const entry = () => ({
    id: randomUUID(),
    by: me,
    revision: bench.revision,
    units: 'inch',
    step: bench.steps[0].id,
    kind: 'note',
    readings: {},
    note: 'load',
    at: new Date().toISOString(),
});
const ACTIONS = {
    rack: (call) => call('GET', '/'),
    job: (call) => call('GET', '/jobs/2/route'),
    preview: (call) => call('POST', '/jobs/2/preview', { document }),
    log: (call) => call('POST', '/jobs/4/log', { entries: [entry()] }),
};

/** So many people at it for a while, each with a pause between actions. */
async function load(action, people, pauseMs) {
    const callers = await Promise.all(Array.from({ length: people }, () => person(base)));
    const times = [];
    let wrong = 0;
    const end = performance.now() + 1000 * seconds;
    await Promise.all(
        callers.map(async ({ call }, i) => {
            if (pauseMs) await sleep((pauseMs * i) / people);
            while (performance.now() < end) {
                const began = performance.now();
                const { status } = await action(call);
                times.push(performance.now() - began);
                if (status >= 400) wrong++;
                if (pauseMs) await sleep(pauseMs);
            }
        }),
    );
    return { times: times.sort((a, b) => a - b), wrong };
}

const rows = [];
for (const [name, action] of Object.entries(ACTIONS)) {
    await load(action, 2, 0);
    const { times, wrong } = await load(action, 10, 0);
    rows.push([
        `${name}, ten clients without pause`,
        (times.length / seconds).toFixed(0),
        ...spread(times),
        wrong,
    ]);
}
const mixed = Object.values(ACTIONS);
const { times, wrong } = await load((call) => mixed[Math.floor(Math.random() * 4)](call), 50, 1000);
rows.push([
    '50 people, a second between actions',
    (times.length / seconds).toFixed(0),
    ...spread(times),
    wrong,
]);
printTable([`over ${seconds} s`, 'a second', 'p50', 'p95', 'worst', 'refused'], rows);

function spread(times) {
    return [percentile(times, 0.5), percentile(times, 0.95), times.at(-1)].map(ms);
}
