import { expect, test } from '@playwright/test';
import { looksWhole } from './fits';

test('from nothing to the card of a small job, and to the bench, in five taps', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Small job' }).click();
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

test('a metric shop taps and types millimetres, and finds them again the next time', async ({ page }) => {
    await page.goto('/small');
    const card = page.getByRole('region', { name: 'Settings and purge' });
    await page.getByRole('button', { name: 'Crack' }).click();
    await page.getByRole('button', { name: 'mm', exact: true }).click();
    await expect(page.getByRole('button', { name: '300 mm' })).toHaveAttribute('aria-pressed', 'true');
    await expect(card.getByRole('button', { name: /^Stick-out: \d+(\.\d+)? mm/ })).toBeVisible();
    const length = page.getByLabel('Its length, ground out, as measured');
    await length.fill('2 mm');
    await length.blur();
    await expect(page.getByText('✕ "2 mm" must lie between 3 mm and 1000 mm.')).toBeVisible();
    await length.fill('42');
    await length.blur();
    await expect(page.getByText('must lie between')).toHaveCount(0);
    await page.getByRole('button', { name: 'Log it as a job and go to the bench' }).click();
    await expect(page.getByRole('heading', { name: 'Grind out the crack in A1' })).toBeVisible();
    const document = await (await page.request.get(page.url().replace(/bench$/, 'job.json'))).json();
    expect(document.job.units).toBe('metric');
    expect(document.runs[0].fittings[0].length).toBe('42 mm');
    await page.goto('/small');
    await expect(page.getByRole('button', { name: '25 mm' })).toHaveCount(0);
    await expect(page.getByRole('button', { name: '300 mm' })).toBeVisible();
});

test.describe('with gloves on', () => {
    test.use({ hasTouch: true, viewport: { width: 800, height: 1280 } });

    test('every choice is large enough', async ({ page }) => {
        await page.goto('/small');
        await expect(page.getByRole('region', { name: 'Settings and purge' })).toBeVisible();
        await looksWhole(page, 'small job');
        for (const choice of await page.getByRole('group').getByRole('button').all()) {
            expect((await choice.boundingBox())!.height).toBeGreaterThanOrEqual(56);
        }
    });
});
