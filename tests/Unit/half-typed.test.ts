// @vitest-environment happy-dom
import { beforeEach, expect, it } from 'vitest';
import { HalfTypedSteps, type HalfTyped } from '@/lib/half-typed';

const typed: HalfTyped = { readings: { length: '9 29/' }, note: 'bur', points: [0, 2], found: null };

beforeEach(() => localStorage.clear());

it('is there again after a reload, for the same person, job and release', () => {
    new HalfTypedSteps(7, 2, 'Wren').keep('prepare.A1', typed);
    expect(new HalfTypedSteps(7, 2, 'Wren').find('prepare.A1')).toEqual(typed);
    for (const other of [
        new HalfTypedSteps(8, 2, 'Wren'),
        new HalfTypedSteps(7, 3, 'Wren'),
        new HalfTypedSteps(7, 2, 'Pia'),
    ])
        expect(other.find('prepare.A1')).toBeNull();
});

it('keeps each step by itself, and nothing once a step is logged or emptied', () => {
    const steps = new HalfTypedSteps(7, 1, 'Wren');
    steps.keep('prepare.A1', typed);
    steps.keep('prepare.A2', { ...typed, note: 'second' });
    steps.keep('prepare.A1', null);
    expect(steps.find('prepare.A1')).toBeNull();
    expect(steps.find('prepare.A2')?.note).toBe('second');
    steps.keep('prepare.A2', { readings: { length: '' }, note: '', points: [], found: null });
    expect(localStorage.length).toBe(0);
});

it('takes nothing that it did not write', () => {
    for (const text of [
        '{',
        'null',
        '[1]',
        '{"prepare.A1":{"readings":{"length":9},"note":"","points":[]}}',
    ]) {
        localStorage.setItem('bead-half-typed-7-1-Wren', text);
        expect(new HalfTypedSteps(7, 1, 'Wren').find('prepare.A1')).toBeNull();
    }
});
