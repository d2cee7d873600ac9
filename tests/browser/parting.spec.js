import { expect } from '@playwright/test';
import { findings, planOf, share, test, Writer } from './writer.js';

/** What is hidden, as the text that was read while one writes in it, is not there. */
const SEEN = { useInnerText: true };

const part = (page, name) => page.getByRole('region', { name });
const text = (page) => page.locator('#draft .ProseMirror');

/** Goes into the text of a section where some words stand, and waits until it has come. */
async function goInto(page, words) {
    await page.locator('#draft .read').getByText(words).click();
    await expect(text(page)).toBeFocused();
    await expect(text(page)).toContainText(words);
}

/** A plan with text in its sections, open in Draft. */
async function drafted(page, title, notes) {
    const writer = await planOf(page, title, ...Object.keys(notes));
    await writer.view('Draft');
    for (const [name, words] of Object.entries(notes)) {
        await part(page, new RegExp(name)).getByRole('button', { name: /^Write in/ }).click();
        await expect(text(page)).toBeFocused();
        for (const [i, line] of words.entries()) {
            i > 0 && (await page.keyboard.press('Enter'));
            await page.keyboard.type(line);
        }
    }
    await page.keyboard.press('Escape');
    await writer.saved();
    return writer;
}

test('a part of a note goes to another section by key, and comes back in one step', async ({ page }) => {
    const writer = await drafted(page, 'Parts', { Wall: ['The wall is old.', 'The tide is high.'], Tide: ['Twice a day.'] });
    await goInto(page, 'The tide is high.');
    await page.keyboard.press('Control+Alt+m');
    const dialog = page.getByRole('dialog', { name: 'Move this part to' });
    await dialog.getByRole('textbox').fill('tide');
    await page.keyboard.press('Enter');
    await expect(part(page, /Tide/)).toContainText(/Twice a day.\s*The tide is high./, SEEN);
    await expect(part(page, /Wall/)).not.toContainText('The tide is high.', SEEN);
    await writer.saved();
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(part(page, /Wall/)).toContainText('The tide is high.', SEEN);
    await expect(part(page, /Tide/)).not.toContainText('The tide is high.', SEEN);

    // Words that are marked within a line go alone.
    await page.keyboard.press('Escape');
    await goInto(page, 'The wall is old.');
    await page.keyboard.press('Home');
    await page.keyboard.press('Shift+End');
    for (let i = 0; i < 8; i++) {
        await page.keyboard.press('Shift+ArrowLeft');
    }
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('dialog', { name: 'More for the note' }).getByRole('button', { name: /^Move it to/ }).click();
    await dialog.getByRole('textbox').fill('2');
    await page.keyboard.press('Enter');
    await expect(part(page, /Tide/)).toContainText('The wall', SEEN);
    await expect(part(page, /Wall/)).toContainText('is old.', SEEN);
    await writer.saved();
    await page.reload();
    await expect(part(page, /Tide/)).toContainText(/Twice a day.\s*The wall/, SEEN);
    expect(writer.problems).toEqual([]);
});

