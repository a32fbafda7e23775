import { expect, test } from '@playwright/test';
import { faultsOf, tapAll } from './tapping';

// What is chosen here holds for the whole shop, so nothing runs after it.
for (const [name, url] of [
    ['the rack', '/'],
    ['the stores', '/stores'],
    ['the shop', '/shop'],
] as const)
    test(`whatever is tapped in ${name}, nothing breaks`, async ({ page }) => {
        const faults = faultsOf(page);
        await page.goto(url);
        await expect(page.getByRole('heading').first()).toBeVisible();
        expect(await tapAll(page, faults)).toBeGreaterThan(2);
    });
