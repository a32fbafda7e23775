import { expect, it } from 'vitest';
import type { Step } from '@/lib/answers';
import { asNumber, lacksOf } from '@/screens/bench/gate';

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
    most: { text: '200 ppm', number: 200, unit: 'ppm' },
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
