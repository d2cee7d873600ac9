import { expect } from '@playwright/test';
import { another } from './people.js';
import { findings, gate, planOf, test } from './writer.js';

const panel = (page) => page.getByRole('complementary', { name: 'Prompts' });
const cards = (page) => panel(page).getByRole('listitem');
const note = (page) => page.getByRole('textbox', { name: /Note/ });

async function write(page, name, text) {
    await page.getByRole('treeitem', { name }).click();
    await page.keyboard.press('n');
    await note(page).pressSequentially(text);
    await page.keyboard.press('Control+Enter');
    await expect(page.locator('#saved')).toContainText('Saved');
}

async function offer(page, name, which) {
    await page.getByRole('treeitem', { name }).click();
    if (await panel(page).isHidden()) {
        await page.keyboard.press('Alt+p');
    }
    await panel(page).getByRole('tab', { name: which }).click();
}

test('what belongs near is shown with the words that tie it, opened, quoted, referred to and related, each by a key and one step', async ({ page }) => {
    await planOf(page, 'Near', 'The flood of 1953', 'Market', 'Quay', 'Boats');
    await write(page, 'Market', 'Every stall was flooded in 1953, and the floods came back.');
    await write(page, 'Quay', 'A flood of 1953 took the quay.');
    await write(page, 'Boats', 'Boats went adrift in the flood of 1953, and in no flood since.');
    await offer(page, 'The flood of 1953', 'Near');
    await expect(cards(page)).toHaveCount(3);
    await expect(cards(page).first().locator('.tie').first()).toHaveText(/flood/);
    expect(await findings(page)).toEqual([]);
    // What it stands in is opened below it, and closed.
    await cards(page).first().getByRole('button', { name: /^Open/ }).click();
    await expect(cards(page).first().getByRole('note')).toBeVisible();
    await page.keyboard.press('o');
    await expect(cards(page).first().getByRole('note')).toHaveCount(0);
    const text = await cards(page).first().locator('.prompt-text').textContent();
    await page.keyboard.press('q');
    await expect(cards(page)).toHaveCount(2);
    await expect(page.getByText(/^Quoted in the note/)).toBeVisible();
    // The keyboard is at the next.
    await page.keyboard.press('f');
    await expect(page.getByText(/^Referred to in the note/)).toBeVisible();
    await page.keyboard.press('r');
    await expect(cards(page)).toHaveCount(0);
    // Words that are marked in a text are asked about by themselves.
    await page.getByRole('treeitem', { name: 'Quay' }).click();
    await page.keyboard.press('n');
    await expect(note(page)).toContainText('took the quay');
    await note(page).press('Control+a');
    await expect(panel(page)).toContainText('Near “A flood of 1953 took the quay.”');
    await expect(cards(page).filter({ hasText: 'Boats went adrift' })).toBeVisible();
    await page.keyboard.press('Control+Enter');
    await panel(page).getByRole('tab', { name: 'Near' }).focus();
    await page.keyboard.press('Escape');
    await expect(panel(page)).toBeHidden();
    await page.getByRole('treeitem', { name: 'The flood of 1953' }).click();
    await page.keyboard.press('n');
    await expect(note(page).locator('blockquote')).toHaveText(text);
    await expect(note(page).locator('.is-reference')).toHaveCount(1);
    await page.keyboard.press('Control+Enter');
    await page.getByRole('treeitem', { name: 'Market' }).click();
    for (let i = 0; i < 3; i++) {
        await page.keyboard.press('Control+z');
    }
    await page.getByRole('treeitem', { name: 'The flood of 1953' }).click();
    await page.keyboard.press('n');
    await expect(note(page).locator('blockquote')).toHaveCount(0);
});

test('another plan is looked through, and a quotation of it brings its source along; the panel follows the topic in hand', async ({ page }) => {
    const writer = await planOf(page, 'Storms of the coast', 'Great storms');
    await page.getByRole('treeitem', { name: 'Great storms' }).click();
    await page.keyboard.press('n');
    await note(page).pressSequentially('The flood of 1953 came at night ');
    await page.keyboard.press('Control+Shift+e');
    await page.keyboard.type('Pell, Slow Water, 1994');
    await page.keyboard.press('Enter');
    await page.getByRole('dialog').getByRole('button', { name: /^Cite/ }).click();
    await expect(note(page).locator('.is-citation')).toBeVisible();
    await page.keyboard.press('Control+Enter');
    await expect(page.locator('#saved')).toContainText('Saved');
    await writer.anotherPlan('Near two', 'The flood of 1953', 'Birds');
    await offer(page, 'The flood of 1953', 'Near');
    await expect(cards(page).first()).toContainText('in Storms of the coast');
    await cards(page).first().getByRole('button', { name: /^Quote it/ }).click();
    // The keyboard is in the panel; what is in hand is another topic once one goes there.
    await page.getByRole('treeitem', { name: 'Birds' }).click();
    await expect(panel(page)).toContainText('Nothing else that was written or kept');
    await page.getByRole('treeitem', { name: 'The flood of 1953' }).click();
    await page.keyboard.press('n');
    await expect(note(page).locator('blockquote .is-citation')).toContainText('Pell');
    await writer.view('Sources');
    await expect(page.locator('#sources-view')).toContainText('Slow water');
});

