import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

/** A calendar date so many days from today, where the browser is. */
function day(days) {
    const at = new Date();
    at.setDate(at.getDate() + days);
    return [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((part) => String(part).padStart(2, '0')).join('-');
}

/** As it is spoken: “Friday 4 December”. */
const spoken = (days) =>
    new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' })
        .format(new Date(`${day(days)}T00:00:00Z`))
        .replace(',', '');

async function schedule(page) {
    await page.getByRole('toolbar').getByRole('button', { name: 'Schedule' }).click();
    await expect(page.getByRole('list', { name: 'Topics and their days' })).toBeVisible();
}

const lane = (page, name) => page.getByRole('list', { name: 'Topics and their days' }).getByRole('button', { name });

/** The keyboard at a row of the schedule. */
async function at(page, name) {
    await lane(page, name).focus();
}

test('who does a topic, from when and by when: by key, seen on its row, filtered, done and undone', async ({ page }) => {
    const writer = await planOf(page, 'Work', 'Wall', '  Clay', '  Stone', 'Tide');
    await writer.mark(/Clay/);
    await writer.type('e');
    const menu = page.getByRole('dialog', { name: 'Topic: Clay' });
    await expect(menu.getByRole('combobox', { name: 'Who' })).toBeFocused();
    await menu.getByLabel('Who').fill('Robin Reed');
    await menu.getByLabel('First day').fill(day(-1));
    await menu.getByLabel('Last day').fill(day(-2));
    await expect(menu.getByText('It would end before it begins.')).toBeVisible();
    await menu.getByLabel('Last day').fill(day(2));
    await page.keyboard.press('Escape');
    await expect(writer.row(/Clay/)).toHaveAccessibleName(`1.1 Clay Robin Reed by ${spoken(2)}`);
    await writer.mark(/Stone/);
    await writer.type('e');
    await page.getByRole('dialog', { name: 'Topic: Stone' }).getByLabel('Last day').fill(day(-3));
    await page.keyboard.press('Escape');
    await expect(writer.row(/Stone/)).toHaveAccessibleName(`1.2 Stone late, by ${spoken(-3)}`);
    await writer.saved();
    await page.reload();

    for (const [which, rows] of [
        ['late', '1 Wall\n  1.2 Stone'],
        ['mine', '1 Wall\n  1.1 Clay'],
        ['not done', '1 Wall\n  1.1 Clay\n  1.2 Stone'],
    ]) {
        await page.getByRole('button', { name: /^Only/ }).click();
        await page.getByRole('dialog', { name: 'Only' }).getByRole('button', { name: which, exact: true }).click();
        await page.keyboard.press('Escape');
        await writer.expectOutline(rows);
        await page.getByRole('button', { name: 'Show anything' }).click();
    }

    await writer.mark(/Clay/);
    await page.keyboard.press('Shift+e');
    await expect(writer.row(/Clay/)).toHaveAccessibleName(`1.1 Clay Robin Reed done ${spoken(0)}`);
    await page.getByRole('banner').getByRole('button', { name: 'Undo: Said that “Clay” is done' }).click();
    await expect(writer.row(/Clay/)).toHaveAccessibleName(/by /);
    expect(writer.problems).toEqual([]);
});

test('the schedule by keyboard: days are set, moved, lengthened, done; a section goes along with its parts; one undo each', async ({ page }) => {
    const writer = await planOf(page, 'Schedule', 'Wall', '  Clay', '  Stone', 'Tide');
    await schedule(page);
    await at(page, /Clay, no days/);
    await page.keyboard.press('Enter');
    const menu = page.getByRole('dialog', { name: 'Work on Clay' });
    await menu.getByLabel('First day').fill(day(0));
    await menu.getByLabel('Last day').fill(day(3));
    await page.keyboard.press('Escape');
    await expect(lane(page, `1.1 Clay, ${spoken(0)} to ${spoken(3)}`)).toBeFocused();
    await expect(lane(page, `1 Wall, ${spoken(0)} to ${spoken(3)}, the days of its parts`)).toBeVisible();
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Control+ArrowRight');
    await expect(lane(page, `1.1 Clay, ${spoken(1)} to ${spoken(4)}`)).toBeFocused();
    await page.keyboard.press('Alt+ArrowRight');
    await expect(lane(page, `1.1 Clay, ${spoken(2)} to ${spoken(5)}`)).toBeFocused();
    await page.keyboard.press('Alt+Shift+ArrowRight');
    await expect(lane(page, `1.1 Clay, ${spoken(9)} to ${spoken(12)}`)).toBeFocused();

    // The section and all that is under it.
    await page.keyboard.press('ArrowUp');
    await expect(lane(page, /1 Wall/)).toBeFocused();
    await page.keyboard.press('Alt+Shift+ArrowLeft');
    await expect(lane(page, `1.1 Clay, ${spoken(2)} to ${spoken(5)}`)).toBeVisible();
    await writer.saved();
    await page.keyboard.press('Control+z');
    await expect(page.getByText('Undone: Moved the days of “Wall” back by 7 days')).toBeAttached();
    await expect(lane(page, `1.1 Clay, ${spoken(9)} to ${spoken(12)}`)).toBeVisible();

    // A part that does not lie within the days above it is marked as such.
    await at(page, /1 Wall/);
    await page.keyboard.press('Enter');
    await page.getByRole('dialog', { name: 'Work on Wall' }).getByLabel('Last day').fill(day(10));
    await page.keyboard.press('Escape');
    await expect(lane(page, `1.1 Clay, ${spoken(9)} to ${spoken(12)}, not within the days of 1`)).toBeVisible();
    await expect(page.getByText('1 not within the days above')).toBeVisible();

    await at(page, /1.1 Clay/);
    await page.keyboard.press('Shift+e');
    await expect(lane(page, /1.1 Clay.*done/)).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('treeitem', { name: /Clay done/ })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('bars are drawn, moved as a whole and by their ends; weeks, today, only what has days', async ({ page }) => {
    const writer = await planOf(page, 'Bars', 'Wall', 'Tide', 'Sand');
    await schedule(page);
    await page.getByRole('button', { name: 'Today', exact: true }).click();
    const wall = lane(page, /1 Wall, no days/);
    const box = await wall.boundingBox();
    const now = await page.locator('.day.is-today').boundingBox();
    const y = box.y + box.height / 2;
    const x = now.x + now.width / 2;
    const drag = async (from, to) => {
        await page.mouse.move(from, y);
        await page.mouse.down();
        await page.mouse.move((from + to) / 2, y, { steps: 3 });
        await page.mouse.move(to, y, { steps: 3 });
        await page.mouse.up();
    };
    await drag(x, x + 3 * now.width);
    await expect(lane(page, `1 Wall, ${spoken(0)} to ${spoken(3)}`)).toBeVisible();
    await drag(x + now.width, x + 3 * now.width);
    await expect(lane(page, `1 Wall, ${spoken(2)} to ${spoken(5)}`)).toBeVisible();
    await drag(now.x + 6 * now.width - 3, now.x + 8 * now.width - 3);
    await expect(lane(page, `1 Wall, ${spoken(2)} to ${spoken(7)}`)).toBeVisible();
    await drag(now.x + 2 * now.width + 3, now.x + 3 * now.width + 3);
    await expect(lane(page, `1 Wall, ${spoken(3)} to ${spoken(7)}`)).toBeVisible();
    await page.getByLabel('Only what has days').check();
    await expect(page.getByRole('list', { name: 'Topics and their days' }).getByRole('listitem')).toHaveCount(1);
    await page.getByRole('button', { name: 'Weeks' }).click();
    await expect(page.getByRole('button', { name: 'Weeks' })).toHaveAttribute('aria-pressed', 'true');
    await writer.saved();
    await page.reload();
    await expect(lane(page, `1 Wall, ${spoken(3)} to ${spoken(7)}`)).toBeVisible();
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('days go out as a calendar, are moved there, and come back in one step', async ({ page }) => {
    const writer = await planOf(page, 'Calendar', 'Wall', 'Tide');
    await schedule(page);
    await at(page, /1 Wall/);
    await page.keyboard.press('Enter');
    await page.getByRole('dialog', { name: 'Work on Wall' }).getByLabel('Last day').fill('2027-03-04');
    await page.keyboard.press('Escape');
    await writer.saved();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Days as a calendar file' }).click()]);
    expect(download.suggestedFilename()).toBe('Calendar.ics');
    const calendar = readFileSync(await download.path(), 'utf8');
    expect(calendar).toContain('DTSTART;VALUE=DATE:20270304');
    const moved = calendar
        .replace('DTSTART;VALUE=DATE:20270304', 'DTSTART;VALUE=DATE:20270310')
        .replace('DTEND;VALUE=DATE:20270305', 'DTEND;VALUE=DATE:20270312')
        .replace('END:VCALENDAR', 'BEGIN:VEVENT\r\nUID:x\r\nSUMMARY:Ask Pell\r\nDTSTART;VALUE=DATE:20270301\r\nEND:VEVENT\r\nEND:VCALENDAR');

    writer.expectRefused(/^422 POST .*\/days\/read$/);
    await page.getByLabel('A file of days').setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from('nothing') });
    await expect(page.getByRole('status').filter({ hasText: 'The first row of the table names its columns' })).toBeVisible();
    await page.getByLabel('A file of days').setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from(moved) });
    const dialog = page.getByRole('dialog', { name: 'Days from a file' });
    await expect(dialog).toContainText('1 topic will have other days. 1 entry that no topic stands for will come to the loose ideas.');
    await expect(dialog).toContainText('Wall from 10 March 2027, by 11 March 2027');
    await dialog.getByRole('button', { name: 'Change the plan' }).click();
    await expect(lane(page, '1 Wall, Wednesday 10 March to Thursday 11 March')).toBeVisible();
    await expect(lane(page, /Ask Pell, Monday 1 March/)).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(lane(page, '1 Wall, Thursday 4 March')).toBeVisible();
    await expect(lane(page, /Ask Pell/)).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('by touch: days are set in the menu of a row, and a bar is dragged', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    const page = await context.newPage();
    const writer = await planOf(page, 'Touch', 'Wall', 'Tide');
    await page.goto(`${page.url()}/schedule`);
    await lane(page, /1 Wall/).tap();
    const menu = page.getByRole('dialog', { name: 'Work on Wall' });
    await menu.getByLabel('Last day').fill(day(2));
    await menu.getByRole('button', { name: 'Done', exact: true }).tap();
    await expect(lane(page, `1 Wall, ${spoken(2)}, done`)).toBeVisible();
    await menu.getByRole('button', { name: 'Take its days away' }).tap();
    await expect(lane(page, '1 Wall, no days')).toBeVisible();
    await menu.getByLabel('Last day').fill(day(2));
    await expect(lane(page, `1 Wall, ${spoken(2)}`)).toBeVisible();
    await page.touchscreen.tap(200, 300);
    await expect(menu).toBeHidden();
    await page.getByRole('button', { name: 'Tools' }).tap();
    await page.getByRole('button', { name: 'Today', exact: true }).tap();
    await page.touchscreen.tap(200, 500);
    await expect.poll(async () => (await lane(page, /1 Wall/).locator('.days-bar').boundingBox()).x).toBeGreaterThan(200);
    // It has come to rest: the way to today is smooth.
    let bar;
    await expect.poll(async () => {
        const before = bar?.x;
        bar = await lane(page, /1 Wall/).locator('.days-bar').boundingBox();
        return bar.x === before;
    }).toBe(true);
    const session = await context.newCDPSession(page);
    const touch = (type, x) =>
        session.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y: bar.y + bar.height / 2 }] });
    const x = bar.x + bar.width / 2;
    await touch('touchStart', x);
    for (let i = 1; i <= 6; i++) {
        await touch('touchMove', x - (bar.width * 2 * i) / 6);
    }
    await touch('touchEnd');
    await expect(lane(page, `1 Wall, ${spoken(0)}`)).toBeVisible();
    expect(writer.problems).toEqual([]);
    await context.close();
});

