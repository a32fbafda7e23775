// What is done at the saw, kept beside the plan: loaded when the draft was saved, changed by ticking pieces off.
import type { Cutting } from './answers';
import { said, send } from './http';
import type { JobDesk } from './job-desk.svelte';

export class CuttingDesk {
    state = $state.raw<Cutting | null>(null);
    failure = $state('');
    /** What is wrong with the piece or the length that was sent; asked where a reason lets it pass. */
    refused = $state.raw<{ mark: string; lines: string[]; isAsked: boolean } | null>(null);
    busy = $state(false);

    readonly #desk: JobDesk;
    #asked = 0;

    constructor(desk: JobDesk) {
        this.#desk = desk;
    }

    async load(): Promise<void> {
        const turn = ++this.#asked;
        const reply = await send('GET', this.#url('cutting'), 'Cutting');
        if (turn !== this.#asked) return;
        this.failure = reply.ok ? '' : reply.message;
        if (reply.ok) this.state = reply.data;
    }

    /** Ticks a piece off, with its length if it was measured, or takes that back. True if it was taken. */
    async tick(mark: string, length: string, undo = false, why = ''): Promise<boolean> {
        if (this.busy) return false;
        this.busy = true;
        const turn = ++this.#asked;
        const reply = await send('POST', this.#url('cutting'), 'Cutting', {
            id: crypto.randomUUID(),
            mark,
            length,
            units: this.#desk.view.units,
            undo,
            why,
        });
        this.busy = false;
        const asked = !reply.ok && 'errors' in reply ? reply.errors['why'] : undefined;
        this.refused = reply.ok
            ? null
            : { mark, lines: asked ?? [said(reply)], isAsked: asked !== undefined };
        if (reply.ok && turn === this.#asked) this.state = reply.data;
        return reply.ok;
    }

    async promise(): Promise<void> {
        this.busy = true;
        const reply = await send('POST', this.#url('promises'), 'Cutting', {});
        this.busy = false;
        this.failure = reply.ok ? '' : said(reply);
        if (reply.ok) this.state = reply.data;
    }

    #url = (name: string): string => `/jobs/${this.#desk.view.id}/${name}`;
}
