import {
    AmbientLight,
    ArrowHelper,
    Box3,
    BufferGeometry,
    Color,
    CylinderGeometry,
    DirectionalLight,
    DoubleSide,
    Group,
    LineBasicMaterial,
    LineSegments,
    Mesh,
    MeshStandardMaterial,
    Object3D,
    PerspectiveCamera,
    Raycaster,
    Scene,
    SphereGeometry,
    Sprite,
    TorusGeometry,
    Vector2,
    Vector3,
    WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import type { Selection } from '@/lib/job-desk.svelte';
import type { Frame, KeepOut, RunEnd, RunPlan, SetPlan, Triple, TubeRun } from '@/lib/plan';
import { fillMesh, keepOutMesh, letterSprite, meshTriangles } from './surroundings';
import { frameAt, pointOf, segmentGeometry, squareTo } from './tube-mesh';

export type View = 'corner' | 'side' | 'top' | 'rear';

export type Scenery = {
    runs: RunPlan[];
    current: string;
    ghosts: { letter: string; run: TubeRun }[];
    selection: Selection;
    set: SetPlan;
    meshUrl: (fingerprint: string) => string;
};

const SECONDS_A_RUN = 1.6;

const DIRECTIONS: Record<View, Vector3> = {
    corner: new Vector3(-0.75, 1, 0.65),
    side: new Vector3(0.0001, 1, 0),
    top: new Vector3(0, 0.0001, 1),
    rear: new Vector3(1, 0.0001, 0),
};

/** The one place that knows three.js: a run with its ends and target, drawn when something changes. */
export class TubeScene {
    readonly #renderer: WebGLRenderer;
    readonly #scene = new Scene();
    readonly #camera = new PerspectiveCamera(35, 1, 10, 20000);
    readonly #controls: OrbitControls;
    readonly #content = new Group();
    readonly #resize: ResizeObserver;
    #frame = 0;
    #play = 0;
    #extent = new Box3();

    constructor(
        private readonly canvas: HTMLCanvasElement,
        private readonly onselect: (selection: Selection) => void,
        private readonly onrun: (letter: string) => void,
    ) {
        this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
        this.#renderer.setPixelRatio(Math.min(devicePixelRatio, 2));
        this.#camera.up.set(0, 0, 1);
        this.#controls = new OrbitControls(this.#camera, canvas);
        this.#controls.addEventListener('change', () => this.draw());
        const sun = new DirectionalLight(0xffffff, 2.2);
        sun.position.set(-600, 900, 1400);
        const fill = new DirectionalLight(0xffffff, 0.8);
        fill.position.set(900, -700, -300);
        this.#scene.add(new AmbientLight(0xffffff, 1.1), sun, fill, this.#content);
        this.#resize = new ResizeObserver(() => this.#fit());
        this.#resize.observe(canvas);
        canvas.addEventListener('click', this.#pick);
    }

    dispose(): void {
        this.#resize.disconnect();
        this.canvas.removeEventListener('click', this.#pick);
        this.#controls.dispose();
        this.#clear();
        this.#renderer.dispose();
        cancelAnimationFrame(this.#frame);
    }

    /** Draws every run, the chosen one plainly; ghosts of ways being compared; what must be kept clear of; tight gaps. */
    show({ runs, current, ghosts, selection, set, meshUrl }: Scenery): void {
        cancelAnimationFrame(this.#play);
        this.#clear();
        const ink = this.#colour('--ink');
        for (const plan of runs) {
            const odMm = plan.tube?.od.value ?? 50;
            const isCurrent = plan.letter === current;
            const ghost = ghosts.find((one) => one.letter === plan.letter);
            if (ghost) this.#addRun(ghost.run, plan, odMm, null, 'ghost');
            if (plan.run && (!ghost || isCurrent)) {
                this.#addRun(plan.run, plan, odMm, selection, isCurrent ? 'current' : 'beside');
            }
            this.#addEnd(plan.start, odMm, this.#colour('--strong'));
            this.#addEnd(plan.target, odMm, this.#colour('--strong'));
            this.#addArrow(plan.start.frame, odMm, ink);
            this.#addArrow(plan.target.frame, odMm, this.#colour('--action'));
            if (plan.run && plan.farEnd && !plan.farEnd.closed) {
                this.#addGap(plan.run.end.at, plan.target.frame.at, this.#colour('--stop'));
            }
            if (runs.length > 1) {
                this.#content.add(
                    letterSprite(plan.letter, plan.start.frame, odMm, isCurrent ? '--action' : '--ink'),
                );
            }
        }
        for (const gap of set.gaps) {
            if (!gap.kept && gap.to) this.#addGap(gap.from, gap.to, this.#colour('--stop'));
            else if (!gap.kept) this.#addDot(gap.from, this.#colour('--stop'));
        }
        // Walls of keep-outs may be endless; what is looked at is the tubes.
        this.#extent = new Box3().setFromObject(this.#content);
        for (const solid of set.keepOuts) this.#addSolid(solid, meshUrl);
        this.#addFloor();
        this.draw();
    }

    #addSolid(solid: KeepOut, meshUrl: (fingerprint: string) => string): void {
        const mesh = keepOutMesh(solid, this.#extent, this.#colour('--strong'));
        this.#content.add(mesh);
        if (solid.mesh)
            void meshTriangles(meshUrl(solid.mesh)).then((triangles) => {
                fillMesh(mesh, triangles);
                this.draw();
            });
    }

    look(view: View): void {
        const box = this.#extent.isEmpty()
            ? new Box3(new Vector3(-100, -100, -100), new Vector3(100, 100, 100))
            : this.#extent;
        const centre = box.getCenter(new Vector3());
        const size = Math.max(box.getSize(new Vector3()).length(), 200);
        const narrow = Math.min(1, this.#camera.aspect);
        this.#camera.position
            .copy(centre)
            .addScaledVector(DIRECTIONS[view].clone().normalize(), (size * 1.55) / narrow);
        this.#controls.target.copy(centre);
        this.#controls.update();
        this.draw();
    }

    /** Moves each run to its place in turn, along the way it goes in; those still to come wait out of sight. */
    playInsertion(order: { run: string; direction: Triple }[]): void {
        const began = performance.now();
        const far = Math.max(this.#extent.getSize(new Vector3()).length() * 0.8, 300);
        const parts = order.map((step) => ({
            direction: new Vector3(...step.direction),
            objects: this.#content.children.filter((one) => one.userData['run'] === step.run),
        }));
        const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
        const frame = (): void => {
            const time = (performance.now() - began) / (still ? 1 : SECONDS_A_RUN * 1000);
            parts.forEach(({ direction, objects }, i) => {
                const share = Math.min(Math.max(time - i, 0), 1);
                const back = -far * (1 - share) ** 2;
                for (const object of objects) {
                    object.visible = time > i;
                    const home = (object.userData['home'] ??= object.position.clone()) as Vector3;
                    object.position.copy(home).addScaledVector(direction, back);
                }
            });
            this.draw();
            if (time < parts.length) this.#play = requestAnimationFrame(frame);
        };
        cancelAnimationFrame(this.#play);
        frame();
    }

    draw(): void {
        cancelAnimationFrame(this.#frame);
        this.#frame = requestAnimationFrame(() => this.#renderer.render(this.#scene, this.#camera));
    }

    #addRun(
        run: TubeRun,
        plan: RunPlan,
        odMm: number,
        selection: Selection,
        as: 'current' | 'beside' | 'ghost',
    ): void {
        const isGhost = as === 'ghost';
        for (const segment of run.segments) {
            const isBend = segment.bend !== null;
            const isOn =
                as === 'current' && selection?.kind === 'bend' && selection.id === String(segment.bend);
            const material = new MeshStandardMaterial({
                color:
                    isGhost || isOn ? this.#colour('--action') : this.#colour(isBend ? '--bend' : '--tube'),
                metalness: 0.35,
                roughness: 0.42,
                side: DoubleSide,
                transparent: as !== 'current',
                opacity: isGhost ? 0.35 : as === 'beside' ? 0.55 : 1,
            });
            const mesh = new Mesh(segmentGeometry(segment, odMm / 2), material);
            if (!isGhost) mesh.userData['run'] = plan.letter;
            if (as === 'beside') mesh.userData['letter'] = plan.letter;
            else if (isBend && !isGhost)
                mesh.userData['selection'] = { kind: 'bend', id: String(segment.bend) };
            this.#content.add(mesh);
        }
        if (isGhost) return;
        for (const joint of plan.joints.filter((one) => one.type === 'butt')) {
            const frame = frameAt(run, joint.station);
            if (frame)
                this.#addSeam(
                    frame,
                    odMm,
                    selection?.kind === 'joint' && selection.id === joint.id,
                    joint.id,
                    plan.letter,
                );
        }
        for (const fitting of plan.fittings) {
            const frame = frameAt(run, fitting.station);
            if (frame) this.#addBung(frame, odMm, fitting.fromThroat.turn.value);
        }
    }

    #addSeam(frame: Frame, odMm: number, isOn: boolean, id: string, letter: string): void {
        const ring = new Mesh(
            new TorusGeometry(odMm / 2 + 0.4, isOn ? 3 : 1.6, 8, 48),
            new MeshStandardMaterial({ color: this.#colour(isOn ? '--action' : '--ink'), roughness: 0.6 }),
        );
        ring.quaternion.setFromUnitVectors(new Vector3(0, 0, 1), new Vector3(...frame.forward));
        ring.position.copy(pointOf(frame));
        ring.userData['selection'] = { kind: 'joint', id };
        ring.userData['run'] = letter;
        this.#content.add(ring);
    }

    #addBung(frame: Frame, odMm: number, turnDeg: number): void {
        const forward = new Vector3(...frame.forward);
        const out = new Vector3(...frame.reference).applyAxisAngle(forward, (turnDeg * Math.PI) / 180);
        const bung = new Mesh(
            new CylinderGeometry(14, 14, 16, 24),
            new MeshStandardMaterial({ color: this.#colour('--ink'), roughness: 0.5 }),
        );
        bung.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), out);
        bung.position.copy(pointOf(frame)).addScaledVector(out, odMm / 2 + 5);
        this.#content.add(bung);
    }

    #addEnd(end: RunEnd, odMm: number, colour: Color): void {
        if (end.kind === 'open') return;
        const disc = new Mesh(
            new CylinderGeometry(
                odMm * (end.kind === 'flange' ? 0.85 : 0.66),
                odMm * (end.kind === 'flange' ? 0.85 : 0.62),
                end.kind === 'flange' ? 9.5 : 14,
                40,
                1,
                end.kind !== 'flange',
            ),
            new MeshStandardMaterial({ color: colour, metalness: 0.3, roughness: 0.5, side: DoubleSide }),
        );
        disc.quaternion.copy(squareTo(end.frame));
        disc.position.copy(pointOf(end.frame));
        this.#content.add(disc);
    }

    #addArrow(frame: Frame, odMm: number, colour: Color): void {
        const forward = new Vector3(...frame.forward);
        this.#content.add(
            new ArrowHelper(
                forward,
                pointOf(frame).addScaledVector(forward, -odMm * 1.6),
                odMm * 1.3,
                colour,
                odMm * 0.35,
                odMm * 0.2,
            ),
        );
    }

    #addGap(from: Triple, to: Triple, colour: Color): void {
        const line = new BufferGeometry().setFromPoints([new Vector3(...from), new Vector3(...to)]);
        this.#content.add(new LineSegments(line, new LineBasicMaterial({ color: colour, depthTest: false })));
        this.#addDot(from, colour);
    }

    #addDot(at: Triple, colour: Color): void {
        const dot = new Mesh(
            new SphereGeometry(6, 16, 12),
            new MeshStandardMaterial({ color: colour, depthTest: false }),
        );
        dot.position.set(...at);
        this.#content.add(dot);
    }

    /** A plain grid below everything: rearward and right, a line every 100 mm. */
    #addFloor(): void {
        const { min, max } = this.#extent;
        const points: Vector3[] = [];
        const level = min.z - 20;
        const [x0, x1] = [Math.floor(min.x / 100) * 100 - 100, Math.ceil(max.x / 100) * 100 + 100];
        const [y0, y1] = [Math.floor(min.y / 100) * 100 - 100, Math.ceil(max.y / 100) * 100 + 100];
        for (let x = x0; x <= x1; x += 100) points.push(new Vector3(x, y0, level), new Vector3(x, y1, level));
        for (let y = y0; y <= y1; y += 100) points.push(new Vector3(x0, y, level), new Vector3(x1, y, level));
        const lines = new LineSegments(
            new BufferGeometry().setFromPoints(points),
            new LineBasicMaterial({ color: this.#colour('--line') }),
        );
        this.#content.add(lines);
    }

    readonly #pick = (event: MouseEvent): void => {
        const box = this.canvas.getBoundingClientRect();
        const place = new Vector2(
            ((event.clientX - box.left) / box.width) * 2 - 1,
            -((event.clientY - box.top) / box.height) * 2 + 1,
        );
        const ray = new Raycaster();
        ray.setFromCamera(place, this.#camera);
        const hit = ray
            .intersectObjects(this.#content.children, false)
            .find((one) => one.object.userData['selection'] || one.object.userData['letter']);
        const letter: unknown = hit?.object.userData['letter'];
        if (typeof letter === 'string') this.onrun(letter);
        else this.onselect((hit?.object.userData['selection'] as Selection | undefined) ?? null);
    };

    #fit(): void {
        const { clientWidth, clientHeight } = this.canvas;
        if (clientWidth === 0 || clientHeight === 0) return;
        this.#renderer.setSize(clientWidth, clientHeight, false);
        this.#camera.aspect = clientWidth / clientHeight;
        this.#camera.updateProjectionMatrix();
        this.draw();
    }

    #colour(name: string): Color {
        return new Color(getComputedStyle(document.documentElement).getPropertyValue(name).trim());
    }

    #clear(): void {
        this.#content.traverse((object: Object3D) => {
            if (object instanceof Sprite) object.material.map?.dispose();
            if (object instanceof Mesh || object instanceof LineSegments || object instanceof Sprite) {
                object.geometry.dispose();
                const material: unknown = object.material;
                for (const one of Array.isArray(material) ? material : [material]) {
                    (one as MeshStandardMaterial).dispose();
                }
            }
        });
        this.#content.clear();
    }
}
