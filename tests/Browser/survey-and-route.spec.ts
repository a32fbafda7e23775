import { looksWhole } from './fits';
import { expect, test } from '@playwright/test';
import { api, expectAccessible, ownJob, routed, saved, toStage } from './support';

/** Triangles of a box, 80 mm each way, as a binary STL file. */
function boxStl(): Buffer {
    const corner = (i: number) => [i & 1 ? 40 : -40, i & 2 ? 40 : -40, i & 4 ? 40 : -40];
    const faces = [
        [0, 2, 3, 1],
        [4, 5, 7, 6],
        [0, 1, 5, 4],
        [2, 6, 7, 3],
        [0, 4, 6, 2],
        [1, 3, 7, 5],
    ].flatMap(([a, b, c, d]) => [
        [a, b, c],
        [a, c, d],
    ]) as number[][];
    const bytes = Buffer.alloc(84 + 50 * faces.length);
    bytes.writeUInt32LE(faces.length, 80);
    faces.forEach((face, i) =>
        face.flatMap(corner).forEach((number, k) => bytes.writeFloatLE(number, 84 + 50 * i + 12 + 4 * k)),
    );
    return bytes;
}

test('a new user pastes ports, finds a way, compares, takes, changes it by hand and sees it go in', async ({
    page,
}) => {
    test.setTimeout(180_000);
    const job = await ownJob(page, 'TB-0540');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Paste ports' }).click();
    const paste = page.getByRole('dialog', { name: 'Paste ports' });
    await paste
        .getByLabel('Cells')
        .fill(
            [0, 1, 2]
                .map(
                    (i) =>
                        `Port ${i + 1};${i * 110} mm;0;0;0;1;-0.1;${620} mm;${90 + i * 95} mm;-300 mm;1;0;-0.2`,
                )
                .join('\n'),
        );
    await paste.getByRole('button', { name: 'Put 3 runs in place of what is there' }).click();
    await saved(page);

    // What stands in the way: the block from the ports themselves, a shaft by its ends.
    await page.getByRole('button', { name: 'Add something to keep clear of' }).click();
    const kit = page.getByRole('dialog', { name: 'Something to keep clear of' });
    await kit.getByRole('button', { name: 'Block or head' }).click();
    await kit.getByRole('button', { name: 'Add it' }).click();
    await expect(kit).toBeHidden();
    await saved(page);
    await expect(page.getByRole('button', { name: /^Block or head/ })).toBeVisible();

    await toStage(page, 'route');
    await page.getByRole('button', { name: 'Find a design' }).click();
    await expect(page.getByRole('button', { name: 'Look further' })).toBeVisible({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Keep design 1' }).click();
    await saved(page);
    await page.getByRole('button', { name: 'Compare' }).click();
    const compare = page.getByRole('dialog', { name: 'Designs side by side' });
    await expect(compare.getByRole('cell', { name: 'Joints to weld' })).toBeVisible();
    await expect(compare.getByRole('cell', { name: 'Cost, about' })).toBeVisible();
    await expectAccessible(page);
    await looksWhole(page, 'Designs side by side');
    await compare.getByRole('button', { name: 'Take Design 1' }).click();
    await saved(page);
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Kept designs' })).toBeVisible();

    // By hand: a locked straight stays while the rest closes what a wrong turn has opened.
    const straight = page.getByLabel('Straight before, bend 1');
    const before = await straight.inputValue();
    await page.getByRole('button', { name: 'Lock straight before of bend 1' }).click();
    await saved(page);
    const turn = page.getByLabel('Turn, bend 1');
    await turn.fill(String(parseFloat(await turn.inputValue()) + 5));
    await turn.press('Enter');
    await expect(page.getByText('✕ Far end open')).toBeVisible();
    await page.getByRole('button', { name: 'Close the rest' }).click();
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await expect(straight).toHaveValue(before);

    // Longer, still closed.
    const length = page.getByRole('slider', { name: /Length, closed/ });
    const longer = Math.round(Number(await length.inputValue())) + 15;
    await length.fill(String(longer));
    await saved(page);
    await expect(page.getByText('● Far end closed')).toBeVisible();

    await expect(page.getByText(/● Go in one at a time|✕ Not all go in whole/)).toBeVisible();
    await page.getByLabel('stubs on the flanges already').check();
    await page.getByRole('button', { name: 'Show it' }).click();
    await toStage(page, 'fit');
    await expect(page.getByRole('region', { name: 'Order of the runs' })).toBeVisible();
});

test('bends are put in, merged and taken out, and what cannot be done is said', async ({ page }) => {
    await routed(page, 'TB-0541');
    const rows = page.getByRole('button', { name: /^Select bend/ });
    const count = await rows.count();
    await rows.first().click();
    await page.getByRole('button', { name: 'Bend behind 1' }).click();
    await expect(rows).toHaveCount(count + 1);
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await page.getByRole('button', { name: 'Take 1 out' }).click();
    await expect(rows).toHaveCount(count);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(rows).toHaveCount(count);
});

test('an STL file that is cut short, huge or not one is refused with its reason; a whole one is measured against', async ({
    page,
}) => {
    const job = await routed(page, 'TB-0542');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Add something to keep clear of' }).click();
    const dialog = page.getByRole('dialog', { name: 'Something to keep clear of' });
    await dialog.getByRole('button', { name: 'A scan or a drawing (STL)' }).click();
    const whole = boxStl();
    const huge = Buffer.from(whole);
    huge.writeUInt32LE(4_000_000_000, 80);
    const empty = await page.request.get(`/jobs/${job}/job.json`);
    for (const [name, buffer, why] of [
        ['cut.stl', whole.subarray(0, 400), 'cut short'],
        ['huge.stl', huge, 'at most 100,000'],
        ['photo.stl', Buffer.from('\x89PNG not a mesh at all'), 'at least 84'],
        ['far.stl', Buffer.from(boxStl().fill(0x7f, 96, 108)), 'Is the unit right?'],
    ] as const) {
        await dialog
            .getByLabel('STL file')
            .setInputFiles({ name, mimeType: 'model/stl', buffer: buffer as Buffer });
        await dialog.getByRole('button', { name: 'Add it' }).click();
        await expect(dialog.getByRole('alert')).toContainText(why);
    }
    expect(await (await page.request.get(`/jobs/${job}/job.json`)).text()).toBe(await empty.text());
    await dialog
        .getByLabel('STL file')
        .setInputFiles({ name: 'starter motor.stl', mimeType: 'model/stl', buffer: whole });
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog).toBeHidden();
    await saved(page);
    await expect(page.getByRole('button', { name: /^starter motor/ })).toBeVisible();
});

test('ready shapes ask for what is measured and say which field is wrong', async ({ page }) => {
    const job = await ownJob(page, 'TB-0543');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Add something to keep clear of' }).click();
    const dialog = page.getByRole('dialog', { name: 'Something to keep clear of' });
    await dialog.getByRole('button', { name: 'Tyre, with its lock and travel' }).click();
    await dialog.getByLabel('Width').fill('8 in');
    await dialog.getByLabel('Lock each way').fill('far');
    await dialog.getByLabel('Lock each way').press('Tab');
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog.getByLabel('Lock each way')).toHaveAttribute('aria-invalid', 'true');
    await expectAccessible(page);
    await dialog.getByLabel('Lock each way').fill('38');
    await dialog.getByLabel('Lock each way').press('Tab');
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog).toBeHidden();
    await saved(page);
    await expect(page.getByLabel('Note')).toHaveValue(/lock 38° each way/);
});

