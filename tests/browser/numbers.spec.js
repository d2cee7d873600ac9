import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

test('a numbering of one’s own is typed by keyboard, seen, kept, used, and taken back in one step', async ({ page }) => {
    const writer = await planOf(page, 'Statute', 'Wall', '  Clay', '  Stone', 'Tide');
    await writer.saved();
    writer.expectRefused(/^422 POST \/number-forms\/preview$/);
    const open = async () => {
        await page.getByRole('button', { name: /^Numbers/ }).click();
        await page.getByRole('dialog', { name: 'Numbers' }).getByRole('button', { name: 'own…' }).press('Enter');
    };
    await open();
    const dialog = page.getByRole('dialog', { name: 'Numbers of your own' });
    await expect(dialog.getByText('§ 1 § 2 § 3')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    const level = (/** @type {number} */ n) => dialog.getByRole('textbox', { name: `Level ${n}` });

    await level(1).fill('Part');
    await expect(dialog.getByRole('alert')).toHaveText('“Part” has no count in it. Write it in braces, as {1}.');
    await level(1).press('Enter');
    await expect(dialog).toBeVisible();
    await level(1).fill('Part {One}');
    await level(2).fill('{1}.{a}');
    await level(3).fill('');
    await expect(dialog.getByText('Part One Part Two Part Three')).toBeVisible();
    await expect(dialog.getByText('1.a 1.b 1.c')).toBeVisible();
    await expect(dialog.getByRole('alert')).toBeEmpty();
    await dialog.getByLabel('Keep it under the name').fill('Law');
    await dialog.getByRole('button', { name: 'Keep', exact: true }).press('Enter');
    await expect(dialog.getByLabel('Begin from')).toHaveValue('Law');
    await level(1).press('Enter');
    await expect(dialog).toBeHidden();
    await writer.expectOutline('Part One Wall\n  1.a Clay\n  1.b Stone\nPart Two Tide');

    await page.getByRole('banner').getByRole('button', { name: /^Undo/ }).click();
    await writer.expectOutline('1 Wall\n  1.1 Clay\n  1.2 Stone\n2 Tide');
    await open();
    await dialog.getByLabel('Begin from').selectOption('Law');
    await expect(level(1)).toHaveValue('Part {One}');
    await dialog.getByRole('button', { name: 'Remove' }).click();
    await expect(dialog.getByRole('option', { name: 'Law' })).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});
