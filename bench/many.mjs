// One client at a database filled by bench/many.php: node bench/many.mjs [http://127.0.0.1:8420] [TIMES = 100]
import { ms, percentile, printTable } from './table.mjs';

const base = process.argv[2] ?? 'http://127.0.0.1:8420';
const times = Number(process.argv[3] ?? 100);
if (!['127.0.0.1', 'localhost'].includes(new URL(base).hostname))
    throw new Error('Only this machine is measured.');
const cookies = new Map();

async function call(method, url, body) {
    const response = await fetch(base + url, {
        method,
        redirect: 'manual',
        headers: {
            Accept: 'application/json',
            ...(body ? { 'Content-Type': 'application/json' } : {}),
            Cookie: [...cookies].map(([key, value]) => `${key}=${value}`).join('; '),
            'X-XSRF-TOKEN': decodeURIComponent(cookies.get('XSRF-TOKEN') ?? ''),
        },
        ...(body ? { body: JSON.stringify(body) } : {}),
    });
    for (const cookie of response.headers.getSetCookie()) {
        const [key, value] = cookie.split(';')[0].split(/=(.*)/s);
        cookies.set(key, value);
    }
    const text = await response.text();
    if (response.status !== 200) throw new Error(`${url}: ${response.status}`);
    return text;
}

await call('GET', '/session');
await call('POST', '/sign-in', { email: 'wren@tidewater.invalid', password: 'upswept-demo' });
const { rack } = JSON.parse(
    /type="application\/json">(.*?)<\/script>/s.exec(await call('GET', '/?find=M-'))[1],
).props;
const first = rack.jobs[0].id;
const some = () => first + Math.floor(Math.random() * rack.total);
const LOOKS = {
    'the rack': () => '/',
    'a page in the middle': () => `/?page=${1 + Math.floor(Math.random() * rack.pages)}`,
    'a search': () => `/?find=copy+${Math.floor(Math.random() * 10_000)}`,
    'a job at the bench': () => `/jobs/${some()}/bench`,
    'a job handed over': () => `/jobs/${some()}/handover`,
};
const rows = [];
for (const [name, url] of Object.entries(LOOKS)) {
    const took = [];
    for (let i = 0; i < times; i++) {
        const began = performance.now();
        await call('GET', url());
        took.push(performance.now() - began);
    }
    rows.push([name, times, ms(percentile(took, 0.5)), ms(percentile(took, 0.95)), ms(Math.max(...took))]);
}
printTable([`${rack.total} jobs and their logs, one client`, 'times', 'p50', 'p95', 'worst'], rows);
