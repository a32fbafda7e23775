// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { send } from '@/lib/http';
import { JobDesk } from '@/lib/job-desk.svelte';
import type { JobDocument } from '@/lib/answers';
import { findUnsaved, keepUnsaved } from '@/lib/unsaved';
import { someDocument, somePlan, someView } from './some-view';

vi.mock('@/lib/http', () => ({ send: vi.fn() }));
const sent = vi.mocked(send);

/** A server that takes every save, one version after the other. */
function takes(): void {
    let version = 3;
    sent.mockImplementation(async (_method, _url, _expects, body) => ({
        ok: true,
        data: {
            revision: { number: 1, status: 'draft', version: ++version, releasedAt: null },
            document: (body as { document: JobDocument }).document,
            plan: somePlan(),
            units: 'metric',
            next: { stage: 'route', group: '', text: '' },
        } as never,
    }));
}

function refuses(errors: Record<string, string[]>): void {
    sent.mockResolvedValue({ ok: false, status: 422, message: 'no', errors, body: null });
}

const unreachable = { ok: false, status: 0, message: 'The server cannot be reached.' } as const;
const note = (desk: JobDesk, text: string) => desk.edit((document) => (document.job.note = text));
const saves = () => sent.mock.calls.filter(([method]) => method === 'PUT');

beforeEach(() => {
    localStorage.clear();
    sent.mockReset();
});

describe('saving', () => {
    it('says at all times what is true of the draft', async () => {
        const desk = new JobDesk(someView(), 'Wren');
        expect(desk.saveState).toBe('saved');
        takes();
        const saving = note(desk, 'a');
        expect(desk.saveState).toBe('saving');
        await saving;
        expect(desk.saveState).toBe('saved');
        refuses({ 'job.note': ['too long'] });
        await note(desk, 'b');
        expect(desk.saveState).toBe('refused');
        expect(desk.unsaved).toBe(true);
        sent.mockResolvedValue(unreachable);
        await note(desk, 'c');
        expect(desk.saveState).toBe('failed');
        takes();
        await desk.retry();
        expect(desk.saveState).toBe('saved');
        expect(desk.document.job.note).toBe('c');
    });

    it('sends edits made meanwhile together, in one save after the one that is out', async () => {
        takes();
        const desk = new JobDesk(someView(), 'Wren');
        void note(desk, 'a');
        await Promise.resolve();
        void note(desk, 'b');
        await note(desk, 'c');
        expect(saves().map(([, , , body]) => (body as { document: JobDocument }).document.job.note)).toEqual([
            'a',
            'c',
        ]);
        expect(saves().map(([, , , body]) => (body as { version: number }).version)).toEqual([3, 4]);
    });

    it('takes back what the server refuses of a trial, and keeps what it could not be asked about', async () => {
        const desk = new JobDesk(someView(), 'Wren');
        sent.mockResolvedValueOnce({
            ok: false,
            status: 422,
            message: 'no',
            errors: { 'job.note': ['too long'] },
            body: null,
        });
        takes();
        const trial = (text: string) => desk.tryEdit((document) => (document.job.note = text), 'job.note');
        expect(await trial('a')).toEqual({ 'job.note': ['too long'] });
        expect(desk.document.job.note).toBe('');
        expect(desk.saveState).toBe('saved');
        expect(await trial('b')).toEqual({});
        expect(desk.document.job.note).toBe('b');
        sent.mockResolvedValue(unreachable);
        expect(await trial('c')).toEqual({});
        expect(desk.document.job.note).toBe('c');
        expect(desk.saveState).toBe('failed');
    });

    it('sends nothing for an edit that changes nothing', async () => {
        takes();
        const desk = new JobDesk(someView(), 'Wren');
        await note(desk, '');
        expect(saves()).toEqual([]);
        expect(desk.canUndo).toBe(false);
    });

    it('stops at a change made elsewhere until somebody decides', async () => {
        const latest = { number: 1, status: 'draft', version: 9, releasedAt: null } as const;
        const theirs = someDocument({ overrides: [{ figure: 'x', value: '1', why: '' }] });
        sent.mockResolvedValueOnce({
            ok: false,
            status: 409,
            message: 'changed',
            errors: {},
            body: { message: 'changed', madeOn: 3, document: theirs, latest },
        });
        const desk = new JobDesk(someView(), 'Wren');
        await note(desk, 'mine');
        expect(desk.saveState).toBe('conflict');
        takes();
        await note(desk, 'more of mine');
        expect(saves()).toHaveLength(1);
        desk.keepMine();
        await vi.waitFor(() => expect(desk.saveState).toBe('saved'));
        expect(saves().at(-1)?.[3]).toMatchObject({
            version: 9,
            document: { job: { note: 'more of mine' } },
        });
    });
});

describe('undo', () => {
    it('goes back and forth, and a new edit ends what could be redone', async () => {
        takes();
        const desk = new JobDesk(someView(), 'Wren');
        await note(desk, 'a');
        await note(desk, 'b');
        await desk.undo();
        expect(desk.document.job.note).toBe('a');
        expect(desk.canRedo).toBe(true);
        await desk.redo();
        expect(desk.document.job.note).toBe('b');
        await desk.undo();
        await note(desk, 'c');
        expect(desk.canRedo).toBe(false);
        await desk.undo();
        await desk.undo();
        expect(desk.document.job.note).toBe('');
        expect(desk.canUndo).toBe(false);
    });

    it('takes a refused edit back', async () => {
        const desk = new JobDesk(someView(), 'Wren');
        refuses({ 'job.note': ['too long'] });
        await note(desk, 'b');
        takes();
        await desk.undo();
        expect(desk.saveState).toBe('saved');
        expect(desk.errors).toEqual({});
    });
});

