// Made from docs/schemas by bin/schemas.mjs; change it there.

export type Stage =
    'intake' | 'survey' | 'route' | 'merge' | 'cut' | 'fit' | 'weld' | 'bench' | 'handover' | 'release';
export type Purpose = 'turbo-downpipe' | 'turbo-manifold' | 'header' | 'collector' | 'system' | 'repair';
export type Units = 'inch' | 'metric';
/**
 * An id of core/data/metals.csv.
 */
export type Metal = string;
/**
 * Millimetres as a number, or a text with a unit such as "1 5/8 in", "41.3mm", "16ga".
 */
export type LengthText = number | string;
export type EndKind = 'v-band' | 'flange' | 'slip' | 'flare' | 'socket' | 'saddle' | 'open';
/**
 * Rearward, right and up.
 */
export type PointText = [LengthText, LengthText, LengthText];
/**
 * x, y, z: mm rearward, right and up; without a unit where it is a direction.
 */
export type Triple = [number, number, number];
export type BoreShape = 'round' | 'oval' | 'd' | 'rectangle';
/**
 * Degrees as a number, or a text such as "30°".
 */
export type AngleText = number | string;
export type Seat = 'set-on' | 'set-in';
export type Lockable = 'straight' | 'rotation' | 'angle';
export type FittingKind = 'oxygen-sensor-bung' | 'temperature-probe' | 'bracket' | 'hanger' | 'crack';
export type AssignmentMode = 'fixed' | 'any' | 'cyclic';
export type CollectorEntry = 'welded' | 'slip' | 'butt';
export type CollectorMake = 'straight' | 'bent' | 'quarters' | 'bought';
export type KeepOutKind =
    | 'block'
    | 'frame'
    | 'steering'
    | 'boot'
    | 'starter'
    | 'line'
    | 'plastic'
    | 'tyre'
    | 'ground'
    | 'nut-socket'
    | 'plug-socket'
    | 'oil-drain'
    | 'collector'
    | 'other';
export type KeepOutShape = 'half-space' | 'box' | 'cylinder' | 'capsule' | 'mesh';
export type Preference = 'few-bends' | 'whole-angles' | 'little-turning' | 'short-tubes';
export type BendPlane = 'level' | 'lengthwise' | 'crosswise';
export type OutletAxis = 'rearward' | 'right' | 'up';
export type SeamKind = 'all' | 'butts' | 'fillets' | 'seals' | 'merges';
export type WayWord = 'rearward' | 'forward' | 'right' | 'left' | 'up' | 'down';
export type ReadingKind =
    | 'offset'
    | 'tape'
    | 'rod'
    | 'face'
    | 'bolt_circle'
    | 'dip'
    | 'bearing'
    | 'lean'
    | 'level'
    | 'square_to'
    | 'angle'
    | 'midpoint'
    | 'on_line';
export type MeasuringTool = 'tape' | 'corner' | 'rod' | 'finder' | 'phone' | 'eye';
export type Outcome = 'accept' | 'dress' | 'add' | 'redo';
export type ItemKind =
    | 'tube'
    | 'bend'
    | 'elbow'
    | 'offcut'
    | 'flange'
    | 'band'
    | 'bung'
    | 'part'
    | 'wire'
    | 'gas'
    | 'disc'
    | 'blade';
export type ProblemAssignment =
    | {
          mode: 'fixed';
          map: {
              [k: string]: string;
          };
      }
    | {
          mode: 'any';
          runners: string[];
      }
    | {
          mode: 'cyclic';
          order: string[];
      };
export type ProblemKeepOut =
    | {
          type: 'halfspace';
          id: string;
          kind?: string;
          note?: string;
          clearance?: number;
          exempt_first?: number;
          exempt_last?: number;
          /**
           * mm
           */
          point: [number, number, number];
          /**
           * Out of the solid.
           */
          normal: [number, number, number];
      }
    | {
          type: 'box';
          id: string;
          kind?: string;
          note?: string;
          clearance?: number;
          exempt_first?: number;
          exempt_last?: number;
          /**
           * mm
           */
          centre: [number, number, number];
          /**
           * Whole edges.
           */
          size: [number, number, number];
          axes?: [[number, number, number], [number, number, number], [number, number, number]];
      }
    | {
          type: 'cylinder';
          id: string;
          kind?: string;
          note?: string;
          clearance?: number;
          exempt_first?: number;
          exempt_last?: number;
          /**
           * mm
           */
          from: [number, number, number];
          /**
           * mm
           */
          to: [number, number, number];
          radius: number;
      }
    | {
          type: 'capsule';
          id: string;
          kind?: string;
          note?: string;
          clearance?: number;
          exempt_first?: number;
          exempt_last?: number;
          /**
           * mm
           */
          from: [number, number, number];
          /**
           * mm
           */
          to: [number, number, number];
          radius: number;
      };
/**
 * A joint as it was found, and what is done about it; with the end of such a step.
 */
export type Inspected = null | {
    /**
     * Colour, by its key.
     */
    outside: string;
    /**
     * Null where nobody can look.
     */
    inside: string | null;
    flaws: string[];
    /**
     * Null where it is accepted.
     */
    cause: string | null;
    outcome: Outcome;
};

/**
 * Every answer of the server by the name the front end asks for it; checked once where it arrives.
 */
export interface Answers {
    JobScreen: JobScreen;
    Rack: Rack;
    Person: Person;
    Session: Session;
    Begun: Begun;
    SmallScreen: SmallScreen;
    SmallCard: SmallCard;
    JobQuote: JobQuote;
    Saved: Saved;
    LookOver: LookOver;
    Stale: Stale;
    Released: Released;
    Preview: Preview;
    Why: Why;
    Ways: Ways;
    RouteSearch: RouteSearch;
    ComparisonTable: ComparisonTable;
    RoutesRead: RoutesRead;
    ByHand: ByHand;
    GoesIn: GoesIn;
    AsBuilt: AsBuilt;
    ClosingPiece: ClosingPiece;
    FitUp: FitUp;
    LessStock: LessStock;
    StoresScreen: StoresScreen;
    OtherJobs: OtherJobs;
    Beside: Beside;
    ShopScreen: ShopScreen;
    ShopChanged: ShopChanged;
    StoreEntries: StoreEntries;
    ItemChanged: ItemChanged;
    Stocktaken: Stocktaken;
    Cutting: Cutting;
    Pasted: Pasted;
    IntakeAnswer: IntakeAnswer;
    IntakeQuote: IntakeQuote;
    Kits: Kits;
    ScanFit: ScanFit;
    ScanPlaced: ScanPlaced;
    ScanCut: ScanCut;
    Touched: Touched;
    KitMade: KitMade;
    ImportedMesh: ImportedMesh;
    Changed: Changed;
    FlatnessMap: FlatnessMap;
    Logged: Logged;
    Standing: Standing;
    LogPage: LogPage;
    Devices: Devices;
    Traces: Traces;
    Photos: Photos;
    Bottles: Bottles;
    CustomerLinks: CustomerLinks;
    Refusal: Refusal;
}
export interface JobScreen {
    stage: Stage;
    job: JobView;
    catalogue: Catalogue;
}
export interface JobView {
    id: number;
    revision: Revision;
    releasedNumber: number | null;
    document: JobDocument;
    plan: Plan;
    units: Units;
    next: NextAction;
    /**
     * What the draft, or the release where there is none, no longer has use for.
     */
    made: Made | null;
    bench: BenchState | null;
    /**
     * The newest search for designs that was not put away.
     */
    search: number | null;
}
export interface Revision {
    number: number;
    status: 'draft' | 'released';
    version: number;
    releasedAt: string | null;
}
/**
 * A job in the open format.
 */
export interface JobDocument {
    format: 'upswept-bead/job';
    version: 1;
    job: HeadDocument;
    intake?: IntakeDocument;
    engine?: EngineDocument | null;
    runs: RunDocument[];
    set: SetDocument;
    /**
     * Customers' written welding procedures; the first that is for a seam counts.
     */
    procedures?: ProcedureDocument[];
    /**
     * Work that others do: laser cutting, coating. Absent: none.
     */
    outside?: {
        what: string;
        cost: number;
    }[];
    /**
     * What one of something costs for this job, by its key in the quote. Absent: as the stores know it.
     */
    prices?: {
        [k: string]: number;
    };
    measured?: MeasuredDocument;
    overrides: OverrideDocument[];
}
export interface HeadDocument {
    number: string;
    title: string;
    customer: string;
    vehicle: string;
    purpose: Purpose;
    units: Units;
    metal: Metal;
    note: string;
}
/**
 * What was asked when the job came in; what nobody said is absent.
 */
