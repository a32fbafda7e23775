// Puts the picture of a job together from what the core sent; nothing here decides where a tube goes.
import {
    Box3,
    BufferGeometry,
    LineBasicMaterial,
    LineSegments,
    Vector3,
    type Intersection,
    type Object3D,
} from 'three';
import type { Selection } from '@/lib/job-desk.svelte';
import type {
    BenchPose,
    Insertion,
    KeepOut,
    MergeShape,
    PlacedPart,
    RunPlan,
    SetPlan,
    Triple,
    TubeRun,
} from '@/lib/answers';
import { collectorModel, holeLine } from './branching';
import { buildScene, letterLabel } from './build-scene';
import { Handles, type Grip } from './handles';
import { Labels, type Label } from './labels';
import { Motion } from './motion';
import { partModel } from './part-model';
import { colour, discard } from './palette';
import { endModel, runModel, type Picked } from './run-model';
import { Stage, type View } from './stage';
import {
    DATUM_LABELS,
    datumAxes,
    doubtModel,
    fillMesh,
    floorGrid,
    gapLine,
    keepOutMesh,
    meshTriangles,
    openingLine,
    pointMark,
    type Doubt,
} from './surroundings';

export type { View };

export type Scenery = {
    runs: RunPlan[];
    current: string;
    ghosts: { letter: string; run: TubeRun }[];
    selection: Selection;
    set: SetPlan;
    merge: MergeShape;
    parts: PlacedPart[];
    /** The collector that is worked on, if one is. */
    collector: string | null;
    /** The run or collector that is looked at; null for everything. */
    near: string | null;
    /** What stands there: marks of pieces, letters of whole runs and collectors; null for everything. */
    standing: string[] | null;
    /** The piece that has just been brought. */
    fresh: string;
    /** The seam that is looked at. */
    seam: SeamShown | null;
    /** How what stands there is held on the bench and filled, with the joints that stay taped; null as on the vehicle. */
    held: Held | null;
    grip: Grip | null;
    withDatum: boolean;
    /** How sure measured ends are, and points that were measured. */
    doubts: Doubt[];
    points: { name: string; at: Triple }[];
    gridMm: number;
    meshUrl: (fingerprint: string) => string;
};

/** A joint of a run with where a torch gets to round it, in degrees. */
export type SeamShown = { joint: string; reached: [number, number][] };

export type Held = { pose: BenchPose; taped: string[] };

/** How the picture is looked at, apart from what is in it. */
export type Looks = {
    glass: number;
    spread: number;
    section: { axis: 0 | 1 | 2; at: number } | null;
    snapMm: number;
    isMeasuring: boolean;
};

export type Listeners = {
    onselect: (selection: Selection) => void;
    onrun: (letter: string) => void;
    ondrag: (key: string, at: Triple, isDone: boolean) => void;
    onmeasure: (mm: number | null) => void;
    ontap: (at: Triple) => void;
};

export class TubeScene {
    readonly #stage: Stage;
    readonly #labels: Labels;
    readonly #motion: Motion;
    readonly #handles: Handles;
    #looks: Looks = { glass: 0.34, spread: 0, section: null, snapMm: 5, isMeasuring: false };
    /** The keep-out that a press is to say a place of; null for none. */
    #tapped: string | null = null;
    #marks: Vector3[] = [];
    #measure: LineSegments | null = null;

    constructor(
        canvas: HTMLCanvasElement,
        layer: HTMLElement,
        private readonly on: Listeners,
    ) {
        this.#stage = new Stage(canvas);
        this.#labels = new Labels(layer, this.#stage);
        this.#motion = new Motion(this.#stage);
        this.#handles = new Handles(this.#stage, canvas, on.ondrag);
        this.#stage.ondraw = () => this.#labels.place();
        this.#stage.onclick = this.#pick;
    }

    dispose(): void {
        this.#motion.stop();
        this.#handles.dispose();
        this.#stage.dispose();
    }

    seeAll(): void {
        this.#stage.seeAll();
    }

    look(view: View): void {
        this.#stage.look(view);
    }

