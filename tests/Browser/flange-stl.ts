import { expect, type Locator, type Page } from '@playwright/test';

/** An STL file of a flange, 80 mm across, with a bore of 44 mm that goes down from it; it looks to the right. */
function flangeStl(): Buffer {
    const at = (radius: number, step: number, depth: number): number[] => {
        const turn = (2 * Math.PI * step) / 72;
        return [radius * Math.cos(turn), -depth, radius * Math.sin(turn)];
    };
    const rings = [
        ...[24, 18, 12, 6].map((depth) => [22, depth]),
        ...[22, 26, 30, 34, 40].map((radius) => [radius, 0]),
    ] as [number, number][];
    const triangles: number[][] = [];
    for (let r = 0; r + 1 < rings.length; r++)
        for (let step = 0; step < 72; step++) {
            const [inner, outer] = [rings[r]!, rings[r + 1]!];
            const [a, b] = [at(inner[0], step, inner[1]), at(outer[0], step, outer[1])];
            const [c, d] = [at(outer[0], step + 1, outer[1]), at(inner[0], step + 1, inner[1])];
            triangles.push([...a, ...c, ...b], [...a, ...d, ...c]);
        }
    const bytes = Buffer.alloc(84 + 50 * triangles.length);
    bytes.writeUInt32LE(triangles.length, 80);
    triangles.forEach((corners, i) =>
        corners.forEach((one, k) => bytes.writeFloatLE(one, 84 + 50 * i + 12 + 4 * k)),
    );
    return bytes;
}

/** Takes it in at Survey as something to keep clear of; gives the panel of what is taken from it. */
export async function importFlange(page: Page): Promise<Locator> {
    await page.getByRole('button', { name: 'Add something to keep clear of' }).click();
    const dialog = page.getByRole('dialog', { name: 'Something to keep clear of' });
    await dialog.getByRole('button', { name: /scan|STL/i }).click();
    await dialog
        .getByLabel('STL file')
        .setInputFiles({ name: 'flange.stl', mimeType: 'model/stl', buffer: flangeStl() });
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog).toBeHidden();
    return page.getByRole('region', { name: 'From the scan flange' });
}
