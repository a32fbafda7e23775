// The one queue of this tab, and what keeps it going.
import type { Person } from '@/lib/answers';
import { openStore } from '@/lib/kept-store';
import { isKept } from './kept';
import { LogQueue } from './queue.svelte';

export { doneWith, ENTRY_WORDS, type Kept } from './kept';

export const logQueue = new LogQueue(
    openStore('bead-log', isKept),
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('bead-log'),
);

/** Begins to send for a person, and goes on whenever there is a reason to hope again. */
export async function startLogQueue(person: Person | null): Promise<void> {
    await logQueue.isFor(person);
    if (person) await adoptOld();
}

export function watchLogQueue(): void {
    const again = () => void logQueue.flush();
    window.addEventListener('online', again);
    window.addEventListener('pageshow', again);
    document.addEventListener('visibilitychange', again);
    window.addEventListener('beforeunload', (event) => {
        if (logQueue.waiting.length > 0) event.preventDefault();
    });
}

/** Saves everything that is kept here as a file, for when nothing else helps. */
export function exportLogQueue(): void {
    const file = { format: 'upswept-bead/log-entries', version: 1, entries: logQueue.entries };
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([JSON.stringify(file, null, 2)], { type: 'application/json' }));
    link.download = 'log-entries.json';
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

const OLD = /^bead-outbox-(\d+)$/;

async function adoptOld(): Promise<void> {
    for (const key of Object.keys(localStorage)) {
        const job = OLD.exec(key)?.[1];
        if (job === undefined) continue;
        try {
            const found: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
            if (Array.isArray(found)) await logQueue.adopt(found, Number(job));
        } catch {
            // Nothing that can be read as entries.
        }
        localStorage.removeItem(key);
    }
}
