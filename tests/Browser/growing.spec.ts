import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, ownJob, routed, saved, Steps, toStage } from './support';

/** Logs what the bench asks for next until a heading comes; gives the headings it passed. */
async function workUntil(page: Page, heading: RegExp): Promise<string[]> {
    const passed: string[] = [];
    for (let i = 0; i < 30; i++) {
        const now = page.getByRole('main').getByRole('heading', { level: 2 }).first();
        await expect(now).toBeVisible();
        const text = (await now.textContent()) ?? '';
        if (heading.test(text)) return passed;
        passed.push(text);
        await page.getByRole('button', { name: 'Done, next' }).click();
        await expect(now).not.toHaveText(text);
    }
    throw new Error(`Never came to ${heading}: ${passed.join(' / ')}`);
}

test('a dump tube grows from its flange without a coordinate, and is released in two parts', async ({
    page,
}) => {
    test.setTimeout(180_000);
    const steps = new Steps();
    await page.goto('/');
    await steps.press(page.getByRole('button', { name: 'New job' }));
    const dialog = page.getByRole('dialog', { name: 'New job' });
    await dialog.getByLabel('Number').fill('TB-0681');
    await steps.fill(dialog.getByLabel('Title'), 'Dump tube');
    await steps.press(dialog.getByRole('button', { name: 'Grow it from one end' }));
    await expect(page).toHaveURL(/\/route$/);
    const next = page.getByRole('region', { name: 'The next piece' });
    await expect(next.getByText('The first piece')).toBeVisible();
    await expectAccessible(page);
    // A bend with its inside at six, cut at 30°.
    await steps.fill(next.getByLabel('Degrees, up to 90'), '30');
    await steps.press(next.getByRole('button', { name: 'Put it on' }));
    await expect(next.getByRole('status')).toContainText('It points to the right, falling 30°');
    await steps.press(next.getByRole('button', { name: 'A straight piece' }));
    await steps.fill(next.getByLabel('How long'), '8 in');
    await steps.press(next.getByRole('button', { name: 'Put it on' }));
    await expect(page.getByText('● Ends where its pieces end')).toBeVisible();
    await expect(page.getByRole('button', { name: /^A2\s*8 in$/ })).toBeVisible();
    await steps.press(page.getByRole('banner').getByRole('link', { name: /Look it over and release it/ }));
    await steps.press(page.getByRole('button', { name: 'Release rev 1' }));
    await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
    await steps.press(page.getByRole('button', { name: 'Done, next' }));
    await expect(page.getByRole('heading', { name: 'Cut and prepare A2' })).toBeVisible();
    // From nothing to the first cut: presses and filled fields.
    expect(steps.count).toBe(11);
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByRole('heading', { name: 'Cut and prepare A2' })).toBeHidden();

    // The rest is held against it later; what is cut stays as it is.
    await toStage(page, 'route');
    await page
        .getByRole('button', { name: /Begin rev 2/ })
        .first()
        .click();
    await expect(next.getByText('The next piece')).toBeVisible();
    await next.getByRole('button', { name: 'A bend', exact: true }).click();
    await next
        .getByLabel('How it is turned is read')
        .selectOption({ label: 'by how the tube falls behind it' });
    await next.getByLabel('Falls below level, degrees').fill('80');
    await next.getByRole('button', { name: 'Put it on' }).click();
    await expect(next.getByRole('alert')).toContainText('the tube falls between');
    await next.getByLabel('Falls below level, degrees').fill('60');
    await next.getByRole('button', { name: 'Put it on' }).click();
    await expect(next.getByRole('status')).toContainText('falling 60°');
    await saved(page);
    await page
        .getByRole('banner')
        .getByRole('link', { name: /Look it over and release it/ })
        .click();
    await expect(page.getByText(/no longer fit/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Release rev 2' }).click();
    await expect(page.getByRole('heading', { name: 'Cut and prepare A3' })).toBeVisible();
    expect(await workUntil(page, /^(?!Cut and prepare A3)/)).toEqual(['Cut and prepare A3']);
});

test('an outlet is aimed in words, and a bend is read by a straight-edge or made of wedges', async ({
    page,
}) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New job' }).click();
    const dialog = page.getByRole('dialog', { name: 'New job' });
    await dialog.getByLabel('Number').fill('TB-0684');
    await dialog.getByLabel('Title').fill('Side exit');
    await dialog.getByRole('button', { name: 'Grow it from one end' }).click();
    const next = page.getByRole('region', { name: 'The next piece' });
    // 1 in and 3 in, 4 in apart: the tangent is a half, 26.6°.
    await next
        .getByLabel('How far it bends is read')
        .selectOption({ label: 'by a straight-edge along the tube before it' });
    await next.getByLabel('From edge to tube, first reading').fill('1 in');
    await next.getByLabel('Second reading').fill('3 in');
    await next.getByLabel('So far apart along the edge').fill('4 in');
    await next.getByRole('button', { name: 'Put it on' }).click();
    await expect(next.getByRole('status')).toContainText('falling 27°');
    await next.getByRole('button', { name: 'Aim the outlet' }).click();
    await next.getByLabel('It is to point').selectOption({ label: 'rearward' });
    await next.getByLabel('Falling, degrees; 90 is straight down').fill('10');
    await expectAccessible(page);
    await next.getByRole('button', { name: 'Put on what it takes' }).click();
    await expect(next.getByRole('status')).toContainText('It points rearward, falling 10°');
    await next.getByRole('button', { name: 'A bend', exact: true }).click();
    await next.getByLabel('Radius', { exact: true }).selectOption({ label: 'any, made of wedges' });
    await next.getByLabel('Radius of the middle').fill('1 in');
    await next.getByLabel('How far it bends is read').selectOption({ label: 'in degrees' });
    await next.getByLabel('Degrees, up to 180').fill('40');
    await next.getByRole('button', { name: 'Put it on' }).click();
    await expect(next.getByText(/above half the tube/)).toBeVisible();
    await next.getByLabel('Radius of the middle').fill('5 in');
    await next.getByRole('button', { name: 'Put it on' }).click();
    await expect(next.getByText(/above half the tube/)).toHaveCount(0);
    await saved(page);
    const document = await (await page.request.get(`${page.url().replace(/\/route.*/, '')}/job.json`)).json();
    expect(document.runs[0].route.bends.at(-1)).toMatchObject({ pie: 5, angle: 40, clr: 127 });

    // It ends in a muffler: the tube goes in by the depth of a slip, and it is weighed.
    await next.getByRole('button', { name: 'A part at its end' }).click();
    await next.getByLabel('Its weight').fill('heavy');
    await next.getByRole('button', { name: 'Put it on' }).click();
    await expect(next.getByText(/✕/)).toBeVisible();
    await next.getByLabel('Its weight').fill('12 lb');
    await next.getByLabel('Its length').fill('14 in');
    await next.getByRole('button', { name: 'Put it on' }).click();
    await expect(next.getByText('It ends in Muffler.')).toBeVisible();
    await saved(page);
    await expect(
        page.getByRole('banner').getByRole('link', { name: /Look it over and release it/ }),
    ).toBeVisible();
    await next.getByRole('button', { name: 'Take Muffler off' }).click();
    await expect(next.getByText('It ends in Muffler.')).toHaveCount(0);
});

