import { expect, test } from '@playwright/test';
import { api, routed } from './support';

test('stock comes in, a release is promised it, pieces are ticked off, and a short one is told what it does', async ({
    page,
}) => {
    const job = await routed(page, 'TB-STORES');
    await page.goto(`/jobs/${job}/cut`);
    const stock = page.getByRole('region', { name: 'Stock for the job' });
    await expect(stock.getByText('of stock to buy')).toBeVisible();
    // All that is missing comes in at the stores; one item of it by hand.
    const { shopping } = (await api(page, 'GET', `/jobs/${job}/cutting`, undefined)).body as {
        shopping: { rows: { key: string; kind: string; toBuy: number; name: string }[] };
    };
    const missing = shopping.rows.filter(
        ({ kind, toBuy }) => kind === 'bend' || (kind === 'tube' && toBuy > 0),
    );
    for (const { key } of missing)
        expect((await api(page, 'POST', '/stores/items', { key, count: '6' })).status).toBe(200);
    await page.goto(`/stores?find=${missing[0]!.key}`);
    await page
        .getByRole('button', { name: missing[0]!.name.split(',')[0]! })
        .first()
        .click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('How many').fill('3');
    await dialog.getByLabel('Note').fill('Order 17');
    await dialog.getByRole('button', { name: 'Set it down' }).click();
    await expect(dialog.getByText('Order 17')).toBeVisible();
    await expect(dialog.getByText('+3', { exact: true })).toBeVisible();
    await dialog.getByLabel('How many').fill('-2');
    await dialog.getByRole('button', { name: 'Set it down' }).click();
    await expect(dialog.getByText('"-2" as its quantity')).toBeVisible();

    expect((await api(page, 'POST', `/jobs/${job}/release`, { version: 2 })).status).toBe(200);
    await page.goto(`/jobs/${job}/cut`);
    await expect(stock.getByText(/● (All of it is|Its tube and bends are) on the shelf/)).toBeVisible();
    const list = page.getByRole('region', { name: 'Cut list' });
    await page.getByRole('button', { name: /^A\d is cut$/ }).click();
    await expect(list.getByText('● cut')).toBeVisible();
    await list.getByRole('button', { name: 'A2', exact: true }).click();
    const piece = page.getByRole('region', { name: 'Cut A2' });
    if (await piece.getByRole('button', { name: 'Not cut after all' }).isVisible())
        await piece.getByRole('button', { name: 'Not cut after all' }).click();
    await piece.getByLabel('Length as measured').fill('about a foot');
    await piece.getByRole('button', { name: 'A2 is cut' }).click();
    await expect(piece.getByText('"about a foot"')).toBeVisible();
    await piece.getByLabel('Length as measured').fill('1 1/4 in');
    await piece.getByRole('button', { name: 'A2 is cut' }).click();
    await expect(piece.getByRole('alert')).toContainText('too short');
    await expect(piece.getByRole('alert')).toContainText('the far end of run A would lie');
    await piece.getByLabel('Why you go on all the same').fill('Cut for another job');
    await piece.getByRole('button', { name: 'Log it with this reason' }).click();
    await expect(page.getByText(/△ A2 is .* too short/)).toBeVisible();
    await expect(page.getByText('Welded as it is, the far end of run A would lie')).toBeVisible();
    // The label of a piece opens it at the bench.
    await page.goto(`/jobs/${job}/bench?step=prepare.A3`);
    await expect(page.getByRole('heading', { name: 'Cut and prepare A3' })).toBeVisible();
});

test('a table that cannot be used is told line by line, and nothing of it is counted', async ({ page }) => {
    await page.goto('/stores');
    await page.getByRole('button', { name: 'Count from a table' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Or pasted from a spreadsheet').fill('T3.000x.065, 9\nT9.999x.065, 2');
    await dialog.getByRole('button', { name: 'Take this count' }).click();
    await expect(dialog.getByText('"T9.999x.065" is in no catalogue')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('row', { name: 'T3.000x.065' }).first()).not.toContainText('9 sticks');
});

test('a bottle more is entered on the rack, its gauge read, a full one put on, and taken away', async ({
    page,
}) => {
    await page.goto('/');
    const argon = page.getByRole('region', { name: 'Argon' });
    await argon.getByRole('button', { name: 'Add a bottle' }).click();
    for (const [label, text] of [
        ['Name', 'Spare'],
        ['Holds when full', 'a lot'],
        ['At', '200 bar'],
        ['On the gauge now', '100 bar'],
    ] as const)
        await argon.getByLabel(label, { exact: true }).fill(text);
    await argon.getByLabel('Feeds').selectOption('purge');
    await argon.getByRole('button', { name: 'Add it' }).click();
    await expect(argon).toContainText('a lot');
    await argon.getByLabel('Holds when full').fill('4250 l');
    await argon.getByRole('button', { name: 'Add it' }).click();
    await expect(argon).toContainText('1450 psi on the gauge');
    const read = argon.getByRole('button', { name: 'Read the gauge: Spare' });
    await read.click();
    await argon.getByLabel('On the gauge now').fill('9000 psi');
    await argon.getByRole('button', { name: 'Save' }).click();
    await expect(argon).toContainText(
        '✕ "9000 psi" must lie between nought and a little over a full bottle.',
    );
    await argon.getByLabel('On the gauge now').fill('1810 psi');
    await argon.getByRole('button', { name: 'Save' }).click();
    await expect(argon).toContainText('1810 psi on the gauge');
    await read.click();
    await argon.getByRole('button', { name: 'A full one was put on' }).click();
    await expect(argon).toContainText('2901 psi on the gauge');
    await page.reload();
    await expect(argon).toContainText('2901 psi on the gauge');
    await read.click();
    await argon.getByRole('button', { name: 'Take it away' }).click();
    await expect(argon).not.toContainText('Spare bottle');
});

test('a bottle stays where an answer comes that was asked for before it was added', async ({ page }) => {
    await page.goto('/');
    let letGo = () => {};
    const held = new Promise<void>((done) => (letGo = done));
    await page.route('**/?find=*', async (route) => {
        const response = await route.fetch();
        await held;
        await route.fulfill({ response });
    });
    const asked = page.waitForRequest(/\?find=/);
    await page.getByLabel('Find a job').fill('downpipe');
    await asked;
    const argon = page.getByRole('region', { name: 'Argon' });
    await argon.getByRole('button', { name: 'Add a bottle' }).click();
    for (const [label, text] of [
        ['Name', 'Late'],
        ['Holds when full', '4250 l'],
        ['At', '200 bar'],
        ['On the gauge now', '100 bar'],
    ] as const)
        await argon.getByLabel(label, { exact: true }).fill(text);
    await argon.getByRole('button', { name: 'Add it' }).click();
    await expect(argon).toContainText('Late bottle');
    const answered = page.waitForResponse(/\?find=/);
    letGo();
    await answered;
    await expect(page.getByText('Delivery-van crossover')).toHaveCount(0);
    await expect(argon).toContainText('Late bottle');
    await argon.getByRole('button', { name: 'Read the gauge: Late' }).click();
    await argon.getByRole('button', { name: 'Take it away' }).click();
    await expect(argon).not.toContainText('Late bottle');
    // The rack may be asking again by itself.
    await page.unrouteAll({ behavior: 'ignoreErrors' });
});