export interface IntakeDocument {
    cylinders?: number;
    /**
     * Every cylinder once, as in 1-3-4-2.
     */
    firing?: string;
    scrolls?: 'one' | 'two';
    ground?: 'road' | 'class' | 'private';
    /**
     * What the law or the class asks.
     */
    rules?: string;
    load?: 'easy' | 'pulls' | 'long';
    /**
     * Temperature of the gas, 100 to 1250 °C.
     */
    gas?: string | number;
    wet?: 'dry' | 'salt';
    room?: 'plenty' | 'some' | 'little';
    sound?: 'quiet' | 'plain' | 'loud';
    outlets?: number;
    catalyst?: boolean;
    budget?: number;
    brought?: BroughtDocument[];
}
export interface BroughtDocument {
    what: 'turbo' | 'flanges' | 'collector' | 'v-bands' | 'tube' | 'muffler' | 'catalyst' | 'casting' | 'old';
    metal?: Metal;
    used?: true;
}
export interface EngineDocument {
    cylinderCc: number;
    /**
     * Degrees before bottom dead centre.
     */
    exhaustOpens: number;
    peakRpm: number;
    port: LengthText;
    metalC?: number | null;
}
export interface RunDocument {
    letter: string;
    name: string;
    tube: string;
    start: EndDocument;
    end: EndDocument;
    route: RouteDocument | null;
    fittings: FittingDocument[];
    /**
     * There already: nothing of it is cut or fitted, and butts between its pieces are seams that are welded again. Absent: to be made.
     */
    there?: boolean;
}
export interface EndDocument {
    kind: EndKind;
    name: string;
    at: PointText;
    direction: Triple;
    up?: Triple;
    metal: Metal;
    wall: LengthText;
    bolts?: BoltsDocument | null;
    bore?: BoreDocument | null;
    saddle?: SaddleDocument | null;
    plate?: PlateDocument | null;
    slant?: SlantDocument | null;
    /**
     * It is wherever the pieces of its run end.
     */
    free?: boolean;
}
export interface BoltsDocument {
    count: number;
    circle: LengthText;
    /**
     * Of the first stud from straight up, clockwise looking with the flow; degrees.
     */
    turn: number | string;
    flats: LengthText;
}
/**
 * The opening of the port: an oval is two half circles and the straights between them, a D a half circle on a square foot.
 */
export interface BoreDocument {
    shape: BoreShape;
    width: LengthText;
    height?: LengthText | null;
    corner?: LengthText | null;
    turn: number | string;
}
/**
 * Where the end stands on the side of another run.
 */
export interface SaddleDocument {
    on: string;
    station: LengthText;
    fromTop: AngleText;
    angle: AngleText;
    offset: LengthText;
    seat: Seat;
    /**
     * How far a straight stub reaches from the other's centreline; its far end goes with it.
     */
    stub?: LengthText | null;
}
/**
 * A flange as it was drawn, seen with the flow: closed lines of right, up and bulge in mm, about the middle of the first opening.
 */
export interface PlateDocument {
    outline: number[][];
    openings: number[][][];
}
/**
 * An open end cut at a slant: to the square cut, and where its longest side stands from straight up.
 */
export interface SlantDocument {
    angle: AngleText;
    turn: AngleText;
}
export interface RouteDocument {
    bends: RowDocument[];
    endStraight: LengthText;
    endLocked?: boolean | null;
    /**
     * Where the run was chosen to be cut, and from which stock.
     */
    cuts?: CutsDocument | null;
}
export interface RowDocument {
    straight: LengthText;
    rotation: AngleText;
    angle: AngleText;
    clr: LengthText;
    /**
     * What closing the far end leaves alone.
     */
    locked?: Lockable[] | null;
    /**
     * Welds, where the bend is made of wedges from a stick instead of bent.
     */
    pie?: number;
}
export interface CutsDocument {
    joints: LengthText[];
    /**
     * For each piece the stock and a number: the same name is the same piece of stock.
     */
    stock?: string[];
}
export interface FittingDocument {
    kind: FittingKind;
    station: LengthText;
    fromTop: AngleText;
    length?: LengthText;
    /**
     * Absent: as it is sold for a tube of that metal.
     */
    metal?: string;
}
/**
 * What holds for the runs together; may be left out.
 */
export interface SetDocument {
    collectors: CollectorDocument[];
    keepOuts: KeepOutDocument[];
    lengths: LengthDocument[];
    /**
     * Whole designs kept beside the one that counts.
     */
    designs?: DesignDocument[];
    /**
     * Bought and customer's parts.
     */
    parts?: PartDocument[];
    hangers?: HangerDocument[];
    /**
     * Letters of the runs that are polished.
     */
    polished?: string[];
    /**
     * Letters of the runs that begin with a stub on their flange.
     */
    stubs?: string[];
    routing?: RoutingDocument | null;
    /**
     * What a class, the road or the vehicle asks of where open ends lie.
     */
    outlets?: OutletDocument[] | null;
}
export interface CollectorDocument {
    name: string;
    /**
     * Runs that end here, in the order of their ends round the axis.
     */
    runs: string[];
    assignment: AssignmentMode;
    /**
     * The same runs in firing order, for cyclic.
     */
    firing: string[];
    entry?: CollectorEntry;
    /**
     * How it is made; without it only its inlets are surveyed.
     */
    build?: CollectorBuild | null;
}
/**
 * How a collector is made and where it stands.
 */
export interface CollectorBuild {
    /**
     * Of its pieces and joints; no run has it.
     */
    letter: string;
    make: CollectorMake;
    inlets: number;
    /**
     * Stock that its tubes are.
     */
    tube: string;
    at: PointText;
    axis: Triple;
    turn: AngleText;
    /**
     * Stock that merge bends are cut from.
     */
    bend?: string | null;
    /**
     * The tube behind it; proposed where it is left out.
     */
    outlet?: string | null;
    /**
     * Inlets of a bought one, where they are not evenly round the axis; in its own frame.
     */
    poses?:
        | {
              at: PointText;
              direction: Triple;
          }[]
        | null;
    /**
     * The run that begins at its outlet.
     */
    into?: string | null;
    part?: {
        kind: 'v-band' | 'flange';
        name: string;
        metal: string;
        wall: LengthText;
    } | null;
}
export interface KeepOutDocument {
    name: string;
    kind: KeepOutKind;
    shape: KeepOutShape;
    at: PointText;
    direction?: Triple;
    to?: PointText;
    size?: PointText;
    radius?: LengthText;
    /**
     * Fingerprint of an imported mesh, which is kept apart from the job.
     */
    mesh?: string;
    /**
     * In place of what its kind usually needs.
     */
    clearance: LengthText | null;
    note: string;
}
export interface LengthDocument {
    runs: string[];
    /**
     * null: any common length.
     */
    target: LengthText | null;
    /**
     * Per cent.
     */
    tolerance: number;
}
export interface DesignDocument {
    name: string;
    note: string;
    runs: DesignRunDocument[];
}
export interface DesignRunDocument {
    letter: string;
    at: PointText;
    direction: Triple;
    route: RouteDocument;
}
/**
 * A part at the end of a run, with what was measured of it.
 */
export interface PartDocument {
    name: string;
    kind: 'muffler' | 'catalyst' | 'flex' | 'tip' | 'turbine' | 'other';
    /**
     * The run whose end goes into it.
     */
    inlet: string;
    mass?: string | number;
    /**
     * Its louvres let the gas through one way only.
     */
    oneWay?: boolean;
    /**
     * It lies against that.
     */
    against?: boolean;
    cast?: boolean;
    bore?: LengthText;
    seat?: LengthText;
    wall?: LengthText;
    square?: AngleText;
    /**
     * The customer brought it: nothing is bought.
     */
    brought?: boolean;
    length?: LengthText;
    width?: LengthText;
    /**
     * The run that begins behind it.
     */
    outlet?: string;
}
export interface HangerDocument {
    name: string;
    run: string;
    station: LengthText;
}
/**
 * What this job asks of its routes otherwise than the shop.
 */
export interface RoutingDocument {
    firstStraight?: LengthText | null;
    innerStraight?: LengthText | null;
    lastStraight?: LengthText | null;
    gap?: LengthText | null;
    maxBends?: number | null;
    prefer?: Preference | null;
    /**
     * Planes of the datum that bends are to lie in.
     */
    planes?: BendPlane[] | null;
    /**
     * Whether even gaps between neighbours count.
     */
    evenGaps?: boolean | null;
    /**
     * Whether it counts that one bank mirrors the other.
     */
    mirrored?: boolean | null;
}
export interface OutletDocument {
    name: string;
    axis: OutletAxis;
    least?: LengthText | null;
    most?: LengthText | null;
}
export interface ProcedureDocument {
    name: string;
    seams: SeamKind;
    settings: {
        filler?: string;
        wire?: string;
        amps?: string;
        tungsten?: string;
        cup?: string;
        flow?: string;
        postflow?: string;
        travel?: string;
        oxygen?: string;
        fillFlow?: string;
        holdFlow?: string;
    };
}
/**
 * What was read at the vehicle. Absent: every end stands where it was typed.
 */
export interface MeasuredDocument {
    points: MeasuredPointDocument[];
    ends: MeasuredEndDocument[];
    readings: ReadingDocument[];
}
export interface MeasuredPointDocument {
    name: string;
    at?: PointText;
    side?: WayWord;
}
/**
 * An end of a run whose place or direction follows from readings.
 */
