import { expect } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { findings, planOf, test } from './writer.js';

const MARSH = ['The marsh', '  Grazing', '  The wall of 1887', 'The breach', '  Clay'];
const preview = (page) => page.getByRole('region', { name: 'Preview' });

async function atHandOver(page) {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await writer.saved();
    await page.getByRole('link', { name: 'Hand over', exact: true }).click();
    return writer;
}

async function downloaded(page, info) {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: /^Download/ }).click()]);
    const path = info.outputPath(download.suggestedFilename());
    await download.saveAs(path);
    return path;
}

test('slides and handouts are shown as they will be, and come as files', async ({ page }, info) => {
    await atHandOver(page);
    await page.getByRole('radio', { name: /^Slides pptx/ }).check({ force: true });
    await expect(page.getByText('6 slides')).toBeVisible();
    await expect(preview(page).getByRole('group', { name: 'Page 2' })).toContainText('The marsh');
    await page.getByLabel('Sections one by one').selectOption('Level 1');
    await expect(page.getByText('3 slides')).toBeVisible();
    await page.getByRole('combobox', { name: 'A slide', exact: true }).selectOption('For each line that appears');
    await expect(page.getByText('6 slides')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    const pptx = await downloaded(page, info);
    expect(execFileSync('unzip', ['-l', pptx]).toString()).toContain('ppt/slides/slide6.xml');
    await page.getByRole('radio', { name: /^Handouts/ }).check({ force: true });
    await expect(page.getByText('2 sheets')).toBeVisible();
    await page.getByLabel('On a sheet').selectOption('Six slides');
    await expect(page.getByText('1 sheet', { exact: false })).toBeVisible();
    const pdf = await downloaded(page, info);
    expect(execFileSync('pdftotext', [pdf, '-']).toString()).toContain('The wall of 1887');
});

test('the map comes as a picture in each kind', async ({ page }, info) => {
    await atHandOver(page);
    await page.getByRole('radio', { name: /^Map svg/ }).check({ force: true });
    for (const [kind, begins] of [['JPEG', 'ffd8ff'], ['WebP', '52494646']]) {
        await page.getByRole('combobox', { name: 'File', exact: true }).selectOption(kind);
        expect(readFileSync(await downloaded(page, info)).toString('hex').startsWith(begins), kind).toBe(true);
    }
});

test('a file goes out by mail, or a link to it that ends, and is listed', async ({ page, browser }) => {
    const writer = await atHandOver(page);
    const to = `ben-${Date.now()}@example.org`;
    const mailbox = () => execFileSync('sh', ['-c', 'cat storage/logs/mailbox*.log'], { maxBuffer: 2e8 }).toString();
    const letters = () => mailbox().split(`To: ${to}`).slice(1);
    await page.getByRole('button', { name: 'Send by mail…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Send by mail' });
    writer.expectRefused(/^422 POST .*\/sendings$/);
    await dialog.getByLabel(/^To,/).fill('nobody');
    await dialog.getByRole('button', { name: 'Send', exact: true }).click();
    await expect(dialog.getByRole('alert')).toHaveText('“nobody” is not an e-mail address.');
    await dialog.getByLabel(/^To,/).fill(to);
    await dialog.getByLabel('A line of your own').fill('As I promised.');
    expect(await findings(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Send', exact: true }).click();
    const sent = dialog.getByRole('region', { name: 'Sent so far' }).getByRole('listitem');
    await expect(sent).toContainText(/Marsh\.docx/);
    expect(letters()[0]).toContain('As I promised.');
    expect(letters()[0]).toContain('Marsh.docx');
    await dialog.getByRole('radio', { name: /^a link that ends/ }).check();
    await dialog.getByLabel(/^To,/).fill(to);
    await dialog.getByLabel(/^To,/).press('Tab');
    await dialog.getByRole('button', { name: 'Send', exact: true }).press('Enter');
    await expect(sent).toHaveCount(2);
    await expect(sent.first()).toContainText('the link ends on');
    const link = /https?:\S+\/sent\/[0-9A-Z]{26}/.exec(letters().at(-1))[0];
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
    const other = await context.newPage();
    await other.goto(link);
    await expect(other.getByRole('heading', { name: 'Marsh.docx' })).toBeVisible();
    expect(await findings(other)).toEqual([]);
    const [download] = await Promise.all([other.waitForEvent('download'), other.getByRole('link', { name: 'Download' }).tap()]);
    expect(download.suggestedFilename()).toBe('Marsh.docx');
    await sent.first().getByRole('button', { name: 'End the link' }).click();
    await expect(sent).toHaveCount(1);
    expect((await other.goto(link)).status()).toBe(404);
    await context.close();
});
