// How sure what was measured at the vehicle is, for the picture.
import type { Plan, Triple } from '@/lib/answers';
import type { Doubt } from './surroundings';

/** Of every measured end that is known by now; what is typed counts as sure. */
export function doubtsOf({ measured, runs }: Plan): Doubt[] {
    return (measured?.ends ?? []).flatMap((one): Doubt[] => {
        const run = runs.find(({ letter }) => letter === one.run);
        const frame = (one.isStart ? run?.start : run?.target)?.frame;
        if (!frame || one.isPlaceOpen || one.isDirectionOpen) return [];
        const sign = one.isStart ? 1 : -1;
        const [x, y, z] = frame.forward;
        const out: Triple = [sign * x, sign * y, sign * z];
        return [{ at: frame.at, out, sdMm: one.sdMm, sdDeg: one.sdDeg }];
    });
}

export function pointsOf({ measured }: Plan): { name: string; at: Triple }[] {
    return (measured?.points ?? []).flatMap(({ name, at }) => (at ? [{ name, at }] : []));
}