export interface MeasuredEndDocument {
    run: string;
    isStart: boolean;
    place: boolean;
    direction: boolean;
    side?: WayWord;
    facing?: WayWord;
}
/**
 * A reading as it was taken; docs/job-file.md says what each kind takes.
 */
export interface ReadingDocument {
    id: string;
    kind: ReadingKind;
    tool: MeasuringTool;
    of: string;
    with?: string[];
    way?: WayWord;
    toward?: WayWord;
    /**
     * Plumb instead of level; a face that looks the other way.
     */
    isOther?: boolean;
    /**
     * A length, degrees, or rearward, right and up.
     */
    value?: (number | string) | PointText;
    points?: (string | PointText)[];
    /**
     * In place of the tool's own: a length, or degrees.
     */
    tolerance?: number | string;
    /**
     * Kept, and nothing follows from it.
     */
    leftOut?: boolean;
}
export interface OverrideDocument {
    figure: string;
    value: string;
    why: string;
}
/**
 * The plan of a job as the screens get it.
 */
export interface Plan {
    runs: RunPlan[];
    set: SetPlan;
    merge: MergePlan;
    measured: MeasuredPlan | null;
    tuning: {
        [k: string]: Figure;
    };
    jointCount: number;
    cut: CutPlan;
    fit: FitPlan;
    weld: WeldPlan;
    schedule: Schedule;
    notices: Notice[];
}
export interface RunPlan {
    letter: string;
    name: string;
    tube: TubeOf | null;
    /**
     * Where a new hanger is proposed, mm from the start.
     */
    hangerAt: number | null;
    start: RunEnd;
    target: RunEnd;
    /**
     * The edge of the port's opening, once round.
     */
    opening: Triple[] | null;
    ends: {
        distance: Shown;
        turn: Shown;
        miss: Shown;
        leastBends: number;
    };
    run: TubeRun | null;
    /**
     * In words; empty without a route.
     */
    whereItEnds: string;
    farEnd: FarEnd | null;
    mass: Shown;
    joints: Joint[];
    fittings: PlacedFitting[];
    bore: {
        [k: string]: Figure;
    };
    pieces: Piece[];
}
export interface TubeOf {
    id: string;
    name: string;
    od: Shown;
    wall: Shown;
}
/**
 * A quantity in its base unit (mm, °, A, s, l, kg) and as text in the person's units.
 */
export interface Shown {
    value: number;
    text: string;
}
export interface RunEnd {
    name: string;
    kind: EndKind;
    frame: Frame;
}
/**
 * A place (mm), the way on from it, and the direction turns are measured from.
 */
export interface Frame {
    at: Triple;
    forward: Triple;
    reference: Triple;
}
export interface TubeRun {
    length: Shown;
    turning: Shown;
    segments: Segment[];
    bends: BendRow[];
    endStraight: Shown;
    end: Frame;
    /**
     * One a bend; none at all where a half turn has no vertex.
     */
    vertices: Triple[];
}
/**
 * A straight or a bend of a run as it lies; lengths in mm along the centreline, angle in °.
 */
export interface Segment {
    /**
     * Index of the bend, null for a straight.
     */
    bend: number | null;
    from: number;
    length: number;
    clr: number;
    angle: number;
    start: Frame;
    /**
     * Welds of a bend that is made of wedges; 0 for one that is bent.
     */
    pie: number;
}
export interface BendRow {
    straight: Shown;
    rotation: Shown;
    angle: Shown;
    clr: Shown;
    pie: number;
    /**
     * What it would have if it were made of wedges.
     */
    usualWelds: number;
}
export interface FarEnd {
    closed: boolean;
    gap: Shown;
    angle: Shown;
    along: Shown;
    across: Shown;
    best: Correction | null;
}
/**
 * The one change that brings the far end nearest; amount in ° or mm.
 */
export interface Correction {
    kind: 'turn' | 'trim';
    index: number;
    amount: number;
    text: string;
    leaves: string;
}
/**
 * station in mm along its run; up and nextThroat in ° round the joint face.
 */
export interface Joint {
    id: string;
    type: string;
    typeLabel: string;
    /**
     * Whether its seam goes once round a tube, so that it has a dial.
     */
    round: boolean;
    welded: boolean;
    between: string;
    and: string;
    station: number;
    seam: Shown;
    metals: string;
    index: {
        long: number;
        short: number;
        text: string;
    };
    up: number | null;
    nextThroat: number | null;
}
export interface PlacedFitting {
    joint: string;
    kind: FittingKind;
    label: string;
    /**
     * Of a crack, in mm.
     */
    length: number | null;
    piece: string;
    station: number;
    fromTop: Shown;
    fromPieceStart: Shown;
    fromThroat: Clocking;
}
export interface Clocking {
    turn: Shown;
    around: Shown;
    way: 'clockwise' | 'anticlockwise';
}
/**
 * A proposed value or choice.
 */
export interface Figure {
    key: string;
    label: string;
    quantity: string | null;
    value: number | null;
    text: string;
    /**
     * Where the text is rounded to what a person reads.
     */
    exact?: string;
    /**
     * Where only a few values may be chosen: each, and why not here; empty where it may.
     */
    options?: {
        value: string;
        refused: string;
    }[];
    /**
     * What was proposed, where a person overruled it.
     */
    proposed?: string;
    override?: {
        value: string;
        why: string;
        /**
         * Of the customer, by which it is so; empty where a person put it there.
         */
        procedure: string;
    };
    reason?: Reason;
}
/**
 * The working of a figure: its rule, what went into it, where the rule comes from, what would change it.
 */
export interface Reason {
    rule: string;
    inputs: {
        label: string;
        text: string;
    }[];
    source: string;
    sourceKind: string;
    changes: string;
}
/**
 * A piece of tube to saw; from and to in mm along its run.
 */
export interface Piece {
    mark: string;
    stock: string;
    isBend: boolean;
    from: number;
    to: number;
    length: Shown;
    cutLength: Cut;
    angle: Shown;
    clr: Shown;
    legBefore: Shown;
    legAfter: Shown;
    /**
     * Whether an end is cut along a line that a template gives.
     */
    template: boolean;
    startPrep: string;
    endPrep: string;
    trim: Figure;
    shrink: Figure;
    slip: Figure;
    mass: Shown;
    marks: CutMark[];
    longStart: Shown;
    longEnd: Shown;
    clocking: Clocking | null;
    turnedFrom: string;
    pie: Pie | null;
    /**
     * How far its skin lies behind its upstream end, every 10° from one side to the other; mm. Empty where that is square.
     */
    backStart: number[];
    /**
     * How far its skin lies behind its downstream end, every 10° from one side to the other; mm. Empty where that is square.
     */
    backEnd: number[];
}
/**
 * A length to cut: as it is set out with a tape, and exactly where that is something else.
 */
export interface Cut {
    value: number;
    text: string;
    exact?: string;
}
/**
 * A cut: on a straight the three lines are one; long is the extra length left on.
 */
export interface CutMark {
    label: string;
    kind: 'own-end' | 'opening' | 'straight' | 'bend';
    long: Shown;
    outer: Shown;
    centre: Shown;
    inner: Shown;
}
/**
 * A bend made of wedges, and what they cost sawn here or bought as a set.
 */
export interface Pie {
    bend: number;
    welds: number;
    mitre: Shown;
    wedge: Sides;
    end: Sides;
    shrink: Shown;
    stick: Shown;
    seam: Shown;
    sum: {
        minutes: Shown;
        blades: number;
        making: number | null;
        set: number | null;
        isBought: boolean;
    };
}
export interface Sides {
    outer: Shown;
    centre: Shown;
    inner: Shown;
}
export interface SetPlan {
    keepOuts: KeepOut[];
    gaps: Gap[];
    lengths: LengthCheck[];
    style: SetStyle;
    meeting: Meeting | null;
    rules: {
        firstStraight: Shown;
        innerStraight: Shown;
        lastStraight: Shown;
        gap: Shown;
        maxBends: Shown;
    };
}
/**
 * A keep-out as it is drawn, in mm.
 */
export interface KeepOut {
    name: string;
    kind: KeepOutKind;
    kindLabel: string;
    shape: KeepOutShape;
    at: Triple;
    to: Triple;
    size: Triple;
    radius: number;
    mesh: string | null;
    axes: [Triple, Triple, Triple];
}
export interface Gap {
    run: string;
    other: string;
    isRun: boolean;
    gap: Shown;
    needed: Shown;
    kept: boolean;
    from: Triple;
    to: Triple | null;
}
export interface LengthCheck {
    runs: LengthOfRun[];
    common: Shown;
    tolerance: Shown;
    spread: Shown;
    hasTarget: boolean;
    holds: boolean;
}
export interface LengthOfRun {
    letter: string;
    value: number;
    text: string;
}
export interface SetStyle {
    gapSpread: Shown | null;
    flatness: LengthOfRun[];
    mirror: Shown | null;
}
/**
 * Where the runs meet as it stands: what is proposed for a collector.
 */
