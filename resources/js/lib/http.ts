// One way to talk to the server: JSON (or a form with a file) in, JSON out, never an exception for an answer that came.

export type Reply<T> =
    | { ok: true; data: T }
    | { ok: false; status: 0; message: string }
    | { ok: false; status: number; message: string; errors: Record<string, string[]>; body: unknown };

function xsrfToken(): string {
    const found = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]*)/);
    return found?.[1] ? decodeURIComponent(found[1]) : '';
}

export async function send<T>(
    method: 'GET' | 'POST' | 'PUT',
    url: string,
    body?: unknown,
): Promise<Reply<T>> {
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
        return { ok: false, status: 0, message: 'The server cannot be reached.' };
    }
    const data: unknown = await response.json().catch(() => null);
    if (response.ok) return { ok: true, data: data as T };
    const known = (data ?? {}) as { message?: string; errors?: Record<string, string[]> };
    return {
        ok: false,
        status: response.status,
        message: messageFor(response.status, known.message),
        errors: known.errors ?? {},
        body: data,
    };
}

function messageFor(status: number, message: string | undefined): string {
    if (status === 401 || status === 419)
        return 'You have been signed out; sign in again. Nothing was saved.';
    if (status === 403) return 'Your role does not allow this.';
    if (status === 413) return 'This is larger than what is taken.';
    if (status >= 500) return 'The server failed; nothing was saved. Try again.';
    return message ?? 'The server did not take this.';
}
