// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { LogEntry, Person } from '@/lib/answers';
import { send } from '@/lib/http';
import { openStore } from '@/lib/kept-store';
import { doneWith, isKept, uuid, type Kept } from '@/lib/log-queue/kept';
import { LogQueue } from '@/lib/log-queue/queue.svelte';

vi.mock('@/lib/http', async (original) => ({ ...(await original<object>()), send: vi.fn() }));
const sent = vi.mocked(send);

const wren: Person = { id: 1, name: 'Wren', role: 'owner', plans: true, logs: true };
const pia: Person = { id: 3, name: 'Pia', role: 'helper', plans: false, logs: true };
const bench = { job: 7, number: 'TB-0007', revision: 2, units: 'inch' as const };
const done = (step: string, note = '') => ({
    step,
    kind: 'done' as const,
    readings: {},
    note,
    title: step,
    labels: {},
});
const progress = { done: [], next: null, stepsDone: 0, jointsDone: 0, readings: {}, deviations: [], log: [] };

/** A server with a memory: it stores what it does not refuse, and what it was sent before it knows. */
class Server {
    readonly stored: LogEntry[] = [];
    isDown = false;
    refuses: (entry: LogEntry) => { field: string; reason: string } | null = () => null;

    constructor() {
        sent.mockImplementation((async (_method: string, _url: string, _name: string, body: unknown) => {
            if (this.isDown) return { ok: false, status: 0, message: 'The server cannot be reached.' };
            const results = (body as { entries: LogEntry[] }).entries.map((entry) => {
                const wrong = this.refuses(entry);
                if (wrong) return { id: entry.id, state: 'refused', ...wrong };
                const isKnown = this.stored.some((one) => one.id === entry.id);
                if (!isKnown) this.stored.push(entry);
                return { id: entry.id, state: isKnown ? 'known' : 'stored', field: null, reason: null };
            });
            return { ok: true, data: { results, progress } };
        }) as never);
    }

    get steps(): string[] {
        return this.stored.map((entry) => entry.step);
    }
}

let server: Server;

async function queueFor(person: Person, channel: BroadcastChannel | null = null): Promise<LogQueue> {
    const queue = new LogQueue(openStore('bead-log', isKept), channel);
    await queue.isFor(person);
    return queue;
}

beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
    server = new Server();
});

