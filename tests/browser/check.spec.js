import { expect } from '@playwright/test';
import { findings, planOf, share, test, Writer } from './writer.js';

const LINES = ['Tide', '  Mud', 'Wall', '  The  stones', '  Clay', 'Eels'];

/** A plan with a text in the note of Mud, seen in Check. */
async function checked(page, text = 'Down in the the  mud.') {
    const writer = await planOf(page, 'Checked', ...LINES);
    await writer.mark(/Mud/);
    await writer.type('[n]');
    await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
    await writer.type(text, '[Escape]');
    await writer.saved();
    await writer.view('Check');
    await expect(page.getByRole('heading', { name: /things? to look at$/ })).toBeVisible();
    return writer;
}

const found = (page) => page.getByRole('list', { name: /to look at$/ });
const finding = (page, name) => found(page).getByRole('button', { name, exact: true });

test('findings are gone through by keys: next, one by one, there, mended, set aside, each undone in one step', async ({ page }) => {
    const writer = await checked(page);
    await expect(page).toHaveURL(/\/check$/);
    await expect(finding(page, 'The last section is empty')).toBeFocused();
    await writer.type('[ArrowDown]');
    await expect(finding(page, 'Section 2 has no text')).toBeFocused();
    await writer.type('[ArrowUp]', '[Enter]');
    // To the note of Eels, where one writes.
    await expect(page).toHaveURL(/plans\/[0-9A-Z]+$/);
    await expect(writer.row(/Eels/)).toHaveAttribute('aria-selected', 'true');
    await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
    await writer.type('They are long.');
    await writer.saved();
    await page.goBack();
    await expect(finding(page, 'The last section is empty')).toHaveCount(0);

    // Two places with two spaces: shown one by one, then mended together.
    const spaces = finding(page, 'Two spaces between words: 2');
    await spaces.focus();
    await writer.type('[ArrowRight]');
    await expect(page.getByRole('list', { name: 'Two spaces between words: 2' }).getByRole('button', { name: /^1\.1 Mud/ })).toBeFocused();
    await writer.type('[ArrowLeft]');
    await expect(spaces).toBeFocused();
    await writer.type('[m]');
    await expect(page.getByRole('status').filter({ hasText: 'Mended 2 places' })).toBeVisible();
    await expect(spaces).toHaveCount(0);
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Mended 2 places/ }).click();
    await expect(spaces).toBeVisible();

    // A word twice is set aside with a reason, and comes back.
    await finding(page, 'A word twice in a row').focus();
    await writer.type('[a]');
    const dialog = page.getByRole('dialog', { name: 'Set this aside' });
    await expect(dialog).toContainText('Down in the the');
    await writer.type('It is a quotation', '[Enter]');
    await expect(finding(page, 'A word twice in a row')).toHaveCount(0);
    const aside = page.getByRole('list', { name: 'Set aside' });
    await expect(aside).toContainText('It is a quotation');
    await writer.saved();
    await page.reload();
    await aside.getByRole('button', { name: /^Bring back/ }).click();
    await expect(finding(page, 'A word twice in a row')).toBeVisible();
    await expect(aside).toBeHidden();
    expect(writer.problems).toEqual([]);
});

