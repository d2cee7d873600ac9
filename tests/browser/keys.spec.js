import { expect } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { planOf, test } from './writer.js';

/**
 * Keys at random, in every view, on a slow machine with late answers. By hand for longer:
 * EMBREL_KEYS_FOR=1800 EMBREL_SEED=5 npx playwright test keys.spec
 */
const FOR = Number(process.env.EMBREL_KEYS_FOR ?? 0) * 1000;
const SEED = Number(process.env.EMBREL_SEED ?? 1);
const STEPS = 70;

const table = JSON.parse(readFileSync(new URL('../../resources/keys.json', import.meta.url), 'utf8'));
const keysOf = (...places) => table.filter(({ where }) => places.includes(where)).flatMap(({ keys }) => keys).map((key) => key.replace('Ctrl+', 'Control+')).filter((key) => !['Control+Shift+V', '§', '@', '?'].includes(key));
const PLACES = {
    Gather: keysOf('anywhere', 'gather-field', 'gather-idea', 'gather-place'),
    Outline: keysOf('anywhere', 'title', 'row', 'note'),
    Map: keysOf('anywhere', 'title', 'row', 'map', 'note'),
    Draft: keysOf('anywhere', 'note'),
    Sources: keysOf('anywhere'),
    'Looks like research': keysOf('anywhere', 'research'),
};
const TEXTS = ['Wall', 'mud and money', 'Under the wall', 'a', '7', 'tide ', 'See Pell 1994, p. 3', '“Resolved”', 'x', '12', ' ', 'Ä'];
const LINES = [
    'Why', '\tStorms', '\tFish', '\t“Resolved that the creek be stopped”', 'Before', '\tGrazing', '\t\tSamphire', '\tMoor, Mud, 1998',
    'Breach', '\tWall', 'After', '\thttps://tides.example/maps',
];

function chance(seed) {
    let state = seed * 7919;
    return (below) => {
        state = (state * 1103515245 + 12345) % 2147483648;
        return Math.floor((state / 2147483648) * below);
    };
}

const shown = async (writer) => {
    const { page } = writer;
    await page.setViewportSize({ width: 1280, height: 6000 });
    await writer.view('Outline');
    for (let i = 0; i < 4; i++) {
        await page.keyboard.press('Escape');
    }
    for (const name of ['The whole plan', 'Show all']) {
        const button = page.getByRole('navigation', { name: 'Way back' }).getByRole('button', { name });
        if (await button.isVisible()) {
            await button.click();
        }
    }
    const rows = page.getByRole('treeitem');
    if (await rows.count()) {
        await rows.first().locator('.n').click();
        await page.keyboard.press('0');
    }
    await writer.saved();
    return rows.evaluateAll((all) => all.map((row) => `${row.ariaLevel} ${row.ariaLabel} ${row.querySelector('.title').textContent}`));
};

async function run(page, seed, steps) {
    page.setDefaultTimeout(60_000);
    // The answers have chances of their own: so the same seed presses the same keys, however late they come.
    const [random, late] = [chance(seed), chance(seed + 1000)];
    const some = (list) => list[random(list.length)];
    console.log(`keys: seed ${seed}`);
    const writer = await planOf(page, `Keys ${seed}`, ...LINES);
    const address = page.url();
    // What a step that is just being taken back removes may be asked for, or written in: that is said, and the words are kept.
    // Made-up addresses lead nowhere, and what lies on the clipboard of the machine may be another person's.
    writer.expectRefused(/^422 POST .*\/source-list\/page$/, /^404 POST .*\/copies$/);
    await writer.mark(/1\.1 Storms/);
    await writer.type('n', 'Its note, with words', '[Escape]', '[Escape]', '[Control+k]', 'An idea', '[Enter]', 'Another', '[Enter]');
    await writer.saved();
    const done = [];
    const client = await page.context().newCDPSession(page);
    await client.send('Emulation.setCPUThrottlingRate', { rate: 3 });
    await page.route(/\/plans\/|plan-names/, async (route) => {
        await new Promise((after) => setTimeout(after, late(3) ? late(120) : late(900)));
        await route.continue().catch(() => {});
    });
    let view = 'Outline';
    for (let i = 0; i < steps; i++) {
        if (!page.url().startsWith(address)) {
            await page.goto(address);
            view = 'Outline';
        }
        const what = random(14);
        const keys = what === 4 ? ['Escape', 'Enter', 'Tab', 'ArrowDown', 'ArrowUp'] : PLACES[view];
        const step = what === 0 ? ['view', some(Object.keys(PLACES))] : what < 4 ? ['text', some(TEXTS)] : ['key', some(keys)];
        done.push(step.join(' '));
        if (step[0] === 'view') {
            for (let n = 0; n < 3 && await page.locator('dialog[open]').count(); n++) {
                await page.keyboard.press('Escape');
            }
            const isResearch = step[1] === 'Looks like research';
            if (isResearch && view !== 'Sources') {
                await page.getByRole('link', { name: 'Sources', exact: true }).click({ timeout: 5000 }).catch(() => {});
            }
            const link = isResearch ? page.getByRole('button', { name: /^Looks like research/ }) : page.getByRole('link', { name: step[1], exact: true }).first();
            if (await link.isVisible() && !(await page.locator('dialog[open]').count())) {
                await link.click({ timeout: 5000 }).then(() => { view = step[1]; }, () => {});
            }
        } else if (step[0] === 'text') {
            await page.keyboard.type(step[1]);
        } else {
            await page.keyboard.press(step[1]);
        }
    }
    await client.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    await page.unrouteAll({ behavior: 'wait' });
    try {
        await isKept(writer, address);
    } catch (error) {
        error.message = `seed ${seed}: ${done.join(' | ')}\n${error.message}`;
        throw error;
    }
}

/** After all that was pressed: nothing was refused, nothing threw, and what is shown is there after a reload. */
async function isKept(writer, address) {
    const { page } = writer;
    for (let n = 0; n < 6; n++) {
        await page.keyboard.press('Escape');
    }
    if (!page.url().startsWith(address)) {
        await page.goto(address);
    }
    await writer.saved();
    const before = await shown(writer);
    const refused = await page.locator('#refusals li').allTextContents();
    expect(refused.filter((one) => !one.includes('is no longer in this plan'))).toEqual([]);
    await page.goto(address);
    await writer.saved();
    expect(await shown(writer)).toEqual(before);
    expect(writer.problems).toEqual([]);
}

test('keys at random break nothing, and what is shown is what is kept', async ({ browser }) => {
    test.setTimeout(FOR + 300_000);
    const end = Date.now() + FOR;
    for (let seed = SEED; seed < SEED + 2 || Date.now() < end; seed++) {
        const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
        await run(await context.newPage(), seed, STEPS);
        await context.close();
    }
});
