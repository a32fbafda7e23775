import { expect, test } from '@playwright/test';
import { expectAccessible, expectReadable, SIGNED_OUT } from './support';

// Job 2 of the demo has a route; job 3 is a set, job 4 is finished.
const screens = [
    ['the rack', '/'],
    ['the stores', '/stores'],
    ['a small job', '/small'],
    ['survey', '/jobs/2/survey'],
    ['route', '/jobs/2/route'],
    ['merge of a pair of collectors', '/jobs/6/merge'],
    ['merge of a branch', '/jobs/7/merge'],
    ['merge where nothing merges', '/jobs/1/merge'],
    ['merge of a flange', '/jobs/2/merge'],
    ['cut', '/jobs/2/cut'],
    ['fit', '/jobs/2/fit'],
    ['weld', '/jobs/2/weld'],
    ['bench before a release', '/jobs/2/bench'],
    ['bench', '/jobs/4/bench'],
    ['survey of a set', '/jobs/3/survey'],
    ['route of a set', '/jobs/3/route'],
    ['handover', '/jobs/4/handover'],
] as const;

test.describe('signed out', () => {
    test.use({ storageState: SIGNED_OUT });

    test('sign-in is accessible and says what is wrong', async ({ page }) => {
        await page.goto('/sign-in');
        await expectAccessible(page);
        await page.getByLabel('Address').fill('wren@tidewater.invalid');
        await page.getByLabel('Password').fill('not this');
        await page.getByRole('button', { name: 'Sign in' }).click();
        await expect(page.getByText('No person here has this address and password.')).toBeVisible();
    });
});

for (const [name, url] of screens) {
    test(`${name} is accessible in both themes and asks nothing of another host`, async ({
        page,
        baseURL,
    }) => {
        const errors: string[] = [];
        page.on('pageerror', (error) => errors.push(error.message));
        page.on('request', (request) => {
            if (!request.url().startsWith(baseURL!) && !/^(data|blob):/.test(request.url()))
                errors.push(request.url());
        });
        await page.goto(url);
        await expect(page.getByRole('heading').first()).toBeVisible();
        await expect(page.getByText('Loading…')).toBeHidden();
        await expectAccessible(page);
        await page.evaluate(() => (document.documentElement.dataset['theme'] = 'bench'));
        await expectReadable(page);
        expect(errors).toEqual([]);
    });
}

test('what is not there is said plainly', async ({ page }) => {
    await page.goto('/jobs/99999/weld');
    await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
});
