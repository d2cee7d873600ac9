import { expect } from '@playwright/test';
import { another } from './people.js';
import { findings, planOf, test } from './writer.js';

const noteBox = (page) => page.getByRole('textbox', { name: 'Note', exact: true });

test('who is there is seen with where they are, and can be followed', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', '  Clay', 'Tide');
    await writer.saved();
    const jory = await another(browser, page, 'writes');
    const here = page.getByRole('group', { name: 'Here now' });
    await jory.mark(/Clay/);
    await expect(here.getByRole('button', { name: 'Follow Jory Tamm: is in 1.1' })).toBeVisible();
    await expect(writer.row(/Clay/)).toHaveAccessibleName(/Jory Tamm is here/);
    await jory.type('n', 'The clay');
    await expect(here.getByRole('button', { name: 'Follow Jory Tamm: writes in 1.1' })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await here.getByRole('button').click();
    await jory.type('[Escape]', '[Escape]');
    await jory.view('Map');
    await expect(page.getByRole('link', { name: 'Map', exact: true })).toHaveAttribute('aria-current', 'page');
    // What one does oneself ends it.
    await writer.type('[ArrowDown]');
    await expect(here.getByRole('button')).toHaveAttribute('aria-pressed', 'false');
    await jory.page.goto('/plans');
    await expect(here).toBeHidden();
    expect([...writer.problems, ...jory.problems]).toEqual([]);
});

for (const [how, blocked] of [['over the stream', []], ['by asking, where the stream cannot be had', [/\/\/[^/]+(?:\/stream)?\/plans\/[0-9A-Z]{26}\?by=/]]]) {
    test(`two write together ${how}, one of them without the network for a while`, async ({ page, browser }) => {
        const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
        const jory = await another(browser, page, 'writes');
        let asked = 0;
        jory.page.on('request', (request) => (asked += /\/pulse\?/.test(request.url()) ? 1 : 0));
        for (const address of blocked) {
            await jory.page.route(address, (route) => route.abort());
            await jory.page.reload();
        }
        await jory.expectOutline('1 Wall\n2 Tide');
        // Who is there is told over the stream alone.
        const here = page.getByRole('group', { name: 'Here now' });
        await (blocked.length ? expect(here).toBeHidden() : expect(here).toBeVisible());
        asked = 0;
        await writer.mark(/Tide/);
        await writer.type('[Enter]', '[End]', '[Enter]', 'Mud', '[Escape]');
        await jory.expectOutline('1 Wall\n2 Tide\n3 Mud');
        expect(asked > 0, 'asks where it has to, and only there').toBe(blocked.length > 0);
        await writer.mark(/Wall/);
        await writer.type('n', 'The wall stands.');
        await jory.mark(/Wall/);
        await jory.type('n');
        await expect(noteBox(jory.page)).toHaveText('The wall stands.');
        await jory.page.context().setOffline(true);
        await jory.type('[Control+End]', ' It was built in 1887.');
        await writer.type('[Control+Home]', 'Still: ');
        await writer.saved();
        await jory.page.context().setOffline(false);
        await jory.saved();
        await expect(noteBox(page)).toHaveText('Still: The wall stands. It was built in 1887.');
        await expect(noteBox(jory.page)).toHaveText('Still: The wall stands. It was built in 1887.');
        expect(writer.problems).toEqual([]);
    });
}

