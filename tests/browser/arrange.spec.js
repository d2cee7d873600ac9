import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

const noted = (page, text) => page.getByRole('textbox', { name: 'Note', exact: true }).getByText(text);

test('a new parent around what is marked, dissolved again; join; loose and back', async ({ page }) => {
    const writer = await planOf(page, 'Regroup', 'A', 'B', '\tB1', 'C', 'D');
    const marked = page.getByRole('toolbar', { name: 'What is marked' });
    await writer.mark(/1 A/);
    await writer.type('[Control+ArrowDown]', '[Control+ArrowDown]', '[Control+ArrowDown]', '[Control+Space]');
    await expect(marked.getByText('2 marked')).toBeVisible();
    await expect(writer.row(/3 C/)).toHaveAttribute('aria-selected', 'true');
    await writer.row(/4 D/).locator('.n').click({ modifiers: ['Shift'] });
    await expect(writer.row(/3 C/)).toHaveAttribute('aria-selected', 'true');
    await writer.mark(/2 B/);
    await writer.row(/3 C/).locator('.n').click({ modifiers: ['Control'] });
    await expect(marked.getByText('2 marked')).toBeVisible();
    await writer.type('w', 'Around', '[Escape]');
    await writer.expectOutline('1 A\n2 Around\n  2.1 B\n    2.1.1 B1\n  2.2 C\n3 D');
    await writer.type('u');
    await writer.expectOutline('1 A\n2 B\n  2.1 B1\n3 C\n4 D');
    await writer.mark(/4 D/);
    await writer.type('j');
    await writer.expectOutline('1 A\n2 B\n  2.1 B1\n3 C D');
    await writer.type('l');
    await expect.poll(() => writer.looseIdeas()).toEqual(['C D']);
    await writer.type('l');
    await writer.expectOutline('1 A\n2 B\n  2.1 B1\n3 C D');
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1 A\n2 B\n  2.1 B1\n3 C D');
    expect(writer.problems).toEqual([]);
});

test('a topic with a note is dissolved only when its note may go', async ({ page }) => {
    const writer = await planOf(page, 'Noted', 'A', '\tA1', 'B');
    await writer.mark(/1 A$/);
    await writer.type('n', 'Words', '[Escape]', '[Escape]', 'u');
    await page.getByRole('dialog', { name: 'Let the note go too?' }).getByRole('button', { name: 'Cancel' }).click();
    await writer.expectOutline('1 A\n  1.1 A1\n2 B');
    await writer.type('u');
    await page.getByRole('button', { name: 'Dissolve' }).click();
    await writer.expectOutline('1 A1\n2 B');
    await writer.type('[Control+z]');
    await writer.expectOutline('1 A\n  1.1 A1\n2 B');
});

test('parts are sorted by title, words and target, and the other way round', async ({ page }) => {
    const writer = await planOf(page, 'Sorted', 'X', '\tpear', '\tApple', '\t10 plums', '\t9 plums');
    await writer.mark(/pear/);
    await writer.type('n', 'three words here', '[Escape]', '[Escape]', 't', '50', '[Enter]');
    await writer.mark(/Apple/);
    await writer.type('t', '90', '[Enter]');
    await writer.inMenu(/1 X/, 'Title');
    await writer.expectOutline('1 X\n  1.1 9 plums\n  1.2 10 plums\n  1.3 Apple\n  1.4 pear');
    await writer.inMenu(/1 X/, 'Title');
    await writer.expectOutline('1 X\n  1.1 pear\n  1.2 Apple\n  1.3 10 plums\n  1.4 9 plums');
    await writer.inMenu(/1 X/, 'Target');
    await writer.expectOutline('1 X\n  1.1 Apple\n  1.2 pear\n  1.3 10 plums\n  1.4 9 plums');
    await writer.inMenu(/1 X/, 'Words');
    await writer.expectOutline('1 X\n  1.1 pear\n  1.2 Apple\n  1.3 10 plums\n  1.4 9 plums');
    await expect(page.getByRole('button', { name: 'Undo: Sorted the parts of “X” by words' })).toBeVisible();
    await writer.type('[Control+z]');
    await writer.expectOutline('1 X\n  1.1 Apple\n  1.2 pear\n  1.3 10 plums\n  1.4 9 plums');
});

