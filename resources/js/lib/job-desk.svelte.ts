import { checked } from './checked';
import { errorsOf, said, send, type Reply } from './http';
import { dropUnsaved, findUnsaved, keepUnsaved, type Unsaved } from './unsaved';
import type {
    CollectorPlan,
    GoesIn,
    JobDocument,
    JobView,
    LengthText,
    Plan,
    PlanSketch,
    Progress,
    Reason,
    Revision,
    RunDocument,
    RunPlan,
    Stale,
    Triple,
    Ways,
} from './answers';

export type Selection = { kind: 'joint' | 'piece' | 'bend' | 'end' | 'keep-out'; id: string } | null;
export type HandWish =
    | { do: 'vertex'; index: number; to: Triple }
    | { do: 'length'; length: number }
    | { do: 'insert' | 'remove' | 'merge'; index: number }
    | { do: 'close' };
/** A piece that is put on a run that grows, as it is read off the metal. */
export type GrowWish =
    | {
          do: 'bend';
          clr: LengthText;
          /** Welds of a bend that is made of wedges; '' for one out of the stock. */
          wedges: LengthText;
          angle: LengthText;
          angleBy: string;
          /** By a straight-edge: the second reading, and how far it is from the first. */
          second: LengthText;
          apart: LengthText;
          turn: LengthText;
          turnBy: string;
          isLeft: boolean;
          before: string;
          after: string;
      }
    | { do: 'leg'; length: LengthText }
    | { do: 'blocks'; blocks: string }
    | { do: 'aim'; toward: number; falls: LengthText; clear: string }
    | { do: 'shorter' };
/** What has pieces and joints of its own: a run, or a collector that is made here. */
export type Member = RunPlan | CollectorPlan;
export type SaveState = 'saved' | 'saving' | 'refused' | 'failed' | 'conflict' | 'released';
export type Conflict = Stale;

const MOST_UNDO = 100;

/** The job on the desk: its document and plan, edits on their way to the server, undo, and the one selection. */
export class JobDesk {
    view = $state.raw<JobView>({} as JobView);
    document = $state.raw<JobDocument>({} as JobDocument);
    plan = $state.raw<Plan>({} as Plan);
    revision = $state.raw<Revision>({} as Revision);
    index = $state(0);
    /** What was asked for by the job's plate and is taken up by the stage it is done at; '' for nothing. */
    bidden = $state('');
    only = $state<string | null>(null);
    selection = $state.raw<Selection>(null);
    errors = $state.raw<Record<string, string[]>>({});
    failure = $state('');
    /** What the last change by hand moved, where somebody let the core choose. */
    moved = $state.raw<string[]>([]);
    conflict = $state.raw<Conflict | null>(null);
    saving = $state(false);
    /** A release that was made elsewhere since this page was opened; 0 for none. */
    releasedSince = $state(0);
    /** What is on the desk is not what the server has. */
    unsaved = $state(false);
    /** An edit that was kept from before, made on an older version than the one there is now. */
    leftover = $state.raw<Unsaved | null>(null);

    #past = $state.raw<JobDocument[]>([]);
    #future = $state.raw<JobDocument[]>([]);
    #settled = Promise.resolve();

    readonly #who: string;

    constructor(view: JobView, who = '') {
        this.#who = who;
        this.open(view);
    }

    /** What the plate says of the draft; true at all times. */
    get saveState(): SaveState {
        if (!this.isDraft) return 'released';
        if (this.conflict) return 'conflict';
        if (this.saving) return 'saving';
        if (!this.unsaved) return 'saved';
        return Object.keys(this.errors).length > 0 ? 'refused' : this.failure ? 'failed' : 'saving';
    }

