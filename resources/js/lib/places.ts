// Where in the screens a place of the job document is edited, so that what was refused can be led to.
import type { JobDocument, Stage } from './answers';

/** In the order of the work; a stage's key is its place here, so that the survey is 1. */
export const STAGES: Stage[] = [
    'intake',
    'survey',
    'route',
    'merge',
    'cut',
    'fit',
    'weld',
    'bench',
    'handover',
];

/** The stage whose screen has the field for a place such as `runs[2].route.bends[0].angle`. */
export function stageOf(path: string, document: JobDocument): Stage {
    const override = /^overrides\[(\d+)\]/.exec(path);
    if (override) {
        const [kind] = (document.overrides[Number(override[1])]?.figure ?? '').split('.');
        if (kind === 'intake') return 'intake';
        if (kind === 'build' || kind === 'growth') return 'fit';
        return kind === 'cut' || kind === 'merge' ? kind : 'weld';
    }
    if (
        /^set\.collectors\[\d+\]\.build/.test(path) ||
        /^runs\[\d+\]\.(start|end)\.(saddle|slant|plate)/.test(path)
    )
        return 'merge';
    if (path.startsWith('build.')) return 'fit';
    if (path.startsWith('intake')) return 'intake';
    if (/^(outside|prices)/.test(path)) return 'handover';
    if (/^runs\[\d+\]\.route/.test(path) || path.startsWith('set.routing')) return 'route';
    return 'survey';
}

/** The run that a place belongs to, as its index in the document. */
export function runAt(path: string): number | null {
    const found = /^runs\[(\d+)\]/.exec(path);
    return found ? Number(found[1]) : null;
}

/** What a field is called where its own name would not do. */
const FIELDS: Record<string, string> = {
    at: 'place',
    direction: 'flow',
    clr: 'centreline radius',
    endStraight: 'last straight',
    straight: 'straight before it',
    rotation: 'turn',
    fromTop: 'angle from the top',
    station: 'place along the run',
    radius: 'size',
    mass: 'weight',
    seat: 'depth of its seat',
    bore: 'bore',
    tolerance: 'how much they may differ',
    target: 'length',
    runs: 'its runs',
    turn: 'first inlet from the top',
    axis: 'flow',
    into: 'what begins behind it',
    exhaustOpens: 'EVO',
    peakRpm: 'rpm',
    what: 'what is done',
    gas: 'heat of the gas',
    firing: 'firing order',
};
const AXES = ['rearward', 'right', 'up'];
/** Lists of the document whose entries have a name, and what one is called that has none. */
const NAMED: Record<string, string> = {
    collectors: 'collector',
    keepOuts: 'keep-out',
    parts: 'part',
    hangers: 'hanger',
    designs: 'kept design',
    procedures: 'procedure',
    lengths: 'runs of equal length',
    outside: 'work done by others',
    bends: 'bend',
    fittings: 'on its side',
    bolts: 'stud',
    readings: 'reading',
    brought: 'what is brought',
    points: 'point',
};

/** How a person would name a place. */
export function nameOf(path: string, document: JobDocument): string {
    const override = /^overrides\[(\d+)\]/.exec(path);
    if (override) return `your value for ${document.overrides[Number(override[1])]?.figure ?? 'a figure'}`;
    const words: string[] = [];
    let here: unknown = document;
    const steps = path.match(/[^.[\]]+/g) ?? [];
    for (const [i, step] of steps.entries()) {
        here =
            typeof here === 'object' && here !== null ? (here as Record<string, unknown>)[step] : undefined;
        const list = steps[i - 1] ?? '';
        if (/^\d+$/.test(step)) words.push(entryOf(list, Number(step), here));
        else if (
            (step === 'runs' && i === 0) ||
            ['set', 'route', 'build', 'measured', 'intake'].includes(step)
        )
            continue;
        else if (step === 'job' && steps.length > 1) words.push('the job');
        else if (!(step in NAMED) || i === steps.length - 1)
            words.push(
                FIELDS[step] ??
                    step.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`),
            );
    }
    return words.filter((word) => word !== '').join(', ');
}

/** One of a list: a run by its letter, a place by its axis, anything else by its name or its number. */
function entryOf(list: string, index: number, entry: unknown): string {
    const { name, letter } = (entry ?? {}) as { name?: unknown; letter?: unknown };
    if (list === 'runs') return typeof letter === 'string' ? `run ${letter}` : '';
    if (list === 'at' || list === 'direction' || list === 'axis') return AXES[index] ?? '';
    const kind = NAMED[list] ?? '';
    if (typeof name === 'string' && name !== '') return kind === '' ? name : `${kind} “${name}”`;
    return kind === '' ? `${index + 1}` : `${kind} ${index + 1}`;
}
