import { execFileSync } from 'node:child_process';
import { expect } from '@playwright/test';
import { gate, test, Writer } from './writer.js';

test('from sign-up to a downloaded document', async ({ page }, info) => {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('The Ferry at Low Marl');
    await page.getByRole('textbox', { name: 'First topic' }).fill('Why there is a ferry');
    await writer.type('[Enter]', 'Who rows it', '[Tab]', '[Enter]', 'What it costs', '[Enter]', '[Shift+Tab]', 'The bridge that never came', '[Escape]');
    await writer.expectOutline('1 Why there is a ferry\n  1.1 Who rows it\n  1.2 What it costs\n2 The bridge that never came');

    await writer.mark(/Who rows it/);
    await writer.type('[n]');
    await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toBeFocused();
    await writer.type('Three families, ', '[Control+b]', 'in turn', '[Control+b]', '.', '[Enter]', '- the Coles', '[Enter]', 'the Yarrows');
    await expect(page.locator('#note li')).toHaveCount(2);
    await writer.saved();
    await expect(page.locator('#note-words')).toHaveText('8 words');

    await writer.type('[Escape]', '[Escape]');
    await writer.mark(/The bridge/);
    await writer.type('[Alt+ArrowUp]');
    await writer.expectOutline('1 The bridge that never came\n2 Why there is a ferry\n  2.1 Who rows it\n  2.2 What it costs');
    await writer.saved();

    await page.getByRole('link', { name: 'Hand over' }).click();
    await expect(page.getByLabel('Preview').getByText('Three families,')).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Download the draft' }).click();
    const file = info.outputPath('draft.docx');
    await (await download).saveAs(file);
    expect((await download).suggestedFilename()).toBe('The Ferry at Low Marl.docx');
    const xml = execFileSync('unzip', ['-p', file, 'word/document.xml'], { encoding: 'utf8' });
    const paragraphs = [...xml.matchAll(/<w:p>.*?<\/w:p>/g)].map(([p]) => ({
        style: /w:pStyle w:val="([^"]+)"/.exec(p)?.[1] ?? '', text: [...p.matchAll(/<w:t [^>]*>([^<]*)<\/w:t>/g)].map((m) => m[1]).join(''),
    }));
    const of = (style) => paragraphs.filter((one) => one.style === style).map((one) => one.text);
    expect(of('Heading1')).toEqual(['The bridge that never came', 'Why there is a ferry']);
    expect(of('Heading2')).toEqual(['Who rows it', 'What it costs']);
    expect(of('TOC1')).toEqual(['1 The bridge that never came2', '2 Why there is a ferry2']);
    expect(of('ListBullet')).toEqual(['the Coles', 'the Yarrows']);
    expect(paragraphs.map((one) => one.text)).toContain('Three families, in turn.');
    expect(writer.problems).toEqual([]);
});

test('undo and redo survive a reload', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('Undone');
    await page.getByRole('textbox', { name: 'First topic' }).fill('One');
    await writer.type('[Enter]', 'Two', '[Enter]', 'Three', '[Escape]');
    await writer.mark(/Two/);
    await writer.type('[Delete]');
    await writer.expectOutline('1 One\n2 Three');
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1 One\n2 Three');
    await page.getByRole('banner').getByRole('button', { name: /^Undo:/ }).click();
    await writer.expectOutline('1 One\n2 Two\n3 Three');
    await page.getByRole('banner').getByRole('button', { name: /^Redo:/ }).click();
    await writer.expectOutline('1 One\n2 Three');
    await page.reload();
    await writer.type('[Control+z]');
    await writer.expectOutline('1 One\n2 Two\n3 Three');
    expect(writer.problems).toEqual([]);
});

test('nothing is lost while the server is away', async ({ page, context }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('Cut off');
    await page.getByRole('textbox', { name: 'First topic' }).fill('Before');
    await writer.type('[Enter]');
    await writer.saved();
    await context.setOffline(true);
    await writer.type('During', '[Enter]', 'Still during');
    await expect(page.locator('#saved')).toHaveText(/^Not connected: \d+ changes kept here$/);
    await context.setOffline(false);
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1 Before\n2 During\n3 Still during');
});

