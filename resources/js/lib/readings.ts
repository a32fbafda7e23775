// Readings at the vehicle: the ways to take one, and the changes they make to a job's document.
import type {
    JobDocument,
    LengthText,
    MeasuredDocument,
    MeasuringTool,
    PointText,
    ReadingDocument,
    ReadingKind,
    WalkStep,
    WayWord,
} from './answers';

export const DATUM = 'datum';

/** What a reading helps to find. */
export type Finds = 'place' | 'direction' | 'both' | 'nothing';

/** A way to take a reading, as it is offered. */
export type ReadingWay = {
    id: string;
    kind: ReadingKind;
    name: string;
    /** What to hold where. */
    how: string;
    finds: Finds;
    tool: MeasuringTool;
    /** What else it names, and what of that is an end of a run only. */
    with?: { label: string; ends?: boolean }[];
    isOfEnd: boolean;
    value?: { label: string; isPoint?: boolean; mayLack?: boolean };
    /** Which ways may be chosen, in words. */
    way?: { label: string; options: WayWord[] };
    toward?: { label: string; options: WayWord[] };
    isOther?: { label: string; no: string; yes: string };
    points?: { label: string; least: number };
};

const LEVEL: WayWord[] = ['rearward', 'forward', 'right', 'left'];

export const PLACE_WAYS: ReadingWay[] = [
    {
        id: 'offsets',
        kind: 'offset',
        name: 'Rearward, right and up of a point',
        how: 'Three tapes, each level or plumb and square to the others, from the datum or a point that is known.',
        finds: 'place',
        tool: 'tape',
        with: [{ label: 'Measured from' }],
        isOfEnd: false,
        value: { label: 'Rearward; right; up', isPoint: true },
    },
    {
        id: 'offset',
        kind: 'offset',
        name: 'One way from a point',
        how: 'One tape along one way. Ahead, left and below are minus.',
        finds: 'place',
        tool: 'tape',
        with: [{ label: 'Measured from' }],
        isOfEnd: false,
        way: { label: 'Along', options: ['rearward', 'right', 'up'] },
        value: { label: 'How far' },
    },
    {
        id: 'tape-from',
        kind: 'tape',
        name: 'A tape from a known point',
        how: 'Straight from point to middle, whichever way that is. Three such tapes from three points give a place.',
        finds: 'place',
        tool: 'tape',
        with: [{ label: 'From' }],
        isOfEnd: false,
        value: { label: 'How far' },
    },
    {
        id: 'midway',
        kind: 'midpoint',
        name: 'Midway between two points',
        how: 'Two things either side of it, equally far: two studs, two dowels.',
        finds: 'place',
        tool: 'tape',
        with: [{ label: 'Between' }, { label: 'and' }],
        isOfEnd: false,
    },
    {
        id: 'line',
        kind: 'on_line',
        name: 'In line with two points',
        how: 'A string or a straight-edge through two known points passes its middle.',
        finds: 'place',
        tool: 'tape',
        with: [{ label: 'Through' }, { label: 'and' }],
        isOfEnd: false,
    },
    {
        id: 'bolts',
        kind: 'bolt_circle',
        name: 'Bolts round it',
        how: 'Touch three bolt holes or more: they lie on a circle about its middle, in its face.',
        finds: 'both',
        tool: 'tape',
        isOfEnd: true,
        points: { label: 'Bolt', least: 3 },
        value: { label: 'Bolt circle, if known', mayLack: true },
    },
];