export interface Meeting {
    name: string;
    runs: string[];
    assignment: AssignmentMode;
    entry: CollectorEntry;
    at: [string, string, string];
    axis: Triple;
}
export interface MergePlan {
    collectors: CollectorPlan[];
    branches: BranchPlan[];
    flanges: FlangePlate[];
    slants: SlantPlan[];
}
export interface CollectorPlan {
    letter: string;
    name: string;
    runs: string[];
    inlets: number;
    tube: TubeOf;
    frame: Frame;
    mouths: Frame[];
    outlet: Frame;
    outletOd: number;
    skin: {
        outside: Triple[][];
        inside: Triple[][];
    } | null;
    lack: string;
    path: string;
    make: CollectorMake;
    makeLabel: string;
    bend: string | null;
    outletTube: TubeOf;
    figures: {
        [k: string]: Figure;
    };
    length: Shown;
    straightBehind: Shown;
    /**
     * Outlet over one tube, and the range in use where it is to choke.
     */
    area: {
        ratio: number;
        least: number;
        most: number;
        /**
         * What that is to the engine.
         */
        says: string;
        /**
         * All tubes together over the outlet.
         */
        inlets: number;
    };
    outlets: {
        narrowest: Shown;
        widest: Shown;
    } | null;
    shim: Shown | null;
    expanded: Shown;
    volume: Shown;
    /**
     * Items: In the order they are welded.
     */
    seams: {
        between: string;
        and: string;
        length: Shown;
        why: string;
    }[];
    /**
     * Items: A lengthwise cut: where it comes first round and along the pipe, and its angle to it.
     */
    quarters: {
        psi: Shown;
        start: Shown;
        angle: Shown;
    }[];
    /**
     * Items: Above the plate that the mouth stands on; psi from the outer side, the same both ways.
     */
    heights: {
        psi: number;
        height: Shown;
    }[];
    pieces: Piece[];
    joints: Joint[];
    mass: Shown;
    /**
     * What it can be cut from where it is made of merge bends.
     */
    bends: {
        id: string;
        name: string;
    }[];
    plate: {
        across: Shown;
        edge: Shown;
        points: number;
    } | null;
}
/**
 * The end of a run on the side of another.
 */
export interface BranchPlan {
    letter: string;
    isStart: boolean;
    on: string;
    path: string;
    seat: Seat;
    angle: Shown;
    offset: Shown;
    station: Shown;
    fromTop: Shown;
    reach: Shown;
    seam: Shown;
    lack: string;
    /**
     * How far from the end of the run its skin begins, every 10° round its flow from the reference; mm.
     */
    cut: number[];
    hole: Triple[];
    /**
     * Of the end of its piece and of the hole.
     */
    templates: [string, string];
    /**
     * In the other run: along its flow, the reference towards the branch.
     */
    foot: Frame | null;
    drill: Drill | null;
}
/**
 * A hole in the side of a run: out of its middle, with its radius in mm.
 */
export interface Drill {
    at: Triple;
    direction: Triple;
    radius: number;
}
/**
 * A flange as it is cut, seen with the flow, up is up; lines as points right and up of its middle, the tube's outside diameter in mm.
 */
export interface FlangePlate {
    id: string;
    name: string;
    path: string;
    isDrawn: boolean;
    isBand: boolean;
    fit: Figure;
    figures: Figure[];
    outline: [number, number][];
    openings: [number, number][][];
    tube: number;
    width: Shown;
    height: Shown;
    thickness: Shown;
    holes: string[];
    guidance: string;
}
export interface SlantPlan {
    letter: string;
    isStart: boolean;
    path: string;
    angle: Shown;
    turn: Shown;
    reach: Shown;
    /**
     * As that of a branch.
     */
    cut: number[];
    template: string;
}
export interface MeasuredPlan {
    ends: MeasuredEndPlan[];
    points: MeasuredPointPlan[];
    readings: ReadingPlan[];
    answers: AnswerPlan[];
    runs: ClosingDoubt[];
    walk: WalkStep[];
}
/**
 * How sure an end is: one standard deviation; null where it is typed or still open.
 */
export interface MeasuredEndPlan {
    run: string;
    isStart: boolean;
    says: string;
    isPlaceOpen: boolean;
    isDirectionOpen: boolean;
    sd: string | null;
    sdMm: number;
    sdAngle: string | null;
    sdDeg: number;
}
export interface MeasuredPointPlan {
    name: string;
    at: Triple | null;
    sd: string | null;
}
export interface ReadingPlan {
    id: string;
    says: string;
    /**
     * By how much the others say otherwise.
     */
    off: string | null;
    within: string | null;
    stands: 'agrees' | 'unchecked' | 'suspect' | 'left out';
}
/**
 * One of several answers that fit the readings alike, and the word that chooses it.
 */
export interface AnswerPlan {
    of: string;
    isFacing: boolean;
    way: WayWord | null;
    says: string;
}
/**
 * How far the far end of a run may miss, what to leave long, and the reading worth most to take again.
 */
export interface ClosingDoubt {
    letter: string;
    miss: string;
    turn: string;
    trim: string;
    retake: string | null;
    then: string;
}
/**
 * A reading still to be taken.
 */
export interface WalkStep {
    kind: ReadingKind;
    of: string;
    with: string[];
    way: WayWord | null;
    toward: WayWord | null;
    says: string;
    how: string;
    isCheck: boolean;
}
export interface CutPlan {
    nestings: Nesting[];
    stock: StockNeed[];
    toBuy: number;
    mass: Shown;
}
/**
 * What all pieces of one size of tube are cut from.
 */
export interface Nesting {
    tube: string;
    leastBars: number;
    bars: Bar[];
    /**
     * Items: A bend, laid out along its centreline: clamp leg, arc, pull leg; mm.
     */
    donors: {
        stock: string;
        length: Shown;
        legs: [number, number];
        cuts: {
            mark: string;
            run: string;
            from: number;
            to: number;
        }[];
        left: Shown;
    }[];
}
export interface Bar {
    length: Shown;
    cuts: {
        mark: string;
        run: string;
        value: number;
        text: string;
        exact?: string;
    }[];
    left: Shown;
}
export interface StockNeed {
    id: string;
    needed: number;
    onShelf: number;
    toBuy: number;
}
export interface FitPlan {
    /**
     * The runs as they go in.
     */
    letters: string[];
    /**
     * Whether that order was worked out; otherwise it is that of the survey.
     */
    ordered: boolean;
    /**
     * Whether it is worked out what a torch gets to.
     */
    reached: boolean;
    /**
     * What is looked at in the trial fit, and on which runs; none for all.
     */
    trial: {
        text: string;
        runs: string[];
    }[];
    trialCaution: string;
    tasks: FitTask[];
    access: JointAccess[];
    /**
     * Seams that cannot be got round once others stand beside them, worst first.
     */
    closed: {
        joint: string;
        by: string[];
        share: Shown;
    }[];
    /**
     * Bought parts where they stand, as far as they were measured.
     */
    parts: PlacedPart[];
    growth: Growth;
    /**
     * Runs with a clamp joint: whether they come out with the rest in place; null where that is not known.
     */
    service: {
        run: string;
        clamps: string;
        comesOut: boolean | null;
        by: string[];
    }[];
    nuts: Nut[];
}
/**
 * One task of the build, in its turn; its id is that of the step at the bench.
 */
export interface FitTask {
    id: string;
    order: number;
    kind: 'tack' | 'put' | 'trial' | 'full' | 'weld' | 'side' | 'form' | 'polish' | 'refit';
    phase: string;
    phaseLabel: string;
    run: string;
    joint: string | null;
    brings: string;
    to: string;
    title: string;
    why: string;
    /**
     * What stands together once it is done: marks of pieces, letters of whole runs and collectors.
     */
    standing: string[];
    needs: FitReason[];
    /**
     * Reasons that somebody moved it past.
     */
    broken: FitReason[];
    moved: {
        before: string;
        why: string;
    } | null;
}
/**
 * A reason of the order: what comes first, why, and what goes wrong otherwise.
 */
export interface FitReason {
    first: string;
    why: string;
    otherwise: string;
}
/**
 * What can be got to of one joint: by itself on the bench, and with all runs in place.
 */
export interface JointAccess {
    joint: string;
    alone: CupFit;
    inTurn: CupFit;
    /**
     * Arcs that are welded before the next runs go in, in degrees as on the dial.
     */
    sideFirst: [number, number][];
    inTwo: Shown;
    /**
     * Whether that is enough: a hand finds a way to the rest that was not tried.
     */
    isReachedInTwo: boolean;
    inPlace: CupFit;
    together: CupFit;
    /**
     * What closes it later.
     */
    by: string[];
    /**
     * What to do where a torch does not get all round it in its turn.
     */
    advice: string;
    root: {
        share: Shown;
        from: 'start' | 'end' | '';
        distance: Shown;
    };
}
/**
 * How far round a seam a torch gets with the largest cup that does best; arcs as on the dial, of a seam with two ends in hundredths.
 */
export interface CupFit {
    cup: number;
    /**
     * Whether it takes a long stick-out.
     */
    isLong: boolean;
    isWhole: boolean;
    share: Shown;
    arcs: [number, number][];
}
export interface PlacedPart {
    name: string;
    run: string;
    from: Triple;
    to: Triple;
    radius: number;
}
/**
 * What grows between two fixed places when it is hot, most first; what hangs on the start of each run.
 */
