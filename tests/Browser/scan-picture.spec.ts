import { expect, test } from '@playwright/test';
import { importFlange } from './flange-stl';
import { ownJob } from './support';

test('a port is taken by a press on the scan in the picture', async ({ page }) => {
    // Hundreds of presses, on a picture that is drawn in software.
    test.setTimeout(240_000);
    const job = await ownJob(page, 'TB-0694');
    await page.goto(`/jobs/${job}/survey`);
    const scan = await importFlange(page);
    await scan.getByRole('button', { name: 'A port from it' }).click();
    await page.getByRole('button', { name: 'From the right', exact: true }).click();
    await expect(page.getByText('press flange where it is meant')).toBeVisible();
    const box = await page.locator('canvas').boundingBox();
    if (!box) throw new Error('There is no picture.');
    const tapped = scan.getByLabel('Tapped at');
    // Wherever it stands in the picture: a press every 12 px finds it.
    const STEP = 12;
    search: for (let y = box.y + 60; y < box.y + box.height - 40; y += STEP)
        for (let x = box.x + 20; x < box.x + box.width - 20; x += STEP) {
            await page.mouse.click(x, y);
            if ((await tapped.inputValue()) !== '') break search;
        }
    await expect(tapped).not.toHaveValue('');
    await expect(scan.getByText(/^(A flat face|The wall of a bore)/)).toBeVisible();
});