test('lists go to other programs and come from them as lists', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    const writer = await planOf(page, 'Lists', 'A <b>', '\tA1', 'B');
    await writer.mark(/1 A /);
    await writer.type('[Control+c]');
    const read = (type) => page.evaluate(async (wanted) => (await (await navigator.clipboard.read())[0].getType(wanted)).text(), type);
    expect(await read('text/plain')).toBe('A <b>\n\tA1');
    expect(await read('text/html')).toContain('<ul><li>A &lt;b&gt;<ul><li>A1</li></ul></li></ul>');
    await page.evaluate(() => navigator.clipboard.write([new ClipboardItem({
        'text/html': new Blob(['<h2>Head</h2><p>Below</p><ul><li>One<ul><li>Deeper <i>one</i></li></ul></li><li>Two<script>window.hurt = 1</script></li></ul>'], { type: 'text/html' }),
        'text/plain': new Blob(['never'], { type: 'text/plain' }),
    })]));
    await writer.mark(/2 B/);
    await writer.type('[Control+v]');
    await writer.expectOutline('1 A <b>\n  1.1 A1\n2 B\n  2.1 Head\n    2.1.1 Below\n    2.1.2 One\n      Deeper one\n    2.1.3 Two');
    expect(await page.evaluate(() => window.hurt)).toBeUndefined();
});

test('lists are dragged in from other programs, and out to them', async ({ page }) => {
    const writer = await planOf(page, 'Dropped', 'A', '\tA1', 'B');
    await writer.mark(/1 A$/);
    await writer.type('[Control+a]');
    const dragged = await page.getByText('2 marked').evaluate((node) => {
        const data = new DataTransfer();
        node.dispatchEvent(new DragEvent('dragstart', { dataTransfer: data, bubbles: true }));
        return data.getData('text/plain');
    });
    expect(dragged).toBe('A\n\tA1\nB');
    await writer.type('[Escape]');
    const at = await writer.row(/2 B/).boundingBox();
    await page.getByRole('tree', { name: 'Topics' }).evaluate((tree, { x, y }) => {
        const data = new DataTransfer();
        data.setData('text/plain', 'Dropped\n\tinside');
        for (const type of ['dragover', 'drop']) {
            tree.dispatchEvent(new DragEvent(type, { dataTransfer: data, bubbles: true, cancelable: true, clientX: x, clientY: y }));
        }
    }, { x: at.x + 110, y: at.y + 4 });
    await writer.expectOutline('1 A\n  1.1 A1\n2 Dropped\n  2.1 inside\n3 B');
});

test('branches go from plan to plan with their notes', async ({ page, context }) => {
    const writer = await planOf(page, 'Source plan', 'Take me', '\tWith this', 'Stay');
    await writer.mark(/With this/);
    await writer.type('n', 'A note that comes along', '[Escape]', '[Escape]');
    await writer.mark(/1 Take me/);
    await writer.type('[Control+c]');
    await writer.saved();
    await writer.anotherPlan('Target plan', 'Here');
    await writer.mark(/1 Here/);
    await writer.type('[Control+v]');
    await writer.expectOutline('1 Here\n  1.1 Take me\n    1.1.1 With this');
    await writer.mark(/With this/);
    await writer.type('n');
    await expect(noted(page, 'A note that comes along')).toBeVisible();
    await writer.type('[Escape]', '[Escape]');
    await writer.inMenu(/1.1 Take me/, 'Another plan…');
    await page.getByRole('dialog', { name: 'To another plan' }).getByRole('button', { name: 'Move to Source plan' }).click();
    await writer.expectOutline('1 Here');
    await writer.inPlanMenu('Bring in another plan…');
    await page.getByRole('dialog', { name: 'Bring in a plan' }).getByRole('button', { name: 'Source plan' }).click();
    await writer.expectOutline('1 Here\n2 Source plan\n  2.1 Take me\n    2.1.1 With this\n  2.2 Stay\n  2.3 Take me\n    2.3.1 With this');
    await writer.type('[Control+z]');
    await writer.expectOutline('1 Here');
    expect(writer.problems).toEqual([]);
});

test('of a branch whose plan cannot be reached the titles come in', async ({ page, context }) => {
    const writer = await planOf(page, 'Of another person', 'Take me', '\tWith this');
    await writer.mark(/1 Take me/);
    await writer.type('[Control+c]');
    await writer.saved();
    await context.clearCookies();
    const other = await planOf(page, 'Of mine', 'Here');
    other.expectRefused(/^404 POST .*\/copies$/);
    writer.expectRefused(/^404 POST .*\/copies$/);
    await other.mark(/1 Here/);
    await other.type('[Control+v]');
    await other.expectOutline('1 Here\n  1.1 Take me\n    1.1.1 With this');
    await expect(page.getByText('The plan that it is from cannot be reached. Its titles came in.')).toBeVisible();
});