describe('an edit that never got to the server', () => {
    it('is kept until it is saved', async () => {
        const desk = new JobDesk(someView(), 'Wren');
        refuses({ 'job.note': ['too long'] });
        await note(desk, 'kept');
        expect(findUnsaved(7, 'Wren')?.document.job.note).toBe('kept');
        expect(findUnsaved(7, 'Ismet')).toBeNull();
        takes();
        await desk.retry();
        expect(findUnsaved(7, 'Wren')).toBeNull();
    });

    it('is put back on the desk after a reload, and can be undone', async () => {
        keepUnsaved(7, {
            who: 'Wren',
            revision: 1,
            version: 3,
            document: someDocument({ overrides: [{ figure: 'x', value: '1', why: '' }] }),
        });
        takes();
        const desk = new JobDesk(someView(), 'Wren');
        desk.takeUpUnsaved();
        await vi.waitFor(() => expect(desk.saveState).toBe('saved'));
        expect(desk.document.overrides).toHaveLength(1);
        await desk.undo();
        expect(desk.document.overrides).toHaveLength(0);
    });

    it('waits to be decided where the job has moved on', () => {
        keepUnsaved(7, {
            who: 'Wren',
            revision: 1,
            version: 2,
            document: someDocument({ overrides: [{ figure: 'x', value: '1', why: '' }] }),
        });
        const desk = new JobDesk(someView(), 'Wren');
        desk.takeUpUnsaved();
        expect(desk.leftover).not.toBeNull();
        expect(desk.document.overrides).toHaveLength(0);
        desk.dropLeftover();
        expect(findUnsaved(7, 'Wren')).toBeNull();
    });

    it('is not taken for one if the store holds something else', () => {
        for (const nonsense of ['null', '{"a":1}', '[null]', 'no json']) {
            localStorage.setItem('bead-unsaved-7', nonsense);
            const desk = new JobDesk(someView(), 'Wren');
            desk.takeUpUnsaved();
            expect(desk.leftover).toBeNull();
            expect(desk.saveState).toBe('saved');
        }
    });
});

describe('what is looked at', () => {
    it('shows the whole job, or one run alone', () => {
        const desk = new JobDesk(someView(), 'Wren');
        expect(desk.shown.map((one) => one.letter)).toEqual(['K', 'A', 'B']);
        desk.filter('B');
        expect(desk.shown.map((one) => one.letter)).toEqual(['B']);
        expect(desk.run?.letter).toBe('B');
        desk.filter(null);
        expect(desk.isShown('A')).toBe(true);
    });

    it('finds the collector of a seam or a tube', () => {
        const desk = new JobDesk(someView(), 'Wren');
        expect(desk.memberOf('KJ1')?.letter).toBe('K');
        expect(desk.memberOf('K1')?.letter).toBe('K');
    });

    it('finds the run of a joint or a piece, and lifts a filter that hides it', () => {
        const desk = new JobDesk(someView(), 'Wren');
        desk.filter('B');
        desk.look({ kind: 'joint', id: 'AJ2' });
        expect(desk.run?.letter).toBe('A');
        expect(desk.only).toBeNull();
        expect(desk.selection).toEqual({ kind: 'joint', id: 'AJ2' });
        expect(desk.memberOf('B1')?.letter).toBe('B');
        expect(desk.memberOf('C9')).toBeUndefined();
    });

    it('knows news from the props of an earlier visit', async () => {
        takes();
        const desk = new JobDesk(someView(), 'Wren');
        await note(desk, 'a');
        expect(desk.isNews(someView())).toBe(false);
        expect(
            desk.isNews(someView({ revision: { number: 1, status: 'draft', version: 9, releasedAt: null } })),
        ).toBe(true);
        expect(
            desk.isNews(someView({ revision: { number: 2, status: 'draft', version: 1, releasedAt: null } })),
        ).toBe(true);
    });
});

it('takes the order in which runs go in into the plan once, and only for the routes it was asked for', async () => {
    const desk = new JobDesk(someView(), 'Wren');
    const following = { fit: { ordered: true, steps: [] }, schedule: { slots: [] }, notices: [] };
    sent.mockResolvedValue({ ok: true, data: { insertion: { order: [] }, plan: following } as never });
    await desk.insertion(true);
    expect(desk.plan.fit.ordered).toBe(true);
    desk.plan = somePlan();
    const asked = desk.insertion();
    desk.document = someDocument();
    await asked;
    expect(desk.plan.fit.ordered).toBe(false);
});

describe('the bench', () => {
    it('takes what the log has come to, never back to less of it', () => {
        const at = (position: number, revision = 1) => ({ position, revision }) as never;
        const desk = new JobDesk(someView({ bench: at(5) }), 'Wren');
        desk.takeProgress(at(4));
        expect(desk.view.bench?.position).toBe(5);
        desk.takeProgress(at(6));
        expect(desk.view.bench?.position).toBe(6);
        // Of another release it takes nothing, and says that there is one.
        desk.takeProgress(at(7, 2));
        expect(desk.view.bench?.position).toBe(6);
        expect(desk.releasedSince).toBe(2);
    });
});
