// Shared by the benchmarks: order statistics and a plain table.

/** The value below which a share of the sample lies, nearest rank. */
export function percentile(sample, share) {
    const sorted = [...sample].sort((a, b) => a - b);
    return sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)];
}

export function printTable(headings, rows) {
    const cells = [headings, ...rows].map((row) => row.map(String));
    const widths = headings.map((_, column) => Math.max(...cells.map((row) => row[column].length)));
    for (const row of cells)
        console.log(
            row
                .map((cell, column) =>
                    column === 0 ? cell.padEnd(widths[column]) : cell.padStart(widths[column]),
                )
                .join('   '),
        );
}

export const ms = (value) => `${value.toFixed(1)} ms`;
