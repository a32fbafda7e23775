import { expect, test } from '@playwright/test';
import { api, expectAccessible } from './support';

// Job 5 of the demo: five runs of weld elbows into one turbine flange, every route taken.
test('cut, fit and weld show the whole job first, and one run as a filter', async ({ page }) => {
    await page.goto('/jobs/5/cut');
    const runs = page.getByRole('group', { name: 'Runs shown' });
    await expect(runs.getByRole('button', { name: 'Whole job' })).toHaveAttribute('aria-pressed', 'true');
    const list = page.getByRole('region', { name: 'Cut list' });
    await expect(list.getByRole('button', { name: 'A1', exact: true })).toBeVisible();
    await expect(list.getByRole('button', { name: 'E1', exact: true })).toBeVisible();
    const stock = page.getByRole('region', { name: 'Stock for the job' });
    await expect(stock).toContainText('to buy');
    // All runs together are looked at for fewer joints or less stock; it says what it found, or that it found nothing.
    await stock.getByRole('button', { name: 'Look for less' }).click();
    await expect(stock.getByText(/Nothing with fewer joints|Take these cuts/)).toBeVisible({
        timeout: 20_000,
    });
    // A weld elbow used whole has nothing to leave long: its ends come as they are.
    await list.getByRole('button', { name: 'A4', exact: true }).click();
    const drawing = page.getByRole('region', { name: 'Drawing of piece A4' });
    await expect(drawing.getByRole('row', { name: /Upstream end as it comes, no cut/ })).toBeVisible();
    await expect(page.getByText('Bends laid out along their centreline')).toBeVisible();
    await runs.getByRole('button', { name: /^C/ }).click();
    await expect(list.getByRole('button', { name: 'C1', exact: true })).toBeVisible();
    await expect(list.getByRole('button', { name: 'A1', exact: true })).toBeHidden();

    // The filter goes along from stage to stage.
    await page.keyboard.press('5');
    const order = page.getByRole('region', { name: 'Order of building' });
    await expect(order.getByRole('heading', { name: 'Run C' }).first()).toBeVisible();
    await expect(order.getByRole('heading', { name: 'Run A' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Whole job' }).click();
    await expect(order.getByRole('heading', { name: 'Run A' }).first()).toBeVisible();
    // The order they go in is worked out and then part of the order of building.
    await expect(order.getByText(/goes in first/)).toBeVisible();
    await expect(order.getByText(/△ \d+ %/).first()).toBeVisible();
    await expectAccessible(page);

    await page.keyboard.press('6');
    const welds = page.getByRole('region', { name: 'Welds in order' });
    for (const phase of ['on the bench', 'with the runs in place'])
        await expect(welds.getByText(phase)).toBeVisible();
    await expect(welds.getByText('Slip fillet').first()).toBeVisible();
    await expect(page.getByRole('region', { name: 'Time at the torch' })).toContainText(
        'if every joint were waited for',
    );
    const inTurn = await page
        .getByRole('img', { name: /^In this order: / })
        .locator('div')
        .nth(0)
        .boundingBox();
    const waitedFor = await page
        .getByRole('img', { name: /^Each waited for: / })
        .locator('div')
        .nth(0)
        .boundingBox();
    expect(inTurn?.width).toBeLessThan(0.75 * (waitedFor?.width ?? 0));
    await expectAccessible(page);
});

test('a number opens its working, which comes from the server when it is opened', async ({ page }) => {
    await page.goto('/jobs/5/weld');
    const welds = page.getByRole('region', { name: 'Welds in order' });
    await welds
        .getByRole('button', { name: /^Amps: / })
        .first()
        .click();
    const working = page.getByRole('dialog', { name: 'Working of Amps' });
    await expect(working).toContainText('Amps for a full-penetration butt in this wall.');
    await expect(working).toContainText('Source: common practice');
});

test('the seam inside a piece from a donut has nothing to purge, and its sheet says so', async ({ page }) => {
    const document = await (await page.request.get('/jobs/2/job.json')).json();
    document.job.number = 'TB-0595';
    const job = ((await api(page, 'POST', '/jobs', { document })).body as { id: number }).id;
    const offer = await api(page, 'POST', `/jobs/${job}/cuts/joint`, {
        document,
        mark: 'A1',
        wish: 'from-donut',
    });
    const changed = (offer.body as { document: unknown }).document;
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document: changed })).status).toBe(
        200,
    );
    await page.goto(`/jobs/${job}/weld`);
    const sheet = page.getByRole('region', { name: /^Sheet of joint/ });
    await page.getByText('Seam of a donut, inside').first().click();
    await expect(sheet.getByText('the torch’s own gas fills the bore')).toBeVisible();
    await expect(sheet.getByText('Fill flow')).toHaveCount(0);
    await page.getByText('Butt', { exact: true }).first().click();
    await expect(sheet.getByText('Fill flow')).toBeVisible();
    await expect(page.getByRole('list', { name: /^Purge of/ }).getByText(/^Feed at the/)).toBeVisible();
});
