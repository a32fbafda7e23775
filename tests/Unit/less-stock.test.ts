import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { LessStock } from '@/lib/answers';
import type { Reply } from '@/lib/http';
import { JobDesk } from '@/lib/job-desk.svelte';
import { hasChosenCuts, lookForLess, workOutCuts } from '@/lib/less-stock';
import { someDocument, someView } from './some-view';

vi.mock('@/lib/http', async (original) => ({ ...(await original<object>()), send: vi.fn() }));
const { send } = await import('@/lib/http');
const sent = vi.mocked(send);

const offer: LessStock = {
    now: { joints: 3, bends: 4, bars: 1, toBuy: 4, cost: 100 },
    found: { joints: 3, bends: 3, bars: 1, toBuy: 3, cost: 80 },
    document: null,
};

describe('cuts that take less', () => {
    beforeEach(() => sent.mockReset());

    it('are looked for in the document as it is on the desk', async () => {
        const desk = new JobDesk(someView());
        sent.mockResolvedValue({ ok: true, data: offer } as Reply<never>);
        expect(await lookForLess(desk)).toEqual(offer);
        expect(sent).toHaveBeenCalledWith('POST', `/jobs/${desk.view.id}/cuts/least`, 'LessStock', {
            document: desk.document,
        });
    });

    it('say why there are none', async () => {
        sent.mockResolvedValue({ ok: false, status: 500, message: 'Not reachable.', errors: {} } as never);
        expect(await lookForLess(new JobDesk(someView()))).toBe('Not reachable.');
    });

    it('are known as chosen, and put away again for every run', async () => {
        const document = someDocument();
        const desk = new JobDesk(someView());
        expect(hasChosenCuts(desk)).toBe(false);
        desk.document = {
            ...document,
            runs: document.runs.map((run) => ({
                ...run,
                route: { bends: [], endStraight: 300, cuts: { joints: [100] } },
            })),
        };
        expect(hasChosenCuts(desk)).toBe(true);
        sent.mockResolvedValue({ ok: false, status: 0, message: '', errors: {} } as never);
        await workOutCuts(desk);
        expect(hasChosenCuts(desk)).toBe(false);
        expect(desk.document.runs[0]?.route?.endStraight).toBe(300);
    });
});
