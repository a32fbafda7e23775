// The job document, as docs/job-file.md has it.

export type Triple = [number, number, number];
export type Units = 'inch' | 'metric';

export type LengthText = string | number;

export type EndDocument = {
    kind: string;
    name: string;
    at: [LengthText, LengthText, LengthText];
    direction: Triple;
    up?: Triple;
    metal: string;
    wall: LengthText;
    bolts?: BoltsDocument | null;
    bore?: BoreDocument | null;
};

export type BoltsDocument = { count: number; circle: LengthText; turn: LengthText; flats: LengthText };

export type BoreDocument = {
    shape: string;
    width: LengthText;
    height?: LengthText;
    corner?: LengthText;
    turn: LengthText;
};

/** What is asked of where an open end lies. */
export type OutletDocument = { name: string; axis: string; least?: LengthText; most?: LengthText };

export type Lockable = 'straight' | 'rotation' | 'angle';
export type RowDocument = {
    straight: LengthText;
    rotation: LengthText;
    angle: LengthText;
    clr: LengthText;
    locked?: Lockable[];
};
export type RouteDocument = { bends: RowDocument[]; endStraight: LengthText; endLocked?: boolean };

export type RunDocument = {
    letter: string;
    name: string;
    tube: string;
    start: EndDocument;
    end: EndDocument;
    route: RouteDocument | null;
    fittings: { kind: string; station: LengthText; fromTop: LengthText }[];
};

export type KeepOutDocument = {
    name: string;
    kind: string;
    shape: 'half-space' | 'box' | 'cylinder' | 'capsule' | 'mesh';
    at: LengthText[];
    direction?: number[];
    to?: LengthText[];
    size?: LengthText[];
    radius?: LengthText;
    mesh?: string;
    clearance?: LengthText | null;
    note?: string;
};

export type CollectorDocument = {
    name: string;
    runs: string[];
    assignment: 'fixed' | 'any' | 'cyclic';
    firing: string[];
    entry?: 'welded' | 'slip' | undefined;
};

export type DesignDocument = {
    name: string;
    note: string;
    runs: { letter: string; at: LengthText[]; direction: Triple; route: RouteDocument }[];
};

export type RoutingLimit = 'firstStraight' | 'innerStraight' | 'lastStraight' | 'gap' | 'maxBends';
export type RoutingDocument = Partial<Record<RoutingLimit, LengthText | null>> & {
    prefer?: string;
    planes?: string[];
    evenGaps?: boolean;
    mirrored?: boolean;
};

export type SetDocument = {
    collectors: CollectorDocument[];
    keepOuts: KeepOutDocument[];
    lengths: { runs: string[]; target: LengthText | null; tolerance: number }[];
    designs?: DesignDocument[] | undefined;
    routing?: RoutingDocument | undefined;
    outlets?: OutletDocument[] | undefined;
};

export type EngineDocument = {
    cylinderCc: number;
    exhaustOpens: number;
    peakRpm: number;
    port: LengthText;
    metalC?: number | null;
};

export type JobDocument = {
    format: string;
    version: number;
    job: {
        number: string;
        title: string;
        customer: string;
        vehicle: string;
        purpose: string;
        units: Units;
        metal: string;
        note: string;
    };
    engine?: EngineDocument | null;
    runs: RunDocument[];
    set?: SetDocument;
    overrides: { figure: string; value: string; why: string }[];
};
