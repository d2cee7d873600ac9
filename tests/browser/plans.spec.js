import { expect } from '@playwright/test';
import { findings, test, Writer } from './writer.js';

test('a plan starts from a pattern, is renamed, put away, deleted and brought back', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await page.getByRole('textbox', { name: 'What are you going to write?' }).fill('The night shift');
    await page.getByRole('button', { name: 'From a pattern' }).click();
    await page.getByRole('radio', { name: /Report/ }).check();
    await page.getByRole('button', { name: 'Start a plan' }).click();
    await writer.expectOutline(['Summary', '1 Why this report', '  1.1 Who asked for it', '  1.2 What it covers', '2 How it was done', '3 What was found', '  3.1 First finding', '  3.2 Second finding', '4 What it means', '5 What to do now', 'References'].join('\n'));
    await page.getByRole('link', { name: 'All plans' }).click();
    // How the sections share it is drawn as wide as there is room, above the words.
    const [share, words] = [page.locator('.plan-card .share'), page.locator('.plan-card').getByText(/words/)];
    const [bar, under] = [await share.boundingBox(), await words.boundingBox()];
    expect(bar.width).toBeGreaterThan(180);
    expect(under.y).toBeGreaterThanOrEqual(bar.y + bar.height);
    await page.getByRole('button', { name: 'Rename The night shift' }).click();
    await page.getByRole('textbox', { name: 'Title' }).fill('The day shift');
    await page.getByRole('button', { name: 'Rename', exact: true }).click();
    await page.getByRole('button', { name: 'Put away The day shift' }).click();
    await expect(page.getByText('Nothing here yet')).toBeVisible();
    await page.getByRole('link', { name: /Put away 1/ }).click();
    await page.getByRole('button', { name: 'Take out again The day shift' }).click();
    await page.getByRole('link', { name: /All plans 1/ }).click();
    await page.getByRole('button', { name: 'Delete The day shift' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: 'The day shift' })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('a note is written with formatting, links and its own undo', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('Formatting');
    await page.getByRole('textbox', { name: 'First topic' }).fill('Topic');
    await writer.type('[Enter]', '[Escape]');
    await writer.mark(/Topic/);
    await writer.type('[n]', 'Plain ', '[Control+i]', 'slanted', '[Control+i]', ' and ');
    await page.getByRole('button', { name: 'Link', exact: true }).click();
    await page.getByRole('textbox', { name: 'Address' }).fill('javascript:alert(1)');
    await page.getByRole('button', { name: 'Set the link' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'not an address' })).toBeVisible();
    await page.getByRole('textbox', { name: 'Address' }).fill('example.org/tides');
    await page.getByRole('button', { name: 'Set the link' }).click();
    await expect(page.locator('#page a')).toHaveAttribute('href', 'https://example.org/tides');
    await writer.type('[End]', '[Enter]', '> quoted', '[Enter]', '[Enter]', '1. first', '[Enter]', '[Tab]', 'nested');
    await expect(page.locator('#page blockquote')).toHaveText('quoted');
    await expect(page.locator('#page ol ol li')).toHaveText('nested');
    // The editor takes back what was typed in one go.
    await page.waitForTimeout(800);
    await writer.type(' gone', '[Control+z]');
    await expect(page.locator('#page ol ol li')).not.toContainText('gone');
    await writer.saved();
    await page.reload();
    await writer.type('[n]');
    await expect(page.locator('#page em')).toHaveText('slanted');
    await expect(page.locator('#page ol ol li')).toHaveText('nested');
    expect(writer.problems).toEqual([]);
});

test('a forgotten password says the same for every address, and sign-in names what is wrong', async ({ page }) => {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill('nobody@example.org');
    await page.getByLabel('Password').fill('whatever it was');
    await page.getByRole('main').getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(page.getByRole('alert')).toHaveText('This e-mail address and password do not belong together.');
    await page.getByRole('link', { name: 'Forgotten password' }).click();
    await page.getByLabel('E-mail address').fill('nobody@example.org');
    await page.getByRole('button', { name: 'Send the link' }).click();
    await expect(page.getByRole('status')).toContainText('If there is an account');
});