test('a rule is switched off from a finding and on again in the list of rules; what is shown goes by how serious it is', async ({ page }) => {
    const writer = await checked(page);
    await page.getByRole('button', { name: 'More for A word twice in a row' }).click();
    await page.getByRole('dialog', { name: 'What can be done with it' }).getByRole('button', { name: 'Look for this no more' }).click();
    await expect(finding(page, 'A word twice in a row')).toHaveCount(0);
    await writer.saved();
    await page.getByRole('button', { name: 'What is looked for…' }).click();
    const rules = page.getByRole('dialog', { name: 'What is looked for' });
    const rule = rules.getByRole('checkbox', { name: /^A word twice in a row/ });
    await expect(rule).not.toBeChecked();
    await expect(rules.getByRole('checkbox', { name: /^Loose ideas/ })).toBeChecked();
    expect(await findings(page)).toEqual([]);
    await rule.check();
    await rules.getByRole('button', { name: 'Done' }).click();
    await expect(finding(page, 'A word twice in a row')).toBeVisible();
    const bar = page.getByRole('toolbar', { name: 'Tools of the check' });
    await bar.getByRole('button', { name: /^Serious/ }).click();
    await expect(finding(page, 'A word twice in a row')).toHaveCount(0);
    await expect(finding(page, 'The last section is empty')).toBeVisible();
    await bar.getByRole('button', { name: /^Everything/ }).click();
    await expect(finding(page, 'A word twice in a row')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('a target is set at its bar: by keys, dragged, and called off by Escape; a section is gone to', async ({ page }) => {
    const writer = await checked(page);
    const target = page.getByRole('slider', { name: 'Target of Tide' });
    await target.focus();
    await writer.type('[PageUp]', '[ArrowRight]');
    await expect(target).toHaveAttribute('aria-valuenow', '120');
    await expect(target).toBeFocused();
    const row = page.getByRole('list', { name: 'How the piece is balanced' }).getByRole('listitem').first();
    await expect(row).toContainText('5 of 120');
    const drag = async (by, end) => {
        // The bars are as long as the longest target has it.
        await expect(target).toHaveAttribute('aria-valuemax', '150');
        const at = await target.boundingBox();
        await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
        await page.mouse.down();
        await page.mouse.move(at.x + at.width / 2 + by, at.y + at.height / 2, { steps: 5 });
        await end();
    };
    await drag(-60, async () => {
        await expect(row).not.toContainText('5 of 120');
        await writer.type('[Escape]');
        await page.mouse.up();
    });
    await expect(row).toContainText('5 of 120');
    await drag(-60, () => page.mouse.up());
    await expect(row).not.toContainText('5 of 120');
    const set = await target.getAttribute('aria-valuenow');
    await writer.saved();
    await page.reload();
    await expect(target).toHaveAttribute('aria-valuenow', set);
    await page.getByRole('banner').getByRole('button', { name: /^Undo: / }).click();
    await expect(target).toHaveAttribute('aria-valuenow', '120');
    await row.getByRole('button', { name: 'Tide' }).click();
    await expect(writer.row(/1 Tide/)).toHaveAttribute('aria-selected', 'true');
    expect(writer.problems).toEqual([]);
});

test('words a day are reckoned by target, due date and the days on which one writes', async ({ page }) => {
    const writer = await checked(page, 'Down in the mud.');
    const pace = page.getByRole('region', { name: 'No target' });
    await expect(pace).toContainText('4 words written today.');
    await expect(pace.getByRole('button', { name: '1 Tide' }).or(pace.getByRole('button', { name: '2.1 The stones' }))).toBeVisible();
    await pace.getByRole('button', { name: 'Target and due date…' }).click();
    const properties = page.getByRole('dialog', { name: 'The plan' });
    await properties.getByLabel('Target in words').fill('1004');
    const due = new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10);
    await properties.getByLabel('Due').fill(due);
    await properties.getByRole('button', { name: 'Save' }).click();
    const goal = page.getByRole('region', { name: /^1\d\d words a day$/ });
    await expect(goal).toContainText('finish the remaining 1,000 words');
    await goal.getByRole('button', { name: 'Days on which you write…' }).click();
    const days = page.getByRole('dialog', { name: 'Days on which you write' });
    await days.getByRole('checkbox', { name: 'Sunday' }).uncheck();
    await days.getByRole('checkbox', { name: 'Saturday' }).uncheck();
    await days.getByRole('button', { name: 'Add days off' }).click();
    writer.expectRefused(/^422 PUT .*\/writing-days$/);
    await days.getByLabel('From').fill(due);
    await days.getByLabel('to', { exact: true }).fill('2020-01-01');
    await days.getByRole('button', { name: 'Save' }).click();
    await expect(days.getByRole('alert')).toContainText('ends before it begins');
    expect(await findings(page)).toEqual([]);
    await days.getByRole('button', { name: 'Take out' }).click();
    await days.getByRole('button', { name: 'Save' }).click();
    await expect(days).toBeHidden();
    await expect(page.locator('#pace-says')).toContainText(/writing on [678] days/);
    await page.reload();
    await expect(page.locator('#pace-says')).toContainText(/writing on [678] days/);
    await page.locator('#pace-topic').click();
    await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
    expect(writer.problems).toEqual([]);
});

test('by touch: a finding is gone to, and one of several from its menu', async ({ browser }) => {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
    const writer = await checked(page);
    await finding(page, 'Two spaces between words: 2').tap();
    await page.getByRole('button', { name: /^More for 2\.1/ }).tap();
    await page.getByRole('dialog', { name: 'What can be done with it' }).getByRole('button', { name: 'Mend it' }).tap();
    await expect(finding(page, 'Two spaces between words')).toBeVisible();
    await finding(page, 'Section 2 has no text').tap();
    await expect(page.getByRole('textbox', { name: 'Note' })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('who may only read sees the findings, and nothing that would change the plan', async ({ page, browser }) => {
    const writer = await checked(page);
    const other = new Writer(await (await browser.newContext()).newPage());
    await other.signUp('Ida Lark');
    share(page, other.email, 'reads');
    await other.page.goto(new URL(page.url()).pathname);
    await expect(finding(other.page, 'A word twice in a row')).toBeVisible();
    await expect(other.page.getByRole('slider')).toHaveCount(0);
    await other.page.getByRole('button', { name: 'More for A word twice in a row' }).click();
    await expect(other.page.getByRole('dialog', { name: 'What can be done with it' }).getByRole('button')).toHaveText([/^Go there/]);
    await other.type('[Escape]');
    await finding(other.page, 'A word twice in a row').focus();
    await other.type('[a]');
    await expect(other.page.getByRole('dialog')).toHaveCount(0);
    // What one writes the other finds.
    await writer.view('Outline');
    await writer.mark(/Clay/);
    await writer.type('[n]', 'Wet wet clay.', '[Escape]');
    await expect(finding(other.page, 'A word twice in a row: 2')).toBeVisible({ timeout: 20_000 });
    expect([...writer.problems, ...other.problems]).toEqual([]);
});

test('hand over says what is serious, and leads there', async ({ page }) => {
    const writer = await checked(page);
    await page.getByRole('link', { name: 'Hand over' }).click();
    await page.getByRole('link', { name: /^\d serious findings$/ }).click();
    await expect(finding(page, 'The last section is empty')).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('straight quotation marks among curved ones, and a source kept twice, are mended by a key, one undo each', async ({ page }) => {
    const writer = await checked(page, '“The old wall” stood, “the new one” fell. "Mud" is soft.');
    const straight = finding(page, /^Straight quotation marks/);
    await page.getByRole('button', { name: /^Straight quotation marks/ }).first().focus();
    await writer.type('[m]');
    await expect(page.getByRole('status').filter({ hasText: /^Mended/ })).toBeVisible();
    await expect(straight).toHaveCount(0);
    await writer.saved();
    const note = await page.request.get(`${page.url().replace(/\/check$/, '')}/hand-over/file?format=md`);
    expect(await note.text()).toContain('“Mud” is soft.');
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Mended/ }).click();
    await expect(page.getByRole('button', { name: /^Straight quotation marks/ }).first()).toBeVisible();

    await writer.view('Sources');
    for (let i = 0; i < 2; i++) {
        await page.getByLabel('Add a source').fill('Pell, Tides and Walls, 1994');
        await page.keyboard.press('Enter');
        await page.getByRole('button', { name: 'Add to the sources' }).click();
        await expect(page.getByRole('list', { name: 'Sources' }).getByRole('listitem')).toHaveCount(i + 1);
    }
    await writer.view('Check');
    await page.getByRole('button', { name: 'Two sources may be the same', exact: true }).focus();
    await writer.type('[m]');
    await expect(page.getByRole('button', { name: 'Two sources may be the same', exact: true })).toHaveCount(0);
    await writer.view('Sources');
    await expect(page.getByRole('list', { name: 'Sources' }).getByRole('listitem')).toHaveCount(1);
    expect(writer.problems).toEqual([]);
});

test('what was written is a line over days, beside an even line to the target, and said in words', async ({ page }) => {
    const writer = await checked(page);
    // What other days have left, as PHP tells it: a page cannot wait for them.
    await page.route('**/findings', async (route) => {
        const answer = await route.fetch();
        const told = await answer.json();
        told.pace.line = [100, 250, 400, 380].map((done, i) => ({ day: `2026-11-2${i + 5}`, done, planned: 100 * (i + 1) }));
        await route.fulfill({ response: answer, json: told });
    });
    await page.reload();
    const chart = page.getByRole('img', { name: '100 words on 25 November, 380 words on 28 November; 400 by an even line to the target' });
    await expect(chart).toBeVisible();
    await expect(page.getByText('Line: written. Dashes: an even line to the target.')).toBeVisible();
    const points = await chart.locator('.done').getAttribute('points');
    expect(points.split(' ')).toHaveLength(4);
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('work that is late is found, gone to and done', async ({ page }) => {
    const writer = await planOf(page, 'Late', ...LINES);
    await writer.mark(/Clay/);
    await writer.type('e');
    await page.getByRole('dialog', { name: 'Topic: Clay' }).getByLabel('Last day').fill('2020-02-29');
    await writer.type('[Escape]');
    await writer.saved();
    await writer.view('Check');
    await page.getByRole('button', { name: 'Work is late: 29 February 2020', exact: true }).focus();
    await writer.type('[Enter]');
    await expect(writer.row(/Clay late, by/)).toHaveAttribute('aria-selected', 'true');
    await writer.type('[Escape]');
    await writer.mark(/Clay/);
    await page.keyboard.press('Shift+e');
    await writer.saved();
    await writer.view('Check');
    await expect(page.getByRole('button', { name: /^Work is late/ })).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});
