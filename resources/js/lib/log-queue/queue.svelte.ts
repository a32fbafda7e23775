import type { Logged, Person, Progress, Units } from '@/lib/answers';
import { said, send } from '@/lib/http';
import type { Store } from '@/lib/kept-store';
import { Sender } from '@/lib/sender';
import { isKept, timeNow, toEntry, uuid, type Draft, type Kept } from './kept';

const BATCH = 100;

/** The job an entry is about, as its bench has it. */
export type Bench = { job: number; number: string; revision: number; units: Units };

type News = { taken?: { job: number; progress: Progress } };

/**
 * Entries of the bench on their way: kept on this device until the server has answered each of them, sent in order by
 * the session of whoever made them, from whatever page is open. What the server refuses stays until a person decides.
 */
export class LogQueue {
    /** Everything on this device, whoever made it, in the order it was made. */
    entries = $state.raw<Kept[]>([]);
    person = $state.raw<Person | null>(null);
    /** Why nothing goes out now. */
    trouble = $state('');
    /** False where entries last only as long as this page. */
    lasts = $state(true);

    readonly mine = $derived(this.entries.filter((entry) => entry.by === this.person?.id));
    /** What came back with entries that were taken, until somebody has seen it. */
    told = $state<string[]>([]);

    readonly waiting = $derived(this.mine.filter((entry) => !entry.refused));
    readonly refused = $derived(this.mine.filter((entry) => entry.refused));
    readonly others = $derived(this.entries.filter((entry) => entry.by !== this.person?.id));

    /** What the store would not take: it is sent all the same. */
    #loose: Kept[] = [];
    #most = BATCH;
    readonly #sender = new Sender('bead-log-sender', () => this.#sendAll());
    #listeners: ((job: number, progress: Progress) => void)[] = [];
    /** What came while nobody listened: a page begins to send before it stands. */
    #unheard: [number, Progress][] = [];
    #strangers: () => void = () => {};

