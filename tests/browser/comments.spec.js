import { expect } from '@playwright/test';
import { another } from './people.js';
import { findings, gate, planOf, test } from './writer.js';

const noteBox = (page) => page.getByRole('textbox', { name: 'Note', exact: true });

/** Marks words in the draft as a reader does. */
async function markWords(page, words) {
    await page.locator('#draft .read').filter({ hasText: words }).first().evaluate((box, wanted) => {
        const walker = document.createTreeWalker(box, NodeFilter.SHOW_TEXT);
        for (let node = walker.nextNode(); node; node = walker.nextNode()) {
            const at = node.data.indexOf(wanted);
            if (at >= 0) {
                getSelection().setBaseAndExtent(node, at, node, at + wanted.length);
                return;
            }
        }
    }, words);
}

/** The words that are painted as spoken of. */
const painted = (page) => page.evaluate(() => ['said', 'said-now'].flatMap((name) => [...(CSS.highlights.get(name) ?? [])].map(String)));

async function written(page) {
    const writer = await planOf(page, 'Marsh', 'Wall', '  Clay', 'Tide');
    await writer.mark(/Clay/);
    await writer.type('n', 'Seven parishes paid. The minute book tells of it.');
    await writer.saved();
    await writer.type('[Escape]', '[Escape]');
    return writer;
}

test('a comment on words stays with them in the draft while they are written around, and says what they were', async ({ page, browser }) => {
    const writer = await written(page);
    const ondine = await another(browser, page, 'comments', 'Ondine Lark');
    await ondine.view('Draft');
    await expect(ondine.page.locator('#draft')).toContainText('The minute book tells of it.');
    await markWords(ondine.page, 'minute book');
    await ondine.type('[Alt+c]');
    await expect(ondine.page.getByLabel('Comments').locator('q')).toHaveText('minute book');
    await ondine.type('Which of the two?', '[Control+Enter]');
    await expect.poll(() => painted(ondine.page)).toEqual(['minute book']);
    expect(await findings(ondine.page)).toEqual([]);
    // The card stands beside the words.
    const card = ondine.page.getByRole('article', { name: /Ondine Lark on 1.1 Clay/ });
    const [at, section] = [await card.boundingBox(), await ondine.page.locator('#draft .read').filter({ hasText: 'minute book' }).boundingBox()];
    expect(Math.abs(at.y - section.y)).toBeLessThan(60);
    // Another writes before the words and within them.
    await writer.view('Draft');
    await page.getByRole('button', { name: 'Comments 1' }).click();
    await page.locator('#draft .read').filter({ hasText: 'minute book' }).click();
    await writer.type('[Control+Home]', 'In 1887 ');
    await writer.saved();
    await expect.poll(() => painted(page)).toEqual(['minute book']);
    await expect.poll(() => painted(ondine.page)).toEqual(['minute book']);
    await writer.type('[Control+a]', 'Nothing is known.');
    await writer.saved();
    await expect(card).toContainText('These words are in the text no more.');
    await expect(card.locator('q')).toHaveText('minute book');
    expect([...writer.problems, ...ondine.problems]).toEqual([]);
});

test('a suggestion is taken by one key as a change under both names, undone, or declined with a word', async ({ page, browser }) => {
    const writer = await written(page);
    const ondine = await another(browser, page, 'comments', 'Ondine Lark');
    await ondine.view('Draft');
    await markWords(ondine.page, 'minute book');
    await ondine.type('[Alt+c]');
    await ondine.page.getByRole('button', { name: 'other words' }).click();
    await ondine.page.getByLabel('The words as you would have them').fill('fair accounts');
    await ondine.page.getByRole('button', { name: 'Send' }).click();
    await expect(ondine.page.getByRole('article')).toContainText('fair accounts');
    await expect(ondine.page.getByRole('button', { name: 'Take it' })).toHaveCount(0);
    await writer.view('Draft');
    await page.getByRole('button', { name: 'Comments 1' }).click();
    await page.getByRole('article').focus();
    await writer.type('t');
    await expect(page.locator('#draft')).toContainText('The fair accounts tells of it.');
    await expect(ondine.page.locator('#draft')).toContainText('The fair accounts tells of it.');
    await expect(page.getByRole('banner').getByRole('button', { name: /^Undo: Took what Ondine Lark suggested/ })).toBeEnabled();
    await page.getByRole('banner').getByRole('button', { name: /^Undo/ }).click();
    await expect(page.locator('#draft')).toContainText('The minute book tells of it.');

    // Another title, declined.
    await ondine.view('Outline');
    await ondine.mark(/Tide/);
    await ondine.type('c');
    await ondine.page.getByRole('button', { name: 'another title' }).click();
    await ondine.page.getByLabel('The title as you would have it').fill('The tide');
    await ondine.page.getByRole('button', { name: 'Send' }).click();
    const card = page.getByRole('article', { name: /Ondine Lark on 2 Tide/ });
    await card.getByRole('button', { name: 'Decline' }).click();
    await writer.type('It has no article.');
    await page.getByRole('button', { name: 'Decline', exact: true }).last().click();
    await ondine.page.getByRole('combobox', { name: 'Which comments' }).selectOption('settled');
    await expect(ondine.page.getByRole('article', { name: /on 2 Tide/ })).toContainText('Declined by Robin Reed: It has no article.');
    // Another place, taken.
    await ondine.page.getByRole('combobox', { name: 'Which comments' }).selectOption('open');
    await ondine.mark(/Clay/);
    await ondine.type('c');
    await ondine.page.getByRole('button', { name: 'another place' }).click();
    await ondine.type('Tide');
    await ondine.page.getByRole('button', { name: /Behind/ }).click();
    await ondine.page.getByRole('button', { name: 'Send' }).click();
    await page.getByRole('article', { name: /on 1.1 Clay/ }).getByRole('button', { name: 'Take it' }).click();
    await ondine.expectOutline('1 Wall\n2 Tide\n3 Clay');
    expect([...writer.problems, ...ondine.problems]).toEqual([]);
});