test('the history is a film: played, stepped, filtered, on the outline and on the map; two moments side by side', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    const jory = await another(browser, page, 'writes');
    await jory.mark(/Wall/);
    await jory.type('n', 'The wall stands.');
    await jory.saved();
    await jory.type('[Escape]');
    await writer.mark(/Tide/);
    await writer.type('[Alt+ArrowUp]');
    await writer.saved();
    await writer.expectOutline('1 Tide\n2 Wall');
    await writer.inPlanMenu(/^History/);
    await page.getByRole('link', { name: 'Play it as a film' }).click();
    const rows = page.getByRole('list', { name: 'The outline then' }).getByRole('listitem');
    await expect(rows).toHaveText([/1.*Tide/s, /2.*Wall/s]);
    await expect(page.getByText('2 of 2')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.locator('#film').focus();
    await writer.type('[Home]');
    await expect(page.getByText('The start')).toBeVisible();
    await expect(rows).toHaveText([/1.*Wall/s, /2.*Tide/s]);
    await writer.type('[ArrowRight]');
    await expect(page.getByText(/Jory Tamm, /)).toBeVisible();
    await expect(rows.first()).toHaveClass(/is-lit/);
    await expect(rows).toHaveText([/1.*Wall.*3/s, /2.*Tide/s]);
    await page.getByLabel('Speed').selectOption('6');
    await writer.type(' ');
    await expect(rows).toHaveText([/1.*Tide/s, /2.*Wall/s]);
    await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
    await page.getByLabel('Whose steps').selectOption('Jory Tamm');
    await expect(page.getByText('1 of 1')).toBeVisible();
    await page.getByLabel('Shown on').selectOption('map');
    await expect(page.getByRole('tree', { name: 'The map then' })).toContainText('Wall');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Beside how it is now' }).click();
    await expect(page.getByRole('heading', { name: 'Side by side' })).toBeVisible();
    await page.goBack();
    await page.getByRole('link', { name: /History/ }).first().click();
    await page.getByRole('link', { name: 'Compare with now: Started the plan' }).click();
    await expect(page.getByRole('region', { name: '2 Wall' }).locator('ins')).toHaveText('The wall stands.');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('link', { name: 'History', exact: true }).click();
    await page.getByRole('link', { name: 'Who did what' }).click();
    await expect(page.getByRole('region', { name: 'Jory Tamm' })).toContainText('3 words written');
    expect(await findings(page)).toEqual([]);
    // A moment as a plan of its own.
    await page.goto(`${page.url().replace(/\/history\/work$/, '')}/film`);
    await page.getByRole('button', { name: 'Step back' }).click();
    await page.getByRole('button', { name: 'Make a plan of this moment' }).click();
    await expect(page.getByRole('button', { name: /Marsh \(as of/ })).toBeVisible();
    expect([...writer.problems, ...jory.problems]).toEqual([]);
});

test('the film on a small screen by touch: without a step, and from where one was last', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    await writer.saved();
    const jory = await another(browser, page, 'writes');
    await jory.expectOutline('1 Wall\n2 Tide');
    const storageState = await jory.page.context().storageState();
    await jory.page.goto('/plans');
    const context = await browser.newContext({ storageState, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, serviceWorkers: 'block' });
    const phone = await context.newPage();
    await phone.goto(`${page.url()}/film`);
    const rows = phone.getByRole('list', { name: 'The outline then' });
    await expect(phone.getByText('0 of 0')).toBeVisible();
    await expect(phone.getByRole('button', { name: 'Since my last visit' })).toBeHidden();
    await phone.getByRole('button', { name: 'Play' }).tap();
    await expect(rows).toContainText('Wall');
    expect(await findings(phone)).toEqual([]);
    // What another does meanwhile is what has happened since.
    await phone.goto('/plans');
    for (const [row, more] of [[/Wall/, ' of clay'], [/Tide/, ' and moon']]) {
        await writer.mark(row);
        await writer.type('[Enter]', '[End]', more, '[Escape]');
        await writer.saved();
    }
    await phone.goto(`${page.url()}/film`);
    await expect(phone.getByText('2 of 2')).toBeVisible();
    await phone.getByLabel('Speed').selectOption('6');
    await phone.getByRole('button', { name: 'Step back' }).tap();
    await expect(phone.getByText('1 of 2')).toBeVisible();
    await phone.getByRole('button', { name: 'Since my last visit' }).tap();
    await expect(rows.getByRole('listitem')).toHaveText([/Wall of clay/, /Tide and moon/]);
    await context.close();
});