    /** Between which places a cut along an axis changes anything. */
    reach(axis: 0 | 1 | 2): [number, number] {
        const { min, max } = this.#stage.extent;
        return this.#stage.extent.isEmpty() ? [0, 1] : [min.getComponent(axis), max.getComponent(axis)];
    }

    /** Draws every run, the chosen one plainly; ways being compared; what must be kept clear of; gaps that are too small. */
    show(scenery: Scenery): void {
        this.#motion.stop();
        this.#stage.clear();
        const { content } = this.#stage;
        const labels: Label[] = [];
        if (scenery.standing) {
            const built = buildScene(scenery, scenery.standing);
            content.add(built.model, floorGrid(built.extent, scenery.gridMm));
            this.#stage.extent = built.extent;
            this.#labels.show(built.labels);
            this.#handles.offer(null);
            return;
        }
        scenery.runs.forEach((plan, order) => {
            const isCurrent = plan.letter === scenery.current;
            const ghost = scenery.ghosts.find((one) => one.letter === plan.letter);
            const odMm = plan.tube?.od.value ?? 50;
            if (ghost) content.add(withCentre(runModel(ghost.run, plan, order, null, 'ghost')));
            if (plan.run && (!ghost || isCurrent)) {
                content.add(
                    withCentre(
                        runModel(
                            plan.run,
                            plan,
                            order,
                            scenery.selection,
                            isCurrent ? 'current' : 'beside',
                            [...scenery.merge.branches, ...scenery.merge.slants].filter(
                                (one) => one.letter === plan.letter && one.cut.length > 0,
                            ),
                            scenery.merge.branches.flatMap((one) =>
                                one.on === plan.letter && one.drill ? [one.drill] : [],
                            ),
                        ),
                    ),
                );
            }
            for (const side of ['start', 'target'] as const) {
                const id = `${plan.letter}.${side === 'start' ? 'start' : 'end'}`;
                const isChosen = scenery.selection?.kind === 'end' && scenery.selection.id === id;
                content.add(endModel(plan[side], odMm, id, side === 'start', isChosen));
            }
            if (plan.opening) content.add(openingLine(plan.opening));
            if (plan.run && plan.farEnd && !plan.farEnd.closed) {
                content.add(gapLine(plan.run.end.at, plan.target.frame.at));
            }
            if (scenery.runs.length > 1) labels.push(letterLabel(plan, isCurrent));
        });
        for (const collector of scenery.merge.collectors) {
            content.add(collectorModel(collector, collector.letter === scenery.collector));
            labels.push({
                text: collector.letter,
                at: new Vector3(...collector.outlet.at),
                look: collector.letter === scenery.collector ? 'current' : 'run',
            });
        }
        for (const part of scenery.parts) {
            content.add(partModel(part));
            labels.push({ text: part.name, at: new Vector3(...part.to), look: 'run' });
        }
        for (const branch of scenery.merge.branches)
            if (branch.hole.length > 0) content.add(holeLine(branch));
        for (const gap of scenery.set.gaps.filter((one) => !one.kept)) {
            content.add(gapLine(gap.from, gap.to));
            labels.push({ text: gap.gap.text, at: new Vector3(...gap.from), look: 'stop' });
        }
        this.#stage.extent = extentOf(content, scenery.near);
        for (const solid of scenery.set.keepOuts) this.#addSolid(solid, scenery, labels);
        for (const { text, at } of scenery.withDatum ? DATUM_LABELS : []) {
            labels.push({ text, at: new Vector3(...at), look: 'quiet' });
        }
        if (scenery.withDatum) content.add(datumAxes());
        for (const one of scenery.doubts) content.add(doubtModel(one));
        for (const { name, at } of scenery.points) {
            content.add(pointMark(at));
            labels.push({ text: name, at: new Vector3(...at), look: 'quiet' });
        }
        content.add(floorGrid(this.#stage.extent, scenery.gridMm));
        this.#labels.show(labels);
        this.#handles.offer(scenery.grip);
        this.#motion.spread(this.#looks.spread);
    }

    /** Only what the looks change; the picture itself stays. */
    dress(looks: Looks): void {
        const before = this.#looks;
        this.#looks = looks;
        this.#stage.section(looks.section);
        this.#handles.snapTo(looks.snapMm);
        if (looks.spread !== before.spread) this.#motion.spread(looks.spread);
        if (!looks.isMeasuring) this.#drawMeasure([]);
    }

    /** Takes away what lies before a plane, to look inside a merge; null closes it again. */
    open(plane: { at: Triple; normal: Triple } | null): void {
        this.#stage.open(plane);
    }

    playInsertion(order: Insertion['order']): void {
        // Words and arrows belong to where things end up.
        this.#labels.show([]);
        this.#handles.offer(null);
        this.#motion.playInsertion(order);
    }

    #addSolid(solid: KeepOut, { selection, meshUrl }: Scenery, labels: Label[]): void {
        if (this.#looks.glass <= 0.02) return;
        const isChosen = selection?.kind === 'keep-out' && selection.id === solid.name;
        const mesh = keepOutMesh(solid, this.#stage.extent, this.#looks.glass, isChosen);
        this.#stage.content.add(mesh);
        labels.push({ text: solid.name, at: mesh.position.clone(), look: 'quiet' });
        if (solid.mesh)
            void meshTriangles(meshUrl(solid.mesh)).then((triangles) => {
                fillMesh(mesh, triangles);
                this.#stage.draw();
            });
    }

    /** From now on a press says where on a keep-out it fell; null ends that. */
    tapOn(name: string | null): void {
        this.#tapped = name;
        if (name === null) this.#drawMeasure([]);
    }

    readonly #pick = (hits: Intersection[]): void => {
        if (this.#tapped !== null) {
            const hit = hits.find((one) => pickedOf(one)?.selection?.id === this.#tapped);
            if (hit) {
                this.#drawMeasure([hit.point]);
                this.on.ontap(hit.point.toArray() as Triple);
            }
            return;
        }
        if (this.#looks.isMeasuring) {
            const place = hits[0]?.point;
            if (place) this.#drawMeasure(this.#marks.length === 1 ? [...this.#marks, place] : [place]);
            return;
        }
        // What is looked at through glass comes before the glass.
        const found = hits.map(pickedOf).filter((one): one is Picked => one !== null);
        const first = found.find((one) => one.selection?.kind !== 'keep-out') ?? found[0];
        if (first?.letter) this.on.onrun(first.letter);
        else this.on.onselect(first?.selection ?? null);
    };

    #drawMeasure(marks: Vector3[]): void {
        if (marks.length === 0 && this.#marks.length === 0) return;
        this.#marks = marks;
        if (this.#measure) {
            discard(this.#measure);
            this.#stage.scene.remove(this.#measure);
            this.#measure = null;
        }
        const [from, to] = marks;
        if (from) {
            const end = to ?? from.clone().add(new Vector3(0, 0, 12));
            this.#measure = new LineSegments(
                new BufferGeometry().setFromPoints([from, end]),
                new LineBasicMaterial({ color: colour('--action'), depthTest: false }),
            );
            this.#stage.scene.add(this.#measure);
        }
        this.on.onmeasure(from && to ? from.distanceTo(to) : null);
        this.#stage.draw();
    }
}

/** Round one run or collector, or round everything. */
function extentOf(content: Object3D, near: string | null): Box3 {
    const box = new Box3();
    for (const one of content.children) {
        if (near !== null && (one.userData['run'] ?? one.userData['collector']) === near)
            box.expandByObject(one);
    }
    return box.isEmpty() ? box.setFromObject(content) : box;
}

/** Where a run stands by itself, for spreading the set. */
function withCentre<T extends Object3D>(model: T): T {
    model.userData['centre'] = new Box3().setFromObject(model).getCenter(new Vector3());
    return model;
}

function pickedOf(hit: Intersection): Picked | null {
    const { pick, pickInstance } = hit.object.userData as {
        pick?: (face: number) => Picked;
        pickInstance?: (instance: number) => Picked;
    };
    if (pickInstance && hit.instanceId !== undefined) return pickInstance(hit.instanceId);
    return pick ? pick(hit.faceIndex ?? 0) : null;
}
