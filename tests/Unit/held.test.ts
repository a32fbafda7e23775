import { describe, expect, it } from 'vitest';
import type { BenchPose, Mouth, RunPlan, Triple, TubeRun } from '@/lib/answers';
import { heldPicture, placeOf } from '@/parts/held';

/** 100 mm along x, then a quarter bend of 50 mm radius upwards. */
const RUN = {
    length: { value: 100 + (Math.PI / 2) * 50, text: '' },
    segments: [
        {
            bend: null,
            from: 0,
            length: 100,
            clr: 0,
            angle: 0,
            pie: 0,
            start: { at: [0, 0, 0], forward: [1, 0, 0], reference: [0, 0, 1] },
        },
        {
            bend: 0,
            from: 100,
            length: (Math.PI / 2) * 50,
            clr: 50,
            angle: 90,
            pie: 0,
            start: { at: [100, 0, 0], forward: [1, 0, 0], reference: [0, 0, 1] },
        },
    ],
    end: { at: [150, 0, 50], forward: [0, 0, 1], reference: [-1, 0, 0] },
} as unknown as TubeRun;

const mouth = (name: string, at: Triple, inward: Triple): Mouth => ({ name, at, inward, bore: 40 });
const PLAN = {
    letter: 'A',
    run: RUN,
    tube: { od: { value: 44, text: '' } },
    pieces: [
        { mark: 'A1', from: 0, to: 100 },
        { mark: 'A2', from: 100, to: 100 + (Math.PI / 2) * 50 },
    ],
    joints: [{ id: 'AJ2', station: 100 }],
} as unknown as RunPlan;
const POSE: BenchPose = {
    standing: ['A'],
    ways: [],
    up: [0, 0, 1],
    lines: [],
    closing: '',
    feed: mouth('the start of A', [0, 0, 0], [1, 0, 0]),
    vents: [mouth('the far end of A', [150, 0, 50], [0, 0, -1])],
    dams: [],
    traps: [],
};
const shown = (pose: BenchPose) => ({ pose, runs: [PLAN], collectors: [], taped: ['AJ2'], joint: 'AJ2' });

describe('a place on the middle line', () => {
    it('lies along a straight and round a bend', () => {
        expect(placeOf(RUN, 40)).toEqual([40, 0, 0]);
        const end = placeOf(RUN, RUN.length.value);
        [150, 0, 50].forEach((mm, i) => expect(end[i]).toBeCloseTo(mm, 6));
        const half = placeOf(RUN, 100 + (Math.PI / 4) * 50);
        expect(half[0]).toBeCloseTo(100 + 50 * Math.SQRT1_2, 6);
        expect(half[2]).toBeCloseTo(50 - 50 * Math.SQRT1_2, 6);
    });
});

describe('the piece as it is held', () => {
    it('is drawn on the paper, with what is lower lower', () => {
        const { tubes, arrows, seam, taped } = heldPicture(shown(POSE));
        for (const { x, y } of tubes.flatMap((one) => one.points)) {
            expect(x).toBeGreaterThan(0);
            expect(x).toBeLessThan(360);
            expect(y).toBeGreaterThan(0);
            expect(y).toBeLessThan(240);
        }
        const [feed, vent] = arrows;
        expect(feed?.word).toBe('Feed');
        expect(vent?.word).toBe('Vent');
        expect(feed?.to.y).toBeGreaterThan(vent?.from.y ?? Infinity);
        expect(taped).toEqual([seam]);
    });

    it('is turned over with the way that is up', () => {
        const { arrows } = heldPicture(shown({ ...POSE, up: [0, 0, -1] }));
        expect(arrows[0]?.to.y).toBeLessThan(arrows[1]?.from.y ?? -Infinity);
    });

    it('has argon going in where it is fed and out where it is vented', () => {
        const { tubes, arrows } = heldPicture(shown(POSE));
        const line = tubes[0]?.points ?? [];
        expect(arrows[0]?.to.x).toBeCloseTo(line[0]?.x ?? NaN, 6);
        expect(arrows[0]?.to.y).toBeCloseTo(line[0]?.y ?? NaN, 6);
        expect(arrows[1]?.from.x).toBeCloseTo(line.at(-1)?.x ?? NaN, 6);
        expect(arrows[1]?.from.y).toBeCloseTo(line.at(-1)?.y ?? NaN, 6);
    });

    it('shows only the pieces that lie there', () => {
        const whole = heldPicture(shown(POSE));
        const part = heldPicture(shown({ ...POSE, standing: ['A2'] }));
        expect(whole.tubes).toHaveLength(1);
        expect(part.tubes).toHaveLength(1);
        expect(heldPicture(shown({ ...POSE, standing: ['A1', 'A2'] })).tubes).toHaveLength(2);
    });
});
