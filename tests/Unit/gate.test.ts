import { expect, it } from 'vitest';
import type { Inspected, Looks, Step } from '@/lib/answers';
import offCases from '../../core/tests/Stage/Bench/off-cases.json';
import cases from '../../core/tests/Stage/Bench/gate-cases.json';
import { asNumber, beyondOf, lacksOf, lacksOfFound, leastOf, missingOf, offOf } from '@/screens/bench/gate';

it('reads a number bare or with the unit of the limit, and a fraction of an inch', () => {
    const read = (text: string, unit: string) => asNumber(text, unit);
    expect(read(' 320 ', 'ppm')).toBe(320);
    expect(read('320 PPM', 'ppm')).toBe(320);
    expect(read('.030', 'in')).toBe(0.03);
    expect(read('1/8', 'in')).toBe(0.125);
    expect(read('1 1/2"', 'in')).toBe(1.5);
    expect(read('-5 °C', '°C')).toBe(-5);
});

it('leaves to the server what it cannot tell', () => {
    for (const text of ['', 'about 20', '3 mm', '1/0', '80 K']) expect(asNumber(text, 'in')).toBeNull();
});

const measure = (change: Partial<Step['measures'][number]>): Step['measures'][number] => ({
    name: 'oxygen',
    label: 'Oxygen at the vent',
    quantity: 'oxygen',
    planned: '200 ppm',
    most: { value: 200, text: '200 ppm', number: 200, unit: 'ppm' },
    range: null,
    asked: true,
    ...change,
});
const step = (measures: Step['measures'], points: string[] = []) => ({ measures, points }) as unknown as Step;

it('asks for what was not read, what lies above its limit, and what was not confirmed', () => {
    const purge = step([measure({})]);
    expect(lacksOf(purge, {}, new Set())).toEqual(['Oxygen at the vent was not read.']);
    expect(lacksOf(purge, { oxygen: '201' }, new Set())).toEqual([
        'Oxygen at the vent: 201, at most 200 ppm.',
    ]);
    expect(lacksOf(purge, { oxygen: '200 ppm' }, new Set())).toEqual([]);
    expect(lacksOf(purge, { oxygen: 'low' }, new Set())).toEqual([]);
    const tack = step([measure({ asked: false })], ['Gasket in.', 'Wheel turned lock to lock.']);
    expect(lacksOf(tack, {}, new Set([0]))).toEqual(['Not confirmed: Wheel turned lock to lock.']);
});

// The core judges readings by the same cases: core/tests/Stage/Bench/GateTest.php.
it.each(cases)('lets a reading pass or asks about it, as the core does: $name', (one) => {
    const asked = step([
        measure({
            name: 'one',
            label: 'One',
            most: { value: 0, text: one.most, ...one.limit },
            asked: one.asked,
        }),
    ]);
    const readings = { one: one.typed };
    expect(lacksOf(asked, readings, new Set())).toHaveLength(one.lacks === null ? 0 : 1);
    expect(beyondOf(asked, readings)).toHaveLength(one.lacks === 'above' ? 1 : 0);
});

it.each(offCases)('asks about a length that is too far off, as the core does: $name', (one) => {
    const cut = step([
        measure({ name: 'length', planned: one.planned, most: null, range: one.range, asked: false }),
    ]);
    const off = offOf(cut, { length: one.typed });
    expect(off).toHaveLength(one.off === null ? 0 : 1);
    expect(off[0] ?? '').toContain(one.off ?? '');
    expect(lacksOf(cut, { length: one.typed }, new Set())).toEqual(off);
});

const LOOKS = {
    oxides: [
        { key: 'silver', label: 'silver', least: 'accept' },
        { key: 'blue', label: 'blue', least: 'dress' },
    ],
    flaws: [
        { key: 'undercut', label: 'Undercut', least: 'add' },
        { key: 'sugar', label: 'Sugar inside', least: 'redo' },
    ],
    causes: [{ key: 'purge', label: 'Purge' }],
    outcomes: [
        { key: 'accept', label: 'Accept' },
        { key: 'dress', label: 'Dress it' },
        { key: 'add', label: 'Add a pass' },
        { key: 'redo', label: 'Cut out, redo' },
    ],
} as Looks;
const looked = { ...step([]), inspection: ['accept', 'redo'] } as Step;
const found = (change: Partial<NonNullable<Inspected>>): NonNullable<Inspected> => ({
    outside: 'silver',
    inside: 'silver',
    flaws: [],
    cause: null,
    outcome: 'accept',
    ...change,
});

it('goes by the worst of what was found at a joint', () => {
    expect(leastOf(looked, LOOKS, found({}))).toBe('accept');
    expect(leastOf(looked, LOOKS, found({ outside: 'blue' }))).toBe('dress');
    expect(leastOf(looked, LOOKS, found({ outside: 'blue', flaws: ['undercut'] }))).toBe('add');
    expect(leastOf(looked, LOOKS, found({ inside: 'blue', flaws: ['undercut'] }))).toBe('redo');
    expect(leastOf(looked, LOOKS, found({ inside: null }))).toBe('accept');
});

it('asks for the colours, for the cause, and for what was found to be put right', () => {
    expect(missingOf(found({ outside: '' }))).toBe('Choose the colour outside.');
    expect(missingOf(found({ inside: '' }))).toBe('Choose the colour inside.');
    expect(missingOf(found({ outcome: 'redo' }))).toContain('cause');
    expect(missingOf(found({ outcome: 'redo', cause: 'purge' }))).toBe('');
    expect(lacksOfFound(looked, LOOKS, found({ flaws: ['sugar'], outcome: 'dress' }))).toEqual([
        'What was found asks for more than “Dress it”: Cut out, redo.',
    ]);
    expect(lacksOfFound(looked, LOOKS, found({ outcome: 'redo' }))).toEqual([]);
});

it('reads a decimal comma where it can be nothing else', () => {
    expect(asNumber('1,5 mm', 'mm')).toBe(1.5);
    expect(asNumber('0,065', 'in')).toBe(0.065);
    expect(asNumber('1,500', 'mm')).toBeNull();
});
