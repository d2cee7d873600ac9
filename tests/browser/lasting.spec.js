import { expect } from '@playwright/test';
import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { planOf, test, Writer } from './writer.js';

const MINUTE = 60_000;

/** A server of one's own that can be stopped, and whose database can be killed. */
class OwnServer {
    async start() {
        this.process = spawn('bash', ['tests/browser/own-server.sh'], { stdio: ['pipe', 'pipe', 'ignore'] });
        this.lines = createInterface({ input: this.process.stdout })[Symbol.asyncIterator]();
        this.address = (await this.lines.next()).value;
    }

    async tell(word) {
        this.process.stdin.write(`${word}\n`);
        await this.lines.next();
    }

    async end() {
        const ended = new Promise((resolve) => this.process.on('exit', resolve));
        this.process.stdin.end();
        await ended;
    }
}

/** The plan as the server has it: level, id and title of each topic in reading order, tree and tray. */
const kept = (page) => page.evaluate(async () => {
    const html = await (await fetch(location.href, { cache: 'no-store' })).text();
    const { topics } = JSON.parse(new DOMParser().parseFromString(html, 'text/html').getElementById('plan-data').textContent);
    return topics.map(({ id, parent, title = '' }) => `${parent} ${id} ${title}`);
});

const titlesOf = (rows) => rows.map((row) => row.split(' ').slice(2).join(' '));

test.describe('a server that goes away', () => {
    test.describe.configure({ mode: 'serial' });
    const server = new OwnServer();
    test.beforeAll(async () => {
        test.setTimeout(4 * MINUTE);
        await server.start();
    });
    test.afterAll(() => server.end());
    test.use({ baseURL: undefined });

    async function started(browser, title) {
        const page = await (await browser.newContext({ baseURL: server.address, viewport: { width: 1280, height: 800 } })).newPage();
        const writer = new Writer(page);
        await writer.signUp();
        await writer.startPlan(title);
        await page.getByRole('textbox', { name: 'First topic' }).fill('Line 0');
        await writer.type('[Enter]');
        await writer.saved();
        return writer;
    }

    test('what is written while the server is stopped goes out in order when it is back, even after the tab was closed', async ({ browser }) => {
        const writer = await started(browser, 'Stopped');
        const { page } = writer;
        const address = page.url();
        await server.tell('stop-server');
        await writer.type('Line 1', '[Enter]', 'Line 2', '[Enter]', 'Line 3', '[Escape]');
        await expect(page.locator('#saved')).toHaveText(/^Not connected: \d+ changes kept here$/);
        const next = await page.context().newPage();
        await page.close();
        await server.tell('start-server');
        await next.goto(address);
        await new Writer(next).expectOutline('1 Line 0\n2 Line 1\n3 Line 2\n4 Line 3');
        await new Writer(next).saved();
        expect(titlesOf(await kept(next))).toEqual(['Line 0', 'Line 1', 'Line 2', 'Line 3']);
    });

    test('the database is killed amid the writing: nothing acknowledged is lost, nothing comes twice', async ({ browser }) => {
        const writer = await started(browser, 'Killed');
        writer.expectRefused(/^50\d /);
        const lines = Array.from({ length: 40 }, (_, i) => `Line ${i + 1}`);
        let killed;
        for (const [i, line] of lines.entries()) {
            await writer.type(line, ...(i < lines.length - 1 ? ['[Enter]'] : []));
            if (i === 15) {
                killed = server.tell('kill-database');
            }
            if (i === 30) {
                await killed;
                await expect(writer.page.locator('#saved')).toHaveText(/^Not connected/);
                await server.tell('start-database');
            }
        }
        await writer.saved();
        expect(titlesOf(await kept(writer.page))).toEqual(['Line 0', ...lines]);
    });
});

test('an expired session asks to sign in again, and then sends what was kept', async ({ page, context }) => {
    // An answer still under way would set the session's cookie anew after it was cleared.
    const underWay = new Set();
    page.on('request', (request) => request.resourceType() !== 'eventsource' && underWay.add(request));
    page.on('requestfinished', (request) => underWay.delete(request));
    page.on('requestfailed', (request) => underWay.delete(request));
    const writer = await planOf(page, 'Expired', 'A');
    await writer.mark(/1 A/);
    await expect.poll(() => underWay.size).toBe(0);
    writer.expectRefused(/^4(?:01|19) /);
    await context.clearCookies();
    await writer.type('[Enter]', '[End]', ' and more', '[Enter]', 'B', '[Escape]');
    await expect(page.locator('#saved')).toHaveText(/^Signed out: \d+ changes? kept here\. Sign in again$/);
    await page.getByRole('link', { name: 'Sign in again' }).click();
    await page.getByLabel('E-mail address').fill(writer.email);
    await page.getByLabel('Password').fill('a long secret');
    await page.getByRole('main').getByRole('button', { name: 'Sign in' }).click();
    await writer.expectOutline('1 A and more\n2 B');
    await writer.saved();
    expect(titlesOf(await kept(page))).toEqual(['A and more', 'B']);
});

test('an hour without the server changes nothing', async ({ page, context }) => {
    await page.clock.install();
    const writer = await planOf(page, 'An hour', 'A');
    await writer.mark(/1 A/);
    await context.setOffline(true);
    await writer.type('[Enter]', '[End]', '[Enter]', 'During', '[Enter]', 'Later', '[Escape]');
    await page.clock.fastForward('01:00:00');
    await expect(page.locator('#saved')).toHaveText(/^Not connected: \d+ changes kept here$/);
    await context.setOffline(false);
    await page.clock.fastForward('00:10');
    await writer.saved();
    await writer.expectOutline('1 A\n2 During\n3 Later');
});