    /** Puts an edit that never got to the server back on the desk; one made on an older version waits to be decided. */
    takeUpUnsaved(): void {
        const kept = this.isDraft ? findUnsaved(this.view.id, this.#who) : null;
        if (!kept || JSON.stringify(kept.document) === JSON.stringify(this.document)) return;
        if (kept.revision === this.revision.number && kept.version === this.revision.version) {
            this.#past = [this.document];
            this.document = kept.document;
            void this.#save();
        } else {
            this.leftover = kept;
        }
    }

    takeLeftover(): void {
        const kept = this.leftover;
        this.leftover = null;
        if (kept) void this.replace(kept.document);
    }

    dropLeftover(): void {
        this.leftover = null;
        dropUnsaved(this.view.id);
    }

    /** Page props arrive as a reactive proxy; the desk works on plain values. */
    open(props: JobView): void {
        const view = $state.snapshot(props) as JobView;
        this.view = view;
        this.document = view.document;
        this.plan = view.plan;
        this.revision = view.revision;
        this.errors = {};
        this.#past = [];
        this.#future = [];
    }

    /**
     * Whether props say more than the desk knows. Going from stage to stage hands the props of the first visit in again,
     * and the desk may be several saved edits ahead of those.
     */
    isNews(props: JobView): boolean {
        const { number, version, status } = props.revision;
        if (props.id !== this.view.id || number !== this.revision.number) return true;
        if (this.unsaved || version < this.revision.version) return false;
        return (
            version > this.revision.version ||
            status !== this.revision.status ||
            props.units !== this.view.units
        );
    }

    get isDraft(): boolean {
        return this.revision.status === 'draft';
    }

    get canUndo(): boolean {
        return this.#past.length > 0;
    }

    get canRedo(): boolean {
        return this.#future.length > 0;
    }

    get problems(): number {
        return this.plan.notices.filter((notice) => notice.severity === 'problem').length;
    }

    /** The run that is worked on, as planned. */
    get run(): RunPlan | undefined {
        return this.plan.runs[this.index] ?? this.plan.runs[0];
    }

    /** The same run, as entered. */
    get entered(): RunDocument | undefined {
        return this.document.runs[this.index] ?? this.document.runs[0];
    }

    /** Where it stands in the document, as errors name it. */
    get path(): string {
        return `runs[${this.document.runs[this.index] ? this.index : 0}]`;
    }

    /** Collectors, which are made first, and runs. */
    get members(): Member[] {
        return [...this.plan.merge.collectors, ...this.plan.runs];
    }

    /** What Cut, Fit and Weld show: all of the job, or what is looked at alone. */
    get shown(): Member[] {
        return this.members.filter((one) => this.isShown(one.letter));
    }

    isShown(letter: string): boolean {
        return this.only === null || this.only === letter;
    }

    /** Looks at one run alone, or at all of them again. */
    filter(letter: string | null): void {
        this.only = letter;
        if (letter !== null) this.choose(letter);
    }

    /** The run or collector that a joint or a piece belongs to. */
    memberOf(id: string): Member | undefined {
        return this.members.find(
            (one) =>
                one.joints.some((joint) => joint.id === id) || one.pieces.some((piece) => piece.mark === id),
        );
    }

    /** Selects a joint or a piece wherever it is, with its run; a filter that hides it is lifted. */
    look(selection: { kind: 'joint' | 'piece'; id: string }): void {
        const member = this.memberOf(selection.id);
        if (member) {
            this.choose(member.letter);
            if (!this.isShown(member.letter)) this.only = null;
        }
        this.selection = selection;
    }

    choose(letter: string): void {
        const index = this.document.runs.findIndex((one) => one.letter === letter);
        if (index < 0 || index === this.index) return;
        this.index = index;
        this.selection = null;
    }

    editRun(change: (run: RunDocument) => void): Promise<void> {
        const letter = this.entered?.letter;
        return this.edit((document) => {
            const run = document.runs.find((one) => one.letter === letter);
            if (run) change(run);
        });
    }

    /** Changes the document and saves it; what the server refuses stays on the desk with its errors. */
    edit(change: (document: JobDocument) => void): Promise<void> {
        const next = structuredClone(this.document);
        change(next);
        if (JSON.stringify(next) === JSON.stringify(this.document)) return this.#settled;
        this.#past = [...this.#past.slice(-MOST_UNDO + 1), this.document];
        this.#future = [];
        this.document = next;
        return this.#save();
    }

    /**
     * Changes the document where the server takes it; what it refuses is taken back, so that nothing half-entered stays.
     * Gives the refusals under a place of the document, empty if there are none: also while the network is away.
     */
    async tryEdit(change: (document: JobDocument) => void, place: string): Promise<Record<string, string[]>> {
        await this.edit(change);
        const refused = Object.fromEntries(
            Object.entries(this.errors).filter(([path]) => path.startsWith(place)),
        );
        if (Object.keys(refused).length > 0) await this.undo();
        return refused;
    }

    /** Puts a document that the server worked out in place of the one there is. */
    replace(next: JobDocument): Promise<void> {
        return this.edit((document) => {
            const gone = Object.keys(document).filter((key) => !(key in next));
            for (const key of gone) delete document[key as keyof JobDocument];
            Object.assign(document, next);
        });
    }

    undo(): Promise<void> {
        const previous = this.#past.at(-1);
        if (!previous) return this.#settled;
        this.#past = this.#past.slice(0, -1);
        this.#future = [this.document, ...this.#future];
        this.document = previous;
        return this.#save();
    }

    redo(): Promise<void> {
        const [next, ...rest] = this.#future;
        if (!next) return this.#settled;
        this.#future = rest;
        this.#past = [...this.#past, this.document];
        this.document = next;
        return this.#save();
    }

    override(figure: string, value: string, why: string): Promise<void> {
        return this.edit((document) => {
            const others = document.overrides.filter((one) => one.figure !== figure);
            document.overrides = value.trim() === '' ? others : [...others, { figure, value, why }];
        });
    }

    /** The working of a figure; a message where it cannot be had. */
    async why(figure: string): Promise<Reason | string> {
        const reply = await send('POST', `/jobs/${this.view.id}/why`, 'Why', {
            document: this.document,
            figure,
            units: this.view.units,
        });
        return reply.ok ? reply.data.reason : reply.message;
    }

    async findWays(letter: string): Promise<Ways | null> {
        await this.#settled;
        const reply = await send('POST', `/jobs/${this.view.id}/routes`, 'Ways', {
            document: this.document,
            letter,
        });
        if (reply.ok) return reply.data;
        this.failure = reply.message;
        return null;
    }

    /** In which order the runs as they stand can be put in whole; takes longer than a plan, so it is asked for apart. */
    async insertion(withStubs = false): Promise<Reply<GoesIn>> {
        const asked = this.document;
        const reply = await send('POST', `/jobs/${this.view.id}/insertion`, 'GoesIn', {
            document: asked,
            withStubs,
        });
        // The order of building follows it; later plans of the same routes know it by themselves.
        const { fit } = this.plan;
        const told = reply.ok ? reply.data.plan.fit : fit;
        const isNews = (told.ordered && !fit.ordered) || (told.reached && !fit.reached);
        if (reply.ok && asked === this.document && isNews) this.plan = { ...this.plan, ...reply.data.plan };
        return reply;
    }

    /** The plan of a changed document without saving it, while something is being dragged. */
    async preview(change: (document: JobDocument) => void): Promise<void> {
        const next = structuredClone(this.document);
        change(next);
        const reply = await send('POST', `/jobs/${this.view.id}/preview`, 'Preview', {
            document: next,
        });
        if (reply.ok) this.#sketch(reply.data.plan);
    }

    /** A change to the chosen run's route that the core works out: shown while it is dragged, saved once it is done. */
    async byHand(wish: HandWish, isDone: boolean): Promise<void> {
        const letter = this.entered?.letter;
        if (isDone) await this.#settled;
        const reply = await send('POST', `/jobs/${this.view.id}/hand`, 'ByHand', {
            document: this.document,
            letter,
            ...wish,
        });
        if (!reply.ok) {
            if (isDone) this.failure = said(reply);
            return;
        }
        if (!isDone) this.#sketch(reply.data.plan);
        else {
            this.failure = '';
            await this.editRun((run) => (run.route = reply.data.route));
            this.moved = wish.do === 'close' ? reply.data.moved : [];
        }
    }

    /** Puts a piece on the chosen run, or takes the last one off; gives what is wrong by field, empty if nothing. */
    async grow(wish: GrowWish): Promise<Record<string, string[]>> {
        await this.#settled;
        const letter = this.entered?.letter;
        const reply = await send('POST', `/jobs/${this.view.id}/hand`, 'ByHand', {
            document: this.document,
            letter,
            ...wish,
        });
        if (!reply.ok) return errorsOf(reply, 'hand');
        await this.editRun((run) => (run.route = reply.data.route));
        return {};
    }

    #sketch({ runs, merge, ...rest }: PlanSketch): void {
        const { collectors, branches, slants } = this.plan.merge;
        this.plan = {
            ...this.plan,
            ...rest,
            merge: {
                flanges: this.plan.merge.flanges,
                slants: slants.map((one) => ({
                    ...one,
                    ...merge.slants.find(
                        (shape) => shape.letter === one.letter && shape.isStart === one.isStart,
                    ),
                })),
                collectors: collectors.map((one) => ({
                    ...one,
                    ...merge.collectors.find((shape) => shape.letter === one.letter),
                })),
                branches: branches.map((one) => ({
                    ...one,
                    ...merge.branches.find(
                        (shape) => shape.letter === one.letter && shape.isStart === one.isStart,
                    ),
                })),
            },
            runs: this.plan.runs.map((run) => ({
                ...run,
                ...runs.find((one) => one.letter === run.letter),
            })),
        };
    }