test('terms are told with where they stand first, and a branch in its main sentences, which are kept to be rewritten', async ({ page }) => {
    await planOf(page, 'Sea walls', 'Harbour', '\tThe old wall', 'Market');
    await write(page, 'The old wall', 'The sea wall leaks and the sea wall costs money every year. A heron stood on a roof.');
    await offer(page, 'Harbour', 'Terms');
    await expect(cards(page).filter({ hasText: 'sea wall' })).toContainText('2 times');
    await panel(page).getByRole('checkbox', { name: /^sea wall,/ }).check();
    await panel(page).getByRole('textbox', { name: 'What sea wall means' }).fill('What keeps the sea out');
    await panel(page).getByRole('textbox', { name: 'Another term' }).fill('heron');
    await page.keyboard.press('Enter');
    await expect(panel(page).getByRole('textbox', { name: 'What heron means' })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await cards(page).filter({ hasText: 'first in' }).first().getByRole('button', { name: '1.1 The old wall' }).click();
    await expect(page.getByRole('treeitem', { name: 'The old wall' })).toHaveAttribute('aria-selected', 'true');
    await offer(page, 'Harbour', 'Shorter');
    await panel(page).getByRole('combobox', { name: 'How long' }).selectOption('50');
    await expect(panel(page)).toContainText('The sea wall leaks and the sea wall costs money every year.');
    await panel(page).getByRole('button', { name: /Keep as an abstract/ }).click();
    await page.getByRole('treeitem', { name: 'In short' }).click();
    await page.keyboard.press('n');
    await expect(note(page).locator('.scaffold')).toContainText('The sea wall leaks');
    await expect(page.locator('#note-words')).toHaveText('0 words');
    // Hand over prints what was chosen.
    await page.getByRole('link', { name: 'Hand over' }).click();
    await page.getByRole('checkbox', { name: 'Glossary' }).check();
    await page.getByRole('checkbox', { name: 'Index', exact: true }).check();
    await expect(page.getByLabel('Preview')).toContainText('What keeps the sea out');
    await expect(page.getByLabel('Preview')).toContainText(/heron\W+\d/);
});

test('a first draft is taken section by section; its scaffolding never prints until it is rewritten', async ({ page }) => {
    const writer = await planOf(page, 'Drafted', 'The wall fails', '\tThe flood of 1953', '\tThe pumps are old', 'Market', '\tStalls');
    await write(page, 'The flood of 1953', 'Forty people died.');
    await offer(page, 'The wall fails', 'First draft');
    const draft = panel(page).getByRole('region', { name: 'First draft' });
    await expect(draft).toContainText('Forty people died.');
    await expect(draft.locator('.scaffold').first()).toContainText('This section');
    expect(await findings(page)).toEqual([]);
    // Each piece says where it comes from.
    await expect(panel(page).getByRole('list', { name: 'Where it comes from' })).toContainText('1.1 The flood of 1953');
    await panel(page).getByRole('button', { name: 'The whole plan', exact: true }).click();
    await expect(panel(page)).toContainText('1 of 2');
    await panel(page).getByRole('checkbox').check();
    await panel(page).getByRole('button', { name: /^Take T/ }).click();
    await expect(panel(page)).toContainText('2 of 2');
    await panel(page).getByRole('button', { name: /^Leave/ }).click();
    await expect(page.getByRole('treeitem', { name: 'The flood of 1953' })).toContainText('aside');
    await page.getByRole('treeitem', { name: 'The wall fails' }).click();
    await page.keyboard.press('n');
    await expect(note(page)).toContainText('Forty people died.');
    const scaffolds = note(page).locator('.scaffold');
    const before = await scaffolds.count();
    expect(before).toBeGreaterThan(2);
    await expect(page.locator('#note-words')).toHaveText('7 words');
    // A word changed in a sentence of it makes that sentence the writer's own.
    await scaffolds.first().click();
    await page.keyboard.press('Home');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.type('x');
    await expect(scaffolds).toHaveCount(before - 1);
    await page.keyboard.press('Control+z');
    await expect(scaffolds).toHaveCount(before);
    await page.keyboard.press('Control+Enter');
    await writer.view('Draft');
    await expect(page.locator('#draft .scaffold').first()).toBeVisible();
    await page.getByRole('link', { name: 'Hand over' }).click();
    await expect(page.getByLabel('Preview')).toContainText('Forty people died.');
    await expect(page.getByLabel('Preview')).not.toContainText('This section');
    // Draft and points: all of it is one step.
    await page.goBack();
    await writer.view('Outline');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('treeitem', { name: 'The flood of 1953' })).not.toContainText('aside');
});

