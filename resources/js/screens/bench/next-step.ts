// Which step is proposed: the first whose forerunners are done and that need not wait for something to cool.
import type { Step } from '@/lib/answers';
import type { Kept } from '@/lib/log-queue';
import { clockText } from './clock.svelte';

/** When (ms) each joint was welded that may still be hot. */
export type Cooling = Map<string, number>;

export type Proposal = { step: Step; why: string };

/** When each joint was welded: by what the server knows, and by entries that still wait here. */
export function coolingOf(steps: Step[], weldedAt: Record<string, string>, waiting: Kept[]): Cooling {
    const at = new Map(Object.entries(weldedAt));
    for (const entry of waiting) {
        if (entry.refused) continue;
        if (entry.kind === 'done') at.set(entry.step, entry.at);
        if (entry.kind === 'reopen') at.delete(entry.step);
    }
    const welded: Cooling = new Map();
    for (const step of steps) {
        const time = at.get(step.id);
        if (time !== undefined && step.clock === 'up' && step.cools !== null)
            welded.set(step.subject, Date.parse(time));
    }
    return welded;
}

/** Steps by what they are listed under, in the order in which each group begins. */
export function groupsOf(steps: Step[]): [string, Step[]][] {
    const all = new Map<string, Step[]>();
    for (const step of steps) all.set(step.group, [...(all.get(step.group) ?? []), step]);
    return [...all];
}

/** How long a step that waits for a joint still waits: below the code limit it is done sooner than for a hand. */
export function secondsLeft(step: Step, cooling: Cooling, now: number): number {
    const welded = cooling.get(step.subject);
    return step.clock === 'since-weld' && step.cools !== null && welded !== undefined
        ? Math.max(0, step.cools - (now - welded) / 1000)
        : 0;
}

export function propose(steps: Step[], done: Set<string>, cooling: Cooling, now: number): Proposal | null {
    const open = steps.filter((step) => !done.has(step.id));
    const ready = open.filter((step) => step.after.every((id) => done.has(id)));
    const first = ready[0];
    // A plan whose steps wait for each other in a ring is gone through as it is listed.
    if (!first) return open[0] ? { step: open[0], why: '' } : null;
    const left = (step: Step) => secondsLeft(step, cooling, now);
    const step = ready.find((one) => left(one) === 0);
    if (!step) {
        const soonest = ready.reduce((a, b) => (left(b) < left(a) ? b : a));
        return {
            step: soonest,
            why: `Nothing else can be done until ${soonest.subject} is cool, in about ${clockText(left(soonest))}.`,
        };
    }
    const hot = ready.slice(0, ready.indexOf(step)).map((one) => one.subject);
    return { step, why: hot.length > 0 ? `While ${hot.join(', ')} cool${hot.length > 1 ? '' : 's'}.` : '' };
}

/** What a step still waits for, in words. */
export function waitsOf(
    step: Step,
    steps: Step[],
    done: Set<string>,
    cooling: Cooling,
    now: number,
): string[] {
    const own = secondsLeft(step, cooling, now);
    return [
        ...(own > 0 ? [`${step.subject} still cools for about ${clockText(own)}.`] : []),
        ...step.after
            .filter((id) => !done.has(id))
            .map((id) => steps.find((one) => one.id === id))
            .filter((one) => one !== undefined)
            .map((one) =>
                one.clock === 'since-weld'
                    ? `${one.subject} has not been measured cool.`
                    : `Not done yet: ${one.title}.`,
            ),
    ];
}
