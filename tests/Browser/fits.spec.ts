import { expect, test, type Page } from '@playwright/test';

// Job 1 of the demo has a sensor and no route, 2 has a route, 3 is a set still to be routed, 4 is finished, 5 is a set with every route.
const SCREENS = [
    '/',
    '/jobs/1/survey',
    '/jobs/3/survey',
    '/jobs/5/survey',
    '/jobs/2/route',
    '/jobs/5/route',
    '/jobs/2/cut',
    '/jobs/5/cut',
    '/jobs/2/fit',
    '/jobs/5/fit',
    '/jobs/2/weld',
    '/jobs/5/weld',
    '/jobs/4/bench',
    '/jobs/4/handover',
    '/jobs/5/handover',
];
const DESK = [
    { width: 1280, height: 800 },
    { width: 1024, height: 768 },
];
const TOUCH = [
    { width: 1280, height: 800 },
    { width: 768, height: 1024 },
    { width: 390, height: 844 },
];

async function open(page: Page, url: string): Promise<void> {
    await page.goto(url);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.getByText('Loading…')).toBeHidden();
}

/** What is wider than the screen, or can only be read by scrolling sideways. */
function tooWide(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        const found = document.documentElement.scrollWidth > innerWidth ? ['the page itself'] : [];
        for (const element of document.querySelectorAll<HTMLElement>('body *')) {
            const overflow = getComputedStyle(element).overflowX;
            if (
                (overflow === 'auto' || overflow === 'scroll') &&
                element.scrollWidth > element.clientWidth + 1
            )
                found.push(`${element.tagName} ${element.getAttribute('aria-label') ?? element.className}`);
        }
        return found;
    });
}

/** What is to be pressed but drawn smaller than so many pixels either way; links within a sentence do not count. */
function tooSmall(page: Page, least: number): Promise<string[]> {
    return page.evaluate((least) => {
        const found: string[] = [];
        for (const element of document.querySelectorAll<HTMLElement>(
            'button, a[href], input, select, summary, [role=button], [role=tab], [role=radio]',
        )) {
            const box = element.getBoundingClientRect();
            const isHidden =
                box.width <= 1 || box.height <= 1 || getComputedStyle(element).visibility === 'hidden';
            if (isHidden || (element.tagName === 'A' && element.closest('p'))) continue;
            // What is drawn to scale is as wide as it is long at the bench.
            const width = element.closest('[data-to-scale]') ? Infinity : box.width;
            if (Math.min(width, box.height) < least - 0.5)
                found.push(
                    `${element.textContent?.trim() || element.getAttribute('aria-label')} ${Math.round(box.width)}×${Math.round(box.height)}`,
                );
        }
        return found;
    }, least);
}

/** Opens every screen once and looks at it in every size. */
async function lookAtAll(page: Page, sizes: typeof DESK, least: number): Promise<void> {
    for (const url of SCREENS) {
        await open(page, url);
        for (const size of sizes) {
            await page.setViewportSize(size);
            await page.evaluate(
                () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
            );
            expect.soft(await tooWide(page), `${url} at ${size.width}`).toEqual([]);
            expect.soft(await tooSmall(page, least), `${url} at ${size.width}`).toEqual([]);
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
