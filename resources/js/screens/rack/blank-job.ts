import type { JobDocument } from '@/lib/answers';

/** One run between two ends to be measured, or one that grows from its first; nothing in it is computed here. */
export function blankJob(number: string, title: string, grows = false): JobDocument {
    return {
        format: 'upswept-bead/job',
        version: 1,
        job: {
            number,
            title,
            customer: '',
            vehicle: '',
            purpose: 'turbo-downpipe',
            units: 'inch',
            metal: '304L',
            note: '',
        },
        runs: [
            {
                letter: 'A',
                name: '',
                tube: 'T3.000x.065',
                start: {
                    kind: 'v-band',
                    name: 'Start',
                    at: ['0 in', '0 in', '0 in'],
                    direction: [0, 1, 0],
                    metal: '304L',
                    wall: '.200 in',
                },
                end: {
                    kind: grows ? 'open' : 'flange',
                    name: grows ? '' : 'End',
                    ...(grows ? { free: true } : {}),
                    at: ['20 in', '16 in', '-8 in'],
                    direction: [1, 0, 0],
                    metal: '304L',
                    wall: '3/8 in',
                },
                route: null,
                fittings: [],
            },
        ],
        set: { collectors: [], keepOuts: [], lengths: [] },
        overrides: [],
    };
}

/** The number after the highest that ends in digits, in the same style. */
export function nextNumber(numbers: string[]): string {
    const parts = numbers.map((number) => /^(.*?)(\d+)$/.exec(number)).filter((found) => found !== null);
    const highest = parts.sort((a, b) => Number(b[2]) - Number(a[2]))[0];
    if (!highest) return 'J-0001';
    return `${highest[1] ?? ''}${String(Number(highest[2]) + 1).padStart((highest[2] ?? '').length, '0')}`;
}

type Titled = { name?: unknown; job?: { number?: unknown; title?: unknown } };

/** What a job file or a route problem calls its job; null where it says nothing, or is no such file. */
export function numberOf(text: string): string | null {
    try {
        const document = JSON.parse(text) as Titled | null;
        const said = document?.job?.number ?? document?.name;
        return typeof said === 'string' && said.trim() !== '' ? said.trim() : null;
    } catch {
        return null;
    }
}

/** The same file under the number that was typed, and the title if one was; what it is else is not looked at here. */
export function renamed(document: unknown, number: string, title: string): unknown {
    if (typeof document !== 'object' || document === null) return document;
    const { job } = document as Titled;
    if (typeof job !== 'object') return number === '' ? document : { ...document, name: number };
    return {
        ...document,
        job: { ...job, ...(number === '' ? {} : { number }), ...(title === '' ? {} : { title }) },
    };
}
