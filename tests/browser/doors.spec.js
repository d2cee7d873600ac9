import { expect } from '@playwright/test';
import { findings, test, Writer } from './writer.js';

/** Who gets in, and how they are sent away: over the real server. */

async function secondDevice(browser, email) {
    const context = await browser.newContext({ userAgent: 'Mozilla/5.0 (iPhone; CPU iPhone OS 17_0 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.0 Mobile/15E148 Safari/604.1' });
    const other = new Writer(await context.newPage());
    await other.page.goto('/sign-in');
    await other.page.getByLabel('E-mail address').fill(email.toUpperCase());
    await other.page.getByLabel('Password').fill('a long secret');
    await other.page.getByLabel('Stay signed in on this device').check();
    await other.page.getByRole('main').getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(other.page).toHaveURL(/\/plans$/);
    return other;
}

test('devices are listed and signed out; a changed password signs out all others', async ({ page, browser }) => {
    const writer = new Writer(page);
    await writer.signUp();
    let other = await secondDevice(browser, writer.email);
    expect((await other.page.context().cookies()).find((one) => one.name === 'embrel_session').expires).toBeGreaterThan(Date.now() / 1000 + 29 * 86_400);
    expect((await page.context().cookies()).find((one) => one.name === 'embrel_session').expires).toBe(-1);
    await page.goto('/account');
    await expect(page.getByRole('listitem').filter({ hasText: 'Safari on iPhone' })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Sign out Safari on iPhone' }).click();
    await expect(page.getByText('That device is signed out.')).toBeVisible();
    await other.page.reload();
    await expect(other.page).toHaveURL(/\/sign-in$/);
    other = await secondDevice(browser, writer.email);
    await page.getByLabel('Password now').fill('a long secret');
    await page.getByLabel('New password').fill('another long secret');
    await page.getByRole('button', { name: 'Change the password' }).click();
    await expect(page.getByText('Every other device is signed out.')).toBeVisible();
    await other.page.reload();
    await expect(other.page).toHaveURL(/\/sign-in$/);
    await page.goto('/plans');
    await expect(page).toHaveURL(/\/plans$/);
});

test('an address that has an account is told so in a letter alone', async ({ page, browser }) => {
    const writer = new Writer(page);
    await writer.signUp();
    const other = await (await browser.newContext()).newPage();
    await other.goto('/sign-up');
    await other.getByLabel('Your name').fill('Robin Reed');
    await other.getByLabel('E-mail address').fill(writer.email);
    await other.getByLabel('Password').fill('a long secret');
    await other.getByRole('main').getByRole('button', { name: 'Sign up' }).click();
    await expect(other.getByRole('heading', { name: 'A letter is on its way' })).toBeVisible();
    expect(await findings(other)).toEqual([]);
});

test('what no page of ours sends is refused before it is looked at', async ({ request }) => {
    for (const address of ['/%00x', '/build/%00', '/plans/%00', '/%ff', '/?a=%ff']) {
        const answer = await request.get(address);
        expect([address, answer.status()]).toEqual([address, 400]);
        expect(answer.headers()['x-content-type-options']).toBe('nosniff');
    }
    const large = await request.post(
        '/plans/01M8K7BQYC9QMXPHNPKF59TCG6/operations',
        { data: '['.repeat(20_000_000), headers: { 'Content-Type': 'application/json', Accept: 'application/json' } },
    );
    expect(large.status()).toBe(413);
    expect((await request.get('/plans', { headers: { Host: 'evil.example' } })).status()).toBe(421);
});
