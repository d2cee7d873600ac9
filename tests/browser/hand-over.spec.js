import { expect } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { findings, test, Writer } from './writer.js';

const part = (file, name) => execFileSync('unzip', ['-p', file, name], { encoding: 'utf8' });

/** A plan whose sections have words, at its hand-over page. */
async function atHandOver(page, title = 'The Sea Wall') {
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    const words = 'The marsh stands between the wall and the sea. '.repeat(20);
    const sections = ['Tide', 'Wall', 'Shore'].map((name) => `# ${name}\n\n${words}\n\n## ${name} in detail\n\n> quoted here\n\n${words}\n`).join('\n');
    await page.getByLabel('File', { exact: true }).setInputFiles({ name: `${title}.md`, mimeType: 'text/markdown', buffer: Buffer.from(`${sections}\n# Empty\n`) });
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await page.goto(`${page.url()}/hand-over`);
    await expect(page.getByRole('group', { name: 'Page 1' })).toBeVisible();
    return writer;
}

const format = (page, name) => page.getByRole('radio', { name, exact: true }).check({ force: true });

async function downloaded(page, info, button = page.getByRole('link', { name: 'Download the draft' })) {
    const download = page.waitForEvent('download');
    await button.click();
    const file = info.outputPath((await download).suggestedFilename());
    await (await download).saveAs(file);
    return file;
}

