import { expect, test } from '@playwright/test';
import { api, expectAccessible, ownHeader, saved, toStage } from './support';

test('four ports and a collector become a header: find, compare, take, change by hand', async ({ page }) => {
    test.setTimeout(360_000);
    const job = await ownHeader(page, 'TB-0530');
    await page.goto(`/jobs/${job}/survey`);
    await expect(page.getByRole('group', { name: 'Runs together' })).toBeVisible();

    // A fact learnt at the vehicle: the shaft is thicker than drawn.
    await page.getByRole('button', { name: /^Steering shaft/ }).click();
    await page.getByLabel('Radius').fill('12.5 mm');
    await page.getByLabel('Radius').press('Enter');
    await saved(page);

    await toStage(page, 'route');
    await expect(page.getByText('has no route yet')).toHaveCount(4);
    await page.getByRole('button', { name: 'Find a design' }).click();
    const designs = page.getByRole('region', { name: 'Designs found' });
    await expect(designs).toBeVisible({ timeout: 150_000 });
    await expect(page.getByRole('button', { name: 'Discard' })).toBeVisible({ timeout: 150_000 });
    await expect(page.getByText('has no route yet')).toHaveCount(0);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Take design 1' }).click();
    await saved(page);

    // What was found stays, taken or not, through other stages and reloads, until it is put away.
    await toStage(page, 'fit');
    await toStage(page, 'route');
    await expect(designs).toBeVisible();
    await page.reload();
    await expect(designs).toBeVisible();
    await page.getByRole('button', { name: 'Discard' }).click();
    await expect(designs).toBeHidden();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Find other designs' })).toBeVisible();
    await expect(designs).toBeHidden();
    const strips = page.getByRole('region', { name: 'All runs to one scale' });
    await expect(strips.getByRole('button')).toHaveCount(4);
    await expect(page.getByText('● Lengths equal')).toBeVisible();
    await expect(page.getByText('✕ Far end open')).toBeHidden();

    // In which order they go in is worked out apart, and can be watched.
    await expect(page.getByText(/● Go in one at a time|✕ Not all go in whole/)).toBeVisible();
    await page.getByRole('button', { name: 'Show it' }).click();

    // By hand: another run, a turn too many; the checks see what it does.
    await strips.getByRole('button', { name: /^Run C/ }).click();
    const turn = page.getByLabel('Turn, bend 1');
    await turn.fill('170');
    await turn.press('Enter');
    await expect(page.getByText('✕ Far end open')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('● Far end closed')).toBeVisible();

    // Every later stage has every run.
    await toStage(page, 'cut');
    await page.getByRole('group', { name: 'Runs' }).getByRole('button', { name: /^D/ }).click();
    await expect(page.getByRole('button', { name: 'D1', exact: true }).first()).toBeVisible();
});

test('an impossible set is refused with the run, the keep-out and what would open it', async ({ page }) => {
    const job = await ownHeader(page, 'TB-0531');
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    document.set.keepOuts.push({
        name: 'Bulkhead',
        kind: 'frame',
        shape: 'box',
        at: ['140 mm', '100 mm', '0 mm'],
        size: ['600 mm', '60 mm', '500 mm'],
    });
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document })).status).toBe(200);
    await page.goto(`/jobs/${job}/route`);
    await page.getByRole('button', { name: 'Find a design' }).click();
    await expect(
        page.getByRole('status').filter({ hasText: 'Run A has no way past Bulkhead' }),
    ).toBeVisible();
});

test('what cannot be read of a keep-out is refused at its field', async ({ page }) => {
    const job = await ownHeader(page, 'TB-0534');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: /^Frame rail/ }).click();
    await page.getByLabel('along', { exact: true }).fill('very long');
    await page.getByLabel('along', { exact: true }).press('Enter');
    await expect(page.getByText(/✕ "very long" is not a length/)).toBeVisible();
    await expect(page.getByLabel('along', { exact: true })).toHaveAttribute('aria-invalid', 'true');
    const stored = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(JSON.stringify(stored)).not.toContain('very long');
});

test('ports pasted from a spreadsheet are shown line by line before they are put in', async ({ page }) => {
    const job = await ownHeader(page, 'TB-0535');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Paste ports' }).click();
    const dialog = page.getByRole('dialog', { name: 'Paste ports' });
    await dialog
        .getByLabel('Cells')
        .fill(
            [
                'name\tx\ty\tz\tdx\tdy\tdz',
                'Port 1\t0\t0\t0\t0\t0.985\t-0.174',
                'Port 2\t3 3/4 in\t0\t0\t0\t0.985\t-0.174',
                'Port 3\t190\t0\t0\t0\t0\t0',
                'Port 4\t285 furlongs\t0\t0\t0\t1\t0',
                'Port 5\t0\t0\t0\t0\t0.985\t-0.174',
            ].join('\n'),
        );
    const said = dialog.getByRole('region', { name: 'What the cells say' });
    await expect(said).toContainText('3 3/4 in');
    await expect(said).toContainText('points nowhere');
    await expect(said).toContainText('"furlongs" in "285 furlongs" is not a unit of length');
    await expect(said).toContainText('same place as line 2');
    await expect(dialog.getByText('3 lines are left out')).toBeVisible();
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Put 2 runs in place of what is there' }).click();
    await saved(page);
    const stored = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(stored.runs.map((run: { start: { at: string[] } }) => run.start.at[0])).toEqual([
        '0 mm',
        '3 3/4 in',
    ]);
    expect(stored.set.collectors[0].runs).toEqual(['A', 'B']);
});
