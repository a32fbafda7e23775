// One way to talk to the server: JSON (or a form with a file) in, an answer of docs/schemas out, held to its schema once,
// here. Never an exception for an answer that came.
import type { Answers, Refusal } from './answers';
import { checked } from './checked';

export type Reply<T> =
    | { ok: true; data: T }
    | { ok: false; status: 0; message: string }
    | { ok: false; status: number; message: string; errors: Record<string, string[]>; body: unknown };

function xsrfToken(): string {
    const found = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]*)/);
    return found?.[1] ? decodeURIComponent(found[1]) : '';
}

/** What to do when nobody is signed in any more: true once the same person is again. */
let restored: () => Promise<boolean> = () => Promise.resolve(false);

export function whenSignedOut(ask: () => Promise<boolean>): void {
    restored = ask;
}

/**
 * Sends `body` and expects the answer of that name; `null` expects nothing that is looked at. Where the session was lost
 * it waits until the person is signed in again, and sends once more.
 */
export async function send<K extends keyof Answers | null>(
    method: 'GET' | 'POST' | 'PUT' | 'DELETE',
    url: string,
    expects: K,
    body?: unknown,
): Promise<Reply<K extends keyof Answers ? Answers[K] : unknown>> {
    const reply = await sendOnce(method, url, expects, body);
    const isOut = !reply.ok && (reply.status === 401 || reply.status === 419);
    return isOut && (await restored()) ? sendOnce(method, url, expects, body) : reply;
}

export async function sendOnce<K extends keyof Answers | null>(
    method: 'GET' | 'POST' | 'PUT' | 'DELETE',
    url: string,
    expects: K,
    body?: unknown,
): Promise<Reply<K extends keyof Answers ? Answers[K] : unknown>> {
    const unreached = { ok: false, status: 0, message: 'The server cannot be reached.' } as const;
    let response: Response;
    try {
        response = await fetch(url, {
            method,
            headers: {
                Accept: 'application/json',
                ...(body instanceof FormData ? {} : { 'Content-Type': 'application/json' }),
                'X-XSRF-TOKEN': xsrfToken(),
                'X-Requested-With': 'XMLHttpRequest',
            },
            ...(body === undefined ? {} : { body: body instanceof FormData ? body : JSON.stringify(body) }),
        });
    } catch {
        return unreached;
    }
    const data: unknown = await response.json().catch(() => null);
    const expected = response.ok ? expects : 'Refusal';
    let wrong: string | null;
    try {
        wrong = expected === null ? null : await checked(expected, data);
    } catch {
        // The answer came, but what it is held to did not.
        return unreached;
    }
    if (response.ok) {
        if (wrong === null) return { ok: true, data: data as never };
        return { ok: false, status: response.status, message: wrong, errors: {}, body: data };
    }
    const known: Partial<Refusal> = wrong === null ? (data as Refusal) : {};
    return {
        ok: false,
        status: response.status,
        message: messageFor(response.status, known.message),
        errors: known.errors ?? {},
        body: data,
    };
}

/** What is shown of a refusal at one place: the first thing wrong with a field, else what it says as a whole. */
export function said(reply: Exclude<Reply<unknown>, { ok: true }>): string {
    const errors = 'errors' in reply ? Object.values(reply.errors) : [];
    return errors[0]?.[0] ?? reply.message;
}

/** What is wrong by field; as a whole under the given name where no field is named. */
export function errorsOf(reply: Exclude<Reply<unknown>, { ok: true }>, whole = ''): Record<string, string[]> {
    const errors = 'errors' in reply ? reply.errors : {};
    return Object.keys(errors).length > 0 ? errors : { [whole]: [reply.message] };
}

function messageFor(status: number, message: string | undefined): string {
    if (status === 401 || status === 419)
        return 'You have been signed out; sign in again. Nothing was saved.';
    if (status === 403) return 'Your role does not allow this.';
    if (status === 413) return 'This is larger than what is taken.';
    if (status === 503 && message) return message;
    if (status >= 500) return 'The server failed; nothing was saved. Try again.';
    return message ?? 'The server did not take this.';
}
