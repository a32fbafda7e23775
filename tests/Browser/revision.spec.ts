import { expect, test } from '@playwright/test';
import { api, expectAccessible, released, saved } from './support';

test('a change after the first cut says what of it is lost, is looked over, and begins again at the bench', async ({
    page,
}) => {
    const job = await released(page, 'TB-0661');
    await page.goto(`/jobs/${job}/bench`);
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByRole('heading', { name: 'Cut and prepare A2' })).toBeVisible();
    await page.getByRole('button', { name: 'Begin rev 2' }).click();
    await expect(page).toHaveURL(/\/route$/);
    await expect(page.getByText(/made already/)).toHaveCount(0);

    // The first leg is made shorter, which leaves the far end open: what was cut is named at once.
    const straight = page.getByLabel('Straight before, bend 1');
    await straight.fill('4 in');
    await straight.press('Enter');
    await saved(page);
    const told = page.getByText('△ 1 piece made already does not fit: A1');
    await expect(told).toBeVisible();
    await told.click();
    await expect(page.getByText(/A1 is cut already, for an earlier revision: length/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await saved(page);
    await expect(told).toBeHidden();

    // Moved with its start it stays closed.
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    const run = document.runs[0];
    const way = Math.hypot(...(run.start.direction as number[]));
    run.start.at = run.start.at.map((_: string, i: number) => (30 * run.start.direction[i]) / way);
    const first = run.route.bends[0];
    const mm = typeof first.straight === 'number' ? first.straight : parseFloat(first.straight) * 25.4;
    first.straight = mm - 30;
    run.fittings = [];
    const view = await api(page, 'PUT', `/jobs/${job}/draft`, { version: 3, document });
    expect(view.status).toBe(200);

    await page.goto(`/jobs/${job}/cut`);
    await page
        .getByRole('banner')
        .getByRole('link', { name: /Look it over and release it/ })
        .click();
    await expect(page.getByRole('heading', { name: 'Rev 2, beside rev 1' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'What changes' })).toContainText('A1: length');
    await expect(page.getByText(/A1 is cut already/)).toBeVisible();
    await expect(page.getByText(/Saw .* off its long end/)).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Release rev 2' }).click();

    await expect(page).toHaveURL(/\/bench$/);
    await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
    await expect(page.getByRole('listitem').filter({ hasText: 'A1 is cut already' }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByText('△ 1 piece made already does not fit: A1')).toBeHidden();
});
