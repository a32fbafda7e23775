// A bought part as it is drawn: a round body behind its run, as long and as wide as it was measured.
import { CylinderGeometry, DoubleSide, Mesh, MeshStandardMaterial, Vector3 } from 'three';
import type { PlacedPart } from '@/lib/answers';
import { colour } from './palette';

/** The necks at either end narrow to so much of its width. */
const NECK = 0.82;

export function partModel(part: PlacedPart): Mesh {
    const from = new Vector3(...part.from);
    const along = new Vector3(...part.to).sub(from);
    const body = new CylinderGeometry(part.radius, part.radius, along.length(), 40, 4);
    const places = body.getAttribute('position');
    for (let i = 0; i < places.count; i++) {
        const isEnd = Math.abs(places.getY(i)) > along.length() / 2 - 1e-3;
        if (isEnd) places.setXYZ(i, places.getX(i) * NECK, places.getY(i), places.getZ(i) * NECK);
    }
    body.computeVertexNormals();
    const mesh = new Mesh(
        body,
        new MeshStandardMaterial({
            color: colour('--strong'),
            metalness: 0.4,
            roughness: 0.45,
            side: DoubleSide,
        }),
    );
    mesh.quaternion.setFromUnitVectors(new Vector3(0, 1, 0), along.clone().normalize());
    mesh.position.copy(from).addScaledVector(along, 0.5);
    return mesh;
}
