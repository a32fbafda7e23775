// Lets a drawn tube be seen through where branches stand over holes in it.
import { Vector3, type Material } from 'three';
import type { Drill } from '@/lib/answers';

/** Draws nothing of a surface that lies within the holes. */
export function drill(material: Material, holes: Drill[]): void {
    if (holes.length === 0) return;
    const count = holes.length;
    material.onBeforeCompile = (shader) => {
        shader.uniforms['holeAt'] = { value: holes.map((hole) => new Vector3(...hole.at)) };
        shader.uniforms['holeOut'] = { value: holes.map((hole) => new Vector3(...hole.direction)) };
        shader.uniforms['holeRadius'] = { value: holes.map((hole) => hole.radius) };
        shader.vertexShader = `varying vec3 inSpace;\n${shader.vertexShader}`.replace(
            '#include <begin_vertex>',
            '#include <begin_vertex>\ninSpace = (modelMatrix * vec4(position, 1.0)).xyz;',
        );
        shader.fragmentShader =
            `varying vec3 inSpace;\nuniform vec3 holeAt[${count}];\nuniform vec3 holeOut[${count}];\nuniform float holeRadius[${count}];\n${shader.fragmentShader}`.replace(
                '#include <clipping_planes_fragment>',
                `#include <clipping_planes_fragment>
                for (int i = 0; i < ${count}; i++) {
                    vec3 off = inSpace - holeAt[i];
                    float along = dot(off, holeOut[i]);
                    if (along > 0.0 && length(off - along * holeOut[i]) < holeRadius[i]) discard;
                }`,
            );
    };
    material.customProgramCacheKey = () => `drilled ${count}`;
}
