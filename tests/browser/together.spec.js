import { expect } from '@playwright/test';
import { planOf, test, Writer } from './writer.js';

/** How long they write, in seconds; longer by hand: EMBREL_WRITE_FOR=600. */
const LONG = Number(process.env.EMBREL_WRITE_FOR ?? 25) * 1000;
const SEED = Number(process.env.EMBREL_SEED ?? 11);

const noteBox = (page) => page.getByRole('textbox', { name: 'Note', exact: true });
const wordsIn = (text) => text.split(/\s+/).filter(Boolean);
const paragraphs = (page) => noteBox(page).evaluate((box) => [...box.children].map((one) => one.innerText.replace(/\s+/g, ' ').trim()).filter(Boolean));

function chance(seed) {
    let state = seed;
    return (below) => {
        state = (state * 1103515245 + 12345) % 2147483648;
        return Math.floor((state / 2147483648) * below);
    };
}

/** Answers come late, and now and then not at all, though the server has done what was asked. */
async function unreliable(page, random) {
    await page.route(/\/(operations|note|changes|pulse)(\?|$)/, async (route) => {
        await new Promise((after) => setTimeout(after, random(4) ? random(150) : random(1200)));
        if (random(12) === 0) {
            await route.fetch().catch(() => {});
            await route.abort().catch(() => {});
        } else {
            await route.continue().catch(() => {});
        }
    });
}

for (const [windows, paragraphsTo] of [[2, 1], [3, 1], [3, 3]]) {
    test(`${windows} windows in ${paragraphsTo === 1 ? 'one paragraph' : 'one note'}: every word stands once, and all windows are equal`, async ({ page, browser }) => {
        test.setTimeout(LONG + 180_000);
        const random = chance(SEED + windows * 10 + paragraphsTo);
        const writer = await planOf(page, 'Together', 'Wall', 'Mud');
        await writer.mark(/1 Wall/);
        await writer.type('n', ...Array.from({ length: paragraphsTo }, (_, i) => [`begun${i} `, ...(i < paragraphsTo - 1 ? ['[Enter]'] : [])]).flat());
        await writer.saved();
        const writers = [writer];
        while (writers.length < windows) {
            const context = await browser.newContext({ storageState: { ...await page.context().storageState(), origins: [] }, viewport: { width: 1280, height: 800 } });
            const other = new Writer(await context.newPage());
            await other.page.goto(page.url());
            await other.mark(/1 Wall/);
            await other.type('n');
            await expect(noteBox(other.page)).toContainText('begun0');
            writers.push(other);
        }
        await Promise.all(writers.map((one) => unreliable(one.page, random)));
        const typed = Array.from({ length: paragraphsTo }, (_, i) => `begun${i}`);
        const end = Date.now() + LONG;
        await Promise.all(writers.map(async (one, w) => {
            for (let i = 0; Date.now() < end; i++) {
                const word = `w${w}n${i}`;
                typed.push(word);
                const what = random(10);
                if (what === 0 && paragraphsTo > 1) {
                    await one.type('[Control+End]', '[Enter]');
                } else if (what < 4 && paragraphsTo > 1) {
                    await one.type(random(2) ? '[ArrowUp]' : '[ArrowDown]', '[End]');
                } else if (what === 4) {
                    await one.type('[Home]');
                }
                // The end of a line may be amid a paragraph, and so the caret, before the next word.
                for (const sign of ` ${word} `) {
                    await one.page.keyboard.type(sign);
                    await one.page.waitForTimeout(random(60));
                }
                await one.page.waitForTimeout(random(5) ? random(300) : random(1500));
                if (what === 4) {
                    await one.type('[Control+End]');
                }
            }
        }));
        for (const one of writers) {
            await one.page.unrouteAll({ behavior: 'ignoreErrors' });
        }
        for (const one of writers) {
            await one.saved();
        }
        await expect(async () => {
            const [first, ...others] = await Promise.all(writers.map((one) => paragraphs(one.page)));
            others.forEach((other) => expect(other).toEqual(first));
        }).toPass({ timeout: 30_000 });
        const shown = await paragraphs(page);
        await page.reload();
        await writer.mark(/1 Wall/);
        await writer.type('n');
        await expect.poll(() => paragraphs(page)).toEqual(shown);
        const counts = new Map();
        wordsIn(shown.join(' ')).forEach((word) => counts.set(word, (counts.get(word) ?? 0) + 1));
        const wrong = typed.filter((word) => counts.get(word) !== 1).map((word) => `${word}: ${counts.get(word) ?? 0}`);
        expect([wrong, [...counts.keys()].filter((word) => !typed.includes(word))], `seed ${SEED}`).toEqual([[], []]);
        expect(writers.flatMap((one) => one.problems)).toEqual([]);
    });
}