test('ports in a row, the other bank, and the sums to start from', async ({ page }) => {
    const job = await ownJob(page, 'TB-0544');
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    document.job.purpose = 'header';
    expect((await api(page, 'PUT', `/jobs/${job}/draft`, { version: 1, document })).status).toBe(200);
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Ports in a row' }).click();
    const row = page.getByRole('dialog', { name: 'Ports in a row' });
    await row.getByLabel(/Spacings/).fill('3 1/2 in, 90 mm, an ell');
    await row.getByLabel(/Spacings/).press('Tab');
    await row.getByRole('button', { name: 'Set them' }).click();
    await expect(row.getByText(/"ell".*is not a unit|is not a length/)).toBeVisible();
    await row.getByLabel(/Spacings/).fill('3 1/2 in, 90 mm, 90 mm');
    await row.getByLabel(/Spacings/).press('Tab');
    await row.getByRole('button', { name: 'Set them' }).click();
    await expect(row).toBeHidden();
    await saved(page);
    await expect(page.getByRole('group', { name: 'Runs', exact: true }).getByRole('button')).toHaveCount(4);
    await page.getByRole('button', { name: 'Mirror to the other bank' }).click();
    const mirror = page.getByRole('dialog', { name: 'Mirror to the other bank' });
    await mirror.getByLabel(/The plane stands/).fill('-9 in');
    await mirror.getByLabel(/The plane stands/).press('Tab');
    await mirror.getByRole('button', { name: 'Mirror', exact: true }).click();
    await expect(page.getByRole('group', { name: 'Runs', exact: true }).getByRole('button')).toHaveCount(8);
    await page.getByRole('button', { name: 'Enter the engine' }).click();
    await page.getByLabel('To suit, rpm').fill('6000');
    await page.getByLabel('To suit, rpm').press('Enter');
    // Opening 70°, 6000 a minute, 500 cm³, a 3 in port: 32.4 in from the port on.
    await expect(page.getByRole('button', { name: /^Primary length: 32/ })).toBeVisible();
});

