/* The fewest sticks for straight pieces, by another way than ours: every pattern of pieces that fits a stick is written
 * down, and GLPK, a solver of integer programmes, chooses patterns that hold each piece. Lengths in tenths of a mm.
 * Reads {sizes, room} (each size with its kerf) from standard input; writes the number of sticks. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const { sizes, room } = JSON.parse(readFileSync(0, 'utf8'));
const patterns = [];
const grow = (chosen, from, left) => {
    if (chosen.length > 0) patterns.push(chosen);
    for (let i = from; i < sizes.length; i++)
        if (sizes[i] <= left) grow([...chosen, i], i + 1, left - sizes[i]);
};
grow([], 0, room);

const all = patterns.map((_, i) => `x${i}`);
const sum = (names) => names.join('\n + ');
const rows = sizes.map(
    (_, piece) => ` p${piece}: ${sum(all.filter((_, i) => patterns[i].includes(piece)))} = 1`,
);
const folder = mkdtempSync(join(tmpdir(), 'bead-glpk-'));
try {
    const model = join(folder, 'model.lp');
    writeFileSync(
        model,
        `Minimize\n sticks: ${sum(all)}\nSubject To\n${rows.join('\n')}\nBinary\n${all.join('\n')}\nEnd\n`,
    );
    const result = join(folder, 'result.txt');
    execFileSync('glpsol', ['--lp', model, '--write', result, '--tmlim', '20'], { stdio: 'ignore' });
    const status = /^s mip \d+ \d+ (\w) (\S+)$/m.exec(readFileSync(result, 'utf8'));
    if (status === null || status[1] !== 'o') throw new Error('GLPK found no proven answer');
    process.stdout.write(JSON.stringify({ sticks: Number(status[2]), patterns: patterns.length }));
} finally {
    rmSync(folder, { recursive: true });
}