test('what is cut comes back as itself; what is duplicated keeps its note', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    const writer = await planOf(page, 'Scissors', 'A', '\tA1', 'B');
    await writer.mark(/A1/);
    await writer.type('n', 'Kept', '[Escape]', '[Escape]', '[Control+x]');
    await writer.expectOutline('1 A\n2 B');
    await writer.mark(/2 B/);
    await writer.type('[Control+v]');
    await writer.expectOutline('1 A\n2 B\n  2.1 A1');
    await writer.type('[Control+Shift+d]');
    await writer.expectOutline('1 A\n2 B\n  2.1 A1\n  2.2 A1');
    await writer.saved();
    await writer.mark(/2.2 A1/);
    await writer.type('n');
    await expect(noted(page, 'Kept')).toBeVisible();
});

test('what is cut can be put elsewhere before the server has answered', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    const writer = await planOf(page, 'Quick scissors', 'A', '\tA1', '\t\tA1a', 'B');
    await page.route('**/operations', (route) => setTimeout(() => route.continue().catch(() => {}), 1500));
    await writer.mark(/1.1 A1$/);
    await writer.type('[Control+x]');
    await writer.mark(/2 B/);
    await writer.type('[Control+v]');
    await writer.expectOutline('1 A\n2 B\n  2.1 A1\n    2.1.1 A1a');
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1 A\n2 B\n  2.1 A1\n    2.1.1 A1a');
});

test('to any place by number or letters', async ({ page }) => {
    const writer = await planOf(page, 'Places', 'Tide', '\tMud', 'Wall', '\tStone', 'Last');
    await writer.mark(/3 Last/);
    await writer.type('m', '2.1', '[Enter]');
    await writer.expectOutline('1 Tide\n  1.1 Mud\n2 Wall\n  2.1 Stone\n    2.1.1 Last');
    await writer.type('m', 'mud');
    await page.getByRole('button', { name: 'Before 1.1 Mud' }).click();
    await writer.expectOutline('1 Tide\n  1.1 Last\n  1.2 Mud\n2 Wall\n  2.1 Stone');
    await writer.type('m', 'nowhere');
    await expect(page.getByText('Nothing has these letters or this number.')).toBeVisible();
    await writer.type('[Escape]', 'm', 'end', '[Enter]');
    await writer.expectOutline('1 Tide\n  1.1 Mud\n2 Wall\n  2.1 Stone\n3 Last');
});

test('the page shows where the next topic will land, and with which number', async ({ page }) => {
    const writer = await planOf(page, 'Landing', 'A', '\tA1', 'B');
    const line = page.locator('.landing.next');
    await writer.mark(/A1/);
    await writer.type('[Enter]', '[End]');
    await expect(line.locator('output')).toHaveText('1.2');
    const [row, mark] = [await writer.row(/A1/).boundingBox(), await line.boundingBox()];
    expect(Math.abs(row.y + row.height - mark.y)).toBeLessThan(4);
    await writer.type('[ArrowUp]', '[End]');
    await expect(line.locator('output')).toHaveText('1.1');
    await writer.type('[Home]');
    await expect(line.locator('output')).toHaveText('1');
    await writer.type('[Escape]');
    await expect(line).toBeHidden();
    await writer.mark(/1 A$/);
    await page.getByRole('button', { name: 'New topic' }).hover();
    await expect(line.locator('output')).toHaveText('2');
    await page.getByRole('button', { name: 'New topic' }).click();
    await writer.type('Between');
    await writer.expectOutline('1 A\n  1.1 A1\n2 Between\n3 B');
});

test('a branch is dragged by touch, at its number', async ({ browser }) => {
    const page = await (await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true })).newPage();
    const writer = await planOf(page, 'Fingers', 'A', '\tA1', 'B', 'C');
    const from = await writer.row(/3 C/).locator('.n').boundingBox();
    const to = await writer.row(/1.1 A1/).boundingBox();
    const session = await page.context().newCDPSession(page);
    const touch = (type, x, y) => session.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
    await touch('touchStart', from.x + 20, from.y + 10);
    for (let i = 1; i <= 8; i++) {
        await touch('touchMove', from.x + 20 + (to.x + 100 - from.x) * i / 8, from.y + 10 + (to.y + 5 - from.y - 10) * i / 8);
    }
    await expect(page.locator('.landing:not(.next) output')).toHaveText('1.1');
    await touch('touchEnd');
    await writer.expectOutline('1 A\n  1.1 C\n  1.2 A1\n2 B');
});

