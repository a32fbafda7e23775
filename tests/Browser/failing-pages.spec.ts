import { expect, test } from '@playwright/test';

test('a page that says what these screens do not know is put away, and says so', async ({ page }) => {
    await page.route('**/stores', async (route) => {
        const answer = await route.fetch();
        const body = (await answer.text()).replace(/"items":\s*\[/, '$&7,');
        await route.fulfill({ response: answer, body });
    });
    await page.goto('/stores');
    await expect(page.getByRole('heading', { name: 'The server is newer than this page' })).toBeVisible();
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await page.getByRole('button', { name: 'Load the page again' }).click();
    await expect(page.getByRole('button', { name: 'Add an item' })).toBeVisible();
});

test('a page that the server is too busy for is asked for again by itself', async ({ page }) => {
    const nothing = await page.request.get('/nothing');
    const busy = (await nothing.text())
        .replace('"status":404,"againS":null', '"status":429,"againS":2')
        .replace('"url":"\\/nothing"', '"url":"\\/stores"');
    await page.route('**/stores', (route) =>
        route.fulfill({ status: 429, headers: nothing.headers(), body: busy }),
    );
    await page.goto('/stores');
    await expect(page.getByRole('heading', { name: 'Too much at once' })).toBeVisible();
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await expect(page.getByRole('button', { name: 'Add an item' })).toBeVisible();
});
