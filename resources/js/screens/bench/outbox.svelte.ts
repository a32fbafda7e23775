import { send } from '@/lib/http';
import type { LogBatch, LogEntry, Progress, Units } from '@/lib/answers';
import { stamped, type Draft } from './entry';

const RETRY_MS = 5000;

/** Entries on their way: kept on this device until the server has them, sent in order, tried again until taken. */
export class Outbox {
    waiting = $state.raw<LogEntry[]>([]);
    refused = $state('');

    readonly #key: string;
    #busy = false;
    #timer: ReturnType<typeof setTimeout> | undefined;

    constructor(
        private readonly jobId: number,
        private readonly units: Units,
        private readonly ontaken: (progress: Progress) => void,
    ) {
        this.#key = `bead-outbox-${jobId}`;
        try {
            this.waiting = JSON.parse(localStorage.getItem(this.#key) ?? '[]') as LogEntry[];
        } catch {
            this.waiting = [];
        }
        void this.flush();
    }

    put(entry: Draft): void {
        this.refused = '';
        this.#keep([...this.waiting, stamped(entry)]);
        void this.flush();
    }

    close(): void {
        clearTimeout(this.#timer);
    }

    async flush(): Promise<void> {
        if (this.#busy || this.waiting.length === 0) return;
        this.#busy = true;
        clearTimeout(this.#timer);
        const batch = this.waiting;
        const reply = await send('POST', `/jobs/${this.jobId}/log`, 'Progress', {
            units: this.units,
            entries: batch,
        } satisfies LogBatch);
        this.#busy = false;
        if (reply.ok) {
            this.#keep(this.waiting.filter((entry) => !batch.includes(entry)));
            this.ontaken(reply.data);
        } else if (reply.status === 422) {
            // The last entry is the one a person just made; it is handed back to be put right.
            const messages = 'errors' in reply ? Object.values(reply.errors).flat() : [];
            this.refused = messages[0] ?? reply.message;
            this.#keep(this.waiting.filter((entry) => entry !== batch.at(-1)));
        } else if (reply.status === 403) {
            this.refused = reply.message;
            this.#keep([]);
        }
        if (this.waiting.length > 0)
            this.#timer = setTimeout(() => void this.flush(), reply.ok ? 0 : RETRY_MS);
    }

    #keep(entries: LogEntry[]): void {
        this.waiting = entries;
        try {
            localStorage.setItem(this.#key, JSON.stringify(entries));
        } catch {
            // Without storage the entries last as long as the page; they are sent as soon as they can be.
        }
    }
}
