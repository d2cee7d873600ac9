import { expect } from '@playwright/test';
import { findings, planOf, test, Writer } from './writer.js';

test('the keys of writing titles', async ({ page }) => {
    const writer = await planOf(page, 'Keys', 'Alpha', 'Beta gamma', '\tDelta');
    await writer.mark(/Beta gamma/);
    await writer.type('[Enter]', '[Home]', ...Array(4).fill('[ArrowRight]'), '[Enter]');
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 Delta\n3 gamma');
    await writer.type('[Tab]');
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 Delta\n  2.2 gamma');
    await writer.type('[Alt+ArrowUp]');
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 gamma\n  2.2 Delta');
    await writer.type('[Home]', '[Enter]', '[ArrowUp]', 'Above');
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 Above\n  2.2 gamma\n  2.3 Delta');
    await writer.type('[ArrowDown]', '[Home]', '[Backspace]');
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 Above gamma\n  2.2 Delta');
    await writer.type('!');
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 Above! gamma\n  2.2 Delta');
    await writer.type('[Shift+Tab]', '[Escape]');
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 Delta\n3 Above! gamma');
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1 Alpha\n2 Beta\n  2.1 Delta\n3 Above! gamma');
    expect(writer.problems).toEqual([]);
});

test('the keys of marked rows', async ({ page }) => {
    const writer = await planOf(page, 'Rows', 'A', '\tA1', '\tA2', 'B', 'C');
    await writer.mark(/A2/);
    await writer.type('[q]');
    await expect(writer.row(/A2 quote/)).toBeVisible();
    await writer.type('[p]');
    await writer.expectOutline('1 A\n  1.1 A1\n  A2\n2 B\n3 C');
    await writer.type('[s]', '[Home]', '[ArrowLeft]');
    await writer.expectOutline('1 A\n2 B\n3 C');
    await expect(writer.row(/1 A/)).toHaveAttribute('aria-expanded', 'false');
    await page.waitForResponse((response) => response.url().endsWith('/folds'));
    await page.reload();
    await writer.expectOutline('1 A\n2 B\n3 C');
    await page.getByRole('tree').focus();
    await writer.type('[0]');
    await writer.expectOutline('1 A\n  1.1 A1\n  1.2 A2\n2 B\n3 C');
    await writer.mark(/B/);
    await writer.type('[Shift+ArrowDown]', '[Alt+ArrowRight]');
    await writer.expectOutline('1 A\n  1.1 A1\n  1.2 A2\n  1.3 B\n  1.4 C');
    await writer.type('[m]', '2', '[Escape]', '[Alt+ArrowLeft]');
    await writer.expectOutline('1 A\n  1.1 A1\n  1.2 A2\n2 B\n3 C');
    await writer.mark(/A1/);
    await writer.type('[m]', 'B', '[Enter]');
    await writer.expectOutline('1 A\n  1.1 A2\n2 B\n  2.1 A1\n3 C');
    await writer.type('[f]');
    await writer.expectOutline('');
    await writer.type('[Escape]');
    await writer.mark(/B/);
    await writer.type('[g]');
    await expect(page.getByRole('button', { name: 'none', exact: true })).toBeFocused();
    await writer.type(...Array(7).fill('[ArrowLeft]'), '[Enter]');
    await expect(writer.row(/B flag question/)).toBeVisible();
    await writer.type('[t]', '250', '[Enter]');
    await expect(writer.row(/B/).getByRole('img', { name: '0 of 250 words' })).toBeVisible();
    await writer.type('[Delete]', '[Control+z]');
    await writer.expectOutline('1 A\n  1.1 A2\n2 B\n  2.1 A1\n3 C');
    await page.getByRole('tree').focus();
    await writer.type('[?]');
    await expect(page.getByRole('dialog', { name: 'All the keys' })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('a branch is dragged to where the line shows it will land', async ({ page }) => {
    const writer = await planOf(page, 'Drag', 'A', '\tA1', 'B', 'C');
    const from = await writer.row(/3 C/).locator('.n').boundingBox();
    const to = await writer.row(/A1/).boundingBox();
    await page.mouse.move(from.x + 60, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(to.x + 150, to.y + 6, { steps: 8 });
    await expect(page.locator('.landing:not(.next)')).toBeVisible();
    await expect(page.locator('.landing:not(.next) output')).toHaveText('1.1');
    await page.mouse.up();
    await writer.expectOutline('1 A\n  1.1 C\n  1.2 A1\n2 B');
    await writer.saved();
});

test('copy, cut, paste and duplicate', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    const writer = await planOf(page, 'Clipboard', 'A', '\tA1', 'B');
    await writer.mark(/^1 A/);
    await writer.type('[Control+c]');
    await writer.mark(/B/);
    await writer.type('[Control+v]');
    await writer.expectOutline('1 A\n  1.1 A1\n2 B\n  2.1 A\n    2.1.1 A1');
    await writer.mark(/2.1.1 A1/);
    await writer.type('[Control+Shift+d]');
    await writer.expectOutline('1 A\n  1.1 A1\n2 B\n  2.1 A\n    2.1.1 A1\n    2.1.2 A1');
    await writer.mark(/2.1 A$/);
    await writer.type('[Control+x]');
    await writer.expectOutline('1 A\n  1.1 A1\n2 B');
});

test('ideas are caught, and placed from the list of loose ones', async ({ page }) => {
    const writer = await planOf(page, 'Catching', 'A');
    await writer.type('[Control+k]', 'An idea', '[Enter]', 'Another', '[Enter]');
    await page.getByRole('button', { name: '2 loose ideas' }).click();
    await page.keyboard.press('l');
    await writer.expectOutline('1 A\n2 An idea');
    expect(await writer.looseIdeas()).toEqual(['Another']);
    await expect(page.getByRole('button', { name: '1 loose idea' })).toBeVisible();
});

test('properties of the plan, and its target shared out', async ({ page }) => {
    const writer = await planOf(page, 'Properties', 'A', '\tA1', 'B');
    await writer.inPlanMenu(/^Properties/);
    const dialog = page.getByRole('dialog', { name: 'The plan' });
    await dialog.getByLabel('Target in words').fill('900');
    await dialog.getByLabel('Numbering').selectOption('essay');
    await dialog.getByRole('button', { name: 'Share the target out' }).click();
    await writer.expectOutline('I. A\n  A. A1\nII. B');
    await expect(writer.row(/A/).first().getByRole('img', { name: '0 of 600 words' })).toBeVisible();
    await expect(page.getByText('0 of 900 words')).toBeVisible();
});

test('hostile titles and notes are shown as text', async ({ page }) => {
    const writer = await planOf(page, '<img src=x onerror="window.__pwned=1">', '<script>window.__pwned=2</script>', '"><svg onload=window.__pwned=3>');
    await writer.expectOutline('1 <script>window.__pwned=2</script>\n2 "><svg onload=window.__pwned=3>');
    await writer.type('[n]', '<b onclick="window.__pwned=4">text</b>');
    await writer.saved();
    await page.getByRole('link', { name: 'Hand over' }).click();
    await expect(page.getByLabel('Preview').getByText('<b onclick="window.__pwned=4">text</b>')).toBeVisible();
    await page.goto('/plans');
    expect(await page.evaluate(() => window.__pwned)).toBeUndefined();
    expect(writer.problems).toEqual([]);
});

test('a note keeps what this editor does not edit', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    await page.getByLabel('File', { exact: true }).setInputFiles({ name: 'kept.md', mimeType: 'text/markdown', buffer: Buffer.from('# T\n\nBefore\n\n| a | b |\n| - | - |\n| c | d |\n') });
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.mark(/T/);
    await writer.type('[n]', 'After');
    await writer.saved();
    await page.goto(`${page.url()}/hand-over`);
    await page.getByRole('radio', { name: 'Web page html' }).check({ force: true });
    await expect(page.getByLabel('Preview').getByRole('cell', { name: 'd', exact: true })).toBeVisible();
    await expect(page.getByLabel('Preview').getByText('After', { exact: true })).toBeVisible();
});

for (const [name, address] of [['plans', '/plans'], ['outline', null], ['hand over', '/hand-over'], ['intake', '/intake'], ['account', '/account'], ['sign in', '/sign-in']]) {
    test(`axe finds nothing: ${name}`, async ({ page }) => {
        if (address === '/sign-in') {
            await page.goto(address);
        } else {
            const writer = await planOf(page, 'Accessible', 'A', '\tA1', 'B');
            if (address === null) {
                await writer.mark(/A1/);
                await writer.type('[n]');
                await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toBeFocused();
            } else {
                await page.goto(address === '/hand-over' ? page.url() + address : address);
            }
        }
        expect(await findings(page)).toEqual([]);
    });
}

test('the plan itself has a note, which opens the draft', async ({ page }) => {
    const writer = await planOf(page, 'Opening', 'A');
    await writer.inPlanMenu('Opening note');
    await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toBeFocused();
    await writer.type('This is how it begins.');
    await writer.saved();
    await page.reload();
    await writer.inPlanMenu('Opening note');
    await expect(page.locator('#page')).toHaveText('This is how it begins.');
    await page.getByRole('link', { name: 'Hand over' }).click();
    await expect(page.getByLabel('Preview').getByText('This is how it begins.')).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('a change that cannot be made is said, and the page shows the plan as it is', async ({ page, context }) => {
    const writer = await planOf(page, 'Refused', 'A', 'B');
    await context.setOffline(true);
    await writer.mark(/B/);
    await writer.type('[Enter]', '[End]', '[Enter]', '[Tab]', 'Under B', '[Enter]', 'Another', '[Escape]');
    await writer.expectOutline('1 A\n2 B\n  Under B\n  Another');
    const other = new Writer(await (await page.context().browser().newContext({ storageState: { ...await context.storageState(), origins: [] } })).newPage());
    await other.page.goto(page.url());
    await other.mark(/B/);
    const removed = other.page.waitForResponse((response) => response.url().endsWith('/operations'));
    await other.type('[Delete]');
    expect((await (await removed).json()).removed).toHaveLength(1);
    await context.setOffline(false);
    const refused = page.getByRole('dialog', { name: 'What could not be changed' });
    await expect(refused.getByText('A move of “Under B” could not be made: The topic is no longer in this plan')).toBeVisible();
    await refused.getByRole('button', { name: 'All right' }).click();
    await expect(refused.getByText('Another')).toBeVisible();
    await page.reload();
    await page.getByRole('button', { name: '1 change not made' }).click();
    await refused.getByRole('button', { name: 'Keep as a loose idea' }).click();
    await expect.poll(() => writer.looseIdeas()).toEqual(['Another']);
    await writer.expectOutline('1 A\n2 Under B');
    await writer.saved();
});

test('a long title is shown whole, on as many lines as it needs, and the rows below stand under it', async ({ page }) => {
    await page.setViewportSize({ width: 820, height: 900 });
    const long = 'A title that says all of the argument at once, because its writer could not wait, and that needs more than one line of the page';
    const writer = await planOf(page, 'Long', long, '\tShort', 'Next');
    const boxes = async () => Promise.all([/1 A title/, /1.1 Short/, /2 Next/].map((name) => writer.row(name).boundingBox()));
    const [first, second, third] = await boxes();
    expect(first.height).toBeGreaterThan(second.height * 1.5);
    expect(second.y).toBeCloseTo(first.y + first.height, 0);
    expect(third.y).toBeCloseTo(second.y + second.height, 0);
    const title = writer.row(/1 A title/).locator('.title');
    expect(await title.evaluate((node) => node.scrollHeight <= node.clientHeight + 1 && node.scrollWidth <= node.clientWidth + 1)).toBe(true);
    await page.setViewportSize({ width: 2000, height: 900 });
    await expect.poll(async () => (await boxes())[0].height).toBeLessThan(first.height);
    await page.setViewportSize({ width: 820, height: 900 });
    await writer.mark(/1.1 Short/);
    await writer.type('[Enter]', '[End]', ` ${long}`, '[Escape]');
    await expect.poll(async () => { const [, two, three] = await boxes(); return two.height > second.height * 1.5 && Math.abs(three.y - two.y - two.height) < 1; }).toBe(true);
});

test('a second button opens the menu of what it is pressed on: a row, a source, a plan', async ({ page }) => {
    const writer = await planOf(page, 'Asked', 'A', '\tA1', 'B');
    await writer.row(/1\.1 A1/).click({ button: 'right' });
    await expect(page.getByRole('dialog', { name: 'Topic: A1' })).toBeVisible();
    await expect(writer.row(/1\.1 A1/)).toHaveAttribute('aria-selected', 'true');
    await writer.type('[Escape]');
    await page.getByRole('link', { name: 'Sources' }).click();
    await writer.type('Moor, Mud, 1998', '[Enter]');
    await page.getByRole('button', { name: 'Add to the sources' }).click();
    await page.getByRole('list', { name: 'Sources' }).getByRole('listitem').click({ button: 'right' });
    await expect(page.getByRole('dialog', { name: /Moor/ }).or(page.getByRole('dialog', { name: /Mud/ }))).toBeVisible();
    await writer.type('[Escape]');
    await writer.saved();
    await page.goto('/plans');
    await page.getByRole('link', { name: 'Asked', exact: true }).click({ button: 'right' });
    await expect(page.getByRole('button', { name: /Rename/ }).first()).toBeVisible();
});

test('a new topic before, after, inside and above another, from its menu', async ({ page }) => {
    const writer = await planOf(page, 'Around', 'A', 'B');
    for (const [where, title] of [['before', 'Before'], ['after', 'After'], ['inside', 'Inside'], ['above', 'Above']]) {
        await writer.inMenu(/ B$/, `New topic ${where}`);
        await writer.type(title, '[Escape]');
        await expect(writer.row(new RegExp(`${title}$`))).toBeVisible();
    }
    await writer.expectOutline('1 A\n2 Before\n3 Above\n  3.1 B\n    3.1.1 Inside\n4 After');
});

test('a row says that it has a note; one word is one word; no section of the strip is narrower than a third of its share', async ({ page }) => {
    const writer = await planOf(page, 'Young', 'A', 'B', 'C', 'D');
    await writer.mark(/1 A/);
    await writer.type('n', 'Twelve words stand in this note, and in no other of them', '[Escape]');
    await writer.mark(/2 B/);
    await writer.type('n', 'One', '[Escape]');
    await writer.saved();
    await expect(writer.row(/^1 A 12 words with a note/)).toBeVisible();
    await expect(writer.row(/^2 B 1 word with a note/)).toBeVisible();
    const widths = await page.getByRole('navigation', { name: 'Main sections' }).getByRole('button').evaluateAll((links) => links.map((link) => link.getBoundingClientRect().width));
    expect(Math.min(...widths)).toBeGreaterThanOrEqual(widths.reduce((a, b) => a + b) / widths.length / 3 - 1);
});

/** The colour of each row of the outline, by what stands in it. */
const dyes = (page) => page.getByRole('treeitem').evaluateAll((rows) => Object.fromEntries(rows.map((row) => [row.querySelector('.title')?.textContent ?? row.querySelector('input').value, getComputedStyle(row).getPropertyValue('--d').trim()])));

test('a dye that nobody chose goes with the main section, and one that somebody chose stays', async ({ page }) => {
    const writer = await planOf(page, 'Dyes', 'Why', 'Before', 'Breach');
    const before = await dyes(page);
    expect(new Set(Object.values(before)).size).toBe(3);
    await writer.mark(/3 Breach/);
    await writer.type('[F2]', '[Tab]', '[Escape]');
    await writer.expectOutline('1 Why\n2 Before\n  2.1 Breach');
    await expect.poll(() => dyes(page)).toEqual({ ...before, Breach: before.Before });
    await writer.saved();
    await page.reload();
    await expect.poll(() => dyes(page)).toEqual({ ...before, Breach: before.Before });
    await writer.type('[Control+z]');
    await writer.expectOutline('1 Why\n2 Before\n3 Breach');
    await expect.poll(() => dyes(page)).toEqual(before);
    await writer.mark(/3 Breach/);
    await writer.type('w', 'Around', '[Escape]');
    await expect.poll(() => dyes(page)).toMatchObject({ Around: before.Breach, Breach: before.Breach });
    await writer.inMenu(/2 Before/, 'slate');
    await writer.mark(/2 Before/);
    await writer.type('[Alt+ArrowRight]');
    await writer.expectOutline('1 Why\n  1.1 Before\n2 Around\n  2.1 Breach');
    const after = await dyes(page);
    expect(after.Before).not.toBe(after.Why);
});

test('a key does nothing to a neighbour of what another window has taken out', async ({ page, context }) => {
    const writer = await planOf(page, 'Two', 'A', 'B', 'C', 'D');
    const other = new Writer(await context.newPage());
    await other.page.goto(page.url());
    await other.mark(/2 B/);
    await writer.mark(/2 B/);
    await other.type('[Delete]');
    await other.expectOutline('1 A\n2 C\n3 D');
    await other.saved();
    await writer.expectOutline('1 A\n2 C\n3 D');
    await writer.type('[Delete]', 'u', 'j', 'l', 'q');
    await writer.saved();
    await writer.expectOutline('1 A\n2 C\n3 D');
    await writer.type('[ArrowDown]');
    await expect(writer.row(/2 C/)).toHaveAttribute('aria-selected', 'true');
});
