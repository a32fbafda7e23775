// Whether what is on the screen fits, and can be pressed.
import { expect, type CDPSession, type Page } from '@playwright/test';

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

/** Words of a drawing that are cut off at its edge: a length of which the end is missing is a wrong cut. */
function cutOff(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        const found: string[] = [];
        for (const text of document.querySelectorAll('svg text')) {
            const drawing = text.closest('svg')!.getBoundingClientRect();
            const box = text.getBoundingClientRect();
            const beyond = Math.max(
                drawing.left - box.left,
                box.right - drawing.right,
                drawing.top - box.top,
                box.bottom - drawing.bottom,
            );
            if (drawing.width > 0 && box.width > 0 && beyond > 1)
                found.push(
                    `${text.textContent} by ${Math.round(beyond)} in ${text.closest('svg')!.getAttribute('aria-label')}`,
                );
        }
        return found;
    });
}

const SIZES = {
    desk: [
        [1280, 800],
        [1024, 768],
    ],
    touch: [
        [1280, 800],
        [768, 1024],
        [390, 844],
    ],
} as const;
/** How small something may be that a mouse or a finger has to find, pixels. */
const LEAST_PX = { desk: 24, touch: 44 };

/** Looks at what is open now in every size at the desk and in the hand, and leaves it as it was. */
export async function looksWhole(page: Page, what: string): Promise<void> {
    for (const [where, sizes] of [
        ['desk', SIZES.desk],
        ['touch', SIZES.touch],
    ] as const)
        for (const [width, height] of sizes) {
            await sized(page, width, height, where === 'touch');
            const name = `${what} at ${width}, ${where}`;
            expect.soft(await tooWide(page), name).toEqual([]);
            expect.soft(await cutOff(page), name).toEqual([]);
            expect.soft(await tooSmall(page, LEAST_PX[where]), name).toEqual([]);
        }
    await sized(page, ...SIZES.desk[0], false);
}

const sessions = new WeakMap<Page, CDPSession>();

/** A page in another size, and on a screen that is touched where it says so, without loading it anew. */
async function sized(page: Page, width: number, height: number, isTouched: boolean): Promise<void> {
    const session = sessions.get(page) ?? (await page.context().newCDPSession(page));
    sessions.set(page, session);
    await session.send('Emulation.setTouchEmulationEnabled', { enabled: isTouched });
    await session.send('Emulation.setDeviceMetricsOverride', {
        width,
        height,
        mobile: isTouched,
        deviceScaleFactor: 1,
    });
    const isSet = await page.evaluate(
        () =>
            new Promise<[number, boolean]>((done) =>
                requestAnimationFrame(() =>
                    requestAnimationFrame(() => done([innerWidth, matchMedia('(pointer: coarse)').matches])),
                ),
            ),
    );
    expect(isSet).toEqual([width, isTouched]);
}
