import { expect, it } from 'vitest';
import type { Step } from '@/lib/answers';
import type { Kept } from '@/lib/log-queue';
import { coolingOf, groupsOf, propose, secondsLeft, waitsOf } from '@/screens/bench/next-step';

const NOW = Date.parse('2026-03-02T10:00:00Z');

const CLOCKS: Record<string, Step['clock']> = { weld: 'up', cool: 'since-weld', warm: 'since-weld' };

function step(kind: string, subject: string, after: string[] = [], cools: number | null = null): Step {
    const id = `${kind}.${subject}`;
    const clock = CLOCKS[kind] ?? null;
    return { id, kind, subject, clock, title: id, after, cools, group: subject } as unknown as Step;
}

/** Two joints of two runs, and one of the first run that lies beside its first. */
const STEPS = [
    step('weld', 'AJ1', [], 600),
    step('cool', 'AJ1', ['weld.AJ1'], 600),
    step('weld', 'AJ2', ['cool.AJ1'], 600),
    step('weld', 'BJ1', [], 300),
    step('cool', 'BJ1', ['weld.BJ1'], 300),
    step('inspect', 'A', ['cool.AJ1', 'weld.AJ2', 'cool.BJ1']),
];
const welded = (at: string) => coolingOf(STEPS, { 'weld.AJ1': at }, []);

it('goes on with the first step whose forerunners are done', () => {
    expect(propose(STEPS, new Set(), new Map(), NOW)?.step.id).toBe('weld.AJ1');
    expect(propose(STEPS, new Set(['weld.AJ1']), new Map(), NOW)?.step.id).toBe('cool.AJ1');
});

it('proposes another joint while one cools, and says so', () => {
    const found = propose(STEPS, new Set(['weld.AJ1']), welded('2026-03-02T09:55:00Z'), NOW);
    expect([found?.step.id, found?.why]).toEqual(['weld.BJ1', 'While AJ1 cools.']);
});

it('comes back to it once it is cool', () => {
    const found = propose(STEPS, new Set(['weld.AJ1']), welded('2026-03-02T09:49:59Z'), NOW);
    expect([found?.step.id, found?.why]).toEqual(['cool.AJ1', '']);
});

it('waits for the joint that is cool soonest where nothing else can be done', () => {
    const cooling = coolingOf(
        STEPS,
        { 'weld.AJ1': '2026-03-02T09:55:00Z', 'weld.BJ1': '2026-03-02T09:59:00Z' },
        [],
    );
    const found = propose(STEPS, new Set(['weld.AJ1', 'weld.BJ1']), cooling, NOW);
    expect(found?.step.id).toBe('cool.BJ1');
    expect(found?.why).toBe('Nothing else can be done until BJ1 is cool, in about 4:00.');
});

it('knows a weld that still waits on this device, and one that was opened again', () => {
    const entry = (kind: string) =>
        ({ kind, step: 'weld.AJ1', at: '2026-03-02T09:58:00Z', refused: null }) as Kept;
    expect(coolingOf(STEPS, {}, [entry('done')]).get('AJ1')).toBe(NOW - 120_000);
    expect(coolingOf(STEPS, {}, [entry('done'), entry('reopen')]).size).toBe(0);
});

it('says what a step waits for that is taken up before its turn', () => {
    const cooling = welded('2026-03-02T09:55:00Z');
    const find = (id: string) => STEPS.find((one) => one.id === id)!;
    const waits = (id: string, done: string[]) => waitsOf(find(id), STEPS, new Set(done), cooling, NOW);
    expect(waits('cool.AJ1', ['weld.AJ1'])).toEqual(['AJ1 still cools for about 5:00.']);
    expect(waits('weld.AJ2', ['weld.AJ1'])).toEqual(['AJ1 has not been measured cool.']);
    expect(waits('cool.BJ1', [])).toEqual(['Not done yet: weld.BJ1.']);
});

it('has nothing to propose when all is done, and goes through a ring as it is listed', () => {
    expect(propose(STEPS, new Set(STEPS.map((one) => one.id)), new Map(), NOW)).toBeNull();
    const ring = [step('a', '1', ['b.1']), step('b', '1', ['a.1'])];
    expect(propose(ring, new Set(), new Map(), NOW)?.step.id).toBe('a.1');
});

it('lists the steps of one joint together, wherever they stand', () => {
    expect(groupsOf(STEPS).map(([name, some]) => [name, some.length])).toEqual([
        ['AJ1', 2],
        ['AJ2', 1],
        ['BJ1', 2],
        ['A', 1],
    ]);
});

it('lets the next seam be begun below the code limit while a hand still waits', () => {
    const warm = { ...step('warm', 'AJ1', ['weld.AJ1'], 408), kind: 'cool' } as Step;
    const steps = [STEPS[0]!, warm, step('cool', 'AJ1', ['weld.AJ1'], 2082)];
    const cooling = coolingOf(steps, { 'weld.AJ1': '2026-03-02T09:52:00Z' }, []);
    expect(secondsLeft(warm, cooling, NOW)).toBe(0);
    expect(secondsLeft(steps[2]!, cooling, NOW)).toBe(1602);
    expect(propose(steps, new Set(['weld.AJ1']), cooling, NOW)?.step.id).toBe('warm.AJ1');
});
