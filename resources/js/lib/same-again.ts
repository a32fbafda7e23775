// The same engine again: a survey that is kept, and another job begun from it.
import type { JobDocument } from './answers';

/** The ends, readings and keep-outs of a job, without its routes, prices and overrules. */
export function sameAgain(document: JobDocument, number: string, title: string): JobDocument {
    const next = structuredClone(document);
    delete next.prices;
    delete next.outside;
    if (next.intake) {
        // Another customer, with another purse.
        delete next.intake.budget;
        delete next.intake.brought;
    }
    next.job = { ...next.job, number, title, customer: '', note: '' };
    next.runs = next.runs.map((run) => ({ ...run, route: null, fittings: [] }));
    next.set = { ...next.set, designs: [], hangers: [] };
    next.overrides = [];
    return next;
}

/** "TB-0417" becomes "TB-0417-2", and that "TB-0417-3". */
export function numberAgain(number: string): string {
    const [, head = number, count = '1'] = /^(.*\d.*)-(\d{1,2})$/.exec(number) ?? [];
    return `${head}-${Number(count) + 1}`;
}
