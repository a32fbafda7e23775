import { expect, it } from 'vitest';
import type { JobDocument } from '@/lib/answers';
import { numberAgain, sameAgain } from '@/lib/same-again';

const first = {
    format: 'upswept-bead/job',
    version: 1,
    job: { number: 'TB-0417', title: 'Crossover', customer: 'Somebody', note: 'soon', units: 'inch' },
    runs: [{ letter: 'A', start: { at: [1, 2, 3] }, route: { bends: [], endStraight: 3 }, fittings: [{}] }],
    set: { collectors: [], keepOuts: [{ name: 'Shaft' }], lengths: [], designs: [{}], hangers: [{}] },
    measured: { points: [], ends: [], readings: [{ id: 'r1' }] },
    prices: { tube: 3 },
    outside: [{}],
    overrides: [{ figure: 'cut.A1.trim', value: '3', why: '' }],
} as unknown as JobDocument;

it('keeps what was measured and what stands in the way, and nothing that was decided for the first', () => {
    const next = sameAgain(first, 'TB-0500', 'Again');
    expect(next.job).toMatchObject({
        number: 'TB-0500',
        title: 'Again',
        customer: '',
        note: '',
        units: 'inch',
    });
    expect(next.runs[0]).toMatchObject({ start: { at: [1, 2, 3] }, route: null, fittings: [] });
    expect(next.set).toMatchObject({ keepOuts: [{ name: 'Shaft' }], designs: [], hangers: [] });
    expect(next.measured?.readings).toHaveLength(1);
    expect(next).not.toHaveProperty('prices');
    expect(next).not.toHaveProperty('outside');
    expect(next.overrides).toEqual([]);
    expect(first.runs[0]?.route).not.toBeNull();
});

it('counts on from the number there was', () => {
    expect(numberAgain('TB-0417')).toBe('TB-0417-2');
    expect(numberAgain('TB-0417-2')).toBe('TB-0417-3');
    expect(numberAgain('Van')).toBe('Van-2');
});