    async release(): Promise<boolean> {
        await this.#settled;
        const reply = await send('POST', `/jobs/${this.view.id}/release`, 'Released', {
            version: this.revision.version,
        });
        if (!reply.ok) this.failure = reply.message;
        return reply.ok;
    }

    /** Begins the next draft from the latest release. */
    async revise(): Promise<boolean> {
        const reply = await send('POST', `/jobs/${this.view.id}/revise`, 'Released');
        if (!reply.ok) this.failure = reply.message;
        return reply.ok;
    }

    /** Puts the bench's answer in place after entries were taken, unless it is older than what stands here. */
    takeProgress(progress: Progress): void {
        const { bench } = this.view;
        if (bench && progress.revision !== bench.revision) this.releasedSince = progress.revision;
        else if (bench && progress.position >= bench.position)
            this.view = {
                ...this.view,
                bench: { ...bench, ...progress },
                next: this.isDraft ? this.view.next : progress.action,
            };
    }

    keepTheirs(): void {
        if (!this.conflict) return;
        dropUnsaved(this.view.id);
        this.document = this.conflict.document;
        this.revision = this.conflict.latest;
        this.conflict = null;
        this.#past = [];
        this.#future = [];
        // Saved as it stands, only to be given its plan.
        if (this.isDraft) void this.#save();
        else location.reload();
    }