export interface Growth {
    /**
     * Parts that nothing but their tubes carries, and what a bracket under each would.
     */
    hung: {
        name: string;
        sag: Shown;
        load: Shown;
        bump: Shown;
    }[];
    temperature: Figure;
    loops: {
        name: string;
        runs: string[];
        growth: Shown;
        /**
         * What gives way; empty where nothing does.
         */
        taken: string;
        advice: string;
    }[];
    weights: {
        run: string;
        mass: Shown;
        arm: Shown;
        /**
         * Who carries how much, hangers among them.
         */
        carried: {
            name: string;
            mass: Shown;
        }[];
        moment: Shown;
    }[];
}
/**
 * A nut of a flange, and how far a spanner swings on it.
 */
export interface Nut {
    name: string;
    swing: Shown;
    inTheWay: string[];
}
export interface WeldPlan {
    sheets: Sheet[];
    poses: BenchPose[];
    argon: Argon;
    /**
     * By which schools the job is done: what shields the roots, how cool a neighbour has to be.
     */
    schools: {
        [k: string]: Figure;
    };
}
/**
 * How one joint is tacked, purged and welded; tacks in ° round the face.
 */
export interface Sheet {
    joint: string;
    run: string;
    tacks: {
        trial: number[];
        trialWhy: string;
        /**
         * Those that no weld melts again: their root is shielded.
         */
        shielded: number[];
        full: number[];
        length: Shown;
    };
    settings: {
        [k: string]: Figure;
    };
    /**
     * Between what a setting is usual, by its name.
     */
    ranges: {
        [k: string]: string;
    };
    purge: {
        [k: string]: Figure;
    };
    /**
     * Whether its inside is filled with argon.
     */
    isFilled: boolean;
    /**
     * Why it is not; empty where it is.
     */
    rootWhy: string;
    /**
     * When it may be begun, where it is filled.
     */
    begin: string;
    /**
     * Its place among the poses.
     */
    pose: number;
    /**
     * What to set by how the machine is worked.
     */
    machine: string[];
    warnings: string[];
}
/**
 * How what a joint is of is held and filled.
 */
export interface BenchPose {
    standing: string[];
    up: Triple;
    /**
     * Ways it may be held.
     */
    ways: string[];
    lines: string[];
    /**
     * What is done with the flow before the arc.
     */
    closing: string;
    feed: Mouth;
    vents: Mouth[];
    dams: Mouth[];
    traps: {
        at: Triple;
        text: string;
    }[];
}
/**
 * An open end: where it is, the way into it, its bore in mm.
 */
export interface Mouth {
    name: string;
    at: Triple;
    inward: Triple;
    bore: number;
}
export interface Argon {
    lines: {
        name: string;
        needs: Shown;
        left: Shown;
        share: number;
        /**
         * What it means that there is too little.
         */
        short: string | null;
    }[];
    total: Shown;
    left: Shown;
    enough: boolean;
    caution: string;
}
export interface Schedule {
    slots: Slot[];
    total: Shown;
    waiting: Shown;
    oneByOne: Shown;
    /**
     * The same welds if every joint were waited for.
     */
    waitedFor: {
        joint: string;
        start: Shown;
        attended: Shown;
    }[];
    anotherLine: Shown;
    /**
     * Bottles that run out on the way, in words.
     */
    bottles: string[];
}
export interface Slot {
    order: number;
    joint: string;
    run: string;
    phase: string;
    phaseLabel: string;
    why: string;
    /**
     * Joints of what is filled that stay taped meanwhile.
     */
    taped: string[];
    start: Shown;
    wait: Shown;
    attended: Shown;
}
/**
 * Something wrong or to be careful of; path is the place in the job document.
 */
export interface Notice {
    severity: 'problem' | 'caution';
    path: string;
    message: string;
}
export interface NextAction {
    stage: Stage;
    group: string;
    text: string;
}
/**
 * What earlier revisions made and this one wants otherwise.
 */
export interface Made {
    pieces: {
        mark: string;
        run: string;
        /**
         * The one it was made by.
         */
        revision: number;
        isLost: boolean;
        /**
         * In what it differs, then how to go on, the least work first.
         */
        lines: string[];
    }[];
    joints: {
        id: string;
        run: string;
        isWelded: boolean;
        lines: string[];
    }[];
    /**
     * Time of the steps that count no longer.
     */
    work: string;
    /**
     * Of that time and of lost pieces.
     */
    cost: number | null;
    /**
     * Whether all that is lost has a price.
     */
    isPriced: boolean;
}
export interface BenchState {
    revision: number;
    made: Made | null;
    action: NextAction;
    wrong: WrongLength[];
    looks: Looks;
    steps: Step[];
    /**
     * The newest place in the log; 0 for none.
     */
    position: number;
    done: string[];
    /**
     * Who closed each step that is done, and when.
     */
    closed: {
        [k: string]: Closed;
    };
    /**
     * The newest notes of each step, the oldest of them first.
     */
    notes: {
        [k: string]: StepNote[];
    };
    /**
     * What follows from inspections, by the step it stands behind.
     */
    added: {
        [k: string]: Step[];
    };
    next: string | null;
    stepsDone: number;
    jointsDone: number;
    /**
     * When joints were welded, by the step, as long as they may still be hot.
     */
    weldedAt: {
        [k: string]: string;
    };
    readings: {
        [k: string]: {
            [k: string]: string;
        };
    };
    faces: FaceMeasured[];
    argon: ArgonToGo;
    /**
     * By joint: what was read and found the last time it was welded.
     */
    asWelded: {
        [k: string]: AsWelded;
    };
    deviations: {
        step: string;
        title: string;
        what: string;
        /**
         * Who went on all the same, where that is what it is.
         */
        by: string;
    }[];
    /**
     * At the joints whose time was logged, as planned and as logged.
     */
    times: null | {
        joints: number;
        planned: string;
        logged: string;
    };
    /**
     * The newest lines, the oldest of them first.
     */
    log: LogLine[];
    /**
     * How many lines there are before them.
     */
    earlier: number;
}
export interface WrongLength {
    mark: string;
    off: string;
    farEnd: string;
    rescues: string[];
}
/**
 * What may be found at a joint, and what follows from it at least.
 */
export interface Looks {
    oxides: Look[];
    flaws: Look[];
    causes: Look[];
    outcomes: Look[];
}
export interface Look {
    key: string;
    label: string;
    least?: Outcome;
}
/**
 * A step at the bench.
 */
export interface Step {
    /**
     * Key of kind, subject and round; never read apart.
     */
    id: string;
    kind: string;
    kindLabel: string;
    /**
     * The piece, joint, run or collector that it is done to.
     */
    subject: string;
    /**
     * 1 for the step of the plan; more where an inspection asked for it again.
     */
    round: number;
    /**
     * Run, collector or joint that it is shown with.
     */
    of: string;
    /**
     * How the clock at it runs: from its beginning, until its time is over, from the weld on that cools.
     */
    clock: 'up' | 'down' | 'since-weld' | null;
    /**
     * Joints that must have cooled before it: to what, °C, and for how many seconds since their weld.
     */
    ready: {
        joint: string;
        limit: number;
        seconds: number;
    }[];
    title: string;
    do: string[];
    caution: string;
    seconds: number | null;
    /**
     * Seconds from the weld until a hand may rest on the joint; of a step that waits for it, until it is cool enough for that step.
     */
    cools: number | null;
    /**
     * To be confirmed one by one before anybody goes on.
     */
    points: string[];
    /**
     * Steps that are done before it.
     */
    after: string[];
    /**
     * What it is listed under.
     */
    group: string;
    /**
     * Whether instruments may watch it.
     */
    watched: boolean;
    /**
     * Where a face is measured: the lands that seal, rings about bores, and the points, in mm.
     */
    face: null | {
        lands: {
            x: number;
            y: number;
            inner: number;
            outer: number;
        }[];
        limit: string;
        points: {
            name: string;
            label: string;
            x: number;
            y: number;
        }[];
    };
    /**
     * Where a joint is looked at: what follows at least from each colour inside, from bright to burnt.
     */
    inspection: null | Outcome[];
    measures: {
        name: string;
        label: string;
        quantity: string;
        planned: string | null;
        /**
         * Above it nobody goes on without a reason.
         */
        most: null | {
            /**
             * In base units.
             */
            value: number;
            text: string;
            /**
             * In its unit.
             */
            number: number;
            unit: string;
        };
        /**
         * Between which numbers it needs no reason.
         */
        range: null | {
            least: number;
            most: number;
            unit: string;
        };
        /**
         * Nobody goes on without it, or a reason.
         */
        asked: boolean;
    }[];
}
export interface Closed {
    by: string;
    at: string;
}
export interface StepNote {
    by: string;
    at: string;
    text: string;
}
export interface FaceMeasured {
    title: string;
    flat: boolean | null;
    verdict: string;
}
/**
 * What it still takes to the end of the job, and what the bottles give as they stand now.
 */