describe('the queue of the bench', () => {
    it('keeps entries through a reload while nothing can be sent, and then sends them in their order', async () => {
        server.isDown = true;
        const queue = await queueFor(wren);
        for (const step of ['prepare.A1', 'prepare.A2', 'weld.AJ1']) await queue.put(done(step), bench);
        await queue.flush();
        expect(queue.trouble).toContain('cannot be reached');
        expect(queue.waiting).toHaveLength(3);

        server.isDown = false;
        const again = await queueFor(wren);
        expect(server.steps).toEqual(['prepare.A1', 'prepare.A2', 'weld.AJ1']);
        expect(again.entries).toEqual([]);
        expect(again.trouble).toBe('');
    });

    it('tells what was taken before it lets go of it, so that no step is open again in between', async () => {
        const queue = await queueFor(wren);
        const kept: number[] = [];
        queue.ontaken(() => kept.push(queue.waiting.length));
        await queue.put(done('a'), bench);
        await queue.flush();
        expect(kept[0]).toBe(1);
        expect(queue.entries).toEqual([]);
    });

    it('loses nothing to one entry that is refused, and keeps that one with its reason', async () => {
        server.isDown = true;
        const queue = await queueFor(wren);
        await queue.put({ ...done('prepare.A1'), readings: { length: 'about a foot' } }, bench);
        for (let i = 2; i < 10; i++) await queue.put(done(`prepare.A${i}`), bench);
        server.isDown = false;
        server.refuses = (entry) =>
            entry.readings['length'] === 'about a foot'
                ? { field: 'readings.length', reason: '"about a foot" is not a length' }
                : null;
        await queue.flush();
        expect(server.stored).toHaveLength(8);
        expect(queue.waiting).toEqual([]);
        expect(queue.refused.map((entry) => entry.refused?.field)).toEqual(['readings.length']);

        await queue.amend(queue.refused[0]!, { readings: { length: '12 in' }, note: 'measured' });
        await queue.flush();
        expect(server.stored.at(-1)).toMatchObject({ step: 'prepare.A1', readings: { length: '12 in' } });
        expect(queue.entries).toEqual([]);
    });

    it('lets go of a refused entry only when a person discards it', async () => {
        server.refuses = () => ({ field: 'step', reason: 'no such step' });
        const queue = await queueFor(wren);
        await queue.put(done('weld.AJ9'), bench);
        await queue.flush();
        const again = await queueFor(wren);
        expect(again.refused).toHaveLength(1);
        await again.discard(again.refused[0]!);
        expect((await queueFor(wren)).entries).toEqual([]);
    });

    it('sends 204 entries in batches the server takes', async () => {
        server.isDown = true;
        const queue = await queueFor(wren);
        for (let i = 0; i < 204; i++) await queue.put(done(`step.${i}`), bench);
        server.isDown = false;
        await queue.flush();
        expect(server.steps).toEqual(Array.from({ length: 204 }, (_, i) => `step.${i}`));
        const sizes = sent.mock.calls.map(([, , , body]) => (body as { entries: unknown[] }).entries.length);
        expect(Math.max(...sizes)).toBeLessThanOrEqual(200);
    });

    it('never sends one person’s entries in another’s session, and never drops them', async () => {
        server.isDown = true;
        const queue = await queueFor(wren);
        await queue.put(done('prepare.A1'), bench);
        await queue.flush();
        server.isDown = false;
        await queue.isFor(pia);
        await queue.put(done('prepare.A2'), bench);
        await queue.flush();
        expect(server.stored.map((entry) => entry.by)).toEqual([3]);
        expect(queue.others.map((entry) => entry.maker)).toEqual(['Wren']);
        await queue.isFor(wren);
        expect(server.stored.map((entry) => entry.by)).toEqual([3, 1]);
    });

    it('keeps everything where a role may not log', async () => {
        sent.mockResolvedValue({ ok: false, status: 403, message: 'no', errors: {}, body: null });
        const queue = await queueFor(pia);
        for (const step of ['a', 'b', 'c']) await queue.put(done(step), bench);
        await queue.flush();
        expect(queue.waiting).toHaveLength(3);
        expect(queue.trouble).toBe('no');
    });

    it('does not try again by itself once a person has put the sign-in off', async () => {
        vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
        try {
            sent.mockResolvedValue({ ok: false, status: 401, message: 'out', errors: {}, body: null });
            const queue = await queueFor(wren);
            await queue.put(done('a'), bench);
            await queue.flush();
            const tries = sent.mock.calls.length;
            await vi.advanceTimersByTimeAsync(120_000);
            expect(sent.mock.calls.length).toBe(tries);
            expect(queue.waiting).toHaveLength(1);
            expect(queue.trouble).toBe('out');
        } finally {
            vi.useRealTimers();
        }
    });

    it('asks who is signed in when the server says that the session is another person’s', async () => {
        server.refuses = () => ({ field: 'by', reason: 'Made by another person' });
        const queue = await queueFor(wren);
        const stranger = vi.fn();
        queue.onstranger(stranger);
        await queue.put(done('a'), bench);
        await queue.flush();
        expect(stranger).toHaveBeenCalled();
        expect(queue.waiting).toHaveLength(1);
        expect(queue.refused).toEqual([]);
    });

    it('halves a batch that is not taken as a whole, until the one to blame stands alone', async () => {
        server.isDown = true;
        const queue = await queueFor(wren);
        for (let i = 0; i < 9; i++) await queue.put(done(i === 4 ? 'odd' : `step.${i}`), bench);
        server.isDown = false;
        const take = sent.getMockImplementation()!;
        sent.mockImplementation((async (...args: Parameters<typeof send>) => {
            const { entries } = args[3] as { entries: LogEntry[] };
            return entries.some((entry) => entry.step === 'odd')
                ? { ok: false, status: 422, message: 'no', errors: { entries: ['not this'] }, body: null }
                : take(...args);
        }) as never);
        await queue.flush();
        expect(server.stored).toHaveLength(8);
        expect(queue.refused.map((entry) => entry.refused?.reason)).toEqual(['not this']);
    });

    it('goes on with another job when one is closed to the person', async () => {
        server.isDown = true;
        const queue = await queueFor(wren);
        await queue.put(done('a'), bench);
        await queue.put(done('b'), { ...bench, job: 8 });
        server.isDown = false;
        const take = sent.getMockImplementation()!;
        sent.mockImplementation((async (...args: Parameters<typeof send>) =>
            args[1] === '/jobs/7/log'
                ? { ok: false, status: 404, message: 'no such job', errors: {}, body: null }
                : take(...args)) as never);
        await queue.flush();
        expect(server.steps).toEqual(['b']);
        expect(queue.waiting.map((entry) => entry.step)).toEqual(['a']);
        expect(queue.trouble).toBe('no such job');
    });

    it('is one queue over all tabs: both write, nothing is lost or sent twice, both hear what was taken', async () => {
        server.isDown = true;
        const name = `tabs-${Math.random()}`;
        const [one, two] = [
            await queueFor(wren, new BroadcastChannel(name)),
            await queueFor(wren, new BroadcastChannel(name)),
        ];
        const heard: number[] = [];
        one.ontaken((job) => heard.push(job));
        await Promise.all(
            Array.from({ length: 10 }, (_, i) => (i % 2 ? one : two).put(done(`step.${i}`), bench)),
        );
        server.isDown = false;
        await Promise.all([one.flush(), two.flush()]);
        expect([...server.steps].sort()).toEqual(Array.from({ length: 10 }, (_, i) => `step.${i}`));
        await vi.waitFor(() => expect(heard.length).toBeGreaterThan(0));
        await vi.waitFor(() => expect(one.entries).toEqual([]));
        await vi.waitFor(() => expect(two.entries).toEqual([]));
    });

    it('tells a page that stands later than the answer came', async () => {
        server.isDown = true;
        const before = await queueFor(wren);
        await before.put(done('a'), bench);
        await before.flush();
        server.isDown = false;
        const queue = await queueFor(wren);
        const heard: number[] = [];
        queue.ontaken((job) => heard.push(job));
        expect(heard).toEqual([7]);
        queue.ontaken((job) => heard.push(job));
        expect(heard).toEqual([7]);
    });

    it('lasts as long as the page where the browser has no store, and says so', async () => {
        globalThis.indexedDB = { open: () => { throw new Error('closed'); } } as never; // prettier-ignore
        server.isDown = true;
        const queue = await queueFor(wren);
        await queue.put(done('a'), bench);
        expect(queue.lasts).toBe(false);
        server.isDown = false;
        await queue.flush();
        expect(server.steps).toEqual(['a']);
    });
});

