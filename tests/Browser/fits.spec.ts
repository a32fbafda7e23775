import { expect, test, type Page } from '@playwright/test';
import { looksWhole, type Size } from './fits';

// Job 1 of the demo has a sensor and no route, 2 has a route, 3 is a set still to be routed, 4 is finished, 5 is a set with every route,
// 6 is a pair of collectors without runs, 7 a branch on the side of a run.
const SCREENS = [
    '/',
    '/stores',
    '/shop',
    '/small',
    '/jobs/1/survey',
    '/jobs/3/survey',
    '/jobs/5/survey',
    '/jobs/2/route',
    '/jobs/5/route',
    '/jobs/2/merge',
    '/jobs/6/merge',
    '/jobs/7/merge',
    '/jobs/2/cut',
    '/jobs/6/cut',
    '/jobs/6/weld',
    '/jobs/5/cut',
    '/jobs/2/fit',
    '/jobs/5/fit',
    '/jobs/2/weld',
    '/jobs/5/weld',
    '/jobs/4/bench',
    '/jobs/4/handover',
    '/jobs/5/handover',
];
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
const DESK: Size[] = [
    { width: 1280, height: 800 },
    { width: 1024, height: 768 },
];
const TOUCH: Size[] = [
    { width: 1280, height: 800 },
    { width: 768, height: 1024 },
    { width: 390, height: 844 },
];

async function open(page: Page, url: string): Promise<void> {
    await page.goto(url);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.getByText('Loading…')).toBeHidden();
}

/** Opens every screen and every dialog once and looks at it in every size. */
async function lookAtAll(page: Page, sizes: Size[], least: number): Promise<void> {
    for (const url of SCREENS) {
        await open(page, url);
        await looksWhole(page, sizes, least, url);
    }
    for (const [url, buttons] of Object.entries(DIALOGS)) {
        await open(page, url);
        for (const button of buttons) {
            await page.getByRole('button', { name: button }).first().click();
            await expect(page.getByRole('dialog')).toBeVisible();
            await looksWhole(page, sizes, least, `${button} on ${url}`);
            await page.keyboard.press('Escape');
            await expect(page.getByRole('dialog')).toBeHidden();
        }
    }
}

test('nothing scrolls sideways at the desk, and a mouse finds everything', async ({ page }) => {
    test.setTimeout(180_000);
    await lookAtAll(page, DESK, 24);
});

test.describe('on a tablet or a phone', () => {
    test.use({ hasTouch: true, isMobile: true });
    test('nothing scrolls sideways, and a finger finds everything', async ({ page }) => {
        test.setTimeout(180_000);
        await lookAtAll(page, TOUCH, 44);
    });
});
