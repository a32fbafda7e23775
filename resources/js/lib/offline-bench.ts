// The bench of a job is kept on this device, so that it opens without a network; see bench-worker.ts.
import type { ToWorker } from '@/bench-worker';
import { session } from './session.svelte';

const AGAIN_MS = 3000;

let timer: ReturnType<typeof setTimeout> | undefined;

/** Keeps the bench as it stands now; asked often, it is done once things have settled. */
export function keepBench(job: number, version: string, soon = AGAIN_MS): void {
    if (!('serviceWorker' in navigator)) return;
    clearTimeout(timer);
    timer = setTimeout(() => void keep(job, version), soon);
}

async function keep(job: number, version: string): Promise<void> {
    try {
        const url = `/build/bench-worker.js?v=${encodeURIComponent(version)}`;
        await navigator.serviceWorker.register(url, { scope: '/' });
        const { active } = await navigator.serviceWorker.ready;
        const say = (what: ToWorker) => active?.postMessage(what);
        say({ person: session.person?.id ?? null });
        say({ keep: `/jobs/${job}/bench` });
    } catch {
        // No worker here, or no network just now: the bench works all the same while the page is open.
    }
}

/** Tells who the device belongs to now; what was kept for somebody else goes. */
export function benchIsOf(person: number | null): void {
    navigator.serviceWorker?.controller?.postMessage({ person } satisfies ToWorker);
}
