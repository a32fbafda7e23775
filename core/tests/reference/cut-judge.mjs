/* An independent judge of answers to cut problems, written from the format's page alone (docs/cut-problem.md).
 * Run on its own it reads [{problem, answer}, …] from standard input and writes [{faults: […], joints, cuts, cost}, …]. */
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const GRANTED = 0.05;

const lengthOf = (element) =>
    element.bend === undefined ? element.straight : (element.bend * Math.PI * element.clr) / 180;

const stockChain = (item) => {
    switch (item.kind) {
        case 'stick':
        case 'offcut':
            return [{ straight: item.length }];
        case 'bend':
            return [
                { straight: item.legs[0] },
                { bend: item.angle, clr: item.clr },
                { straight: item.legs[1] },
            ];
        case 'elbow':
            return [{ bend: item.angle, clr: item.clr }];
        default:
            return [{ bend: 360, clr: item.clr }];
    }
};

/** What lies between two places of a chain: [{clr, mm}], clr 0 for a straight; shorter than is granted left out. */
const cutOut = (chain, from, to) => {
    const found = [];
    let at = 0;
    for (const element of chain) {
        const mm = Math.min(to, at + lengthOf(element)) - Math.max(from, at);
        if (mm > GRANTED) found.push({ clr: element.clr ?? 0, mm });
        at += lengthOf(element);
    }
    return found.reduce((merged, one) => {
        const last = merged[merged.length - 1];
        if (last !== undefined && last.clr === one.clr && one.clr === 0) last.mm += one.mm;
        else merged.push({ ...one });
        return merged;
    }, []);
};

const totalOf = (chain) => chain.reduce((sum, element) => sum + lengthOf(element), 0);

const judgeRun = (run, pieces, rules, faults) => {
    const end = totalOf(run.elements);
    const inOrder = [...pieces].sort((a, b) => a.from - b.from);
    let at = 0;
    for (const piece of inOrder) {
        if (Math.abs(piece.from - at) > GRANTED)
            faults.push(`run ${run.id}: a piece begins at ${piece.from}, not at ${at}`);
        at = piece.to;
    }
    if (Math.abs(at - end) > GRANTED) faults.push(`run ${run.id} is covered to ${at}, not to ${end}`);
    const joints = inOrder.slice(1).map((piece) => piece.from);
    let from = 0;
    for (const element of run.elements) {
        const to = from + lengthOf(element);
        for (const joint of element.bend === undefined ? [] : joints)
            if (joint > from + GRANTED && joint < to - GRANTED)
                faults.push(`run ${run.id}: joint at ${joint} inside a bend`);
        from = to;
    }
    for (const [least, most] of run.no_joint ?? [])
        for (const joint of joints)
            if (joint > least + GRANTED && joint < most - GRANTED)
                faults.push(`run ${run.id}: joint at ${joint} in a zone`);
    for (const asked of run.joints ?? [])
        if (!joints.some((joint) => Math.abs(joint - asked) <= GRANTED))
            faults.push(`run ${run.id}: no joint at ${asked}`);
    if (joints.length > 0)
        for (const piece of inOrder)
            if (piece.to - piece.from < rules.joint_spacing - GRANTED)
                faults.push(`run ${run.id}: joints too near at ${piece.from}`);
    return joints.length;
};

const judgeCopy = (name, item, places, rules, faults) => {
    const length = totalOf(stockChain(item));
    const trim = item.kind === 'stick' ? rules.end_trim : 0;
    const ring = item.kind === 'donut';
    places.sort((a, b) => a[0] - b[0]);
    const sections = places.map(([from, to]) => to - from);
    let cuts = 0;
    const gap = (mm, between) => {
        if (mm < rules.kerf - GRANTED) faults.push(`${name}: pieces ${mm} apart`);
        cuts += mm <= rules.kerf + GRANTED ? 1 : between;
        if (mm > 2 * rules.kerf) sections.push(mm - 2 * rules.kerf);
    };
    places.slice(1).forEach((place, i) => gap(place[0] - places[i][1], 2));
    const [first, last] = [places[0][0], places[places.length - 1][1]];
    if (ring) gap(first + length - last, 2);
    else {
        if (first < trim - GRANTED || last > length - trim + GRANTED)
            faults.push(`${name}: a piece lies outside`);
        if (trim > 0 || first > GRANTED) {
            cuts++;
            sections.push(first - rules.kerf);
        }
        if (trim > 0 || last < length - GRANTED) {
            cuts++;
            sections.push(length - last - rules.kerf);
        }
    }
    if (cuts > 0 && Math.max(...sections) < rules.hold - GRANTED)
        faults.push(`${name}: nothing for the saw to hold`);
    return cuts;
};

