// An open page of a job follows what others log to it.
import type { JobDesk } from './job-desk.svelte';
import { send } from './http';

/** How often an open page asks; our own figure. */
const AGAIN_MS = 10_000;

/** Asks every few seconds while the page is visible. The function it gives back stops it. */
export function followLog(desk: JobDesk): () => void {
    let isAsking = false;
    async function ask(): Promise<void> {
        const { bench, id } = desk.view;
        if (!bench || isAsking || document.visibilityState !== 'visible') return;
        isAsking = true;
        const query = new URLSearchParams({ revision: `${bench.revision}`, after: `${bench.position}` });
        const reply = await send('GET', `/jobs/${id}/standing?${query}`, 'Standing');
        isAsking = false;
        // Where there is nothing new, or the server is not reached, the page stays as it is.
        if (reply.ok && reply.data.progress) desk.takeProgress(reply.data.progress);
    }
    const timer = setInterval(() => void ask(), AGAIN_MS);
    const seen = () => void ask();
    document.addEventListener('visibilitychange', seen);
    return () => {
        clearInterval(timer);
        document.removeEventListener('visibilitychange', seen);
    };
}
