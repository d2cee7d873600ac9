import { expect } from '@playwright/test';
import { findings, gate, planOf, test, Writer } from './writer.js';

const bar = (page) => page.getByRole('toolbar', { name: /^Tools/ });

test('what is typed on the front page is the first plan of who signs up', async ({ page }) => {
    const writer = new Writer(page);
    await page.goto('/');
    await page.getByLabel('First topic').click();
    await writer.type('Why the marsh matters', '[Enter]', 'Breaching the wall', '[Enter]', 'Who gains');
    expect(await findings(page)).toEqual([]);
    // Kept, though the last line was not ended, and the page is left.
    await page.getByRole('link', { name: 'Sign up', exact: true }).first().click();
    await writer.signUp('Robin Reed', /\/plans\/\w+$/);
    await writer.expectOutline('1 Why the marsh matters\n2 Breaching the wall\n3 Who gains');
    await expect(page.getByRole('button', { name: 'Why the marsh matters', exact: true })).toBeVisible();
    await page.goto('/plans');
    await expect(page.getByRole('link', { name: 'Why the marsh matters' })).toHaveCount(1);
});

test('the plan is asked for at its title, in every view and beside them', async ({ page }) => {
    const writer = await planOf(page, 'Frame', 'A', 'B');
    await page.keyboard.press('Escape');
    await page.locator('#title').focus();
    await page.keyboard.press('Enter');
    const menu = page.getByRole('menu', { name: 'The plan' });
    await expect(menu.getByRole('menuitem', { name: /^Properties/ })).toBeFocused();
    await writer.type('[ArrowUp]');
    await expect(menu.getByRole('menuitem', { name: 'All plans' })).toBeFocused();
    await writer.type('[ArrowDown]', '[ArrowDown]', '[Escape]');
    await expect(menu).toBeHidden();
    await expect(page.locator('#title')).toBeFocused();
    await writer.inPlanMenu('Keep this version…');
    await page.getByRole('dialog', { name: 'Keep this version' }).getByLabel('Name').fill('As begun');
    await writer.type('[Enter]');
    await expect(page.getByText('The plan as it is now is kept as “As begun”.')).toBeVisible();
    await writer.mark(/1 A/);
    await writer.type('[Enter]', '[End]', ' changed', '[Escape]');
    await writer.saved();
    await writer.inPlanMenu(/^History/);
    await expect(page.getByText('As begun').first()).toBeVisible();
    // Nobody loses undo or the strip by looking at the history.
    await expect(page.getByRole('navigation', { name: 'Main sections' })).toContainText('A changed');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(page.getByRole('navigation', { name: 'Main sections' })).not.toContainText('A changed');
    await page.getByRole('button', { name: /^Redo/ }).click();
    await expect(page.getByRole('navigation', { name: 'Main sections' })).toContainText('A changed');
    expect(await findings(page)).toEqual([]);
    await writer.inPlanMenu(/^Properties/);
    await expect(page.getByRole('dialog', { name: 'The plan' })).toBeVisible();
    await writer.expectOutline('1 A changed\n2 B');
});

test('undo, the strip and find stay beside hand over, the way back and the history', async ({ page }) => {
    const writer = await planOf(page, 'Beside', 'A', 'B');
    const plan = page.url();
    await writer.mark(/1 A/);
    await writer.type('[Enter]', '[End]', ' changed', '[Escape]');
    await writer.saved();
    for (const beside of ['hand-over', 'way-back', 'history']) {
        await page.goto(`${plan}/${beside}`);
        const strip = page.getByRole('navigation', { name: 'Main sections' });
        await expect(strip).toContainText('A changed');
        await page.getByRole('button', { name: /^Undo/ }).click();
        await expect(strip).not.toContainText('A changed');
        await page.getByRole('button', { name: /^Redo/ }).click();
        await expect(strip).toContainText('A changed');
        await expect(page.getByRole('navigation', { name: 'Views' }).getByRole('link')).toHaveText([
            'Gather',
            'Outline',
            'Map',
            'Draft',
            'Sources',
            'Check',
        ]);
        await expect(page.getByRole('link', { name: 'Find' }).or(page.getByRole('button', { name: 'Find' }))).toBeVisible();
    }
});

