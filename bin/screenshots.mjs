import { launched } from './browser.mjs';
import { readFileSync } from 'node:fs';

const [, , address, folder] = process.argv;
const browser = await launched();

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

/** Gather with an idea half typed and one marked: the ideas are those of the sample. */
async function gather(one) {
    await one.getByRole('link', { name: 'Gather' }).click();
    await one.getByRole('option').nth(1).click();
    await one.evaluate(() => document.fonts.ready);
}

/** The map of a plan in an arrangement, with the marked topic's note where one is wanted. */
async function map(one, title, arrangement, note = false) {
    await one.goto(`${address}/plans`);
    await one.getByRole('link', { name: title }).click();
    await one.waitForURL('**/plans/*');
    await one.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Map' }).click();
    await one.getByRole('button', { name: arrangement }).click();
    await one.waitForTimeout(900);
    if (note) {
        await one.locator('.leaf', { hasText: 'Modelling the first tides' }).locator('.title').click();
        await one.keyboard.press('n');
        await one.waitForTimeout(900);
        await one.locator('.page').evaluate((box) => { box.scrollTop = 0; });
    }
    await one.evaluate(() => document.fonts.ready);
}

/** The page of an account that is made for one picture. */
async function account() {
    const one = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await one.goto(`${address}/sign-up`);
    await one.getByLabel('Your name').fill('Ada Marsh');
    await one.getByLabel('E-mail address').fill(`ada-${Date.now()}@example.org`);
    await one.getByLabel('Password').fill('a long secret');
    await one.getByRole('main').getByRole('button', { name: 'Sign up' }).click();
    await one.getByRole('link', { name: 'Follow the link' }).click();
    await one.getByRole('button', { name: 'Open your account' }).click();
    return one;
}

/** The report before an audience. */
async function present(one) {
    await one.getByRole('link', { name: 'Bringing Back the Tide' }).click();
    await one.waitForURL('**/plans/*');
    await one.goto(`${one.url()}/present`);
    for (let i = 0; i < 10; i++) {
        await one.keyboard.press('PageDown');
    }
    await one.waitForTimeout(600);
    await one.evaluate(() => document.fonts.ready);
    return one;
}

/** What looks like research in a small plan. */
async function research() {
    const one = await account();
    await one.goto(`${address}/intake`);
    await one.getByLabel(/paste text/).fill(['Why the wall was built', '\tThe parishes and their debt', '\t\tPell, Tides and Walls, 1994, p. 61', '\t\t“Resolved that the creek be stopped before Michaelmas” (Pell 1994, p. 63)', '\tLabour and wages', '\t\tWard, The Creek Book, c. 1887', '\t\t“No claim be heard of any man who lost his cutting by it”', 'What the wall did', '\tThe creek mouth', '\t\thttps://tidalnotes.example/silt', '\t\thttps://harrow.example/creek', '\tBirds', '\t\tOakes, ch. 3', '\t\thttps://birds.example/count'].join('\n'));
    await one.getByLabel('Title of the plan').fill('The Wall at Harrow');
    await one.getByRole('button', { name: 'Take it as a new plan' }).click();
    await one.getByRole('link', { name: 'Sources', exact: true }).click();
    await one.getByRole('button', { name: /^Looks like research/ }).click();
    await one.getByRole('button', { name: 'Look up 3 addresses' }).click();
    await one.getByRole('option', { name: /birds/ }).getByText('Ames 2022').waitFor();
    await one.getByRole('listbox').focus();
    await one.keyboard.press('ArrowDown');
    await one.evaluate(() => document.fonts.ready);
    return one;
}

