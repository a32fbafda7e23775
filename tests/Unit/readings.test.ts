import { expect, it } from 'vitest';
import type { JobDocument, ReadingDocument } from '@/lib/answers';
import {
    add,
    begin,
    CHECKS,
    DIRECTION_WAYS,
    follow,
    forget,
    freeId,
    numberOr,
    PLACE_WAYS,
    placeFrom,
    placeText,
    wayOf,
} from '@/lib/readings';

const job = () => ({ runs: [], set: {}, overrides: [] }) as unknown as JobDocument;
const reading = (more: Partial<ReadingDocument>): ReadingDocument => ({
    id: 'r1',
    kind: 'dip',
    tool: 'finder',
    of: 'A.start',
    ...more,
});

it('begins a reading of every way with all that the way asks for', () => {
    for (const way of [...PLACE_WAYS, ...DIRECTION_WAYS, ...CHECKS]) {
        const one = begin(way, 'A.start', 'r1');
        expect(one.with?.length ?? 0).toBe(way.with?.length ?? 0);
        expect(one.points?.length ?? 0).toBe(way.points?.least ?? 0);
        expect('value' in one).toBe(way.value !== undefined);
        expect(wayOf(one).kind).toBe(way.kind);
    }
});

it('lets an end follow from the first reading that is about it, and from no tape that only checks', () => {
    const document = job();
    add(document, reading({ kind: 'tape', tool: 'tape', with: ['A.end'] }), 'nothing');
    expect(document.measured?.ends).toEqual([]);
    add(document, reading({ id: 'r2' }), 'direction');
    expect(document.measured?.ends).toEqual([{ run: 'A', isStart: true, place: false, direction: true }]);
    add(document, reading({ id: 'r3', kind: 'offset' }), 'place');
    expect(document.measured?.ends).toEqual([{ run: 'A', isStart: true, place: true, direction: true }]);
    expect(freeId(document)).toBe('r4');
});

it('keeps nothing measured once nothing follows from it and nothing was read', () => {
    const document = job();
    follow(document, 'A', true, { place: true, direction: true });
    expect(document.measured?.ends).toHaveLength(1);
    follow(document, 'A', true, { place: false, direction: false });
    expect(document).not.toHaveProperty('measured');
});

it('forgets every reading that names what is gone, and leaves the others', () => {
    const document = job();
    document.measured = {
        points: [{ name: 'Dowel' }, { name: 'Bolt' }],
        ends: [],
        readings: [
            reading({ with: ['Dowel'] }),
            reading({ id: 'r2', kind: 'face', points: ['Dowel', 'Bolt', [1, 2, 3]] }),
            reading({ id: 'r3', with: ['Bolt'] }),
        ],
    };
    forget(document, (name) => name === 'Dowel');
    expect(document.measured.points).toEqual([{ name: 'Bolt' }]);
    expect(document.measured.readings.map(({ id }) => id)).toEqual(['r3']);
});

it('reads three lengths from one field, else a name', () => {
    expect(placeFrom('22 1/4; 15.5; -8 in')).toEqual(['22 1/4', '15.5', '-8 in']);
    expect(placeFrom(' Dowel ')).toBe('Dowel');
    expect(placeText(['1 in', 2, '3 mm'])).toBe('1 in; 2; 3 mm');
    expect(placeText(['', '', ''])).toBe('');
    expect(placeText(undefined)).toBe('');
});

it('leaves a fraction as it was written and takes a plain number for one', () => {
    expect(numberOr('12 1/2')).toBe('12 1/2');
    expect(numberOr(' -3.5 ')).toBe(-3.5);
    expect(numberOr('')).toBe('');
});