test('two pages that are changed at random for a minute show the same sound tree at the end', async ({ page, browser }) => {
    test.setTimeout(5 * MINUTE);
    const writer = await planOf(page, 'Two at once', 'A', '\tA1', '\t\tA1a', '\tA2', 'B', '\tB1', 'C', '\tC1', '\t\tC1a', '\t\tC1b', 'D');
    const context = await browser.newContext({ storageState: { ...await page.context().storageState(), origins: [] }, viewport: { width: 1280, height: 800 } });
    const other = new Writer(await context.newPage());
    await other.page.goto(page.url());
    await expect(other.page.getByRole('treeitem').first()).toBeVisible();
    let seed = 7;
    const random = (below) => {
        seed = (seed * 1103515245 + 12345) % 2147483648;
        return seed % below;
    };
    const end = Date.now() + MINUTE;
    const edit = async (one, name) => {
        for (let i = 0; Date.now() < end; i++) {
            const refused = one.page.getByRole('dialog', { name: 'What could not be changed' });
            if (await refused.isVisible()) {
                await refused.getByRole('button', { name: /Keep as a loose idea|All right/ }).first().click();
                continue;
            }
            await one.type(...Array(random(6)).fill(random(2) ? '[ArrowDown]' : '[ArrowUp]'));
            await one.type(...[
                ['[Alt+ArrowUp]'], ['[Alt+ArrowDown]'], ['[Alt+ArrowRight]'], ['[Alt+ArrowLeft]'], ['[Enter]', '[End]', '[Enter]', `${name}${i}`, '[Escape]'],
                ['[Enter]', '[End]', `${name}`, '[Escape]'], ['[Control+Shift+d]'], ['[Delete]'], ['[Control+z]'], ['p'], ['s'], ['w', `${name}w${i}`, '[Escape]'], ['l'],
            ][random(13)]);
        }
    };
    await Promise.all([edit(writer, 'x'), edit(other, 'y')]);
    for (const one of [writer, other]) {
        for (const refused = one.page.getByRole('dialog', { name: 'What could not be changed' }); await refused.isVisible();) {
            await refused.getByRole('button', { name: /Keep as a loose idea|All right/ }).first().click();
        }
        // All rows at once, so that what is shown can be compared.
        await one.page.setViewportSize({ width: 1280, height: 9000 });
        await one.type('[Escape]', '[0]');
        await one.saved();
    }
    const shown = async (one) => [await one.outline(), await one.looseIdeas()];
    await expect(async () => expect(await shown(other)).toEqual(await shown(writer))).toPass({ timeout: 45_000 });
    const before = await shown(writer);
    const rows = await kept(page);
    const ids = rows.map((row) => row.split(' ')[1]);
    expect(new Set(ids).size).toBe(ids.length);
    const known = new Set(['00000000000000000000000000', '00000000000000000000000001', ...ids]);
    expect(rows.every((row) => known.has(row.split(' ')[0]))).toBe(true);
    await page.reload();
    await expect.poll(() => shown(writer)).toEqual(before);
    expect([...writer.problems, ...other.problems]).toEqual([]);
});

test('what is typed while a note is still on its way is kept, even when one leaves at once', async ({ page }) => {
    const writer = await planOf(page, 'Too quick', 'A', 'B');
    await writer.mark(/1 A/);
    await writer.type('n', 'First', '[Escape]', '[Escape]');
    await writer.saved();
    await page.reload();
    await page.route('**/note', (route) => setTimeout(() => route.continue().catch(() => {}), 5000));
    await writer.mark(/1 A/);
    await writer.type('n', 'second');
    await expect(page.locator('#saved')).toHaveText('Saving');
    await page.reload();
    await page.unroute('**/note');
    await writer.saved();
    await writer.mark(/1 A/);
    await writer.type('n');
    await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toContainText('Firstsecond');
});

test('a page in view asks every three seconds whether something has changed, a hidden one every thirty', async ({ page }) => {
    // Where there is no stream.
    await page.addInitScript(() => { delete window.EventSource; });
    await page.clock.install();
    await planOf(page, 'Polling', 'A');
    // From here on time passes only as the test says, however slow the machine is.
    await page.clock.pauseAt(Date.now() + 60_000);
    let asked = 0;
    page.on('request', (request) => { asked += request.url().includes('/pulse') ? 1 : 0; });
    const pass = async (times, seconds) => {
        for (let i = 0; i < times; i++) {
            await page.clock.fastForward(seconds * 1000);
            await page.waitForTimeout(300);
        }
    };
    // The next question is thought of when the answer has been read: three seconds that pass before that count for nothing.
    let passed = 0;
    for (; asked < 3 && passed < 12; passed++) {
        const before = asked;
        await page.clock.fastForward(3_000);
        await expect.poll(() => asked, { timeout: 3_000 }).toBeGreaterThan(before).catch(() => {});
        await page.waitForTimeout(300);
    }
    expect(asked).toBe(3);
    await page.evaluate(() => {
        Object.defineProperty(document, 'hidden', { value: true, configurable: true });
        document.dispatchEvent(new Event('visibilitychange'));
    });
    await page.waitForTimeout(300);
    asked = 0;
    await pass(6, 3);
    expect(asked).toBe(0);
    await pass(1, 15);
    await expect.poll(() => asked).toBe(1);
});
