import { createHmac } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { expect } from '@playwright/test';
import { findings, test, Writer } from './writer.js';

const PASSWORD = 'a long secret';

/** A code as a device makes it (RFC 6238), by another hand than ours. */
function code(key, at = Date.now()) {
    const bits = [...key.replaceAll(' ', '')].map((letter) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0')).join('');
    const secret = Buffer.from(bits.match(/.{8}/g).map((byte) => parseInt(byte, 2)));
    const step = Buffer.alloc(8);
    step.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)));
    const mac = createHmac('sha1', secret).update(step).digest();
    return String((mac.readUInt32BE(mac[19] & 15) & 0x7fffffff) % 1e6).padStart(6, '0');
}

test('signing in takes a second step, when a person has turned it on; a code on paper does in its place', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await page.goto('/account');
    await page.getByRole('link', { name: 'Turn it on' }).click();
    await expect(page.getByRole('img', { name: 'The key as a picture' }).locator('path')).toHaveAttribute('d', /h1v1h-1z/);
    const key = (await page.locator('.code-key code').textContent()).trim();
    await page.getByLabel('Type the code that it shows now').fill('000000');
    await page.getByRole('button', { name: 'Turn it on' }).click();
    await expect(page.getByRole('alert')).toContainText('not the code that your device shows now');
    expect((await page.locator('.code-key code').textContent()).trim()).toBe(key);
    await page.getByLabel('Type the code that it shows now').fill(code(key));
    await page.getByRole('button', { name: 'Turn it on' }).click();
    const paper = await page.getByRole('list', { name: 'Codes on paper' }).getByRole('listitem').allTextContents();
    expect(paper).toHaveLength(10);
    await page.getByRole('link', { name: 'I have them' }).click();
    await expect(page.getByText('10 codes on paper are left')).toBeVisible();

    await page.getByRole('button', { name: 'Sign out' }).first().click();
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(writer.email);
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'The second step' })).toBeVisible();
    await expect(page.getByLabel('Code')).toBeFocused();
    expect(await findings(page)).toEqual([]);
    await page.getByLabel('Code').fill('123456');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('not the code of now');
    await page.getByLabel('Code').fill(paper[0].toUpperCase());
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL('**/plans');
    await page.goto('/account');
    await expect(page.getByText('9 codes on paper are left')).toBeVisible();
    await page.getByLabel('Code, to change it').fill(paper[1]);
    await page.getByRole('button', { name: 'Turn it off' }).click();
    await expect(page.getByRole('link', { name: 'Turn it on' })).toBeVisible();
});

test('whoever looks after accounts finds a person, gives them room, and closes their account', async ({ page, browser }) => {
    const writer = new Writer(page);
    await writer.signUp();
    const context = await browser.newContext();
    const other = new Writer(await context.newPage());
    await other.signUp();
    writer.expectRefused(/^404 GET \/administration$/);
    await page.goto('/administration');
    await expect(page.getByRole('heading', { name: 'Nothing is here' })).toBeVisible();
    execFileSync('php', ['artisan', 'embrel:administrator', writer.email]);
    await page.goto('/account');
    await page.getByRole('link', { name: 'People, room and running work' }).click();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('searchbox', { name: 'Name or address' }).fill(other.email);
    await page.getByRole('button', { name: 'Find' }).click();
    await page.getByRole('region', { name: 'People' }).getByRole('link').click();
    await page.getByLabel('Room for pictures and files, in MB').fill('5');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
    await expect(page.getByLabel('Room for pictures and files, in MB')).toHaveValue('5');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Close the account' }).click();
    await expect(page.getByText('All that is in it stays')).toBeVisible();
    await other.page.goto('/plans');
    await expect(other.page).toHaveURL(/sign-in/);
    await page.getByRole('button', { name: 'Open the account' }).click();
    await other.page.getByLabel('E-mail address').fill(other.email);
    await other.page.getByLabel('Password').fill(PASSWORD);
    await other.page.getByRole('button', { name: 'Sign in' }).click();
    await other.page.waitForURL('**/plans');
    await context.close();
});

test('somebody signs in by their organisation, and has an account of their own', async ({ page }) => {
    const number = `S-${Date.now()}-${Math.random()}`;
    for (const time of ['first', 'second']) {
        await page.goto('/sign-in');
        await page.getByRole('link', { name: 'Sign in through the school' }).click();
        await page.getByLabel('Number').fill(number);
        await page.getByLabel('Address').fill(`${number}@school.example`);
        await page.getByRole('button', { name: 'Let me in' }).click();
        await page.waitForURL('**/plans');
        if (time === 'second') {
            await expect(page.getByText('Tides').first()).toBeVisible();
        } else {
            await page.getByRole('textbox', { name: 'What are you going to write?' }).fill('Tides');
            await page.keyboard.press('Enter');
            await expect(page.getByRole('button', { name: 'Tides', exact: true })).toBeVisible();
            await page.goto('/account');
            await expect(page.getByText('You sign in through the school')).toBeVisible();
            await page.getByRole('button', { name: 'Sign out' }).first().click();
        }
    }
    await page.goto('/account');
    await page.getByRole('button', { name: 'Sign out' }).first().click();
    await page.goto('/sign-in');
    await page.getByRole('link', { name: 'Sign in through the school' }).click();
    await page.getByRole('button', { name: 'Do not' }).click();
    await expect(page.getByRole('alert')).toContainText('did not let you in');
});
