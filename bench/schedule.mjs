import { launched } from '../bin/browser.mjs';
import { median } from './trace.mjs';

const LOADS = 9;
const [, , address] = process.argv;
const browser = await launched();

/** Milliseconds from the request until the rows stand, in the schedule with their bars. */
async function loading(view) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const start = performance.now();
    await page.goto(`${address}${view}`, { waitUntil: 'commit' });
    await page.waitForFunction(
        (rows) => document.querySelectorAll(rows).length > 10,
        view === '' ? '#outline [role=treeitem]' : '.days-row .days-bar.is-own',
        { polling: 'raf' },
    );
    const time = performance.now() - start;
    await page.close();
    return time;
}

const times = { '': [], '/schedule': [] };
for (let i = 0; i < LOADS + 1; i++) {
    for (const view of ['', '/schedule']) {
        const time = await loading(view);
        // The first fills the caches.
        i > 0 && times[view].push(time);
    }
}
const [outline, schedule] = [median(times['']), median(times['/schedule'])];
console.log(
    `the schedule of 1,000 dated topics, until it is drawn: ${(schedule / outline).toFixed(2)} times Outline ` +
        `(${schedule.toFixed(0)} ms against ${outline.toFixed(0)} ms)`,
);
await browser.close();
