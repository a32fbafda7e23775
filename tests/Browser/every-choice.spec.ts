import { expect, test, type Page } from '@playwright/test';
import { api, ownHeader, released } from './support';
import { faultsOf, tapAll } from './tapping';

/** A copy of a job of the demo, to be spoilt. */
async function copyOf(page: Page, job: number, number: string): Promise<number> {
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    document.job.number = number;
    const made = await api(page, 'POST', '/jobs', { document });
    expect(made.status).toBe(201);
    return (made.body as { id: number }).id;
}

test('a small job of every kind and every metal has a card or says why not', async ({ page }) => {
    test.setTimeout(240_000);
    const faults = faultsOf(page);
    await page.goto('/small');
    const group = (name: string) => page.getByRole('group', { name, exact: true });
    const card = () => page.waitForResponse((response) => response.url().endsWith('/small/card'));
    const choose = async (act: () => Promise<unknown>, what: string) => {
        const [answer] = await Promise.all([card(), act()]);
        expect(answer.status(), what).toBe(200);
        expect(faults, what).toEqual([]);
    };
    await expect(page.getByRole('region', { name: 'Settings and purge' })).toBeVisible();
    const names = (await group('What').getByRole('button').allTextContents()).map((one) => one.trim());
    const metals = group('Its metal');
    const others = await metals
        .getByRole('combobox')
        .locator('option')
        .evaluateAll((all) => all.slice(1).map((one) => (one as HTMLOptionElement).value));
    const usual = (await metals.getByRole('button').allTextContents()).map((one) => one.trim());
    expect(names.length).toBeGreaterThan(3);
    for (const name of names) {
        await choose(() => group('What').getByRole('button', { name, exact: true }).click(), name);
        for (const metal of usual)
            await choose(
                () => metals.getByRole('button', { name: metal, exact: true }).click(),
                `${name} ${metal}`,
            );
        for (const metal of name === names[0] ? others : []) {
            await choose(() => metals.getByRole('combobox').selectOption(metal), `${name} ${metal}`);
            await choose(
                () => metals.getByRole('button', { name: usual[0]!, exact: true }).click(),
                `${name} ${metal}, back`,
            );
        }
    }
    for (const row of ['Where', 'Tube', 'From dam to dam'])
        for (const one of await group(row).getByRole('button').all())
            await choose(() => one.click(), `${row}: ${await one.textContent()}`);
});

test.describe('whatever is tapped, nothing breaks', () => {
    const stages = ['intake', 'survey', 'route', 'merge', 'cut', 'fit', 'weld'];
    for (const [i, stage] of stages.entries())
        test(stage, async ({ page }) => {
            test.setTimeout(240_000);
            const job = await copyOf(page, 5, `TB-06${10 + i}`);
            const faults = faultsOf(page);
            await page.goto(`/jobs/${job}/${stage}`);
            await expect(page.getByText('Loading…')).toBeHidden();
            expect(await tapAll(page, faults)).toBeGreaterThan(3);
        });

    test('bench and handover', async ({ page }) => {
        test.setTimeout(240_000);
        const job = await released(page, 'TB-0620');
        const faults = faultsOf(page);
        for (const stage of ['bench', 'handover']) {
            await page.goto(`/jobs/${job}/${stage}`);
            await expect(page.getByText('Loading…')).toBeHidden();
            expect(await tapAll(page, faults)).toBeGreaterThan(3);
        }
    });
});

test('"Find ways for 4 runs" goes to Route and begins to look', async ({ page }) => {
    const job = await ownHeader(page, 'TB-0621');
    await page.goto(`/jobs/${job}/survey`);
    await page
        .getByRole('banner')
        .getByRole('link', { name: /Find ways for 4 runs/ })
        .click();
    await expect(page).toHaveURL(/\/route$/);
    await expect(page.getByRole('region', { name: 'Designs found' })).toBeVisible({ timeout: 60_000 });
    await expect(page.getByRole('button', { name: 'Find a design' })).toHaveCount(0);
});
