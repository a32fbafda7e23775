// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { clockText, StepClocks } from '@/screens/bench/clock.svelte';

beforeEach(() => {
    localStorage.clear();
    vi.useFakeTimers({ now: 1_000_000 });
});
afterEach(() => vi.useRealTimers());

it('counts while it runs, holds while it is stopped, and goes on', () => {
    const clock = new StepClocks(7);
    clock.toggle('purge.AJ1');
    vi.advanceTimersByTime(30_000);
    expect(clock.for('purge.AJ1')).toBeCloseTo(30, 0);
    clock.toggle('purge.AJ1');
    vi.advanceTimersByTime(60_000);
    expect(clock.for('purge.AJ1')).toBeCloseTo(30, 0);
    clock.toggle('purge.AJ1');
    vi.advanceTimersByTime(5_000);
    expect(clock.for('purge.AJ1')).toBeCloseTo(35, 0);
    clock.reset('purge.AJ1');
    expect(clock.for('purge.AJ1')).toBe(0);
    clock.close();
});

it('goes on through a reload', () => {
    const clock = new StepClocks(7);
    clock.toggle('cool.AJ1');
    clock.close();
    vi.advanceTimersByTime(120_000);
    const again = new StepClocks(7);
    expect(again.isRunning('cool.AJ1')).toBe(true);
    expect(again.for('cool.AJ1')).toBeCloseTo(120, 0);
    again.close();
});

it('belongs to one step of one job', () => {
    const clock = new StepClocks(7);
    clock.toggle('weld.AJ1');
    vi.advanceTimersByTime(9_000);
    expect(clock.for('weld.AJ2')).toBe(0);
    const other = new StepClocks(8);
    expect(other.for('weld.AJ1')).toBe(0);
    clock.close();
    other.close();
});

it('starts from nothing where the store cannot be read', () => {
    localStorage.setItem('bead-clocks-7', '{');
    const clock = new StepClocks(7);
    expect(clock.for('weld.AJ1')).toBe(0);
    clock.close();
});

it('runs several at once, each for itself', () => {
    const clocks = new StepClocks(7);
    clocks.toggle('purge.AJ1');
    vi.advanceTimersByTime(10_000);
    clocks.toggle('weld.BJ2');
    vi.advanceTimersByTime(5_000);
    expect(clocks.running).toEqual(['purge.AJ1', 'weld.BJ2']);
    clocks.stop('purge.AJ1');
    vi.advanceTimersByTime(5_000);
    expect(clocks.running).toEqual(['weld.BJ2']);
    expect(clocks.for('purge.AJ1')).toBeCloseTo(15, 0);
    expect(clocks.for('weld.BJ2')).toBeCloseTo(10, 0);
    clocks.close();
});

it('takes what is no clock for none', () => {
    localStorage.setItem(
        'bead-clocks-7',
        '{"weld.AJ1":{"startedAt":"noon","gone":1},"weld.AJ2":{"startedAt":null,"gone":2000}}',
    );
    const clocks = new StepClocks(7);
    expect([clocks.for('weld.AJ1'), clocks.for('weld.AJ2')]).toEqual([0, 2]);
    clocks.close();
});

it('shows minutes and seconds, begun seconds whole', () => {
    expect([0, 0.2, 59.01, 60, 605].map(clockText)).toEqual(['0:00', '0:01', '1:00', '1:00', '10:05']);
    expect(clockText(3725)).toBe('1:02:05');
    expect(clockText(-3)).toBe('0:00');
});