/** A document before it is taken in. */
async function intake(one) {
    const document = `<title>Cracked bells</title><p>Notes for the workshop day, as the foreman told them.</p>
<h1>1. Why bells crack</h1><p>Most were never struck wrong. They were <b>hung</b> wrong, and rang against it for a century.</p>
<h2>1.1 Frost</h2><p>Water in a casting flaw freezes, and the flaw grows.<sup>1</sup></p><h2>1.2 The clapper</h2><ul><li>too heavy</li><li>worn flat, so that it strikes twice</li></ul>
<h1>2. How they are mended</h1><h2>2.1 Welding</h2><p>In a pit of sand, heated for two days.</p><h4>Who still can</h4><p>Two workshops, and one of them only small bells.</p><h2>2.2 Melting down</h2>
<table><tr><th>Bell</th><th>Weight</th></tr><tr><td>Tenor</td><td>1.2 t</td></tr></table><h1>3. What is lost</h1><p>The voice of the parish.</p>`;
    await one.goto(`${address}/intake`);
    await one.getByLabel('File', { exact: true }).setInputFiles({ name: 'Cracked bells.html', mimeType: 'text/html', buffer: Buffer.from(document) });
    await one.getByLabel('Take typed numbers off the titles').check();
    await one.getByLabel('The tree that it makes').getByText('Why bells crack', { exact: true }).waitFor();
    await one.waitForTimeout(700);
    return one;
}

/** The report as an editor sent it back: retitled, rewritten, with a section more and one less. */
async function wayBack(one) {
    await one.getByRole('radio', { name: 'Web page html' }).check({ force: true });
    const download = one.waitForEvent('download');
    await one.getByRole('link', { name: 'Download the draft' }).click();
    const html = readFileSync(await (await download).path(), 'utf8');
    const edited = html
        .replace(/(<h3[^>]*>(?:(?!<\/h3>).)*)A nursery for bass and mullet/s, '$1A nursery for young fish')
        .replace('what that would cost, who would lose by it', 'what that would cost us and the parishes, who would gain by it and who would lose')
        .replace(/<h3[^>]*>(?:(?!<h[1-6]).)*?Carbon in the mud(?:(?!<h[1-6]).)*/s, '')
        .replace(/(?=<h2[^>]*>(?:(?!<\/h2>).)*Ten years of watching)/s, '<h3>The harbour master</h3><p>He was not asked, and should be.</p>');
    await one.getByRole('link', { name: 'take its changes in' }).click();
    await one.getByLabel('File', { exact: true }).setInputFiles({ name: 'Bringing Back the Tide, from the editor.html', mimeType: 'text/html', buffer: Buffer.from(edited) });
    await one.getByRole('list', { name: 'Differences' }).waitFor();
    await one.waitForTimeout(500);
    return one;
}

/** What is said beside the text, one of it in hand. */
async function comments(one) {
    await one.getByRole('button', { name: /^Comments/ }).filter({ visible: true }).click();
    await one.locator('#draft [data-topic]', { hasText: 'The 1887 embankment' }).last().scrollIntoViewIfNeeded();
    await one.locator('#draft').evaluate((box) => { box.scrollTop += 260; });
    await one.waitForTimeout(900);
    await one.getByRole('article', { name: /Ola Lind on 2.2/ }).focus();
}

/** Who may see the report, with somebody who has not come yet and a link. */
async function share(one) {
    await one.getByRole('button', { name: 'Share' }).click();
    const dialog = one.getByRole('dialog', { name: /^Who may see/ });
    await dialog.getByLabel('E-mail address').fill('sefa@harrow.example');
    await dialog.getByRole('button', { name: 'Invite' }).click();
    await dialog.getByText('has not come yet').waitFor();
    await dialog.locator('.letter-link').evaluate((box) => { box.hidden = true; });
    const make = dialog.getByRole('button', { name: 'Make a link' });
    await (await make.isVisible() ? make : dialog.getByRole('button', { name: 'New address' })).click();
    await dialog.getByLabel('Address of the link').waitFor();
    await one.getByRole('status').filter({ hasText: 'A letter' }).evaluate((toast) => toast.remove()).catch(() => {});
}