test('one\'s own is changed and taken back; a file hangs on it; comments are chosen by whose they are; on a phone by touch', async ({ page, browser }) => {
    const writer = await written(page);
    const ondine = await another(browser, page, 'comments', 'Ondine Lark', { width: 390, height: 844 });
    await ondine.page.getByRole('button', { name: 'Tools' }).click();
    await ondine.page.getByRole('button', { name: /^Comments/ }).click();
    await ondine.page.getByRole('button', { name: 'Comment…' }).click();
    await ondine.page.getByLabel('A file or picture with it').setInputFiles({ name: 'page.txt', mimeType: 'text/plain', buffer: Buffer.from('A page of the book.') });
    await ondine.page.getByLabel('What you want to say').fill('See the page.');
    await ondine.page.getByRole('button', { name: 'Send' }).click();
    const own = ondine.page.getByRole('article');
    await expect(own).toContainText('page.txt');
    expect(await findings(ondine.page)).toEqual([]);
    await own.getByRole('button', { name: 'Change' }).click();
    await own.getByRole('textbox', { name: 'Comment' }).fill('See the second page.');
    await own.getByRole('button', { name: 'Save' }).click();
    await expect(own).toContainText('See the second page.');
    await expect(own).toContainText('changed');
    await page.getByRole('button', { name: 'Comments 1' }).click();
    await expect(page.getByRole('article')).toContainText('See the second page.');
    await page.getByRole('combobox', { name: 'Which comments' }).selectOption('mine');
    await expect(page.getByRole('article')).toHaveCount(0);
    await page.getByRole('combobox', { name: 'Which comments' }).selectOption('by Ondine Lark');
    await expect(page.getByRole('article')).toHaveCount(1);
    await own.getByRole('button', { name: 'Take back' }).click();
    await expect(page.getByRole('article')).toHaveCount(0);
    expect([...writer.problems, ...ondine.problems]).toEqual([]);
});

test('three people vote: each gives signs, counted when it is closed', async ({ page, browser }) => {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide', 'Mud');
    const jory = await another(browser, page, 'writes');
    const ondine = await another(browser, page, 'comments', 'Ondine Lark');
    await writer.inPlanMenu('Votes…');
    await votes(writer).getByLabel('What is asked').fill('Which should stay?');
    await votes(writer).getByLabel(/Signs for each person/).fill('2');
    await votes(writer).getByLabel(/In secret/).check();
    await votes(writer).getByRole('button', { name: 'Open the vote' }).click();
    await expect(votes(writer).getByRole('region', { name: 'Which should stay?' })).toBeVisible();
    expect(await findings(page)).toEqual([]);
    for (const [who, topic, signs] of [[jory, /2 Tide/, '2'], [ondine, /2 Tide/, '1'], [ondine, /3 Mud/, '1']]) {
        if (!await votes(who).isVisible()) {
            await who.inPlanMenu('Votes…');
        }
        await votes(who).getByLabel(topic).fill(signs);
        await who.type('[Tab]');
        await expect(votes(who)).toContainText(signs === '2' ? 'You have 0 of 2 signs left' : /You have [01] of 2 signs left/);
    }
    await expect(votes(ondine)).toContainText('You have 0 of 2 signs left');
    await expect(votes(writer)).toContainText('2 people voted; counted when it is closed');
    await votes(writer).getByRole('button', { name: 'Close the vote' }).click();
    await expect(votes(jory).getByRole('region', { name: 'Which should stay?' }).getByRole('listitem')).toHaveText([/2 Tide.*3/s, /3 Mud.*1/s, /1 Wall.*0/s]);
    // In the open it stands by result, while nobody gives.
    await votes(writer).getByLabel('What is asked').fill('And first?');
    await votes(writer).getByLabel(/Signs for each person/).fill('3');
    await votes(writer).getByRole('button', { name: 'Open the vote' }).click();
    const second = (who) => votes(who).getByRole('region', { name: 'And first?' });
    await expect(second(ondine).getByRole('listitem')).toHaveText([/1 Wall/, /2 Tide/, /3 Mud/]);
    await second(ondine).getByLabel(/3 Mud/).fill('3');
    await ondine.type('[Tab]');
    await expect(second(writer).getByRole('listitem')).toHaveText([/3 Mud.*3/s, /1 Wall.*0/s, /2 Tide.*0/s]);
    expect([...writer.problems, ...jory.problems, ...ondine.problems]).toEqual([]);
});

