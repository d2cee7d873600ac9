import { expect } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { another } from './people.js';
import { findings, planOf, test, Writer } from './writer.js';

/** Someone without an account, in a browser of their own. */
async function somebody(browser, options = {}) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block', ...options });
    return new Writer(await context.newPage());
}

const invite = async (page, email, role) => {
    const dialog = page.getByRole('dialog', { name: /^Who may see/ });
    await page.getByRole('button', { name: 'Share' }).click();
    await dialog.getByLabel('E-mail address').fill(email);
    await dialog.getByRole('combobox', { name: 'What they may do' }).selectOption(role);
    await page.keyboard.press('Enter');
    await expect(dialog.getByRole('button', { name: 'Invite' })).toBeVisible();
    return (await dialog.locator('.letter-link a').getAttribute('href'));
};

test('from an invitation to the first comment: who has no account makes one on the way, and both see what is said', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', '  Clay', 'Tide');
    await writer.saved();
    const link = await invite(page, `ondine-${Date.now()}@example.org`, 'comments');
    await expect(page.getByRole('dialog', { name: /^Who may see/ })).toContainText('has not come yet');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Close', exact: true }).click();

    const ondine = await somebody(browser);
    await ondine.page.goto(link);
    await expect(ondine.page.getByRole('heading')).toContainText('asks you to “Marsh”');
    expect(await findings(ondine.page)).toEqual([]);
    await ondine.page.getByLabel('Your name').fill('Ondine Lark');
    await ondine.page.getByLabel('Password').fill('a long secret');
    await ondine.page.getByRole('button', { name: 'Open the plan' }).click();
    await expect(ondine.row(/Clay/)).toBeVisible();
    // By keyboard alone: a comment on the marked topic.
    await ondine.mark(/Clay/);
    await ondine.type('c', 'Which clay is it?', '[Control+Enter]');
    await expect(ondine.page.getByRole('article', { name: /Ondine Lark on 1.1 Clay/ })).toContainText('Which clay is it?');
    // The owner sees it by itself, answers, and settles it.
    await expect(writer.row(/Clay/)).toHaveAccessibleName(/1 comment/);
    await page.getByRole('button', { name: 'Comments 1' }).click();
    const card = page.getByRole('article', { name: /Ondine Lark on 1.1 Clay/ });
    await expect(card).toContainText('Which clay is it?');
    await card.focus();
    await writer.type('[Enter]', 'The blue one, @Ondine Lark.', '[Control+Enter]');
    await expect(ondine.page.getByRole('article', { name: /Ondine Lark on/ })).toContainText('The blue one, @Ondine Lark.');
    expect(await findings(page)).toEqual([]);
    await card.getByRole('button', { name: 'Settle' }).click();
    await expect(card).toHaveCount(0);
    await page.getByRole('combobox', { name: 'Which comments' }).selectOption('settled');
    await expect(card).toContainText('Settled by Robin Reed');
    await expect(ondine.page.getByRole('article')).toHaveCount(0);
    // What was said to her waits on the list of plans, until it was seen.
    await ondine.page.goto('/plans?shelf=shared');
    await expect(ondine.page.getByRole('heading', { name: 'Marsh' })).toBeVisible();
    expect([...writer.problems, ...ondine.problems]).toEqual([]);
});

test('what another did while one was away is marked, on the list and in the plan, until it is seen', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide', 'Mud');
    const jory = await another(browser, page, 'writes');
    await jory.expectOutline('1 Wall\n2 Tide\n3 Mud');
    await jory.page.goto('/plans');
    await writer.mark(/Tide/);
    await writer.type('[Enter]', '[End]', ' and moon', '[Escape]');
    await writer.saved();
    await jory.page.reload();
    await jory.page.getByRole('link', { name: /Shared\s+with me/ }).click();
    await expect(jory.page.getByRole('article')).toContainText('1 new change by Robin Reed');
    await jory.page.getByRole('link', { name: 'Marsh' }).click();
    await expect(jory.row(/Tide and moon/)).toHaveAccessibleName(/new/);
    await expect(jory.row(/Wall/)).not.toHaveAccessibleName(/new/);
    await jory.page.getByRole('button', { name: '1 new topic' }).click();
    await expect(jory.row(/Tide and moon/)).not.toHaveAccessibleName(/new/);
    await jory.page.waitForResponse((answer) => answer.url().endsWith('/seen'));
    await jory.page.goto('/plans?shelf=shared');
    await expect(jory.page.getByRole('article')).not.toContainText('new change');
    expect(jory.problems).toEqual([]);
});

