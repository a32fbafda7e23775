// The page's own colours for three.js, and the tidying up after what was drawn with them.
import { Color, Mesh, Object3D, type Material } from 'three';

export function colour(name: string): Color {
    return new Color(getComputedStyle(document.documentElement).getPropertyValue(name).trim());
}

export function discard(from: Object3D): void {
    from.traverse((object) => {
        const { geometry, material } = object as Partial<Pick<Mesh, 'geometry' | 'material'>>;
        geometry?.dispose();
        for (const one of Array.isArray(material) ? material : material ? [material] : []) {
            (one as Material).dispose();
        }
    });
}
