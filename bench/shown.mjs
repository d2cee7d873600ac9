import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launched } from '../bin/browser.mjs';

const ROUNDS = 5;
const SECONDS = 4;
const [, , root, plan] = process.argv;
const browser = await launched();
const median = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)];
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const folder = mkdtempSync(join(tmpdir(), 'embrel-alone-'));

await page.goto(`${root}/plans/${plan}`);
const bytes = await page.evaluate(async (address) => (await fetch(address)).text(), `${root}/plans/${plan}/hand-over/file?format=alone`);
writeFileSync(join(folder, 'alone.html'), bytes);

/** Milliseconds until a row can be gone to by keys. */
async function opened(address, ready) {
    const times = [];
    for (let i = 0; i < ROUNDS; i++) {
        // What was open before is put away first: that is not part of the opening.
        await page.goto('about:blank');
        const begun = performance.now();
        await page.goto(address, { waitUntil: 'commit' });
        await page.waitForFunction(ready, null, { polling: 'raf' });
        times.push(performance.now() - begun);
    }
    return median(times);
}
const outline = await opened(
    `${root}/plans/${plan}`,
    () => document.activeElement?.getAttribute('role') === 'tree' && document.querySelectorAll('[role=treeitem]').length > 5,
);
const alone = await opened(`file://${join(folder, 'alone.html')}`, () => document.body?.classList.contains('is-alive') && document.querySelectorAll('[role=treeitem]').length === 5000);
console.log(`the page that stands alone, 5,000 topics, ${(bytes.length / 1e6).toFixed(1)} MB: opened in ${(alone / outline).toFixed(2)} times Outline (${alone.toFixed(0)} ms against ${outline.toFixed(0)} ms)`);
rmSync(folder, { recursive: true });

/** Frames a second while something is done again and again. */
const frames = (act) => page.evaluate(([seconds, key]) => new Promise((resolve) => {
    const begun = performance.now();
    let count = 0;
    let last = begun;
    const step = (now) => {
        count++;
        if (key && now - last > 800) {
            last = now;
            document.dispatchEvent(new KeyboardEvent('keydown', { key, code: key, bubbles: true }));
        }
        now - begun < seconds * 1000 ? requestAnimationFrame(step) : resolve((count * 1000) / (now - begun));
    };
    requestAnimationFrame(step);
}), [SECONDS, act]);
await page.goto(`${root}/keys`);
await page.evaluate(() => (document.body.innerHTML = ''));
const floor = await frames('');
await page.goto(`${root}/plans/${plan}/present`);
await page.keyboard.press('PageDown');
const sections = await frames('PageDown');
await page.keyboard.press('m');
await page.waitForSelector('#shown-map .leaf', { timeout: 60_000 });
await page.waitForTimeout(1500);
const map = await frames('PageDown');
console.log(`Present, 5,000 topics: ${(sections / floor).toFixed(2)} of the frame rate of an empty page by sections, ${(map / floor).toFixed(2)} on the map (${sections.toFixed(0)} and ${map.toFixed(0)} against ${floor.toFixed(0)} a second)`);
await browser.close();