    keepMine(): void {
        if (!this.conflict) return;
        this.revision = this.conflict.latest;
        this.conflict = null;
        void this.#save();
    }

    /** Done once every edit made so far is with the server, or was refused. */
    get settled(): Promise<void> {
        return this.#settled;
    }

    retry(): Promise<void> {
        return this.#save();
    }

    /** One save at a time; edits made meanwhile go out together with the next. */
    #save(): Promise<void> {
        this.moved = [];
        this.unsaved = true;
        keepUnsaved(this.view.id, {
            who: this.#who,
            revision: this.revision.number,
            version: this.revision.version,
            document: this.document,
        });
        this.#settled = this.#settled.then(() => (this.unsaved && !this.conflict ? this.#put() : undefined));
        return this.#settled;
    }

    async #put(): Promise<void> {
        const sent = this.document;
        this.saving = true;
        const reply = await send('PUT', `/jobs/${this.view.id}/draft`, 'Saved', {
            version: this.revision.version,
            document: sent,
        });
        this.saving = false;
        if (reply.ok) {
            this.revision = reply.data.revision;
            this.plan = reply.data.plan;
            const { units, next, made } = reply.data;
            this.view = { ...this.view, units, next, made };
            this.errors = {};
            this.failure = '';
            if (this.document === sent) {
                this.document = reply.data.document;
                this.unsaved = false;
                if (!this.leftover) dropUnsaved(this.view.id);
            }
            return;
        }
        if (reply.status === 409 && (await checked('Stale', reply.body)) === null) {
            this.conflict = reply.body as Stale;
        } else if (reply.status === 422) {
            this.errors = reply.errors;
            this.failure = '';
        } else {
            this.errors = {};
            this.failure = `Not saved: ${reply.message}`;
        }
    }
}

export function isRun(member: Member): member is RunPlan {
    return 'farEnd' in member;
}

/** The first error at a place of the document, or below it. */
export function errorAt(errors: Record<string, string[]>, path: string): string {
    return errors[path]?.[0] ?? '';
}