test('what stands twice is told, and joined under the first title', async ({ page }) => {
    await planOf(page, 'Twice', 'Costs of the wall', 'Birds', 'The wall’s costs');
    await offer(page, 'Birds', 'Near');
    await panel(page).getByRole('button', { name: 'The whole plan', exact: true }).click();
    await panel(page).getByRole('button', { name: 'What is here twice' }).click();
    await panel(page).getByRole('button', { name: /^Join them/ }).click();
    await expect(page.getByRole('treeitem')).toHaveCount(2);
    await expect(page.getByRole('treeitem', { name: 'Costs of the wall' })).toBeVisible();
});

test('questions stand in the panel too; it makes way for comments, and readers take nothing', async ({ page, browser }) => {
    await planOf(page, 'Read', 'The flood of 1953', 'Market');
    await write(page, 'Market', 'A flood of 1953 took the market.');
    await offer(page, 'The flood of 1953', 'Questions');
    await expect(cards(page)).toHaveCount(6);
    await cards(page).first().getByRole('button', { name: /As a part/ }).click();
    await expect(cards(page)).toHaveCount(5);
    await page.getByRole('toolbar').getByRole('button', { name: /^Comments/ }).click();
    await expect(panel(page)).toBeHidden();
    await expect(page.getByRole('complementary', { name: 'Comments' })).toBeVisible();
    const reader = await another(browser, page, 'reads');
    await offer(reader.page, 'The flood of 1953', 'Near');
    await expect(cards(reader.page).filter({ hasText: 'took the market' })).toBeVisible();
    await expect(panel(reader.page).getByRole('button', { name: /Quote it/ })).toHaveCount(0);
    await panel(reader.page).getByRole('tab', { name: 'First draft' }).click();
    await expect(panel(reader.page).getByRole('button', { name: /^Take/ })).toHaveCount(0);
});

test('a helper is off until allowed; what goes out is seen, its answer is taken, and the history says so', async ({ page, browser }) => {
    const writer = await planOf(page, 'Helped', 'The wall fails', '\tThe flood of 1953', 'Market');
    await write(page, 'The flood of 1953', 'The wall broke in six places. Forty people died that night in the flood.');
    await offer(page, 'The wall fails', 'Helper');
    await expect(panel(page)).toContainText('Nothing of this plan goes out');
    const other = await another(browser, page, 'writes');
    await offer(other.page, 'The wall fails', 'Helper');
    await expect(panel(other.page)).toContainText('Its owner has not allowed one');
    await panel(page).getByRole('button', { name: 'Allow a helper for this plan' }).click();
    const pieces = panel(page).locator('.prompt-pieces');
    await expect(pieces.getByRole('listitem')).toHaveCount(3);
    await expect(pieces).toContainText('Forty people died');
    expect(await findings(page)).toEqual([]);
    await panel(page).getByRole('combobox', { name: 'What to ask for' }).selectOption('A draft of this');
    await expect(panel(page)).toContainText('Write a first draft');
    await pieces.getByRole('checkbox', { name: 'Title' }).uncheck();
    await panel(page).getByRole('button', { name: 'Send this' }).click();
    const answer = panel(page).getByRole('region', { name: 'Answer' });
    await expect(answer).toContainText('in six places');
    await answer.getByRole('button', { name: /Take into the note/ }).click();
    // What was sent is there to be looked at, without what was taken out.
    await panel(page).getByText(/A draft of this, Robin Reed/).click();
    await expect(panel(page).locator('.prompt-past')).toContainText('Outline: The wall fails');
    await expect(panel(page).locator('.prompt-past')).not.toContainText('Title: Helped');
    await expect(panel(page).locator('.prompt-past')).toContainText('taken');
    // Questions come as a tree, of which some are taken.
    await panel(page).getByRole('combobox', { name: 'What to ask for' }).selectOption('Questions');
    await expect(panel(page)).toContainText('Ask the writer');
    await panel(page).getByRole('button', { name: 'Send this' }).click();
    const asked = answer.getByRole('checkbox');
    await expect(asked.first()).toBeVisible();
    const count = await asked.count();
    await asked.first().uncheck();
    await answer.getByRole('button', { name: /Take as parts/ }).click();
    await expect(page.getByText(`Taken from the helper: ${count - 1} parts`)).toBeVisible();
    await expect(page.getByRole('treeitem')).toHaveCount(3 + count - 1);
    await page.keyboard.press('Escape');
    await page.getByRole('treeitem', { name: 'The wall fails' }).click();
    await page.keyboard.press('n');
    await expect(note(page).locator('.scaffold').first()).toContainText('in six places');
    await page.keyboard.press('Control+Enter');
    await page.getByRole('treeitem', { name: 'Market' }).click();
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('treeitem')).toHaveCount(3);
    await writer.saved();
    await page.goto(`${page.url().replace(/\/(draft|map)$/, '')}/history`);
    await expect(page.getByText(/From the helper: Wrote in the note/).first()).toBeVisible();
    // A line says so where it is handed over, if the writer wants one.
    await page.goto(page.url().replace(/\/history.*$/, '/hand-over'));
    await page.getByRole('checkbox', { name: 'A line that says that a helper was used' }).check();
    await expect(page.getByLabel('Preview')).toContainText('a helper from outside');
});