test('the pages follow each choice, lead to each other, and say what is left out', async ({ page }) => {
    const writer = await atHandOver(page);
    const preview = page.getByLabel('Preview');
    await expect(page.getByText(/^\d pages as in PDF; your word processor may break them elsewhere/)).toBeVisible();
    await expect(preview.getByRole('heading', { name: '1 Tide', exact: true })).toBeVisible();
    await page.getByLabel('Numbering').selectOption('essay');
    await expect(preview.getByRole('heading', { name: 'I. Tide', exact: true })).toBeVisible();
    await page.getByLabel('Sections without text').uncheck();
    await expect(page.getByText('1 empty section left out')).toBeVisible();
    await expect(preview.getByRole('heading', { name: /Empty/ })).toHaveCount(0);
    await page.getByRole('combobox', { name: 'Style', exact: true }).selectOption('manuscript');
    await expect(preview.getByText(/The Sea Wall \//).first()).toBeVisible();
    await preview.getByRole('link', { name: /Shore in detail/ }).first().click();
    await expect(preview.getByRole('heading', { name: /Shore in detail/ })).toBeInViewport();
    await page.getByLabel('Contents page').uncheck();
    await expect(preview.getByText('Contents', { exact: true })).toHaveCount(0);
    expect(await findings(page)).toEqual([]);
    await page.reload();
    await expect(page.getByLabel('Numbering')).toHaveValue('essay');
    await expect(page.getByLabel('Contents page')).not.toBeChecked();
    expect(writer.problems).toEqual([]);
});

test('every format comes as a file', async ({ page }, info) => {
    const writer = await atHandOver(page);
    const starts = {
        'Word processor docx': 'PK', 'OpenDocument odt': 'PK', 'PDF pdf': '%PDF', 'Web page html': '<!doctype html>', 'Web pages zip': 'PK',
        'E-book epub': 'PK', 'Markdown md': '# The Sea Wall', 'LaTeX tex': '\\documentclass', 'Numbered outline txt': 'The Sea Wall',
        'Outline file opml': '<?xml', 'Table csv': 'level,number',
    };
    for (const [name, start] of Object.entries(starts)) {
        await format(page, name);
        await expect(page.getByRole('link', { name: 'Download the draft' })).toHaveAttribute('href', new RegExp(`format=${{ zip: 'pages' }[name.split(' ').pop()] ?? name.split(' ').pop()}\\b`));
        const file = await downloaded(page, info);
        expect(readFileSync(file, 'latin1').startsWith(start), name).toBe(true);
    }
    expect(writer.problems).toEqual([]);
});

test('a style is changed, kept under a name, used and removed', async ({ page }, info) => {
    const writer = await atHandOver(page);
    await page.getByRole('button', { name: 'Change this style…' }).click();
    const dialog = page.getByRole('dialog', { name: 'How the draft is set' });
    await dialog.getByLabel('Kept under the name').fill('For Ms Reed');
    await dialog.getByLabel('Font of the text').fill('Georgia');
    await dialog.getByLabel('Line spacing').fill('1.8');
    await dialog.getByLabel('Head of the pages, right').fill('Period 4, {author}');
    await dialog.getByLabel('A page of its own for the title').check();
    await dialog.getByLabel('Words', { exact: true }).check();
    expect(await findings(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Keep and use' }).click();
    await expect(dialog).toBeHidden();
    await expect(page.getByLabel('Preview').getByText('Period 4,').first()).toBeVisible();
    await expect(page.getByLabel('Preview').getByText(/^about \d+ words|^about [\d,]+ words/)).toBeVisible();
    const file = await downloaded(page, info);
    expect(part(file, 'word/styles.xml')).toContain('w:ascii="Georgia"');
    expect(part(file, 'word/header1.xml')).toContain('Period 4, ');
    await page.getByRole('button', { name: 'Change this style…' }).click();
    await dialog.getByRole('button', { name: 'Remove this style' }).click();
    await expect(page.getByLabel('Preview').getByText('Period 4,')).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('a style divides words at the ends of lines, and sets these to one length', async ({ page }, info) => {
    const writer = await atHandOver(page);
    await format(page, 'PDF pdf');
    await page.getByRole('button', { name: 'Change this style…' }).click();
    const dialog = page.getByRole('dialog', { name: 'How the draft is set' });
    await dialog.getByLabel('Kept under the name').fill('Columns');
    await dialog.getByLabel('Size of the text, points').fill('24');
    await dialog.getByLabel('Lines of equal length').check();
    await dialog.getByLabel('Words divided at the ends of lines').check();
    await dialog.getByRole('button', { name: 'Keep and use' }).click();
    await expect(dialog).toBeHidden();
    await expect(page.getByLabel('Preview').getByText(/\p{L}-$/u).first()).toBeVisible();
    const file = await downloaded(page, info);
    expect(execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })).toMatch(/\p{L}-\n/u);
    // Of the style that divides nothing none is divided.
    await page.getByRole('combobox', { name: 'Style', exact: true }).selectOption('report');
    await expect(page.getByLabel('Preview').getByText(/\p{L}-$/u)).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('a template of one’s own is used, and which of its styles is for what can be changed', async ({ page }, info) => {
    const writer = await atHandOver(page);
    const own = await downloaded(page, info);
    await page.getByLabel('A document as a template', { exact: false }).or(page.locator('input[accept*=".dotx"]')).setInputFiles(own);
    const dialog = page.getByRole('dialog', { name: 'Which style of the template for what' });
    await expect(dialog.getByLabel('Heading, level 1')).toHaveValue('Heading1');
    await dialog.getByLabel('Quotation').selectOption('Code');
    await dialog.getByRole('button', { name: 'Use these' }).click();
    await expect(dialog).toBeHidden();
    await expect(page.getByRole('link', { name: 'Download the draft' })).toHaveAttribute('href', /template=\w{26}/);
    const draft = part(await downloaded(page, info), 'word/document.xml');
    expect(draft).toMatch(/<w:pStyle w:val="Code"\/>(?:(?!<\/w:p>).)*quoted here/);
    writer.expectRefused(/^4(13|22) POST .*templates$/);
    await page.locator('input[accept*=".dotx"]').setInputFiles({ name: 'broken.docx', mimeType: 'application/octet-stream', buffer: Buffer.from('nothing') });
    await expect(page.getByRole('alert').filter({ hasText: 'This template cannot be used' })).toBeVisible();
    const large = info.outputPath('large.docx');
    writeFileSync(large, Buffer.alloc(65 * 1024 * 1024));
    await page.locator('input[accept*=".dotx"]').setInputFiles(large);
    await expect(page.getByRole('alert').filter({ hasText: /MB/ })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('a long draft is made in the queue, with its progress, and comes when it is ready', async ({ page }, info) => {
    test.slow();
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    const text = Array.from({ length: 70 }, (_, i) => `# Chapter ${i}\n\n${'The marsh stands between the wall and the sea. '.repeat(100)}\n`).join('\n');
    await page.getByLabel('File', { exact: true }).setInputFiles({ name: 'Long.md', mimeType: 'text/markdown', buffer: Buffer.from(text) });
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await page.goto(`${page.url()}/hand-over`);
    await expect(page.getByRole('group', { name: 'Page 1' })).toBeVisible();
    await format(page, 'OpenDocument odt');
    await expect(page.getByText(/63,\d+ words/)).toBeVisible();
    const file = await downloaded(page, info);
    expect(file).toMatch(/Long\.odt$/);
    expect(part(file, 'content.xml')).toContain('Chapter 69');
    expect(writer.problems).toEqual([]);
});

test('the text goes to the clipboard with its formatting, the outline as it is', async ({ page, context }) => {
    const writer = await atHandOver(page);
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    const copied = (type) => page.evaluate(async (as) => {
        const [item] = await navigator.clipboard.read();
        return item.types.includes(as) ? (await item.getType(as)).text() : '';
    }, type);
    await page.getByRole('button', { name: 'Copy the text' }).click();
    await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible();
    expect(await copied('text/plain')).toContain('1.1 Tide in detail');
    expect(await copied('text/html')).toMatch(/<h3[^>]*>.*Tide in detail/);
    await format(page, 'Numbered outline txt');
    await page.getByRole('button', { name: 'Copy the outline' }).click();
    await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible();
    expect(await copied('text/plain')).toContain('  1.1 Tide in detail');
    expect(writer.problems).toEqual([]);
});

test('a title of a thousand letters breaks no page and no file', async ({ page }, info) => {
    const long = 'Marsh and wall and tide '.repeat(40).trim();
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    await page.getByLabel('File', { exact: true }).setInputFiles({ name: 'Long.md', mimeType: 'text/markdown', buffer: Buffer.from(`# ${long}\n\nwords\n\n## ${'unbroken'.repeat(100)}\n`) });
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await page.goto(`${page.url()}/hand-over`);
    await expect(page.getByRole('group', { name: 'Page 1' })).toBeVisible();
    const inside = await page.locator('.paper').first().evaluate((sheet) => [...sheet.querySelectorAll('text')].every((text) => text.getBoundingClientRect().right <= sheet.getBoundingClientRect().right));
    expect(inside).toBe(true);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);
    expect(part(await downloaded(page, info), 'word/document.xml')).toContain('Marsh and wall and tide Marsh');
    expect(writer.problems).toEqual([]);
});

/** The draft as another program leaves it: what its parts say is replaced, once each, and parts are added. */
function changedElsewhere(info, file, replaced, added = {}) {
    const changed = info.outputPath('changed.docx');
    execFileSync('python3', ['-c', `
import json, sys, zipfile
old, new = zipfile.ZipFile(sys.argv[1]), zipfile.ZipFile(sys.argv[2], 'w')
replaced, added = json.loads(sys.argv[3]), json.loads(sys.argv[4])
for name in old.namelist():
    data = old.read(name)
    for was, now in replaced.get(name, []):
        assert was.encode() in data, was
        data = data.replace(was.encode(), now.encode(), 1)
    new.writestr(name, data)
for name, data in added.items():
    new.writestr(name, data)
new.close()`, file, changed, JSON.stringify(replaced), JSON.stringify(added)]);
    return changed;
}

/** A heading in the document, between the marks around it. */
const heading = (title) => `>${title}</w:t></w:r><w:bookmarkEnd`;

test('a draft that was changed elsewhere comes home', async ({ page }, info) => {
    const writer = await atHandOver(page);
    const changed = changedElsewhere(
        info,
        await downloaded(page, info),
        { 'word/document.xml': [[heading('Wall'), heading('The sea wall')], ['quoted here', 'quoted there']] },
    );
    await page.getByRole('link', { name: 'take its changes in' }).click();
    await page.getByLabel('File', { exact: true }).setInputFiles(changed);
    const differences = page.getByRole('list', { name: 'Differences' }).getByRole('listitem');
    await expect(differences).toHaveCount(2);
    await expect(page.getByText('7 sections were found again by their hidden marks: this is sure.')).toBeVisible();
    await expect(differences.filter({ hasText: 'retitled' })).toContainText('The sea wall');
    expect(await findings(page)).toEqual([]);
    await differences.filter({ hasText: 'rewritten' }).getByRole('checkbox').uncheck();
    await page.getByRole('button', { name: 'Take in 1 of 2' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.expectOutline(['1 Tide', '  1.1 Tide in detail', '2 The sea wall', '  2.1 Wall in detail', '3 Shore', '  3.1 Shore in detail', '4 Empty'].join('\n'));
    expect(writer.problems).toEqual([]);
});

test('what both changed is shown with what it was, and is ticked for nobody', async ({ page }, info) => {
    const writer = await atHandOver(page);
    const plan = page.url().replace(/\/hand-over.*/, '');
    const changed = changedElsewhere(
        info,
        await downloaded(page, info),
        { 'word/document.xml': [[heading('Wall'), heading('The sea wall')], [heading('Shore'), heading('The sea shore')]] },
    );
    await page.goto(plan);
    await writer.mark('2 Wall');
    await writer.type('[F2]', '[Control+a]', 'The dyke', '[Enter]', '[Escape]');
    await writer.saved();
    await page.goto(`${plan}/way-back`);
    await page.getByLabel('File', { exact: true }).setInputFiles(changed);
    const differences = page.getByRole('list', { name: 'Differences' }).getByRole('listitem');
    await expect(differences).toHaveCount(2);
    const both = differences.filter({ hasText: 'changed in the plan too, since the draft was made' });
    for (const said of [/In the plan\s+The dyke/, /In the draft\s+The sea wall/, /When it was handed over\s+Wall/]) {
        await expect(both).toContainText(said);
    }
    await expect(both.getByRole('checkbox')).not.toBeChecked();
    await expect(differences.filter({ hasText: 'The sea shore' }).getByRole('checkbox')).toBeChecked();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Take in 1 of 2' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.expectOutline(['1 Tide', '  1.1 Tide in detail', '2 The dyke', '  2.1 Wall in detail', '3 The sea shore', '  3.1 Shore in detail', '4 Empty'].join('\n'));
});

test('changes that were recorded and comments are shown with who made them; a change is taken in when it is chosen', async ({ page }, info) => {
    const writer = await atHandOver(page);
    const plan = page.url().replace(/\/hand-over.*/, '');
    const recorded = '>Wall</w:t></w:r><w:ins w:id="901" w:author="Ada"><w:r><w:t xml:space="preserve"> of the sea</w:t></w:r></w:ins><w:r><w:commentReference w:id="7"/></w:r><w:bookmarkEnd';
    const comments = '<w:comments xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:comment w:id="7" w:author="Cy"><w:p><w:r><w:t>Which wall?</w:t></w:r></w:p></w:comment></w:comments>';
    const relation = '<Relationship Id="rc" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/comments" Target="comments.xml"/></Relationships>';
    const changed = changedElsewhere(
        info,
        await downloaded(page, info),
        { 'word/document.xml': [[heading('Wall'), recorded]], 'word/_rels/document.xml.rels': [['</Relationships>', relation]] },
        { 'word/comments.xml': comments },
    );
    await page.goto(`${plan}/way-back`);
    await page.getByLabel('File', { exact: true }).setInputFiles(changed);
    const difference = page.getByRole('list', { name: 'Differences' }).getByRole('listitem');
    await expect(difference).toHaveCount(1);
    await expect(difference).toContainText('recorded by Ada, still open');
    await expect(difference.getByRole('checkbox')).not.toBeChecked();
    await expect(page.getByRole('region', { name: 'Comments' })).toContainText('Cy Wall');
    await expect(page.getByRole('region', { name: 'Comments' })).toContainText('Which wall?');
    await expect(page.getByRole('button', { name: 'Keep the comments' })).toBeEnabled();
    await difference.getByRole('checkbox').check();
    await page.getByRole('button', { name: 'Take in 1 of 1' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.expectOutline(['1 Tide', '  1.1 Tide in detail', '2 Wall of the sea', '  2.1 Wall in detail', '3 Shore', '  3.1 Shore in detail', '4 Empty'].join('\n'));
});

test('hand over works on a phone, in the dark, and with nothing in the plan', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, colorScheme: 'dark' });
    const page = await context.newPage();
    const writer = new Writer(page);
    await writer.signUp();
    await page.getByRole('textbox', { name: 'What are you going to write?' }).fill('Nothing yet');
    await page.keyboard.press('Enter');
    await page.waitForURL(/plans\/\w+/);
    await page.goto(`${page.url().split('?')[0]}/hand-over`);
    await expect(page.getByRole('group', { name: 'Page 1' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
    await context.close();
});

test('choices and pages stand side by side on a tablet; on a phone the pages come first, and the choices open over them', async ({ page }) => {
    await page.setViewportSize({ width: 820, height: 1180 });
    const writer = await atHandOver(page);
    await expect(page.getByRole('radio', { name: 'Word document' }).or(page.getByRole('radio').first())).toBeFocused();
    const choices = page.getByRole('form', { name: 'Choices' });
    const first = page.getByRole('group', { name: 'Page 1' });
    const [left, right] = [await choices.boundingBox(), await first.boundingBox()];
    expect(left.x + left.width).toBeLessThanOrEqual(right.x + 1);
    expect(Math.abs(left.y - right.y)).toBeLessThan(200);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.reload();
    await expect(first).toBeInViewport();
    await expect(choices).toBeHidden();
    await page.getByRole('button', { name: 'Choices' }).click();
    await expect(choices).toBeInViewport();
    await page.getByRole('button', { name: 'See the pages' }).click();
    await expect(choices).toBeHidden();
    await expect(first).toBeInViewport();
    expect(writer.problems).toEqual([]);
});

test('scripts of any direction stand in the pages, and the browser prints the same pages', async ({ page }, info) => {
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    const text = '# המים\n\nהסכר קרס בשעה ארבע (1953).\n\n# 潮水\n\n潮水在四点半冲破堤坝。\n';
    await page.getByLabel('File', { exact: true }).setInputFiles({ name: 'Tides.md', mimeType: 'text/markdown', buffer: Buffer.from(text) });
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await page.goto(`${page.url()}/hand-over`);
    await format(page, 'PDF pdf');
    const heading = page.getByLabel('Preview').getByRole('heading', { name: '1 המים' });
    await expect(heading).toBeVisible();
    await expect(page.getByText(/question marks/)).toHaveCount(0);
    // Read from right to left, it stands at the right.
    await expect.poll(async () => {
        const [sheet, box] = [await page.getByRole('group', { name: 'Page 2' }).boundingBox(), await heading.boundingBox()];
        return (box?.x ?? 0) - (sheet?.x ?? 0) - (sheet?.width ?? Infinity) / 2;
    }).toBeGreaterThan(0);
    const file = await downloaded(page, info);
    const found = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
    for (const word of ['המים', 'הסכר', '潮水在四点半冲破堤坝']) {
        expect(found).toContain(word);
    }
    const [printed] = await Promise.all([page.waitForEvent('popup'), page.getByRole('link', { name: 'Print…' }).click()]);
    await expect(printed.getByRole('group', { name: 'Page 2' })).toBeVisible();
    await expect(printed.getByRole('heading', { name: '2 潮水' })).toBeVisible();
    expect(await findings(printed)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('one branch is handed over from its menu', async ({ page }) => {
    const writer = await atHandOver(page);
    await page.goto(page.url().replace('/hand-over', ''));
    await writer.inMenu(/^2 Wall/, 'Hand over this branch…');
    await expect(page.getByLabel('Preview').getByRole('heading', { name: /Wall in detail/ })).toBeVisible();
    await expect(page.getByLabel('Preview')).not.toContainText('Shore');
});
