import type { Joint, Piece, RunPlan, Segment } from '@/lib/answers';

export type Span = { left: number; width: number };

/** Where a stretch of the run lies on the strip, in percent of its length. */
export function span(fromMm: number, toMm: number, lengthMm: number): Span {
    const length = Math.max(lengthMm, 1e-6);
    return { left: (100 * fromMm) / length, width: (100 * (toMm - fromMm)) / length };
}

/** Types of joints that lie on the side of a tube. */
export const ON_SIDE = ['bung', 'tab', 'crack'];

/** Joints that share a station (a flange's two passes) stand together. */
export function joinedByStation(joints: Joint[]): { station: number; joints: Joint[] }[] {
    const groups: { station: number; joints: Joint[] }[] = [];
    for (const joint of joints.filter((one) => !ON_SIDE.includes(one.type))) {
        const group = groups.find((one) => Math.abs(one.station - joint.station) < 0.5);
        if (group) group.joints.push(joint);
        else groups.push({ station: joint.station, joints: [joint] });
    }
    return groups;
}

export function segmentSpans(run: RunPlan): { segment: Segment; span: Span; text: string; long: string }[] {
    const length = run.run?.length.value ?? 1;
    return (run.run?.segments ?? []).map((segment) => {
        const bend = segment.bend === null ? undefined : run.run?.bends[segment.bend];
        return {
            segment,
            span: span(segment.from, segment.from + segment.length, length),
            text: bend ? bend.angle.text : '',
            long: bend
                ? `Bend ${(segment.bend ?? 0) + 1}: ${bend.angle.text} on ${bend.clr.text}, turned ${bend.rotation.text}`
                : 'Straight',
        };
    });
}

export function pieceSpan(piece: Piece, run: RunPlan): Span {
    return span(piece.from, piece.to, run.run?.length.value ?? 1);
}
