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
