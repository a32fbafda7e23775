// @vitest-environment happy-dom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { said, send } from '@/lib/http';
import { someDocument } from './some-view';

/** A server that gives one answer, whatever is asked. */
function answers(status: number, body: unknown): void {
    vi.stubGlobal(
        'fetch',
        vi.fn(async () => new Response(JSON.stringify(body), { status })),
    );
}

const reason = {
    rule: 'r',
    inputs: [{ label: 'l', text: '1 mm' }],
    source: 's',
    sourceKind: 'k',
    changes: 'c',
};

afterEach(() => vi.unstubAllGlobals());

describe('an answer where it arrives', () => {
    it('is handed on when it is what its schema says', async () => {
        answers(200, { reason });
        expect(await send('POST', '/why', 'Why', {})).toEqual({ ok: true, data: { reason } });
    });

    it('is refused, with the place, when a part of it is something else', async () => {
        answers(200, { reason: { ...reason, inputs: [{ label: 'l', text: 1 }] } });
        const reply = await send('POST', '/why', 'Why', {});
        expect(reply.ok).toBe(false);
        if (!reply.ok) expect(reply.message).toContain('Why at reason/inputs/0/text: type');
    });

    it('is refused when it is no answer at all', async () => {
        answers(200, null);
        expect((await send('POST', '/why', 'Why', {})).ok).toBe(false);
    });

    it('may say more than is known yet', async () => {
        answers(200, { reason: { ...reason, added: 'later' } });
        expect((await send('POST', '/why', 'Why', {})).ok).toBe(true);
    });

    it('holds a document to every field that the server always writes', async () => {
        answers(200, { document: someDocument() });
        expect((await send('POST', '/mirror', 'Changed', {})).ok).toBe(true);
        answers(200, { document: { ...someDocument(), set: undefined } });
        expect((await send('POST', '/mirror', 'Changed', {})).ok).toBe(false);
    });
});

describe('a refusal', () => {
    it('says first what is wrong with a field', async () => {
        answers(422, { message: 'two things', errors: { 'runs[0].tube': ['no such tube'], b: ['no'] } });
        const reply = await send('POST', '/routes', 'Ways', {});
        expect(reply).toMatchObject({ ok: false, status: 422, errors: { 'runs[0].tube': ['no such tube'] } });
        if (!reply.ok) expect(said(reply)).toBe('no such tube');
    });

    it('is put in words of our own where the server only names a status', async () => {
        for (const [status, words] of [
            [401, 'signed out'],
            [419, 'signed out'],
            [403, 'role'],
            [413, 'larger'],
            [500, 'nothing was saved'],
        ] as const) {
            answers(status, { message: 'internal' });
            const reply = await send('POST', '/x', null, {});
            expect(reply.ok ? '' : reply.message).toContain(words);
        }
    });

    it('of a shape nobody knows still comes out as one', async () => {
        answers(422, ['?']);
        const reply = await send('POST', '/x', 'Ways', {});
        expect(reply).toMatchObject({ ok: false, status: 422, errors: {} });
        if (!reply.ok) expect(said(reply)).toBe('The server did not take this.');
    });

    it('of no server at all says so', async () => {
        vi.stubGlobal(
            'fetch',
            vi.fn(async () => {
                throw new TypeError('offline');
            }),
        );
        expect(await send('GET', '/x', null)).toEqual({
            ok: false,
            status: 0,
            message: 'The server cannot be reached.',
        });
    });
});