export interface ArgonToGo {
    needed: string;
    left: string;
    enough: boolean;
}
export interface AsWelded {
    /**
     * Empty where it was not read, as are the others.
     */
    amps: string;
    oxygen: string;
    seconds: string;
    temperature: string;
    /**
     * How often it was welded.
     */
    rounds: number;
    found: string;
}
export interface LogLine {
    id: string;
    step: string;
    /**
     * The step in words, where the plan has it no more.
     */
    words: string;
    kind: 'done' | 'correct' | 'reopen' | 'note';
    note: string;
    why: string;
    /**
     * At a joint that was inspected, in words.
     */
    found: string;
    by: string;
    at: string;
    position: number;
}
/**
 * What can be chosen from.
 */
export interface Catalogue {
    tubes: TubeChoice[];
    metals: Named[];
    keepOutKinds: {
        id: KeepOutKind;
        name: string;
        clearance: string;
    }[];
    purposes: {
        id: Purpose;
        name: string;
    }[];
}
export interface TubeChoice {
    id: string;
    name: string;
    onShelf: number;
    /**
     * That its bends are bought on, the tightest first.
     */
    radii: {
        clrMm: number;
        upToDeg: number;
    }[];
    usualFor: Purpose[];
}
export interface Named {
    id: string;
    name: string;
}
export interface Rack {
    shop: string;
    find: string;
    rack: RackPage;
    atBench: RackJob | null;
    numbers: string[];
    bottles: Bottle[];
}
/**
 * The jobs of one page, and how many there are by what they need next.
 */
export interface RackPage {
    jobs: RackJob[];
    groups: {
        group: string;
        jobs: number;
    }[];
    page: number;
    pages: number;
    total: number;
    /**
     * Whether some of it is still being worked out, so that it is worth looking again.
     */
    isBehind: boolean;
}
export interface RackJob {
    id: number;
    number: string;
    title: string;
    vehicle: string;
    customer: string;
    metal: string;
    purpose: string;
    revision: number;
    status: 'draft' | 'released';
    joints: number;
    jointsDone: number;
    stepsDone: number;
    steps: number;
    next: NextAction;
    /**
     * Why nothing more can be said of this job.
     */
    fault: string | null;
}
/**
 * As it stands now by what was welded since its gauge was read, if it is known when that was.
 */
export interface Bottle {
    name: string;
    use: string;
    share: number;
    gauge: string;
    usable: string;
    full: string;
    read: null | {
        at: string;
        gauge: string;
    };
}
export interface Person {
    id: number;
    name: string;
    role: string;
    plans: boolean;
    logs: boolean;
}
/**
 * Who this browser is signed in as; null for nobody.
 */
export interface Session {
    person: Person | null;
}
export interface Begun {
    id: number;
}
/**
 * What small work can be chosen from.
 */
export interface SmallScreen {
    shop: string;
    kinds: SmallChoice[];
    places: SmallChoice[];
    roots: RootChoice[];
    /**
     * As the shop does it.
     */
    root: string;
    metals: SmallChoice[];
    tubes: SmallChoice[];
}
export interface SmallChoice {
    id: string;
    name: string;
    /**
     * Among those that are asked for most.
     */
    usual: boolean;
}
export interface RootChoice {
    id: string;
    name: string;
    usual: boolean;
    /**
     * What it means.
     */
    why: string;
}
/**
 * Settings and purge of a seam on a tube that is there already, and what is done.
 */
export interface SmallCard {
    title: string;
    joint: Joint;
    sheet: Sheet;
    steps: {
        title: string;
        do: string[];
    }[];
    notices: Notice[];
}
/**
 * What a job is offered for, and what it has cost so far; in the shop's money.
 */
export interface JobQuote {
    /**
     * The draft, where there is one.
     */
    revision: number;
    /**
     * What the release that is built was offered for, beside a draft.
     */
    before: QuotedBefore | null;
    lines: JobQuoteLine[];
    cost: number;
    marginPercent: number;
    margin: number;
    /**
     * Without tax.
     */
    price: number;
    taxPercent: number;
    tax: number;
    unpriced: string[];
    spent: number | null;
    /**
     * What is not counted, or not finished, taken as quoted; null before a release.
     */
    expected: number | null;
}
export interface QuotedBefore {
    revision: number;
    price: number;
}
export interface JobQuoteLine {
    key: string;
    group: string;
    what: string;
    quantity: string;
    /**
     * What the quantity follows from.
     */
    why: string;
    cost: number | null;
    spent: number | null;
}
export interface Saved {
    revision: Revision;
    document: JobDocument;
    plan: Plan;
    units: Units;
    next: NextAction;
    made: Made | null;
}
/**
 * A draft as it would be released.
 */
export interface LookOver {
    number: number;
    /**
     * The release it is compared with.
     */
    since: number | null;
    document: string[];
    pieces: {
        run: string;
        lines: string[];
    }[];
    made: Made | null;
    goods: ShoppingRow[];
    /**
     * Of what is to be bought.
     */
    cost: number;
    isPriced: boolean;
    problems: Notice[];
    cautions: Notice[];
}
export interface ShoppingRow {
    key: string;
    kind: ItemKind;
    name: string;
    unit: string;
    needed: number;
    fromStores: number;
    toBuy: number;
    cost: number | null;
    location: string;
}
/**
 * Refused: somebody saved in between.
 */
export interface Stale {
    message: string;
    madeOn: number;
    latest: Revision;
    document: JobDocument;
}
export interface Released {
    revision: Revision;
}
export interface Preview {
    plan: PlanSketch;
}
/**
 * What comes while something is dragged: the routes anew, everything behind them as it was.
 */
export interface PlanSketch {
    runs: RunShape[];
    set: SetPlan;
    merge: MergeShape;
    notices: Notice[];
}
/**
 * A run as it is drawn and measured: what comes while something is dragged.
 */
export interface RunShape {
    letter: string;
    name: string;
    tube: TubeOf | null;
    start: RunEnd;
    target: RunEnd;
    /**
     * The edge of the port's opening, once round.
     */
    opening: Triple[] | null;
    ends: {
        distance: Shown;
        turn: Shown;
        miss: Shown;
        leastBends: number;
    };
    run: TubeRun | null;
    /**
     * In words; empty without a route.
     */
    whereItEnds: string;
    farEnd: FarEnd | null;
    mass: Shown;
    joints: Joint[];
    fittings: PlacedFitting[];
}
export interface MergeShape {
    collectors: CollectorShape[];
    branches: BranchShape[];
    slants: SlantShape[];
}
/**
 * A collector as it is drawn; what lacks is empty where it can be made.
 */
export interface CollectorShape {
    letter: string;
    name: string;
    runs: string[];
    inlets: number;
    tube: TubeOf;
    frame: Frame;
    mouths: Frame[];
    outlet: Frame;
    outletOd: number;
    skin: {
        outside: Triple[][];
        inside: Triple[][];
    } | null;
    lack: string;
}
/**
 * The end of a run on the side of another, as it is drawn.
 */
export interface BranchShape {
    letter: string;
    isStart: boolean;
    on: string;
    path: string;
    seat: Seat;
    angle: Shown;
    offset: Shown;
    station: Shown;
    fromTop: Shown;
    reach: Shown;
    seam: Shown;
    lack: string;
    /**
     * How far from the end of the run its skin begins, every 10° round its flow from the reference; mm.
     */
    cut: number[];
    hole: Triple[];
    /**
     * In the other run: along its flow, the reference towards the branch.
     */
    foot: Frame | null;
    drill: Drill | null;
}
/**
 * An open end that is cut at a slant.
 */
export interface SlantShape {
    letter: string;
    isStart: boolean;
    path: string;
    angle: Shown;
    turn: Shown;
    reach: Shown;
    /**
     * As that of a branch.
     */
    cut: number[];
}
export interface Why {
    reason: Reason;
}
/**
 * Ways for one run, or what keeps it from having one.
 */
export interface Ways {
    found: number;
    answers: Way[];
    blocked: {
        constraint: string;
        by: number;
        alone: boolean;
        text: string;
        radii: [string, string];
    }[];
}
export interface Way {
    givesUp: string;
    joints: number;
    oddAngles: number;
    /**
     * What of it is on the shelf.
     */
    shelf: string;
    run: TubeRun;
    route: RouteDocument;
}
export interface RouteSearch {
    id: number;
    state: 'queued' | 'running' | 'done' | 'stopped' | 'failed';
    designs: FoundDesign[];
    message: string;
    /**
     * Whether ends, tubes or keep-outs have changed since.
     */
    isStale: boolean;
}
/**
 * A whole design: a way for every run, and the inlet each goes to.
 */
export interface FoundDesign {
    seed: number;
    objective: number;
    /**
     * Seconds into the search.
     */
    found: number;
    bends: number;
    odd: number;
    /**
     * From the design before it that is most like it; empty for the first.
     */
    differs: string;
    spread: Shown;
    total: Shown;
    runs: FoundRun[];
}
/**
 * inlet is the run whose end it was; at in mm.
 */
