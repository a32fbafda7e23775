import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { released, signIn, SIGNED_OUT } from './support';

const TABLET = { viewport: { width: 800, height: 1280 }, hasTouch: true };

/** Every line of a job's log, page by page. */
async function logOf(page: Page, job: number): Promise<{ id: string; step: string; note: string }[]> {
    const lines: { id: string; step: string; note: string; position: number }[] = [];
    for (let place = ''; ; place = `?before=${lines[0]!.position}`) {
        const answer = await (await page.request.get(`/jobs/${job}/log${place}`)).json();
        lines.unshift(...answer.lines);
        if (answer.earlier === 0) return lines;
    }
}

const next = (page: Page) => page.getByRole('button', { name: 'Done, next' });
const title = (page: Page) => page.getByRole('heading', { level: 2 }).first();

/** Does what a step asks for as somebody would whose work is right, and closes it. */
async function closeStep(page: Page): Promise<void> {
    const was = await title(page).innerText();
    for (const point of await page.getByRole('checkbox').all()) await point.check();
    if (was.startsWith('Measure the face'))
        for (const hour of [12, 2, 4, 6, 8, 10])
            await page.getByLabel(`${hour} o’clock`, { exact: true }).fill('0');
    for (const field of await page.getByPlaceholder('read it').all()) {
        const label = await page.locator(`label[for="${await field.getAttribute('id')}"]`).innerText();
        await field.fill(
            label.startsWith('Temperature') ? '90 F' : label.startsWith('Oxygen') ? '40 ppm' : '0',
        );
    }
    const outside = page.getByRole('button', { name: 'Outside silver', exact: true });
    if (await outside.isVisible()) {
        await outside.click();
        await page.getByRole('button', { name: 'Inside silver', exact: true }).click();
    }
    await next(page).click();
    // The test does not wait for metal to cool; it says so.
    const gate = page.getByRole('alert', { name: 'Before you go on' });
    const finished = page.getByText('Every step is done');
    await expect(gate.or(finished).or(title(page).filter({ hasNotText: was }))).toBeVisible();
    if (await gate.isVisible()) {
        await expect(gate).toContainText('still cools');
        await gate.getByLabel('Why you go on all the same').fill('Nobody waits in a test.');
        await gate.getByRole('button', { name: 'Go on with this reason' }).click();
    }
    await expect(finished.or(title(page).filter({ hasNotText: was }))).toBeVisible();
}

test.describe('on a tablet', () => {
    test.use(TABLET);

    test('a released job is gone through from the saw to the handover', async ({ page }) => {
        test.setTimeout(240_000);
        const job = await released(page, 'TB-0640');
        await page.goto(`/jobs/${job}/bench`);
        await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
        await expect(page.getByRole('img', { name: /Outline of A1/ })).toBeVisible();
        const finished = page.getByText('Every step is done');
        for (let i = 0; i < 60 && !(await finished.isVisible()); i++) await closeStep(page);
        await expect(finished).toBeVisible();
        await page.getByRole('button', { name: 'Hand over' }).click();
        const joints = page.getByRole('region', { name: 'Joints as welded' });
        await expect(
            joints.getByRole('row').filter({ hasText: 'outside silver, inside silver: accepted' }),
        ).toHaveCount(6);
        // The last entry may still be on its way when the stage is left.
        await expect(page.getByText('to send')).toHaveCount(0);
        const steps = (await logOf(page, job)).map((line) => line.step);
        expect(new Set(steps).size).toBe(steps.length);
        expect(steps).toContain('face.A.end');
    });

    test('two hundred entries without a network all arrive, each of them once', async ({ page, context }) => {
        test.setTimeout(360_000);
        const job = await released(page, 'TB-0641');
        await page.goto(`/jobs/${job}/bench`);
        await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
        await context.setOffline(true);
        for (let i = 1; i <= 200; i++) {
            await page.getByLabel('Note').fill(`Note ${i}`);
            await page.getByRole('button', { name: 'Problem' }).click();
            await expect(page.getByLabel('Note')).toHaveValue('');
        }
        await expect(page.getByText('200 kept here, not sent yet')).toBeVisible();
        await context.setOffline(false);
        await expect(page.getByText('log saved')).toBeVisible();
        const notes = (await logOf(page, job)).map((line) => line.note);
        expect(notes).toEqual(Array.from({ length: 200 }, (_, i) => `Note ${i + 1}`));
    });
});

