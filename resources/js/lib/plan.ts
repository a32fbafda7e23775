// What the server sends of a job: numbers in base units (mm, °), text in the person's units.
import type {
    JobDocument,
    KeepOutDocument,
    LengthText,
    RouteDocument,
    RoutingLimit,
    Triple,
    Units,
} from './job-document';

export type * from './job-document';

export type Shown = { value: number; text: string };
export type Frame = { at: Triple; forward: Triple; reference: Triple };

export type Reason = {
    rule: string;
    inputs: { label: string; text: string }[];
    source: string;
    sourceKind: string;
    changes: string;
};

export type Figure = {
    key: string;
    label: string;
    quantity: string | null;
    value: number | null;
    text: string;
    /** What was proposed, where a person overruled it. */
    proposed?: string;
    override?: { value: string; why: string };
    /** Its working; figures of a plan are sent without it, and asked for it when they are opened. */
    reason?: Reason;
};

export type Segment = {
    bend: number | null;
    from: number;
    length: number;
    clr: number;
    angle: number;
    start: Frame;
};

export type BendRow = { straight: Shown; rotation: Shown; angle: Shown; clr: Shown };

export type TubeRun = {
    length: Shown;
    turning: Shown;
    segments: Segment[];
    bends: BendRow[];
    endStraight: Shown;
    end: Frame;
    vertices: Triple[];
};

export type FarEnd = {
    closed: boolean;
    gap: Shown;
    angle: Shown;
    along: Shown;
    across: Shown;
    best: { kind: 'turn' | 'trim'; index: number; amount: number; text: string; leaves: string } | null;
};

export type Clocking = { turn: Shown; around: Shown; way: string };

export type Piece = {
    mark: string;
    stock: string;
    isBend: boolean;
    from: number;
    to: number;
    length: Shown;
    cutLength: Shown;
    angle: Shown;
    clr: Shown;
    legBefore: Shown;
    legAfter: Shown;
    startPrep: string;
    endPrep: string;
    trim: Figure;
    shrink: Figure;
    slip: Figure;
    mass: Shown;
    marks: { label: string; outer: Shown; centre: Shown; inner: Shown }[];
    clocking: Clocking | null;
};

export type Joint = {
    id: string;
    type: string;
    typeLabel: string;
    welded: boolean;
    between: string;
    and: string;
    station: number;
    seam: Shown;
    metals: string;
    index: { long: number; short: number; text: string };
    up: number | null;
    nextThroat: number | null;
};

export type PlacedFitting = {
    joint: string;
    label: string;
    piece: string;
    station: number;
    fromTop: Shown;
    fromPieceStart: Shown;
    fromThroat: Clocking;
};

export type Sheet = {
    joint: string;
    run: string;
    tacks: { trial: number[]; full: number[]; length: Shown };
    settings: Record<string, Figure>;
    working: [Shown, Shown];
    purge: Record<string, Figure>;
    pose: { feedAtStart: boolean; trapped: Shown; stoodOnEnd: boolean };
    warnings: string[];
};

export type RunEnd = { name: string; kind: string; frame: Frame };

export type RunPlan = {
    letter: string;
    name: string;
    tube: { id: string; name: string; od: Shown; wall: Shown } | null;
    start: RunEnd;
    target: RunEnd;
    /** The edge of the port's opening, once round. */
    opening: Triple[] | null;
    ends: { distance: Shown; turn: Shown; miss: Shown; leastBends: number };
    run: TubeRun | null;
    farEnd: FarEnd | null;
    mass: Shown;
    bore: Record<string, Figure>;
    pieces: Piece[];
    joints: Joint[];
    fittings: PlacedFitting[];
};

/** What all pieces of one size of tube are cut from. */
export type Nesting = {
    tube: string;
    leastBars: number;
    bars: { length: Shown; cuts: (Shown & { mark: string; run: string })[]; left: Shown }[];
    donors: { stock: string; cuts: { mark: string; run: string }[]; left: Shown }[];
};

export type StockNeed = { id: string; needed: number; onShelf: number; toBuy: number };

export type CutPlan = { nestings: Nesting[]; stock: StockNeed[]; toBuy: number; mass: Shown };

export type FitStep = {
    order: number;
    run: string;
    joint: string;
    brings: string;
    to: string;
    why: string;
};

export type FitPlan = {
    /** The runs as they go in. */
    letters: string[];
    /** Whether that order was worked out; otherwise it is that of the survey. */
    ordered: boolean;
    /** What is looked at in the trial fit; the last line is the caution. */
    trialFit: string[];
    steps: FitStep[];
    tight: { joint: string; other: string; gap: Shown }[];
    nuts: Nut[];
};

export type Argon = {
    /** One for each use; `short` says what that means where there is too little. */
    lines: { name: string; needs: Shown; left: Shown; share: number; short: string | null }[];
    total: Shown;
    left: Shown;
    enough: boolean;
    caution: string;
};

export type WeldPlan = { sheets: Sheet[]; argon: Argon };

export type Slot = {
    order: number;
    joint: string;
    run: string;
    phase: string;
    phaseLabel: string;
    why: string;
    start: Shown;
    wait: Shown;
};

export type Schedule = { slots: Slot[]; total: Shown; waiting: Shown; oneByOne: Shown };

