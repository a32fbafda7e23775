import { expect, type Locator, type Page } from '@playwright/test';

/** What the page throws, and what the server fails at, from now on. */
export function faultsOf(page: Page): string[] {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('response', (response) => {
        if (response.status() >= 500) faults.push(`${response.status()} ${response.url()}`);
    });
    return faults;
}

const SOON = { timeout: 1_500 };
/** Of one screen; every tap may have the whole job planned anew. */
const MOST = 24;

/** What begins something that other tests wait for, leaves the page, or cannot be taken back. */
const NOT_TAPPED =
    /^(Find|Look for|Sign out|Delete|Release|Log it|Start|Stop|Print|Keep this|Make a link|A full one|Take|Add|Save|Set|Go by)/;

/** Taps whatever can be tapped, once, and tries a few of each choice; says how many of them took it. */
export async function tapAll(page: Page, faults: string[]): Promise<number> {
    const url = page.url();
    const tapped = new Set<string>();
    let landed = 0;
    const controls = page.locator('main').locator('button:enabled, select:enabled, summary');
    await expect(controls.first()).toBeVisible();
    for (let i = 0; i < (await controls.count()) && tapped.size < MOST; i++) {
        const one = controls.nth(i);
        const { name, isSelect } = await seen(one);
        if (name === '' || tapped.has(name) || NOT_TAPPED.test(name)) continue;
        tapped.add(name);
        // It may be gone, or behind what the last tap opened.
        await (isSelect ? chooseSome(one) : one.click(SOON)).then(
            () => landed++,
            () => undefined,
        );
        expect(faults, `after ${name}`).toEqual([]);
        for (let open = 0; open < 3 && (await page.getByRole('dialog').count()) > 0; open++)
            await page.keyboard.press('Escape');
        if (page.url() !== url) await page.goto(url);
    }
    return landed;
}

/** What it is called, without its numbers: one of many alike is enough. It may be gone by now. */
async function seen(control: Locator): Promise<{ name: string; isSelect: boolean }> {
    const read = (element: Element) => ({
        text: element.checkVisibility()
            ? (element.getAttribute('aria-label') ?? element.textContent ?? '')
            : '',
        isSelect: element.tagName === 'SELECT',
    });
    const { text, isSelect } = await control
        .evaluate(read, null, SOON)
        .catch(() => ({ text: '', isSelect: false }));
    const name = text
        .trim()
        .replace(/:.*Show the working\.$/, ' (working)')
        .replace(/\b[A-Z]{0,3}\d[\d./]*/g, '#')
        .replace(/\s+/g, ' ');
    return { name, isSelect };
}

async function chooseSome(select: Locator): Promise<void> {
    const read = (all: Element) =>
        [...(all as HTMLSelectElement).options].filter((one) => !one.disabled).map((one) => one.value);
    const values = await select.evaluate(read, null, SOON);
    for (const value of values.slice(0, 3)) await select.selectOption(value, SOON);
}
