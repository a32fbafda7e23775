import { expect, test } from '@playwright/test';
import { api, ownHeader } from './support';

test('two searches run at once on two workers, and one can be stopped', async ({ page }) => {
    const [first, second] = [await ownHeader(page, 'TB-0532'), await ownHeader(page, 'TB-0533')];
    const ask = async (job: number) => {
        const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
        return (await api(page, 'POST', `/jobs/${job}/searches`, { document })).body as { id: number };
    };
    const look = async (job: number, id: number) =>
        (await (await page.request.get(`/jobs/${job}/searches/${id}`)).json()) as {
            state: string;
            designs: unknown[];
        };
    const [one, two] = [await ask(first), await ask(second)];
    await expect
        .poll(async () => [(await look(first, one.id)).state, (await look(second, two.id)).state])
        .toEqual(['running', 'running']);
    await expect.poll(async () => (await look(first, one.id)).designs.length).toBeGreaterThan(0);
    await api(page, 'POST', `/jobs/${first}/searches/${one.id}/stop`, {});
    await expect.poll(async () => (await look(first, one.id)).state).toBe('stopped');
    await api(page, 'POST', `/jobs/${second}/searches/${two.id}/stop`, {});
    await expect.poll(async () => (await look(second, two.id)).state).toBe('stopped');
});
