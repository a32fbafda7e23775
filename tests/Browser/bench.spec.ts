import { expect, test, type Page } from '@playwright/test';
import { api, ownJob, SIGNED_OUT, signIn } from './support';

async function atTheBench(page: Page, number: string): Promise<number> {
    const job = await ownJob(page, number);
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    const ways = await api(page, 'POST', `/jobs/${job}/routes`, { document, letter: 'A' });
    document.runs[0].route = (ways.body as { answers: { route: unknown }[] }).answers[0]!.route;
    await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document });
    await api(page, 'POST', `/jobs/${job}/release`, { version: 2 });
    await page.goto(`/jobs/${job}/bench`);
    await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
    return job;
}

test('entries made without a network are kept and sent when it is back', async ({ page, context }) => {
    const job = await atTheBench(page, 'TB-0520');
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByRole('heading', { name: 'Cut and prepare A2' })).toBeVisible();
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByText('2 kept here, not sent yet')).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText('log saved')).toBeVisible();
    await page.goto(`/jobs/${job}/handover`);
    await expect(page.getByRole('region', { name: 'Log' }).getByRole('listitem')).toHaveCount(2);
});

test('a reading that is none is handed back, and the step stays open', async ({ page }) => {
    await atTheBench(page, 'TB-0521');
    await page.getByLabel('Length as cut').fill('about a foot');
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByRole('alert')).toContainText('"about a foot" is not a length');
    await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
});

test('a clock goes on through a reload', async ({ page }) => {
    await atTheBench(page, 'TB-0522');
    await page.getByRole('button', { name: /Purge for AB1/ }).click();
    await page.getByRole('button', { name: 'Start' }).click();
    const first = await page.getByRole('timer').innerText();
    await page.reload();
    await page.getByRole('button', { name: /Purge for AB1/ }).click();
    await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
    await expect.poll(async () => page.getByRole('timer').innerText()).not.toBe(first);
});

test('targets are large enough for a glove, on a tablet held either way', async ({ page }) => {
    await atTheBench(page, 'TB-0523');
    for (const [width, height] of [
        [1024, 768],
        [768, 1024],
        [390, 844],
    ] as const) {
        await page.setViewportSize({ width, height });
        for (const name of ['Done, next', 'As planned', 'Step before', 'Step after']) {
            const box = await page.getByRole('button', { name }).boundingBox();
            expect(box!.height).toBeGreaterThanOrEqual(56);
        }
        const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        expect(overflow, `at ${width}`).toBeLessThanOrEqual(0);
    }
});

test('who only looks on has nothing to press', async ({ page, browser, baseURL }) => {
    const job = await atTheBench(page, 'TB-0524');
    const other = await browser.newContext({ storageState: SIGNED_OUT, ...(baseURL ? { baseURL } : {}) });
    page = await other.newPage();
    await signIn(page, 'visitor');
    await page.goto(`/jobs/${job}/bench`);
    await expect(page.getByText('Your role looks on; it does not log.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Done, next' })).toBeHidden();
    await expect(page.getByRole('button', { name: /^Begin rev/ })).toBeHidden();
});
