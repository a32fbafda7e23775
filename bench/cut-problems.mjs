// Makes cut problems (docs/cut-problem.md) of several kinds, the same for the same seed.

/** Numbers from 0 to 1, the same for the same seed. */
export function random(seed) {
    let state = (seed * 2654435761) >>> 0;
    return () => {
        state = (state + 0x6d2b79f5) >>> 0;
        let t = Math.imul(state ^ (state >>> 15), 1 | state);
        t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
        return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
    };
}

const tenth = (mm) => Math.round(mm * 10) / 10;
const pick = (next, list) => list[Math.floor(next() * list.length)];
const tubes = { t: { od: 41.28, wall: 1.65 } };
const stick = { id: 'stick', tube: 't', kind: 'stick', length: 1500, count: null, cost: 40 };

/** Sticks that can be cut into three pieces each without waste; nothing else gives as few. */
function triplets(seed, pieces) {
    const next = random(seed);
    const lengths = [];
    for (let i = 0; i < pieces / 3; i++) {
        const a = tenth(380 + 240 * next());
        const rest = 1500 - 4 - a;
        const b = tenth(Math.max(377, rest - 745) + next() * (rest / 2 - Math.max(377, rest - 745)));
        lengths.push(a, b, tenth(rest - b));
    }
    for (let i = lengths.length - 1; i > 0; i--) {
        const j = Math.floor(next() * (i + 1));
        [lengths[i], lengths[j]] = [lengths[j], lengths[i]];
    }
    return nesting(`triplets-${pieces}-${seed}`, lengths, [stick], 0);
}

/** Straight pieces of any length, cut from sticks with trimmed ends, and from some offcuts. */
function mixed(seed, pieces) {
    const next = random(seed);
    const lengths = Array.from({ length: pieces }, () => tenth(60 + 640 * next()));
    const offcuts = Array.from({ length: Math.ceil(pieces / 20) }, (_, i) => ({
        id: `rest-${i + 1}`,
        tube: 't',
        kind: 'offcut',
        length: tenth(200 + 600 * next()),
        count: 1,
        cost: 0,
    }));
    return nesting(`straights-${pieces}-${seed}`, lengths, [stick, ...offcuts], 5);
}

function nesting(name, lengths, stock, trim) {
    return {
        format: 'cut-problem/1',
        name,
        tubes,
        stock,
        rules: {
            kerf: 2,
            end_trim: trim,
            hold: 100,
            least_piece: 30,
            joint_spacing: 8.25,
            long_by: { joint: 0, end: 0 },
            joint_cost: 25,
            cut_cost: 2,
        },
        runs: lengths.map((straight, i) => ({
            id: `p${String(i + 1).padStart(3, '0')}`,
            tube: 't',
            elements: [{ straight }],
            no_joint: [[0, straight]],
        })),
    };
}

/** Runs with bends: a header or a manifold, cut from bends with legs, elbows, a ring, offcuts and sticks. */
function header(seed, runs, bends) {
    const next = random(seed);
    const clrs = next() < 0.5 ? [50.8] : [50.8, 76.2];
    const stock = [stick];
    for (const clr of clrs) {
        const legs = [101.6, 139.7];
        stock.push({
            id: `b90-${clr}`,
            tube: 't',
            kind: 'bend',
            clr,
            angle: 90,
            legs,
            count: null,
            cost: 18,
        });
        stock.push({
            id: `b45-${clr}`,
            tube: 't',
            kind: 'bend',
            clr,
            angle: 45,
            legs,
            count: null,
            cost: 14,
        });
        if (next() < 0.5)
            stock.push({
                id: `b180-${clr}`,
                tube: 't',
                kind: 'bend',
                clr,
                angle: 180,
                legs,
                count: 2,
                cost: 26,
            });
        if (next() < 0.4)
            stock.push({ id: `e90-${clr}`, tube: 't', kind: 'elbow', clr, angle: 90, count: null, cost: 9 });
        if (next() < 0.2)
            stock.push({ id: `ring-${clr}`, tube: 't', kind: 'donut', clr, count: 1, cost: 55 });
    }
    for (let i = 0; i < 3; i++) {
        if (next() < 0.6)
            stock.push({
                id: `rest-${i}`,
                tube: 't',
                kind: 'offcut',
                length: tenth(90 + 400 * next()),
                count: 1,
                cost: 0,
            });
    }
    const made = Array.from({ length: runs }, (_, i) => {
        const elements = [];
        const straight = (least, most) => {
            const mm = next() < 0.12 ? 0 : tenth(least + (most - least) * next());
            if (mm > 0) elements.push({ straight: mm });
            return mm;
        };
        let at = straight(40, 160);
        const zones = at > 30 ? [[0, 30]] : [];
        const joints = [];
        const count = Math.max(1, Math.round(bends + (next() - 0.5) * 2));
        for (let k = 0; k < count; k++) {
            const clr = pick(next, clrs);
            const angle = next() < 0.35 ? pick(next, [45, 90]) : Math.round(15 + 75 * next());
            elements.push({ bend: angle, clr });
            at += (angle * Math.PI * clr) / 180;
            const mm = straight(20, next() < 0.15 ? 700 : 220);
            if (mm > 120 && next() < 0.15) joints.push(tenth(at + mm / 2));
            else if (mm > 100 && next() < 0.15) zones.push([tenth(at + mm * 0.3), tenth(at + mm * 0.6)]);
            at += mm;
        }
        return {
            id: String.fromCharCode(65 + i),
            tube: 't',
            elements,
            no_joint: zones,
            joints,
            ...(next() < 0.3 ? { ends: { first: { long_by: 0 } } } : {}),
        };
    });
    return {
        format: 'cut-problem/1',
        name: `header-${runs}x${bends}-${seed}`,
        tubes,
        stock,
        rules: {
            kerf: 2,
            end_trim: pick(next, [0, 5]),
            hold: pick(next, [40, 60]),
            least_piece: pick(next, [15, 25]),
            joint_spacing: 8.25,
            long_by: { joint: pick(next, [0, 1]), end: pick(next, [0, 5]) },
            joint_cost: 25,
            cut_cost: 3,
        },
        runs: made,
    };
}

export const KINDS = {
    'triplets-30': (seed) => triplets(seed, 30),
    'triplets-60': (seed) => triplets(seed, 60),
    'triplets-120': (seed) => triplets(seed, 120),
    'triplets-300': (seed) => triplets(seed, 300),
    'straights-40': (seed) => mixed(seed, 40),
    'straights-80': (seed) => mixed(seed, 80),
    'straights-300': (seed) => mixed(seed, 300),
    small: (seed) => header(seed, 1 + (seed % 2), 1 + (seed % 3)),
    header: (seed) => header(seed, 4, 3),
    manifold: (seed) => header(seed, 6, 4),
    eight: (seed) => header(seed, 8, 4),
};
