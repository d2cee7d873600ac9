import { launched } from '../bin/browser.mjs';
import { median, workOfKeys } from './trace.mjs';

const KEYS = 200;
const [, , address, empty, long] = process.argv;
const browser = await launched();

async function opened(title) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(address);
    await page.getByRole('treeitem', { name: title }).locator('.n').click();
    await page.keyboard.press('n');
    await page.waitForFunction(() => document.activeElement?.classList.contains('ProseMirror') && document.activeElement.isContentEditable);
    await page.waitForTimeout(1500);
    return page;
}

/** Work of the main thread for each key, from its keydown to the next commit to the compositor, in milliseconds. */
async function typing(title) {
    const page = await opened(title);
    // In the middle of the note, as one writes.
    await page.evaluate(() => {
        const texts = [...document.querySelectorAll('#page p')];
        const at = texts[Math.floor(texts.length / 2)];
        at.scrollIntoView({ block: 'center' });
        getSelection().collapse(at, at.childNodes.length);
    });
    await page.keyboard.type(' warm');
    await page.waitForTimeout(1000);
    const work = await workOfKeys(page, async () => {
        for (let i = 0; i < KEYS; i++) {
            await page.keyboard.press(i % 8 === 7 ? ' ' : 'abcdefghij'[i % 10]);
            await page.waitForTimeout(30);
        }
    });
    await page.close();
    return work;
}

/** What is sent when a few words are written into one block: the bytes of the request, and of the blocks in it. */
async function saving(title, keys) {
    const page = await opened(title);
    await page.evaluate(() => {
        const texts = [...document.querySelectorAll('#page p')];
        getSelection().collapse(texts[Math.floor(texts.length / 2)], 0);
    });
    const sent = page.waitForRequest((request) => request.method() === 'POST' && request.url().endsWith('/operations'));
    for (const key of keys) {
        await (key.length > 1 ? page.keyboard.press(key) : page.keyboard.type(key));
    }
    const body = (await sent).postData();
    await page.waitForTimeout(1500);
    await page.close();
    return [body.length, JSON.parse(body).operations.reduce((sum, { put }) => sum + JSON.stringify(put ?? []).length, 0)];
}

const [little, much] = [median(await typing(empty)), median(await typing(long))];
console.log(`typing in a note: ${(much / little).toFixed(2)} times as much work in 20,000 words as in an empty one (${much.toFixed(2)} ms a key against ${little.toFixed(2)} ms)`);
for (const [what, keys] of [['a word', ['t', 'i', 'd', 'e', ' ']], ['a new paragraph', ['Enter']]]) {
    const [bytes, blocks] = await saving(long, keys);
    console.log(`saving ${what} in a note of 20,000 words: ${bytes} bytes for blocks of ${blocks} (bound ${5 * blocks + 2048})`);
}
await browser.close();
