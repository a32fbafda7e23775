// Kills each process of a running ./start in turn while six people log at the bench, and counts what was acknowledged
// against what is there: node bench/faults.mjs [http://127.0.0.1:8420] [FOLDER OF THE CHECKOUT] [ROUNDS = 4]
// Only processes that this checkout's ./start wrote down are ended, by their ids.
import { readFileSync } from 'node:fs';
import { ownMachine, sleep } from './client.mjs';
import { printTable } from './table.mjs';
import { isBack, writers } from './writers.mjs';

const base = ownMachine(process.argv[2] ?? 'http://127.0.0.1:8420');
const root = process.argv[3] ?? '.';
const rounds = Number(process.argv[4] ?? 4);

const WRITERS = 6;

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

const writing = await writers(base, WRITERS);
const waits = new Map();
for (let round = 0; round < rounds; round++)
    for (const name of victims().keys()) {
        await sleep(700);
        process.kill(victims().get(name), 'SIGKILL');
        await sleep(150);
        waits.set(name, [...(waits.get(name) ?? []), await isBack(base)]);
        // What watches looks once a second; the next to be ended should be there again.
        await sleep(1500);
    }
printTable(
    ['ended with -9', 'times', 'back after, longest'],
    [...waits].map(([name, all]) => [name, all.length, `${Math.round(Math.max(...all))} ms`]),
);
const isKept = await writing.end();
if (!isKept || ![...waits.values()].flat().every(Number.isFinite)) process.exitCode = 1;