test('a double tap closes one step, and closes it once', async ({ page }) => {
    const job = await released(page, 'TB-0645');
    await page.goto(`/jobs/${job}/bench`);
    for (const piece of ['A1', 'A2', 'A3']) {
        await expect(page.getByRole('heading', { name: `Cut and prepare ${piece}` })).toBeVisible();
        await expect(next(page)).toBeEnabled();
        // Both within a hand's double tap, whatever the page does meanwhile.
        await page.evaluate(async () => {
            const tap = () =>
                [...document.querySelectorAll('button')]
                    .find((one) => one.textContent?.trim() === 'Done, next')
                    ?.click();
            tap();
            await new Promise((over) => setTimeout(over, 150));
            tap();
        });
    }
    await expect(page.getByText('log saved')).toBeVisible();
    const steps = (await logOf(page, job)).map((line) => line.step);
    expect(steps).toEqual(['prepare.A1', 'prepare.A2', 'prepare.A3']);
});

test('two tablets on one job, both without a network, lose nothing of each other', async ({
    browser,
    page,
}) => {
    const job = await released(page, 'TB-0642');
    const tablets = await Promise.all(
        ['wren', 'ismet'].map(async (name): Promise<[BrowserContext, Page]> => {
            const context = await browser.newContext({ ...TABLET, storageState: SIGNED_OUT });
            const tablet = await context.newPage();
            await signIn(tablet, name);
            await tablet.goto(`/jobs/${job}/bench`);
            await expect(tablet.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
            await context.setOffline(true);
            return [context, tablet];
        }),
    );
    // Both close the first two; one goes on to the third.
    for (const [i, [, tablet]] of tablets.entries()) {
        for (let step = 0; step < 2 + i; step++) {
            const was = await title(tablet).innerText();
            await next(tablet).click();
            await expect(title(tablet)).not.toHaveText(was);
        }
    }
    await Promise.all(tablets.map(([context]) => context.setOffline(false)));
    for (const [, tablet] of tablets) await expect(tablet.getByText('log saved')).toBeVisible();
    await expect.poll(async () => (await logOf(page, job)).length).toBe(5);
    // Each comes to know what the other did.
    for (const [, tablet] of tablets) {
        await tablet.reload();
        await expect(tablet.getByLabel(/^3 of \d+ steps done/)).toBeVisible();
    }
    await Promise.all(tablets.map(([context]) => context.close()));
});

test('a browser that is killed while entries wait sends them when it is opened again', async ({
    page,
    baseURL,
}, info) => {
    const job = await released(page, 'TB-0643');
    const folder = mkdtempSync(join(tmpdir(), 'bead-tablet-'));
    const open = () =>
        chromium.launchPersistentContext(folder, {
            ...TABLET,
            ...info.project.use.launchOptions,
            baseURL: baseURL ?? '',
        });
    try {
        const before = await open();
        const tablet = before.pages()[0]!;
        await signIn(tablet);
        await tablet.goto(`/jobs/${job}/bench`);
        await expect(tablet.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
        await before.setOffline(true);
        for (const piece of ['A1', 'A2', 'A3']) {
            await expect(tablet.getByRole('heading', { name: `Cut and prepare ${piece}` })).toBeVisible();
            await next(tablet).click();
        }
        await expect(tablet.getByText('3 kept here, not sent yet')).toBeVisible();
        for (const pid of execFileSync('pgrep', ['-f', folder], { encoding: 'utf8' }).trim().split('\n')) {
            try {
                process.kill(Number(pid), 'SIGKILL');
            } catch {
                // It went with the one before it.
            }
        }
        const after = await open();
        const again = after.pages()[0]!;
        // A browser writes its cookies down only now and then: it may have to be told again who this is, or not.
        await again.goto('/');
        if (new URL(again.url()).pathname === '/sign-in') await signIn(again);
        await again.goto(`/jobs/${job}/bench`);
        await expect(again.getByText('log saved')).toBeVisible();
        await expect
            .poll(async () => (await logOf(page, job)).map((line) => line.step))
            .toEqual(['prepare.A1', 'prepare.A2', 'prepare.A3']);
        await after.close();
    } finally {
        rmSync(folder, { recursive: true, force: true });
    }
});
