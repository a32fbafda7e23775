import { expect, it } from 'vitest';
import { nextNumber, numberOf, renamed } from '@/screens/rack/blank-job';

it('proposes the number after the highest, in the same style', () => {
    expect(nextNumber(['TB-0412', 'TB-0007', 'loose'])).toBe('TB-0413');
    expect(nextNumber(['R99'])).toBe('R100');
    expect(nextNumber([])).toBe('J-0001');
});

it('reads what a file calls its job, and takes no file that is none', () => {
    expect(numberOf('{"job": {"number": " TB-0500 "}}')).toBe('TB-0500');
    expect(numberOf('{"format": "route-problem", "name": "Van"}')).toBe('Van');
    for (const text of ['{"job": {}}', '[]', 'null', '{"job": ', '{"name": 7}'])
        expect(numberOf(text)).toBeNull();
});

it('opens a file under the number that was typed', () => {
    expect(renamed({ job: { number: 'A', title: 'Old', metal: '304L' } }, 'B', '')).toEqual({
        job: { number: 'B', title: 'Old', metal: '304L' },
    });
    expect(renamed({ job: { number: 'A', title: 'Old' } }, 'B', 'New')).toEqual({
        job: { number: 'B', title: 'New' },
    });
    expect(renamed({ name: 'Van', ends: [] }, 'TB-1', 'ignored')).toEqual({ name: 'TB-1', ends: [] });
    expect(renamed('text', 'B', '')).toBe('text');
});
