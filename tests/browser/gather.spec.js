import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

test('ideas come in by the keyboard alone, and each is kept at once', async ({ page, context }) => {
    const writer = await planOf(page, 'Ideas', 'A', 'B');
    await writer.view('Gather');
    await expect(page.getByRole('textbox', { name: 'An idea' })).toBeFocused();
    await writer.type('First', '[Enter]', 'Second', '[Enter]', '[Tab]', 'Inside it', '[Enter]', 'Inside too', '[Enter]', '[Shift+Tab]', 'Third', '[Enter]');
    await writer.expectIdeas('Third', 'Second', '  Inside it', '  Inside too', 'First');
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await page.evaluate(() => navigator.clipboard.writeText('- Pasted\n    - below\n- Also pasted'));
    await writer.type('[Control+v]');
    await writer.expectIdeas('Also pasted', 'Pasted', '  below', 'Third', 'Second', '  Inside it', '  Inside too', 'First');
    await writer.saved();
    await page.reload();
    await writer.expectIdeas('Also pasted', 'Pasted', '  below', 'Third', 'Second', '  Inside it', '  Inside too', 'First');
    await writer.view('Outline');
    await writer.type('[Control+k]', 'From the outline', '[Enter]');
    await expect(page.getByRole('button', { name: '6 loose ideas' })).toBeVisible();
    await page.goto(`${page.url()}/history`);
    await writer.type('[Control+k]');
    await expect(page.getByRole('textbox', { name: 'An idea' })).toBeFocused();
    expect(writer.problems).toEqual([]);
});

test('one key sends an idea where it belongs, and the next is marked', async ({ page }) => {
    const writer = await planOf(page, 'Sorting', 'A', '\tA1', '\tA2', 'B');
    await writer.view('Gather');
    for (const idea of ['a source', 'let go', 'quoted', 'a section', 'in the middle', 'two', 'one']) {
        await writer.type(idea, '[Enter]');
    }
    await writer.type('[ArrowDown]');
    await writer.expectIdeas('one *', 'two', 'in the middle', 'a section', 'quoted', 'let go', 'a source');
    await writer.type('[Shift+ArrowDown]', '2');
    await writer.expectIdeas('in the middle *', 'a section', 'quoted', 'let go', 'a source');
    await writer.type('[Shift+Digit1]');
    await expect(page.getByRole('heading', { name: 'Where in 1 A?' })).toBeVisible();
    await writer.type('[ArrowUp]');
    await expect(page.getByRole('button', { name: 'Here: 1.2' })).toBeVisible();
    await writer.type('[Enter]', 'n', 'q');
    await expect(page.getByRole('option', { name: /quoted/ }).getByText('quote', { exact: true })).toBeVisible();
    await writer.type('2', 'x');
    await expect(page.getByText('Let one idea go.')).toBeVisible();
    await writer.type('s');
    await writer.expectIdeas();
    await expect(page.getByRole('textbox', { name: 'An idea' })).toBeFocused();
    await page.getByRole('button', { name: '1 source', exact: true }).click();
    await expect(page.getByRole('dialog', { name: 'Sources' }).getByText('a source')).toBeVisible();
    await writer.type('[Escape]');
    await writer.view('Outline');
    await writer.expectOutline('1 A\n  1.1 A1\n  1.2 in the middle\n  1.3 A2\n2 B\n  2.1 two\n  2.2 one\n  quoted\n3 a section');
    await expect(writer.row(/quoted quote/)).toBeVisible();
    await writer.view('Gather');
    await writer.type('[Control+z]', '[Control+z]');
    await writer.expectIdeas('let go *', 'a source');
    await writer.type('Fresh', '[Enter]');
    await writer.expectIdeas('Fresh', 'let go', 'a source');
    expect(writer.problems).toEqual([]);
});

test('a place inside a place, by the same keys', async ({ page }) => {
    const writer = await planOf(page, 'Deep', 'A', '\tA1', '\t\tA1a', '\tA2');
    await writer.view('Gather');
    await writer.type('x', '[Enter]', 'y', '[Enter]', 'z', '[Enter]', '[ArrowDown]', '[Shift+Digit1]', '2');
    await writer.expectIdeas('y *', 'x');
    await writer.type('[Shift+Digit1]', '[Shift+Digit1]');
    await expect(page.getByRole('heading', { name: 'Where in 1.1 A1?' })).toBeVisible();
    await writer.type('[Escape]');
    await expect(page.getByRole('heading', { name: 'Where in 1 A?' })).toBeVisible();
    await writer.type('[Shift+Digit1]', '[ArrowUp]', '[Enter]', '[Escape]');
    await writer.view('Outline');
    await writer.expectOutline('1 A\n  1.1 A1\n    1.1.1 y\n    1.1.2 A1a\n  1.2 A2\n    1.2.1 z');
});

