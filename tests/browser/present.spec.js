import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

const MARSH = ['The marsh', '  Grazing', '  The wall of 1887', 'The breach', '  Clay', 'What remains'];
const shown = (page) => page.getByRole('region', { name: 'What is shown' });
/** The lines that stand there. */
const lines = (page) => shown(page).locator('.line.is-shown').allTextContents();
const present = async (writer) => {
    await writer.saved();
    await writer.inPlanMenu('Present');
    await expect(shown(writer.page)).toBeVisible();
};
const title = (page, name) => expect(shown(page).getByRole('heading', { level: 1 })).toHaveText(name);

test('by keys and by a remote: on line by line, back, dark, to the end with the whole', async ({ page }) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await present(writer);
    await title(page, 'Marsh');
    expect(await findings(page)).toEqual([]);
    await writer.type('[PageDown]');
    await title(page, 'The marsh');
    expect(await lines(page)).toEqual([]);
    await writer.type('[PageDown]', '[ArrowRight]');
    expect(await lines(page)).toEqual(['1.1Grazing', '1.2The wall of 1887']);
    await expect(page.getByRole('status')).toHaveText('1.2 The wall of 1887');
    await writer.type('[PageUp]');
    expect(await lines(page)).toEqual(['1.1Grazing']);
    await writer.type('b');
    await expect(shown(page)).toBeHidden();
    await writer.type('b');
    await expect(shown(page)).toBeVisible();
    await writer.type('[End]');
    await expect(shown(page).getByRole('listitem')).toHaveText(['1The marsh', '2The breach', '3What remains']);
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: '2 The breach' }).click();
    await title(page, 'The breach');
    await writer.type('[Escape]');
    await expect(writer.row(/The breach/)).toHaveAttribute('aria-selected', 'true');
});

test('what is shown is chosen: levels, a section left out, another whole; and it stays', async ({ page }) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await present(writer);
    await writer.type('o');
    const dialog = page.getByRole('dialog', { name: 'What is shown' });
    await dialog.getByLabel('One by one').selectOption('Main sections');
    await dialog.getByLabel('2 The breach').selectOption('left out');
    await dialog.getByLabel('1 The marsh').selectOption('shown whole');
    await dialog.getByLabel('Seconds each').fill('90');
    expect(await findings(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Show this' }).click();
    await expect(page.getByText('90 s each')).toBeVisible();
    await expect(page.getByRole('navigation', { name: 'Main sections' }).getByRole('button')).toHaveText(['1', '3']);
    await page.reload();
    await expect(page.getByRole('slider', { name: 'Step' })).toHaveAttribute('aria-valuetext', '1 of 3');
    await writer.type('[PageDown]', '[PageDown]', '[PageDown]', '[PageDown]');
    await title(page, 'What remains');
    // Nor is it on the map, also where that is chosen while the map is seen.
    const leaf = (name) => page.getByRole('img', { name });
    await writer.type('m');
    await expect(leaf(/What remains/)).toBeVisible();
    await expect(leaf(/The breach/)).toHaveCount(0);
    await writer.type('o');
    await dialog.getByLabel('2 The breach').selectOption('as chosen');
    await dialog.getByRole('button', { name: 'Show this' }).click();
    await expect(leaf(/The breach/)).toBeAttached();
    // What does not fit is said, and the choices stay open.
    await writer.type('o');
    await dialog.getByLabel('Seconds each').evaluate((field) => (field.value = '1'));
    await dialog.locator('form').evaluate((form) => (form.noValidate = true));
    writer.expectRefused(/^422 PUT .*\/present$/);
    await dialog.getByRole('button', { name: 'Show this' }).click();
    await expect(dialog.getByRole('alert')).not.toBeEmpty();
});

test('it plays by itself, faster where one wants it, and stops at the end', async ({ page }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    await present(writer);
    await writer.type('o');
    const dialog = page.getByRole('dialog', { name: 'What is shown' });
    await dialog.getByLabel('Seconds each').fill('2');
    await dialog.getByRole('button', { name: 'Show this' }).click();
    await page.getByRole('button', { name: 'Faster' }).click();
    await expect(page.getByText('2 s each, 1.25×')).toBeVisible();
    await writer.type('p');
    await title(page, 'Wall');
    await title(page, 'Tide');
    await expect(page.getByRole('button', { name: 'Play' })).toHaveAttribute('aria-pressed', 'false');
    await expect(shown(page).getByRole('listitem')).toHaveText(['1Wall', '2Tide']);
});

test('on the map the picture goes from topic to topic, and the whole is seen at the start and at the end', async ({ page }) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await present(writer);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await writer.type('m');
    const map = page.getByRole('group', { name: 'The map' });
    await expect(map).toBeVisible();
    const whole = await map.locator('.stage').getAttribute('transform');
    await writer.type('[PageDown]');
    await expect(map.locator('.is-now')).toHaveAccessibleName(/The marsh/);
    await writer.type('[PageDown]');
    await expect(map.locator('.is-now')).toHaveAccessibleName(/Grazing/);
    expect(await map.locator('.stage').getAttribute('transform')).not.toBe(whole);
    expect(await findings(page)).toEqual([]);
    await writer.type('[End]');
    await expect.poll(() => map.locator('.stage').getAttribute('transform')).toBe(whole);
    await writer.type('m');
    await expect(map).toBeHidden();
});

