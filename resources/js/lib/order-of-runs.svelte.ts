import type { Insertion } from './answers';
import { AGAIN_MS } from './in-turn';
import type { JobDesk } from './job-desk.svelte';

/** In which order whole runs go in, asked for when edits have settled, as it takes longer than a plan. */
export class OrderOfRuns {
    insertion = $state.raw<Insertion | null>(null);
    /** Why it is not known. */
    said = $state('');

    /** Asks for the order of the runs as they stand after a while; what it gives back calls that off. */
    ask(desk: JobDesk, afterMs: number, withStubs = false): () => void {
        const plan = desk.plan;
        let timer: ReturnType<typeof setTimeout>;
        let isOff = false;
        const after = (ms: number) => {
            timer = setTimeout(async () => {
                const reply = await desk.insertion(withStubs);
                if (isOff || plan !== desk.plan) return;
                if (!reply.ok && reply.status === 429) return after(AGAIN_MS);
                this.insertion = reply.ok ? reply.data.insertion : null;
                this.said = reply.ok ? '' : reply.message;
            }, ms);
        };
        after(afterMs);
        return () => {
            isOff = true;
            clearTimeout(timer);
        };
    }

    forget(): void {
        this.insertion = null;
        this.said = '';
    }
}
