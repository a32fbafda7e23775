// Camera, lights and canvas: drawn only when something changes.
import {
    AmbientLight,
    Box3,
    DirectionalLight,
    Group,
    Object3D,
    PerspectiveCamera,
    Plane,
    Raycaster,
    Scene,
    Vector2,
    Vector3,
    WebGLRenderer,
    type Intersection,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { discard } from './palette';

export type View = 'corner' | 'side' | 'top' | 'rear';

const DIRECTIONS: Record<View, Vector3> = {
    corner: new Vector3(-0.75, 1, 0.65),
    side: new Vector3(0.0001, 1, 0),
    top: new Vector3(0, 0.0001, 1),
    rear: new Vector3(1, 0.0001, 0),
};

/** A pointer that moved further than this between down and up has turned the view, not picked. */
const CLICK_PX = 5;

export class Stage {
    readonly scene = new Scene();
    readonly camera = new PerspectiveCamera(35, 1, 10, 20000);
    readonly controls: OrbitControls;
    readonly content = new Group();
    /** What is looked at: the tubes and their ends, without walls that may be endless. */
    extent = new Box3();
    #section: Plane | null = null;
    #opening: Plane | null = null;
    ondraw: () => void = () => {};
    onclick: (hits: Intersection[]) => void = () => {};

    readonly #renderer: WebGLRenderer;
    readonly #resize: ResizeObserver;
    #frame = 0;
    #down = new Vector2();

    constructor(private readonly canvas: HTMLCanvasElement) {
        this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
        this.#renderer.setPixelRatio(Math.min(devicePixelRatio, 2));
        this.camera.up.set(0, 0, 1);
        this.controls = new OrbitControls(this.camera, canvas);
        this.controls.addEventListener('change', this.draw);
        const sun = new DirectionalLight(0xffffff, 2.2);
        sun.position.set(-600, 900, 1400);
        const fill = new DirectionalLight(0xffffff, 0.8);
        fill.position.set(900, -700, -300);
        this.scene.add(new AmbientLight(0xffffff, 1.1), sun, fill, this.content);
        this.#resize = new ResizeObserver(() => this.#fit());
        this.#resize.observe(canvas);
        canvas.addEventListener('pointerdown', this.#press);
        canvas.addEventListener('click', this.#pick);
    }

    dispose(): void {
        this.#resize.disconnect();
        this.canvas.removeEventListener('pointerdown', this.#press);
        this.canvas.removeEventListener('click', this.#pick);
        this.controls.dispose();
        this.clear();
        this.#renderer.dispose();
        cancelAnimationFrame(this.#frame);
    }

    clear(): void {
        discard(this.content);
        this.content.clear();
    }

    draw = (): void => {
        cancelAnimationFrame(this.#frame);
        this.#frame = requestAnimationFrame(() => {
            this.#renderer.render(this.scene, this.camera);
            this.ondraw();
        });
    };

    look(view: View): void {
        this.#lookFrom(DIRECTIONS[view]);
    }

    /** Steps back, or closer, until everything is seen, from the side it is looked at from. */
    seeAll(): void {
        this.#lookFrom(this.camera.position.clone().sub(this.controls.target));
    }

    #lookFrom(direction: Vector3): void {
        const box = this.extent.isEmpty()
            ? new Box3(new Vector3(-100, -100, -100), new Vector3(100, 100, 100))
            : this.extent;
        const centre = box.getCenter(new Vector3());
        const size = Math.max(box.getSize(new Vector3()).length(), 200);
        const narrow = Math.min(1, this.camera.aspect);
        this.camera.position
            .copy(centre)
            .addScaledVector(direction.clone().normalize(), (size * 1.55) / narrow);
        this.controls.target.copy(centre);
        this.controls.update();
        this.draw();
    }

    /** Cuts away all that lies beyond a place on an axis; null shows everything. */
    section(cut: { axis: 0 | 1 | 2; at: number } | null): void {
        const normal = new Vector3();
        if (cut) normal.setComponent(cut.axis, -1);
        this.#section = cut ? new Plane(normal, cut.at) : null;
        this.#clip();
    }

    /** Cuts away what lies before a plane and looks straight at the cut; null closes it and looks as before. */
    open(plane: { at: [number, number, number]; normal: [number, number, number] } | null): void {
        if (!plane) {
            if (this.#opening) this.look('corner');
            this.#opening = null;
            this.#clip();
            return;
        }
        const at = new Vector3(...plane.at);
        const normal = new Vector3(...plane.normal).normalize();
        // The half on the side of the eye goes; of a level plane, the upper one.
        const towards = Math.abs(normal.z) > 0.5 ? normal.z : normal.dot(DIRECTIONS.corner);
        if (towards < 0) normal.negate();
        const isNew = this.#opening === null;
        this.#opening = new Plane().setFromNormalAndCoplanarPoint(normal.clone().negate(), at);
        if (isNew) this.#lookFrom(normal.addScaledVector(new Vector3(0, 0, 1), 0.25));
        this.#clip();
    }

    #clip(): void {
        const planes = [this.#section, this.#opening];
        this.#renderer.clippingPlanes = planes.filter((one) => one !== null);
        this.draw();
    }

    /** Where a place falls on the canvas, in its pixels; null behind the eye. */
    onScreen(place: Vector3): { x: number; y: number; depth: number } | null {
        const seen = place.clone().project(this.camera);
        if (seen.z > 1) return null;
        return {
            x: ((seen.x + 1) / 2) * this.canvas.clientWidth,
            y: ((1 - seen.y) / 2) * this.canvas.clientHeight,
            depth: seen.z,
        };
    }

    readonly #press = (event: PointerEvent): void => {
        this.#down.set(event.clientX, event.clientY);
    };

    readonly #pick = (event: MouseEvent): void => {
        if (this.#down.distanceTo(new Vector2(event.clientX, event.clientY)) > CLICK_PX) return;
        const box = this.canvas.getBoundingClientRect();
        const ray = new Raycaster();
        ray.setFromCamera(
            new Vector2(
                ((event.clientX - box.left) / box.width) * 2 - 1,
                -((event.clientY - box.top) / box.height) * 2 + 1,
            ),
            this.camera,
        );
        this.onclick(ray.intersectObjects(this.content.children, true).filter((hit) => isShown(hit.object)));
    };

    #fit(): void {
        const { clientWidth, clientHeight } = this.canvas;
        if (clientWidth === 0 || clientHeight === 0) return;
        this.#renderer.setSize(clientWidth, clientHeight, false);
        this.camera.aspect = clientWidth / clientHeight;
        this.camera.updateProjectionMatrix();
        this.draw();
    }
}

function isShown(object: Object3D | null): boolean {
    return object === null || (object.visible && isShown(object.parent));
}