test('an answer is stopped, and one that breaks off is said to; nothing of it is kept', async ({ page }) => {
    const writer = await planOf(page, '(stand-in: slow)', 'The wall fails');
    await write(page, 'The wall fails', 'The wall broke in six places. Forty people died that night in the flood, and nobody mended it for years.');
    await offer(page, 'The wall fails', 'Helper');
    await panel(page).getByRole('button', { name: 'Allow a helper for this plan' }).click();
    await panel(page).getByRole('combobox', { name: 'What to ask for' }).selectOption('A summary');
    await expect(panel(page)).toContainText('Sum up this part');
    await panel(page).getByRole('button', { name: 'Send this' }).click();
    const answer = panel(page).getByRole('region', { name: 'Answer' });
    // It comes word by word.
    await expect(answer).toContainText('wall');
    await answer.getByRole('button', { name: 'Stop' }).click();
    await expect(answer.getByRole('alert')).toContainText('Stopped');
    await expect(answer.getByRole('button', { name: /Take/ })).toHaveCount(0);
    await writer.anotherPlan('(stand-in: cut)', 'The wall fails');
    await write(page, 'The wall fails', 'The wall broke in six places. Forty people died that night in the flood.');
    await offer(page, 'The wall fails', 'Helper');
    await panel(page).getByRole('button', { name: 'Allow a helper for this plan' }).click();
    await panel(page).getByRole('combobox', { name: 'What to ask for' }).selectOption('A summary');
    await expect(panel(page)).toContainText('(stand-in: cut)');
    // The one that was stopped may take a moment to end.
    await expect(async () => {
        await panel(page).getByRole('button', { name: 'Send this' }).click();
        await expect(answer.getByRole('alert')).toContainText('broke off', { timeout: 5000 });
    }).toPass();
    await expect(page.locator('#saved')).toContainText('Saved');
});

test('what was chosen meanwhile is not sent before it is seen, and can be asked for again where it did not come', async ({ page }) => {
    const writer = await planOf(page, 'Seen first', 'The wall fails');
    await write(page, 'The wall fails', 'The wall broke in six places. Forty people died that night in the flood.');
    await offer(page, 'The wall fails', 'Helper');
    await panel(page).getByRole('button', { name: 'Allow a helper for this plan' }).click();
    const go = panel(page).getByRole('button', { name: 'Send this' });
    await expect(go).toBeEnabled();
    const { until, open: come } = gate();
    await page.route(/\/companion\/parcel$/, async (route) => { await until; await route.abort(); });
    await panel(page).getByRole('combobox', { name: 'What to ask for' }).selectOption('A summary');
    await expect(go).toBeDisabled();
    come();
    const again = panel(page).getByRole('button', { name: 'Show what would go out' });
    await expect(again).toBeVisible();
    await page.unroute(/\/companion\/parcel$/);
    await again.click();
    await expect(panel(page)).toContainText('Sum up this part');
    await go.click();
    await expect(panel(page).getByRole('button', { name: 'Take into the note' })).toBeVisible();
    expect(writer.problems).toEqual([]);
});
