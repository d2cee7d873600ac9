import { expect } from '@playwright/test';
import { findings, planOf, share, test, Writer } from './writer.js';

test('who may only read a plan reads all of it, is told so, and no key, press or drag changes it', async ({ page, browser }) => {
    const writer = await planOf(page, 'To be read', 'Wall', '  Stone', 'Tide');
    await writer.mark(/Stone/);
    await writer.type('n', 'The mason came in spring.', '[Escape]', '[Escape]');
    await writer.saved();
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const reader = new Writer(await context.newPage());
    await reader.signUp();
    share(page, reader.email, 'reads');
    await reader.page.goto(page.url());
    const shown = '1 Wall\n  1.1 Stone\n2 Tide';
    await reader.expectOutline(shown);
    await expect(reader.page.getByText('You can read this plan')).toBeVisible();
    await expect(reader.page.getByRole('button', { name: 'New topic' })).toBeHidden();
    await expect(reader.page.getByRole('textbox', { name: 'Catch an idea' })).toBeHidden();

    const sent = [];
    // Where one is, is told to the stream, which can change nothing.
    const isOurs = (request) => new URL(request.url()).origin === new URL(page.url()).origin && !/\/map$|\/\/[^/]+\/stream\//.test(request.url());
    reader.page.on('request', (request) => !['GET', 'PUT'].includes(request.method()) && isOurs(request) && sent.push(request.url()));
    await reader.mark(/Stone/);
    for (const key of ['Enter', 'Tab', 'Delete', 'Alt+ArrowUp', 'Alt+ArrowRight', 'p', 'q', 'd', 'g', 'k', 't', 'w', 'u', 'j', 'l', 'i', 'x', 'm', 'r', 'Control+Shift+d', 'Control+x', 'Control+z', 'Control+Shift+z', 'Control+k', 'F2']) {
        await reader.type(`[${key}]`);
    }
    await expect(reader.page.getByRole('status').filter({ hasText: 'can let you write' })).toBeVisible();
    await reader.row(/Stone/).locator('.title').click();
    await expect(reader.page.getByRole('textbox', { name: 'Title' })).toHaveCount(0);
    await reader.row(/Tide/).locator('.n').dragTo(reader.row(/Wall/).locator('.n'));
    await reader.expectOutline(shown);

    // The note is read, and takes no words.
    await reader.mark(/Stone/);
    await reader.type('n');
    await expect(reader.page.locator('#page')).toContainText('The mason came in spring.');
    await reader.type('not mine');
    await expect(reader.page.locator('#page')).toHaveText('The mason came in spring.');
    await reader.type('[Escape]');

    for (const view of ['Map', 'Draft', 'Sources', 'Gather']) {
        await reader.page.getByRole('link', { name: view, exact: true }).click();
        await expect(reader.page.getByRole('link', { name: view, exact: true })).toHaveAttribute('aria-current', 'page');
        expect(await findings(reader.page), view).toEqual([]);
    }
    await reader.page.getByRole('link', { name: 'Draft', exact: true }).click();
    await expect(reader.page.locator('#draft')).toContainText('The mason came in spring.');
    await reader.page.locator('#title').click();
    await expect(reader.page.getByRole('menuitem', { name: /Properties/ })).toBeHidden();
    await reader.page.getByRole('menuitem', { name: /History/ }).click();
    await reader.page.waitForURL(/\/history$/);
    await expect(reader.page.getByRole('heading', { name: 'History' })).toBeVisible();
    await expect(reader.page.getByRole('button', { name: 'Keep this version' })).toHaveCount(0);
    await expect(reader.page.getByRole('button', { name: /Go back/ })).toHaveCount(0);
    await reader.page.goBack();
    await reader.page.getByRole('link', { name: 'Hand over', exact: true }).click();
    await expect(reader.page.getByLabel('Preview')).toContainText('Wall');
    expect(sent).toEqual([]);

    // Once that person may write, they write, and the owner sees it.
    share(page, reader.email, 'writes');
    await reader.page.goto(page.url());
    await reader.mark(/Tide/);
    await reader.type('[Enter]', '[End]', ' and wind', '[Escape]');
    await reader.saved();
    await writer.expectOutline('1 Wall\n  1.1 Stone\n2 Tide and wind');
    expect([...writer.problems, ...reader.problems]).toEqual([]);
});
