import { expect, test, type Locator, type Page } from '@playwright/test';
import { api, expectAccessible, ownHeader, ownJob, saved } from './support';

type Triple = [number, number, number];
type Port = { letter: string; at: Triple; out: Triple };

/** The four ports of the demo header as they really stand, in mm. */
async function ports(page: Page, job: number): Promise<Port[]> {
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    return document.runs.map((run: { letter: string; start: { at: string[]; direction: Triple } }): Port => {
        const [x, y, z] = run.start.direction;
        const long = Math.hypot(x, y, z);
        return {
            letter: run.letter,
            at: run.start.at.map((one) => parseFloat(one)) as Triple,
            out: [x / long, y / long, z / long],
        };
    });
}

const deg = (rad: number) => ((rad * 180) / Math.PI).toFixed(1);
/** A point of a rod that stands in a port, as a tape reads it. */
const along = ({ at, out }: Port, far: number) =>
    at.map((one, i) => `${Math.round(one + far * (out[i] ?? 0))} mm`).join('; ');
const apart = (one: Port, other: Port) => Math.hypot(...one.at.map((it, i) => it - (other.at[i] ?? 0)));

async function addReading(page: Page, kind: string, fields: Record<string, string>): Promise<void> {
    await page.getByRole('button', { name: 'Add a reading' }).click();
    const dialog = page.getByRole('dialog', { name: 'Add a reading' });
    await dialog.getByRole('button', { name: kind, exact: true }).click();
    for (const [label, value] of Object.entries(fields)) {
        const field: Locator = dialog.getByLabel(label, { exact: true });
        if (['Of', 'To', 'From'].includes(label)) await field.selectOption({ label: value });
        else await field.fill(value);
    }
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog).toBeHidden();
}

for (const [size, number, viewport] of [
    ['at the desk', 'TB-0671', { width: 1280, height: 800 }],
    ['on a phone', 'TB-0672', { width: 390, height: 844 }],
] as const) {
    test.describe(size, () => {
        test.use({ viewport });

        test('four ports are read with rod, finder and tape, and the reading that is wrong is found', async ({
            page,
        }) => {
            test.setTimeout(240_000);
            const job = await ownHeader(page, number);
            const all = await ports(page, job);
            await page.goto(`/jobs/${job}/survey`);
            await page.getByRole('button', { name: 'Take them one by one' }).click();
            const walk = page.getByRole('dialog', { name: 'At the vehicle' });
            for (const { letter } of all)
                await walk.getByRole('checkbox', { name: new RegExp(`^End of ${letter}`) }).uncheck();
            await walk.getByRole('button', { name: 'Begin' }).click();
            const read = async (asked: RegExp, value: string) => {
                await expect(walk.getByText(asked)).toBeVisible();
                await walk.getByRole('textbox').fill(value);
                await walk.getByRole('button', { name: 'Next' }).click();
            };
            for (const port of all) {
                if (port.letter === 'A') {
                    await expectAccessible(page);
                    await walk.getByRole('button', { name: 'It is the datum' }).click();
                } else {
                    for (const [way, value] of [
                        ['rearward', port.at[0]],
                        ['right', port.at[1]],
                        ['up', port.at[2]],
                    ])
                        await read(
                            new RegExp(`^Start of ${port.letter}: how far ${way}`),
                            `${Math.round(Number(value))} mm`,
                        );
                }
                await read(
                    new RegExp(`^Start of ${port.letter}: how far it falls`),
                    deg(Math.asin(-port.out[2])),
                );
                await read(
                    new RegExp(`^Start of ${port.letter}: seen from above`),
                    deg(Math.atan2(port.out[1], port.out[0])),
                );
            }
            // Tapes to the collector are not to be had: something is in the way.
            for (const { letter } of all) {
                await expect(walk.getByText(`Straight from start of ${letter}`)).toBeVisible();
                await walk.getByRole('button', { name: 'Pass it by' }).click();
            }
            await expect(walk.getByText('4 passed by.')).toBeVisible();
            await walk.getByRole('button', { name: 'Done' }).click();

            const sheet = page.getByRole('region', { name: 'Readings at the vehicle' });
            for (const port of all)
                await addReading(page, 'Two points along a rod', {
                    Of: `start of ${port.letter}`,
                    'Point 1: rearward; right; up': along(port, 40),
                    'Point 2: rearward; right; up': along(port, 240),
                });
            for (const [i, port] of all.slice(0, 3).entries()) {
                const next = all[i + 1] ?? port;
                // On the second tape the hook had slipped by 20 mm.
                await addReading(page, 'A tape between two ends or points', {
                    Of: `start of ${port.letter}`,
                    To: `start of ${next.letter}`,
                    'How far': `${(apart(port, next) + (i === 1 ? 20 : 0)).toFixed(0)} mm`,
                });
            }
            // Three of the datum's port, five of each other, a rod in all four, three tapes.
            await expect(sheet.getByText('25 read', { exact: true })).toBeVisible();
            const wrong = sheet.getByRole('listitem').filter({ hasText: 'Tape, start of B to start of C' });
            await expect(
                wrong.getByText(/does not agree: the others say 1\d(\.\d)? mm otherwise/),
            ).toBeVisible();
            await expect(sheet.getByText(/does not agree/)).toHaveCount(1);
            await wrong.getByRole('button', { name: /^Leave out/ }).click();
            await expect(sheet.getByText(/does not agree/)).toHaveCount(0);
            await expect(wrong.getByText('left out', { exact: true })).toBeVisible();
            const sure = sheet.getByRole('list', { name: 'How sure the ends are' });
            await expect(sure.getByText(/Start of D/i).locator('..')).toContainText(
                /± \d(\.\d)? mm, ± 0(\.\d)?°/,
            );
            await saved(page);
            const after = await ports(page, job);
            for (const [i, { at, out }] of after.entries()) {
                const was = all[i] as Port;
                expect(Math.hypot(...at.map((it, k) => it - (was.at[k] ?? 0)))).toBeLessThan(2);
                expect(out.reduce((sum, it, k) => sum + it * (was.out[k] ?? 0), 0)).toBeGreaterThan(
                    Math.cos((0.5 * Math.PI) / 180),
                );
            }
            await expectAccessible(page);
            expect(
                await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
            ).toBeLessThanOrEqual(0);
        });
    });
}

