// Whether what is on the screen fits, and can be pressed.
import { expect, type Page } from '@playwright/test';

export type Size = { width: number; height: number };

/** What is wider than the screen, or can only be read by scrolling sideways. */
function tooWide(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        const found = document.documentElement.scrollWidth > innerWidth ? ['the page itself'] : [];
        for (const element of document.querySelectorAll<HTMLElement>('body *')) {
            const overflow = getComputedStyle(element).overflowX;
            // What a person pastes into a field is theirs to scroll.
            if (element.tagName === 'TEXTAREA') continue;
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

/** Looks at what is open now in several sizes. */
export async function looksWhole(page: Page, sizes: Size[], least: number, what: string): Promise<void> {
    for (const size of sizes) {
        await page.setViewportSize(size);
        await page.evaluate(
            () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
        );
        expect.soft(await tooWide(page), `${what} at ${size.width}`).toEqual([]);
        expect.soft(await tooSmall(page, least), `${what} at ${size.width}`).toEqual([]);
    }
}
