import AxeBuilder from '@axe-core/playwright';
import type { RunOptions } from 'axe-core';
import { expect, type Locator, type Page } from '@playwright/test';

export const PASSWORD = 'upswept-demo';

export async function signIn(page: Page, name = 'wren'): Promise<void> {
    await page.goto('/sign-in');
    await page.getByLabel('Address').fill(`${name}@tidewater.invalid`);
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Tidewater Tube & Bead' })).toBeVisible();
}

export const SIGNED_OUT = { cookies: [], origins: [] };

/** A job of its own for a test, made from the demo downpipe by way of the open format. */
export async function ownJob(page: Page, number: string): Promise<number> {
    const response = await page.request.get('/jobs/1/job.json');
    const document = await response.json();
    document.job.number = number;
    document.runs[0].route = null;
    const created = await api(page, 'POST', '/jobs', { document });
    expect(created.status).toBe(201);
    return (created.body as { id: number }).id;
}

/** The downpipe with its best way taken, released. */
export async function released(page: Page, number: string): Promise<number> {
    const job = await ownJob(page, number);
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    const ways = await api(page, 'POST', `/jobs/${job}/routes`, { document, letter: 'A' });
    document.runs[0].route = (ways.body as { answers: { route: unknown }[] }).answers[0]!.route;
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document })).status).toBe(200);
    expect((await api(page, 'POST', `/jobs/${job}/release`, { version: 2 })).status).toBe(200);
    return job;
}

/** A set of its own, four runs to be routed, made from the demo header. */
export async function ownHeader(page: Page, number: string): Promise<number> {
    const document = await (await page.request.get('/jobs/3/job.json')).json();
    document.job.number = number;
    const created = await api(page, 'POST', '/jobs', { document });
    expect(created.status).toBe(201);
    return (created.body as { id: number }).id;
}

/** The downpipe with its best way taken, on the Route screen. */
export async function routed(page: Page, number: string): Promise<number> {
    const job = await ownJob(page, number);
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    const ways = await api(page, 'POST', `/jobs/${job}/routes`, { document, letter: 'A' });
    document.runs[0].route = (ways.body as { answers: { route: unknown }[] }).answers[0]?.route;
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document })).status).toBe(200);
    await page.goto(`/jobs/${job}/route`);
    await expect(page.getByText('● Far end closed')).toBeVisible();
    return job;
}

/** Calls the server the way the screens do, with the page's own session; no page needs to be open for it. */
export async function api(
    page: Page,
    method: string,
    url: string,
    body: unknown,
): Promise<{ status: number; body: unknown }> {
    const token = (await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN');
    const ask = () =>
        page.request.fetch(url, {
            method,
            headers: { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token?.value ?? '') },
            data: body,
        });
    let response = await ask();
    // All tests are one person to the server, which plans only so much at a time for each.
    for (let i = 0; response.status() === 429 && i < 40; i++) {
        await page.waitForTimeout(250);
        response = await ask();
    }
    return { status: response.status(), body: await response.json().catch(() => null) };
}

export async function saved(page: Page): Promise<void> {
    await expect(page.getByText('draft, saved')).toBeVisible();
}

/** No serious or critical finding of axe on what is shown. */
export async function expectAccessible(page: Page): Promise<void> {
    await expectNoneOf(page, {
        runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] },
    });
}

/** What of it depends on colours: enough where only the theme has changed. */
export async function expectReadable(page: Page): Promise<void> {
    await expectNoneOf(page, { runOnly: { type: 'rule', values: ['color-contrast', 'link-in-text-block'] } });
}

async function expectNoneOf(page: Page, rules: RunOptions): Promise<void> {
    const results = await new AxeBuilder({ page })
        .options({ ...rules, resultTypes: ['violations'] })
        .analyze();
    const serious = results.violations.filter((one) => one.impact === 'serious' || one.impact === 'critical');
    expect(serious.map((one) => `${one.id}: ${one.nodes.map((node) => node.html).join(' | ')}`)).toEqual([]);
}

/** Goes to a stage by its tab. */
export async function toStage(page: Page, name: string): Promise<void> {
    await page
        .getByRole('navigation', { name: 'Stages' })
        .getByRole('link', { name: new RegExp(name, 'i') })
        .click();
}

/** Counts what a hand does: a press, a choice, or a field that is filled. */
export class Steps {
    count = 0;

    async press(what: Locator): Promise<void> {
        this.count++;
        await what.click();
    }

    async choose(what: Locator, option: string): Promise<void> {
        this.count++;
        await what.selectOption(option);
    }

    async fill(field: Locator, text: string): Promise<void> {
        this.count++;
        await field.fill(text);
    }
}