export interface FoundRun {
    letter: string;
    inlet: string;
    at: Triple;
    direction: Triple;
    bends: number;
    run: TubeRun;
    route: RouteDocument;
}
/**
 * Designs beside each other: what the core measured of each, row by row, and which is best in it.
 */
export interface ComparisonTable {
    designs: ComparedDesign[];
    rows: {
        label: string;
        cells: {
            text: string;
            isBest: boolean;
        }[];
    }[];
}
export interface ComparedDesign {
    name: string;
    design: DesignDocument;
    runs: {
        letter: string;
        run: TubeRun;
    }[];
}
export interface RoutesRead {
    design: DesignDocument | null;
    rejected: Rejected[];
}
export interface Rejected {
    line: number;
    text: string;
    why: string;
}
export interface ByHand {
    route: RouteDocument | null;
    /**
     * Which of its values were changed, from what to what.
     */
    moved: string[];
    plan: PlanSketch;
}
export interface GoesIn {
    insertion: Insertion | null;
    plan: PlanFollowing;
}
export interface Insertion {
    order: {
        run: string;
        direction: Triple;
        along: string;
        tip: {
            about: Triple;
            axis: Triple;
            deg: number;
        } | null;
    }[];
    stuck: StuckRun[];
    /**
     * For each run what keeps it from coming out with all the others in place.
     */
    alone: StuckRun[];
}
export interface StuckRun {
    run: string;
    by: string[];
}
/**
 * The stages that follow the order in which runs go in, once that has been worked out.
 */
export interface PlanFollowing {
    fit: FitPlan;
    weld: WeldPlan;
    schedule: Schedule;
    notices: Notice[];
}
/**
 * A run whose first part stands as it was measured: what changes of its pieces, and the job with that.
 */
export interface AsBuilt {
    /**
     * Whether its far end is in its place again.
     */
    closed: boolean;
    /**
     * Whether the rest takes other bends than were planned.
     */
    otherWay: boolean;
    /**
     * How far its far end is off then.
     */
    left: string;
    changes: {
        mark: string;
        was: Shown;
        is: Shown;
        turn: Shown;
    }[];
    document: JobDocument;
}
/**
 * The piece that closes a gap between two tubes that stand.
 */
export interface ClosingPiece {
    isBend: boolean;
    length: Shown;
    lines: string[];
    skin: {
        hour: string;
        length: Shown;
    }[];
    sure: string;
    /**
     * Empty where the readings agree.
     */
    quarrel: string;
}
/**
 * A joint as it was measured: what to do, and where tacks pull it to its place (degrees on the dial).
 */
export interface FitUp {
    verdict: 'weld' | 'with-wire' | 'with-note' | 'refit';
    label: string;
    lines: string[];
    tacks: number[];
}
/**
 * Cuts that take less, and the job with them; null where none were found.
 */
export interface LessStock {
    now: CutTotals;
    found: CutTotals | null;
    document: JobDocument | null;
}
export interface CutTotals {
    joints: number;
    bends: number;
    bars: number;
    cost: number | null;
    toBuy: number;
}
export interface StoresScreen {
    shop: string;
    find: string;
    kind: ItemKind | null;
    stores: StoresPage;
    reorder: StoreItem[];
}
export interface StoresPage {
    items: StoreItem[];
    kinds: {
        kind: ItemKind;
        label: string;
        items: number;
    }[];
    page: number;
    pages: number;
}
/**
 * One line of the stores; quantities in its unit.
 */
export interface StoreItem {
    id: number;
    key: string;
    kind: ItemKind;
    name: string;
    unit: string;
    onHand: number;
    promised: number;
    free: number;
    cost: number | null;
    location: string;
    reorderAt: number | null;
    reorderTo: number | null;
    toReorder: number;
}
export interface OtherJobs {
    jobs: {
        id: number;
        number: string;
        title: string;
    }[];
}
/**
 * Two jobs welded at one bench, in the order that was found.
 */
export interface Beside {
    other: string;
    total: Shown;
    oneAfterOther: Shown;
    welds: {
        job: string;
        joint: string;
        start: Shown;
        end: Shown;
    }[];
}
/**
 * What the shop works by.
 */
export interface ShopScreen {
    shop: string;
    version: number;
    units: Units;
    /**
     * Why joints were not right, the most frequent first.
     */
    quality: {
        inspected: number;
        causes: {
            label: string;
            count: number;
        }[];
    };
    schools: School[];
    groups: {
        name: string;
        rules: ShopRule[];
    }[];
}
/**
 * Where the trade has more than one way: which the shop works by, and why one does.
 */
export interface School {
    key: string;
    label: string;
    value: string;
    options: {
        value: string;
        label: string;
        why: string;
        isUsual: boolean;
    }[];
}
export interface ShopRule {
    key: string;
    label: string;
    text: string;
    /**
     * As it comes with the program.
     */
    shipped: string;
    /**
     * Least and most that it may be set to.
     */
    range: string;
    source: string;
    isOwn: boolean;
    /**
     * What the shop's own log says of it.
     */
    learned: null | {
        text: string;
        /**
         * Of two thirds of the cases.
         */
        spread: string;
        cases: number;
        isEnough: boolean;
        isTaken: boolean;
    };
}
export interface ShopChanged {
    version: number;
}
export interface StoreEntries {
    entries: StoreEntry[];
}
/**
 * One change of a quantity.
 */
export interface StoreEntry {
    id: string;
    kind: 'received' | 'counted' | 'issued' | 'put back' | 'returned' | 'written off';
    quantity: number;
    job: string | null;
    note: string;
    by: string;
    at: string;
}
export interface ItemChanged {
    item: StoreItem;
}
/**
 * How many items were counted; none where a line was rejected.
 */
export interface Stocktaken {
    counted: number;
    rejected: {
        line: number;
        text: string;
        why: string;
    }[];
}
/**
 * What is done at the saw.
 */
export interface Cutting {
    revision: number;
    released: boolean;
    shopping: {
        rows: ShoppingRow[];
        stockToBuy: number;
        cost: number;
        priced: boolean;
    };
    opened: OpenedStock[];
    setUps: SawSetUp[];
    saws: SawAccount[];
    cut: {
        [k: string]: {
            length: string | null;
            by: string;
            at: string;
        };
    };
    wrong: WrongLength[];
}
/**
 * One bar or bend that the job opens.
 */
export interface OpenedStock {
    key: string;
    stock: string;
    marks: string[];
    cuts: number;
    left: {
        text: string;
        kept: boolean;
    }[];
    standing: 'taken' | 'there' | 'missing';
    location: string;
}
/**
 * Pieces cut without changing the saw, in the order they are cut.
 */
export interface SawSetUp {
    tube: string;
    name: string;
    clr: Shown | null;
    marks: string[];
    stops: number;
}
/**
 * What the cuts of the job take on one kind of saw.
 */
export interface SawAccount {
    name: string;
    cuts: number;
    time: string;
    blades: number;
    cost: number | null;
}
export interface Pasted {
    rows: {
        line: number;
        name: string;
        at: PointText;
        direction: Triple;
        inletAt: PointText | null;
        inletDirection: Triple | null;
    }[];
    rejected: Rejected[];
}
export interface IntakeAnswer {
    questions: IntakeQuestion[];
    brought: Option[];
    figures: Figure[];
    notices: Notice[];
    measure: ToMeasure[];
    bring: string[];
    layout: {
        says: string;
        isThere: boolean;
    } | null;
}
export interface IntakeQuestion {
    key: string;
    label: string;
    kind: 'choice' | 'count' | 'text' | 'heat' | 'money' | 'yes-no';
    options: Option[];
    hint: string;
    /**
     * Of a count.
     */
    most: number;
}
export interface Option {
    id: string;
    name: string;
}
export interface ToMeasure {
    what: string;
    how: string;
}
export interface IntakeQuote {
    quote: FirstQuote | null;
}
export interface FirstQuote {
    low: number;
    likely: number;
    high: number;
    joints: string;
    lowTime: string;
    likelyTime: string;
    highTime: string;
    /**
     * What making it adds, before margin.
     */
    collector: number | null;
    unpriced: string[];
    /**
     * How it stands to the budget, in words.
     */
    budget: string;
}
export interface Kits {
    kits: Kit[];
}
export interface Kit {
    kind: KeepOutKind;
    name: string;
    says: string;
    fields: KitField[];
}
export interface KitField {
    key: string;
    label: string;
    kind: 'length' | 'angle' | 'point' | 'direction';
    proposed: LengthText[];
}
export interface ScanFit {
    isFace: boolean;
    says: string;
    at: Triple;
    way: Triple;
    bores: {
        at: Triple;
        /**
         * In mm.
         */
        diameter: number;
        says: string;
    }[];
}
export interface ScanPlaced {
    document: JobDocument;
    off: Shown[];
}
export interface ScanCut {
    document: JobDocument;
    triangles: number;
    before: number;
}
export interface Touched {
    keepOuts: KeepOutDocument[];
}
export interface KitMade {
    keepOut: KeepOutDocument;
}
export interface ImportedMesh {
    fingerprint: string;
    triangles: number;
    isClosed: boolean;
    box: [number, number, number, number, number, number];
}
/**
 * The document as the core changed it; not saved.
 */
