import { expect, test } from '@playwright/test';
import { importFlange } from './flange-stl';
import { expectAccessible, ownJob, saved } from './support';

test('a port is taken from a scan, the scan is brought to the datum and cut to the room', async ({
    page,
}) => {
    const job = await ownJob(page, 'TB-0693');
    await page.goto(`/jobs/${job}/survey`);
    const scan = await importFlange(page);
    await scan.getByRole('button', { name: 'A port from it' }).click();
    await scan.getByLabel('Tapped at').fill('900 mm; 0; 0');
    await scan.getByRole('button', { name: 'What is there' }).click();
    await expect(scan.getByText(/tap on its surface/)).toBeVisible();
    await scan.getByLabel('Tapped at').fill('30 mm; 0; 0');
    await scan.getByRole('button', { name: 'What is there' }).click();
    await expect(scan.getByText(/^A flat face/)).toBeVisible();
    await expect(scan.getByLabel('The opening in it')).toContainText('1.732 in across');
    await expectAccessible(page);
    await scan.getByRole('button', { name: 'Take it' }).click();
    await expect(scan.getByText('Taken as the start of run A.')).toBeVisible();
    await saved(page);
    let document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(Math.abs(document.runs[0].start.direction[1])).toBeCloseTo(1, 4);
    expect(document.runs[0].start.bore.shape).toBe('round');

    // As it came it lies turned: three places that are known bring it to where it is.
    await scan.getByRole('button', { name: 'Bring it to the datum' }).click();
    const places = [
        ['40 mm; 0 mm; 0 mm', '100 mm; 40 mm; 0 mm'],
        ['0 mm; 0 mm; 40 mm', '100 mm; 0 mm; 40 mm'],
        ['-40 mm; 0 mm; 0 mm', '100 mm; -40 mm; 0 mm'],
    ];
    for (const [i, [tapped, known]] of places.entries()) {
        await scan.getByLabel(`Place ${i + 1} on the scan`).fill(tapped ?? '');
        await scan.getByLabel(`Place ${i + 1} is at`).fill(known ?? '');
    }
    await scan.getByRole('button', { name: 'Bring it there' }).click();
    await expect(scan.getByText(/^There\. A fourth place/)).toBeVisible();
    await scan.getByRole('button', { name: 'Cut it to the room' }).click();
    await scan.getByLabel('Room kept round the runs').fill('3 in');
    await scan.getByRole('button', { name: 'Cut it', exact: true }).click();
    await expect(scan.getByText(/triangles are kept/)).toBeVisible();
    await saved(page);
    document = await (await page.request.get(`/jobs/${job}/job.json`)).json();
    expect(document.set.keepOuts.at(-1).shape).toBe('mesh');
});
