import { beforeEach, describe, expect, it, vi } from 'vitest';
import { send } from '@/lib/http';
import { doneWith, stamped } from '@/screens/bench/entry';
import { Outbox } from '@/screens/bench/outbox.svelte';

vi.mock('@/lib/http', () => ({ send: vi.fn() }));
const sent = vi.mocked(send);
const done = (step: string) => ({ step, kind: 'done' as const, readings: {}, note: '' });

beforeEach(() => {
    localStorage.clear();
    sent.mockReset();
});

describe('the outbox of the bench', () => {
    it('keeps entries on the device until the server has them, in their order', async () => {
        sent.mockResolvedValue({ ok: false, status: 0, message: 'no server' });
        const box = new Outbox(7, 'inch', () => {});
        box.put(done('prepare.A1'));
        box.put(done('prepare.A2'));
        await vi.waitFor(() => expect(sent).toHaveBeenCalled());
        box.close();
        const again = new Outbox(7, 'inch', () => {});
        expect(again.waiting.map((entry) => entry.step)).toEqual(['prepare.A1', 'prepare.A2']);
        const taken = vi.fn();
        sent.mockResolvedValue({ ok: true, data: { next: null } as never });
        const third = new Outbox(7, 'inch', taken);
        await vi.waitFor(() => expect(taken).toHaveBeenCalled());
        expect(third.waiting).toEqual([]);
        expect(localStorage.getItem('bead-outbox-7')).toBe('[]');
        again.close();
        third.close();
    });

    it('hands a reading that the server refuses back, with the reason', async () => {
        sent.mockResolvedValue({
            ok: false,
            status: 422,
            message: 'no',
            errors: { x: ['"warm" is not a current'] },
            body: null,
        });
        const box = new Outbox(7, 'inch', () => {});
        box.put(done('weld.AJ1'));
        await vi.waitFor(() => expect(box.refused).toBe('"warm" is not a current'));
        expect(box.waiting).toEqual([]);
        box.close();
    });
});

it('gives every entry an id of its own and its time', () => {
    const ids = Array.from({ length: 50 }, () => stamped(done('x')).id);
    expect(new Set(ids).size).toBe(50);
    for (const id of ids)
        expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(Number.isNaN(Date.parse(stamped(done('x')).at))).toBe(false);
});

it('lays what waits over what the server knows', () => {
    const waiting = [
        stamped(done('b')),
        stamped({ ...done('a'), kind: 'reopen' }),
        stamped({ ...done('c'), kind: 'note' }),
    ];
    expect([...doneWith(['a'], waiting)]).toEqual(['b']);
});