test('an idea that has been sent on takes no more parts', async ({ page }) => {
    const writer = await planOf(page, 'Sent on', 'A');
    await writer.view('Gather');
    await writer.type('one', '[Enter]', '[Tab]', 'inside', '[Enter]');
    await expect(page.getByText('inside “one”')).toBeVisible();
    await writer.type('[ArrowDown]', '1');
    await writer.expectIdeas();
    await writer.type('two', '[Enter]');
    await expect(page.getByText('inside “one”')).toBeHidden();
    await writer.expectIdeas('two');
    await writer.view('Outline');
    await writer.expectOutline('1 A\n  1.1 one\n    1.1.1 inside');
});

test('more than nine sections have numbers of two digits', async ({ page }) => {
    const writer = await planOf(page, 'Many', ...Array.from({ length: 12 }, (_, i) => `S${i + 1}`));
    await writer.view('Gather');
    await writer.type('c', '[Enter]', 'b', '[Enter]', 'a', '[Enter]', '[ArrowDown]', '1', '2', '3', '1');
    await writer.expectIdeas();
    await writer.view('Outline');
    await writer.mark(/1 S1$/);
    await expect(writer.row(/1.1 c/)).toBeVisible();
    await expect(writer.row(/3.1 b/)).toBeVisible();
    await expect(writer.row(/12.1 a/)).toBeVisible();
});

test('thirty ideas are placed by thirty keys', async ({ page }) => {
    const writer = await planOf(page, 'Thirty', 'A', 'B', 'C');
    await writer.view('Gather');
    for (let i = 1; i <= 30; i++) {
        await writer.type(`Idea ${i}`, '[Enter]');
    }
    await writer.type('[ArrowDown]', ...Array.from({ length: 30 }, (_, i) => String((i % 3) + 1)));
    await writer.expectIdeas();
    await expect(page.getByText('10 topics')).toHaveCount(3);
});

test('loose ideas are in the outline too: dragged in and out, and not handed over unless asked', async ({ page }) => {
    const writer = await planOf(page, 'Loose', 'A', '\tA1', 'B');
    await writer.type('[Control+k]', 'Stray', '[Enter]', 'Other', '[Enter]');
    await expect.poll(() => writer.looseIdeas()).toEqual(['Stray', 'Other']);
    const drag = async (name, to, x, y) => {
        const from = await writer.row(name).locator('.title').boundingBox();
        const target = await to.boundingBox();
        await page.mouse.move(from.x + 5, from.y + 8);
        await page.mouse.down();
        await page.mouse.move(target.x + x, target.y + y, { steps: 8 });
        await page.mouse.up();
    };
    await drag(/Stray/, writer.row(/2 B/).locator('.title'), 20, 4);
    await expect.poll(() => writer.looseIdeas()).toEqual(['Other']);
    await expect.poll(() => writer.outline()).toContain('Stray');
    await drag(/A1/, page.getByRole('button', { name: '1 loose idea' }), 20, 10);
    await expect.poll(() => writer.looseIdeas()).toEqual(['Other', 'A1']);
    await writer.mark(/Other/);
    await writer.type('m', 'a', '[Enter]');
    await expect.poll(() => writer.looseIdeas()).toEqual(['A1']);
    await writer.saved();
    await page.getByRole('link', { name: 'Hand over' }).click();
    await expect(page.getByLabel('Preview').getByRole('heading', { name: 'Other' })).toBeVisible();
    await expect(page.getByLabel('Preview').getByRole('heading', { name: 'A1' })).toHaveCount(0);
});

test('a calm clock', async ({ page }) => {
    await page.clock.install();
    const writer = await planOf(page, 'Clock', 'A');
    await writer.view('Gather');
    await page.getByRole('button', { name: 'A clock for 5 min' }).click();
    await expect(page.getByRole('timer')).toHaveText('5 min left');
    await page.clock.fastForward('04:10');
    await expect(page.getByRole('timer')).toHaveText('The last minute');
    await page.clock.fastForward('01:00');
    await expect(page.getByText('5 minutes are over. 0 ideas are waiting here.')).toBeVisible();
    await page.getByRole('button', { name: 'A clock for 15 min' }).click();
    await page.getByRole('button', { name: 'Stop the clock' }).click();
    await expect(page.getByRole('timer')).toBeHidden();
});

test('gathering and sorting by touch', async ({ browser }) => {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })).newPage();
    const writer = await planOf(page, 'Touch', 'A', '\tA1', 'B');
    await page.getByRole('link', { name: 'Gather' }).tap();
    await page.getByRole('textbox', { name: 'An idea' }).tap();
    await writer.type('one', '[Enter]', 'two', '[Enter]', 'three', '[Enter]');
    await page.getByRole('option', { name: /two/ }).tap();
    await page.getByRole('option', { name: /one/ }).tap();
    await page.getByRole('button', { name: /^2 B/ }).tap();
    await writer.expectIdeas('three *');
    await page.getByRole('button', { name: 'Choose the place in A' }).tap();
    await page.getByRole('button', { name: /^Here/ }).tap();
    await page.getByRole('link', { name: 'Outline' }).tap();
    await writer.expectOutline('1 A\n  1.1 A1\n  1.2 three\n2 B\n  2.1 one\n  2.2 two');
    await page.getByRole('button', { name: 'More for one' }).tap();
    await page.getByRole('button', { name: 'Mark more' }).tap();
    await writer.row(/2.2 two/).locator('.title').tap();
    await expect(page.getByRole('toolbar', { name: 'What is marked' }).getByText('2 marked')).toBeVisible();
    await page.getByRole('toolbar', { name: 'What is marked' }).getByRole('button', { name: 'Out' }).tap();
    await writer.expectOutline('1 A\n  1.1 A1\n  1.2 three\n2 B\n3 one\n4 two');
    expect(writer.problems).toEqual([]);
});

