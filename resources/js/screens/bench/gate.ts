// What stands in the way of going on from a step, as far as this device can tell; the server has the last word.
import type { Inspected, Looks, Step } from '@/lib/answers';

type Measure = Step['measures'][number];

/** A number as somebody writes it, bare or with the unit of the limit; null where that cannot be told here. */
export function asNumber(text: string, unit: string): number | null {
    let bare = text.trim().toLowerCase();
    if (unit !== '' && bare.endsWith(unit.toLowerCase())) bare = bare.slice(0, -unit.length).trim();
    if (unit === 'in' && bare.endsWith('"')) bare = bare.slice(0, -1).trim();
    // A decimal comma, but for what may be thousands; as the server reads it.
    if (/^-?\d*,\d+$/.test(bare) && !/^-?[1-9]\d*,\d{3}$/.test(bare)) bare = bare.replace(',', '.');
    const [, whole, over, under, plain] =
        /^(?:(?:(\d+)[ -])?(\d+)\/(\d+)|(-?(?:\d+\.?\d*|\.\d+)))$/.exec(bare) ?? [];
    if (plain !== undefined) return Number(plain);
    if (over === undefined || under === undefined || Number(under) === 0) return null;
    return Number(whole ?? 0) + Number(over) / Number(under);
}

/** Readings above their limits, in words. */
export function beyondOf(step: Step, readings: Record<string, string>): string[] {
    return step.measures.flatMap(({ name, label, most }) => {
        const typed = readings[name]?.trim() ?? '';
        const read = most && typed !== '' ? asNumber(typed, most.unit) : null;
        return most && read !== null && read > most.number + 1e-6
            ? [`${label}: ${typed}, at most ${most.text}.`]
            : [];
    });
}

/** Readings that are farther from the plan than they may be, in words. */
export function offOf(step: Step, readings: Record<string, string>): string[] {
    return step.measures.flatMap(({ name, label, planned, range }) => {
        const typed = readings[name]?.trim() ?? '';
        const read = range && typed !== '' ? asNumber(typed, range.unit) : null;
        if (!range || read === null || (read >= range.least - 1e-6 && read <= range.most + 1e-6)) return [];
        const [less, more] = name === 'length' ? ['short', 'long'] : ['little', 'much'];
        return [`${label}: ${typed}, planned ${planned}: too ${read < range.least ? less : more}.`];
    });
}

const unread = ({ measures }: Step, readings: Record<string, string>): Measure[] =>
    measures.filter(({ name, asked }) => asked && (readings[name] ?? '').trim() === '');

/** In words; empty where nothing does. */
export function lacksOf(step: Step, readings: Record<string, string>, confirmed: Set<number>): string[] {
    return [
        ...beyondOf(step, readings),
        ...offOf(step, readings),
        ...unread(step, readings).map(({ label }) => `${label} was not read.`),
        ...step.points.filter((_, i) => !confirmed.has(i)).map((point) => `Not confirmed: ${point}`),
    ];
}

type Found = NonNullable<Inspected>;

/** The least that has to be done about a joint, by what was found at it. */
export function leastOf(step: Step, looks: Looks, found: Found): Found['outcome'] {
    const order = looks.outcomes.map((one) => one.key);
    const asked = [
        step.inspection?.[looks.oxides.findIndex((one) => one.key === found.inside)],
        looks.oxides.find((one) => one.key === found.outside)?.least,
        ...found.flaws.map((key) => looks.flaws.find((one) => one.key === key)?.least),
    ];
    const most = Math.max(0, ...asked.map((one) => order.indexOf(one ?? 'accept')));
    return (order[most] ?? 'accept') as Found['outcome'];
}

/** What has not been said yet of a joint that was looked at; '' where all has. A colour not chosen is ''. */
export function missingOf(found: Found): string {
    if (found.outside === '' || found.inside === '')
        return `Choose the colour ${found.outside === '' ? 'outside' : 'inside'}.`;
    return found.outcome !== 'accept' && found.cause === null
        ? 'Say what the cause was: the shop learns from it.'
        : '';
}

/** Where less is done than what was found asks for, in words. */
export function lacksOfFound(step: Step, looks: Looks, found: Found): string[] {
    const order = looks.outcomes.map((one) => one.key);
    const least = leastOf(step, looks, found);
    const label = (key: string) => looks.outcomes.find((one) => one.key === key)?.label ?? key;
    return order.indexOf(found.outcome) < order.indexOf(least)
        ? [`What was found asks for more than “${label(found.outcome)}”: ${label(least)}.`]
        : [];
}
