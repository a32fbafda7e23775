// An edit that the server has not taken yet, kept in this browser so that no reload loses it. One a job, and only for the
// person who made it.
import type { JobDocument } from './answers';

export type Unsaved = {
    who: string;
    /** The version of the draft that it was made on. */
    revision: number;
    version: number;
    at: string;
    document: JobDocument;
};

const key = (job: number) => `bead-unsaved-${job}`;

export function keepUnsaved(job: number, unsaved: Omit<Unsaved, 'at'>): void {
    try {
        localStorage.setItem(key(job), JSON.stringify({ ...unsaved, at: new Date().toISOString() }));
    } catch {
        // A full or closed store: the edit is still on the desk.
    }
}

export function dropUnsaved(job: number): void {
    try {
        localStorage.removeItem(key(job));
    } catch {
        // Nothing was kept then.
    }
}

export function findUnsaved(job: number, who: string): Unsaved | null {
    try {
        const found: unknown = JSON.parse(localStorage.getItem(key(job)) ?? 'null');
        return isUnsaved(found) && found.who === who ? found : null;
    } catch {
        return null;
    }
}

function isUnsaved(value: unknown): value is Unsaved {
    if (typeof value !== 'object' || value === null) return false;
    const one = value as Partial<Unsaved>;
    return (
        typeof one.who === 'string' &&
        typeof one.version === 'number' &&
        typeof one.revision === 'number' &&
        typeof one.at === 'string' &&
        typeof one.document === 'object' &&
        Array.isArray(one.document?.runs)
    );
}
