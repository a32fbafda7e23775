// Searches for whole designs: a worker of the server looks for them, and what it finds is asked for again and again.
import type { RouteSearch } from './answers';
import { send } from './http';
import type { JobDesk } from './job-desk.svelte';

/** Asks for designs of what is on the desk; `after` goes on from an earlier search for the same. */
export async function searchSet(desk: JobDesk, after?: number): Promise<RouteSearch | null> {
    await desk.settled;
    const search = await ask(desk, 'POST', 'searches', { document: desk.document, after });
    if (search) desk.view = { ...desk.view, search: search.id };
    return search;
}

export function lookAtSearch(desk: JobDesk, id: number): Promise<RouteSearch | null> {
    return ask(desk, 'GET', `searches/${id}`);
}

export function stopSearch(desk: JobDesk, id: number): Promise<RouteSearch | null> {
    return ask(desk, 'POST', `searches/${id}/stop`, {});
}

/** What was found is not shown again. */
export async function putAwaySearch(desk: JobDesk, id: number): Promise<void> {
    desk.view = { ...desk.view, search: null };
    await ask(desk, 'POST', `searches/${id}/put-away`, {});
}

async function ask(
    desk: JobDesk,
    method: 'GET' | 'POST',
    path: string,
    body?: unknown,
): Promise<RouteSearch | null> {
    const reply = await send(method, `/jobs/${desk.view.id}/${path}`, 'RouteSearch', body);
    if (reply.ok) return reply.data;
    desk.failure = reply.message;
    return null;
}
