// What stands in the way of going on from a step, as far as this device can tell; the server has the last word.
import type { Step } from '@/lib/answers';

type Measure = Step['measures'][number];

/** A number as somebody writes it, bare or with the unit of the limit; null where that cannot be told here. */
export function asNumber(text: string, unit: string): number | null {
    let bare = text.trim().toLowerCase();
    if (unit !== '' && bare.endsWith(unit.toLowerCase())) bare = bare.slice(0, -unit.length).trim();
    if (unit === 'in' && bare.endsWith('"')) bare = bare.slice(0, -1).trim();
    const [, whole, over, under, plain] =
        /^(?:(?:(\d+)[ -])?(\d+)\/(\d+)|(-?(?:\d+\.?\d*|\.\d+)))$/.exec(bare) ?? [];
    if (plain !== undefined) return Number(plain);
    if (over === undefined || under === undefined || Number(under) === 0) return null;
    return Number(whole ?? 0) + Number(over) / Number(under);
}

function lackOf(measure: Measure, reading: string): string {
    const { label, most, asked } = measure;
    if (reading.trim() === '') return asked ? `${label} was not read.` : '';
    const read = most && asNumber(reading, most.unit);
    return read !== null && most && read > most.number + 1e-6
        ? `${label}: ${reading.trim()}, at most ${most.text}.`
        : '';
}

/** In words; empty where nothing does. */
export function lacksOf(step: Step, readings: Record<string, string>, confirmed: Set<number>): string[] {
    return [
        ...step.measures.map((one) => lackOf(one, readings[one.name] ?? '')).filter((line) => line !== ''),
        ...step.points.filter((_, i) => !confirmed.has(i)).map((point) => `Not confirmed: ${point}`),
    ];
}
