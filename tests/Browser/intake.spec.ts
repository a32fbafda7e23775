import { expect, test } from '@playwright/test';
import { expectAccessible, saved } from './support';

test('a job begins with what is wanted, and is laid out from it', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New job' }).click();
    const dialog = page.getByRole('dialog', { name: 'New job' });
    await dialog.getByLabel('Number').fill('TB-0691');
    await dialog.getByLabel('Title').fill('Twin-scroll four');
    await dialog.getByRole('button', { name: 'Say what is wanted' }).click();
    await expect(page).toHaveURL(/\/intake$/);
    const wanted = page.getByRole('region', { name: 'What is wanted' });
    const begin = page.getByRole('region', { name: 'Begin with' });
    await wanted.getByLabel('It is a').selectOption('turbo-manifold');
    await expect(wanted.getByRole('group', { name: 'Turbine' })).toBeVisible();
    await expect(wanted.getByLabel('Fires')).toHaveCount(0);
    await wanted.getByRole('button', { name: 'Twin scroll' }).click();
    await expect(begin.getByRole('button', { name: /^Scrolls: 1 \+ 4 and 2 \+ 3/ })).toBeVisible();
    await wanted.getByRole('button', { name: 'Full load for minutes on end' }).click();
    await expect(begin.getByRole('button', { name: /^Metal: 321/ })).toBeVisible();
    await wanted.getByRole('button', { name: 'Cast manifold or elbow' }).click();
    await expect(begin.getByText('find out what it is before anything is promised')).toBeVisible();
    await expectAccessible(page);

    // A first quote stands, and moves with the room there is.
    const quote = page.getByRole('region', { name: 'First quote' });
    await expect(quote.getByText('At the bench')).toBeVisible({ timeout: 30_000 });
    const before = await quote.textContent();
    await wanted.getByRole('button', { name: 'Little: it has to wind through' }).click();
    await expect(begin.getByRole('button', { name: /^Bends in a run, about: 3/ })).toBeVisible();
    await expect(quote).not.toHaveText(before ?? '', { timeout: 30_000 });

    // A proposal is overruled like any other.
    await begin.getByRole('button', { name: /^Tube: / }).click();
    const working = page.getByRole('dialog', { name: /Working of Tube/ });
    await working.getByLabel('Your choice').selectOption('NPS 1 1/2 schedule 10S');
    await working.getByRole('button', { name: 'Overrule' }).click();
    await expect(
        begin.getByRole('button', { name: /^Tube: NPS 1 1\/2 schedule 10S, overruled/ }),
    ).toBeVisible();

    await begin.getByRole('button', { name: 'Lay out 4 runs of NPS 1 1/2 schedule 10S, 321' }).click();
    await expect(page).toHaveURL(/\/survey$/);
    await saved(page);
    await expect(page.getByRole('banner').getByText('NPS 1 1/2 schedule 10S')).toBeVisible();
    await expect(page.getByText('Nothing was measured yet of')).toBeVisible();
    // Schedule 10 is butted to what it meets.
    const document = await (
        await page.request.get(`${page.url().replace(/\/survey.*/, '')}/job.json`)
    ).json();
    expect(document.set.collectors.map((one: { entry: string }) => one.entry)).toEqual(['butt', 'butt']);
    await page.keyboard.press('0');
    await expect(page.getByText('The runs are laid out so')).toBeVisible();
});

test('an answer that cannot be is refused at its field, and taken back by a second press', async ({
    page,
}) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New job' }).click();
    const dialog = page.getByRole('dialog', { name: 'New job' });
    await dialog.getByLabel('Number').fill('TB-0692');
    await dialog.getByLabel('Title').fill('Header');
    await dialog.getByRole('button', { name: 'Say what is wanted' }).click();
    const wanted = page.getByRole('region', { name: 'What is wanted' });
    await wanted.getByLabel('It is a').selectOption('header');
    await wanted.getByLabel('Cylinders on this side').fill('40');
    await wanted.getByLabel('Cylinders on this side').press('Tab');
    await expect(wanted.getByText('must be a whole number from 1 to 12')).toBeVisible();
    await wanted.getByLabel('Cylinders on this side').fill('2');
    await wanted.getByLabel('Cylinders on this side').press('Tab');
    await expect(page.getByRole('button', { name: /^Lay out 2 runs/ })).toBeVisible();
    const road = wanted.getByRole('button', { name: 'On the road' });
    await road.click();
    await expect(page.getByText('On the road the law comes first')).toBeVisible();
    await road.click();
    await expect(page.getByText('On the road the law comes first')).toHaveCount(0);
});
