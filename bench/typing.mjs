import { chromium } from '@playwright/test';

const KEYS = 200;
const LOADS = 7;
const [, , small, large] = process.argv;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'] });
const median = (numbers) => numbers.sort((a, b) => a - b)[Math.floor(numbers.length / 2)];

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
    const session = await page.context().newCDPSession(page);
    const events = [];
    session.on('Tracing.dataCollected', ({ value }) => events.push(...value));
    await session.send('Tracing.start', { traceConfig: { includedCategories: ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline'] }, transferMode: 'ReportEvents' });
    for (let i = 0; i < KEYS; i++) {
        await page.keyboard.press(i % 20 === 19 ? 'Enter' : 'abcdefghij'[i % 10]);
        await page.waitForTimeout(30);
    }
    const finished = new Promise((resolve) => session.once('Tracing.tracingComplete', resolve));
    await session.send('Tracing.end');
    await finished;
    await page.close();

    const downs = events.filter((event) => event.name === 'EventDispatch' && event.args?.data?.type === 'keydown');
    const thread = downs[0].tid;
    const own = events.filter((event) => event.tid === thread && event.pid === downs[0].pid);
    const commits = own.filter((event) => event.name === 'Commit').sort((a, b) => a.ts - b.ts);
    const tasks = own.filter((event) => event.name === 'RunTask');
    return downs.sort((a, b) => a.ts - b.ts).map((down) => {
        const commit = commits.find((event) => event.ts >= down.ts);
        const end = commit ? commit.ts + (commit.dur ?? 0) : down.ts + down.dur;
        return tasks.reduce((sum, task) => sum + Math.max(0, Math.min(end, task.ts + (task.dur ?? 0)) - Math.max(down.ts, task.ts)), 0) / 1000;
    });
}

const [little, much] = [median(await typing(small)), median(await typing(large))];
console.log(`typing a title: ${(much / little).toFixed(2)} times as much work in 5,000 topics as in 50 (${much.toFixed(2)} ms a key against ${little.toFixed(2)} ms)`);
const times = { small: [], large: [] };
await loading(small);
for (let i = 0; i < LOADS; i++) {
    times.small.push(await loading(small));
    times.large.push(await loading(large));
}
const [quick, slow] = [median(times.small), median(times.large)];
console.log(`opening until it can be typed in: ${(slow / quick).toFixed(2)} times as long for 5,000 topics as for 50 (${slow.toFixed(0)} ms against ${quick.toFixed(0)} ms)`);
await browser.close();
