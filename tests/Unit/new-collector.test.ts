import { expect, it } from 'vitest';
import type { Plan, RunPlan, Triple } from '@/lib/answers';
import { freeName } from '@/lib/free-name';
import { buildCollector } from '@/screens/merge/edits';
import { someDocument, somePlan } from './some-view';

/** Two runs of one tube that end beside one another, with a way or without. */
function ending(way: unknown): Plan {
    const run = (letter: string, at: Triple) =>
        ({
            letter,
            run: way,
            tube: { id: 'T1.750x.065' },
            target: { frame: { at, forward: [0, 1, 0] } },
        }) as unknown as RunPlan;
    return {
        ...somePlan(),
        set: { meeting: null },
        runs: [run('A', [500, 0, 0]), run('B', [500, 60, 20])],
    } as unknown as Plan;
}

it('begins a collector where runs end, with their number and their tube, and takes them in', () => {
    const document = someDocument();
    buildCollector(document, ending(null), 'K', null);
    const [made] = document.set.collectors;
    expect(made?.runs).toEqual(['A', 'B']);
    expect(made?.build).toMatchObject({
        inlets: 2,
        tube: 'T1.750x.065',
        at: ['500.0 mm', '30.0 mm', '10.0 mm'],
        axis: [0, 1, 0],
    });
    // Its outlet is left to be proposed, within what is recommended.
    expect(made?.build?.outlet).toBeUndefined();
});

it('leaves runs that have a way already as they are', () => {
    const document = someDocument();
    buildCollector(document, ending({}), 'K', null);
    expect(document.set.collectors[0]?.runs).toEqual([]);
    expect(document.set.collectors[0]?.build?.inlets).toBe(2);
});

it('gives the first name that nothing else has', () => {
    expect(freeName('Muffler', [])).toBe('Muffler');
    expect(freeName('Muffler', ['Muffler', 'Muffler 3'])).toBe('Muffler 2');
});
