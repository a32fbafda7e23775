// Where the points of a plot lie.

/** More points than this are not told apart. */
const MOST = 400;

export function plotOf(
    values: number[],
    limit: number | null,
    isSteep: boolean,
    wide: number,
    high: number,
): { line: string; limit: number | null } {
    const scaled = (value: number) => (isSteep ? Math.log10(Math.max(value, 1)) : value);
    const all = [...values, ...(limit === null ? [] : [limit])].map(scaled);
    const least = isSteep ? Math.min(...all) : Math.min(0, ...all);
    const span = Math.max(...all) - least || 1;
    const at = (value: number) => high - 2 - ((scaled(value) - least) / span) * (high - 4);
    const every = Math.max(1, Math.ceil(values.length / MOST));
    const points = values.flatMap((value, i) => {
        if (i % every !== 0) return [];
        const x = values.length < 2 ? 0 : (i / (values.length - 1)) * wide;
        return `${x.toFixed(1)} ${at(value).toFixed(1)}`;
    });
    return {
        line: points.length === 0 ? '' : `M${points.join('L')}`,
        limit: limit === null || values.length === 0 ? null : at(limit),
    };
}