export interface Changed {
    document: JobDocument;
}
/**
 * A face as it was measured, over the plane that fits it best.
 */
export interface FlatnessMap {
    /**
     * Null where too few points were read.
     */
    flat: boolean | null;
    verdict: string;
    points: {
        name: string;
        /**
         * 0 at the lowest point, 1 at the highest.
         */
        share: number;
        /**
         * Over the lowest.
         */
        high: string;
        /**
         * What has to come off; empty for nothing.
         */
        down: string;
    }[];
}
/**
 * Entry by entry in the order they were sent, and where the job stands now.
 */
export interface Logged {
    results: Taken[];
    progress: Progress;
}
/**
 * What became of one entry; of one that was stored the reason is what its maker has to know all the same.
 */
export interface Taken {
    id: string;
    state: 'stored' | 'known' | 'refused';
    field: string | null;
    reason: string | null;
}
export interface Progress {
    made: Made | null;
    action: NextAction;
    wrong: WrongLength[];
    /**
     * The release that is built.
     */
    revision: number;
    /**
     * The newest place in the log; 0 for none.
     */
    position: number;
    done: string[];
    /**
     * Who closed each step that is done, and when.
     */
    closed: {
        [k: string]: Closed;
    };
    /**
     * The newest notes of each step, the oldest of them first.
     */
    notes: {
        [k: string]: StepNote[];
    };
    /**
     * What follows from inspections, by the step it stands behind.
     */
    added: {
        [k: string]: Step[];
    };
    next: string | null;
    stepsDone: number;
    jointsDone: number;
    /**
     * When joints were welded, by the step, as long as they may still be hot.
     */
    weldedAt: {
        [k: string]: string;
    };
    readings: {
        [k: string]: {
            [k: string]: string;
        };
    };
    faces: FaceMeasured[];
    argon: ArgonToGo;
    /**
     * By joint: what was read and found the last time it was welded.
     */
    asWelded: {
        [k: string]: AsWelded;
    };
    deviations: {
        step: string;
        title: string;
        what: string;
        /**
         * Who went on all the same, where that is what it is.
         */
        by: string;
    }[];
    /**
     * At the joints whose time was logged, as planned and as logged.
     */
    times: null | {
        joints: number;
        planned: string;
        logged: string;
    };
    /**
     * The newest lines, the oldest of them first.
     */
    log: LogLine[];
    /**
     * How many lines there are before them.
     */
    earlier: number;
}
/**
 * Where the job stands, for a page that stays open; null where it knows that already.
 */
export interface Standing {
    progress: Progress | null;
}
export interface LogPage {
    lines: LogLine[];
    earlier: number;
}
/**
 * What the instruments at a step read.
 */
export interface Devices {
    devices: {
        name: string;
        label: string;
        values: number[];
        /**
         * The last of them.
         */
        text: string;
    }[];
}
export interface Traces {
    traces: {
        step: string;
        kind: string;
        subject: string;
        round: number;
        at: string;
        devices: Trace[];
    }[];
}
export interface Trace {
    device: string;
    /**
     * Seconds from one value to the next.
     */
    every: number;
    /**
     * In base units.
     */
    values: number[];
    simulated: boolean;
}
export interface Photos {
    photos: {
        id: number;
        step: string;
        /**
         * The step in words.
         */
        words: string;
        wide: number;
        high: number;
        by: string;
    }[];
}
export interface Bottles {
    bottles: Bottle[];
}
/**
 * Links by which a customer reads the record of a job.
 */
export interface CustomerLinks {
    links: {
        id: number;
        until: string;
    }[];
    /**
     * The one that was made now; it is told once.
     */
    made: string | null;
}
/**
 * What is wrong, by field; message alone where it is about no field.
 */
export interface Refusal {
    message: string;
    errors?: {
        [k: string]: string[];
    };
    [k: string]: unknown;
}
export interface ProblemTube {
    od: number;
    bends: {
        radius: number;
        max_angle: number;
        leg?: number;
    }[];
}
export interface ProblemRules {
    min_angle?: number;
    max_bends?: number;
    first_straight?: number;
    inner_straight?: number;
    last_straight?: number;
    gap?: number;
    clearance?: number;
    angle_step?: number;
    angle_window?: number;
}
export interface ProblemPort {
    id: string;
    /**
     * mm
     */
    at: [number, number, number];
    /**
     * Any vector that is not zero.
     */
    dir: [number, number, number];
    tube: string;
}
export interface ProblemCollector {
    id: string;
    inlets: {
        id: string;
        /**
         * mm
         */
        at: [number, number, number];
        /**
         * Any vector that is not zero.
         */
        dir: [number, number, number];
    }[];
    assignment: ProblemAssignment;
    near?: {
        length: number;
        gap: number;
    };
}
export interface ProblemLengths {
    runners: string[];
    target?: number | null;
    tol_pct?: number;
}
/**
 * A routing problem; lengths in mm, angles in °.
 */
export interface RouteProblem {
    format: 'route-case/1';
    name: string;
    title?: string;
    difficulty?: string | number;
    notes?: string;
    tubes: {
        [k: string]: ProblemTube;
    };
    rules: ProblemRules;
    ports: ProblemPort[];
    collectors: ProblemCollector[];
    keepouts?: ProblemKeepOut[];
    lengths?: ProblemLengths[];
}
export interface SolutionRunner {
    id: string;
    inlet: string;
    /**
     * The inner ones, one a bend.
     */
    vertices: [number, number, number][];
    radii: number[];
    length?: number;
    angles?: number[];
}
export interface SolutionReason {
    runner: string;
    keepout?: string;
    other?: string;
    what: 'clearance' | 'gap' | 'length' | 'turn' | 'bend';
    by: number;
    opens: string;
}
/**
 * An answer to it.
 */
export interface RouteSolution {
    format: 'route-solution/1';
    case: string;
    status: 'solved' | 'infeasible' | 'not-found';
    runners?: SolutionRunner[];
    objective?: number;
    first_seconds?: number;
    best_seconds?: number;
    seconds?: number;
    peak_mb?: number;
    reasons?: SolutionReason[];
    nearest?: {
        runner: string;
        other: string;
        what: 'clearance' | 'gap' | 'length' | 'turn' | 'bend';
        by: number;
    };
}
/**
 * An entry as the bench makes it; its id makes sending it twice harmless. Who made it, and on which release, goes with it: no other session may send it, and no later plan makes it say something else.
 */
export interface LogEntry {
    id: string;
    /**
     * The person who made it.
     */
    by: number;
    /**
     * The release it was made on.
     */
    revision: number;
    units: Units;
    step: string;
    kind: 'done' | 'correct' | 'reopen' | 'note';
    readings: {
        [k: string]: string;
    };
    note: string;
    /**
     * Why somebody goes on past a limit of the step; empty where nobody does.
     */
    why?: string;
    /**
     * Of the step's points those that were confirmed, counted from 0.
     */
    points?: number[];
    inspected?: Inspected;
    /**
     * What devices read meanwhile.
     */
    traces?: Trace[];
    /**
     * When it was made, ISO 8601, within a year of now.
     */
    at: string;
}
/**
 * Each entry is answered for itself.
 */
export interface LogBatch {
    entries: LogEntry[];
}
/**
 * What `bead plan --json` writes: every figure with its working, and the steps of the bench.
 */
export interface WholePlan {
    runs: RunPlan[];
    set: SetPlan;
    merge: MergePlan;
    measured: MeasuredPlan | null;
    tuning: {
        [k: string]: Figure;
    };
    jointCount: number;
    cut: CutPlan;
    fit: FitPlan;
    weld: WeldPlan;
    schedule: Schedule;
    notices: Notice[];
    steps: Step[];
}
export interface RecordFile {
    format: 'upswept-bead/record';
    version: 1;
    shop: string;
    revision: Revision;
    job: JobDocument;
    materials: {
        key: string;
        name: string;
        quantity: number;
        unit: string;
    }[];
    joints: RecordJoint[];
    faces: FaceMeasured[];
    otherwise: {
        step: string;
        what: string;
        by: string;
    }[];
    growth: {
        [k: string]: unknown;
    };
    service: {
        [k: string]: unknown;
    }[];
    photos: {
        [k: string]: unknown;
    }[];
    log: RecordEntry[];
}
export interface RecordJoint {
    id: string;
    between: string;
    and: string;
    type: string;
    station: number;
    planned: {
        [k: string]:
            | number
            | string
            | {
                  [k: string]: number;
              }
            | null;
    };
    welded: number;
    read: {
        [k: string]: number;
    };
    found: {
        [k: string]: unknown;
    } | null;
}
export interface RecordEntry {
    id: string;
    at: string;
    by: string;
    step: string;
    kind: 'done' | 'correct' | 'reopen' | 'note';
    readings: {
        [k: string]: number;
    };
    note: string;
    why: string;
    points: number[];
    inspected: {
        [k: string]: unknown;
    } | null;
    traces: Trace[];
}