test('a mock-up is read off block by block, becomes the run and is closed again', async ({ page }) => {
    const job = await ownJob(page, 'TB-0682');
    await page.goto(`/jobs/${job}/route`);
    await page.getByRole('button', { name: 'From a mock-up' }).click();
    const dialog = page.getByRole('dialog', { name: 'From a mock-up' });
    await dialog.getByLabel('Blocks').fill('4 straight, 90 elbow');
    await dialog.getByRole('button', { name: 'Take it as run A' }).click();
    await expect(dialog.getByText(/“90 elbow” is no block/)).toBeVisible();
    await expectAccessible(page);
    await dialog.getByLabel('Blocks').fill('4 straight, 60 bend, 6 clicks, 10 straight, 60 bend, 6 straight');
    await dialog.getByRole('button', { name: 'Take it as run A' }).click();
    await expect(dialog).toBeHidden();
    await expect(page.getByText('✕ Far end open')).toBeVisible();
    await page.getByRole('button', { name: 'Close the rest' }).click();
    await expect(page.getByText('● Far end closed')).toBeVisible();
});

test('the gap between two standing tubes is read round, and says what piece goes in', async ({ page }) => {
    const job = await routed(page, 'TB-0683');
    await page.goto(`/jobs/${job}/fit`);
    const closing = page.getByRole('region', { name: 'Closing piece from the gap' });
    await closing.getByRole('button', { name: /Closing piece from the gap/ }).click();
    for (const [label, value] of [
        ['At 12', '4 1/8 in'],
        ['At 3', '4 in'],
        ['At 6', '3 7/8 in'],
        ['At 9', '4 in'],
    ])
        await closing.getByLabel(label ?? '', { exact: true }).fill(value ?? '');
    await closing.getByRole('button', { name: 'What goes in' }).click();
    await expect(closing.getByText('A straight piece, 4 in on its centreline.')).toBeVisible();
    await expect(closing.getByText(/^Far end 4\.\d° off square/)).toBeVisible();
    await expect(closing.getByRole('row', { name: /^12 4 1\/8 in/ })).toBeVisible();
    await expectAccessible(page);
});
