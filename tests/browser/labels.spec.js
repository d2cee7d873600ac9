import { expect, test } from '@playwright/test';
import { planOf } from './writer.js';

const labelsOf = (writer, row) => writer.row(row).locator('.label').allTextContents().then((all) => all.map((one) => one.trim()));

test('labels are put on by key and menu, shown in outline and map, found, filtered, undone', async ({ page }) => {
    const writer = await planOf(page, 'Labelled', 'Wall', '  Stone', '  Clay', 'Tide');
    await writer.mark(/Stone/);
    await writer.type('[Shift+ArrowDown]', '[k]');
    const menu = page.getByRole('dialog', { name: /^Topic:/ });
    await expect(menu.getByRole('textbox', { name: 'Another label' })).toBeFocused();
    await writer.type('field, archive', '[Enter]');
    await expect(menu.getByRole('group', { name: 'Labels' }).getByRole('button', { pressed: true })).toHaveText(['archive', 'field']);
    await writer.type('[Escape]');
    await expect.poll(() => labelsOf(writer, /Stone/)).toEqual(['archive', 'field']);
    await expect.poll(() => labelsOf(writer, /Clay/)).toEqual(['archive', 'field']);
    await expect(writer.row(/1\.2 Clay archive field/)).toBeVisible();
    await writer.mark(/Stone/);
    await writer.type('[k]');
    await menu.getByRole('button', { name: 'archive' }).click();
    await writer.type('[Escape]');
    await expect.poll(() => labelsOf(writer, /Stone/)).toEqual(['field']);
    await writer.saved();
    await page.reload();
    await expect.poll(() => labelsOf(writer, /Clay/)).toEqual(['archive', 'field']);

    // Only what carries one.
    await page.getByRole('button', { name: /^Only/ }).click();
    await page.getByRole('dialog', { name: 'Only' }).getByRole('button', { name: 'archive' }).click();
    await writer.type('[Escape]');
    await writer.expectOutline('1 Wall\n  1.2 Clay');
    await expect(page.locator('#crumbs')).toContainText('Only archive: 1 topic');
    await page.getByRole('button', { name: 'Show all' }).click();

    // Found by its name.
    await writer.type('[Control+f]', 'archiv');
    await expect(page.locator('#find-count')).toHaveText('1 found');
    await writer.type('[Enter]');
    await expect(writer.row(/Clay/)).toHaveAttribute('aria-selected', 'true');
    await expect(page.locator('#note')).toBeHidden();
    await writer.type('[Escape]');

    await page.getByRole('link', { name: 'Map', exact: true }).click();
    await expect(page.getByRole('treeitem', { name: '1.2 Clay archive field' })).toBeVisible();
    await expect(page.locator('.leaf .label-sign')).toHaveCount(3);
    await page.getByRole('link', { name: 'Outline', exact: true }).click();
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Took the label “archive” off/ }).click();
    await expect.poll(() => labelsOf(writer, /Stone/)).toEqual(['archive', 'field']);
    expect(writer.problems).toEqual([]);
});

test('the labels of a plan are called otherwise, dyed, made one, and taken away', async ({ page }) => {
    const writer = await planOf(page, 'Listed', 'Wall', 'Tide');
    await page.locator('#title').click();
    await page.getByRole('menuitem', { name: 'Labels' }).click();
    const list = page.getByRole('dialog', { name: 'Labels' });
    await expect(list).toContainText('Press K on a topic');
    await list.getByRole('button', { name: 'Close' }).click();
    for (const [row, label] of [[/Wall/, 'field'], [/Tide/, 'on site']]) {
        await writer.mark(row);
        await writer.type('[k]', label, '[Enter]', '[Escape]');
    }
    await page.locator('#title').click();
    await page.getByRole('menuitem', { name: /Labels.*field, on site/ }).click();
    await list.getByRole('combobox', { name: 'Dye of field' }).selectOption('orchil');
    await list.getByRole('textbox', { name: 'Name of the label field' }).fill('Field work');
    await writer.type('[Tab]');
    await expect.poll(() => labelsOf(writer, /Wall/)).toEqual(['Field work']);
    await list.getByRole('textbox', { name: 'Name of the label on site' }).fill('field WORK');
    await writer.type('[Tab]');
    await expect(page.getByRole('status').filter({ hasText: 'are one label now' })).toBeVisible();
    await expect.poll(() => labelsOf(writer, /Tide/)).toEqual(['Field work']);
    await expect(list.getByRole('button', { name: 'Show only what is labelled Field work: 2 topics' })).toBeVisible();
    await expect(list.getByRole('combobox', { name: 'Dye of Field work' })).toHaveValue('orchil');
    await writer.saved();
    await page.reload();
    await expect.poll(() => labelsOf(writer, /Tide/)).toEqual(['Field work']);
    await page.locator('#title').click();
    await page.getByRole('menuitem', { name: /Labels/ }).click();
    await list.getByRole('button', { name: 'Take away the label Field work' }).click();
    await page.getByRole('dialog', { name: 'Take “Field work” away?' }).getByRole('button', { name: 'Take away' }).click();
    await expect.poll(() => labelsOf(writer, /Wall/)).toEqual([]);
    await list.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Took the label/ }).click();
    await expect.poll(() => labelsOf(writer, /Wall/)).toEqual(['Field work']);
    expect(writer.problems).toEqual([]);
});
