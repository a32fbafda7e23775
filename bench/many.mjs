// One client at a database filled by bench/many.php: node bench/many.mjs [http://127.0.0.1:8420] [TIMES = 100]
import { ownMachine, person, propsOf } from './client.mjs';
import { ms, percentile, printTable } from './table.mjs';

const base = ownMachine(process.argv[2] ?? 'http://127.0.0.1:8420');
const times = Number(process.argv[3] ?? 100);
const { call } = await person(base);
const { rack } = propsOf((await call('GET', '/?find=M-')).text);
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
        const { status } = await call('GET', url());
        if (status !== 200) throw new Error(`${name}: ${status}`);
        took.push(performance.now() - began);
    }
    rows.push([name, times, ms(percentile(took, 0.5)), ms(percentile(took, 0.95)), ms(Math.max(...took))]);
}
printTable([`${rack.total} jobs and their logs, one client`, 'times', 'p50', 'p95', 'worst'], rows);
