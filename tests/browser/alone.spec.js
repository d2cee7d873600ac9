import { expect } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { findings, planOf, test } from './writer.js';

const MARSH = ['The marsh', '  Grazing', '  The wall of 1887', 'The breach', '  Clay', 'What remains'];

/** Hands a plan over in a format and saves the file. */
async function file(writer, label, info) {
    const { page } = writer;
    await writer.saved();
    await page.getByRole('link', { name: 'Hand over', exact: true }).click();
    await page.getByRole('radio', { name: label }).check();
    await expect(page.frameLocator('iframe').getByRole('heading').first()).toBeAttached();
    expect(await findings(page)).toEqual([]);
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: /^Download/ }).click()]);
    const path = info.outputPath(download.suggestedFilename());
    await download.saveAs(path);
    return path;
}

/** Opens a file in a browser without a network; what it asks for is a problem. */
async function open(browser, path, options = {}) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, offline: true, ...options });
    const page = await context.newPage();
    const problems = [];
    page.on('request', (request) => /^(file|data):/.test(request.url()) || problems.push(request.url()));
    page.on('pageerror', (error) => problems.push(String(error)));
    page.on('console', (message) => message.type() === 'error' && problems.push(message.text()));
    await page.goto(`file://${path}`);
    return { page, context, problems };
}

const seen = (page) => page.getByRole('treeitem').evaluateAll((rows) => rows.filter((row) => !row.hidden).map((row) => row.querySelector('.n').textContent + row.querySelector('.t').textContent));

test('one file for anyone, opened without a server: outline, notes, folding and finding by keys', async ({ page, browser }, info) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await writer.mark(/Grazing/);
    await writer.type('n', 'Sheep </script><b>were here.', '[Escape]', '[Escape]');
    const path = await file(writer, /^Page that stands alone/, info);
    const alone = await open(browser, path);
    await expect(alone.page).toHaveTitle('Marsh');
    expect(await seen(alone.page)).toEqual(['1The marsh', '1.1Grazing', '1.2The wall of 1887', '2The breach', '2.1Clay', '3What remains']);
    expect(await findings(alone.page)).toEqual([]);
    await alone.page.keyboard.press('Tab');
    await alone.page.getByRole('treeitem').first().focus();
    await alone.page.keyboard.press('ArrowLeft');
    expect(await seen(alone.page)).toEqual(['1The marsh', '2The breach', '2.1Clay', '3What remains']);
    await alone.page.keyboard.press('ArrowRight');
    await alone.page.keyboard.press('ArrowDown');
    await alone.page.keyboard.press('Enter');
    await expect(alone.page.getByText('Sheep </script><b>were here.')).toBeVisible();
    await alone.page.getByRole('button', { name: '1', exact: true }).click();
    expect(await seen(alone.page)).toEqual(['1The marsh', '2The breach', '3What remains']);
    await alone.page.getByRole('searchbox', { name: 'Find' }).fill('sheep');
    expect(await seen(alone.page)).toEqual(['1The marsh', '1.1Grazing']);
    await expect(alone.page.getByText('1 topic')).toBeVisible();
    await alone.page.getByRole('searchbox', { name: 'Find' }).fill('');
    await alone.page.getByRole('button', { name: 'Dark' }).click();
    expect(await findings(alone.page)).toEqual([]);
    // On paper stand the notes, and no tools.
    await alone.page.getByRole('button', { name: 'all', exact: true }).click();
    await alone.page.emulateMedia({ media: 'print' });
    await expect(alone.page.getByText('Sheep </script>')).toBeVisible();
    await expect(alone.page.getByRole('searchbox')).toBeHidden();
    expect(alone.problems).toEqual([]);
    await alone.context.close();
});

