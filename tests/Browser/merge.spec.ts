import { expect, test } from '@playwright/test';
import { api, expectAccessible, ownHeader, saved, toStage } from './support';

test('a 4-into-1 is designed, moved, routed to, and its templates are printed', async ({ page }) => {
    test.setTimeout(180_000);
    const job = await ownHeader(page, 'TB-0590');
    await page.goto(`/jobs/${job}/merge`);
    await page.getByRole('button', { name: 'Make Collector' }).click();
    await saved(page);
    const panel = page.getByRole('region', { name: 'Collector K' });
    await expect(panel.getByText('Straight tube, cut to a template')).toBeVisible();
    await expect(panel.getByRole('button', { name: /^Lean of its tubes: 8°/ })).toBeVisible();

    // Every size opens its working, and can be overruled; the rest follows.
    const length = panel.getByText('Inlets to outlet').locator('xpath=..');
    const before = await length.innerText();
    await panel.getByRole('button', { name: /^Lean of its tubes/ }).click();
    await expect(page.getByText(/the merge is not too long to clean inside/)).toBeVisible();
    await page.getByLabel('Your value').fill('9.5 deg');
    await page.getByRole('button', { name: 'Overrule' }).click();
    await saved(page);
    await expect(length).not.toHaveText(before);
    await expect(panel.getByText('yours')).toBeVisible();

    // Pairs first; one seam for each two neighbours.
    const seams = page.getByRole('region', { name: 'Seams in order' }).getByRole('listitem');
    await expect(seams).toHaveCount(5);
    await expect(seams.first()).toContainText('K1–K2');
    await expect(seams.nth(1)).toContainText('K3–K4');
    await page.getByRole('button', { name: 'Cut it open' }).click();
    await expect(page.getByRole('button', { name: 'Close it' })).toBeVisible();
    await expectAccessible(page);

    // Moved, it takes the ends of its runs along.
    const ends = async () => {
        const document = (await (await page.request.get(`/jobs/${job}/job.json`)).json()) as {
            runs: { end: { at: number[]; name: string } }[];
        };
        return document.runs.map((run) => run.end);
    };
    const were = await ends();
    expect(were.map((end) => end.name)).toEqual(['K1', 'K2', 'K3', 'K4']);
    const rearward = page.getByLabel('Mouths, rearward');
    const from = Number.parseFloat(await rearward.inputValue());
    await rearward.fill(`${from + 15} mm`);
    await rearward.press('Enter');
    await saved(page);
    (await ends()).forEach((end, i) => expect(end.at[0]! - were[i]!.at[0]!).toBeCloseTo(15, 2));

    await toStage(page, 'route');
    await page.getByRole('button', { name: 'Find a design' }).click();
    await expect(page.getByRole('region', { name: 'Designs found' })).toBeVisible({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Take design 1' }).click();
    await saved(page);
    await expect(page.getByText('✕ Far end open')).toBeHidden();

    // Its tubes are cut with the rest, its seams come before every run.
    await toStage(page, 'cut');
    await expect(page.getByRole('button', { name: 'K1', exact: true }).first()).toBeVisible();
    await toStage(page, 'weld');
    const welds = page.getByRole('region', { name: 'Welds in order' }).getByRole('row');
    await expect(welds.nth(1)).toContainText(/collector, before any run goes on/i);
    await expect(welds.nth(2)).toContainText('KJ1');

    await toStage(page, 'merge');
    const templates = page.getByRole('region', { name: 'Templates' });
    for (const [name, begins] of [
        ['PDF, A4', '%PDF'],
        ['PDF, Letter', '%PDF'],
        ['SVG', '<'],
        ['DXF', '0'],
    ] as const) {
        const href = await templates.getByRole('link', { name, exact: true }).first().getAttribute('href');
        const file = await page.request.get(href!);
        expect(file.headers()['content-disposition']).toContain('TB-0590-K1.');
        expect((await file.text()).trimStart().startsWith(begins)).toBe(true);
    }
});

test('a wastegate return is set on a downpipe, and what cannot stand there is said at its field', async ({
    page,
}) => {
    const document = await (await page.request.get('/jobs/7/job.json')).json();
    document.job.number = 'TB-0591';
    document.runs = document.runs.slice(0, 1);
    const created = await api(page, 'POST', '/jobs', { document });
    const job = (created.body as { id: number }).id;
    await page.goto(`/jobs/${job}/merge`);
    await expect(page.getByRole('button', { name: 'Turbine outlet' })).toBeVisible();
    await page.getByRole('button', { name: 'Add a branch' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Along the run').fill('430 mm');
    await dialog.getByLabel('Angle between the flows').fill('40');
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await saved(page);
    const panel = page.getByRole('region', { name: 'Branch K' });
    await expect(panel.getByText('40°')).toBeVisible();
    await expect(page.getByRole('link', { name: 'DXF' })).toHaveCount(2);
    await expectAccessible(page);

    await page.getByLabel('Offset to the side').fill('3 in');
    await page.getByLabel('Offset to the side').press('Enter');
    await saved(page);
    await expect(panel.getByText(/misses run A/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(panel.getByText(/misses run A/)).toBeHidden();
    await page.getByLabel('Angle between flows').fill('190');
    await page.getByLabel('Angle between flows').press('Enter');
    await expect(page.getByText(/must be more than 0 and less than 180|must lie/).first()).toBeVisible();
});

test('a pair of collectors is a whole order of its own, to the last step of the bench', async ({ page }) => {
    const document = await (await page.request.get('/jobs/6/job.json')).json();
    document.job.number = 'TB-0592';
    const created = await api(page, 'POST', '/jobs', { document });
    const job = (created.body as { id: number }).id;
    await page.goto(`/jobs/${job}/fit`);
    await expect(page.getByRole('button', { name: 'Tack L2 to L1' })).toBeVisible();
    await page.getByRole('button', { name: 'Look over rev 1' }).click();
    await page.getByRole('button', { name: 'Release rev 1' }).click();
    await expect(page.getByText('Cut and prepare L1').first()).toBeVisible();
    await page.getByRole('button', { name: /Prepare R/ }).click();
    await expect(
        page.getByRole('button', { name: /Expand and true the inlets of Right collector/ }),
    ).toBeVisible();
});

test('a flange is laid round its studs, cut by its drawing, and replaced by one that was measured', async ({
    page,
}) => {
    const job = await ownHeader(page, 'TB-0593');
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    document.runs[0].start.bolts = { count: 2, circle: '84 mm', turn: 90, flats: '13 mm' };
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document })).status).toBe(200);
    await page.goto(`/jobs/${job}/merge`);
    await page.getByRole('button', { name: 'Port 1' }).click();
    const panel = page.getByRole('region', { name: 'Flange A.start' });
    await expect(panel.getByText('2 × 9 mm')).toBeVisible();
    await expectAccessible(page);
    const href = await panel.getByRole('link', { name: 'DXF to cut it by' }).getAttribute('href');
    const dxf = await (await page.request.get(href!)).text();

    // Cut for one port, measured on another.
    await page.getByRole('button', { name: 'Port 2' }).click();
    await page
        .locator('input[type=file]')
        .setInputFiles({ name: 'port.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from(dxf) });
    await saved(page);
    const other = page.getByRole('region', { name: 'Flange B.start' });
    await expect(other.getByText('As it was drawn.')).toBeVisible();
    await expect(other.getByText('2 × 9 mm')).toBeVisible();
    await page.locator('input[type=file]').setInputFiles({
        name: 'broken.dxf',
        mimeType: 'image/vnd.dxf',
        buffer: Buffer.from('0\nSECTION\n'),
    });
    await expect(page.getByText(/✕ The drawing/)).toBeVisible();
    await page.getByRole('button', { name: 'Lay it out from its sizes' }).click();
    await saved(page);
    await expect(other.getByText('Laid round its port')).toBeVisible();
});

test('a bend that nobody stocks is made of wedges', async ({ page }) => {
    const document = await (await page.request.get('/jobs/2/job.json')).json();
    document.job.number = 'TB-0594';
    const job = ((await api(page, 'POST', '/jobs', { document })).body as { id: number }).id;
    await page.goto(`/jobs/${job}/route`);
    await page.getByLabel('Radius, bend 1').fill('4.2 in');
    await page.getByLabel('Radius, bend 1').press('Enter');
    await saved(page);
    await expect(page.getByText('✕ No bend on the list does this.')).toBeVisible();
    await page.getByRole('button', { name: 'Make it of wedges' }).click();
    await saved(page);
    const wedges = page.getByRole('group', { name: 'Bend 1 of wedges' });
    await expect(wedges.getByText('2 wedges, long and short side')).toBeVisible();
    await expect(wedges.getByText(/Buy the wedges/)).toBeVisible();
    await expect(page.getByText('✕ No bend on the list does this.')).toBeHidden();
    await page.getByRole('button', { name: 'Close the rest' }).click();
    await saved(page);
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await expect(wedges).toBeVisible();
    await toStage(page, 'cut');
    await page
        .getByRole('row', { name: /of wedges/ })
        .getByRole('button')
        .first()
        .click();
    await expect(page.getByText(/Each\s+wedge/)).toBeVisible();
    const href = await page
        .getByRole('region', { name: 'Templates' })
        .getByRole('link', { name: 'SVG' })
        .getAttribute('href');
    expect((await page.request.get(href!)).status()).toBe(200);
});
