import { launched } from '../bin/browser.mjs';
import { median, workOfKeys } from './trace.mjs';

const KEYS = 120;
const LOADS = 5;
const [, , address, empty] = process.argv;
const browser = await launched();

/** Milliseconds from the request until a letter stands in the outline, or in the text. */
async function loading(view) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const start = performance.now();
    await page.goto(`${address}${view}`, { waitUntil: 'commit' });
    if (view === '') {
        await page.waitForFunction(
            () => document.activeElement?.getAttribute('role') === 'tree' && document.querySelectorAll('[role=treeitem]').length > 10,
            null,
            { polling: 'raf' },
        );
        await page.keyboard.press('Enter');
        await page.keyboard.press('x');
        await page.waitForFunction(() => document.activeElement?.value?.endsWith('x'), null, { polling: 'raf' });
    } else {
        await page.waitForFunction(() => document.querySelectorAll('.note-of .read:not(.is-missing)').length > 900, null, {
            polling: 'raf',
        });
        await page.locator('.draft-title').nth(1).click();
        await page.keyboard.press('Enter');
        await page.waitForFunction(
            () => document.activeElement?.matches('#draft .ProseMirror') && document.activeElement.textContent.length > 20,
            null,
            { polling: 'raf' },
        );
        await page.keyboard.press('x');
        await page.waitForFunction(() => document.activeElement?.textContent.startsWith('x'), null, { polling: 'raf' });
    }
    const time = performance.now() - start;
    await page.close();
    return time;
}

/** Work of the main thread for each key in a text of the draft. */
async function typing(where) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${where}/draft`);
    await page.locator('.draft-title').first().click();
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.activeElement?.matches('#draft .ProseMirror'));
    await page.waitForTimeout(800);
    await page.keyboard.type(' warm');
    const work = await workOfKeys(page, async () => {
        for (let i = 0; i < KEYS; i++) {
            await page.keyboard.press('abcdefghij'[i % 10]);
            await page.waitForTimeout(30);
        }
    });
    await page.close();
    return median(work);
}

/** Frames a second while something is scrolled. */
async function frames(open, selector) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await open(page);
    const count = await page.evaluate(async (box) => {
        const scrolled = document.querySelector(box);
        let frames = 0;
        const end = performance.now() + 2500;
        while (performance.now() < end) {
            scrolled.scrollTop += 60;
            await new Promise(requestAnimationFrame);
            frames++;
        }
        return frames / 2.5;
    }, selector);
    await page.close();
    return count;
}

const times = { '': [], '/draft': [] };
await loading('');
await loading('/draft');
for (let i = 0; i < LOADS; i++) {
    for (const view of ['', '/draft']) {
        times[view].push(await loading(view));
    }
}
const [outline, draft] = [median(times['']), median(times['/draft'])];
console.log(
    `the draft of 1,000 sections with 100,000 words, until it can be typed in: ${(draft / outline).toFixed(2)} times Outline ` +
        `(${draft.toFixed(0)} ms against ${outline.toFixed(0)} ms)`,
);
const [little, much] = [await typing(empty), await typing(address)];
console.log(
    `a key in its text: ${(much / little).toFixed(2)} times a key in an empty one (${much.toFixed(2)} ms against ${little.toFixed(2)} ms)`,
);
const floor = await frames(
    (page) => page.setContent('<div id="draft" style="height:700px;overflow:auto"><div style="height:400000px"></div></div>'),
    '#draft',
);
const rate = await frames(async (page) => {
    await page.goto(`${address}/draft`);
    await page.waitForFunction(() => document.querySelectorAll('.note-of .read:not(.is-missing)').length > 900);
}, '#draft');
console.log(
    `scrolling it: ${(rate / floor).toFixed(2)} of the frame rate of an empty page ` +
        `(${rate.toFixed(0)} against ${floor.toFixed(0)} a second)`,
);
await browser.close();
