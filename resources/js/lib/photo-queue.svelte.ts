// Photos on their way to the server, kept on this device until it has them.
import type { Person, Photos } from './answers';
import { said, send } from './http';
import { openStore, type Store } from './kept-store';
import { uuid } from './log-queue/kept';
import { Sender } from './sender';

export type KeptPhoto = {
    /** Made here, so that sending it twice makes one photo. */
    id: string;
    place?: number;
    job: number;
    step: string;
    by: number;
    jpeg: ArrayBuffer;
    /** Why the server did not take it; it waits until its maker discards it. */
    refused: string;
};

export function isKeptPhoto(found: unknown): found is KeptPhoto {
    if (typeof found !== 'object' || found === null) return false;
    const one = found as Partial<KeptPhoto>;
    return (
        typeof one.id === 'string' &&
        typeof one.step === 'string' &&
        typeof one.refused === 'string' &&
        Number.isInteger(one.job) &&
        Number.isInteger(one.by) &&
        one.jpeg instanceof ArrayBuffer
    );
}

/** Sent in order by the session of whoever took them, from whatever page is open. */
export class PhotoQueue {
    entries = $state.raw<KeptPhoto[]>([]);
    person = $state.raw<Person | null>(null);
    readonly mine = $derived(this.entries.filter((photo) => photo.by === this.person?.id));
    readonly waiting = $derived(this.mine.filter((photo) => photo.refused === ''));

    /** What the store would not take: it is sent all the same. */
    #loose: KeptPhoto[] = [];
    readonly #sender = new Sender('bead-photo-sender', () => this.#sendAll());
    #strangers: () => void = () => {};
    #listeners: ((job: number, photos: Photos['photos']) => void)[] = [];

    constructor(private readonly store: Promise<Store<KeptPhoto>>) {}

    async isFor(person: Person | null): Promise<void> {
        this.person = person;
        await this.#reload();
        await this.flush();
    }

    async put(job: number, step: string, jpeg: Blob): Promise<void> {
        if (!this.person) return;
        const photo = {
            id: uuid(),
            job,
            step,
            by: this.person.id,
            jpeg: await jpeg.arrayBuffer(),
            refused: '',
        };
        await (await this.store).add(photo).catch(() => this.#loose.push(photo));
        await this.#reload();
        void this.flush();
    }

    async discard(photo: KeptPhoto): Promise<void> {
        this.#loose = this.#loose.filter((one) => one.id !== photo.id);
        // One that stays by a failure of the store is sent again; the server knows it then.
        await (await this.store).remove([photo.id]).catch(() => {});
        await this.#reload();
    }

    flush(): Promise<void> {
        return this.#sender.start();
    }

    /** Tells of a job's photos when one of them was taken. */
    ontaken(listener: (job: number, photos: Photos['photos']) => void): () => void {
        this.#listeners.push(listener);
        return () => (this.#listeners = this.#listeners.filter((one) => one !== listener));
    }

    /** What to do when the server knows another person here than this page does. */
    onstranger(act: () => void): void {
        this.#strangers = act;
    }

    async #sendAll(): Promise<void> {
        await this.#reload();
        for (let photo = this.waiting[0]; photo; photo = this.waiting[0]) {
            const form = new FormData();
            form.append('file', new Blob([photo.jpeg], { type: 'image/jpeg' }), 'photo.jpg');
            for (const field of ['id', 'step'] as const) form.append(field, photo[field]);
            form.append('by', `${photo.by}`);
            const reply = await send('POST', `/jobs/${photo.job}/photos`, 'Photos', form);
            if (reply.ok) {
                this.#sender.succeeded();
                for (const listener of this.#listeners) listener(photo.job, reply.data.photos);
                await this.discard(photo);
            } else if ('errors' in reply && reply.errors['by']) {
                return this.#strangers();
            } else if ([403, 404, 413, 422].includes(reply.status)) {
                await this.#refuse({ ...photo, refused: said(reply) });
            } else {
                // Who put the sign-in off is not asked again every few seconds.
                if (reply.status !== 401 && reply.status !== 419) this.#sender.later();
                return;
            }
        }
    }

    async #refuse(photo: KeptPhoto): Promise<void> {
        this.#loose = this.#loose.map((one) => (one.id === photo.id ? photo : one));
        await (await this.store).change(photo).catch(() => {});
        await this.#reload();
    }

    async #reload(): Promise<void> {
        this.entries = [...(await (await this.store).all().catch(() => [])), ...this.#loose];
    }
}

export const photoQueue = new PhotoQueue(openStore('bead-photos', isKeptPhoto));
