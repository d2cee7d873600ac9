import { expect } from '@playwright/test';
import { findings, planOf, test, Writer } from './writer.js';

const HTML = '<title>Harrow Creek</title><h1>1. Tide</h1><p>The <b>first</b> words.</p><ul><li>a point</li></ul><h2>1.1 Mud</h2><p>deep</p><h1>2. Wall</h1>';
const file = (name, text, mimeType = 'text/plain') => ({ name, mimeType, buffer: Buffer.from(text) });

async function atIntake(page) {
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    return writer;
}

const tree = (page) => page.getByRole('region', { name: 'The tree that it makes' }).locator('.seen-tree li span').allTextContents();

/** Drops files on the page, as from the desktop. */
async function drop(page, on, files) {
    const data = await page.evaluateHandle((given) => {
        const transfer = new DataTransfer();
        given.forEach(({ name, text }) => transfer.items.add(new File([text], name)));
        return transfer;
    }, files);
    await page.locator(on).dispatchEvent('dragover', { dataTransfer: data });
    await page.locator(on).dispatchEvent('drop', { dataTransfer: data });
}

test('a document is shown as the tree that it makes, and each choice redraws it', async ({ page }) => {
    const writer = await atIntake(page);
    await page.getByLabel('File', { exact: true }).setInputFiles(file('page.html', HTML, 'text/html'));
    await expect.poll(() => tree(page)).toEqual(['1. Tide', '1.1 Mud', '2. Wall']);
    await expect(page.getByText('3 topics, 6 words in notes')).toBeVisible();
    await page.getByLabel('Take typed numbers off the titles').check();
    await expect.poll(() => tree(page)).toEqual(['Tide', 'Mud', 'Wall']);
    await page.getByLabel('Lists become points').check();
    await expect.poll(() => tree(page)).toEqual(['Tide', 'a point', 'Mud', 'Wall']);
    await page.getByLabel('Topics down to').selectOption('1');
    await expect.poll(() => tree(page)).toEqual(['Tide', 'Wall']);
    await expect(page.getByText(/below the chosen depth/)).toBeVisible();
    await page.getByLabel('Notes too, not the titles alone').uncheck();
    await expect(page.getByText('2 topics, 0 words in notes')).toBeVisible();
    await page.getByLabel('Topics down to').selectOption('60');
    await page.getByLabel('Notes too, not the titles alone').check();
    await page.getByLabel('Lists become points').uncheck();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.expectOutline(['1 Tide', '  1.1 Mud', '2 Wall'].join('\n'));
    await expect(page.getByRole('button', { name: 'Harrow Creek', exact: true })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('bold lines are offered as headings, and can be left text', async ({ page }) => {
    const writer = await atIntake(page);
    await page.getByLabel('File', { exact: true }).setInputFiles(file('bold.html', '<p><b>The tide</b></p><p>text</p><p><b>The wall</b></p><p>more</p>', 'text/html'));
    await expect.poll(() => tree(page)).toEqual(['The tide', 'The wall']);
    await expect(page.getByText(/2 bold lines that stand alone were taken for headings/)).toBeVisible();
    await page.getByLabel(/Bold lines are headings/).uncheck();
    await expect(page.getByText('0 topics, 6 words in notes')).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('what cannot be read is said, and what can is still taken', async ({ page }) => {
    const writer = await atIntake(page);
    writer.expectRefused(/^422 POST \/intake/);
    await page.getByLabel('File', { exact: true }).setInputFiles(file('broken.docx', 'no document'));
    await expect(page.getByRole('alert').filter({ hasText: 'not a package of that kind' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Take it as a new plan' })).toBeDisabled();
    await page.getByLabel('File', { exact: true }).setInputFiles(file('program.exe', 'x'));
    await expect(page.getByRole('alert').filter({ hasText: 'cannot be read' })).toBeVisible();
    await page.getByLabel('File', { exact: true }).setInputFiles(file('topics.csv', 'level,title\n1,Tide\n2,Mud\n'));
    await expect.poll(() => tree(page)).toEqual(['Tide', 'Mud']);
    expect(writer.problems).toEqual([]);
});

test('several files at once make several plans; one that cannot be read does not hold up the others', async ({ page }) => {
    const writer = await atIntake(page);
    writer.expectRefused(/^422 POST \/intake/);
    await page.getByLabel('File', { exact: true }).setInputFiles([file('One.md', '# A\n'), file('Two.docx', 'broken'), file('Three.txt', 'B\n')]);
    const list = page.getByRole('region', { name: 'Files' });
    await expect(list.getByRole('link', { name: 'Open' })).toHaveCount(2);
    await expect(list.getByText(/not a package/)).toBeVisible();
    await page.goto('/plans');
    await expect(page.getByRole('link', { name: 'One', exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Three', exact: true })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('a file dropped on Plans or on the outline starts its intake', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await drop(page, 'body', [{ name: 'Dropped.md', text: '# Tide\n\n## Mud\n' }]);
    await page.waitForURL(/\/intake\?file=/);
    await expect.poll(() => tree(page)).toEqual(['Tide', 'Mud']);
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await drop(page, 'body', [{ name: 'More.txt', text: 'Wall\n\tStone\n' }]);
    await page.waitForURL(/\/intake\?file=/);
    await page.getByRole('button', { name: 'Take it as a branch' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.expectOutline(['1 Tide', '  1.1 Mud', '2 More', '  2.1 Wall', '    2.1.1 Stone'].join('\n'));
    await page.goto('/plans');
    await drop(page, 'body', [{ name: 'Four.txt', text: 'A\n' }, { name: 'Five.txt', text: 'B\n' }]);
    await expect(page.getByRole('link', { name: 'Four', exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Five', exact: true })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('a page full of hostile things runs nothing, and its words arrive', async ({ page }) => {
    const writer = await atIntake(page);
    const hostile = '<h1 onclick="window.__pwned=1">Heading <script>window.__pwned=2</script></h1><p>Kept <a href="javascript:window.__pwned=3">link</a><img src=x onerror="window.__pwned=4" alt="seen"></p><iframe srcdoc="<script>parent.__pwned=5</script>"></iframe><h2>&lt;script&gt;window.__pwned=6&lt;/script&gt;</h2>';
    await page.getByLabel('File', { exact: true }).setInputFiles(file('hostile.html', hostile, 'text/html'));
    await expect.poll(() => tree(page)).toEqual(['Heading', '<script>window.__pwned=6</script>']);
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await page.goto(`${page.url()}/hand-over`);
    await expect(page.getByLabel('Preview').getByText('Kept link')).toBeVisible();
    expect(await page.evaluate(() => window.__pwned)).toBeUndefined();
    expect(writer.problems).toEqual([]);
});

test('what acts is in sight; the first line that holds the rest is the title, Markdown is known, and both can be said otherwise', async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    const writer = await atIntake(page);
    const text = page.getByLabel(/paste text/);
    await expect(page.getByRole('button', { name: 'Take it as a new plan' })).toBeInViewport({ ratio: 1 });
    await text.fill('Tide\n  Mud\n  Wall\n    * not a list');
    await expect(page.getByRole('heading', { name: 'Tide' })).toBeVisible();
    await expect.poll(() => tree(page)).toEqual(['Mud', 'Wall', '* not a list']);
    const title = page.getByLabel('The first heading is the title');
    await expect(title).toBeChecked();
    await title.uncheck();
    await expect.poll(() => tree(page)).toEqual(['Tide', 'Mud', 'Wall', '* not a list']);
    await title.check();
    await expect.poll(() => tree(page)).toEqual(['Mud', 'Wall', '* not a list']);
    await text.fill('# Tide\n\nThe **first** words.\n\n## Mud\n\ndeep\n');
    const markdown = page.getByLabel('It is Markdown');
    await expect(markdown).toBeChecked();
    await expect(page.getByText(/[34] words in notes/)).toBeVisible();
    await markdown.uncheck();
    await expect.poll(() => tree(page)).toContain('The **first** words.');
    await markdown.check();
    await expect.poll(() => tree(page)).not.toContain('The **first** words.');
    await expect(page.getByRole('button', { name: 'Take it as a new plan' })).toBeInViewport({ ratio: 1 });
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await expect(page.getByRole('button', { name: 'Tide', exact: true })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('what was left out of a page is counted, can be looked at, and comes in after all', async ({ page }) => {
    const writer = await atIntake(page);
    const html = '<nav><a href="/">Home</a> <a href="/tides">All tides of the creek</a></nav><h1 id="a">Wall</h1><p>Stone.</p>'
        + '<div class="toc"><h2>Mud in the contents wrapper</h2><p>It is text all the same, as everything on this page is.</p></div>';
    await page.getByLabel('File', { exact: true }).setInputFiles(file('Guide.html', html, 'text/html'));
    await expect.poll(() => tree(page)).toEqual(['Wall', 'Mud in the contents wrapper']);
    const left = page.getByText('6 words of what leads around the site, at the beginning');
    await left.click();
    await expect(page.getByText('All tides of the creek')).toBeVisible();
    await page.getByLabel('Take in what was left out, too').check();
    await expect(page.getByText('Opening note, 6 words')).toBeVisible();
    await expect(left).toBeHidden();
    await expect(page.getByText('was left out.')).toBeHidden();
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('text comes in below a topic, from its menu, without a section around it', async ({ page }) => {
    const writer = await planOf(page, 'Grows', 'Why', '\tStorms', 'Before');
    await writer.inMenu(/^1 Why/, 'Take in below it…');
    await expect(page.getByLabel('Where in it').locator('option:checked')).toHaveText('1 Why');
    await page.getByLabel(/paste text/).fill('Fish\n\tMullet\nMud\n');
    await page.getByRole('button', { name: 'Take it in there' }).click();
    await page.waitForURL(/plans\/\w+$/);
    await writer.expectOutline('1 Why\n  1.1 Storms\n  1.2 Fish\n    1.2.1 Mullet\n  1.3 Mud\n2 Before');
    await writer.type('[Control+z]');
    await writer.expectOutline('1 Why\n  1.1 Storms\n2 Before');
    expect(writer.problems).toEqual([]);
});

test('an outline that a program has written becomes the tree that was meant, or comes as it stands', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    await page.getByLabel(/paste text/).fill(
        ['Sure! Here is it:', '', '**Central topic: Bells**', '**Branch 1: Casting**', '- **Bronze**: copper and tin', '**Branch 2: Tuning**', '', 'Let me know!'].join('\n'),
    );
    await expect(page.getByText('This looks like an outline that a program has written')).toBeVisible();
    await expect(page.getByText('Branch 1')).toHaveCount(0);
    await page.getByLabel('As it stands, with all that is around the outline').check();
    await expect(page.getByText('**Branch 1: Casting**')).toBeVisible();
    await page.getByLabel('As it stands, with all that is around the outline').uncheck();
    await expect(page.getByText('**Branch 1: Casting**')).toHaveCount(0);
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await expect(page.getByRole('treeitem', { name: /1 Casting/ })).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /1\.1 Bronze/ })).toBeVisible();
});
