// One edit of a routed run after another, as the Route screen sends them, to a running ./start:
// node bench/edit-over-http.mjs [http://127.0.0.1:8420] [TIMES]
import { ms, percentile, printTable } from './table.mjs';

const base = process.argv[2] ?? 'http://127.0.0.1:8420';
const times = Number(process.argv[3] ?? 200);
if (!['127.0.0.1', 'localhost'].includes(new URL(base).hostname))
    throw new Error('Only this machine is measured.');

const cookies = new Map();

await call('GET', '/sign-in');
await call('POST', '/sign-in', { email: 'wren@tidewater.invalid', password: 'upswept-demo' });
const document = await (await call('GET', '/jobs/1/job.json')).json();
document.job.number = `TB-B${Date.now() % 100000}`;
const { id } = await (await call('POST', '/jobs', { document })).json();
const { answers } = await (await call('POST', `/jobs/${id}/routes`, { document, letter: 'A' })).json();
document.runs[0].route = answers[0].route;

let version = 1;
const saves = [];
const previews = [];
for (let i = 0; i < times; i++) {
    document.runs[0].route.bends[0].rotation = `${i % 90} deg`;
    previews.push(await timed('POST', `/jobs/${id}/preview`, { document }));
    saves.push(await timed('PUT', `/jobs/${id}/draft`, { version: version++, document }));
}
printTable(
    ['over HTTP, planned again in full', 'times', 'p50', 'p95', 'worst'],
    [row('edit tried (preview)', previews), row('edit saved (draft)', saves)],
);

function row(name, sample) {
    return [name, sample.length, ...[0.5, 0.95, 1].map((share) => ms(percentile(sample, share)))];
}

async function timed(method, path, body) {
    const start = performance.now();
    await (await call(method, path, body)).text();
    return performance.now() - start;
}

async function call(method, path, body) {
    const headers = {
        Accept: method === 'GET' && path === '/sign-in' ? 'text/html' : 'application/json',
        Cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        'X-XSRF-TOKEN': decodeURIComponent(cookies.get('XSRF-TOKEN') ?? ''),
    };
    if (body) headers['Content-Type'] = 'application/json';
    const response = await fetch(base + path, {
        method,
        headers,
        redirect: 'manual',
        ...(body ? { body: JSON.stringify(body) } : {}),
    });
    for (const cookie of response.headers.getSetCookie()) {
        const [, name, value] = /^([^=]*)=([^;]*)/.exec(cookie);
        cookies.set(name, value);
    }
    if (response.status >= 400)
        throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
    return response;
}
