import { expect, test } from '@playwright/test';
import { api, ownJob, routed, saved, toStage } from './support';

test('a turn typed wrong opens the far end; the core names the turn that closes it; undo takes it back', async ({
    page,
}) => {
    await routed(page, 'TB-0510');
    const turn = page.getByLabel('Turn, bend 2');
    const before = await turn.inputValue();
    await turn.fill('-30');
    await turn.press('Enter');
    await expect(page.getByText('✕ Far end open')).toBeVisible();
    await page.getByRole('button', { name: /^Turn bend 2 .* anticlockwise/ }).click();
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('✕ Far end open')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await expect(turn).toHaveValue(before);
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(page.getByText('✕ Far end open')).toBeVisible();
    // What closes it moves no stock bend, and says what it moved.
    const bends = await page
        .getByLabel(/^Bend, bend \d/)
        .evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value));
    await page.getByRole('button', { name: 'Close the rest' }).click();
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await expect(page.getByText(/^Moved to close it: .*, now /)).toBeVisible();
    expect(
        await page
            .getByLabel(/^Bend, bend \d/)
            .evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value)),
    ).toEqual(bends);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText(/^Moved to close it/)).toBeHidden();
});

test('a unit nobody knows is refused at its field, and the last good version stays', async ({ page }) => {
    const job = await routed(page, 'TB-0511');
    const straight = page.getByLabel('Straight before, bend 1');
    await straight.fill('3 parsecs');
    await straight.press('Enter');
    await expect(page.getByText(/✕ "parsecs" in "3 parsecs" is not a unit of length/)).toBeVisible();
    await expect(straight).toHaveAttribute('aria-invalid', 'true');
    const stored = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(JSON.stringify(stored)).not.toContain('parsecs');
    await straight.fill('3 1/2');
    await straight.press('Enter');
    await saved(page);
    await expect(straight).toHaveValue('3 1/2 in');
});

test('a change made elsewhere meanwhile is not overwritten without asking', async ({ page }) => {
    const job = await routed(page, 'TB-0512');
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    document.job.note = 'changed at the other desk';
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 2, document })).status).toBe(200);
    const turn = page.getByLabel('Turn, bend 1');
    await turn.fill('10');
    await turn.press('Enter');
    const dialog = page.getByRole('dialog', { name: 'Someone else changed this job' });
    await expect(dialog).toContainText('you had version 2, the latest is 3');
    await dialog.getByRole('button', { name: 'Save mine over it' }).click();
    await expect(dialog).toBeHidden();
    await saved(page);
});

test('no way is an answer too: it names what blocks and by how much', async ({ page }) => {
    const job = await ownJob(page, 'TB-0513');
    await page.goto(`/jobs/${job}/survey`);
    const end = page.getByRole('group', { name: 'End of run A' });
    for (const [axis, text] of [
        ['rearward', '3'],
        ['right', '3'],
        ['up', '-1'],
    ] as const) {
        await end.getByLabel(axis, { exact: true }).fill(text);
        await end.getByLabel(axis, { exact: true }).press('Enter');
        await saved(page);
    }
    await toStage(page, 'Route');
    await page.getByRole('button', { name: 'Find a way', exact: true }).click();
    await expect(page.getByText('No way with two bends from stock')).toBeVisible();
    await expect(
        page
            .getByRole('status')
            .getByText(/ in too short/)
            .first(),
    ).toBeVisible();
});

test('one selection: a joint picked on the ribbon is the joint of every stage', async ({ page }) => {
    await routed(page, 'TB-0514');
    // The picture is only one way to it: these browsers draw none.
    await expect(page.getByText('This browser draws no 3D')).toBeVisible();
    await page.getByRole('button', { name: 'AJ3', exact: true }).click();
    await page.keyboard.press('5');
    await expect(page.getByRole('region', { name: 'Joint AJ3' })).toBeVisible();
    await expect(page.getByRole('img', { name: /Joint AJ3 looking with the flow/ })).toBeVisible();
    await page.keyboard.press('k');
    await expect(page.getByRole('region', { name: 'Joint AJ2' })).toBeVisible();
    await page.keyboard.press('6');
    await expect(page.getByRole('region', { name: 'Sheet of joint AJ2' })).toBeVisible();
    await page.keyboard.press('/');
    await page.getByPlaceholder('A joint, a piece, a stage…').fill('AJ1');
    await page.keyboard.press('Enter');
    await expect(page.getByPlaceholder('A joint, a piece, a stage…')).toBeHidden();
    await expect(page.getByRole('region', { name: 'Sheet of joint AJ1' })).toBeVisible();
    await page.keyboard.press('u');
    await expect(page.getByRole('region', { name: 'Sheet of joint AJ1' })).toContainText('mm/min');
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('coming back with the browser’s own Back shows the latest, not the page of then', async ({ page }) => {
    await routed(page, 'TB-0515');
    await page.getByRole('link', { name: 'Back to the rack' }).click();
    await expect(page.getByRole('heading', { name: 'Tidewater Tube & Bead' })).toBeVisible();
    await page.goBack();
    await expect(page.getByText('● Far end closed')).toBeVisible();
    const turn = page.getByLabel('Turn, bend 1');
    await turn.fill('12');
    await turn.press('Enter');
    await saved(page);
    await expect(turn).toHaveValue('12°');
});
