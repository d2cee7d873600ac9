import { chromium } from '@playwright/test';

const [, , address, folder] = process.argv;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'] });

async function page(options = {}) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options });
    const one = await context.newPage();
    await one.goto(address);
    await one.getByRole('button', { name: 'Look around in the sample account' }).click();
    await one.waitForURL('**/plans');
    return one;
}

async function openReport(one, note) {
    await one.getByRole('link', { name: 'Bringing Back the Tide' }).click();
    await one.getByRole('treeitem', { name: /1887 embankment/ }).locator('.n').click();
    if (note) {
        await one.keyboard.press('n');
        await one.locator('#page').getByText('Seven parishes').waitFor();
        await one.locator('.page').evaluate((box) => { box.scrollTop = 0; });
    }
    await one.evaluate(() => document.fonts.ready);
}

const shot = (one, name) => one.screenshot({ path: `${folder}/${name}.png` });

const main = await page();
await main.evaluate(() => document.activeElement.blur());
await shot(main, 'plans');
await openReport(main, true);
await shot(main, 'outline');
await main.getByRole('link', { name: 'Hand over' }).click();
await main.getByLabel('Preview').getByText('Contents').waitFor();
await shot(main, 'hand-over');
await main.goto(`${address}/intake`);
await main.getByLabel(/paste text/).fill('1. Why bells crack\n\t1.1 Frost\n\t1.2 The clapper\n2. How they are mended\n\t2.1 Welding\n\t\tWho still can\n\t2.2 Melting down\n3. What is lost');
await main.getByLabel('Title of the plan').fill('Cracked bells');
await main.getByLabel('Take typed numbers off the titles').check();
await main.getByLabel('The tree that it makes').getByText('Why bells crack', { exact: true }).waitFor();
await main.waitForTimeout(500);
await shot(main, 'intake');
const dark = await page({ colorScheme: 'dark' });
await openReport(dark, true);
await shot(dark, 'outline-dark');
const phone = await page({ viewport: { width: 390, height: 844 }, hasTouch: true });
await openReport(phone, false);
await shot(phone, 'outline-phone');
await browser.close();