test('what is marked is dragged into another section', async ({ page }) => {
    const writer = await drafted(page, 'Dragging', { Wall: ['The wall is old.', 'The tide is high.'], Tide: ['Twice a day.'] });
    await goInto(page, 'The tide is high.');
    const line = text(page).getByText('The tide is high.');
    await line.click({ clickCount: 3 });
    const from = await line.boundingBox();
    const to = await part(page, /Tide/).getByText('Twice a day.').boundingBox();
    await page.mouse.move(from.x + 30, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(from.x + 60, from.y + from.height / 2 + 10, { steps: 4 });
    await page.mouse.move(to.x + 20, to.y + to.height / 2, { steps: 8 });
    await page.mouse.up();
    await expect(part(page, /Tide/)).toContainText(/Twice a day.\s*The tide is high./, SEEN);
    await expect(part(page, /Wall/)).not.toContainText('The tide is high.', SEEN);
    expect(writer.problems).toEqual([]);
});

test('a heading typed in the text becomes a section with what follows it; the text reads on as before', async ({ page }) => {
    const writer = await drafted(page, 'Headings', { Wall: ['The wall is old.', '## Stone', 'It is grey.'], Tide: ['Twice a day.'] });
    await goInto(page, 'Stone');
    await page.keyboard.press('Control+Alt+h');
    await expect(part(page, /1.1 Stone/)).toContainText('It is grey.', SEEN);
    await expect(part(page, /^1 Wall/)).not.toContainText('It is grey.', SEEN);
    await writer.saved();
    await writer.view('Outline');
    await writer.expectOutline('1 Wall\n  1.1 Stone\n2 Tide');
    await page.getByRole('banner').getByRole('button', { name: /^Undo/ }).click();
    await writer.expectOutline('1 Wall\n2 Tide');
    await writer.view('Draft');
    await expect(part(page, /Wall/)).toContainText(/The wall is old.\s*Stone\s*It is grey./, SEEN);
    expect(writer.problems).toEqual([]);
});

test('the outline stands beside the text and follows; a section is reached by number; words of today; hits in place', async ({ page }) => {
    const lines = Array.from({ length: 14 }, (_, i) => `Line ${i} of the creek.`);
    const writer = await drafted(page, 'Beside', { Wall: lines, Tide: lines, Sand: ['At the end of the creek.'] });
    await page.getByRole('button', { name: 'Outline beside' }).click();
    const beside = page.getByRole('navigation', { name: 'Sections of the text' });
    await beside.getByRole('button', { name: '2 Tide' }).click();
    await expect(beside.getByRole('button', { name: '2 Tide' })).toHaveAttribute('aria-current', 'true');
    await expect(part(page, /2 Tide/).locator('.draft-title')).toBeFocused();
    expect(await findings(page)).toEqual([]);
    await page.keyboard.press('Alt+g');
    await page.getByRole('dialog', { name: 'Go to a section' }).getByRole('textbox').fill('1');
    await page.keyboard.press('Enter');
    await expect(part(page, /1 Wall/)).toBeInViewport();
    await expect(page.getByText(/146 written today/)).toBeVisible();

    await page.keyboard.press('Control+f');
    await page.keyboard.type('creek');
    await expect(page.getByText('29 found')).toBeVisible();
    await expect(page.locator('#draft')).toBeVisible();
    await expect.poll(() => page.evaluate(() => CSS.highlights.get('found').size)).toBe(29);
    await page.keyboard.press('Shift+Enter');
    await expect(page.getByText('29 of 29', { exact: true })).toBeVisible();
    await expect(part(page, /3 Sand/)).toBeInViewport();
    await expect.poll(() => page.evaluate(() => CSS.highlights.get('found-now').size)).toBe(1);
    await page.keyboard.press('Escape');
    await expect(page.locator('#draft')).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('who writes in the same paragraph later sees that somebody writes there, and both texts are kept', async ({ page, browser }) => {
    const writer = await drafted(page, 'One paragraph', { Wall: ['The wall is old.'] });
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const other = new Writer(await context.newPage());
    await other.signUp('Ola Lind');
    share(page, other.email, 'writes');
    await other.page.goto(page.url());
    await goInto(other.page, 'The wall is old.');
    await goInto(page, 'The wall is old.');
    await page.keyboard.press('End');
    await other.page.keyboard.press('Home');
    await other.page.keyboard.type('Yes: ');
    await expect(page.getByText('Ola Lind writes in this paragraph too. What both of you write is kept.')).toBeVisible();
    await page.keyboard.type(' And grey.');
    await expect(text(other.page)).toHaveText('Yes: The wall is old. And grey.');
    await expect(text(page)).toHaveText('Yes: The wall is old. And grey.');
    expect([...writer.problems, ...other.problems]).toEqual([]);
    await context.close();
});

test('by touch: a part of a note goes to another section by its menu', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true, isMobile: true });
    const page = await context.newPage();
    const writer = await drafted(page, 'Touched', { Wall: ['The wall is old.', 'The tide is high.'], Tide: ['Twice a day.'] });
    await page.locator('#draft .read').getByText('The tide is high.').tap();
    await expect(text(page)).toContainText('The tide is high.');
    await page.getByRole('button', { name: 'More for the note' }).tap();
    await page.getByRole('dialog', { name: 'More for the note' }).getByRole('button', { name: /^Move it to/ }).tap();
    const dialog = page.getByRole('dialog', { name: 'Move this part to' });
    await dialog.getByRole('textbox').fill('tide');
    await dialog.getByRole('button', { name: /Tide/ }).tap();
    await expect(part(page, /Tide/)).toContainText(/Twice a day.\s*The tide is high./, SEEN);
    await expect(part(page, /Wall/)).not.toContainText('The tide is high.', SEEN);
    expect(writer.problems).toEqual([]);
    await context.close();
});
