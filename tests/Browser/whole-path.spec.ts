import { expect, test } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { ownJob, saved, toStage } from './support';

test('from a tape-measured survey to a welded, logged, printed record', async ({ page }) => {
    test.setTimeout(180_000);
    const job = await ownJob(page, 'TB-0500');

    // Survey: an end moved by tape, written as people write it.
    await page.goto(`/jobs/${job}/survey`);
    const end = page.getByRole('group', { name: 'End of run A' });
    await end.getByLabel('rearward', { exact: true }).fill('22 1/4');
    await end.getByLabel('rearward', { exact: true }).press('Enter');
    await saved(page);
    await expect(end.getByLabel('rearward', { exact: true })).toHaveValue('22 1/4 in');
    await expect(page.getByRole('region', { name: 'What the survey says' })).toContainText(
        'two bends at least',
    );

    // Route: several ways to compare; one is taken.
    await page.keyboard.press('Escape');
    await toStage(page, 'Route');
    await page.getByRole('button', { name: 'Find a way', exact: true }).click();
    const ways = page.getByRole('region', { name: 'Ways found' });
    await expect.poll(() => ways.getByRole('listitem').count()).toBeGreaterThan(24);
    await page.getByRole('button', { name: 'Take way 1', exact: true }).click();
    await expect(page.getByText('● Far end closed')).toBeVisible();
    await saved(page);

    // Weld: every number opens its working; one is overruled.
    await toStage(page, 'Weld');
    const sheet = page.getByRole('region', { name: 'Welds in order' });
    await sheet.getByRole('row').filter({ hasText: 'AJ2' }).getByRole('button', { name: /^Amps/ }).click();
    const working = page.getByRole('dialog');
    await expect(working).toContainText('Thinner wall');
    await expect(working).toContainText('common practice');
    await working.getByLabel('Your value').fill('55 A');
    await working.getByLabel('Why').fill('gap on the tight side');
    await working.getByRole('button', { name: 'Overrule' }).click();
    await expect(sheet.getByRole('row').filter({ hasText: 'AJ2' })).toContainText('55 A');
    await expect(sheet.getByRole('row').filter({ hasText: 'AJ2' })).toContainText('yours');
    await saved(page);

    // Release: the bench opens with its first step.
    await page.getByRole('button', { name: 'Look over rev 1' }).click();
    await page.getByRole('button', { name: 'Release rev 1' }).click();
    await expect(page.getByRole('heading', { name: 'Cut and prepare A1' })).toBeVisible();
    await page.getByRole('button', { name: 'As planned' }).click();
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByRole('heading', { name: 'Cut and prepare A2' })).toBeVisible();
    // Tacked from the datum outwards and tried: the hole for the sensor is drilled only then.
    const step = page.getByRole('heading', { name: /^(Cut and prepare|Tack|Slide|Trial fit|Purge for) / });
    for (let i = 0; i < 12 && !(await step.innerText()).startsWith('Purge'); i++) {
        const done = await step.innerText();
        if (done.startsWith('Trial fit')) {
            for (const name of ['Far-end gap', 'Far-end angle']) await page.getByLabel(name).fill('0');
            for (const point of await page.getByRole('checkbox').all()) await point.check();
        }
        await page.getByRole('button', { name: 'Done, next' }).click();
        await expect(step).not.toHaveText(done);
    }
    await expect(page.getByRole('heading', { name: 'Purge for AB1' })).toBeVisible();
    await page.getByLabel('Oxygen at the vent').fill('135');
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByRole('heading', { name: /^Weld AB1/ })).toBeVisible();
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByRole('timer')).toContainText('0:02');
    await page.getByLabel('Amps used').fill('58');
    await page.getByRole('button', { name: 'Done, next' }).click();
    await expect(page.getByRole('heading', { name: 'Let AB1 cool' })).toBeVisible();
    await expect(page.getByText('log saved')).toBeVisible();

    // The log survives a reload, and a restart of database and server.
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Let AB1 cool' })).toBeVisible();
    const restart = process.env['BEAD_RESTART']?.split(' ');
    expect(restart, 'run through ./test browser').toBeTruthy();
    execFileSync(restart![0]!, restart!.slice(1), { stdio: 'ignore' });
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Let AB1 cool' })).toBeVisible();

    // Handover on screen and on paper says what was used.
    await toStage(page, 'Handover');
    const joints = page.getByRole('region', { name: 'Joints as welded' });
    await expect(joints.getByRole('row').filter({ hasText: 'AB1' })).toContainText('58 A');
    const pdf = await page.request.get(`/jobs/${job}/record.pdf`);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    const file = test.info().outputPath('record.pdf');
    writeFileSync(file, await pdf.body());
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
    for (const part of [
        'TB-0500',
        '58 A',
        '135 ppm',
        'ER308L',
        'gap on the tight side',
        '1 of 6',
        'Wren Halloway',
    ]) {
        expect(text).toContain(part);
    }
    const length = await page
        .getByRole('region', { name: 'What is handed over' })
        .getByText(/ in$/)
        .first()
        .innerText();
    expect(text).toContain(length);
});
