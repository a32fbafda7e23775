import { expect, test } from '@playwright/test';
import { looksWhole } from './fits';
import { expectAccessible, expectReadable, SIGNED_OUT } from './support';

// Job 1 of the demo has a sensor and no route, 2 has a route, 3 is a set still to be routed, 4 is finished, 5 is a set with every route,
// 6 is a pair of collectors without runs, 7 a branch on the side of a run.
const SCREENS = [
    '/',
    '/stores',
    '/shop',
    '/small',
    '/jobs/1/survey',
    '/jobs/1/merge',
    '/jobs/2/survey',
    '/jobs/2/route',
    '/jobs/2/merge',
    '/jobs/2/cut',
    '/jobs/2/fit',
    '/jobs/2/weld',
    '/jobs/2/bench',
    '/jobs/3/survey',
    '/jobs/3/route',
    '/jobs/1/release',
    '/jobs/4/bench',
    '/jobs/4/handover',
    '/jobs/5/survey',
    '/jobs/5/route',
    '/jobs/5/cut',
    '/jobs/5/fit',
    '/jobs/5/weld',
    '/jobs/5/handover',
    '/jobs/6/merge',
    '/jobs/6/cut',
    '/jobs/6/weld',
    '/jobs/7/merge',
];
/** Made of the same parts as others here, only more of them: they may fit badly, but read alike. */
const MORE_OF_THE_SAME = /^\/jobs\/(1\/survey|5|6\/cut|6\/weld)/;
/** What opens a dialog, by screen. */
const DIALOGS: Record<string, string[]> = {
    '/': ['New job'],
    '/stores': ['Add an item', 'Count from a table', 'V-band ring for 3 in × .065'],
    '/jobs/3/survey': [
        'Paste ports',
        'Ports in a row',
        'Mirror to the other bank',
        'Runs meet in a collector',
        'Add something to keep clear of',
    ],
    '/jobs/3/route': ['Bring in routes', 'Keys'],
    '/jobs/7/merge': ['Add a branch'],
};

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

for (const url of SCREENS)
    test(`${url} can be read by everybody, fits every size, and asks nothing of another host`, async ({
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
        if (!MORE_OF_THE_SAME.test(url)) {
            await expectAccessible(page);
            await page.evaluate(() => (document.documentElement.dataset['theme'] = 'bench'));
            await expectReadable(page);
        }
        await looksWhole(page, url);
        for (const button of DIALOGS[url] ?? []) {
            await page.getByRole('button', { name: button }).first().click();
            await expect(page.getByRole('dialog')).toBeVisible();
            await looksWhole(page, `${button} on ${url}`);
            await page.keyboard.press('Escape');
            await expect(page.getByRole('dialog')).toBeHidden();
        }
        expect(errors).toEqual([]);
    });

test('what is not there is said plainly', async ({ page }) => {
    await page.goto('/jobs/99999/weld');
    await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
});
