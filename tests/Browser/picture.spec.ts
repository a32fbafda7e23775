import { expect, test, type Locator, type Page } from '@playwright/test';
import { routed } from './support';

const pictureOf = (page: Page): Locator => page.getByLabel(/^The runs in 3D/);

/** Presses the picture line by line until what is asked shows; the background is pressed first. */
async function pressUntil(picture: Locator, isShown: () => Promise<boolean>): Promise<void> {
    const box = (await picture.boundingBox())!;
    for (let row = 2; row < 9; row++)
        for (let column = 2; column < 15; column++) {
            await picture.click({
                position: { x: (box.width * column) / 16, y: (box.height * row) / 10 },
            });
            if (await isShown()) return;
        }
    throw new Error('nothing of the picture answered');
}

test('the picture is drawn, turned and measured in, and a part pressed there is chosen everywhere', async ({
    page,
}) => {
    await routed(page, 'TB-0690');
    const picture = pictureOf(page);
    await expect(page.getByText('This browser draws no 3D')).toBeHidden();
    const seen = () => picture.screenshot().then((png) => png.toString('base64'));

    await page.getByRole('button', { name: 'From above' }).click();
    const fromAbove = await seen();
    await page.getByRole('button', { name: 'From the rear' }).click();
    await expect.poll(seen).not.toBe(fromAbove);
    await page.getByRole('button', { name: 'From above' }).click();
    await expect.poll(seen).toBe(fromAbove);

    const chosen = page.getByRole('region', { name: 'Run A unrolled' }).locator('[aria-pressed="true"]');
    await expect(chosen).toHaveCount(0);
    await pressUntil(picture, async () => (await chosen.count()) > 0);

    await page.getByRole('button', { name: 'Measure' }).click();
    await expect(page.getByText('press two places')).toBeVisible();
    const between = page.getByText('from place to place');
    await pressUntil(picture, () => between.isVisible());
    await expect(between).toContainText(/\d+(\.\d+)? in/);
});