for (const [name, scheme, size] of [
    ['in the dark', 'dark', '100%'],
    ['in type of twice the size', 'light', '200%'],
]) {
    test(`${name} every view fits, nothing covers what is to be pressed, and axe finds nothing`, async ({ page }) => {
        await page.emulateMedia({ colorScheme: scheme });
        const writer = await planOf(page, 'The wall that was built by seven parishes', 'A', '\tA1', '\tPell 1994, p. 3', 'B');
        for (const view of ['Gather', 'Map', 'Draft', 'Sources', 'Check', 'Outline']) {
            await writer.view(view);
            await page.evaluate((given) => {
                document.documentElement.style.fontSize = given;
            }, size);
            await page.waitForTimeout(300);
            expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
            const covered = await page.getByRole('banner').evaluate((banner) =>
                [...banner.querySelectorAll('a, button')]
                    .filter((one) => one.checkVisibility())
                    .filter((one) => {
                        const { x, y, width, height } = one.getBoundingClientRect();
                        return !one.contains(document.elementFromPoint(x + width / 2, y + height / 2));
                    })
                    .map((one) => one.textContent.trim() || one.getAttribute('aria-label')),
            );
            expect(covered).toEqual([]);
            expect(await findings(page)).toEqual([]);
        }
    });
}

test('the bar has the tools of the view in sight, and shows what is set to something else than usual', async ({ page }) => {
    const writer = await planOf(page, 'Tools', 'A', '\tA1', 'B');
    await writer.mark(/A1/);
    await writer.type('g');
    await page
        .getByRole('dialog', { name: /^Topic:/ })
        .getByRole('button', { name: 'question' })
        .click();
    await writer.inBar('question', 'Only');
    await writer.type('[Escape]');
    await writer.expectOutline('1 A\n  1.1 A1');
    await expect(bar(page).getByRole('button', { name: /^Only/ })).toContainText('question');
    await bar(page).getByRole('button', { name: 'Show anything' }).click();
    await writer.expectOutline('1 A\n  1.1 A1\n2 B');
    await writer.mark(/^1 A/);
    await writer.inBar('this branch alone', 'Show');
    await writer.expectOutline('1.1 A1');
    await bar(page).getByRole('button', { name: 'Show the whole plan' }).click();
    await writer.expectOutline('1 A\n  1.1 A1\n2 B');
    for (const [view, tool] of [
        ['Map', 'Spine'],
        ['Gather', 'A clock for 5 min'],
        ['Sources', 'Take in a file…'],
    ]) {
        await writer.view(view);
        await expect(bar(page).getByRole('button', { name: tool, exact: true })).toBeVisible();
        await expect(page.getByRole('toolbar', { name: /^Tools/ })).toHaveCount(1);
    }
    await writer.view('Draft');
    await expect(page.getByLabel('Only topics that have a note')).toBeVisible();
});

test('all keys are searched by typing, and what is chosen is done', async ({ page }) => {
    const writer = await planOf(page, 'Keys', 'A', '\tA1', 'B');
    await writer.mark(/2 B/);
    await writer.type('?', 'new parent');
    const dialog = page.getByRole('dialog', { name: 'All the keys' });
    await expect(dialog.getByRole('button', { name: /a new parent around what is marked/ })).toBeVisible();
    await writer.type('[Enter]');
    await expect(dialog).toBeHidden();
    await writer.type('Around', '[Escape]');
    await writer.expectOutline('1 A\n  1.1 A1\n2 Around\n  2.1 B');
    await writer.type('?', 'ctrl k');
    await expect(dialog.getByRole('button').first()).toContainText('catch an idea');
    await writer.type('[Enter]');
    await expect(page.getByRole('textbox', { name: 'Catch an idea' })).toBeFocused();
    await writer.type('[Escape]', '?');
    // What is for another view is listed, and cannot be done from here.
    await dialog.getByRole('searchbox').fill('let it go');
    await expect(dialog).toContainText('let it go; undo brings it back');
    await expect(dialog.getByRole('button', { name: /let it go/ })).toHaveCount(0);
    expect(await findings(page)).toEqual([]);
});