export const DIRECTION_WAYS: ReadingWay[] = [
    {
        id: 'falls',
        kind: 'dip',
        name: 'How far it falls or rises',
        how: 'Push a straight stub into it and lay the angle finder along its top.',
        finds: 'direction',
        tool: 'finder',
        isOfEnd: true,
        toward: { label: 'Going out of the part it goes', options: ['down', 'up'] },
        value: { label: 'From level, degrees' },
    },
    {
        id: 'above',
        kind: 'bearing',
        name: 'Which way, seen from above',
        how: 'Look down on the stub; read it against a string or straight-edge that lies fore and aft.',
        finds: 'direction',
        tool: 'finder',
        isOfEnd: true,
        way: { label: 'Counted from straight', options: LEVEL },
        toward: { label: 'towards the', options: LEVEL },
        value: { label: 'Degrees' },
    },
    {
        id: 'plumb',
        kind: 'lean',
        name: 'How far off plumb',
        how: 'Hold the angle finder against the stub: once seen from the side, once from the front. Of little use near level.',
        finds: 'direction',
        tool: 'finder',
        isOfEnd: true,
        toward: { label: 'Going out of the part it goes', options: ['down', 'up'] },
        way: { label: 'and leans to the', options: LEVEL },
        value: { label: 'From plumb, degrees' },
    },
    {
        id: 'level',
        kind: 'level',
        name: 'It is level, or plumb',
        how: 'A spirit level along the stub.',
        finds: 'direction',
        tool: 'finder',
        isOfEnd: true,
        isOther: { label: 'It is', no: 'level', yes: 'plumb' },
    },
    {
        id: 'rod',
        kind: 'rod',
        name: 'Two points along a rod',
        how: 'A straight rod or stub in it: take the place of two points on it, the one nearer the part first.',
        finds: 'direction',
        tool: 'rod',
        isOfEnd: true,
        points: { label: 'Point', least: 2 },
    },
    {
        id: 'face',
        kind: 'face',
        name: 'Points of its face',
        how: 'Touch three points of the flange’s face or more. Its direction is square to the face: check that with a stub.',
        finds: 'direction',
        tool: 'rod',
        isOfEnd: true,
        points: { label: 'Point', least: 3 },
    },
    {
        id: 'square',
        kind: 'square_to',
        name: 'Square to another face',
        how: 'Its face and that of another end lie against one straight-edge, or look at each other.',
        finds: 'direction',
        tool: 'finder',
        with: [{ label: 'Like the face of', ends: true }],
        isOfEnd: true,
        isOther: { label: 'It faces', no: 'the same way', yes: 'the other way' },
    },
];

export const CHECKS: ReadingWay[] = [
    {
        id: 'tape',
        kind: 'tape',
        name: 'A tape between two ends or points',
        how: 'Straight, middle to middle. It checks all the others.',
        finds: 'nothing',
        tool: 'tape',
        with: [{ label: 'To' }],
        isOfEnd: false,
        value: { label: 'How far' },
    },
    {
        id: 'angle',
        kind: 'angle',
        name: 'An angle between two ends',
        how: 'Between the stubs of both, each out of its part: 0 where they point the same way.',
        finds: 'nothing',
        tool: 'finder',
        with: [{ label: 'To', ends: true }],
        isOfEnd: true,
        value: { label: 'Degrees' },
    },
];

export const TOOLS: { id: MeasuringTool; name: string; angles: boolean }[] = [
    { id: 'tape', name: 'tape in the open', angles: false },
    { id: 'corner', name: 'tape round a corner', angles: false },
    { id: 'rod', name: 'straight rod', angles: false },
    { id: 'finder', name: 'angle finder or level', angles: true },
    { id: 'phone', name: 'phone held against it', angles: true },
    { id: 'eye', name: 'by eye', angles: true },
];

const ALL = [...PLACE_WAYS, ...DIRECTION_WAYS, ...CHECKS];

/** The way that a reading was taken by. */
export function wayOf(reading: ReadingDocument): ReadingWay {
    const isWhole = reading.kind === 'offset' && reading.way === undefined;
    const found = ALL.find((one) => one.kind === reading.kind && (one.id === 'offsets') === isWhole);
    if (!found) throw new Error(`No way to read ${reading.kind}.`);
    return found;
}

/** A reading by one of the ways, not yet filled in. */
export function begin(way: ReadingWay, of: string, id: string): ReadingDocument {
    return {
        id,
        kind: way.kind,
        tool: way.tool,
        of,
        ...(way.with ? { with: way.with.map(({ ends }) => (ends ? '' : DATUM)) } : {}),
        ...(way.way ? { way: way.way.options[0] } : {}),
        ...(way.toward ? { toward: way.toward.options[way.id === 'above' ? 2 : 0] } : {}),
        ...(way.value ? { value: way.value.isPoint ? ['', '', ''] : '' } : {}),
        ...(way.points ? { points: Array.from({ length: way.points.least }, () => '') } : {}),
    };
}

