import { chromium } from '@playwright/test';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
export async function open(options = {}, plan = 'Bringing Back the Tide') {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options });
    const one = await context.newPage();
    one.on('pageerror', (e) => console.log('PAGEERROR', e.message, e.stack?.split('\n')[1]));
    one.on('console', (m) => m.type() === 'error' && console.log('CONSOLE', m.text()));
    await one.goto('http://127.0.0.1:8080');
    await one.getByRole('button', { name: 'Look around in the sample account' }).click();
    await one.waitForURL('**/plans');
    if (plan) { await one.getByRole('link', { name: plan }).click(); await one.waitForTimeout(800); }
    return one;
}
export const shot = (one, name) => one.screenshot({ path: `/tmp/shots/${name}.png` });
export const done = () => browser.close();