test('what comes again is to be done anew by its next day; what is due this week is filtered; the days go out as a table and come back', async ({ page }, info) => {
    const writer = await planOf(page, 'Again', 'Wall', 'Tide', 'Sand');
    for (const [title, days] of [['Wall', 0], ['Sand', 30]]) {
        await writer.mark(new RegExp(title));
        await writer.type('e');
        const menu = page.getByRole('dialog', { name: `Topic: ${title}` });
        await menu.getByLabel('Last day').fill(day(days));
        await menu.getByLabel('How often').selectOption('each week');
        await page.keyboard.press('Escape');
    }
    await page.getByRole('button', { name: /^Only/ }).click();
    await page.getByRole('dialog', { name: 'Only' }).getByRole('button', { name: 'this week', exact: true }).click();
    await page.keyboard.press('Escape');
    await writer.expectOutline('1 Wall');
    await page.getByRole('button', { name: 'Show anything' }).click();
    await writer.mark(/Wall/);
    await page.keyboard.press('Shift+e');
    await expect(writer.row(/Wall/)).toHaveAccessibleName(`1 Wall by ${spoken(7)}`);
    await writer.saved();

    await schedule(page);
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Days as a table' }).click()]);
    const path = info.outputPath('days.csv');
    await download.saveAs(path);
    const table = readFileSync(path, 'utf8');
    expect(table).toContain(day(7));
    await page.getByLabel('A file of days').setInputFiles({ name: 'days.csv', mimeType: 'text/csv', buffer: Buffer.from(table.replaceAll(day(7), day(9))) });
    const dialog = page.getByRole('dialog', { name: 'Days from a file' });
    await expect(dialog.getByRole('listitem')).toHaveCount(1);
    await dialog.getByRole('button', { name: 'Change the plan' }).click();
    await expect(lane(page, new RegExp(`1 Wall, ${spoken(9)}`))).toBeVisible();
    expect(writer.problems).toEqual([]);
});
