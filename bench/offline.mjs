// A bench without a network, in the real browser against a running ./start: so many steps are closed offline in two tabs,
// with reloads between, while a second person closes others from another tablet that is online. Then it is counted what
// arrived: node bench/offline.mjs [http://127.0.0.1:8420] [STEPS = 200]
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { ownMachine, sleep } from './client.mjs';
import { printTable } from './table.mjs';

const base = ownMachine(process.argv[2] ?? 'http://127.0.0.1:8420');
const steps = Number(process.argv[3] ?? 200);
const RELOAD_EVERY = 40;
const TAB_EVERY = 9;
const OTHERS = 40;

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    chromiumSandbox: false,
    args: ['--disable-quic', '--use-angle=swiftshader-webgl', '--enable-unsafe-swiftshader'],
});
try {
    const [tablet, wren] = await signedIn('wren');
    const job = await releasedJob(wren);
    const [, pia] = await signedIn('pia');
    const tabs = [wren, await tablet.newPage()];
    for (const tab of tabs) await atBench(tab, job);
    await wren.waitForFunction(async (url) => (await caches.match(url)) !== undefined, benchOf(job));
    await tablet.setOffline(true);
    const began = performance.now();
    const [closed, closedByPia] = await Promise.all([closeOffline(tabs), closeOnline(pia, job)]);
    const offlineS = (performance.now() - began) / 1000;
    const waiting = await waitingIn(tabs[0]);
    await tablet.setOffline(false);
    const back = performance.now();
    const log = await arrived(pia, job, steps + OTHERS);
    const sentS = (performance.now() - back) / 1000;
    report(log, closed, closedByPia, { waiting, offlineS, sentS });
} finally {
    await browser.close();
}

async function signedIn(name) {
    const context = await browser.newContext({ baseURL: base, viewport: { width: 1024, height: 768 } });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await page.getByLabel('Address').fill(`${name}@tidewater.invalid`);
    await page.getByLabel('Password').fill('upswept-demo');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('button', { name: 'Sign out' }).waitFor();
    return [context, page];
}

/** The eight-run job, released: it has more steps than anybody closes here. */
async function releasedJob(page) {
    const document = JSON.parse(readFileSync(new URL('eight-runs.job.json', import.meta.url), 'utf8'));
    // Some of them stand in the way, and what runs into something is not released.
    document.set.keepOuts = [];
    document.job.number = `TB-O${Date.now() % 1_000_000}`;
    const { id } = await api(page, '/jobs', { document });
    await api(page, `/jobs/${id}/release`, { version: 1 });
    return id;
}

async function api(page, url, data) {
    const token = (await page.context().cookies()).find(({ name }) => name === 'XSRF-TOKEN').value;
    const headers = { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token) };
    const answer = await page.request.post(url, { data, headers });
    if (!answer.ok()) throw new Error(`${url}: ${answer.status()} ${(await answer.text()).slice(0, 300)}`);
    return answer.json();
}

function benchOf(job) {
    return `/jobs/${job}/bench`;
}

async function atBench(page, job) {
    await page.goto(benchOf(job));
    await next(page).waitFor();
}

function next(page) {
    return page.getByRole('button', { name: 'Done, next' });
}

/** Closes one step after another, now in one tab, now in the other, each reloaded at times. */
async function closeOffline(tabs) {
    const closed = [];
    let showing = await shown(tabs[0]);
    for (let i = 0; i < steps; i++) {
        const tab = tabs[Math.floor(i / TAB_EVERY) % tabs.length];
        if (i % RELOAD_EVERY === RELOAD_EVERY - 1) {
            await tab.reload();
            await next(tab).waitFor();
        }
        // Each tab goes on where the other one is.
        await tab.getByRole('heading', { level: 2, name: showing, exact: true }).first().waitFor();
        await close(tab);
        closed.push(showing);
        await tab.waitForFunction((was) => document.querySelector('h2')?.textContent.trim() !== was, showing);
        showing = await shown(tab);
    }
    return closed;
}

/** Closes the step that is shown; where it asks for more than is said here, a reason is given. */
async function close(page) {
    for (const side of ['Outside silver', 'Inside silver']) {
        const colour = page.getByRole('button', { name: side, exact: true });
        if (await colour.isVisible()) await colour.click();
    }
    await next(page).click();
    const gate = page.getByRole('alert', { name: 'Before you go on' });
    if (!(await gate.isVisible())) return;
    await gate.getByLabel('Why you go on all the same').fill('only counted');
    await gate.getByRole('button', { name: 'Go on with this reason' }).click();
}

async function shown(page) {
    return (await page.getByRole('heading', { level: 2 }).first().textContent()).trim();
}

/** Another person closes steps from the end of the list, as they come to them. */
async function closeOnline(page, job) {
    const { bench } = await page.evaluate(async (url) => {
        const html = await (await fetch(url)).text();
        return JSON.parse(/type="application\/json">(.*?)<\/script>/s.exec(html)[1]).props.job;
    }, benchOf(job));
    const { person } = await (await page.request.get('/session')).json();
    // What is looked at wants to be told what was found: others are taken.
    const taken = bench.steps
        .filter((step) => step.inspection === null)
        .slice(-OTHERS)
        .map((step) => step.id);
    for (const step of taken)
        await api(page, `/jobs/${job}/log`, {
            entries: [
                {
                    ...{ id: crypto.randomUUID(), by: person.id, revision: bench.revision, units: 'inch' },
                    ...{
                        step,
                        kind: 'done',
                        readings: {},
                        note: '',
                        why: 'only counted',
                        at: new Date().toISOString(),
                    },
                },
            ],
        });
    return taken;
}

async function waitingIn(page) {
    return Number(/(\d+) kept here/.exec((await page.textContent('body')) ?? '')?.[1] ?? 0);
}

/** The whole log, when all of it is there or nothing more comes. */
async function arrived(page, job, expected) {
    const until = performance.now() + 60_000;
    for (;;) {
        const log = [];
        let place = '';
        for (;;) {
            const answer = await (await page.request.get(`/jobs/${job}/log${place}`)).json();
            log.unshift(...answer.lines);
            if (answer.earlier === 0) break;
            place = `?before=${answer.lines[0].position}`;
        }
        if (log.length >= expected || performance.now() > until) return log;
        await sleep(300);
    }
}

function report(log, closed, closedByPia, { waiting, offlineS, sentS }) {
    const [own, others] = ['Wren', 'Pia'].map((name) => log.filter((line) => line.by.startsWith(name)));
    const rows = [
        [`offline in two tabs, ${offlineS.toFixed(0)} s`, closed, own],
        ['online, another person', closedByPia, others],
    ].map(([name, made, there]) => {
        const distinct = new Set(there.map((line) => line.step)).size;
        return [name, made.length, distinct, made.length - distinct, there.length - distinct];
    });
    printTable(['steps closed', 'made', 'in the log', 'lost', 'twice'], rows);
    console.log(
        `${waiting} said to be waiting before the network came back; all there ${sentS.toFixed(1)} s after.`,
    );
    if (waiting !== steps || rows.some((row) => row[3] !== 0 || row[4] !== 0)) process.exitCode = 1;
}