test('a tube is chosen from what is on the shelf, or found by typing part of its name', async ({ page }) => {
    const job = await ownJob(page, 'TB-0549');
    await page.goto(`/jobs/${job}/survey`);
    const tube = page.getByRole('combobox', { name: 'Tube of run A' });
    await expect(tube).toHaveValue('3 in × .065');
    await tube.click();
    await expect(
        page.getByRole('group', { name: 'On the shelf' }).getByText(/on the shelf$/),
    ).not.toHaveCount(0);
    await expectAccessible(page);
    await tube.fill('no such tube');
    await expect(page.getByText('Nothing of that name.')).toBeVisible();
    await tube.press('Escape');
    await expect(tube).toHaveValue('3 in × .065');
    await tube.pressSequentially('.049 3 1/2');
    await expect(page.getByRole('option', { name: '3 1/2 in × .049' })).toHaveAttribute('data-highlighted');
    await tube.press('Enter');
    await saved(page);
    await expect(tube).toHaveValue('3 1/2 in × .049');
    const document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(document.runs[0].tube).toBe('T3.500x.049');
});

test('routes come in as a table, line by line', async ({ page }) => {
    const job = await routed(page, 'TB-0545');
    const table = await (await page.request.get(`/jobs/${job}/lra.csv`)).text();
    await page.getByRole('button', { name: 'Bring in routes' }).click();
    const dialog = page.getByRole('dialog', { name: 'Bring in routes' });
    await dialog.getByLabel('Table or answer').fill(`${table}Z,1,10,0,45,100\n`);
    await expect(dialog.getByText('Run A')).toBeVisible();
    await expect(dialog.getByText('there is no run "Z" in this job')).toBeVisible();
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Keep them as a design' }).click();
    await saved(page);
    await expect(page.getByRole('region', { name: 'Kept designs' })).toBeVisible();
});

test('a port’s opening, where open ends may lie and which looks count are entered, and wrong ones are told', async ({
    page,
}) => {
    const job = await routed(page, 'TB-0547');
    await page.goto(`/jobs/${job}/survey`);
    await page.getByRole('button', { name: 'Enter the port’s opening' }).click();
    await saved(page);
    await page.getByLabel('Opening', { exact: true }).selectOption('rectangle');
    await saved(page);
    // 3 in tube, 2.87 in inside: round a square of 2.75 in it is 11 in, more than the 9 in round the inside.
    await page.getByLabel('Width', { exact: true }).fill('2.75 in');
    await page.getByLabel('Height', { exact: true }).fill('2.75 in');
    await page.keyboard.press('Tab');
    await expect(page.getByText(/At port A the way round is .* longer/)).toBeVisible();
    await page.getByLabel('Corner radius').fill('2 in');
    await page.keyboard.press('Tab');
    await expect(page.getByText('✕ must be no more than half of the shorter side')).toBeVisible();
    await page.getByLabel('Corner radius').fill('1.3 in');
    await page.keyboard.press('Tab');
    await expect(page.getByText(/At port A the way round is/)).toBeHidden();

    // The open end of this job lies where it lies; a class that asks for less is told by how much it is over.
    const outlets = page.getByRole('group', { name: 'Where open ends may lie' });
    await page.getByLabel('Kind').last().selectOption('open');
    await outlets.getByRole('button', { name: 'Stick-out' }).click();
    await saved(page);
    await outlets.getByLabel('No more than').fill('2 in');
    await page.keyboard.press('Tab');
    await expect(page.getByText(/Class: most it may stick out: the open end of run A .* over/)).toBeVisible();
    await outlets.getByLabel('No less than').fill('3 in');
    await page.keyboard.press('Tab');
    await expect(outlets.getByText('must be no less than the least')).toBeVisible();
    await outlets.getByRole('button', { name: 'Remove' }).click();
    await expect(page.getByText(/most it may stick out: the open end/)).toBeHidden();
    await expectAccessible(page);
    await saved(page);

    await toStage(page, 'route');
    await page.getByRole('button', { name: /Routes keep/ }).click();
    await page.getByLabel('Bends level').check();
    await page.getByLabel('Even gaps').check();
    await saved(page);
    await page.reload();
    await expect(page.getByRole('button', { name: /Routes keep/ })).toContainText(
        'few bends; bends in planes, even gaps',
    );
});