test('what is read without a network is sent once, when it is back', async ({ page, context }) => {
    test.setTimeout(120_000);
    const job = await ownJob(page, 'TB-0673');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Take them one by one' }).click();
    const walk = page.getByRole('dialog', { name: 'At the vehicle' });
    await walk.getByRole('checkbox', { name: /^End of A/ }).uncheck();
    await walk.getByRole('button', { name: 'Begin' }).click();
    await expect(walk.getByText(/^Start of A: how far rearward/)).toBeVisible();
    await context.setOffline(true);
    for (const [asked, value] of [
        ['rearward', '12 1/2 in'],
        ['right', '-3 in'],
        ['up', '7/8 in'],
    ]) {
        await expect(walk.getByText(new RegExp(`^Start of A: how far ${asked}`))).toBeVisible();
        await walk.getByRole('textbox').fill(value ?? '');
        await walk.getByRole('button', { name: 'Next' }).click();
    }
    await expect(walk.getByText(/No connection\. What you type is kept here/)).toBeVisible();
    await context.setOffline(false);
    await expect(walk.getByText(/No connection/)).toBeHidden();
    await walk.getByRole('button', { name: 'Done' }).click();
    await saved(page);
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(document.measured.readings.map((one: { value: string }) => one.value)).toEqual([
        '12 1/2 in',
        '-3 in',
        '7/8 in',
    ]);
    expect(document.runs[0].start.at[0]).toBeCloseTo(317.5, 1);
});

test('three tapes meet in two places, and a press says which it is', async ({ page }) => {
    const job = await ownJob(page, 'TB-0674');
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    const tape = (id: string, of: string, value: string) => ({
        id,
        kind: 'tape',
        tool: 'tape',
        of,
        with: ['A.end'],
        value,
    });
    document.measured = {
        points: [
            { name: 'Dowel', at: ['0 in', '0 in', '0 in'] },
            { name: 'Bolt', at: ['20 in', '0 in', '0 in'] },
            { name: 'Rail', at: ['0 in', '20 in', '0 in'] },
        ],
        ends: [{ run: 'A', isStart: false, place: true, direction: false }],
        readings: [tape('r1', 'Dowel', '20 in'), tape('r2', 'Bolt', '22 in'), tape('r3', 'Rail', '22 in')],
    };
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document })).status).toBe(200);
    await page.goto(`/jobs/${job}/survey`);
    const which = page.getByRole('group', { name: 'Which of them is it' });
    await expect(which.getByRole('button')).toHaveCount(2);
    await which.getByRole('button', { name: 'End of A further down' }).click();
    await expect(which).toBeHidden();
    const end = page.getByRole('group', { name: 'End of run A' });
    await expect(end.getByLabel('up', { exact: true })).toHaveValue(/^-1\d\.\d+ in$/);
    await expect(end.getByLabel('up', { exact: true })).toBeDisabled();
    await end.getByLabel('Where it is', { exact: true }).selectOption({ label: 'as typed here' });
    await expect(end.getByLabel('up', { exact: true })).toBeEnabled();
});

