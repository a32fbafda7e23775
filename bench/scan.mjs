// How long a search takes round scanned surfaces: node bench/scan.mjs [--seconds 3] [--seeds 3] [--triangles 50000]
// The inline four of the tests, its block a scan and a lump of another scan in its way, beside the same as plain boxes.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { lumpyBlock } from './lumpy-block.mjs';

const { values } = parseArgs({
    options: {
        seconds: { type: 'string', default: '3' },
        seeds: { type: 'string', default: '3' },
        triangles: { type: 'string', default: '50000' },
    },
});
const root = new URL('..', import.meta.url).pathname;
const folder = mkdtempSync(join(tmpdir(), 'bead-scan-'));
const jit = {
    enable_cli: 1,
    jit: 'tracing',
    jit_buffer_size: '64M',
    jit_max_root_traces: 4096,
    jit_max_side_traces: 1024,
    jit_max_exit_counters: 30000,
};
const flags = Object.entries(jit).flatMap(([name, value]) => ['-d', `opcache.${name}=${value}`]);

try {
    for (const [name, size] of [
        ['block', [440, 240, 360]],
        ['lump', [90, 90, 160]],
    ])
        writeFileSync(join(folder, `${name}.stl`), lumpyBlock(size, Number(values.triangles)));
    execFileSync('php', [...flags, join(root, 'bench/scan.php'), folder, values.seconds, values.seeds], {
        stdio: 'inherit',
    });
} finally {
    rmSync(folder, { recursive: true });
}
