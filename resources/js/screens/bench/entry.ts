import type { LogEntry } from '@/lib/answers';

export type Draft = Omit<LogEntry, 'id' | 'at'>;

/** Made by the client, so that sending an entry twice changes nothing. */
function uuid(): string {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
    bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** Gives an entry its id and its time. */
export function stamped(entry: Draft): LogEntry {
    return { ...entry, id: uuid(), at: new Date().toISOString() };
}

/** The steps that are done, as the server knows them, with what still waits here laid over. */
export function doneWith(known: string[], waiting: LogEntry[]): Set<string> {
    const done = new Set(known);
    for (const entry of waiting) {
        if (entry.kind === 'done') done.add(entry.step);
        if (entry.kind === 'reopen') done.delete(entry.step);
    }
    return done;
}
