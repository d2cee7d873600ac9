import { launched } from '../bin/browser.mjs';

const SECONDS = 3;
const ROUNDS = 25;
const [, , small, large, root] = process.argv;
const browser = await launched();
const median = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)];

/** Frames a second while the ground is zoomed and panned at every frame. */
async function frames(page, what) {
    return page.evaluate(([seconds, kind]) => new Promise((resolve) => {
        const ground = document.querySelector('svg.ground');
        const { width, height } = ground.getBoundingClientRect();
        const begun = performance.now();
        let count = 0;
        const step = (now) => {
            count++;
            const at = { bubbles: true, cancelable: true, view: window, clientX: width / 2 + (count % 40), clientY: height / 2 + 100 };
            if (kind === 'zoom') {
                ground.dispatchEvent(new WheelEvent('wheel', { ...at, deltaY: Math.floor(count / 30) % 2 ? 40 : -40 }));
            } else if (count === 1) {
                ground.dispatchEvent(new MouseEvent('mousedown', at));
            } else {
                window.dispatchEvent(new MouseEvent('mousemove', { ...at, clientX: width / 2 + 300 * Math.sin(count / 20), clientY: height / 2 + 200 * Math.cos(count / 17) }));
            }
            if (now - begun < seconds * 1000) {
                requestAnimationFrame(step);
            } else {
                window.dispatchEvent(new MouseEvent('mouseup', at));
                resolve((count * 1000) / (now - begun));
            }
        };
        requestAnimationFrame(step);
    }), [SECONDS, what]);
}

const empty = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await empty.goto(`${root}/keys`);
await empty.evaluate(() => { document.body.innerHTML = '<svg class="ground" style="position:fixed;inset:0;width:100%;height:100%"><g class="stage"/></svg>'; });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${large}/map`);
await page.waitForFunction(() => document.querySelectorAll('#ground [role=treeitem]').length > 5);
await unfold(page);
for (const what of ['zoom', 'pan']) {
    const floor = await frames(empty, what);
    const near = await frames(page, what);
    console.log(`${what}, map of 5,000 topics: ${(near / floor).toFixed(2)} of the frame rate of an empty SVG (${near.toFixed(0)} against ${floor.toFixed(0)} a second)`);
}
await page.getByRole('button', { name: 'Whole plan' }).click();
await page.waitForTimeout(600);
const [far, floor] = [await frames(page, 'pan'), await frames(empty, 'pan')];
console.log(`pan, the whole of 5,000 topics in sight: ${(far / floor).toFixed(2)} of the frame rate of an empty SVG`);
await page.close();

/** A large plan opens folded to what can be read: everything is shown by the key for it. */
async function unfold(one) {
    await one.keyboard.press('0');
    await one.waitForTimeout(2000);
}

/** Milliseconds from the request of a change until what it changed has been drawn. */
async function change(address) {
    const one = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await one.addInitScript(() => {
        const { fetch } = window;
        window.fetch = async (...given) => {
            const start = performance.now();
            const response = await fetch(...given);
            if (String(given[0]).endsWith('/operations')) {
                const { json } = response;
                response.json = async () => {
                    const answer = await json.call(response);
                    requestAnimationFrame(() => requestAnimationFrame(() => { window.drawn = performance.now() - start; }));
                    return answer;
                };
            }
            return response;
        };
    });
    await one.goto(address);
    await one.waitForFunction(() => document.activeElement?.getAttribute('role') === 'tree' && document.querySelectorAll('[role=treeitem]').length > 5);
    await unfold(one);
    await one.keyboard.press('ArrowDown');
    const times = [];
    for (let i = 0; i < ROUNDS; i++) {
        await one.evaluate(() => { window.drawn = null; });
        await one.keyboard.press(i % 2 ? 'Alt+ArrowUp' : 'Alt+ArrowDown');
        await one.waitForFunction(() => window.drawn, null, { polling: 20 });
        times.push(await one.evaluate(() => window.drawn));
    }
    await one.close();
    return median(times.slice(5));
}

const outline = await change(small);
const map = await change(`${small}/map`);
console.log(`a change, 1,000 topics: from request to drawn ${(map / outline).toFixed(2)} times Outline (${map.toFixed(0)} ms against ${outline.toFixed(0)} ms)`);
await browser.close();