test('one branch alone, or the rest dimmed; it survives a reload', async ({ page }) => {
    const writer = await planOf(page, 'Focus', 'A', '\tA1', '\t\tA1a', 'B', '\tB1');
    await writer.mark(/1.1 A1$/);
    await writer.type('f');
    await writer.expectOutline('1.1.1 A1a');
    await expect(page.getByRole('navigation', { name: 'Way back' })).toContainText('The whole plan›1 A›1.1 A1');
    await writer.type('[Enter]', '[End]', '[Enter]', 'New', '[Escape]');
    await writer.expectOutline('1.1.1 A1a\n1.1.2 New');
    await writer.type('[Control+f]', 'a');
    await expect(page.getByText('3 found')).toBeVisible();
    await writer.type('[Escape]');
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1.1.1 A1a\n1.1.2 New');
    await page.getByRole('navigation', { name: 'Way back' }).getByRole('button', { name: '1 A' }).click();
    await writer.expectOutline('1.1 A1\n  1.1.1 A1a\n  1.1.2 New');
    await page.getByRole('button', { name: 'Dim the rest' }).click();
    await writer.expectOutline('1 A\n  1.1 A1\n    1.1.1 A1a\n    1.1.2 New\n2 B\n  2.1 B1');
    await expect(page.locator('.row.is-dim')).toHaveCount(2);
    await page.reload();
    await expect(page.locator('.row.is-dim')).toHaveCount(2);
    await writer.type('[Escape]');
    await expect(page.locator('.row.is-dim')).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('folding by level and by branch is kept; flags are filtered; numbers are set from the outline', async ({ page }) => {
    const writer = await planOf(page, 'Views', 'A', '\tA1', '\t\tA1a', 'B', '\tB1');
    await writer.mark(/A1a/);
    await writer.type('g');
    await page.getByRole('dialog', { name: /^Topic:/ }).getByRole('button', { name: 'to check' }).click();
    await writer.inBar('Level 1');
    await writer.expectOutline('1 A\n2 B');
    await expect(writer.row(/1 A 2 inside/)).toHaveAttribute('aria-expanded', 'false');
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1 A\n2 B');
    await writer.inBar('to check', 'Only');
    await writer.expectOutline('1 A\n  1.1 A1\n    1.1.1 A1a');
    await expect(page.getByText('Only to check: 1 topic')).toBeVisible();
    await writer.inBar('key', 'Only');
    await expect(page.getByText('Only to check, key: 1 topic')).toBeVisible();
    await writer.type('[Escape]');
    await page.getByRole('button', { name: 'Show all' }).click();
    await writer.expectOutline('1 A\n2 B');
    await writer.inBar('All');
    await writer.inBar('I. · A.', 'Numbers');
    await writer.expectOutline('I. A\n  A. A1\n    1. A1a\nII. B\n  A. B1');
    await page.getByRole('combobox', { name: 'Number down to' }).selectOption('1');
    await writer.expectOutline('I. A\n  A1\n    A1a\nII. B\n  B1');
    expect(writer.problems).toEqual([]);
});

test('a colour of one’s own, with a warning when it is hard to see', async ({ page }) => {
    const writer = await planOf(page, 'Dyes', 'A', '\tA1', 'B');
    await writer.mark(/1 A$/);
    await writer.type('d');
    const hex = page.getByRole('textbox', { name: 'Another colour, as hex' });
    await hex.fill('#fff8e0');
    await expect(page.getByText('Hard to see on the light page')).toBeVisible();
    await hex.fill('#203080');
    await expect(page.getByText('Hard to see on the dark page')).toBeVisible();
    await hex.press('Enter');
    await expect(writer.row(/A1/)).toHaveAttribute('style', /--d: #203080/);
    await writer.mark(/A1/);
    await writer.type('d');
    await page.getByRole('button', { name: 'madder' }).click();
    await expect(writer.row(/A1/)).toHaveAttribute('style', /--d: var\(--madder\)/);
    await writer.type('d');
    await page.getByRole('button', { name: 'as above' }).click();
    await expect(writer.row(/A1/)).toHaveAttribute('style', /--d: #203080/);
});

test('find goes from hit to hit in titles and notes; replacing shows each change and is one step', async ({ page }) => {
    const writer = await planOf(page, 'Finding', 'The marsh', '\tMarshland', 'Nothing', '\tmarsh again');
    await writer.mark(/2 Nothing/);
    await writer.type('n', 'In the note is a marsh too.', '[Escape]', '[Escape]', '[Control+f]', 'marsh');
    const count = page.locator('#find-count');
    await expect(count).toHaveText('4 found');
    await writer.type('[Enter]', '[Enter]', '[Enter]');
    await expect(count).toHaveText('3 of 4');
    await expect(noted(page, 'In the note is a marsh too.')).toBeVisible();
    await expect.poll(() => page.evaluate(() => [...CSS.highlights.get('found-now')].map(String))).toEqual(['marsh']);
    await writer.type('[Shift+Enter]');
    await expect(count).toHaveText('2 of 4');
    await expect(writer.row(/Marshland/)).toHaveAttribute('aria-selected', 'true');
    await page.getByRole('button', { name: 'Whole words' }).click();
    await expect(count).toHaveText(/of 3|3 found/);
    await page.getByRole('button', { name: 'Same case' }).click();
    await page.getByRole('searchbox', { name: 'Find' }).fill('Marsh');
    await expect(count).toHaveText('Nothing found');
    await page.getByRole('button', { name: 'Same case' }).click();
    await page.getByRole('button', { name: 'Only these' }).click();
    await writer.expectOutline('1 The marsh\n2 Nothing\n  2.1 marsh again');
    await page.getByRole('textbox', { name: 'Replace with' }).fill('fen');
    await page.getByRole('button', { name: 'See the changes' }).click();
    const changes = page.getByRole('dialog', { name: 'What will change' });
    await expect(changes.getByRole('checkbox')).toHaveCount(3);
    await changes.getByRole('checkbox').last().uncheck();
    await changes.getByRole('button', { name: 'Replace in 2 places' }).click();
    await page.getByRole('button', { name: 'Close the search' }).click();
    await writer.expectOutline('1 The fen\n  1.1 Marshland\n2 Nothing\n  2.1 marsh again');
    await writer.mark(/2 Nothing/);
    await expect(noted(page, 'In the note is a fen too.')).toBeVisible();
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Replaced “Marsh” with “fen” in 2 places/ }).click();
    await writer.expectOutline('1 The marsh\n  1.1 Marshland\n2 Nothing\n  2.1 marsh again');
    await expect(noted(page, 'In the note is a marsh too.')).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('the history goes back to any point, keeps versions, and makes plans of them', async ({ page }) => {
    const writer = await planOf(page, 'Past', 'A', 'B');
    await writer.mark(/2 B/);
    await writer.type('[Delete]');
    await writer.mark(/1 A/);
    await writer.type('[Enter]', '[End]', ' changed', '[Escape]');
    await writer.saved();
    const plan = page.url();
    await writer.inPlanMenu(/^History/);
    await expect(page.getByText('Wrote “A changed”')).toBeVisible();
    await expect(page.getByText('Robin Reed').first()).toBeVisible();
    await page.getByLabel('Keep the plan as it is now, under a name').fill('Without B');
    await page.getByRole('button', { name: 'Keep this version' }).click();
    await expect(page.getByRole('heading', { name: 'Kept versions' })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.goto(plan);
    await writer.mark(/1 A changed/);
    await writer.type('[Control+z]', '[Control+z]');
    await writer.expectOutline('1 A\n2 B');
    await writer.saved();
    await page.goto(`${plan}/history`);
    await page.getByRole('button', { name: 'Go back to: Without B' }).click();
    await expect(page.getByText('The plan is as it was then.')).toBeVisible();
    await page.goto(plan);
    await writer.expectOutline('1 A changed');
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Went back to/ }).click();
    await writer.expectOutline('1 A\n2 B');
    await page.goto(`${plan}/history`);
    await page.getByRole('link', { name: 'Read the plan as it was: Without B' }).click();
    await expect(page.getByRole('heading', { name: 'A changed' })).toBeVisible();
    await expect(page.getByText('It cannot be changed here.')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Make a plan of: Without B' }).click();
    await writer.expectOutline('1 A changed');
    await expect(page.getByRole('button', { name: /^Past \(as of / })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('axe finds nothing: outline with find, panel, menu and marked rows', async ({ page }) => {
    const writer = await planOf(page, 'Accessible', 'A', '\tA1', 'B');
    await writer.type('[Control+k]', 'Loose', '[Enter]', '[Escape]', '[Control+a]', '[Control+a]', '[Control+f]', 'a');
    await expect(page.locator('#find-count')).toHaveText('3 found');
    expect(await findings(page)).toEqual([]);
    for (const tool of [/^Show/, /^Only/, /^Numbers/, /^Sort/]) {
        await page.getByRole('toolbar', { name: 'Tools of the outline' }).getByRole('button', { name: tool }).first().click();
        expect(await findings(page)).toEqual([]);
        await writer.type('[Escape]');
    }
    await page.locator('#title').click();
    expect(await findings(page)).toEqual([]);
    await writer.type('[Escape]');
    await writer.row(/A1/).getByRole('button', { name: 'More for A1' }).click();
    expect(await findings(page)).toEqual([]);
});
