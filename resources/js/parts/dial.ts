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
