import { expect, it } from 'vitest';
import { plotOf } from '@/parts/plot';

it('draws a trace from left to right, the highest on top, and the limit where it lies', () => {
    expect(plotOf([0, 50, 100], 50, false, 100, 54)).toEqual({
        line: 'M0.0 52.0L50.0 27.0L100.0 2.0',
        limit: 27,
    });
});

it('draws what falls over powers of ten by their number', () => {
    const { line, limit } = plotOf([100_000, 1000, 10], 100, true, 100, 44);
    expect(line).toBe('M0.0 2.0L50.0 22.0L100.0 42.0');
    expect(limit).toBeCloseTo(32);
});

it('draws nothing of nothing, and few of very many', () => {
    expect(plotOf([], 5, false, 100, 50)).toEqual({ line: '', limit: null });
    const many = plotOf(
        Array.from({ length: 5000 }, (_, i) => i),
        null,
        false,
        100,
        50,
    );
    expect(many.line.split('L').length).toBeLessThanOrEqual(400);
    expect(plotOf([7, 7], null, false, 100, 50).line).not.toContain('NaN');
});
