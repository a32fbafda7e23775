// Clock positions on the dial: 0° is the index mark at the top, clockwise, looking with the flow.

export type Spot = { x: number; y: number };

export function spot(degrees: number, radius: number, centre = 100): Spot {
    const angle = (degrees * Math.PI) / 180;
    return { x: centre + radius * Math.sin(angle), y: centre - radius * Math.cos(angle) };
}

/** The index mark's strokes, side by side about the top: long ones first. */
export function strokes(long: number, short: number): { offset: number; length: number }[] {
    const all = [...Array<number>(long).fill(17), ...Array<number>(short).fill(9)];
    return all.map((length, i) => ({ offset: (i - (all.length - 1) / 2) * 5, length }));
}

/** What is left of a whole turn beside arcs, in degrees: where a torch does not get to. */
export function gapsOf(arcs: [number, number][]): [number, number][] {
    if (arcs.length === 0) return [[0, 360]];
    const sorted = [...arcs].sort((a, b) => a[0] - b[0]);
    return sorted
        .map(([, end], i): [number, number] => {
            const next = sorted[i + 1]?.[0] ?? (sorted[0]?.[0] ?? 0) + 360;
            return [end, next];
        })
        .filter(([from, to]) => to - from > 0.5);
}

/** An arc of a circle as a path, clockwise from the top. */
export function arcPath(from: number, to: number, radius: number): string {
    if (to - from >= 359.9) {
        const [top, low] = [spot(0, radius), spot(180, radius)];
        return `M${top.x} ${top.y}A${radius} ${radius} 0 1 1 ${low.x} ${low.y}A${radius} ${radius} 0 1 1 ${top.x} ${top.y}`;
    }
    const [start, end] = [spot(from, radius), spot(to, radius)];
    const large = to - from > 180 ? 1 : 0;
    return `M${start.x} ${start.y}A${radius} ${radius} 0 ${large} 1 ${end.x} ${end.y}`;
}
