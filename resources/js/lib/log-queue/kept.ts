// An entry on its way to the server, as this device keeps it.
import type { LogEntry } from '@/lib/answers';

export type Refused = { field: string; reason: string };

export type Kept = LogEntry & {
    /** Where it stands in the queue; given by the store. */
    place?: number;
    job: number;
    /** Of the job, for a person to read. */
    number: string;
    /** Of its maker, for a person to read. */
    maker: string;
    /** What the step and its readings are called, for a person to read. */
    title: string;
    labels: Record<string, string>;
    /** Why the server did not take it; it waits until a person puts it right or discards it. */
    refused: Refused | null;
};

export type Draft = Pick<
    Kept,
    'step' | 'kind' | 'readings' | 'note' | 'why' | 'points' | 'inspected' | 'traces' | 'title' | 'labels'
>;

/** Made by the client, so that sending an entry twice changes nothing. */
export function uuid(): string {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
    bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** What an entry says, in words. */
export const ENTRY_WORDS: Record<LogEntry['kind'], string> = {
    done: 'done',
    correct: 'corrected',
    reopen: 'opened again',
    note: 'noted',
};

export function timeNow(): string {
    return new Date().toISOString();
}

const isObject = (value: unknown) => typeof value === 'object' && value !== null;

/** Whether what was found in the store is an entry at all: anything may stand in a browser's store. */
export function isKept(value: unknown): value is Kept {
    if (!isObject(value)) return false;
    const one = value as Partial<Kept>;
    const texts = [one.id, one.step, one.kind, one.note, one.at, one.number, one.maker, one.title];
    const numbers = [one.by, one.job, one.revision];
    return (
        texts.every((text) => typeof text === 'string') &&
        numbers.every((number) => Number.isInteger(number)) &&
        isObject(one.readings) &&
        isObject(one.labels)
    );
}

/** What goes to the server of it. */
export function toEntry(kept: Kept): LogEntry {
    const {
        id,
        by,
        revision,
        units,
        step,
        kind,
        readings,
        note,
        why = '',
        points = [],
        inspected = null,
        traces = [],
        at,
    } = kept;
    return { id, by, revision, units, step, kind, readings, note, why, points, inspected, traces, at };
}

/** The steps that are done, as the server knows them, with what still waits here laid over. */
export function doneWith(known: string[], waiting: Kept[]): Set<string> {
    const done = new Set(known);
    for (const entry of waiting) {
        if (entry.refused) continue;
        if (entry.kind === 'done') done.add(entry.step);
        if (entry.kind === 'reopen') done.delete(entry.step);
    }
    return done;
}
