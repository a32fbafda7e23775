// Puts runs together from a cut list alone, piece by piece, as a person does at the bench: turn, leg, bend, leg. Says where
// each run ends and which way it then goes. Written from docs/formats.md.
const { csv, starts } = JSON.parse(await new Response(process.stdin).text());

const cross = (a, b) => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const add = (a, b, by = 1) => a.map((value, i) => value + by * b[i]);
const turned = (v, axis, degrees) => {
    const angle = (degrees * Math.PI) / 180;
    const along = v.reduce((sum, value, i) => sum + value * axis[i], 0) * (1 - Math.cos(angle));
    const across = cross(axis, v);
    return v.map((value, i) => value * Math.cos(angle) + across[i] * Math.sin(angle) + axis[i] * along);
};

const [heading, ...lines] = csv.trim().split('\n');
const names = heading.split(',');
const ends = {};
for (const line of lines) {
    const piece = Object.fromEntries(line.split(',').map((cell, i) => [names[i], cell]));
    const pose = (ends[piece.run] ??= { ...starts[piece.run] });
    if (piece.angle_deg === '') {
        pose.at = add(pose.at, pose.forward, Number(piece.finished_mm));
        continue;
    }
    pose.side = turned(pose.side, pose.forward, Number(piece.turn_deg));
    pose.at = add(pose.at, pose.forward, Number(piece.leg_before_mm));
    const centre = add(pose.at, pose.side, Number(piece.clr_mm));
    const axis = cross(pose.forward, pose.side);
    const angle = Number(piece.angle_deg);
    pose.at = add(centre, turned(add(pose.at, centre, -1), axis, angle));
    pose.forward = turned(pose.forward, axis, angle);
    pose.side = turned(pose.side, axis, angle);
    pose.at = add(pose.at, pose.forward, Number(piece.leg_after_mm));
}
console.log(JSON.stringify(ends));
