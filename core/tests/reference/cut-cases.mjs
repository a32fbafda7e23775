// Makes cut problems: reads [[kind, seed], …] from standard input, writes the problems.
import { readFileSync } from 'node:fs';
import { KINDS } from '../../../bench/cut-problems.mjs';

const asked = JSON.parse(readFileSync(0, 'utf8'));
process.stdout.write(JSON.stringify(asked.map(([kind, seed]) => KINDS[kind](seed))));
