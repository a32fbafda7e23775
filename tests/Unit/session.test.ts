// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Person } from '@/lib/answers';
import { send } from '@/lib/http';
import { session } from '@/lib/session.svelte';

const wren: Person = { id: 1, name: 'Wren', role: 'owner', plans: true, logs: true };
const pia: Person = { id: 3, name: 'Pia', role: 'helper', plans: false, logs: true };
const reason = { rule: 'r', inputs: [], source: 's', sourceKind: 'k', changes: 'c' };

/** A server that knows who is signed in, and refuses everybody else's changes with the given status. */
function serverWith(state: {
    person: Person | null;
    refusal?: number;
    password?: string;
    /** Whether the token is of another session until the server was asked for who is signed in. */
    isTokenOld?: boolean;
}) {
    const asked: string[] = [];
    vi.stubGlobal(
        'fetch',
        vi.fn(async (url: string, init: { body?: string }) => {
            asked.push(url);
            const answer = (status: number, body: unknown) => new Response(JSON.stringify(body), { status });
            if (url === '/session') {
                // Asking brings a fresh token: a change is not refused for its token after that.
                if (state.refusal === 419) delete state.refusal;
                state.isTokenOld = false;
                return answer(200, { person: state.person });
            }
            if (url === '/sign-in') {
                if (state.isTokenOld) return answer(419, { message: 'CSRF token mismatch.' });
                if (JSON.parse(init.body ?? '{}').password !== state.password)
                    return answer(422, { message: 'no', errors: { email: ['No person here has this.'] } });
                state.person = wren;
                return answer(200, { person: wren });
            }
            if (state.refusal) return answer(state.refusal, { message: 'no' });
            return state.person ? answer(200, { reason }) : answer(401, { message: 'Unauthenticated.' });
        }),
    );
    return asked;
}

const reloaded = vi.fn();
beforeEach(() => {
    session.person = wren;
    session.asking = false;
    vi.stubGlobal('location', { reload: reloaded });
    reloaded.mockClear();
});
afterEach(() => vi.unstubAllGlobals());

describe('a page that lost its session', () => {
    it('goes on by itself where only its token was old', async () => {
        const asked = serverWith({ person: wren, refusal: 419 });
        expect((await send('POST', '/why', 'Why', {})).ok).toBe(true);
        expect(asked).toEqual(['/why', '/session', '/why']);
        expect(session.asking).toBe(false);
    });

    it('asks for the password and sends what was refused again', async () => {
        const asked = serverWith({ person: null, password: 'right' });
        const reply = send('POST', '/why', 'Why', {});
        await vi.waitFor(() => expect(session.asking).toBe(true));
        expect(await session.signIn('wren@x.test', 'wrong')).toBe('No person here has this.');
        expect(session.asking).toBe(true);
        expect(await session.signIn('wren@x.test', 'right')).toBe('');
        expect((await reply).ok).toBe(true);
        expect(asked.filter((url) => url === '/why')).toHaveLength(2);
    });

    it('signs in once more with a fresh token where another answer began a session meanwhile', async () => {
        const state = { person: null, password: 'right', isTokenOld: false };
        const asked = serverWith(state);
        const reply = send('POST', '/why', 'Why', {});
        await vi.waitFor(() => expect(session.asking).toBe(true));
        state.isTokenOld = true;
        expect(await session.signIn('wren@x.test', 'right')).toBe('');
        expect((await reply).ok).toBe(true);
        expect(asked).toEqual(['/why', '/session', '/sign-in', '/session', '/sign-in', '/why']);
    });

    it('asks once for all that was refused at the same time', async () => {
        serverWith({ person: null, password: 'right' });
        const replies = [send('POST', '/why', 'Why', {}), send('POST', '/why', 'Why', {})];
        await vi.waitFor(() => expect(session.asking).toBe(true));
        await session.signIn('wren@x.test', 'right');
        expect((await Promise.all(replies)).map((reply) => reply.ok)).toEqual([true, true]);
    });

    it('gives the refusal on where the person puts it off', async () => {
        serverWith({ person: null });
        const reply = send('POST', '/why', 'Why', {});
        await vi.waitFor(() => expect(session.asking).toBe(true));
        session.putOff();
        expect(await reply).toMatchObject({ ok: false, status: 401 });
    });

    it('is opened anew for somebody else, and sends nothing of the first in their name', async () => {
        const asked = serverWith({ person: pia, refusal: 401 });
        expect((await send('POST', '/why', 'Why', {})).ok).toBe(false);
        expect(reloaded).toHaveBeenCalled();
        expect(asked).toEqual(['/why', '/session']);
    });

    it('asks nobody on the page to sign in', async () => {
        session.person = null;
        const asked = serverWith({ person: null });
        expect((await send('POST', '/why', 'Why', {})).ok).toBe(false);
        expect(asked).toEqual(['/why']);
    });
});
