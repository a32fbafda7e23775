// Opens the bench without a network: keeps the bench pages that were looked at here, and the files they need. One
// version of the program at a time; everything else goes to the network as if this were not there.
/// <reference lib="webworker" />

const worker = self as unknown as ServiceWorkerGlobalScope;
const PAGES = 'bead-pages';
const FILES = `bead-files-${new URL(worker.location.href).searchParams.get('v') ?? ''}`;
const OWNER = '/whose-pages-these-are';
const BENCH = /^\/jobs\/\d+\/bench$/;
/** A network that does not answer within this is taken for none. */
const PATIENCE_MS = 6000;
/** The parts of the program that the bench is made of. */
const PARTS = [
    'resources/js/app.ts',
    'resources/js/screens/job/job.svelte',
    'resources/js/screens/bench/bench.svelte',
    'virtual:answer-checks/job',
    'virtual:answer-checks/other',
];

type Manifest = Record<string, { file: string; css?: string[]; assets?: string[]; imports?: string[] }>;
export type ToWorker = { keep: string } | { person: number | null };

worker.addEventListener('install', (event) => event.waitUntil(fill().then(() => worker.skipWaiting())));
worker.addEventListener('activate', (event) => event.waitUntil(takeOver()));
worker.addEventListener('message', (event: ExtendableMessageEvent) => {
    const said = event.data as ToWorker;
    if ('keep' in said && BENCH.test(said.keep)) event.waitUntil(keep(said.keep));
    if ('person' in said) event.waitUntil(belongsTo(said.person));
});
worker.addEventListener('fetch', (event) => {
    const url = new URL(event.request.url);
    if (event.request.method !== 'GET' || url.origin !== worker.location.origin) return;
    if (event.request.mode === 'navigate') event.respondWith(page(event.request, url.pathname));
    else if (url.pathname.startsWith('/build/') || url.pathname === '/mark.svg')
        event.respondWith(caches.match(event.request).then((kept) => kept ?? fetch(event.request)));
});

async function fill(): Promise<void> {
    const manifest = (await (await fetch('/build/manifest.json')).json()) as Manifest;
    const files = new Set(['/mark.svg']);
    const seen = new Set<string>();
    const add = (name: string) => {
        const chunk = manifest[name];
        if (!chunk || seen.has(name)) return;
        seen.add(name);
        for (const file of [chunk.file, ...(chunk.css ?? []), ...(chunk.assets ?? [])])
            files.add(`/build/${file}`);
        for (const part of chunk.imports ?? []) add(part);
    };
    for (const part of PARTS) add(part);
    await (await caches.open(FILES)).addAll([...files]);
}

/** The pages that are kept are fetched anew, as they name the files of the version before. */
async function takeOver(): Promise<void> {
    await worker.clients.claim();
    const pages = await caches.open(PAGES);
    const paths = (await pages.keys()).map((request) => new URL(request.url).pathname);
    const kept = await Promise.all(paths.filter((path) => BENCH.test(path)).map(keep));
    // Where one could not be, the older files stay for it.
    if (kept.includes(false)) return;
    for (const name of await caches.keys())
        if (name.startsWith('bead-files-') && name !== FILES) await caches.delete(name);
}

async function keep(path: string): Promise<boolean> {
    const response = await fetch(path, { headers: { Accept: 'text/html' } }).catch(() => null);
    return response !== null && store(path, response);
}

async function store(path: string, response: Response): Promise<boolean> {
    // A page that sends elsewhere is the sign-in, or nothing of ours.
    if (!response.ok || response.redirected) return false;
    await (await caches.open(PAGES)).put(path, response);
    return true;
}

/** Nobody is shown what was kept for somebody else. */
async function belongsTo(person: number | null): Promise<void> {
    const known = await (await caches.match(OWNER, { cacheName: PAGES }))?.text();
    if (known === `${person}`) return;
    await caches.delete(PAGES);
    if (person !== null) await (await caches.open(PAGES)).put(OWNER, new Response(`${person}`));
}

async function page(request: Request, path: string): Promise<Response> {
    const patience = new AbortController();
    const kept = BENCH.test(path) ? await caches.match(path, { cacheName: PAGES }) : undefined;
    const timer = kept ? setTimeout(() => patience.abort(), PATIENCE_MS) : undefined;
    try {
        const response = await fetch(request, { signal: patience.signal });
        if (BENCH.test(path)) await store(path, response.clone());
        return response;
    } catch {
        return kept ?? noNetwork();
    } finally {
        clearTimeout(timer);
    }
}

async function noNetwork(): Promise<Response> {
    const pages = await (await caches.open(PAGES)).keys();
    const links = pages
        .map((request) => new URL(request.url).pathname)
        .filter((path) => BENCH.test(path))
        .map((path) => `<li><a href="${path}">Bench of job ${path.split('/')[2]}</a></li>`);
    const text =
        links.length > 0
            ? `<p>The bench opens without it:</p><ul>${links.join('')}</ul>`
            : '<p>Nothing of the bench was opened on this device before.</p>';
    return new Response(
        `<!DOCTYPE html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>No network</title><body style="font: 18px/1.5 sans-serif; margin: 2rem"><h1>The server cannot be reached</h1>${text}<p>Entries made at the bench are kept on this device and sent once it can be.</p>`,
        { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } },
    );
}
