import { expect } from '@playwright/test';
import { planOf, share, test, Writer } from './writer.js';

/** Another person, who may write in the plan that a page shows. */
async function joined(page, browser, role = 'writes') {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const other = new Writer(await context.newPage());
    await other.signUp();
    share(page, other.email, role);
    await other.page.goto(page.url());
    await expect(other.page.getByRole('treeitem').first()).toBeVisible();
    return other;
}

test('undo of two people: what the other did stands, the rest is as before; else it is refused with who did what', async ({ page, browser }) => {
    const writer = await planOf(page, 'Two people', 'Wall', '  Clay', '  Stone', '  Mud', 'Tide');
    await writer.saved();
    const other = await joined(page, browser);
    writer.expectRefused(/^409 /);

    // One sorts the parts of a section, the other moves one of them elsewhere, the first takes the sorting back.
    await writer.row(/1 Wall/).getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('dialog', { name: /^Topic:/ }).getByRole('button', { name: 'Title', exact: true }).click();
    await writer.expectOutline('1 Wall\n  1.1 Clay\n  1.2 Mud\n  1.3 Stone\n2 Tide');
    await other.expectOutline('1 Wall\n  1.1 Clay\n  1.2 Mud\n  1.3 Stone\n2 Tide');
    await other.mark(/Clay/);
    await other.type('m', 'Tide', '[Enter]');
    await other.expectOutline('1 Wall\n  1.1 Mud\n  1.2 Stone\n2 Tide\n  2.1 Clay');
    await writer.expectOutline('1 Wall\n  1.1 Mud\n  1.2 Stone\n2 Tide\n  2.1 Clay');
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Sorted/ }).click();
    for (const one of [writer, other]) {
        await one.expectOutline('1 Wall\n  1.1 Stone\n  1.2 Mud\n2 Tide\n  2.1 Clay');
    }

    // A topic in which the other has put something does not go.
    await writer.mark(/2 Tide/);
    await writer.type('[Enter]', '[End]', '[Enter]', 'Wind', '[Escape]');
    await other.expectOutline('1 Wall\n  1.1 Stone\n  1.2 Mud\n2 Tide\n  2.1 Wind\n  2.2 Clay');
    await other.mark(/Mud/);
    await other.type('m', 'Wind', '[Enter]');
    await writer.expectOutline('1 Wall\n  1.1 Stone\n2 Tide\n  2.1 Wind\n    2.1.1 Mud\n  2.2 Clay');
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Wrote/ }).click();
    await writer.expectOutline('1 Wall\n  1.1 Stone\n2 Tide\n  2.1 Untitled\n    2.1.1 Mud\n  2.2 Clay');
    await page.getByRole('banner').getByRole('button', { name: /^Undo: Added/ }).click();
    const refused = page.getByRole('status').filter({ hasText: /Robin.*Moved “Mud”/ });
    await expect(refused).toBeVisible();
    await refused.getByRole('button', { name: 'History' }).click();
    await expect(page.getByRole('heading', { name: 'History' })).toBeVisible();
    expect([...writer.problems, ...other.problems]).toEqual([]);
});

test('two who send at the same moment, each batch twice: each change is done once, and both see the same', async ({ page, browser }) => {
    const writer = await planOf(page, 'At once', 'Wall', 'Tide', 'Sand', 'Clay', 'Wind', 'Moon');
    await writer.saved();
    const other = await joined(page, browser);
    const ids = await page.getByRole('treeitem').evaluateAll((rows) => rows.map((row) => row.dataset.id));
    const before = await page.evaluate(revisionOf);

    const answers = await Promise.all([writer, other].map((one, of) => one.page.evaluate(sendTwice, { ids, of, times: TIMES })));
    expect(answers.flat().filter((answer) => answer.status !== 200)).toEqual([]);
    // No one's move is refused: these six stand beside each other, and none goes under another that lies in it.
    const made = new Set(answers.flat().map((answer) => answer.id));
    expect(made.size).toBe(2 * TIMES);
    await expect.poll(() => page.evaluate(revisionOf)).toBe(before + 2 * TIMES);
    const outlines = [];
    for (const one of [writer, other]) {
        await one.page.reload();
        await expect(one.page.getByRole('treeitem')).toHaveCount(6 + TIMES);
        outlines.push(await one.outline());
    }
    expect(outlines[0]).toBe(outlines[1]);
    const added = [0, 1].flatMap((of) => Array.from({ length: TIMES / 2 }, (_, i) => `Added ${of} ${i}`));
    for (const title of ['Wall', 'Tide', 'Sand', 'Clay', 'Wind', 'Moon', ...added]) {
        expect(outlines[0].split('\n').filter((row) => row.endsWith(` ${title}`)), title).toHaveLength(1);
    }
});

/** How many changes each of them sends; each goes out twice. */
const TIMES = 12;

/** In the page: by turns a topic is added and one is moved to the front, and each is sent twice without waiting. */
async function sendTwice({ ids, of, times }) {
    const token = document.querySelector('meta[name=csrf-token]').content;
    const letters = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
    const id = () => `01${Array.from(crypto.getRandomValues(new Uint8Array(24)), (one) => letters[one % 32]).join('')}`;
    const at = { parent: '0'.repeat(26), after: null };
    const sent = [];
    for (let i = 0; i < times; i++) {
        const does = i % 2 === 0
            ? { type: 'add', at, topics: [{ id: id(), title: `Added ${of} ${i / 2}` }] }
            : { type: 'move', ids: [ids[(i * 5 + of * 3) % ids.length]], at };
        const body = JSON.stringify({ base: 1, operations: [{ id: id(), step: id(), ...does }] });
        for (let time = 0; time < 2; time++) {
            sent.push(fetch(`${location.pathname}/operations`, {
                method: 'POST',
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token },
                body,
            }).then((answer) => ({ status: answer.status, id: JSON.parse(body).operations[0].id })));
        }
    }
    return Promise.all(sent);
}

/** In the page: the revision that the server has. */
async function revisionOf() {
    const news = await fetch(`${location.pathname}/changes?since=1`, { headers: { Accept: 'application/json' } });
    return news.status === 204 ? 1 : (await news.json()).revision;
}
