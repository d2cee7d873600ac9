import { expect } from '@playwright/test';
import { planOf, test, Writer } from './writer.js';

test.use({ serviceWorkers: 'allow' });

const note = (page) => page.getByRole('textbox', { name: 'Note', exact: true });

/** Until the page, its scripts, the tree and the notes are kept in the browser. */
async function kept(page, words) {
    await expect
        .poll(
            () =>
                page.evaluate(async (wanted) => {
                    const frames = await (await caches.open('embrel-frames')).keys();
                    const assets = await (await caches.open('embrel-assets')).keys();
                    const db = await new Promise((done) => {
                        const asked = indexedDB.open('embrel');
                        asked.onsuccess = () => done(asked.result);
                    });
                    const all = await new Promise((done) => {
                        const asked = db.transaction('notes').objectStore('notes').getAll();
                        asked.onsuccess = () => done(asked.result);
                    });
                    db.close();
                    return frames.length > 0 && assets.some(({ url }) => url.includes('editor')) && JSON.stringify(all).includes(wanted);
                }, words),
            { timeout: 30_000 },
        )
        .toBe(true);
}

test('a plan opens without the network, is read and written there, and all of it arrives once', async ({ page, context, browser }) => {
    const writer = await planOf(page, 'Without', 'Wall', '\tStone', 'Mud');
    writer.expectRefused(/^503 GET .*hand-over$/);
    const address = page.url();
    await writer.mark(/1 Wall/);
    await writer.type('n', 'Seven parishes paid.', '[Escape]', '[Escape]');
    await writer.saved();
    await kept(page, 'Seven parishes');
    await context.setOffline(true);
    await page.reload();
    await writer.expectOutline('1 Wall\n  1.1 Stone\n2 Mud');
    await writer.mark(/1 Wall/);
    await writer.type('n');
    await expect(note(page)).toHaveText('Seven parishes paid.');
    await writer.type(' In full.', '[Escape]', '[Escape]');
    await writer.mark(/2 Mud/);
    await writer.type('[Enter]', '[End]', ' and samphire', '[Enter]', 'Tide', '[Escape]');
    await writer.mark(/1\.1 Stone/);
    await writer.type('[Alt+ArrowLeft]');
    await expect(page.locator('#saved')).toContainText('Not connected');
    // Once more, with what waits to be sent.
    await page.reload();
    await expect(page.getByRole('treeitem')).toHaveCount(4);
    await expect(writer.row(/Mud and samphire/)).toBeVisible();
    await writer.row(/Wall/).locator('.n').click();
    await writer.type('n');
    await expect(note(page)).toHaveText('Seven parishes paid. In full.');
    await writer.type('[Escape]', '[Escape]');
    // What needs the network says so.
    await writer.view('Map');
    await expect(page.getByText('The map cannot be drawn: the server cannot be reached.')).toBeVisible();
    await page.getByRole('link', { name: 'Hand over' }).click();
    await expect(page.getByRole('heading', { name: 'Not connected' })).toBeVisible();
    await page.goBack();
    await context.setOffline(false);
    await page.goto(address);
    await writer.saved();
    await writer.expectOutline('1 Wall\n2 Stone\n3 Mud and samphire\n4 Tide');
    const other = new Writer(
        await (
            await browser.newContext({
                storageState: { ...(await context.storageState()), origins: [] },
                viewport: { width: 1280, height: 800 },
            })
        ).newPage(),
    );
    await other.page.goto(address);
    await other.expectOutline('1 Wall\n2 Stone\n3 Mud and samphire\n4 Tide');
    await other.mark(/1 Wall/);
    await other.type('n');
    await expect(note(other.page)).toHaveText('Seven parishes paid. In full.');
});

/** What stands on the shelf of this browser, by the keys of a store. */
const shelved = (page, store) =>
    page.evaluate(async (name) => {
        const db = await new Promise((done) => {
            const asked = indexedDB.open('embrel');
            asked.onsuccess = () => done(asked.result);
        });
        const keys = await new Promise((done) => {
            const asked = db.transaction(name).objectStore(name).getAllKeys();
            asked.onsuccess = () => done(asked.result);
        });
        db.close();
        return keys;
    }, store);