test('the speaker has a window of their own: either leads, and the clock warns', async ({ page }) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await writer.mark(/Grazing/);
    await writer.type('n', 'Sheep were here.', '[Escape]', '[Escape]');
    await present(writer);
    const [own] = await Promise.all([page.waitForEvent('popup'), page.keyboard.press('n')]);
    await expect(own.getByRole('region', { name: /^Now/ })).toContainText('Marsh');
    await expect(own.getByRole('region', { name: 'Next' })).toContainText('The marsh');
    await own.getByRole('button', { name: /^On/ }).click();
    await title(page, 'The marsh');
    await writer.type('[PageDown]', '[PageDown]', '[PageDown]');
    await expect(own.getByRole('region', { name: 'To be said' })).toContainText('Sheep were here.');
    expect(await findings(own)).toEqual([]);
    await own.keyboard.press('b');
    await expect(shown(page)).toBeHidden();
    await own.keyboard.press('ArrowRight');
    await title(page, 'The wall of 1887');
    // What is chosen in one window is shown in the other.
    await page.bringToFront();
    await writer.type('o');
    await page.getByLabel('Minutes planned').fill('1');
    await page.getByRole('button', { name: 'Show this' }).click();
    await expect(own.getByText(/of 1 min/)).toBeVisible();
    await own.clock.install();
    await own.clock.fastForward(70_000);
    await expect(own.getByText(/\d:\d\d over/)).toBeVisible();
});

test('a screen on another machine follows by a link, without an account, until it ends', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await present(writer);
    await page.getByRole('button', { name: /^Screens/ }).click();
    const dialog = page.getByRole('dialog', { name: 'Screens on other machines' });
    await dialog.getByRole('button', { name: 'Make a link' }).click();
    await expect(dialog.getByLabel(/^The link/)).toHaveValue(/\/watch\//);
    expect(await findings(page)).toEqual([]);
    const link = await dialog.getByLabel(/^The link/).inputValue();
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const other = await context.newPage();
    await other.goto(link);
    await title(other, 'Marsh');
    await dialog.getByRole('button', { name: 'Close' }).click();
    await writer.type('[PageDown]', '[PageDown]');
    await expect.poll(() => lines(other)).toEqual(['1.1Grazing']);
    await writer.type('m');
    await expect(other.getByRole('group', { name: 'The map' })).toBeVisible();
    await writer.type('m', 'b');
    await expect(shown(other)).toBeHidden();
    await writer.type('b');
    await expect(shown(other)).toBeVisible();
    // The network goes, and comes back.
    await context.setOffline(true);
    await writer.type('[PageDown]');
    await expect(other.getByText(/cannot be reached/)).toBeVisible();
    await context.setOffline(false);
    await expect.poll(() => lines(other)).toEqual(['1.1Grazing', '1.2The wall of 1887']);
    expect(await findings(other)).toEqual([]);
    await page.getByRole('button', { name: /^Screens/ }).click();
    await dialog.getByRole('button', { name: 'End it' }).click();
    await expect(other.getByText('This is no longer shown.')).toBeVisible();
    await context.close();
});

test('by touch: a tap leads on, one at the left back, and so does a finger that turns', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', ...MARSH);
    await writer.saved();
    const context = await browser.newContext({
        viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, serviceWorkers: 'block', storageState: await page.context().storageState(),
    });
    const phone = await context.newPage();
    await phone.goto(page.url().replace(/[?#].*/, '') + '/present');
    await phone.touchscreen.tap(300, 300);
    await title(phone, 'The marsh');
    await phone.touchscreen.tap(20, 300);
    await title(phone, 'Marsh');
    const turn = (from, to) => shown(phone).evaluate((box, [from, to]) => {
        const fire = (type, x) => box.dispatchEvent(new PointerEvent(type, { bubbles: true, isPrimary: true, pointerId: 7, pointerType: 'touch', clientX: x, clientY: 300 }));
        fire('pointerdown', from);
        fire('pointerup', to);
    }, [from, to]);
    await turn(300, 100);
    await title(phone, 'The marsh');
    await turn(100, 300);
    await title(phone, 'Marsh');
    await phone.getByRole('button', { name: /^On the map/ }).tap();
    await expect(phone.getByRole('group', { name: 'The map' })).toBeVisible();
    expect(await findings(phone)).toEqual([]);
    await phone.getByRole('button', { name: /^Leave/ }).tap();
    await expect(phone).toHaveURL(/plans\/[0-9A-Z]{26}/);
    await context.close();
});

test('a plan without topics, and one with a title of a thousand characters', async ({ page }) => {
    const long = 'clay and tide '.repeat(70).trim();
    const writer = await planOf(page, 'Marsh', long, `  ${long}`);
    await present(writer);
    await writer.type('[PageDown]', '[PageDown]');
    await title(page, long);
    const overflows = await shown(page).evaluate((box) => box.scrollHeight > box.clientHeight + 1);
    expect(overflows).toBe(false);
    await page.goto('/plans');
    await writer.startPlan('Nothing yet');
    await present(writer);
    await title(page, 'Nothing yet');
    await writer.type('[PageDown]', '[PageDown]', '[PageUp]');
    await title(page, 'Nothing yet');
});
