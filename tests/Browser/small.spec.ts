import { expect, test } from '@playwright/test';
import { looksWhole } from './fits';

test('from nothing to the card of a small job, and to the bench, in five taps', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'Small job' }).click();
    const card = page.getByRole('region', { name: 'Settings and purge' });
    await expect(card).toContainText('Oxygen-sensor bung on 3 in × .065');
    await page.getByRole('button', { name: 'Crack' }).click();
    await page.getByRole('button', { name: 'Before a turbine' }).click();
    await page.getByRole('button', { name: '2 1/2 in × .065' }).click();
    await expect(card).toContainText('Crack on 2 1/2 in × .065');
    await expect(card.getByRole('button', { name: /Oxygen at most: 50 ppm/ })).toBeVisible();
    await page.getByRole('button', { name: 'Log it as a job and go to the bench' }).click();
    await expect(page.getByRole('heading', { name: 'Grind out the crack in A1' })).toBeVisible();
});

test('a number on the card opens its working; what cannot be welded is refused there', async ({ page }) => {
    await page.goto('/small');
    await page.getByRole('button', { name: /^Amps: 65 A/ }).click();
    await expect(page.getByRole('dialog')).toContainText(
        'Amps for the thinner wall, more because the thicker side draws heat',
    );
    await page.keyboard.press('Escape');
    await page.getByLabel('Its metal, another').selectOption('titanium');
    await expect(page.getByText(/✕ .*titanium/i)).toBeVisible();
    await expect(page.getByRole('button', { name: /Log it as a job/ })).toBeDisabled();
});

test.describe('with gloves on', () => {
    test.use({ hasTouch: true, viewport: { width: 800, height: 1280 } });

    test('every choice is large enough', async ({ page }) => {
        await page.goto('/small');
        await expect(page.getByRole('region', { name: 'Settings and purge' })).toBeVisible();
        await looksWhole(page, [{ width: 800, height: 1280 }], 44, 'small job');
        for (const choice of await page.getByRole('group').getByRole('button').all()) {
            expect((await choice.boundingBox())!.height).toBeGreaterThanOrEqual(56);
        }
    });
});
