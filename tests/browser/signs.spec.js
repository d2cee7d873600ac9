import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

const row = (page, name) => page.getByRole('treeitem', { name });
const menu = (page) => page.getByRole('dialog', { name: 'Topic: Harbour' });

test('a sign is searched for by words, stands in Outline and on the map, and is taken back', async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    const writer = await planOf(page, 'Signs', 'Harbour', '\tBoats', 'Market');
    const open = async () => {
        await row(page, 'Harbour').click({ button: 'right' });
        await expect(menu(page)).toBeVisible();
    };
    await open();
    const words = menu(page).getByLabel('Search for a sign');
    await words.fill('xylophone');
    await expect(menu(page).getByText('No sign is called so.')).toBeVisible();
    await words.fill('ship');
    const found = menu(page).getByRole('group', { name: 'Signs' });
    await expect(found.getByRole('button', { name: 'anchor' })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await found.getByRole('button', { name: 'anchor' }).click();
    await expect(row(page, 'Harbour').locator('.k.sign svg path')).toHaveAttribute('d', /^M/);
    await expect(row(page, /Harbour.*sign anchor/)).toBeVisible();
    await writer.view('Map');
    await expect(page.locator('#ground .topic-sign')).toHaveAttribute('d', /^M/);
    await page.reload();
    await expect(page.locator('#ground .topic-sign')).toHaveAttribute('d', /^M/);
    await writer.view('Outline');
    // The first that is found is taken by Enter.
    await open();
    await menu(page).getByLabel('Search for a sign').fill('lighthouse');
    await expect(found.getByRole('button').first()).toHaveAccessibleName('lighthouse');
    await page.keyboard.press('Enter');
    await expect(row(page, /Harbour.*sign lighthouse/)).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(row(page, /Harbour.*sign anchor/)).toBeVisible();
    await open();
    await menu(page).locator('[data-part=sign]').getByRole('button', { name: 'none' }).click();
    await expect(row(page, 'Harbour').locator('.k.sign')).toHaveCount(0);
});