test('axe finds nothing: gather, while ideas are sorted', async ({ page }) => {
    const writer = await planOf(page, 'Accessible', 'A', '\tA1', 'B');
    await writer.view('Gather');
    await writer.type('one', '[Enter]', 'two', '[Enter]', '[ArrowDown]');
    expect(await findings(page)).toEqual([]);
    await writer.type('[Shift+Digit1]');
    await expect(page.getByRole('button', { name: /^Here/ })).toBeVisible();
    expect(await findings(page)).toEqual([]);
});

test('two digits hang on when they were pressed, not on when a busy page comes to them; after 0 they hang on no time', async ({ page }) => {
    const writer = await planOf(page, 'Busy', ...Array.from({ length: 12 }, (_, i) => `S${i + 1}`));
    await writer.view('Gather');
    await writer.type('to twelve', '[Enter]', 'to two', '[Enter]', 'to one', '[Enter]', '[ArrowDown]');
    await writer.expectIdeas('to one *', 'to two', 'to twelve');
    const client = await page.context().newCDPSession(page);
    const press = (digit) => ['keyDown', 'keyUp'].map((type) => client.send(
        'Input.dispatchKeyEvent',
        { type, key: digit, code: `Digit${digit}`, text: type === 'keyDown' ? digit : undefined, windowsVirtualKeyCode: 48 + Number(digit) },
    ));
    const busy = page.evaluate(() => { for (const end = performance.now() + 4000; performance.now() < end;); });
    await new Promise((after) => setTimeout(after, 300));
    const pressed = press('1');
    await new Promise((after) => setTimeout(after, 2000));
    pressed.push(...press('2'));
    await Promise.all([busy, ...pressed]);
    await writer.expectIdeas('to twelve *');
    await writer.type('0', '1');
    await expect(page.getByText('1, then Enter')).toBeVisible();
    await page.waitForTimeout(1500);
    await writer.type('2', '[Enter]');
    await writer.expectIdeas();
    await writer.view('Outline');
    for (const [section, idea] of [['1 S1', '1.1 to one'], ['2 S2', '2.1 to two'], ['12 S12', '12.1 to twelve']]) {
        await expect(writer.row(new RegExp(`^${idea}`)), section).toBeVisible();
    }
});

test('a second button on an idea, and a long press, open what can be done with it', async ({ page, browser }) => {
    const writer = await planOf(page, 'Asked', 'A', 'B');
    await writer.view('Gather');
    await writer.type('Silt', '[Enter]', 'Mud', '[Enter]');
    await page.getByRole('option', { name: /Silt/ }).click({ button: 'right' });
    await expect(page.getByRole('dialog', { name: /Silt/ })).toBeVisible();
    await writer.type('[Escape]');
    await writer.saved();
    const context = await browser.newContext({ storageState: await page.context().storageState(), viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const phone = await context.newPage();
    await phone.goto(page.url());
    // A finger comes down on a page that has come to rest.
    let box = null;
    const standsStill = async () => {
        const before = JSON.stringify(box);
        await phone.waitForTimeout(100);
        box = await phone.getByRole('option', { name: /Mud/ }).boundingBox();
        return box !== null && JSON.stringify(box) === before;
    };
    await expect.poll(standsStill).toBe(true);
    const touch = await context.newCDPSession(phone);
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x: box.x + 40, y: box.y + box.height / 2 }] });
    await expect(phone.getByRole('dialog', { name: /Mud/ })).toBeVisible();
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect(phone.getByRole('dialog', { name: /Mud/ })).toBeVisible();
    await context.close();
});

test('an idea that was just typed is what the next key sends, however late the server answers', async ({ page }) => {
    const writer = await planOf(page, 'Late', 'A', 'B');
    await writer.view('Gather');
    await page.route(/\/plans\//, async (route) => {
        await new Promise((after) => setTimeout(after, 700));
        await route.continue().catch(() => {});
    });
    await writer.type('to a', '[Enter]', '[ArrowDown]', '1', '[Escape]');
    await page.getByRole('textbox', { name: 'An idea' }).focus();
    await writer.type('a source', '[Enter]', '[ArrowDown]', 's');
    await page.getByRole('textbox', { name: 'An idea' }).focus();
    await writer.type('to b', '[Enter]', '[ArrowDown]', '2');
    await writer.expectIdeas();
    await writer.saved();
    await expect(page.getByRole('button', { name: '1 source', exact: true })).toBeVisible();
    await writer.view('Outline');
    await writer.expectOutline('1 A\n  1.1 to a\n2 B\n  2.1 to b');
});