    constructor(
        private readonly store: Promise<Store<Kept>>,
        private readonly channel: BroadcastChannel | null = null,
    ) {
        channel?.addEventListener('message', (event: MessageEvent<News>) => void this.#heard(event.data));
    }

    /** Whose session this is now; their entries begin to go out. */
    async isFor(person: Person | null): Promise<void> {
        this.person = person;
        this.trouble = '';
        await this.#reload();
        await this.flush();
    }

    async put(draft: Draft, bench: Bench): Promise<void> {
        if (!this.person) return;
        await this.#add({
            ...draft,
            readings: { ...draft.readings },
            labels: { ...draft.labels },
            id: uuid(),
            at: timeNow(),
            by: this.person.id,
            maker: this.person.name,
            job: bench.job,
            number: bench.number,
            revision: bench.revision,
            units: bench.units,
            refused: null,
        });
        void this.flush();
    }

    /** Sends a refused entry again, as put right. */
    async amend(
        entry: Kept,
        said: Partial<Pick<Kept, 'readings' | 'note' | 'why' | 'points' | 'inspected' | 'traces'>>,
    ): Promise<void> {
        const field = entry.refused?.field;
        const now = field === 'at' ? timeNow() : entry.at;
        const right = { ...entry, ...said, at: now, refused: null };
        if (field === 'id') {
            await this.#add({ ...right, id: uuid() });
            await this.#remove([entry.id]);
        } else await this.#change(right);
        void this.flush();
    }

    discard(entry: Kept): Promise<void> {
        return this.#remove([entry.id]);
    }

    /** Takes up entries that an earlier version of this page kept in its own way. */
    async adopt(found: unknown[], job: number): Promise<void> {
        for (const value of found) {
            const entry = {
                ...(value as Partial<Kept>),
                title: (value as Partial<Kept> | null)?.step ?? '',
                labels: {},
                ...{
                    job,
                    number: '',
                    revision: 0,
                    units: 'inch',
                    by: this.person?.id,
                    maker: this.person?.name,
                },
                refused: {
                    field: 'by',
                    reason: 'Kept by an earlier version of this page. Log it again by hand.',
                },
            };
            if (isKept(entry)) await this.#add(entry);
        }
    }

    /** Tells of a job's progress when entries of it were taken, in this tab or another. */
    ontaken(listener: (job: number, progress: Progress) => void): () => void {
        this.#listeners.push(listener);
        const missed = this.#unheard;
        this.#unheard = [];
        for (const [job, progress] of missed) listener(job, progress);
        return () => (this.#listeners = this.#listeners.filter((one) => one !== listener));
    }

    /** What to do when the server knows another person here than this page does. */
    onstranger(act: () => void): void {
        this.#strangers = act;
    }

    /** Sends what waits; done when there is nothing more to send, or no way to. */
    flush(): Promise<void> {
        return this.#sender.start();
    }

    async #sendAll(): Promise<void> {
        const closed: Record<number, string> = {};
        for (;;) {
            await this.#reload();
            const open = this.waiting.filter((entry) => closed[entry.job] === undefined);
            const batch = open.filter((entry) => entry.job === open[0]?.job).slice(0, this.#most);
            const job = batch[0]?.job;
            if (job === undefined) {
                this.trouble = Object.values(closed)[0] ?? '';
                return;
            }
            const reply = await send('POST', `/jobs/${job}/log`, 'Logged', { entries: batch.map(toEntry) });
            if (reply.ok) {
                this.#sender.succeeded();
                this.#most = BATCH;
                if (!(await this.#answered(batch, job, reply.data))) return;
            } else if (reply.status === 422 || reply.status === 413) {
                // As a whole it is not taken: halved until the one that is to blame stands alone.
                if (batch.length > 1) this.#most = Math.ceil(batch.length / 2);
                else await this.#change({ ...batch[0]!, refused: { field: '', reason: said(reply) } });
            } else if (reply.status === 403 || reply.status === 404) {
                closed[job] = reply.message;
            } else {
                this.trouble = reply.message;
                // Who put the sign-in off is not asked again every few seconds.
                if (reply.status !== 401 && reply.status !== 419) this.#sender.later();
                return;
            }
        }
    }

    /** Deals with each answer; false where the session is another person's. */
    async #answered(batch: Kept[], job: number, { results, progress }: Logged): Promise<boolean> {
        const taken: string[] = [];
        let isOurs = true;
        for (const entry of batch) {
            const answer = results.find((one) => one.id === entry.id);
            if (answer?.field === 'by') {
                isOurs = false;
                this.trouble = answer.reason ?? '';
            } else if (answer?.state === 'stored' || answer?.state === 'known') {
                taken.push(entry.id);
                if (answer.reason) this.told = [...this.told, answer.reason];
            } else
                await this.#change({
                    ...entry,
                    refused: {
                        field: answer?.field ?? '',
                        reason: answer?.reason ?? 'The server did not answer for this entry.',
                    },
                });
        }
        // Told first: a step that neither waits nor is done would be open again for a moment, and its card with it.
        this.#tell(job, progress);
        this.channel?.postMessage({ taken: { job, progress } } satisfies News);
        await this.#remove(taken);
        if (!isOurs) this.#strangers();
        return isOurs;
    }

    #tell(job: number, progress: Progress): void {
        if (this.#listeners.length === 0) this.#unheard.push([job, progress]);
        for (const listener of this.#listeners) listener(job, progress);
    }

    async #heard({ taken }: News): Promise<void> {
        if (taken) this.#tell(taken.job, taken.progress);
        await this.#reload();
    }

    async #add(entry: Kept): Promise<void> {
        try {
            await (await this.store).add(entry);
        } catch {
            this.#loose.push(entry);
        }
        await this.#changed();
    }

    async #change(entry: Kept): Promise<void> {
        this.#loose = this.#loose.map((one) => (one.id === entry.id ? entry : one));
        await (await this.store).change(entry).catch(() => {});
        await this.#changed();
    }

    async #remove(ids: string[]): Promise<void> {
        this.#loose = this.#loose.filter((one) => !ids.includes(one.id));
        // One that stays by a failure of the store is sent again; the server knows it then.
        await (await this.store).remove(ids).catch(() => {});
        await this.#changed();
    }

    async #changed(): Promise<void> {
        await this.#reload();
        this.channel?.postMessage({} satisfies News);
    }

    async #reload(): Promise<void> {
        const store = await this.store;
        this.entries = [...(await store.all().catch(() => [])), ...this.#loose];
        this.lasts = store.lasts && this.#loose.length === 0;
    }
}