describe('what is found in the store', () => {
    it('is passed over where it is no entry', async () => {
        const store = await openStore('bead-log', isKept);
        await store.add(null as never).catch(() => {});
        for (const junk of [{ a: 1 }, [null], { id: 3, step: 'x' }]) await store.add(junk as never);
        expect(await store.all()).toEqual([]);
        for (const junk of [null, 'x', 7, [], [null], {}]) expect(isKept(junk)).toBe(false);
        const queue = await queueFor(wren);
        await queue.put(done('a'), bench);
        await queue.flush();
        expect(server.steps).toEqual(['a']);
    });
});

it('gives every entry an id of its own', () => {
    const ids = Array.from({ length: 50 }, uuid);
    expect(new Set(ids).size).toBe(50);
    for (const id of ids)
        expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});

it('lays what waits over what the server knows, and nothing that was refused', () => {
    const entry = (step: string, change: Partial<Kept> = {}) =>
        ({ ...done(step), refused: null, ...change }) as Kept;
    const waiting = [
        entry('b'),
        entry('a', { kind: 'reopen' }),
        entry('c', { kind: 'note' }),
        entry('d', { refused: { field: 'at', reason: 'too far' } }),
    ];
    expect([...doneWith(['a'], waiting)]).toEqual(['b']);
});
