// The flat outline of a piece for its drawing: leg, bend, leg, seen square to the plane of the bend.

type Point = { x: number; y: number };

export type Outline = {
    edge: string;
    centre: string;
    cuts: [Point, Point][];
    tangents: [Point, Point][];
    box: string;
    unit: number;
};

type Shape = { before: number; after: number; straight: number; clr: number; angle: number; od: number };

export function outline({ before, after, straight, clr, angle, od }: Shape): Outline {
    const half = od / 2;
    const theta = (angle * Math.PI) / 180;
    // Flow runs along +x; a bend turns downwards about a centre one radius below.
    const along = (station: number, offset: number): Point => {
        if (clr === 0) return { x: station, y: -offset };
        if (station <= before) return { x: station - before, y: -offset };
        const arc = clr * theta;
        const turned = Math.min((station - before) / clr, theta);
        const past = Math.max(station - before - arc, 0);
        const radius = clr + offset;
        return {
            x: radius * Math.sin(turned) + past * Math.cos(turned),
            y: clr - radius * Math.cos(turned) + past * Math.sin(turned),
        };
    };
    const total = clr === 0 ? straight : before + clr * theta + after;
    const stations = Array.from({ length: 49 }, (_, i) => (total * i) / 48);
    const line = (offset: number) => stations.map((station) => along(station, offset));
    const outer = line(half);
    const inner = line(-half);
    const text = (points: Point[]) =>
        points.map((point) => `${point.x.toFixed(2)},${point.y.toFixed(2)}`).join(' ');
    const across = (station: number): [Point, Point] => [along(station, half), along(station, -half)];
    const all = [...outer, ...inner];
    const [minX, maxX] = [Math.min(...all.map((p) => p.x)), Math.max(...all.map((p) => p.x))];
    const [minY, maxY] = [Math.min(...all.map((p) => p.y)), Math.max(...all.map((p) => p.y))];
    const unit = Math.max(maxX - minX, maxY - minY) / 100;
    const pad = 9 * unit;
    return {
        edge: text([...outer, ...inner.reverse()]),
        centre: text(line(0)),
        cuts: [across(0), across(total)],
        tangents: clr === 0 ? [] : [across(before), across(before + clr * theta)],
        box: `${minX - pad} ${minY - pad} ${maxX - minX + 2 * pad} ${maxY - minY + 2 * pad}`,
        unit,
    };
}