test('an outline of 300 topics keeps only what is in view in the page, and says where each row stands', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/intake');
    await page.getByLabel(/paste text/).fill(Array.from({ length: 300 }, (_, i) => `${i % 10 ? '\t' : ''}Line ${i}`).join('\n'));
    await page.getByRole('button', { name: 'Take it as a new plan' }).click();
    await expect(writer.row(/Line 0$/)).toHaveAttribute('aria-level', '1');
    expect(await page.getByRole('treeitem').count()).toBeLessThan(80);
    await writer.type('[End]');
    await expect(writer.row(/30\.9 Line 299/)).toHaveAttribute('aria-posinset', '9');
    await expect(writer.row(/30\.9 Line 299/)).toHaveAttribute('aria-setsize', '9');
    await expect(page.getByRole('tree')).toHaveAttribute('aria-activedescendant', /row-/);
    await writer.type('[1]');
    await expect(writer.row(/30 Line 290/)).toHaveAttribute('aria-expanded', 'false');
});

test('plans are found by what is in them, ordered, duplicated, tagged and put away several at once', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    for (const [title, topic, note] of [['The wall', 'Stones', 'Sandpipers nest on it.'], ['A creek', 'Mud', '']]) {
        await writer.anotherPlan(title, topic);
        if (note) {
            await writer.mark(new RegExp(topic));
            await writer.type('[n]', note, '[Escape]');
        }
        await writer.saved();
    }
    await page.goto('/plans');
    await page.getByRole('searchbox', { name: 'Find in all plans' }).fill('sandpiper');
    await writer.type('[Enter]');
    await expect(page.getByRole('heading', { name: /^Found in one plan: “sandpiper”/ })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('link', { name: /Note of Stones.*Sandpipers nest/ }).click();
    await expect(page.getByRole('textbox', { name: 'Note' })).toContainText('Sandpipers nest');
    await expect(writer.row(/Stones/)).toHaveAttribute('aria-selected', 'true');

    await page.getByRole('link', { name: 'All plans' }).click();
    const titles = page.getByRole('heading', { level: 2 }).getByRole('link');
    await expect(titles).toHaveText(['A creek', 'The wall']);
    await page.getByLabel('Order').selectOption('Title');
    await expect(page).toHaveURL(/order=title/);
    await page.getByRole('button', { name: 'Duplicate The wall' }).click();
    await expect(page.getByRole('status').filter({ hasText: '“The wall (copy)” was made.' })).toBeVisible();
    await page.getByRole('link', { name: 'The wall (copy)' }).hover();
    await expect(page.locator('.small-map')).toContainText('Stones');

    await page.getByRole('button', { name: 'Choose several' }).click();
    await page.getByRole('checkbox', { name: 'Choose The wall', exact: true }).check();
    await page.getByRole('checkbox', { name: 'Choose The wall (copy)' }).check();
    const several = page.getByRole('form', { name: 'Several plans' });
    await expect(several).toContainText('2 chosen');
    expect(await findings(page)).toEqual([]);
    await several.getByRole('combobox', { name: 'Tag' }).fill('autumn');
    await several.getByRole('button', { name: 'Put the tag on' }).click();
    await page.getByRole('navigation', { name: 'Shelves' }).getByRole('link', { name: /^autumn 2/ }).click();
    await expect(titles).toHaveText(['The wall (copy)', 'The wall']);
    await page.getByRole('button', { name: 'Choose several' }).click();
    await page.getByRole('button', { name: 'Choose all' }).click();
    await page.getByRole('form', { name: 'Several plans' }).getByRole('button', { name: 'Put away' }).click();
    await page.getByRole('link', { name: /^All plans 1/ }).click();
    await expect(titles).toHaveText(['A creek']);
    expect(writer.problems).toEqual([]);
});
