// The flat outline of a piece as it is cut, for its drawing: leg, bend, leg, seen square to the plane of the bend. What is
// extra goes on as its end does: straight on a leg, round where the piece ends in its bend.

type Point = { x: number; y: number };

export type Outline = {
    edge: string;
    centre: string;
    /** Along each end, from one side to the other. */
    cuts: Point[][];
    finished: [Point, Point][];
    tangents: [Point, Point][];
    /** What it covers, with the room beside it: left, top, wide, high. */
    box: [number, number, number, number];
    unit: number;
};

/** A word beside it; its size in hundredths of the drawing's. */
export type Label = { key: string; text: string; x: number; y: number; anchor: 'start' | 'middle' | 'end' };

export const LETTERS = 6.5;
/** How wide a figure is beside its height, in the figures' font, with its outline. */
const LETTER_WIDE = 0.64;

type Shape = {
    before: number;
    after: number;
    straight: number;
    clr: number;
    angle: number;
    od: number;
    longStart: number;
    longEnd: number;
    /** How far the skin lies behind either end, from the outer side to the inner; empty where that is square. */
    backStart: number[];
    backEnd: number[];
};

/** @param room left beside it, and above and below, in hundredths of its size */
export function outline(shape: Shape, room: [number, number] = [9, 9]): Outline {
    const { before, after, straight, clr, angle, od, longStart, longEnd, backStart, backEnd } = shape;
    const half = od / 2;
    const theta = (angle * Math.PI) / 180;
    // Flow runs along +x; a bend turns downwards about a centre one radius below.
    const along = (station: number, offset: number): Point => {
        if (clr === 0) return { x: station, y: -offset };
        const least = before > 0 ? 0 : -longStart / clr;
        const most = after > 0 ? theta : theta + longEnd / clr;
        const turned = Math.min(Math.max((station - before) / clr, least), most);
        if (turned <= 0 && before > 0) return { x: station - before, y: -offset };
        const past = Math.max(station - before - clr * most, 0);
        const radius = clr + offset;
        return {
            x: radius * Math.sin(turned) + past * Math.cos(turned),
            y: clr - radius * Math.cos(turned) + past * Math.sin(turned),
        };
    };
    const total = clr === 0 ? straight : before + clr * theta + after;
    const cut = total + longStart + longEnd;
    const stations = Array.from({ length: 49 }, (_, i) => (cut * i) / 48 - longStart);
    const line = (offset: number) => stations.map((station) => along(station, offset));
    // An end that is not square is a line from the outer side to the inner one.
    const ended = (station: number, back: number[], way: 1 | -1) =>
        back.map((mm, i) =>
            along(station + way * mm, half * Math.cos((Math.PI * i) / Math.max(1, back.length - 1))),
        );
    const starts = ended(-longStart, backStart, 1);
    const ends = ended(total + longEnd, backEnd, -1);
    const side = (offset: number, i: number) =>
        stations
            .filter(
                (station) =>
                    station >= -longStart + (backStart.at(i) ?? 0) &&
                    station <= total + longEnd - (backEnd.at(i) ?? 0),
            )
            .map((station) => along(station, offset));
    const outer = side(half, 0);
    const inner = side(-half, -1);
    const text = (points: Point[]) =>
        points.map((point) => `${point.x.toFixed(2)},${point.y.toFixed(2)}`).join(' ');
    const across = (station: number): [Point, Point] => [along(station, half), along(station, -half)];
    const all = [...outer, ...inner];
    const [minX, maxX] = [Math.min(...all.map((p) => p.x)), Math.max(...all.map((p) => p.x))];
    const [minY, maxY] = [Math.min(...all.map((p) => p.y)), Math.max(...all.map((p) => p.y))];
    const unit = Math.max(maxX - minX, maxY - minY) / 100;
    const [beside, above] = [room[0] * unit, room[1] * unit];
    return {
        edge: text([...[...starts].reverse(), ...outer, ...ends, ...inner.reverse()]),
        centre: text(line(0)),
        cuts: [
            starts.length > 0 ? starts : across(-longStart),
            ends.length > 0 ? ends : across(total + longEnd),
        ],
        finished: [...(longStart > 0 ? [across(0)] : []), ...(longEnd > 0 ? [across(total)] : [])],
        tangents: clr === 0 ? [] : [across(before), across(before + clr * theta)],
        box: [minX - beside, minY - above, maxX - minX + 2 * beside, maxY - minY + 2 * above],
        unit,
    };
}

/** The part of the plane that holds a drawing and all of its words: a length that is cut off is a wrong length. */
export function viewBox({ box, unit }: Pick<Outline, 'box' | 'unit'>, labels: Label[]): string {
    let [left, top, right, low] = [box[0], box[1], box[0] + box[2], box[1] + box[3]];
    for (const { text, x, y, anchor } of labels) {
        const long = text.length * LETTERS * LETTER_WIDE * unit;
        const from = anchor === 'start' ? x : anchor === 'end' ? x - long : x - long / 2;
        left = Math.min(left, from - unit);
        right = Math.max(right, from + long + unit);
        top = Math.min(top, y - LETTERS * unit);
        low = Math.max(low, y + LETTERS * 0.35 * unit);
    }
    return [left, top, right - left, low - top].map((one) => one.toFixed(3)).join(' ');
}