test('its map stands in three arrangements, goes by keys and pointer, and shows notes; its show plays', async ({ page, browser }, info) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await writer.mark(/Grazing/);
    await writer.type('n', 'Sheep were here.', '[Escape]', '[Escape]');
    const alone = await open(browser, await file(writer, /^Page that stands alone/, info), { hasTouch: true });
    await alone.page.getByRole('button', { name: 'Map' }).click();
    const map = alone.page.getByRole('group', { name: /^The map/ });
    const places = new Set();
    for (const name of ['Spine', 'Both sides', 'Round']) {
        await alone.page.getByRole('button', { name }).click();
        await expect(map.getByRole('img', { name: /Grazing/ })).toBeVisible();
        places.add(JSON.stringify(await map.getByRole('img', { name: /What remains/ }).evaluate((leaf) => leaf.style.transform)));
    }
    expect(places.size).toBe(3);
    expect(await findings(alone.page)).toEqual([]);
    const scale = () => map.locator('.stage').getAttribute('transform');
    const before = await scale();
    await map.focus();
    await alone.page.keyboard.press('+');
    await expect.poll(scale).not.toBe(before);
    for (const key of ['ArrowDown', 'ArrowDown', 'Enter']) {
        await alone.page.keyboard.press(key);
    }
    await expect(alone.page.getByRole('complementary', { name: 'Note' })).toHaveText(/Sheep were here/);
    await alone.page.getByRole('button', { name: 'Close the note' }).tap();
    await alone.page.getByRole('button', { name: 'Show', exact: true }).click();
    await alone.page.keyboard.press('PageDown');
    await expect(alone.page.getByRole('heading', { name: 'The marsh' })).toBeVisible();
    expect(await findings(alone.page)).toEqual([]);
    await alone.page.keyboard.press('Escape');
    await expect(alone.page.getByRole('treeitem').first()).toBeVisible();
    expect(alone.problems).toEqual([]);
    await alone.context.close();
});

test('the file that plays opens as what is shown', async ({ page, browser }, info) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    const alone = await open(browser, await file(writer, /^Show that plays/, info), { viewport: { width: 390, height: 844 } });
    await expect(alone.page.getByRole('heading', { name: 'Marsh' })).toBeVisible();
    await alone.page.getByRole('button', { name: 'On', exact: true }).click();
    await expect(alone.page.getByRole('heading', { name: 'The marsh' })).toBeVisible();
    await alone.page.getByRole('button', { name: 'Play' }).click();
    await expect(alone.page.getByRole('button', { name: 'Pause' })).toBeVisible();
    expect(await findings(alone.page)).toEqual([]);
    expect(alone.problems).toEqual([]);
    await alone.context.close();
});

test('by a link the page stands within a page of a site that may, and of no other', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await writer.saved();
    await page.getByRole('button', { name: 'Share', exact: true }).click();
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = await page.getByLabel('Address of the link').inputValue();
    const site = createServer((_, answer) => answer.setHeader('Content-Type', 'text/html').end(`<iframe src="${link}/page" title="Plan"></iframe>`)).listen(0, '127.0.0.1');
    const address = await new Promise((ready) => site.on('listening', () => ready(`http://127.0.0.1:${site.address().port}`)));
    const other = await (await browser.newContext()).newPage();
    const framed = other.frameLocator('iframe').getByRole('treeitem', { name: /Grazing/ });
    await other.goto(address);
    await expect(framed).toHaveCount(0);
    const sites = page.getByLabel(/^Sites that may show it/);
    writer.expectRefused(/^422 PUT .*\/link$/);
    await sites.fill("https://example.org'; script-src *");
    await sites.press('Tab');
    await expect(page.getByText('Name sites as https://example.org')).toBeVisible();
    await sites.fill(`https://school.example ${address}/`);
    await sites.press('Tab');
    await expect(page.getByText(/with \/page behind it/)).toBeVisible();
    await other.reload();
    await expect(framed).toBeAttached();
    await other.context().close();
    site.close();
});

test('a page of many topics shows them once they have come, and nothing is refused by its policy', async ({ browser }, info) => {
    const [text, path] = [info.outputPath('long.md'), info.outputPath('long.alone.html')];
    writeFileSync(text, Array.from({ length: 600 }, (_, i) => `# Topic ${i + 1}\n`).join('\n'));
    execFileSync('bin/embrel', ['convert', text, path]);
    const alone = await open(browser, path);
    await expect(alone.page.getByRole('treeitem')).toHaveCount(600);
    await expect(alone.page.getByRole('treeitem').first()).toBeVisible();
    await alone.page.getByRole('treeitem').first().focus();
    await alone.page.keyboard.press('End');
    await expect(alone.page.getByText('Topic 600', { exact: true })).toBeInViewport();
    expect(alone.problems).toEqual([]);
    await alone.context.close();
});