test('the menu of a topic fits a desktop without scrolling, and is a sheet from below on a phone', async ({ page }) => {
    const writer = await planOf(page, 'Menu', 'A', '\tA1', '\tA2', 'B');
    const menu = page.getByRole('dialog', { name: /^Topic:/ });
    await writer.row(/1 A/).first().getByRole('button', { name: 'More for A', exact: true }).click();
    await expect(menu.getByRole('button', { name: 'Add a file…' })).toBeVisible();
    expect(await menu.evaluate((box) => [box.scrollHeight <= box.clientHeight, box.getBoundingClientRect().bottom <= innerHeight])).toEqual(
        [true, true],
    );
    await writer.type('[Escape]');
    await page.setViewportSize({ width: 390, height: 844 });
    await writer.row(/2 B/).getByRole('button', { name: 'More for B' }).click();
    expect(
        await menu.evaluate((box) => {
            const { left, right, bottom } = box.getBoundingClientRect();
            return [left, right, bottom];
        }),
    ).toEqual([0, 390, 844]);
    expect(await findings(page)).toEqual([]);
    await writer.type('[Escape]');
    await page.getByRole('button', { name: 'Tools' }).click();
    await page.getByRole('button', { name: 'Level 1' }).click();
    await writer.expectOutline('1 A\n2 B');
});

test('Escape closes the menu of a topic, wherever the keyboard has gone meanwhile', async ({ page }) => {
    const writer = await planOf(page, 'Escape', 'A', 'B');
    const menu = page.getByRole('dialog', { name: /^Topic:/ });
    await writer.mark(/1 A/);
    await writer.type('g');
    await expect(menu).toBeVisible();
    await writer.type('[Control+k]');
    await expect(page.getByRole('textbox', { name: 'Catch an idea' })).toBeFocused();
    await expect(menu).toBeVisible();
    await writer.type('[Escape]');
    await expect(menu).toBeHidden();
    await writer.view('Outline');
    await writer.expectOutline('1 A\n2 B');
});

test('Escape brings a note that lies across the page beside the plan, wherever the keyboard is', async ({ page }) => {
    const writer = await planOf(page, 'Across', 'A', 'B');
    const row = page.getByRole('treeitem', { name: /1 A/ });
    const across = async () => {
        await page.getByRole('button', { name: 'Full width' }).click();
        await expect(row).toBeHidden();
    };
    await writer.mark(/1 A/);
    await writer.type('n', 'Some words');
    await across();
    await page.getByRole('textbox', { name: 'Note' }).focus();
    await writer.type('[Escape]');
    await expect(row).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Title' })).toBeFocused();
    await across();
    await page.getByRole('link', { name: 'Outline', exact: true }).focus();
    await writer.type('[Escape]');
    await expect(row).toBeVisible();
    await writer.expectOutline('1 A\n2 B');
});

test('a view that is still being fetched gets the keys that are pressed meanwhile', async ({ page }) => {
    const writer = await planOf(page, 'Fetched', 'A', 'B');
    // The scripts of the map come late, and nothing of them was fetched ahead.
    await page.route(/assets\/map-.*\.js/, async (route) => {
        await new Promise((after) => setTimeout(after, 1500));
        await route.continue();
    });
    await page.addInitScript(() => {
        window.requestIdleCallback = () => 0;
    });
    await page.reload();
    await writer.mark(/1 A/);
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Map' }).click();
    await writer.type('[Shift+Enter]', 'Between', '[Enter]');
    await expect(page.getByRole('treeitem', { name: /Between/ })).toBeVisible();
    await writer.type('[Escape]', '[Escape]');
    await writer.view('Outline');
    await expect(writer.row(/2 Between/)).toBeVisible();
    await expect(writer.row(/B$/)).toBeVisible();
});