export function judge(problem, answer) {
    const faults = [];
    const rules = problem.rules;
    const items = new Map(problem.stock.map((item) => [item.id, item]));
    let joints = 0;
    for (const run of problem.runs)
        joints += judgeRun(
            run,
            answer.pieces.filter((piece) => piece.run === run.id),
            rules,
            faults,
        );
    const copies = new Map();
    for (const piece of answer.pieces) {
        const run = problem.runs.find((one) => one.id === piece.run);
        const item = items.get(piece.donor.item);
        const name = `${piece.donor.item} ${piece.donor.copy}`;
        if (run === undefined || item === undefined) {
            faults.push(`piece of ${piece.run} from ${name}: unknown`);
            continue;
        }
        if (run.tube !== item.tube) faults.push(`run ${run.id} at ${piece.from}: another tube`);
        const end = totalOf(run.elements);
        const long = (place, at) =>
            at ? (run.ends?.[place]?.long_by ?? rules.long_by.end) : rules.long_by.joint;
        const first = long('first', piece.from <= GRANTED);
        const last = long('last', piece.to >= end - GRANTED);
        const [from, to] = piece.donor.at;
        const mm = piece.to - piece.from + first + last;
        if (Math.abs(to - from - mm) > GRANTED)
            faults.push(`run ${run.id} at ${piece.from}: ${to - from} cut, not ${mm}`);
        if (mm < rules.least_piece - GRANTED) faults.push(`run ${run.id} at ${piece.from}: only ${mm} mm`);
        const wanted = cutOut(run.elements, piece.from, piece.to);
        if (wanted.filter((one) => one.clr > 0).length > 1)
            faults.push(`run ${run.id} at ${piece.from}: two bends`);
        const chain = stockChain(item);
        const core = piece.donor.reversed ? [from + last, to - first] : [from + first, to - last];
        const given = cutOut(item.kind === 'donut' ? [...chain, ...chain] : chain, ...core);
        if (item.kind === 'donut' && given.length === 2)
            given.splice(0, 2, { clr: item.clr, mm: given[0].mm + given[1].mm });
        if (piece.donor.reversed) given.reverse();
        const same =
            given.length === wanted.length &&
            given.every(
                (one, i) =>
                    Math.abs(one.clr - wanted[i].clr) <= GRANTED &&
                    Math.abs(one.mm - wanted[i].mm) <= 2 * GRANTED,
            );
        if (!same)
            faults.push(
                `run ${run.id} at ${piece.from}: wants ${JSON.stringify(wanted)}, ${name} gives ${JSON.stringify(given)}`,
            );
        copies.set(name, { item, places: [...(copies.get(name)?.places ?? []), [from, to]] });
    }
    let cuts = 0;
    let cost = joints * rules.joint_cost;
    const used = new Map();
    for (const [name, { item, places }] of copies) {
        cuts += judgeCopy(name, item, places, rules, faults);
        cost += item.cost ?? 0;
        used.set(item.id, (used.get(item.id) ?? 0) + 1);
    }
    for (const [id, count] of used) {
        if (count > (items.get(id).count ?? Infinity))
            faults.push(`${id}: ${count} used of ${items.get(id).count}`);
        if (answer.totals.opened[id] !== count)
            faults.push(`${id}: ${answer.totals.opened[id]} told, ${count} used`);
    }
    cost += cuts * rules.cut_cost;
    if (answer.totals.joints !== joints) faults.push(`${answer.totals.joints} joints told, ${joints} found`);
    if (answer.totals.cuts !== cuts) faults.push(`${answer.totals.cuts} cuts told, ${cuts} found`);
    if (Math.abs(answer.totals.cost - cost) > 1e-3)
        faults.push(`cost ${answer.totals.cost} told, ${cost} found`);
    if (answer.lower_bound !== null && answer.lower_bound > cost + 1e-3)
        faults.push(`bound ${answer.lower_bound} above the cost ${cost}`);
    return { faults, joints, cuts, cost };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
    const asked = JSON.parse(readFileSync(0, 'utf8'));
    process.stdout.write(JSON.stringify(asked.map(({ problem, answer }) => judge(problem, answer))));
}
