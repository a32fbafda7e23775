import { inflateSync } from 'node:zlib';
import { expect, test, type Locator } from '@playwright/test';
import { expectAccessible, saved, Steps, toStage } from './support';

/** The colours that the pages of a PDF are printed in: compiled wrong, its text once came out transparent. */
function inks(pdf: Buffer): string[] {
    const bytes = pdf.toString('latin1');
    const pages = [...bytes.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)].flatMap(([, packed = '']) => {
        try {
            return [inflateSync(Buffer.from(packed, 'latin1')).toString('latin1')];
        } catch {
            return [];
        }
    });
    return pages
        .filter((page) => page.includes('BT'))
        .flatMap((page) => page.match(/[\d.]+ [\d. ]*(rg|k)\b/g) ?? []);
}

test('from an empty page to the first cut in twelve steps, then to the third revision, a quote and the record', async ({
    page,
}) => {
    test.setTimeout(180_000);
    const steps = new Steps();
    const enter = async (field: Locator, text: string) => {
        await steps.fill(field, text);
        await field.press('Enter');
    };
    await page.goto('/');
    await steps.press(page.getByRole('button', { name: 'New job' }));
    const dialog = page.getByRole('dialog', { name: 'New job' });
    await dialog.getByLabel('Number').fill('TB-0663');
    await enter(dialog.getByLabel('Title'), 'Downpipe');
    // What is wanted is a downpipe, as it is taken to be.
    await expect(page).toHaveURL(/\/intake$/);
    await steps.press(
        page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /survey/i }),
    );
    await expect(page).toHaveURL(/\/survey$/);
    const start = page.getByRole('group', { name: 'Start of run A' });
    const end = page.getByRole('group', { name: 'End of run A' });
    await steps.choose(start.getByLabel('The gas flows'), 'right');
    // All three in one field, as they were read.
    await enter(end.getByLabel('rearward', { exact: true }), '22 1/4; 15.5; -8 in');
    await saved(page);
    await expect(end.getByLabel('up', { exact: true })).toHaveValue('-8 in');
    await steps.choose(end.getByLabel('The gas flows'), 'rearward');
    await steps.press(page.getByRole('banner').getByRole('link', { name: /Find a way/i }));
    await steps.press(page.getByRole('button', { name: 'Take way 1', exact: true }));
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await steps.press(page.getByRole('banner').getByRole('link', { name: /Look it over and release it/ }));
    await steps.press(page.getByRole('button', { name: 'Release rev 1' }));
    await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
    await steps.press(page.getByRole('button', { name: 'Done, next' }));
    await expect(page.getByRole('heading', { name: 'Cut and prepare A2' })).toBeVisible();
    expect(steps.count).toBeLessThanOrEqual(12);
    await expect(page.getByText('log saved')).toBeVisible();

    // A released stage says why it is fixed, and the next revision begins on it.
    await toStage(page, 'Survey');
    await expect(page.getByText('Rev 1 is released and fixed')).toBeVisible();
    await page.getByRole('button', { name: 'Begin rev 2 here' }).click();
    await expect(page).toHaveURL(/\/survey$/);

    // A muffler is found beside the tube, with a name; its weight stays as it was written.
    await end.getByLabel('Kind').selectOption('Slip, welded');
    await saved(page);
    const parts = page.getByRole('region', { name: 'Parts and hangers' });
    await parts.getByRole('button', { name: 'Add a part' }).click();
    const muffler = parts.getByRole('group', { name: 'Muffler' });
    await expect(muffler.getByLabel('Name')).toHaveValue('Muffler');
    await muffler.getByLabel('Mass').fill('-3 lb');
    await muffler.getByLabel('Mass').press('Enter');
    const refused = page.getByRole('alert', { name: 'Not saved' });
    await expect(refused).toContainText('part “Muffler”, weight');
    await expect(muffler.getByText('must be 0 or more')).toBeVisible();
    await muffler.getByLabel('Mass').fill('12 lb');
    await muffler.getByLabel('Mass').press('Enter');
    await saved(page);
    await expect(muffler.getByLabel('Mass')).toHaveValue('12 lb');
    await parts.getByRole('button', { name: 'Add a hanger' }).click();
    await saved(page);

    // What nobody has said the price of is asked for in the quote.
    await page.keyboard.press('Escape');
    await toStage(page, 'Handover');
    const quote = page.getByRole('region', { name: 'Quote and cost' });
    await expect(quote.getByText(/Without a price.*Muffler/)).toBeVisible();
    await quote.getByLabel('Muffler').fill('dear');
    await quote.getByLabel('Muffler').press('Enter');
    await expect(refused).toBeVisible();
    await quote.getByLabel('Muffler').fill('148.50');
    await quote.getByLabel('Muffler').press('Enter');
    await saved(page);
    await expect(quote.getByText(/Without a price.*Muffler/)).toBeHidden();
    await expect(quote.getByRole('row', { name: /Muffler/ })).toContainText('148.50');
    await expectAccessible(page);

    await page.getByRole('button', { name: 'Look over rev 2' }).click();
    await expect(page.getByRole('region', { name: 'What changes' })).toContainText(
        'Mufflers and other parts in line',
    );
    await page.getByRole('button', { name: 'Release rev 2' }).click();
    await expect(page.getByRole('button', { name: 'Done, next' })).toBeVisible();
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByText('log saved')).toBeVisible();

    // The third, by keys alone: to the weld table, begin, release.
    await page.keyboard.press('6');
    await expect(page).toHaveURL(/\/weld$/);
    await page.getByRole('button', { name: 'Begin rev 3 here' }).press('Enter');
    await expect(page.getByText(/draft/).first()).toBeVisible();
    await page.getByRole('button', { name: 'Look over rev 3' }).press('Enter');
    const release = page.getByRole('button', { name: 'Release rev 3' });
    await expect(release).toBeEnabled();
    await release.press('Enter');
    await expect(page).toHaveURL(/\/bench$/);
    await page.keyboard.press('8');
    const log = page.getByRole('region', { name: 'Log', exact: true });
    await expect(log.getByRole('listitem').filter({ hasText: 'Wren Halloway' })).toHaveCount(2);
    const job = /jobs\/(\d+)/.exec(page.url())?.[1] ?? '';
    const record = await page.request.get(`/jobs/${job}/record.pdf`);
    expect(record.headers()['content-type']).toBe('application/pdf');
    for (const paper of [record, await page.request.get(`/jobs/${job}/cut-list.pdf`)])
        expect(inks(await paper.body())).toContain('0.075 0.094 0.110 rg');
});