test('a line typed and sent off while Sources are still being fetched is read there', async ({ page }) => {
    const writer = await planOf(page, 'Line', 'A');
    await page.addInitScript(() => {
        window.requestIdleCallback = () => 0;
    });
    const { until, open: come } = gate();
    await page.route(/assets\/sources-.*\.js/, async (route) => { await until; await route.continue(); });
    await page.reload();
    await writer.mark(/1 A/);
    await page.getByRole('link', { name: 'Sources' }).click();
    await writer.type('Moor, Mudd', '[Backspace]', ', 1998', '[Enter]');
    come();
    await expect(page.getByRole('button', { name: 'Add to the sources' })).toBeFocused();
    await expect(page.getByRole('textbox', { name: 'Title', exact: true })).toHaveValue('Mud');
    await expect(page.getByLabel('Add a source')).toHaveValue('');
    await writer.view('Outline');
    await writer.expectOutline('1 A');
});

test('words for a note whose editor is still being fetched are kept, and go into it', async ({ page }) => {
    const writer = await planOf(page, 'Editor', 'A', 'B');
    await page.route(/assets\/editor-.*\.js/, async (route) => {
        await new Promise((after) => setTimeout(after, 1500));
        await route.continue();
    });
    await page.addInitScript(() => {
        window.requestIdleCallback = () => 0;
    });
    await page.reload();
    await writer.mark(/1 A/);
    await writer.type('n', 'Under the wall');
    await expect(page.locator('.ProseMirror')).toHaveText('Under the wall');
    await writer.type(' runs a ditch.');
    await writer.saved();
    await page.reload();
    await writer.mark(/1 A/);
    await writer.type('n');
    await expect(page.locator('.ProseMirror')).toHaveText('Under the wall runs a ditch.');
    await writer.expectOutline('1 A\n2 B');
});

test('what is written before the editor has come is not called saved, and makes a heading as it would have later', async ({ page }) => {
    const writer = await planOf(page, 'Held', 'A', 'B');
    let comes;
    const late = new Promise((resolve) => {
        comes = resolve;
    });
    await page.route(/assets\/editor-.*\.js/, async (route) => {
        await late;
        await route.continue();
    });
    await page.addInitScript(() => {
        window.requestIdleCallback = () => 0;
    });
    await page.reload();
    await writer.mark(/1 A/);
    await writer.type('n', '## Under the wall', '[Enter]', 'runs a ditch @ low tide');
    await expect(page.locator('#saved')).toHaveText('Saving');
    comes();
    await expect(page.locator('.ProseMirror h2')).toHaveText('Under the wall');
    await expect(page.locator('.ProseMirror p').first()).toHaveText('runs a ditch @ low tide');
    await writer.saved();
    await writer.expectOutline('1 A\n2 B');
});

test('an undo that meets what another has done since says who did what, and leads to the history', async ({ page }) => {
    const writer = await planOf(page, 'Met', 'A', 'B');
    writer.expectRefused(/^409 POST .*\/undo$/);
    const message = 'Someone else has changed the same thing since. Nora Pell: Named “A” “Mud”. The history tells more.';
    const body = JSON.stringify({ message, reason: 'changed' });
    await page.route(/\/undo$/, (route) => route.fulfill({ status: 409, contentType: 'application/json', body }));
    await writer.mark(/2 B/);
    await writer.type('[Control+z]');
    await expect(page.getByText(message)).toBeVisible();
    await page.getByRole('button', { name: 'History', exact: true }).click();
    await page.waitForURL(/\/history$/);
});
