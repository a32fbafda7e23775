// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { DesignDocument, FoundDesign, RouteDocument, RouteSearch } from '@/lib/answers';
import {
    compareDesigns,
    designOf,
    dropDesign,
    keepDesign,
    keptAs,
    readRoutes,
    renameDesign,
    takeDesign,
} from '@/lib/designs';
import type { Reply } from '@/lib/http';
import { JobDesk } from '@/lib/job-desk.svelte';
import { lookAtSearch, putAwaySearch, searchSet, stopSearch } from '@/lib/searches';
import { someDocument, somePlan, someView } from './some-view';

vi.mock('@/lib/http', async (original) => ({ ...(await original<object>()), send: vi.fn() }));
const { send } = await import('@/lib/http');
const sent = vi.mocked(send);

const route = (bends: number): RouteDocument => ({
    bends: Array.from({ length: bends }, () => ({ straight: 10, rotation: 0, angle: 45, clr: 50 })),
    endStraight: 20,
});
const design = (name = 'First', bends = [2, 3]): DesignDocument => ({
    name,
    note: '',
    runs: bends.map((count, i) => ({
        letter: 'AB'[i] ?? 'A',
        at: [1, 2, 3],
        direction: [1, 0, 0],
        route: route(count),
    })),
});
const search = (id: number): RouteSearch => ({
    id,
    state: 'queued',
    designs: [],
    message: '',
    isStale: false,
});

/** Takes every save; answers the rest with what is given. */
function answers(other: unknown = null): void {
    sent.mockImplementation(async (method, _url, _expects, body) => ({
        ok: true,
        data: (method === 'PUT'
            ? {
                  revision: { number: 1, status: 'draft', version: 4, releasedAt: null },
                  document: (body as { document: unknown }).document,
                  plan: somePlan(),
                  units: 'metric',
                  next: { stage: 'route', group: '', text: '' },
              }
            : other) as never,
    }));
}

const refused: Reply<never> = {
    ok: false,
    status: 422,
    message: 'no',
    errors: { text: ['line 3 is odd'] },
    body: null,
};
const names = (desk: JobDesk) => (desk.document.set.designs ?? []).map((one) => one.name);

beforeEach(() => {
    localStorage.clear();
    sent.mockReset();
});

describe('designs kept in the job', () => {
    it('are named by their bends, each name once', async () => {
        answers();
        const desk = new JobDesk(someView(), 'Wren');
        expect(keptAs(design()).name).toBe('2 + 3 bends');
        await keepDesign(desk, keptAs(design()));
        await keepDesign(desk, keptAs(design()));
        await keepDesign(desk, keptAs(design()));
        expect(names(desk)).toEqual(['2 + 3 bends', '2 + 3 bends 2', '2 + 3 bends 3']);
    });

    it('are renamed, but not to nothing, and dropped by name', async () => {
        answers();
        const desk = new JobDesk(
            someView({
                document: someDocument({
                    set: {
                        collectors: [],
                        keepOuts: [],
                        lengths: [],
                        designs: [design('One'), design('Two')],
                    },
                }),
            }),
            'Wren',
        );
        await renameDesign(desk, 'One', '  Low  ');
        await renameDesign(desk, 'Two', '   ');
        expect(names(desk)).toEqual(['Low', 'Two']);
        await dropDesign(desk, 'Low');
        expect(names(desk)).toEqual(['Two']);
    });

    it('are made of a found design by its runs, routes and ends alone', () => {
        const found = {
            runs: [
                {
                    letter: 'A',
                    inlet: 'B',
                    at: [1, 2, 3],
                    direction: [0, 1, 0],
                    bends: 2,
                    run: {},
                    route: route(2),
                },
            ],
        } as unknown as FoundDesign;
        expect(designOf(found, 'Mine')).toEqual({
            name: 'Mine',
            note: '',
            runs: [{ letter: 'A', at: [1, 2, 3], direction: [0, 1, 0], route: route(2) }],
        });
    });

    it('are taken by what the core makes of the document', async () => {
        const taken = someDocument({ overrides: [{ figure: 'x', value: '1', why: '' }] });
        answers({ document: taken });
        const desk = new JobDesk(someView(), 'Wren');
        await takeDesign(desk, design());
        expect(desk.document.overrides).toEqual(taken.overrides);
        sent.mockResolvedValue(refused);
        await takeDesign(desk, design());
        expect(desk.failure).toBe('no');
    });

    it('are compared and read from elsewhere, or the first thing wrong is said', async () => {
        answers({ designs: [], rows: [] });
        const desk = new JobDesk(someView(), 'Wren');
        expect(await compareDesigns(desk, [design()], true)).toEqual({ designs: [], rows: [] });
        sent.mockResolvedValue(refused);
        expect(await readRoutes(desk, 'A;1')).toBe('line 3 is odd');
        expect(await compareDesigns(desk, [design()], true)).toBe('no');
    });
});

describe('searches for designs', () => {
    it('are remembered on the desk until they are put away', async () => {
        answers(search(12));
        const desk = new JobDesk(someView(), 'Wren');
        expect((await searchSet(desk))?.id).toBe(12);
        expect(desk.view.search).toBe(12);
        await putAwaySearch(desk, 12);
        expect(desk.view.search).toBeNull();
        expect(sent.mock.calls.map(([method, url]) => `${method} ${url}`)).toEqual([
            'POST /jobs/7/searches',
            'POST /jobs/7/searches/12/put-away',
        ]);
    });

    it('wait for edits on their way, so that they look for what is on the desk', async () => {
        answers(search(3));
        const desk = new JobDesk(someView(), 'Wren');
        void desk.edit((document) => (document.job.note = 'moved'));
        await searchSet(desk, 2);
        expect(sent.mock.calls.map(([method]) => method)).toEqual(['PUT', 'POST']);
        expect(sent.mock.calls[1]?.[3]).toMatchObject({ after: 2, document: { job: { note: 'moved' } } });
    });

    it('say why they cannot be had', async () => {
        sent.mockResolvedValue({ ok: false, status: 0, message: 'The server cannot be reached.' });
        const desk = new JobDesk(someView(), 'Wren');
        expect(await lookAtSearch(desk, 1)).toBeNull();
        expect(await stopSearch(desk, 1)).toBeNull();
        expect(desk.failure).toBe('The server cannot be reached.');
    });
});