export type Step = {
    id: string;
    kind: string;
    kindLabel: string;
    subject: string;
    title: string;
    do: string[];
    caution: string;
    seconds: number | null;
    measures: { name: string; label: string; quantity: string; planned: string | null }[];
};

export type KeepOut = {
    name: string;
    kind: string;
    kindLabel: string;
    shape: KeepOutDocument['shape'];
    at: Triple;
    to: Triple;
    size: Triple;
    radius: number;
    mesh: string | null;
    axes: [Triple, Triple, Triple];
};

export type Gap = {
    run: string;
    other: string;
    isRun: boolean;
    gap: Shown;
    needed: Shown;
    kept: boolean;
    from: Triple;
    to: Triple | null;
};

export type LengthCheck = {
    runs: (Shown & { letter: string })[];
    common: Shown;
    tolerance: Shown;
    spread: Shown;
    hasTarget: boolean;
    holds: boolean;
};

export type Insertion = {
    order: {
        run: string;
        direction: Triple;
        along: string;
        tip: { about: Triple; axis: Triple; deg: number } | null;
    }[];
    stuck: { run: string; by: string[] }[];
    /** For each run what keeps it from coming out with all the others in place. */
    alone: { run: string; by: string[] }[];
};

export type SetStyle = {
    gapSpread: Shown | null;
    flatness: (Shown & { letter: string })[];
    mirror: Shown | null;
};

export type SetPlan = {
    keepOuts: KeepOut[];
    gaps: Gap[];
    lengths: LengthCheck[];
    style: SetStyle;
    /** Where the runs meet as it stands: what is proposed for a collector. */
    meeting: {
        name: string;
        runs: string[];
        assignment: string;
        entry: string;
        at: [string, string, string];
        axis: Triple;
    } | null;
    rules: Record<RoutingLimit, Shown>;
};

/** A nut of a flange, and how far a spanner swings on it. */
export type Nut = { name: string; swing: Shown; inTheWay: string[] };

export type Notice = { severity: 'problem' | 'caution'; path: string; message: string };

export type Plan = {
    runs: RunPlan[];
    set: SetPlan;
    tuning: Record<string, Figure>;
    jointCount: number;
    cut: CutPlan;
    fit: FitPlan;
    weld: WeldPlan;
    schedule: Schedule;
    notices: Notice[];
};

/** What comes while something is dragged: the routes anew, everything behind them as it was. */
export type PlanSketch = Pick<Plan, 'set' | 'notices'> & {
    runs: (Pick<RunPlan, 'letter'> & Partial<RunPlan>)[];
};

/** The stages that follow the order in which runs go in, once that has been worked out. */
export type PlanFollowing = Pick<Plan, 'fit' | 'schedule' | 'notices'>;

export type LogLine = { id: string; step: string; kind: string; note: string; by: string; at: string };

export type Progress = {
    done: string[];
    next: string | null;
    stepsDone: number;
    jointsDone: number;
    readings: Record<string, Record<string, string>>;
    deviations: { step: string; what: string }[];
    log: LogLine[];
};

export type BenchState = Progress & { revision: number; steps: Step[] };

export type Revision = {
    number: number;
    status: 'draft' | 'released';
    version: number;
    releasedAt: string | null;
};

export type NextAction = { stage: Stage; group: string; text: string };

export type JobView = {
    id: number;
    revision: Revision;
    releasedNumber: number | null;
    document: JobDocument;
    plan: Plan;
    units: Units;
    next: NextAction;
    bench: BenchState | null;
    /** The newest search for designs that was not put away. */
    search: number | null;
};

export type Answers = {
    found: number;
    answers: {
        givesUp: string;
        joints: number;
        oddAngles: number;
        /** What of it is on the shelf. */
        shelf: string;
        run: TubeRun;
        route: RouteDocument;
    }[];
    blocked: { constraint: string; by: number; alone: boolean; text: string; radii: [string, string] }[];
};

export type Pasted = {
    rows: {
        line: number;
        name: string;
        at: [LengthText, LengthText, LengthText];
        direction: Triple;
        inletAt: [LengthText, LengthText, LengthText] | null;
        inletDirection: Triple | null;
    }[];
    rejected: { line: number; text: string; why: string }[];
};

/** A whole design: a way for every run, and the inlet (named by the run whose end it was) each goes to. */
export type SearchDesign = {
    seed: number;
    objective: number;
    found: number;
    bends: number;
    odd: number;
    spread: Shown;
    total: Shown;
    runs: {
        letter: string;
        inlet: string;
        at: Triple;
        direction: Triple;
        bends: number;
        run: TubeRun;
        route: RouteDocument;
    }[];
};

export type RouteSearch = {
    id: number;
    state: 'queued' | 'running' | 'done' | 'stopped' | 'failed';
    designs: SearchDesign[];
    message: string;
    /** Whether ends, tubes or keep-outs have changed since. */
    isStale: boolean;
};

export type TubeChoice = { id: string; name: string; onShelf: number; usualFor: string[] };

export type Catalogue = {
    keepOutKinds: { id: string; name: string; clearance: string }[];
    tubes: TubeChoice[];
    metals: { id: string; name: string }[];
    purposes: { id: string; name: string }[];
};

export const STAGES = ['survey', 'route', 'cut', 'fit', 'weld', 'bench', 'handover'] as const;
export type Stage = (typeof STAGES)[number];