/** What was typed into one field: a place of three lengths, or the name of a point. */
export function placeFrom(text: string): PointText | string {
    const parts = text.split(/\s*;\s*/);
    return parts.length === 3 ? [parts[0] ?? '', parts[1] ?? '', parts[2] ?? ''] : text.trim();
}

export function placeText(place: PointText | string | number | undefined): string {
    if (!Array.isArray(place)) return `${place ?? ''}`;
    return place.every((one) => one === '') ? '' : place.join('; ');
}

/** A number where it is one: degrees and millimetres may be written without a unit. */
export function numberOr(text: string): LengthText {
    const plain = text.trim();
    return plain !== '' && !Number.isNaN(Number(plain)) ? Number(plain) : plain;
}

export const endName = (letter: string, isStart: boolean) => `${letter}.${isStart ? 'start' : 'end'}`;

/** A point or an end, as it is said. */
export function placeWords(name: string): string {
    if (name === DATUM) return 'the datum';
    const [letter, side] = name.split('.');
    return side === 'start' || side === 'end' ? `${side} of ${letter}` : name;
}

/** The measured part of a document, made where there is none. */
export function measuredOf(document: JobDocument): MeasuredDocument {
    return (document.measured ??= { points: [], ends: [], readings: [] });
}

export function freeId(document: JobDocument): string {
    const taken = new Set((document.measured?.readings ?? []).map(({ id }) => id));
    for (let i = 1; ; i++) if (!taken.has(`r${i}`)) return `r${i}`;
}

/** Lets the place or direction of an end follow from readings, or be typed again. */
export function follow(
    document: JobDocument,
    letter: string,
    isStart: boolean,
    what: { place: boolean; direction: boolean },
): void {
    const measured = measuredOf(document);
    const there = measured.ends.find((one) => one.run === letter && one.isStart === isStart);
    if (there) Object.assign(there, what);
    else measured.ends.push({ run: letter, isStart, ...what });
    measured.ends = measured.ends.filter((one) => one.place || one.direction);
    tidy(document);
}

/** Adds a reading; the end or point that it is about follows from readings from then on. */
export function add(document: JobDocument, reading: ReadingDocument, finds: Finds): void {
    const measured = measuredOf(document);
    measured.readings.push(reading);
    const [letter = '', side] = reading.of.split('.');
    if (side !== 'start' && side !== 'end') return;
    const isStart = side === 'start';
    const now = measured.ends.find((one) => one.run === letter && one.isStart === isStart);
    const wants = {
        place: (now?.place ?? false) || finds === 'place' || finds === 'both',
        direction: (now?.direction ?? false) || finds === 'direction' || finds === 'both',
    };
    if (wants.place || wants.direction) follow(document, letter, isStart, wants);
}

/** The reading that a step of the walk asks for. */
export function taken(step: WalkStep, tool: MeasuringTool, value: LengthText, id: string): ReadingDocument {
    return {
        id,
        kind: step.kind,
        tool,
        of: step.of,
        ...(step.with.length > 0 ? { with: step.with } : {}),
        ...(step.way ? { way: step.way } : {}),
        ...(step.toward ? { toward: step.toward } : {}),
        value,
    };
}

/** Nothing is kept of what was measured where there is nothing any more. */
function tidy(document: JobDocument): void {
    const { measured } = document;
    if (measured && measured.points.length + measured.ends.length + measured.readings.length === 0)
        delete document.measured;
}

/** Takes away what is about a point or an end that is gone. */
export function forget(document: JobDocument, isGone: (name: string) => boolean): void {
    const { measured } = document;
    if (!measured) return;
    measured.points = measured.points.filter(({ name }) => !isGone(name));
    measured.ends = measured.ends.filter((one) => !isGone(endName(one.run, one.isStart)));
    measured.readings = measured.readings.filter(
        (one) =>
            ![one.of, ...(one.with ?? []), ...(one.points ?? []).filter((it) => typeof it === 'string')].some(
                (name) => isGone(name),
            ),
    );
    tidy(document);
}
