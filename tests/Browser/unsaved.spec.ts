import { expect, test, type Page } from '@playwright/test';
import { api, routed, saved } from './support';

test('a refused edit is called what it is, survives a reload and is led to from every stage', async ({
    page,
}) => {
    const job = await routed(page, 'TB-0561');
    const last = page.getByLabel('Straight after the last bend', { exact: true });
    await last.fill('about a foot');
    await last.press('Enter');
    const bar = page.getByRole('alert', { name: 'Not saved' });
    await expect(bar).toContainText('run A, last straight');
    await expect(page.getByText('✕ not saved: 1 field')).toBeVisible();

    await page.reload();
    await expect(page.getByText('✕ not saved: 1 field')).toBeVisible();
    await page.keyboard.press('6');
    await bar.getByRole('button', { name: 'run A, last straight' }).click();
    await expect(last).toBeFocused();
    await expect(last).toHaveValue('about a foot');

    await last.fill('6 in');
    await last.press('Enter');
    await saved(page);
    await expect(bar).toBeHidden();
    await page.reload();
    await expect(page.getByText('draft, saved')).toBeVisible();
    expect((await (await page.request.get(`/jobs/${job}/job.json`)).json()).runs[0].route.endStraight).toBe(
        '6 in',
    );
});

test('an edit made without a server is kept and sent when it is there again', async ({ page, context }) => {
    const job = await routed(page, 'TB-0562');
    await context.setOffline(true);
    const turn = page.getByLabel('Turn, bend 1', { exact: true });
    await turn.fill('33');
    await turn.press('Enter');
    await expect(page.getByText('✕ not saved', { exact: true })).toBeVisible();
    await context.setOffline(false);
    await saved(page);
    await page.goto(`/jobs/${job}/route`);
    await expect(turn).toHaveValue(/^33/);
});

test('an edit kept from before a change by somebody else waits to be decided', async ({ page }) => {
    const job = await routed(page, 'TB-0563');
    const last = page.getByLabel('Straight after the last bend', { exact: true });
    await last.fill('much');
    await last.press('Enter');
    await expect(page.getByText('✕ not saved: 1 field')).toBeVisible();
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    document.job.note = 'Changed at another desk.';
    const version = await versionOf(page, job);
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version, document })).status).toBe(200);
    await page.reload();
    const kept = page.getByRole('region', { name: 'An edit from before' });
    await expect(kept).toBeVisible();
    await expect(page.getByText('draft, saved')).toBeVisible();
    await kept.getByRole('button', { name: 'Throw it away' }).click();
    await page.reload();
    await expect(kept).toBeHidden();
});

async function versionOf(page: Page, job: number): Promise<number> {
    const html = await (await page.request.get(`/jobs/${job}/route`)).text();
    return Number(/&quot;version&quot;:(\d+)|"version":(\d+)/.exec(html)?.slice(1).find(Boolean));
}
