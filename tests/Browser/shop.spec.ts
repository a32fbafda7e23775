import { expect, test } from '@playwright/test';
import { expectAccessible } from './support';

test('what the shop works by is changed where it stands, and refused where it cannot be', async ({
    page,
}) => {
    await page.goto('/shop');
    await expect(page.getByRole('heading', { name: 'Where the trade has more than one way' })).toBeVisible();
    await expectAccessible(page);
    const school = page.getByLabel('When the next seam is welded beside the last');
    await school.selectOption({ label: 'Below the code limit' });
    await expect(page.getByText('What written procedures ask of austenitic steel')).toBeVisible();
    await school.selectOption({ label: 'Touch-cool (usual)' });
    await expect(page.getByText('Best colour and least pull')).toBeVisible();

    await page.getByLabel('Find a rule').fill('fill flow');
    const flow = page.getByLabel('Fill flow', { exact: true });
    await flow.fill('plenty');
    await flow.press('Enter');
    await expect(page.getByText(/"plenty"/).first()).toBeVisible();
    await flow.fill('20 cfh');
    await flow.press('Enter');
    await expect(flow).toHaveValue('9.4 L/min');
    await flow.fill('');
    await flow.press('Enter');
    await expect(flow).toHaveValue('7.1 L/min');
});

test('a joint is welded by another school with a reason, and a procedure is marked as such', async ({
    page,
}) => {
    await page.goto('/jobs/2/weld');
    const sheet = page.getByRole('region', { name: /^Sheet of joint/ });
    await sheet.getByRole('button', { name: /^Root shielded by/ }).click();
    const working = page.getByRole('dialog', { name: 'Working of Root shielded by' });
    await working.getByLabel('Your choice').selectOption('Flux paste');
    await working.getByLabel('Why').fill('street system');
    await working.getByRole('button', { name: 'Overrule' }).click();
    await expect(sheet.getByText('street system')).toBeVisible();
    await expect(sheet.getByText(/Fluoride/)).toBeVisible();
    await expect(sheet.getByText('Fill flow')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(sheet.getByText('Fill flow')).toBeVisible();

    const procedures = page.getByRole('region', { name: 'Written procedures' });
    await procedures.getByLabel('Another one').fill('WPS-7');
    await procedures.getByLabel('Its filler').fill('ER316L');
    await procedures.getByRole('button', { name: 'Add it' }).click();
    await expect(sheet.getByRole('button', { name: /Filler: ER316L, as WPS-7 asks/ })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(sheet.getByRole('button', { name: /Filler: ER308L/ })).toBeVisible();
});

test('another job is welded at the same bench', async ({ page }) => {
    test.setTimeout(90_000);
    await page.goto('/jobs/7/weld');
    const beside = page.getByRole('region', { name: 'Beside another job' });
    await beside.getByRole('button', { name: 'Choose one' }).click();
    await beside.getByLabel('Welded at the same bench').selectOption({ index: 1 });
    await expect(beside.getByText(/for both|follow from a route/)).toBeVisible({ timeout: 40_000 });
});
