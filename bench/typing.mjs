import { launched } from '../bin/browser.mjs';
import { median, workOfKeys } from './trace.mjs';

const KEYS = 200;
const LOADS = 7;
const [, , small, large] = process.argv;
const browser = await launched();

/** Milliseconds until the outline can be typed in: from the request until a letter stands in a title. */
async function loading(address) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const start = performance.now();
    await page.goto(address, { waitUntil: 'commit' });
    await page.waitForFunction(() => document.activeElement?.getAttribute('role') === 'tree' && document.querySelectorAll('[role=treeitem]').length > 10, null, { polling: 'raf' });
    await page.keyboard.press('Enter');
    await page.keyboard.press('x');
    await page.waitForFunction(() => document.activeElement?.value?.endsWith('x'), null, { polling: 'raf' });
    const time = performance.now() - start;
    await page.close();
    return time;
}

/** Work of the main thread for each key, from its keydown to the next commit to the compositor, in milliseconds. */
async function typing(address) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(address);
    await page.waitForFunction(() => document.activeElement?.getAttribute('role') === 'tree');
    for (let i = 0; i < 25; i++) {
        await page.keyboard.press('ArrowDown');
    }
    await page.keyboard.press('Enter');
    await page.keyboard.press('End');
    await page.keyboard.type(' warm');
    const work = await workOfKeys(page, async () => {
        for (let i = 0; i < KEYS; i++) {
            await page.keyboard.press(i % 20 === 19 ? 'Enter' : 'abcdefghij'[i % 10]);
            await page.waitForTimeout(30);
        }
    });
    await page.close();
    return work;
}

const [little, much] = [median(await typing(small)), median(await typing(large))];
console.log(`typing a title: ${(much / little).toFixed(2)} times as much work in 5,000 topics as in 50 (${much.toFixed(2)} ms a key against ${little.toFixed(2)} ms)`);
const times = { small: [], large: [] };
await loading(small);
for (let i = 0; i < LOADS; i++) {
    times.small.push(await loading(small));
    times.large.push(await loading(large));
}
/** Milliseconds from the request until a page is there whole, in a browser that has nothing of it yet. */
async function anew(open) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const start = performance.now();
    await open(page);
    const time = performance.now() - start;
    await context.close();
    return time;
}

const account = (page) => page.goto(new URL('/account', small).href, { waitUntil: 'load' });
const outline = async (page) => {
    await page.goto(small, { waitUntil: 'commit' });
    await page.waitForFunction(() => document.activeElement?.getAttribute('role') === 'tree' && document.querySelectorAll('[role=treeitem]').length > 10, null, { polling: 'raf' });
    await page.keyboard.press('Enter');
    await page.keyboard.press('x');
    await page.waitForFunction(() => document.activeElement?.value?.endsWith('x'), null, { polling: 'raf' });
};
const fresh = { account: [], outline: [] };
await anew(account);
for (let i = 0; i < LOADS; i++) {
    fresh.account.push(await anew(account));
    fresh.outline.push(await anew(outline));
}
const [bare, whole] = [median(fresh.account), median(fresh.outline)];
console.log(`opening the outline in a new browser: ${(whole / bare).toFixed(2)} times the account page (${whole.toFixed(0)} ms against ${bare.toFixed(0)} ms)`);
const [quick, slow] = [median(times.small), median(times.large)];
console.log(`opening until it can be typed in: ${(slow / quick).toFixed(2)} times as long for 5,000 topics as for 50 (${slow.toFixed(0)} ms against ${quick.toFixed(0)} ms)`);
await browser.close();