test('what cannot be read is refused beside its field, and nothing of it is kept', async ({ page }) => {
    const job = await ownJob(page, 'TB-0675');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Add a reading' }).click();
    const dialog = page.getByRole('dialog', { name: 'Add a reading' });
    await dialog.getByRole('button', { name: 'Points of its face' }).click();
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog.getByText(/must be three lengths/).first()).toBeVisible();
    await dialog.getByRole('button', { name: 'Cancel' }).click();
    await saved(page);
    expect((await (await page.request.get(`/jobs/${job}/job.json`)).json()).measured).toBeUndefined();
});

test('another job is begun from a survey that was kept, with its readings and without its routes', async ({
    page,
}) => {
    const job = await ownJob(page, 'TB-0676');
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    document.measured = {
        points: [],
        ends: [{ run: 'A', isStart: true, place: true, direction: false }],
        readings: [
            {
                id: 'r1',
                kind: 'offset',
                tool: 'tape',
                of: 'A.start',
                with: ['datum'],
                value: ['1 in', '2 in', '3 in'],
            },
        ],
    };
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document })).status).toBe(200);
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'The same engine again' }).click();
    const dialog = page.getByRole('dialog', { name: 'The same engine again' });
    await dialog.getByLabel('Number').fill('TB-0676');
    await dialog.getByRole('button', { name: 'Begin it' }).click();
    await expect(dialog.getByRole('alert')).toContainText('There is a job TB-0676 already');
    await dialog.getByLabel('Number').fill('TB-0676-2');
    await dialog.getByRole('button', { name: 'Begin it' }).click();
    await expect(page.getByText('TB-0676-2')).toBeVisible();
    await expect(
        page
            .getByRole('region', { name: 'Readings at the vehicle' })
            .getByRole('textbox', { name: 'Place of start of A' }),
    ).toHaveValue('1 in; 2 in; 3 in');
});

test('something in the way is entered by the points that were touched on it', async ({ page }) => {
    const job = await ownJob(page, 'TB-0677');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Add something to keep clear of' }).click();
    const dialog = page.getByRole('dialog', { name: 'Something to keep clear of' });
    await dialog.getByRole('button', { name: 'By touching it' }).click();
    await dialog.getByLabel('Point 1: rearward; right; up').fill('12; 20; -30 in');
    await dialog.getByLabel('Point 2: rearward; right; up').fill('nowhere');
    await dialog.getByRole('button', { name: 'Add a round bar' }).click();
    await expect(dialog.getByText(/must be three lengths/)).toBeVisible();
    await dialog.getByLabel('Point 2: rearward; right; up').fill('30; 20; -30 in');
    await dialog.getByRole('button', { name: 'One more point' }).click();
    await dialog.getByLabel('Point 3: rearward; right; up').fill('12; 30; -30 in');
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Add a plane' }).click();
    await expect(dialog).toBeHidden();
    await saved(page);
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(document.set.keepOuts.at(-1)).toMatchObject({ shape: 'half-space', direction: [0, 0, 1] });

    // A lever that swings is touched in both its positions, and all between is kept clear.
    await page.getByRole('button', { name: 'Add something to keep clear of' }).click();
    await dialog.getByRole('button', { name: 'By touching it' }).click();
    await dialog.getByLabel('It moves').check();
    await dialog.getByLabel('End 1, one position').fill('40; 20; -30 in');
    await dialog.getByLabel('End 2, one position').fill('46; 20; -30 in');
    await dialog.getByLabel('End 1, other position').fill('40; 20; -30 in');
    await dialog.getByLabel('End 2, other position').fill('45; 23; -30 in');
    await dialog.getByLabel('Diameter').fill('1 in');
    await dialog.getByRole('button', { name: 'Add all it sweeps' }).click();
    await expect(dialog).toBeHidden();
    await saved(page);
    const swept = (await (await page.request.get(`/jobs/${job}/job.json`)).json()).set.keepOuts.filter(
        (one: { note: string }) => one.note.startsWith('It moves'),
    );
    expect(swept.length).toBeGreaterThan(3);
    expect(swept[0].shape).toBe('capsule');
});