/** The history of the report, amid its steps. */
async function film(one) {
    await one.getByRole('link', { name: 'Bringing Back the Tide' }).click();
    await one.waitForURL('**/plans/*');
    await one.goto(`${one.url()}/film`);
    await one.getByText(/of 10/).waitFor();
    await one.locator('#film').focus();
    for (let i = 0; i < 2; i++) {
        await one.keyboard.press('ArrowLeft');
        await one.waitForTimeout(400);
    }
    await one.evaluate(() => document.fonts.ready);
    return one;
}

/** A first draft of a section of the essay, beside its text. */
async function firstDraft(one) {
    await one.getByRole('link', { name: 'Should Our Town Keep Its Night Bus?' }).click();
    await one.waitForURL('**/plans/*');
    await one.getByRole('link', { name: 'Draft', exact: true }).click();
    await one.getByText('Nothing written here yet').first().waitFor();
    await one.waitForTimeout(900);
    await one.locator('[data-act=sketch]').first().evaluate((button) => button.click());
    await one.getByRole('region', { name: 'First draft' }).waitFor();
    await one.evaluate(() => document.fonts.ready);
    await one.waitForTimeout(500);
}

const shot = (one, name) => one.screenshot({ path: `${folder}/${name}.png` });

const main = await page();
await main.evaluate(() => document.activeElement.blur());
await shot(main, 'plans');
await openReport(main, true);
await shot(main, 'outline');
await main.keyboard.press('Escape');
await main.keyboard.press('Escape');
await main.getByRole('button', { name: 'Close the note' }).click();
await gather(main);
await shot(main, 'gather');
for (const [title, arrangement, name, note] of [['A Year at the Bell Foundry', 'Round', 'map-round', false], ['Bringing Back the Tide', 'Spine', 'map', true]]) {
    await map(main, title, arrangement, note);
    await shot(main, name);
    await main.getByRole('button', { name: 'Close the note' }).click({ timeout: 500 }).catch(() => {});
}
await main.getByRole('button', { name: 'Spine' }).click();
await main.waitForTimeout(500);
for (const [view, name] of [['Draft', 'draft'], ['Check', 'check'], ['Sources', 'sources']]) {
    await main.getByRole('link', { name: view, exact: true }).click();
    await main.waitForTimeout(900);
    await main.locator('.open-source').nth(2).click({ timeout: 900 }).catch(() => {});
    if (view === 'Draft') {
        await comments(main);
    }
    await main.waitForTimeout(500);
    await shot(main, name);
    await main.getByRole('button', { name: 'Close the comments' }).click({ timeout: 300 }).catch(() => {});
}
await main.getByRole('link', { name: 'Outline', exact: true }).click();
await share(main);
await shot(main, 'share');
await main.getByRole('button', { name: 'Close', exact: true }).click();
await main.getByRole('toolbar').getByRole('button', { name: 'Schedule' }).click();
await main.waitForTimeout(900);
await shot(main, 'schedule');
await main.getByRole('link', { name: 'Hand over', exact: true }).click();
await main.getByRole('radio', { name: 'Word processor docx' }).check({ force: true });
await main.getByRole('group', { name: 'Page 2' }).waitFor();
await main.waitForTimeout(500);
await shot(main, 'hand-over');
await shot(await wayBack(main), 'way-back');
await shot(await intake(main), 'intake');
await shot(await present(await page()), 'present');
await shot(await research(), 'sorting-out');
await shot(await film(await page()), 'film');
const guest = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await guest.goto(address);
await guest.evaluate(() => document.fonts.ready);
await shot(guest, 'welcome');
const dark = await page({ colorScheme: 'dark' });
await firstDraft(dark);
await shot(dark, 'first-draft');
const phone = await page({ viewport: { width: 390, height: 844 }, hasTouch: true });
await openReport(phone, false);
await shot(phone, 'outline-phone');
await browser.close();