test('what a closed tab had not sent goes out with the next one', async ({ page, context }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('Closed too soon');
    await page.getByRole('textbox', { name: 'First topic' }).fill('Sent');
    await writer.type('[Enter]');
    await writer.saved();
    const address = page.url();
    await page.route('**/operations', (route) => route.abort());
    await writer.type('Kept in the browser', '[Escape]');
    await expect(page.locator('#saved')).toHaveText(/^Not connected/);
    await page.close();
    const next = await context.newPage();
    const later = new Writer(next);
    await next.goto(address);
    await later.expectOutline('1 Sent\n2 Kept in the browser');
});

test('two pages see each other’s changes', async ({ page, context }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('Shared');
    await page.getByRole('textbox', { name: 'First topic' }).fill('First');
    await writer.type('[Enter]', 'Second', '[Escape]');
    await writer.saved();
    const other = new Writer(await context.newPage());
    await other.page.goto(page.url());
    await other.mark(/First/);
    await other.type('[F2]', ' changed', '[Escape]');
    await other.saved();
    await writer.expectOutline('1 First changed\n2 Second');
});

/** Opens a page while its scripts are on their way; what is returned lets them come. */
async function early(page, address) {
    const { until, open } = gate();
    await page.route(/\/build\/assets\/app-[^/]*\.js$/, async (route) => { await until; await route.continue(); });
    await page.goto(address, { waitUntil: 'commit' });
    return open;
}

test('Enter before the scripts of a page have come takes nothing away', async ({ page }) => {
    const come = await early(page, '/');
    const field = page.getByRole('textbox', { name: 'First topic' });
    await field.fill('Tide');
    await field.press('Enter');
    come();
    await expect(page.getByText('What is the first thing that your piece has to say?')).toBeVisible();
    await expect(field).toHaveValue('Tide');
    await expect(async () => {
        await field.press('Enter');
        await expect(page.getByRole('form', { name: 'Begin here' }).getByRole('listitem')).toHaveText(['Tide']);
    }).toPass();
});

test('what is typed, ticked and picked before the scripts of a page have come is kept', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    const tree = page.getByLabel('The tree that it makes');
    let come = await early(page, '/intake');
    await page.getByLabel(/paste text/).fill('1. Tide\n\t1.1 Mud');
    await page.getByLabel('Take typed numbers off the titles').check();
    await page.getByLabel('Title of the plan').fill('Typed early');
    come();
    await expect(tree.getByText('Mud', { exact: true })).toBeVisible();
    await expect(page.getByLabel(/paste text/)).toHaveValue('1. Tide\n\t1.1 Mud');
    await expect(page.getByLabel('Title of the plan')).toHaveValue('Typed early');
    come = await early(page, '/intake');
    await page.getByLabel('File', { exact: true }).setInputFiles({ name: 'early.txt', mimeType: 'text/plain', buffer: Buffer.from('Wall\n\tStone') });
    come();
    await expect(tree.getByText('Stone', { exact: true })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('text is taken in as a plan after it was shown', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await page.getByRole('link', { name: 'From a file' }).click();
    await page.getByLabel(/paste text/).fill('1. Tide\n\t1.1 Mud\n\t1.2 Sand\n2. Wall');
    await expect(page.getByLabel('The tree that it makes').getByRole('listitem').filter({ hasText: '1.1 Mud' })).toBeVisible();
    await page.getByLabel('Take typed numbers off the titles').check();
    await expect(page.getByLabel('The tree that it makes').getByText('Mud', { exact: true })).toBeVisible();
    await page.getByLabel('Title of the plan').fill('Taken in');
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.expectOutline('1 Tide\n  1.1 Mud\n  1.2 Sand\n2 Wall');
    await writer.inPlanMenu('Bring in a file or text…');
    writer.expectRefused(/^422 POST \/intake/);
    await page.getByLabel('File', { exact: true }).setInputFiles({ name: 'broken.opml', mimeType: 'text/xml', buffer: Buffer.from('<opml><body><outline') });
    await expect(page.getByRole('alert').filter({ hasText: 'not well-formed or incomplete' })).toBeVisible();
    expect(writer.problems).toEqual([]);
});
