// What is typed at a step and not logged yet, kept in this browser so that no reload loses it. For the person who typed it.
import type { Inspected } from './answers';

export type HalfTyped = {
    readings: Record<string, string>;
    note: string;
    /** Points that were confirmed. */
    points: number[];
    found: NonNullable<Inspected> | null;
};

type Steps = Record<string, HalfTyped>;

/** Of one release of a job: in the next one a step may ask for something else. */
export class HalfTypedSteps {
    readonly #key: string;

    constructor(job: number, revision: number, who: string) {
        this.#key = `bead-half-typed-${job}-${revision}-${who}`;
    }

    find(step: string): HalfTyped | null {
        return this.#all()[step] ?? null;
    }

    /** Keeps it, or drops what was kept where nothing is typed. */
    keep(step: string, typed: HalfTyped | null): void {
        const all = this.#all();
        if (typed && !isEmpty(typed)) all[step] = typed;
        else delete all[step];
        try {
            if (Object.keys(all).length === 0) localStorage.removeItem(this.#key);
            else localStorage.setItem(this.#key, JSON.stringify(all));
        } catch {
            // A full or closed store: it stays on the page.
        }
    }

    #all(): Steps {
        try {
            const found: unknown = JSON.parse(localStorage.getItem(this.#key) ?? '{}');
            const all = typeof found === 'object' && found !== null ? Object.entries(found) : [];
            return Object.fromEntries(all.filter(([, one]) => isHalfTyped(one)));
        } catch {
            return {};
        }
    }
}

function isEmpty({ readings, note, points, found }: HalfTyped): boolean {
    return (
        Object.values(readings).every((text) => text === '') &&
        note === '' &&
        points.length === 0 &&
        found === null
    );
}

function isHalfTyped(value: unknown): value is HalfTyped {
    if (typeof value !== 'object' || value === null) return false;
    const { readings, note, points, found } = value as Partial<HalfTyped>;
    return (
        typeof readings === 'object' &&
        readings !== null &&
        Object.values(readings).every((text) => typeof text === 'string') &&
        typeof note === 'string' &&
        Array.isArray(points) &&
        points.every((point) => Number.isInteger(point)) &&
        typeof found === 'object'
    );
}
