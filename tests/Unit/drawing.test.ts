import { describe, expect, it } from 'vitest';
import type { Joint, Piece, RunPlan } from '@/lib/answers';
import { spot, strokes } from '@/parts/dial';
import { joinedByStation, pieceSpan, segmentSpans, span } from '@/parts/ribbon';
import { LETTERS, outline, viewBox, type Label } from '@/parts/piece-outline';

const points = (text: string) =>
    text.split(' ').map((pair) => pair.split(',').map(Number) as [number, number]);
const gone = (line: [number, number][]) =>
    line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);

describe('the ribbon', () => {
    const joint = (id: string, station: number, type = 'butt') => ({ id, station, type }) as Joint;
    const run = {
        run: {
            length: { value: 200, text: '' },
            segments: [
                { bend: null, from: 0, length: 50 },
                { bend: 0, from: 50, length: 100 },
            ],
            bends: [{ angle: { text: '45°' }, clr: { text: '3 in' }, rotation: { text: '0°' } }],
        },
    } as unknown as RunPlan;

    it('is to scale', () => {
        expect(span(50, 100, 200)).toEqual({ left: 25, width: 25 });
        expect(pieceSpan({ from: 100, to: 200 } as Piece, run)).toEqual({ left: 50, width: 50 });
        expect(segmentSpans(run).map((one) => [one.span.left, one.span.width, one.text])).toEqual([
            [0, 25, ''],
            [25, 50, '45°'],
        ]);
    });

    it('does not fall over a run of no length', () => {
        expect(Number.isFinite(span(0, 0, 0).left)).toBe(true);
    });

    it('puts the two passes of a flange together, and leaves out what sits on the side', () => {
        const groups = joinedByStation([
            joint('AJ1', 0),
            joint('AJ2', 0.2),
            joint('AJ3', 80),
            joint('AB1', 60, 'bung'),
        ]);
        expect(groups.map((group) => group.joints.map((one) => one.id))).toEqual([['AJ1', 'AJ2'], ['AJ3']]);
    });
});

describe('the drawing of a piece', () => {
    const square = { backStart: [], backEnd: [] };
    const none = { longStart: 0, longEnd: 0, ...square };

    it('ends along its line where that is not square', () => {
        // A slant of 20 mm: long on the outer side, short on the inner one.
        const back = Array.from({ length: 19 }, (_, i) => 10 - 10 * Math.cos((i * Math.PI) / 18));
        const shape = outline({
            before: 0,
            after: 0,
            straight: 100,
            clr: 0,
            angle: 0,
            od: 50,
            ...none,
            backEnd: back,
        });
        const end = shape.cuts[1]!;
        expect(end[0]).toMatchObject({ x: 100, y: -25 });
        expect(end.at(-1)!.x).toBeCloseTo(80);
        expect(end.at(-1)!.y).toBeCloseTo(25);
        // Straight across a plane cut, and nothing of the outline beyond it.
        for (const { x, y } of end) expect(x).toBeCloseTo(90 - (10 * y) / 25);
        for (const [x, y] of points(shape.edge)) expect(x).toBeLessThanOrEqual(90 - (10 * y) / 25 + 0.01);
    });

    it('is as long as the piece is cut, and shows where it ends up', () => {
        const shape = outline({
            before: 40,
            after: 60,
            straight: 0,
            clr: 114.3,
            angle: 90,
            od: 76.2,
            longStart: 0,
            longEnd: 12.7,
            ...square,
        });
        expect(gone(points(shape.centre))).toBeCloseTo(40 + (114.3 * Math.PI) / 2 + 60 + 12.7, -0.5);
        expect(shape.finished).toHaveLength(1);
        // The far end points straight down; the cut lies 12.7 mm beyond where the piece ends up.
        expect(shape.cuts[1]![0]!.y - shape.finished[0]![0].y).toBeCloseTo(12.7);
    });

    it('lets extra length of an end in the bend go on round the bend', () => {
        const shape = outline({
            before: 0,
            after: 0,
            straight: 0,
            clr: 100,
            angle: 45,
            od: 40,
            longStart: 10,
            longEnd: 0,
            ...square,
        });
        const start = points(shape.centre)[0]!;
        expect(Math.hypot(start[0], start[1] - 100)).toBeCloseTo(100, 1);
        expect(shape.finished[0]![0].x).toBeCloseTo(0);
    });

    it('draws a straight as long and as wide as it is', () => {
        const shape = outline({ before: 0, after: 0, straight: 300, clr: 0, angle: 0, od: 76.2, ...none });
        const xs = points(shape.edge).map(([x]) => x);
        const ys = points(shape.edge).map(([, y]) => y);
        expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(300);
        expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(76.2);
        expect(shape.tangents).toEqual([]);
    });

    it('draws a bend whose centreline is legs and arc, and whose outside is longer by half a tube times the angle', () => {
        const shape = outline({
            before: 40,
            after: 60,
            straight: 0,
            clr: 114.3,
            angle: 90,
            od: 76.2,
            ...none,
        });
        const arc = (114.3 * Math.PI) / 2;
        expect(gone(points(shape.centre))).toBeCloseTo(40 + arc + 60, -0.5);
        const edge = points(shape.edge);
        const outer = gone(edge.slice(0, 49));
        const inner = gone(edge.slice(49));
        expect(outer - inner).toBeCloseTo((76.2 * Math.PI) / 2, -0.5);
        expect(shape.cuts).toHaveLength(2);
        expect(shape.tangents).toHaveLength(2);
    });

    it('turns a right angle by a right angle', () => {
        const line = points(
            outline({ before: 0, after: 50, straight: 0, clr: 100, angle: 90, od: 50, ...none }).centre,
        );
        const [[x1, y1], [x2, y2]] = [line.at(-2)!, line.at(-1)!];
        expect(x2 - x1).toBeCloseTo(0, 1);
        expect(y2 - y1).toBeGreaterThan(0);
    });
});

describe('the dial', () => {
    it('counts clockwise from the top', () => {
        expect(spot(0, 10)).toEqual({ x: 100, y: 90 });
        expect(spot(90, 10).x).toBeCloseTo(110);
        expect(spot(180, 10).y).toBeCloseTo(110);
    });

    it('sets the strokes of an index mark side by side about the top, long ones first', () => {
        const mark = strokes(1, 2);
        expect(mark.map((one) => one.offset)).toEqual([-5, 0, 5]);
        expect(mark[0]!.length).toBeGreaterThan(mark[1]!.length);
    });
});

describe('the words beside a piece', () => {
    const drawn = { box: [0, 0, 100, 40] as [number, number, number, number], unit: 1 };
    const word = (text: string, x: number, anchor: Label['anchor']): Label => ({
        key: text,
        text,
        x,
        y: 20,
        anchor,
    });
    const sides = (labels: Label[]) => {
        const [left = 0, , wide = 0] = viewBox(drawn, labels).split(' ').map(Number);
        return [left, left + wide];
    };

    it('leave the drawing as it is where they lie within it', () => {
        expect(viewBox(drawn, [word('3 in', 50, 'middle')])).toBe('0.000 0.000 100.000 40.000');
    });

    it('make room for themselves on the side they stand at', () => {
        // Letters of the figures' font are .6 of their height wide.
        const least = '12 15/16 in'.length * 0.6 * LETTERS;
        const [left = 0, right = 0] = sides([
            word('12 15/16 in', -2, 'end'),
            word('12 15/16 in', 102, 'start'),
        ]);
        expect(left).toBeLessThan(-2 - least);
        expect(right).toBeGreaterThan(102 + least);
    });
});
