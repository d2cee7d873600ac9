import { expect } from '@playwright/test';
import { planOf, test } from './writer.js';

test('a page of an older version loads itself anew when all is saved and nobody touches it, once', async ({ page }) => {
    await page.clock.install();
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    // From now on another version answers, as while hosts are changed one by one.
    await page.route('**/operations', async (route) => {
        const answer = await route.fetch();
        await route.fulfill({ response: answer, headers: { ...answer.headers(), 'x-embrel-version': 'another' } });
    });
    let loads = 0;
    page.on('load', () => loads++);
    await writer.mark(/Tide/);
    await writer.type('[Enter]', '[End]', '[Enter]', 'Mud');
    await writer.saved();
    // While somebody writes, it stays.
    await page.clock.fastForward(40_000);
    await expect(page.getByRole('treeitem', { name: /Mud/ })).toBeVisible();
    expect(loads).toBe(0);
    await writer.type('[Escape]');
    await page.clock.fastForward(40_000);
    await expect.poll(() => loads).toBe(1);
    await writer.expectOutline('1 Wall\n2 Tide\n3 Mud');
    // The same version again is no reason to do it again.
    await writer.mark(/Wall/);
    await writer.type('[Enter]', '[End]', ' of 1887', '[Escape]');
    await writer.saved();
    await page.clock.fastForward(80_000);
    await writer.expectOutline('1 Wall of 1887\n2 Tide\n3 Mud');
    expect(loads).toBe(1);
});

test('all that one has goes out whole, and comes in again beside it', async ({ page }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    await writer.mark(/Tide/);
    await writer.type('[Enter]', '[End]', ' tables', '[Escape]');
    await writer.saved();
    await page.goto('/account');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download everything' }).click();
    const path = await (await download).path();
    await page.getByLabel('A zip from another Embrel').setInputFiles({ name: 'everything.zip', mimeType: 'application/zip', buffer: await import('node:fs').then((fs) => fs.readFileSync(path)) });
    await page.getByRole('button', { name: 'Take everything in' }).click();
    await expect(page.getByRole('status')).toHaveText('One plan is here now.');
    await page.getByRole('link', { name: 'Look at the plans' }).click();
    await expect(page.getByRole('link', { name: 'Marsh', exact: true })).toHaveCount(2);
    await page.getByRole('link', { name: 'Marsh', exact: true }).first().click();
    await writer.expectOutline('1 Wall\n2 Tide tables');
    await writer.inPlanMenu(/^History/);
    await expect(page.getByText('Tide tables').first()).toBeVisible();
});
