import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

const note = (page) => page.getByRole('textbox', { name: 'Note', exact: true });

test('a plan is kept as a pattern, another is started from it, and it is removed', async ({ page }) => {
    const writer = await planOf(page, 'Field report', 'Wall', '  Clay', 'Tide');
    await writer.saved();
    await page.getByRole('button', { name: 'Field report', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Keep as a pattern…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Keep as a pattern' });
    await expect(dialog.getByLabel('Name')).toHaveValue('Field report');
    await dialog.getByLabel('Name').fill('Survey');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: '“Survey” is kept as a pattern.' })).toBeVisible();

    await page.goto('/plans');
    await page.getByRole('textbox', { name: 'What are you going to write?' }).fill('The creek');
    await page.getByRole('button', { name: 'From a pattern' }).click();
    const own = page.getByRole('radio', { name: /Survey/ });
    await own.check();
    await expect(page.getByText('3 topics', { exact: true })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Start a plan' }).click();
    await writer.expectOutline('1 Wall\n  1.1 Clay\n2 Tide');

    await page.goto('/plans');
    await page.getByRole('button', { name: 'From a pattern' }).click();
    await own.check();
    await page.getByRole('button', { name: 'Remove the pattern Survey' }).click();
    await expect(page.getByText('The pattern “Survey” is removed.')).toBeVisible();
    await page.getByRole('button', { name: 'From a pattern' }).click();
    await expect(own).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('a branch is kept as a pattern and set below another topic, by keyboard, in one step', async ({ page }) => {
    const writer = await planOf(page, 'Branches', 'Wall', '  Clay', '  Stone', 'Tide');
    await writer.saved();
    await writer.row(/Wall/).getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('dialog', { name: 'Topic: Wall' }).getByRole('button', { name: 'Keep as a pattern…' }).click();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog', { name: 'Keep as a pattern' })).toBeHidden();
    await writer.row(/Tide/).getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('dialog', { name: 'Topic: Tide' }).getByRole('button', { name: 'Set a pattern below it…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Set a pattern below “Tide”' });
    await expect(dialog.getByRole('radio', { name: /Wall/ })).toBeFocused();
    expect(await findings(page)).toEqual([]);
    await page.keyboard.press('Enter');
    await writer.expectOutline('1 Wall\n  1.1 Clay\n  1.2 Stone\n2 Tide\n  2.1 Clay\n  2.2 Stone');
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Added/ }).click();
    await writer.expectOutline('1 Wall\n  1.1 Clay\n  1.2 Stone\n2 Tide');
    expect(writer.problems).toEqual([]);
});

test('a question in a note is answered below it, counts no words, and is in no draft', async ({ page }) => {
    const writer = await planOf(page, 'Questions', 'Wall');
    await writer.saved();
    await writer.mark(/Wall/);
    await writer.type('n', 'Who built it?');
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('dialog', { name: 'More for the note' }).getByRole('button', { name: 'Question to answer' }).click();
    await expect(note(page).locator('.question')).toHaveText('Who built it?');
    await writer.type('[End]', '[Enter]', 'The parishes did.');
    await expect(note(page).locator('p:not(.question)')).toHaveText('The parishes did.');
    await writer.saved();
    await expect(writer.row(/Wall/)).toHaveAccessibleName(/3 words/);
    await page.reload();
    await writer.mark(/Wall/);
    await writer.type('n');
    await expect(note(page).locator('.question')).toHaveText('Who built it?');
    const plan = page.url();
    const draft = await page.request.get(`${plan}/hand-over/file?format=md`);
    expect(await draft.text()).toContain('The parishes did.');
    expect(await draft.text()).not.toContain('Who built it?');
    // A question is taken back to text where it stands.
    await note(page).locator('.question').click();
    await page.keyboard.press('Home');
    await page.keyboard.press('Backspace');
    await expect(note(page).locator('.question')).toHaveCount(0);
    await writer.view('Draft');
    await expect(page.locator('#draft')).toContainText('Who built it?');
    expect(writer.problems).toEqual([]);
});

test('by touch: a branch is kept as a pattern, and set at the end of the plan', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const page = await context.newPage();
    const writer = await planOf(page, 'Touch', 'Wall', '  Clay', 'Tide');
    await writer.saved();
    await writer.row(/Wall/).tap();
    await writer.row(/Wall/).getByRole('button', { name: /^More for/ }).tap();
    await page.getByRole('dialog', { name: 'Topic: Wall' }).getByRole('button', { name: 'Keep as a pattern…' }).tap();
    await page.getByRole('dialog', { name: 'Keep as a pattern' }).getByRole('button', { name: 'Keep it' }).tap();
    await expect(page.getByRole('status').filter({ hasText: '“Wall” is kept as a pattern.' })).toBeVisible();
    await page.getByRole('button', { name: 'Touch', exact: true }).tap();
    await page.getByRole('menuitem', { name: 'Set a pattern at its end…' }).tap();
    const dialog = page.getByRole('dialog', { name: /^Set a pattern/ });
    await dialog.getByRole('radio', { name: /Wall/ }).check();
    expect(await findings(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Set it' }).tap();
    await writer.expectOutline('1 Wall\n  1.1 Clay\n2 Tide\n3 Clay');
    expect(writer.problems).toEqual([]);
    await context.close();
});
