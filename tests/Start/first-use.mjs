// What a person does first, over HTTP: signs in, looks at the rack, at one Route screen and at the bench, and logs one entry.
// node tests/Start/first-use.mjs http://127.0.0.1:PORT
import { get } from 'node:http';
import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { ownMachine, pageOf, person } from '../../bench/client.mjs';

const base = ownMachine(process.argv[2]);
const { call } = await person(base);

const rack = await page('/');
assert.equal(rack.component, 'rack/rack');
assert.ok(rack.props.rack.jobs.length >= 4, 'the rack lists the demo jobs');

const route = await routeOfOne(rack.props.rack.jobs);
assert.ok(route, 'the Route screen of one job gets its runs');
assert.equal(route.component, 'job/job');

const asset = /\/build\/assets\/[\w-]+\.js/.exec(route.html)?.[0];
assert.ok(asset, 'the page names its script');
assert.ok(route.html.includes(`"${base}${asset}"`), 'at the very address that the page came from');
assert.ok((await ask('GET', asset)).length > 1000, 'the script is there');

const open = await releasedStep(rack.props.rack.jobs);
assert.ok(open, 'one of the demo jobs is released');
const entry = {
    id: randomUUID(),
    by: rack.props.person.id,
    revision: open.revision,
    units: 'inch',
    step: open.step,
    kind: 'note',
    readings: {},
    note: 'First start.',
    at: new Date().toISOString(),
};
const { results, progress } = JSON.parse(await ask('POST', `/jobs/${open.id}/log`, { entries: [entry] }));
assert.equal(results[0].state, 'stored', results[0].reason);
assert.ok(
    progress.log.some((one) => one.id === entry.id),
    'the entry is in the log',
);
// Nobody may say that this is another host: not in a redirect, not in an address of a script.
const forged = await new Promise((done, fail) =>
    get(`${base}/`, { agent: false, headers: { Host: 'elsewhere.invalid' } }, done).on('error', fail),
);
forged.destroy();
assert.equal(forged.statusCode, 400, 'another host name is refused');
console.log('signed in, rack, route, script, one log entry');

/** A pair of collectors is a job without runs, and may stand first. */
async function routeOfOne(jobs) {
    for (const { id } of jobs) {
        const shown = await page(`/jobs/${id}/route`);
        if (shown.props.job.plan.runs.length > 0) return shown;
    }
    return null;
}

async function releasedStep(jobs) {
    for (const { id } of jobs) {
        const { job } = (await page(`/jobs/${id}/bench`)).props;
        if (job.bench)
            return { id, revision: job.bench.revision, step: job.bench.next ?? job.bench.steps[0].id };
    }
    return null;
}

async function page(path) {
    const html = await ask('GET', path);
    return { ...pageOf(html), html };
}

async function ask(method, path, body) {
    const { status, text } = await call(method, path, body);
    assert.ok(status < 400, `${method} ${path} answers ${status}`);
    return text;
}
