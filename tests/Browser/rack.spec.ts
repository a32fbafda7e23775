import { expect, test } from '@playwright/test';

test('by keys: a job is found and opened, another stage, and back to the rack', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByLabel('Find a job')).toBeVisible();
    await page.keyboard.press('/');
    await page.keyboard.type('TB-0412');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/jobs\/\d+\/\w+$/);
    await expect(page.getByText('TB-0412')).toBeVisible();
    await page.keyboard.press('3');
    await expect(page).toHaveURL(/\/merge$/);
    await page.keyboard.press('?');
    const keys = page.getByRole('dialog', { name: 'Keys' });
    await expect(keys).toContainText('Survey, Route, Merge, Cut, Fit, Weld, Bench, Handover');
    await page.keyboard.press('Escape');
    await expect(keys).toBeHidden();
    await page.keyboard.press('r');
    await expect(page.getByLabel('Find a job')).toBeVisible();
    await page.keyboard.press('/');
    await page.keyboard.type('nothing of that name');
    await expect(page.getByText('No job has “nothing of that name”')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByLabel('Find a job')).toHaveValue('');
    await expect(page.getByText('TB-0412').first()).toBeVisible();
});

test('a job file is opened under the number that is typed; a taken one offers the next', async ({ page }) => {
    const file = await (await page.request.get('/jobs/1/job.json')).body();
    await page.goto('/');
    await page.getByRole('button', { name: 'New job' }).click();
    const dialog = page.getByRole('dialog', { name: 'New job' });
    await dialog
        .getByLabel('Or a job file')
        .setInputFiles({ name: 'van.job.json', mimeType: 'application/json', buffer: file });
    await dialog.getByLabel('Number').fill('TB-0412');
    await dialog.getByRole('button', { name: 'Open the file' }).click();
    await expect(dialog.getByText('There is a job TB-0412 already. The next one is put in.')).toBeVisible();
    await dialog.getByLabel('Number').fill('TB-0660');
    await dialog.getByRole('button', { name: 'Open the file' }).click();
    await expect(page).toHaveURL(/\/survey$/);
    await expect(page.getByText('TB-0660')).toBeVisible();
});

test('what is typed for a new job stays while the rack is brought up to date behind it', async ({ page }) => {
    // As where another job was begun just now: the rack asks again by itself.
    await page.route('**/', async (route) => {
        const reply = await route.fetch();
        const body = (await reply.text()).replace(/isBehind(&quot;|"):false/, 'isBehind$1:true');
        await route.fulfill({ response: reply, body });
    });
    await page.goto('/');
    await page.getByRole('button', { name: 'New job' }).click();
    const dialog = page.getByRole('dialog', { name: 'New job' });
    await dialog.getByLabel('Title').fill('Half typed');
    await page.waitForResponse((reply) => reply.request().headers()['x-inertia-partial-data'] !== undefined);
    await page.waitForResponse((reply) => reply.request().headers()['x-inertia-partial-data'] !== undefined);
    await expect(dialog.getByLabel('Title')).toHaveValue('Half typed');
});
