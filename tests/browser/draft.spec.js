import { execFileSync } from 'node:child_process';
import { expect } from '@playwright/test';
import { findings, planOf, share, test, Writer } from './writer.js';

const text = (page) => page.getByRole('textbox', { name: 'Note' });
const region = (page, name) => page.getByRole('region', { name, exact: true });
const headings = (page) =>
    page
        .getByRole('main')
        .getByRole('heading')
        .evaluateAll((all) => all.filter((one) => one.checkVisibility() && one.tagName !== 'H1').map((one) => one.textContent.trim()));
/** Where the caret is: in which section, and whether in its title or its text. */
const where = (page) =>
    page.evaluate(() => {
        const here = document.activeElement;
        const section = here.closest('[data-topic]')?.querySelector('.draft-head')?.textContent.trim() ?? '';
        const part = here.matches('.draft-title') ? 'title' : here.matches('.ProseMirror') ? 'text' : here.className;
        return `${section} ${part}`;
    });

async function draftOf(page, ...lines) {
    const writer = await planOf(page, 'The text', ...lines);
    await writer.view('Draft');
    await expect(page.getByRole('heading', { name: /Wall/ }).first()).toBeVisible();
    return writer;
}

test('the text is written from one section into the next and back by the keys', async ({ page }) => {
    const writer = await draftOf(page, 'Wall', '  Stone', 'Tide');
    await expect(region(page, '1 Wall')).toContainText('Nothing written here yet. One section follows.');
    await region(page, '1 Wall').locator('.draft-title').click();
    await writer.type('[End]', '[Enter]');
    await expect(text(page)).toBeFocused();
    await writer.type('It stood long.', '[ArrowDown]');
    await expect.poll(() => where(page)).toBe('1.1 Stone title');
    await writer.type('[ArrowDown]', 'Chalk.', '[ArrowRight]');
    await expect.poll(() => where(page)).toBe('2 Tide title');
    await writer.type('[ArrowUp]');
    await expect.poll(() => where(page)).toBe('1.1 Stone text');
    // What is typed before the text has come goes on at its end.
    await writer.type(' And flint.');
    await expect(text(page)).toHaveText('Chalk. And flint.');
    // A key that comes within a few milliseconds of a letter can be lost to the letter.
    await expect(async () => {
        await writer.type('[Home]');
        expect(await page.evaluate(() => getSelection().focusOffset)).toBe(0);
    }).toPass();
    await writer.type('[ArrowLeft]');
    await expect.poll(() => where(page)).toBe('1.1 Stone title');
    // It is saved meanwhile, and the keyboard stays in the title.
    await writer.saved();
    await expect.poll(() => where(page)).toBe('1.1 Stone title');
    await writer.type('[ArrowUp]', '!');
    await expect(region(page, '1 Wall')).toContainText('It stood long.!');
    await writer.saved();
    await page.reload();
    await expect(region(page, '1 Wall')).toContainText('It stood long.!');
    await expect(region(page, '1.1 Stone')).toContainText('Chalk. And flint.');
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('titles are written in place, sections made after this one, moved and taken back', async ({ page }) => {
    const writer = await draftOf(page, 'Wall', '  Stone', 'Tide');
    await region(page, '1.1 Stone').locator('.draft-title').click();
    await writer.type('[End]', 's and clay', '[Enter]', 'Both were dug here.', '[Control+Enter]');
    await expect.poll(() => where(page)).toBe('1.2 title');
    await writer.type('Mortar', '[ArrowDown]');
    await expect.poll(() => where(page)).toBe('1.2 Mortar text');
    await writer.type('Lime.', '[Alt+ArrowUp]');
    await expect.poll(() => headings(page)).toEqual(['1 Wall', '1.1 Mortar', '1.2 Stones and clay', '2 Tide']);
    await writer.type(' And sand.');
    await writer.saved();
    await expect.poll(() => where(page)).toBe('1.1 Mortar text');
    // One that is left with nothing on it goes by itself.
    await writer.type('[Control+Enter]');
    await expect.poll(() => where(page)).toBe('1.2 title');
    await writer.type('[ArrowUp]');
    await expect.poll(() => headings(page)).toEqual(['1 Wall', '1.1 Mortar', '1.2 Stones and clay', '2 Tide']);
    await writer.type('[Escape]');
    await page
        .getByRole('banner')
        .getByRole('button', { name: /^Undo: / })
        .click();
    await writer.view('Outline');
    await writer.expectOutline('1 Wall\n  1.1 Mortar\n  1.2 Stones and clay\n2 Tide');
    expect(writer.problems).toEqual([]);
});

test('a title that is just being written is kept when one undoes, goes elsewhere or leaves', async ({ page }) => {
    const writer = await draftOf(page, 'Wall', 'Tide');
    const title = region(page, '1 Wall').locator('.draft-title');
    await title.click();
    await writer.type('[End]', 's', '[Control+z]');
    await expect.poll(() => headings(page)).toEqual(['1 Wall', '2 Tide']);
    await writer.type(' of clay');
    await writer.view('Outline');
    await writer.expectOutline('1 Wall of clay\n2 Tide');
    await writer.view('Draft');
    await region(page, '2 Tide').locator('.draft-title').click();
    await writer.type('[End]', 's');
    await page.reload();
    await expect.poll(() => headings(page)).toEqual(['1 Wall of clay', '2 Tides']);
    expect(writer.problems).toEqual([]);
});

test('what is shown is chosen: what is empty, a branch, a label; kinds are seen as they print; the menu does what it does in Outline', async ({
    page,
}) => {
    const writer = await draftOf(page, 'Wall', '  Stone', '  Clay', 'Tide');
    await page.getByRole('button', { name: 'Write in the note of Stone' }).click();
    await writer.type('Chalk.', '[Escape]');
    const show = page.getByLabel('What is shown');
    await show.selectOption('Only what is empty');
    await expect.poll(() => headings(page)).toEqual(['1 Wall', '1.2 Clay', '2 Tide']);
    await show.selectOption('2 Tide');
    await expect.poll(() => headings(page)).toEqual(['2 Tide']);
    await show.selectOption('Everything');
    await region(page, '1.2 Clay').hover();
    await page.getByRole('button', { name: 'More for Clay' }).click();
    const menu = page.getByRole('dialog', { name: 'Topic: Clay' });
    await menu.getByRole('group', { name: 'Prints as' }).getByRole('button', { name: 'aside' }).click();
    await expect(menu).toBeHidden();
    await expect(page.getByRole('button', { name: 'Write in the note of Clay' })).toBeFocused();
    await expect(region(page, 'Clay')).toContainText('left out');
    await page.getByRole('button', { name: 'More for Tide' }).click();
    await page
        .getByRole('dialog', { name: 'Topic: Tide' })
        .getByRole('button', { name: /^Remove/ })
        .click();
    await expect.poll(() => headings(page)).toEqual(['1 Wall', '1.1 Stone']);
    await page
        .getByRole('banner')
        .getByRole('button', { name: /^Undo: Removed/ })
        .click();
    await expect.poll(() => headings(page)).toEqual(['1 Wall', '1.1 Stone', '2 Tide']);
    await page.getByRole('button', { name: 'Wide', exact: true }).click();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Wide', exact: true })).toHaveAttribute('aria-pressed', 'true');
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('what another writes comes in where it stands, and nobody is disturbed; who may only read writes nothing', async ({
    page,
    browser,
}) => {
    const writer = await draftOf(page, 'Wall', 'Tide');
    const other = new Writer(await (await browser.newContext()).newPage());
    await other.signUp('Ida Lark');
    share(page, other.email, 'writes');
    await other.page.goto(new URL(page.url()).pathname);
    await page.getByRole('button', { name: 'Write in the note of Wall' }).click();
    await writer.type('It stood ');
    await other.page.getByRole('button', { name: 'Write in the note of Tide' }).click();
    await other.type('Twice a day.');
    await expect(region(page, '2 Tide')).toContainText('Twice a day.', { timeout: 20_000 });
    await expect(text(page)).toBeFocused();
    await writer.type('long.');
    await expect(region(other.page, '1 Wall')).toContainText('It stood long.', { timeout: 20_000 });
    await writer.saved();
    share(page, other.email, 'reads');
    await other.page.reload();
    await expect(region(other.page, '1 Wall')).toContainText('It stood long.');
    await region(other.page, '1 Wall').locator('.read').click();
    await expect(text(other.page)).toHaveCount(0);
    await expect(other.page.getByRole('button', { name: /^Write in/ })).toHaveCount(0);
    await expect(other.page.locator('.draft-title')).toHaveCount(0);
    expect([...writer.problems, ...other.problems]).toEqual([]);
});

test('by touch a section is written in, and a text of a thousand sections can be written at once, found, and gone to by the strip', async ({
    browser,
}) => {
    const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
    const page = await context.newPage();
    const lines = Array.from({ length: 1000 }, (_, i) => (i % 100 ? `  Part ${i}` : `Wall ${i}`));
    const writer = await draftOf(page, ...lines);
    await region(page, '1.3 Part 3').locator('.read').tap();
    await expect(text(page)).toBeFocused();
    await writer.type('Here.');
    await page
        .getByRole('navigation', { name: /sections|strip/i })
        .or(page.locator('#strip'))
        .getByText('Wall 900')
        .first()
        .tap();
    await expect(region(page, '10 Wall 900')).toBeInViewport();
    await expect(page.getByRole('region', { name: '10.99 Part 999' })).toBeAttached();
    expect(writer.problems).toEqual([]);
    await context.close();
});

test('what is shown goes by flag and label; the line that is written stays at one height; the text fills the screen and comes back', async ({
    page,
}) => {
    const writer = await planOf(page, 'The text', 'Wall', 'Tide', 'Sand');
    await writer.mark(/Tide/);
    await writer.type('k', 'field', '[Enter]', '[Escape]');
    await writer.mark(/Sand/);
    await writer.row(/Sand/).getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('dialog', { name: 'Topic: Sand' }).getByRole('group', { name: 'Flag' }).getByRole('button', { name: 'question' }).click();
    await writer.saved();
    await writer.view('Draft');
    const show = page.getByLabel('What is shown');
    await show.selectOption('field');
    await expect.poll(() => headings(page)).toEqual(['2 Tide']);
    await show.selectOption('question');
    await expect.poll(() => headings(page)).toEqual(['3 Sand']);
    await show.selectOption('Everything');

    await page.getByRole('button', { name: 'Write in the note of Wall' }).click();
    await page.getByRole('button', { name: 'Level line' }).click();
    await text(page).focus();
    const height = () =>
        page.evaluate(() => {
            const box = document.querySelector('#draft').getBoundingClientRect();
            const caret = getSelection().getRangeAt(0).cloneRange();
            const line = caret.getClientRects()[0] ?? caret.startContainer.parentElement.getBoundingClientRect();
            return (line.top - box.top) / box.height;
        });
    for (let i = 0; i < 12; i++) {
        await writer.type(`Line ${i}`);
        await expect.poll(async () => Math.abs((await height()) - 0.45)).toBeLessThan(0.08);
        await writer.type('[Enter]');
    }

    const full = page.getByRole('button', { name: 'Full screen' });
    await full.click();
    await expect(full).toHaveAttribute('aria-pressed', 'true');
    await full.click();
    await expect(full).toHaveAttribute('aria-pressed', 'false');
    expect(writer.problems).toEqual([]);
});

test('one section alone, with the text before and after in reach; a section with only a question is empty', async ({ page }) => {
    const writer = await draftOf(page, 'Wall', '  Stone', '  Clay', 'Tide');
    for (const [title, words] of [['Wall', 'It stood long.'], ['Clay', 'Soft and grey.']]) {
        await page.getByRole('button', { name: `Write in the note of ${title}` }).click();
        await writer.type(words, '[Escape]');
    }
    await page.getByRole('button', { name: 'Write in the note of Stone' }).click();
    await writer.type('Who cut it?');
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('dialog', { name: 'More for the note' }).getByRole('button', { name: 'Question to answer' }).click();
    await writer.type('[Escape]');
    await writer.saved();
    const show = page.getByLabel('What is shown');
    await show.selectOption('Only what is empty');
    await expect.poll(() => headings(page)).toEqual(['1.1 Stone', '2 Tide']);
    await show.selectOption('Everything');
    await page.getByRole('button', { name: 'Write in the note of Wall' }).click();
    await show.selectOption('One section alone');
    await expect.poll(() => headings(page)).toEqual(['1 Wall']);
    const after = page.getByRole('button', { name: '↓ 1.1 Stone Who cut it?' });
    await expect(after).toBeVisible();
    // By the keys one goes on into the next, which then stands alone.
    await text(page).click();
    await writer.type('[Control+End]', '[ArrowDown]');
    await expect.poll(() => where(page)).toBe('1.1 Stone title');
    await expect.poll(() => headings(page)).toEqual(['1.1 Stone']);
    await expect(page.getByRole('button', { name: '↑ 1 Wall It stood long.' })).toBeVisible();
    await page.getByRole('button', { name: '↓ 1.2 Clay Soft and grey.' }).click();
    await expect.poll(() => headings(page)).toEqual(['1.2 Clay']);
    await expect.poll(() => where(page)).toBe('1.2 Clay title');
    await page.keyboard.press('Alt+g');
    await page.getByRole('dialog', { name: 'Go to a section' }).getByRole('textbox').fill('2');
    await page.keyboard.press('Enter');
    await expect.poll(() => headings(page)).toEqual(['2 Tide']);
    await expect(page.getByRole('button', { name: /^↓/ })).toBeHidden();
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('what is pressed while others change its section is pressed when it is let go', async ({ page, context }) => {
    const writer = await draftOf(page, 'Wall', 'Tide');
    const other = new Writer(await context.newPage());
    await other.page.goto(page.url().replace('/draft', ''));
    await expect(other.row(/Tide/)).toBeVisible();
    const button = page.getByRole('button', { name: 'Write in the note of Tide' });
    const { x, y, width, height } = await button.boundingBox();
    await page.mouse.move(x + width / 2, y + height / 2);
    await page.mouse.down();
    await other.mark(/Tide/);
    await other.type('[F2]', 's', '[Escape]');
    await expect(page.getByRole('navigation', { name: 'Main sections' }).getByText('Tides')).toBeVisible();
    await page.mouse.up();
    await writer.type('They rose.');
    await expect(text(page)).toHaveText('They rose.');
    await expect(region(page, '2 Tides')).toBeVisible();
    expect([...writer.problems, ...other.problems]).toEqual([]);
});

test('marked text reaches over several sections and is copied; words stand beside the target; everything prints', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    const writer = new Writer(page);
    await writer.signUp();
    const sections = Array.from({ length: 300 }, (_, i) => `# Wall ${i + 1}\n\nThe text of wall ${i + 1} stands here.\n`);
    await writer.anotherPlan('Walls', ...sections);
    await writer.mark(/^2 Wall 2/);
    await writer.type('t', '200', '[Enter]');
    await writer.saved();
    await writer.view('Draft');
    await expect(region(page, '2 Wall 2').locator('.draft-words')).toHaveText('7 of 200');
    // By the mouse, from amid one section to amid another.
    // Sections are drawn anew while their texts come in.
    const box = async (n) => {
        let found = null;
        await expect.poll(async () => (found = await region(page, `${n} Wall ${n}`).locator('.read p').boundingBox())).not.toBeNull();
        return found;
    };
    await expect(region(page, '300 Wall 300')).toContainText('The text of wall 300');
    await expect(region(page, '3 Wall 3').locator('.read p')).toBeVisible();
    const [from, to] = [await box(1), await box(3)];
    await page.mouse.move(from.x + 60, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(to.x + 90, to.y + 8, { steps: 6 });
    await page.mouse.up();
    await page.keyboard.press('Control+c');
    const copied = await page.evaluate(() => navigator.clipboard.readText());
    expect(copied).toContain('The text of wall 2 stands here.');
    expect(copied).toContain('wall 1 stands here.');
    expect(copied).not.toContain('The text of wall 4');
    await region(page, '2 Wall 2').locator('.draft-title').click();
    await writer.type('[Enter]');
    await expect(page.locator('#draft-here')).toHaveText('7 of 200 words here');
    await writer.type('[Escape]');
    // On paper stands all of it, also what was never in sight.
    const file = `storage/framework/testing/print-${process.pid}.pdf`;
    await page.pdf({ path: file });
    const printed = execFileSync('pdftotext', ['-raw', file, '-'], { maxBuffer: 1e8 }).toString().replace(/\s+/g, ' ');
    for (const n of [1, 150, 300]) {
        expect(printed).toContain(`The text of wall ${n} stands here.`);
    }
    expect(writer.problems).toEqual([]);
});
