// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Person } from '@/lib/answers';
import { send } from '@/lib/http';
import { openStore } from '@/lib/kept-store';
import { isKeptPhoto, PhotoQueue } from '@/lib/photo-queue.svelte';

vi.mock('@/lib/http', async (original) => ({ ...(await original<object>()), send: vi.fn() }));

const wren: Person = { id: 1, name: 'Wren', role: 'owner', plans: true, logs: true };
const pia: Person = { id: 3, name: 'Pia', role: 'helper', plans: false, logs: true };

/** What the server has, by id; it knows one again that it has. */
let stored: Map<string, { url: string; step: string; bytes: string }>;
let isDown = false;
/** Whether the answer is lost on its way. */
let isDeaf = false;
let refusal: { field: string; reason: string } | null = null;

beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
    stored = new Map();
    [isDown, isDeaf, refusal] = [false, false, null];
    vi.mocked(send).mockImplementation((async (
        _method: string,
        url: string,
        _name: string,
        form: FormData,
    ) => {
        const lost = { ok: false, status: 0, message: 'The server cannot be reached.' };
        if (isDown) return lost;
        if (refusal)
            return {
                ok: false,
                status: 422,
                message: 'no',
                errors: { [refusal.field]: [refusal.reason] },
                body: null,
            };
        const bytes = await (form.get('file') as Blob).text();
        stored.set(`${form.get('id')}`, { url, step: `${form.get('step')}`, bytes });
        return isDeaf ? lost : { ok: true, data: { photos: [] } };
    }) as never);
});

async function queueFor(person: Person): Promise<PhotoQueue> {
    const queue = new PhotoQueue(openStore('bead-photos', isKeptPhoto));
    await queue.isFor(person);
    return queue;
}

const picture = (text: string) => new Blob([text], { type: 'image/jpeg' });
const there = () => [...stored.values()].map(({ url, step, bytes }) => `${url} ${step} ${bytes}`);

describe('a photo', () => {
    it('is sent and then kept here no longer', async () => {
        const queue = await queueFor(wren);
        const heard: number[] = [];
        queue.ontaken((job) => heard.push(job));
        await queue.put(7, 'weld.AJ1', picture('a'));
        await queue.flush();
        expect(there()).toEqual(['/jobs/7/photos weld.AJ1 a']);
        expect([queue.entries.length, heard]).toEqual([0, [7]]);
    });

    it('waits through a closed page until there is a network, in the order it was taken', async () => {
        isDown = true;
        const before = await queueFor(wren);
        await before.put(7, 'weld.AJ1', picture('a'));
        await before.put(8, 'weld.BJ1', picture('b'));
        expect(before.waiting).toHaveLength(2);
        isDown = false;
        await queueFor(wren);
        expect(there()).toEqual(['/jobs/7/photos weld.AJ1 a', '/jobs/8/photos weld.BJ1 b']);
    });

    it('has the same id when its answer was lost, so that it is there once', async () => {
        isDeaf = true;
        const queue = await queueFor(wren);
        await queue.put(7, 'weld.AJ1', picture('a'));
        await queue.flush();
        isDeaf = false;
        await queue.flush();
        expect(stored.size).toBe(1);
        expect(queue.entries).toEqual([]);
    });

    it('waits for whoever took it', async () => {
        isDown = true;
        const queue = await queueFor(wren);
        await queue.put(7, 'weld.AJ1', picture('a'));
        isDown = false;
        await queue.isFor(pia);
        expect([stored.size, queue.mine.length, queue.entries.length]).toEqual([0, 0, 1]);
        await queue.isFor(wren);
        expect(stored.size).toBe(1);
    });

    it('stays with its reason where it is refused, lets others past, and goes when it is discarded', async () => {
        const queue = await queueFor(wren);
        refusal = { field: 'file', reason: 'This is no photo.' };
        await queue.put(7, 'weld.AJ1', picture('a'));
        await queue.flush();
        refusal = null;
        await queue.put(7, 'weld.AJ2', picture('b'));
        await queue.flush();
        expect(there()).toEqual(['/jobs/7/photos weld.AJ2 b']);
        expect(queue.mine.map((photo) => photo.refused)).toEqual(['This is no photo.']);
        await queue.discard(queue.mine[0]!);
        expect(queue.entries).toEqual([]);
    });

    it('is not refused for good where somebody else is signed in by now', async () => {
        const queue = await queueFor(wren);
        const strangers = vi.fn();
        queue.onstranger(strangers);
        refusal = { field: 'by', reason: 'This photo is somebody else’s.' };
        await queue.put(7, 'weld.AJ1', picture('a'));
        await queue.flush();
        expect(strangers).toHaveBeenCalled();
        expect(queue.waiting).toHaveLength(1);
    });

    it('is sent even where the browser keeps nothing', async () => {
        globalThis.indexedDB = { open: () => { throw new Error('closed'); } } as never; // prettier-ignore
        const queue = await queueFor(wren);
        await queue.put(7, 'weld.AJ1', picture('a'));
        await queue.flush();
        expect(stored.size).toBe(1);
    });
});
