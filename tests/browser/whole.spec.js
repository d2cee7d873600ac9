import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { planOf, test } from './writer.js';

test('all that one has goes out whole, and comes in again beside it', async ({ page }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    await writer.mark(/Tide/);
    await writer.type('[Enter]', '[End]', ' tables', '[Escape]');
    await writer.saved();
    await page.goto('/account');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download everything' }).click();
    const path = await (await download).path();
    const zip = { name: 'everything.zip', mimeType: 'application/zip', buffer: readFileSync(path) };
    await page.getByLabel('A zip from another Embrel').setInputFiles(zip);
    await page.getByRole('button', { name: 'Take everything in' }).click();
    await expect(page.getByRole('status')).toHaveText('One plan is here now.');
    await page.getByRole('link', { name: 'Look at the plans' }).click();
    await expect(page.getByRole('link', { name: 'Marsh', exact: true })).toHaveCount(2);
    await page.getByRole('link', { name: 'Marsh', exact: true }).first().click();
    await writer.expectOutline('1 Wall\n2 Tide tables');
    await writer.inPlanMenu(/^History/);
    await expect(page.getByText('Tide tables').first()).toBeVisible();
});
