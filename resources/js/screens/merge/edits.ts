// Changes to the job document that a collector or a branch begins with; where they stand is worked out by the core.
import type { JobDocument, Plan, Triple } from '@/lib/answers';
import { freeName } from '@/lib/free-name';

/** More tubes do not go into one collector; as the core has it. */
const MOST_INLETS = 6;

const LETTERS = 'KMNPQRSTUVWXYZABCDEFGHJL';

/** A letter that no run and no collector has. */
export function nextLetter(document: JobDocument): string {
    const taken = new Set([
        ...document.runs.map((run) => run.letter),
        ...(document.set?.collectors ?? []).flatMap((one) => (one.build ? [one.build.letter] : [])),
    ]);
    const free = [...LETTERS].find((letter) => !taken.has(letter));
    return free ?? [...LETTERS].map((letter) => `K${letter}`).find((two) => !taken.has(two)) ?? 'KK';
}

/** Begins to make a collector: one that was surveyed, by its name, or a new one that stands alone. */
export function buildCollector(document: JobDocument, plan: Plan, letter: string, name: string | null): void {
    document.set ??= { collectors: [], keepOuts: [], lengths: [] };
    const collectors = (document.set.collectors ??= []);
    const known = collectors.find((one) => one.name === name);
    // A new one begins where runs end that nothing else is at; those that have no way yet then end in its inlets.
    const ending = openEnds(document).slice(0, MOST_INLETS);
    const isForRuns = !known && ending.length > 1;
    const runs = plan.runs.filter((run) => (isForRuns ? ending : (known?.runs ?? [])).includes(run.letter));
    const isUnrouted = runs.every((run) => !run.run);
    const meets = plan.set.meeting?.name === name ? plan.set.meeting : null;
    const ends = runs.map((run) => run.target.frame);
    const tube = runs[0]?.tube?.id ?? plan.runs[0]?.tube?.id ?? 'T1.625x.065';
    const build = {
        letter,
        make: 'straight' as const,
        inlets: Math.min(MOST_INLETS, Math.max(2, runs.length)),
        tube,
        at: (meets?.at ?? middle(ends.map((end) => end.at))) as [string, string, string],
        axis: meets?.axis ?? ends[0]?.forward ?? ([1, 0, 0] as Triple),
        turn: 45,
    };
    if (known) known.build = build;
    else
        collectors.push({
            name: freeName(
                'Collector',
                collectors.map((one) => one.name),
            ),
            runs: isForRuns && isUnrouted ? runs.map((run) => run.letter) : [],
            assignment: isForRuns && isUnrouted ? 'any' : 'fixed',
            firing: [],
            build,
        });
}

function middle(points: Triple[]): string[] {
    return [0, 1, 2].map(
        (axis) =>
            `${(points.reduce((sum, point) => sum + (point[axis] ?? 0), 0) / Math.max(1, points.length)).toFixed(1)} mm`,
    );
}

export function crossed(a: Triple, b: Triple): Triple {
    return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

/** Letters of runs with an end that nothing is welded to and that is still square: where a tip may be slanted. */
export function openEnds(document: JobDocument): string[] {
    const collected = (document.set?.collectors ?? []).flatMap((one) => one.runs);
    return document.runs
        .filter(({ letter, end }) => end.kind === 'open' && !end.slant && !collected.includes(letter))
        .map(({ letter }) => letter);
}