const source = (page) => page.locator('#sources-side, .sources').getByText('Tides and Walls').first();

/** A plan with a source, in the outline. */
async function withSource(page) {
    const writer = await planOf(page, 'Old', 'Wall', '\tPell, Tides and Walls, 1994, p. 61');
    await writer.view('Sources');
    await page.getByRole('button', { name: 'Looks like research, 1' }).click();
    await page.getByRole('button', { name: 'Do it for the marked one' }).click();
    await writer.saved();
    await page.getByRole('button', { name: 'All sources' }).click();
    await expect(source(page)).toBeVisible();
    await writer.view('Outline');
    return writer;
}

async function writeOfTheParishes(writer) {
    await writer.mark(/1 Wall/);
    await writer.type('n', 'By the parishes.', '[Escape]', '[Escape]');
    await writer.saved();
}

test('sources that did not come when the plan was kept are asked for again, and not only after a change', async ({ page, context }) => {
    const writer = await withSource(page);
    let refused = 0;
    await page.route('**/source-list', (route) => {
        refused++;
        return route.abort();
    });
    await writeOfTheParishes(writer);
    await expect.poll(() => refused, { timeout: 45_000 }).toBeGreaterThan(0);
    await page.unroute('**/source-list');
    await page.reload();
    await kept(page, 'By the parishes');
    await context.setOffline(true);
    await page.reload();
    await writer.view('Sources');
    await expect(source(page)).toBeVisible();
});

test('the sources are read without the network; what was not opened for 30 days goes', async ({ page, context }) => {
    const writer = await withSource(page);
    await writeOfTheParishes(writer);
    await kept(page, 'By the parishes');
    const [, , plan] = new URL(page.url()).pathname.split('/');
    await context.setOffline(true);
    await page.reload();
    await writer.view('Sources');
    await expect(source(page)).toBeVisible();
    await context.setOffline(false);

    await page.evaluate(async () => {
        const db = await new Promise((done) => {
            const asked = indexedDB.open('embrel');
            asked.onsuccess = () => done(asked.result);
        });
        const step = db.transaction('plans', 'readwrite');
        const store = step.objectStore('plans');
        await new Promise((done) => {
            store.openCursor().onsuccess = ({ target: { result } }) => {
                result?.update({ ...result.value, at: Date.now() - 31 * 86_400_000 });
                result ? result.continue() : done();
            };
        });
        db.close();
    });
    await writer.anotherPlan('New', 'Mud');
    await expect.poll(() => shelved(page, 'plans').then((keys) => keys.some((key) => key.endsWith(plan)))).toBe(false);
    expect((await shelved(page, 'notes')).filter((key) => key.includes(plan))).toEqual([]);
});

test('who signs out leaves nothing behind', async ({ page, context }) => {
    const writer = await planOf(page, 'Left', 'Wall');
    writer.expectRefused(/^503 GET /);
    await writer.mark(/1 Wall/);
    await writer.type('n', 'Secret words.', '[Escape]', '[Escape]');
    await writer.saved();
    await kept(page, 'Secret words');
    const address = page.url();
    await page.goto('/account');
    await page.getByRole('button', { name: 'Sign out', exact: true }).first().click();
    await expect(page.getByRole('link', { name: 'Sign in' }).first()).toBeVisible();
    await expect
        .poll(() =>
            page.evaluate(async () => [
                await (await caches.open('embrel-frames')).keys().then((all) => all.length),
                (await indexedDB.databases()).length,
            ]),
        )
        .toEqual([0, 0]);
    await context.setOffline(true);
    await page.goto(address).catch(() => {});
    await expect(page.getByRole('heading', { name: 'Not connected' })).toBeVisible();
    await context.setOffline(false);
});