const votes = (who) => who.page.getByRole('dialog', { name: 'Votes' });

/** Two people before the same vote, in which each has four signs for two topics. */
async function voting(page, browser) {
    const writer = await planOf(page, 'Marsh', 'Wall', 'Tide');
    const jory = await another(browser, page, 'writes');
    await writer.inPlanMenu('Votes…');
    await votes(writer).getByLabel('What is asked').fill('Which first?');
    await votes(writer).getByLabel(/Signs for each person/).fill('4');
    await votes(writer).getByRole('button', { name: 'Open the vote' }).click();
    await jory.inPlanMenu('Votes…');
    for (const who of [writer, jory]) {
        await expect(votes(who).getByRole('region', { name: 'Which first?' })).toBeVisible();
    }
    return [writer, jory];
}

test('signs that are given faster than they are answered all count, and what is typed stays when others vote', async ({ page, browser }) => {
    const [writer, jory] = await voting(page, browser);
    await page.route('**/votes/*', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 1500));
        await route.continue().catch(() => {});
    });
    await votes(writer).getByLabel(/1 Wall/).fill('1');
    await writer.type('[Tab]');
    await votes(writer).getByLabel(/2 Tide/).fill('3');
    await writer.type('[Tab]');
    await expect(votes(writer)).toContainText('You have 0 of 4 signs left');
    await page.unroute('**/votes/*');
    await expect(votes(jory)).toContainText('1 person voted');
    // Jory is at a field while the writer gives otherwise.
    await votes(jory).getByLabel(/1 Wall/).fill('2');
    await votes(writer).getByLabel(/2 Tide/).fill('2');
    await writer.type('[Tab]');
    await expect(votes(jory).getByRole('listitem').filter({ hasText: 'Tide' })).toContainText('2');
    await expect(votes(jory).getByLabel(/1 Wall/)).toHaveValue('2');
    await jory.type('[Tab]');
    await expect(votes(jory)).toContainText('You have 2 of 4 signs left');
    expect([...writer.problems, ...jory.problems]).toEqual([]);
});

test('what was given while older news was on its way stays given', async ({ page, browser }) => {
    const [writer, jory] = await voting(page, browser);
    const [asked, older, given] = [gate(), gate(), gate()];
    // The answer is as things stand now, and comes later.
    await page.route('**/votes', async (route) => {
        const response = await route.fetch();
        asked.open();
        await older.until;
        await route.fulfill({ response });
    }, { times: 1 });
    await page.route('**/votes/*', async (route) => {
        await given.until;
        await route.continue();
    });
    await votes(jory).getByLabel(/2 Tide/).fill('1');
    await jory.type('[Tab]');
    await asked.until;
    await votes(writer).getByLabel(/1 Wall/).fill('1');
    await writer.type('[Tab]');
    older.open();
    await expect(votes(writer)).toContainText('1 person voted. You have 4 of 4');
    await votes(writer).getByLabel(/2 Tide/).fill('3');
    await writer.type('[Tab]');
    given.open();
    await expect(votes(jory).getByRole('listitem')).toContainText(['2 Tide4', '1 Wall1']);
    await expect(votes(writer)).toContainText('You have 0 of 4 signs left');
    expect([...writer.problems, ...jory.problems]).toEqual([]);
});

test('the note of a topic shows its comments beside it, and marks the words', async ({ page, browser }) => {
    const writer = await written(page);
    const ondine = await another(browser, page, 'comments', 'Ondine Lark');
    await ondine.mark(/Clay/);
    await ondine.type('n');
    await expect(noteBox(ondine.page)).toContainText('The minute book');
    await noteBox(ondine.page).evaluate((box) => {
        const text = box.querySelector('p').firstChild;
        getSelection().setBaseAndExtent(text, 6, text, 14);
    });
    await ondine.type('[Alt+c]');
    await expect(ondine.page.getByLabel('Comments').locator('q')).toHaveText('parishes');
    await ondine.type('All of them?', '[Control+Enter]');
    await expect.poll(() => painted(ondine.page)).toEqual(['parishes']);
    await page.getByRole('button', { name: 'Comments 1' }).click();
    await page.getByRole('button', { name: '1.1 Clay' }).click();
    await expect(noteBox(page)).toContainText('parishes');
    await expect.poll(() => painted(page)).toEqual(['parishes']);
    expect([...writer.problems, ...ondine.problems]).toEqual([]);
});
