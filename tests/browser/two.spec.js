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
