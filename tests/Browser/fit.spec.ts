import { expect, test } from '@playwright/test';
import { api, expectAccessible } from './support';

/** The five runs of the demo manifold as a job of its own. */
test('the order of building says why, is moved by hand, and names the reason that breaks', async ({
    page,
}) => {
    const document = await (await page.request.get('/jobs/5/job.json')).json();
    document.job.number = 'TB-0597';
    const job = ((await api(page, 'POST', '/jobs', { document })).body as { id: number }).id;
    await page.goto(`/jobs/${job}/fit`);
    const order = page.getByRole('region', { name: 'Order of building' });
    await expect(order.getByText(/goes in first/)).toBeVisible();

    // What is closed in later is welded first, and says what would be lost.
    await order.getByRole('button', { name: 'Weld CJ5' }).click();
    await expect(order.getByText(/no torch gets all round it afterwards/)).toBeVisible();
    await expect(order.getByText(/Otherwise: The first bead pulls/)).toBeVisible();
    const joint = page.getByRole('region', { name: 'Joint CJ5' });
    await expect(joint.getByText('✓ all round')).toBeVisible();
    await expect(joint.getByText(/With .*C?.* beside it a torch gets round \d+ %/)).toBeVisible();

    // The side of a slip that is closed in by the next run is welded before that goes in, and the dial shows which.
    await order.getByRole('button', { name: 'Weld CJ7 on the side' }).click();
    await expect(page.getByRole('img', { name: /Joint CJ7 .* Welded now from \d+° to \d+°/ })).toBeVisible();

    // With all runs in place a slip fillet shows where no torch gets to.
    await order.getByRole('button', { name: /Weld CJ7 △/ }).click();
    await expect(page.getByRole('img', { name: /Joint CJ7 .* No torch from \d+° to \d+°/ })).toBeVisible();
    await expectAccessible(page);

    // Only one set-up.
    await order.getByLabel('Set-up').selectOption({ label: 'on the bench' });
    await expect(order.getByRole('button', { name: /Weld CJ7/ })).toHaveCount(0);
    await order.getByLabel('Set-up').selectOption({ label: 'all of them' });

    // A butt before its run is tacked all round: the plan does it, and says what that breaks.
    const task = order.getByRole('button', { name: 'Tack run C all round' });
    await task.click();
    const place = Number(await task.locator('span').first().textContent());
    await order.getByRole('button', { name: 'Later' }).click();
    await expect(order.getByText('yours')).toBeVisible();
    await expect(order.getByText(/You put it before/)).toBeVisible();
    await order.getByRole('button', { name: 'Put it back' }).click();
    await expect(order.getByText('yours')).toHaveCount(0);
    await expect(task.locator('span').first()).toHaveText(String(place));

    // Dragged onto another that is in sight: it counts, and the reason that breaks is named.
    const row = (name: string) => order.locator('[aria-pressed]').filter({ hasText: name });
    await row('Tack run E all round').click();
    await row('Tack run D all round').dragTo(row('Trial fit runs'));
    await expect(order.getByText('yours')).toBeVisible();
    await expect(order.getByText('✕ reason broken')).toBeVisible();
});

test('a joint as it was measured: wire, take it apart, or where tacks pull it to its place', async ({
    page,
}) => {
    await page.goto('/jobs/5/fit');
    const order = page.getByRole('region', { name: 'Order of building' });
    await order.getByRole('button', { name: 'Tack B3 to B2' }).click();
    const measured = page.getByRole('region', { name: 'As measured, BJ4' });
    await measured.getByLabel('Widest gap').fill('0.6 mm');
    await measured.getByRole('button', { name: 'What now' }).click();
    await expect(measured.getByText('Weld it with wire in the puddle')).toBeVisible();
    await measured.getByLabel('Its far end off by').fill('1 mm');
    await measured.getByLabel('To go towards').fill('120');
    await measured.getByRole('button', { name: 'What now' }).click();
    await expect(measured.getByText(/One tack at 120°/)).toBeVisible();
    await measured.getByLabel('Widest gap').fill('wide');
    await measured.getByRole('button', { name: 'What now' }).click();
    await expect(measured.getByRole('alert')).toContainText('wide');
    await measured.getByLabel('Widest gap').fill('9 mm');
    await measured.getByRole('button', { name: 'What now' }).click();
    await expect(measured.getByText('Take it apart and fit it again')).toBeVisible();
});

test('a trial fit looks at what this job comes near to', async ({ page }) => {
    await page.goto('/jobs/5/fit');
    const order = page.getByRole('region', { name: 'Order of building' });
    await order.getByRole('button', { name: 'Trial fit runs' }).click();
    const trial = page.getByRole('region', { name: /^Trial fit runs/ });
    await expect(trial.getByText(/Into Turbine flange to the depth mark/)).toBeVisible();
    await expect(trial.getByText(/A and C \d/)).toBeVisible();
});

test('what stands a little off is held as it stands, and the rest is brought to its end again', async ({
    page,
}) => {
    const document = await (await page.request.get('/jobs/5/job.json')).json();
    document.job.number = 'TB-0598';
    const job = ((await api(page, 'POST', '/jobs', { document })).body as { id: number }).id;
    await page.goto(`/jobs/${job}/fit`);
    const order = page.getByRole('region', { name: 'Order of building' });
    await order.getByRole('button', { name: 'Tack B3 to B2' }).click();
    const off = page.getByRole('region', { name: 'It stands off at BJ4' });
    await off.getByLabel('Rearward').fill('1 mm');
    await off.getByLabel('Up').fill('-1 mm');
    await off.getByRole('button', { name: 'What changes' }).click();
    // Behind its last bend too little is left to bring it back: other bends do.
    await expect(off.getByText(/With others it is/)).toBeVisible();
    await expect(off.getByRole('row', { name: /B3/ })).toBeVisible();
    await off.getByLabel('Up').fill('900 mm');
    await off.getByRole('button', { name: 'What changes' }).click();
    await expect(off.getByRole('alert')).toContainText('measure it again');
});

test('a bought part as it came changes the cut, and says where it lies against the flow', async ({
    page,
}) => {
    const document = await (await page.request.get('/jobs/7/job.json')).json();
    document.job.number = 'TB-0599';
    document.runs = document.runs.slice(0, 1);
    document.runs[0].end.kind = 'socket';
    document.set = {};
    const job = ((await api(page, 'POST', '/jobs', { document })).body as { id: number }).id;
    await page.goto(`/jobs/${job}/survey`);
    const parts = page.getByRole('region', { name: 'Parts and hangers' });
    await parts.getByRole('button', { name: 'Add a part' }).click();
    await parts.getByLabel('Depth of it').fill('1.5 in');
    await parts.getByLabel('Depth of it').press('Tab');
    await parts.getByLabel('Bore of its seat').fill('2.9 in');
    await parts.getByLabel('Bore of its seat').press('Tab');
    await expect(parts.getByText(/does not go into/)).toBeVisible();
    await parts.getByLabel('gas goes through one way only').check();
    await parts.getByLabel('it lies against that').check();
    await expect(parts.getByText(/lies against it. Turn it round/)).toBeVisible();
    await parts.getByLabel('Wall').fill('thick');
    await parts.getByLabel('Wall').press('Tab');
    await expect(parts.getByText(/thick/)).toBeVisible();
    await parts.getByLabel('Wall').fill('');
    await parts.getByLabel('Wall').press('Tab');
    await page.goto(`/jobs/${job}/cut`);
    await expect(
        page.getByRole('button', { name: /Slip depth: 1 1\/2 in|Slip depth: 1.5 in/ }).first(),
    ).toBeVisible();
});
