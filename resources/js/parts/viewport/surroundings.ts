// What stands round the tubes: keep-outs as glass, letters beside the ports.
import {
    Box3,
    BoxGeometry,
    BufferAttribute,
    BufferGeometry,
    CanvasTexture,
    CapsuleGeometry,
    Color,
    CylinderGeometry,
    DoubleSide,
    Matrix4,
    Mesh,
    MeshStandardMaterial,
    PlaneGeometry,
    Quaternion,
    Sprite,
    SpriteMaterial,
    Vector3,
} from 'three';
import type { Frame, KeepOut } from '@/lib/plan';

export function keepOutMesh(solid: KeepOut, extent: Box3, colour: Color): Mesh {
    const mesh = new Mesh(
        shapeOf(solid, extent),
        new MeshStandardMaterial({
            color: colour,
            transparent: true,
            opacity: solid.shape === 'half-space' ? 0.16 : 0.34,
            roughness: 0.8,
            side: DoubleSide,
            depthWrite: false,
        }),
    );
    const from = new Vector3(...solid.at);
    if (solid.shape === 'box' || solid.shape === 'mesh') {
        const [x, y, z] = solid.axes.map((axis) => new Vector3(...axis)) as [Vector3, Vector3, Vector3];
        mesh.quaternion.setFromRotationMatrix(new Matrix4().makeBasis(x, y, z));
        mesh.position.copy(from);
    } else if (solid.shape === 'half-space') {
        const normal = new Vector3(...solid.axes[0]);
        const centre = extent.getCenter(new Vector3());
        mesh.quaternion.copy(new Quaternion().setFromUnitVectors(new Vector3(0, 0, 1), normal));
        mesh.position.copy(centre.addScaledVector(normal, normal.dot(from.clone().sub(centre))));
    } else {
        const along = new Vector3(...solid.to).sub(from);
        mesh.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), along.clone().normalize());
        mesh.position.copy(from).addScaledVector(along, 0.5);
    }
    return mesh;
}

const meshes = new Map<string, Promise<Float32Array>>();

/** The triangles of an imported mesh, asked for once. */
export function meshTriangles(url: string): Promise<Float32Array> {
    const known = meshes.get(url);
    if (known) return known;
    const asked = fetch(url).then(async (reply) =>
        reply.ok ? new Float32Array(await reply.arrayBuffer()) : new Float32Array(),
    );
    meshes.set(url, asked);
    return asked;
}

/** Gives a mesh its surface once that has come. */
export function fillMesh(mesh: Mesh, triangles: Float32Array): void {
    mesh.geometry.setAttribute('position', new BufferAttribute(triangles, 3));
    mesh.geometry.computeVertexNormals();
}

function shapeOf(solid: KeepOut, extent: Box3): BufferGeometry {
    const length = new Vector3(...solid.to).distanceTo(new Vector3(...solid.at));
    switch (solid.shape) {
        case 'box':
            return new BoxGeometry(...solid.size);
        case 'cylinder':
            return new CylinderGeometry(solid.radius, solid.radius, length, 40);
        case 'capsule':
            return new CapsuleGeometry(solid.radius, length, 10, 40);
        case 'mesh':
            return new BufferGeometry();
        case 'half-space': {
            const size = extent.isEmpty() ? 400 : extent.getSize(new Vector3()).length() * 0.8;
            return new PlaneGeometry(size, size);
        }
    }
}

/** A run's letter, just outside its port, always facing the eye. */
export function letterSprite(letter: string, port: Frame, odMm: number, ink: string): Sprite {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 64;
    const styles = getComputedStyle(document.documentElement);
    const pen = canvas.getContext('2d');
    if (pen) {
        pen.fillStyle = styles.getPropertyValue(ink);
        pen.fillRect(4, 4, 56, 56);
        pen.fillStyle = styles.getPropertyValue('--paper');
        pen.font = '600 44px "Barlow Condensed", sans-serif';
        pen.textAlign = 'center';
        pen.textBaseline = 'middle';
        pen.fillText(letter, 32, 35);
    }
    const sprite = new Sprite(new SpriteMaterial({ map: new CanvasTexture(canvas), depthTest: false }));
    sprite.position
        .set(...port.at)
        .addScaledVector(new Vector3(...port.forward), -odMm * 0.9)
        .add(new Vector3(0, 0, odMm * 0.9));
    sprite.scale.setScalar(odMm * 0.85);
    return sprite;
}