test('by a link, with a password: anybody reads, and comments by name; then it is switched off', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', '  Clay', 'Tide');
    await writer.mark(/Clay/);
    await writer.type('n', 'The clay is blue.');
    await writer.saved();
    await writer.type('[Escape]', '[Escape]');
    await page.getByRole('button', { name: 'Share' }).click();
    const dialog = page.getByRole('dialog', { name: /^Who may see/ });
    await dialog.getByRole('button', { name: 'Make a link' }).click();
    const address = await dialog.getByLabel('Address of the link').inputValue();
    await dialog.getByLabel('may comment').check();
    await dialog.getByLabel('Password', { exact: true }).fill('samphire');
    await writer.type('[Tab]');
    await expect(dialog.getByPlaceholder('one is set')).toBeVisible();
    expect(await findings(page)).toEqual([]);

    const reader = await somebody(browser, { viewport: { width: 390, height: 844 }, hasTouch: true });
    await reader.page.goto(address);
    await reader.page.getByLabel('Password').fill('samphire');
    await reader.page.getByRole('button', { name: 'Open' }).tap();
    await expect(reader.page.getByRole('link', { name: 'Clay' })).toBeVisible();
    for (const view of ['Map', 'Pages', 'Draft']) {
        await reader.page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view }).tap();
        await expect(reader.page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view })).toHaveAttribute('aria-current', 'page');
        expect(await findings(reader.page), view).toEqual([]);
    }
    await expect(reader.page.getByRole('article')).toContainText('The clay is blue.');
    await reader.page.getByText('Comment', { exact: true }).nth(2).tap();
    await reader.page.getByLabel('Your name').nth(2).fill('Sefa');
    await reader.page.getByLabel('What you want to say').nth(2).fill('Is it?');
    await reader.page.getByRole('button', { name: 'Send' }).tap();
    await expect(reader.page.getByRole('list', { name: 'Comments on 1.1 Clay' })).toContainText('Sefa');
    await dialog.getByRole('button', { name: 'Close', exact: true }).click();
    await expect(writer.row(/Clay/)).toHaveAccessibleName(/1 comment/);
    await page.getByRole('button', { name: 'Share' }).click();
    await dialog.getByRole('button', { name: 'Switch off' }).click();
    await expect(dialog.getByRole('button', { name: 'Make a link' })).toBeVisible();
    reader.expectRefused(/^404 GET \/read\//);
    await reader.page.reload();
    await expect(reader.page.getByText('The clay is blue.')).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('who is taken out in mid-sentence sees nothing more at once, and keeps what was not taken in', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    const jory = await another(browser, page, 'writes');
    jory.expectRefused(/^40[34] (GET|POST) \/plans\//);
    await jory.mark(/Wall/);
    await jory.type('n', 'The wall was');
    await jory.saved();
    await expect(page.getByRole('group', { name: 'Here now' }).getByRole('button', { name: /Jory Tamm/ })).toBeVisible();
    await page.getByRole('button', { name: 'Share' }).click();
    await jory.type(' built by');
    await page.getByRole('button', { name: 'Take Jory Tamm out' }).click();
    await expect(jory.page.getByRole('heading', { name: 'You can no longer see this plan' })).toBeVisible();
    await expect(jory.page.getByText('Tide')).toHaveCount(0);
    await expect(page.getByRole('dialog', { name: /^Who may see/ })).not.toContainText('Jory Tamm');
    jory.expectRefused(/^404 GET \/plans\//);
    await jory.page.goto(page.url());
    await expect(jory.page.getByText('Tide')).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('what one may do is changed while one is there: the page is opened anew for that', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    const jory = await another(browser, page, 'writes');
    await jory.mark(/Wall/);
    await jory.type('[Enter]', '[End]', ' of clay', '[Escape]');
    await jory.saved();
    await page.getByRole('button', { name: 'Share' }).click();
    await page.getByRole('combobox', { name: 'What Jory Tamm may do' }).selectOption('may read');
    await expect(jory.page.getByText('What you may do in this plan has changed.')).toBeVisible();
    await jory.page.waitForEvent('load');
    await jory.mark(/Wall of clay/);
    await jory.type('[Enter]', '[End]', ' and stone', '[Escape]', 'c');
    await expect(jory.page.getByText('You can read this plan, and not comment on it.')).toBeVisible();
    await expect(jory.row(/Wall of clay(?! and)/)).toBeVisible();
    await expect(writer.row(/stone/)).toHaveCount(0);
    expect([...writer.problems, ...jory.problems]).toEqual([]);
});

test('a plan is handed to another, who accepts it; and left', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall');
    const jory = await another(browser, page, 'writes');
    await page.getByRole('button', { name: 'Share' }).click();
    await page.getByRole('combobox', { name: 'What Jory Tamm may do' }).selectOption('is to own it');
    await expect(page.getByRole('dialog', { name: /^Who may see/ })).toContainText('asked to be its owner');
    await jory.page.goto('/plans');
    await expect(jory.page.getByRole('status').filter({ hasText: 'would hand “Marsh” over' })).toBeVisible();
    await jory.page.getByRole('button', { name: 'Take it' }).click();
    await expect(jory.page.getByText('“Marsh” is yours now.')).toBeVisible();
    await page.reload();
    await page.getByRole('button', { name: 'Share' }).click();
    await page.getByRole('button', { name: 'Leave this plan' }).click();
    await expect(page.getByText('You left “Marsh”.')).toBeVisible();
    expect([...writer.problems, ...jory.problems]).toEqual([]);
});

test('a plan is given out as copies, and how far each is, is seen', async ({ page, browser }) => {
    const writer = await planOf(page, 'Model', 'Opening', 'Middle', 'End');
    await writer.saved();
    await writer.inPlanMenu('Give out as copies…');
    await page.getByLabel(/E-mail addresses/).fill(`kim-${Date.now()}@example.org\nlee-${Date.now()}@example.org`);
    await page.getByRole('button', { name: 'Give it out' }).click();
    await expect(page.getByText('2 letters are on their way.')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    const kim = await somebody(browser);
    await kim.page.goto(await page.locator('.letter-link a').first().getAttribute('href'));
    await kim.page.getByLabel('Your name').fill('Kim Reed');
    await kim.page.getByLabel('Password').fill('a long secret');
    await kim.page.getByRole('button', { name: 'Open the plan' }).click();
    await kim.mark(/Opening/);
    await kim.type('n', 'four words are here');
    await kim.saved();
    await page.reload();
    await expect(page.getByRole('region', { name: 'One copy' })).toContainText(/Kim Reed.*4\s+words/s);
    await expect(page.getByRole('region', { name: 'Have not come yet' }).getByRole('listitem')).toHaveCount(1);
    expect([...writer.problems, ...kim.problems]).toEqual([]);
});

test('letters go out by the queue, and a letter leads to the comment', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    const ondine = await another(browser, page, 'comments', 'Ondine Lark');
    await ondine.mark(/Tide/);
    await ondine.type('c', 'High or low, @Robin Reed?', '[Control+Enter]');
    await expect(ondine.page.getByRole('article')).toContainText('High or low');
    const mailbox = () => execFileSync('sh', ['-c', 'cat storage/logs/mailbox*.log'], { maxBuffer: 1e8 }).toString();
    const letters = () => mailbox().split(`To: ${writer.email}`).slice(1).filter((one) => one.includes('Ondine Lark mentioned you in “Marsh”'));
    await expect.poll(() => letters().length, { timeout: 45_000 }).toBe(1);
    const [letter] = letters();
    const address = /https?:\S+#comment=[0-9A-Z]{26}/.exec(letter)[0];
    await page.goto('/plans');
    await page.goto(address);
    await expect(page.getByRole('article', { name: /Ondine Lark on 2 Tide/ })).toBeFocused();
    expect(ondine.problems).toEqual([]);
});
