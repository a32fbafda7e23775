// What a browser fetches before a screen stands, gzipped, read off the built manifest: node bench/first-load.mjs
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { printTable } from './table.mjs';

const build = new URL('../public/build/', import.meta.url);
const manifest = JSON.parse(readFileSync(new URL('manifest.json', build), 'utf8'));

const sizes = new Map();
const gzipped = (file) => {
    if (!sizes.has(file)) sizes.set(file, gzipSync(readFileSync(new URL(file, build))).length);
    return sizes.get(file);
};

/** Every script and style that the entries import at once, themselves included. */
function closure(entries) {
    const files = new Set();
    const visit = (key) => {
        const chunk = manifest[key];
        if (files.has(chunk.file)) return;
        files.add(chunk.file);
        (chunk.css ?? []).forEach((file) => files.add(file));
        (chunk.imports ?? []).forEach(visit);
    };
    entries.forEach(visit);
    return files;
}

const app = 'resources/js/app.ts';
const job = 'resources/js/screens/job/job.svelte';
const kb = (files) => `${([...files].reduce((sum, file) => sum + gzipped(file), 0) / 1000).toFixed(1)} kB`;
const screen = (name) => `resources/js/screens/${name}/${name}.svelte`;
const rows = [
    ['sign-in', [app, 'resources/js/screens/sign-in.svelte']],
    ['rack', [app, screen('rack')]],
    ...['survey', 'cut', 'fit', 'weld', 'bench', 'handover'].map((stage) => [
        stage,
        [app, job, screen(stage)],
    ]),
    ['route, before its 3D view', [app, job, screen('route')]],
].map(([name, entries]) => [name, kb(closure(entries))]);
const before = closure([app, job, screen('route')]);
const viewport = 'resources/js/parts/viewport/tube-scene.ts';
rows.push(['3D view, only where used', kb([...closure([viewport])].filter((file) => !before.has(file)))]);
printTable(['first load, gzipped scripts and styles', 'size'], rows);
