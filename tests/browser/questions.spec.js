import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

const dialog = (page) => page.getByRole('dialog', { name: /^Questions/ });
const rows = (page) => dialog(page).getByRole('listitem');

async function ask(page, name) {
    await page.getByRole('treeitem', { name }).click({ button: 'right' });
    await page.getByRole('button', { name: 'Ask about it…' }).click();
    await expect(rows(page)).toHaveCount(6);
}

test('questions of a topic are kept as part, loose idea and in the note by a key, let go, and never come twice', async ({ page }) => {
    await planOf(page, 'Asked', 'Harbour', '\tThe flood of 1953', 'Market');
    await ask(page, 'The flood of 1953');
    await expect(dialog(page)).toHaveAccessibleName('Questions about “1.1 The flood of 1953”');
    await expect(rows(page).first()).toContainText('1953');
    expect(await findings(page)).toEqual([]);
    const texts = await rows(page).locator('p').allTextContents();
    // The keyboard is at the first: letters take it, and go on to the next.
    await page.keyboard.press('p');
    await page.keyboard.press('l');
    await page.keyboard.press('n');
    await page.keyboard.press('Delete');
    await expect(rows(page)).toHaveCount(2);
    await page.keyboard.press('ArrowDown');
    await rows(page).nth(1).getByRole('button', { name: /Let go/ }).click();
    await rows(page).first().getByRole('button', { name: /Let go/ }).click();
    // Others come when all are answered.
    await expect(rows(page)).toHaveCount(6);
    for (const text of await rows(page).locator('p').allTextContents()) {
        expect(texts).not.toContain(text);
    }
    await dialog(page).getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('treeitem', { name: texts[0] })).toBeVisible();
    await page.getByRole('treeitem', { name: 'The flood of 1953' }).click();
    await page.keyboard.press('n');
    await expect(page.getByRole('textbox', { name: /Note/ }).locator('.question')).toHaveText(texts[2]);
    await expect(page.locator('#note')).not.toContainText(texts[3]);
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Gather' }).click();
    await expect(page.getByRole('option', { name: texts[1] })).toBeVisible();
    // Each is one step.
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Outline' }).click();
    await page.getByRole('treeitem', { name: 'Market' }).click();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('treeitem', { name: texts[0] })).toHaveCount(0);
    // What was let go can be asked again.
    await ask(page, 'The flood of 1953');
    await dialog(page).getByRole('button', { name: 'Ask all again' }).click();
    await expect(rows(page).first()).toContainText(texts[0]);
});

test('Gather asks one question at a time, and what is typed is an idea; an empty section in Draft can be asked about', async ({ page }) => {
    const writer = await planOf(page, 'Asked too', 'Harbour', 'Market', 'What to do next');
    await writer.view('Gather');
    await page.getByRole('button', { name: 'Ask me something' }).click();
    const asks = page.locator('#gather-asks');
    await expect(asks).toContainText('?');
    const first = await asks.textContent();
    await expect(page.getByRole('textbox', { name: 'An idea' })).toBeFocused();
    await page.keyboard.type('The mill pays for the wall');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('option', { name: 'The mill pays for the wall' })).toBeVisible();
    await expect(asks).not.toHaveText(first ?? '');
    const second = await asks.textContent();
    await page.getByRole('button', { name: 'Another question' }).click();
    await expect(asks).not.toHaveText(second ?? '');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Ask no more' }).click();
    await expect(asks).toBeHidden();
    await writer.view('Draft');
    await page.getByRole('button', { name: 'Ask me about Market' }).click();
    await expect(dialog(page)).toHaveAccessibleName('Questions about “2 Market”');
    await expect(rows(page)).toHaveCount(6);
    await page.keyboard.press('n');
    await page.keyboard.press('Escape');
    await expect(page.locator('[data-topic] .question')).toHaveCount(1);
});

test('where Check finds nothing written, it offers questions', async ({ page }) => {
    const writer = await planOf(page, 'Asked in Check', 'Tide', '  Mud', 'Wall', 'Eels');
    await writer.mark(/Mud/);
    await writer.type('[n]');
    await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
    await writer.type('Down in the mud.', '[Escape]');
    await writer.saved();
    await writer.view('Check');
    await page.getByRole('button', { name: 'The last section is empty', exact: true }).focus();
    await writer.type('[q]');
    await expect(dialog(page)).toHaveAccessibleName('Questions about “3 Eels”');
    await expect(rows(page)).toHaveCount(6);
    await page.keyboard.press('n');
    await page.getByRole('button', { name: 'Close' }).click();
    await writer.view('Outline');
    await page.getByRole('treeitem', { name: /Eels/ }).click();
    await writer.type('[n]');
    await expect(page.getByRole('textbox', { name: 'Note' }).locator('.question')).toHaveCount(1);
});
