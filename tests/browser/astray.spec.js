import { expect } from '@playwright/test';
import { gate, planOf, test, Writer } from './writer.js';

/**
 * Words that are meant for one place never act in another: while the server is away, slow or
 * failing, after every key that opens a place to write.
 */

const SENTENCES = ['Under the wall', 'Just one thought', 'Walls, jetties, locks', 'Do quays flood', 'Let us join', '0123 Delete'];

const noteBox = (page) => page.getByRole('textbox', { name: 'Note', exact: true });

/** The ways in which an answer can be wanting. */
const TROUBLES = {
    'away': (page) => page.context().setOffline(true),
    'late': (page) => page.route(
        /\/plans\/|plan-names/,
        async (route) => { await new Promise((after) => setTimeout(after, 1500)); await route.continue().catch(() => {}); },
    ),
    'failing': (page) => page.route(/\/plans\/|plan-names/, (route) => route.fulfill({ status: 500, contentType: 'application/json', body: '{}' })),
    'silent': (page) => page.route(/\/plans\/|plan-names/, () => {}),
};

const over = async (page) => {
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await page.context().setOffline(false);
};

async function noted(page) {
    const writer = await planOf(page, 'Astray', 'A', '\tA1', '\tA2', 'B', '\tB1', 'C');
    await writer.mark(/1\.1 A1/);
    await writer.type('n', 'Kept', '[Escape]', '[Escape]');
    await writer.saved();
    await page.getByRole('button', { name: 'Close the note' }).click();
    return writer;
}

const TREE = '1 A\n  1.1 A1\n  1.2 A2\n2 B\n  2.1 B1\n3 C';

for (const [trouble, begin] of Object.entries(TROUBLES)) {
    test(`a note that is asked for while the server is ${trouble} takes what is typed, and no topic changes`, async ({ page }) => {
        const writer = await noted(page);
        if (trouble === 'failing') {
            writer.expectRefused(/^500 /);
        }
        await page.reload();
        await writer.mark(/1\.1 A1/);
        await begin(page);
        for (const [i, sentence] of SENTENCES.entries()) {
            await writer.type('n', `${i ? ' ' : ''}${sentence}.`, '[Escape]', '[Escape]');
        }
        await over(page);
        await page.waitForTimeout(200);
        await page.evaluate(() => dispatchEvent(new Event('online')));
        if (trouble === 'silent') {
            await page.reload();
        }
        await writer.saved();
        await writer.expectOutline(TREE);
        await page.reload();
        await writer.expectOutline(TREE);
        await writer.mark(/1\.1 A1/);
        await writer.type('n');
        await expect(noteBox(page)).toContainText('Kept');
        // Whether it runs on in the last paragraph or stands below it hangs on how late the note came.
        await expect.poll(() => noteBox(page).evaluate((box) => box.textContent.replace('Kept', ''))).toBe(SENTENCES.map((one) => `${one}.`).join(' '));
    });
}

/** Every key and control that opens a place to write, and where what is typed then stands. */
const DOORS = [
    ['the title', async (writer) => writer.type('[F2]'), (page) => page.getByRole('textbox', { name: 'Title', exact: true }), 'Under a wall just now', 'A2'],
    [
        'a new topic', async (writer) => writer.page.getByRole('button', { name: 'New topic' }).click(),
        (page) => page.getByRole('textbox', { name: 'Title', exact: true }),
    ],
    ['the find field', async (writer) => writer.type('[Control+f]'), (page) => page.getByRole('searchbox', { name: 'Find' })],
    ['catching an idea', async (writer) => writer.type('[Control+k]'), (page) => page.getByRole('textbox', { name: 'Catch an idea' })],
    ['moving to a place', async (writer) => writer.type('m'), (page) => page.getByRole('dialog', { name: 'Move to' }).getByRole('textbox')],
    ['relating', async (writer) => writer.type('r'), (page) => page.getByRole('dialog').getByRole('textbox').first()],
    ['a target', async (writer) => writer.type('t'), (page) => page.getByRole('spinbutton').first(), '120'],
    [
        'another plan', async (writer) => writer.inMenu(/1\.2 A2/, /Another plan/),
        (page) => page.getByRole('dialog', { name: 'To another plan' }).getByRole('textbox'),
    ],
    ['Gather', async (writer) => writer.view('Gather'), (page) => page.getByRole('textbox', { name: 'An idea' })],
    [
        'the sources', async (writer) => writer.page.getByRole('link', { name: 'Sources' }).click(),
        (page) => page.getByRole('textbox', { name: 'Add a source' }),
    ],
];

for (const trouble of ['away', 'late', 'silent']) {
    test(`every place to write takes the very next key while the server is ${trouble}`, async ({ page }) => {
        const writer = await noted(page);
        const address = page.url();
        for (const [name, open, field, text = 'Under a wall just now', was = ''] of DOORS) {
            await test.step(name, async () => {
                await page.goto(address);
                await writer.mark(/1\.2 A2/);
                await begin(trouble, page);
                await open(writer);
                await page.keyboard.type(text);
                await expect(field(page)).toHaveValue(new RegExp(text));
                await over(page);
                // What was typed here is not what this is about: it goes.
                await field(page).fill(was).catch(() => {});
                await writer.type('[Escape]');
            });
        }
        await page.goto(address);
        await writer.expectOutline(TREE);
    });
}

const begin = (trouble, page) => TROUBLES[trouble](page);

test('the map takes the next keys before its picture has come', async ({ page }) => {
    const writer = await noted(page);
    await writer.mark(/1\.1 A1/);
    await TROUBLES.late(page);
    await writer.view('Map');
    await writer.type('n', ' under the wall');
    await over(page);
    await writer.saved();
    await writer.view('Outline');
    await writer.expectOutline(TREE);
    await expect(noteBox(page)).toContainText(/Kept ?under the wall/);
});

test('a title goes on at the seam when two are joined, whatever the server does', async ({ page }) => {
    const writer = await noted(page);
    await writer.mark(/3 C/);
    await TROUBLES.late(page);
    await writer.type('[F2]', '[Home]', '[Backspace]', ' and more');
    await over(page);
    await writer.type('[Escape]');
    await writer.saved();
    await writer.expectOutline('1 A\n  1.1 A1\n  1.2 A2\n2 B\n  2.1 B1 and more C');
});

// ---- Fields that make something

test('what stands in a field that makes something is made when the field is left', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('Left');
    await page.getByRole('textbox', { name: 'First topic' }).fill('One');
    await page.getByRole('button', { name: 'New topic' }).click();
    await writer.type('Two');
    await writer.expectOutline('1 One\n2 Two');
    await page.getByRole('textbox', { name: 'Catch an idea' }).fill('An idea');
    await writer.view('Gather');
    await writer.expectIdeas('An idea');
    await writer.type('Another');
    await writer.view('Outline');
    await expect.poll(() => writer.looseIdeas()).toEqual(['An idea', 'Another']);
    await page.getByRole('textbox', { name: 'Catch an idea' }).fill('The last');
    await page.goto('/plans');
    await page.goBack();
    await expect.poll(() => writer.looseIdeas()).toEqual(['An idea', 'Another', 'The last']);
});

for (const leave of ['a view', 'the page']) {
    test(`the first topic is not lost when one goes to ${leave} without Enter`, async ({ page }) => {
        const writer = new Writer(page);
        await writer.signUp();
        await writer.startPlan('First');
        await page.getByRole('textbox', { name: 'First topic' }).fill('The only one');
        if (leave === 'a view') {
            await writer.view('Gather');
            await writer.view('Outline');
        } else {
            const address = page.url();
            await page.goto('/plans');
            await page.goto(address);
        }
        await writer.expectOutline('1 The only one');
    });
}

test('several lines pasted into an empty plan are several topics; an empty map has the caret in its field', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    const writer = new Writer(page);
    await writer.signUp();
    await writer.startPlan('Pasted');
    await page.evaluate(() => navigator.clipboard.writeText('One\n\tOne and a half\nTwo'));
    await page.getByRole('textbox', { name: 'First topic' }).focus();
    await writer.type('[Control+v]');
    await writer.expectOutline('1 One\n  1.1 One and a half\n2 Two');
    await page.goto('/plans');
    await writer.startPlan('Empty map');
    await writer.view('Map');
    await writer.type('Typed at once', '[Enter]', '[Escape]');
    await writer.saved();
    await writer.view('Outline');
    await writer.expectOutline('1 Typed at once');
});

test('an empty topic goes by itself when it is left, and undo goes past it', async ({ page }) => {
    const writer = await planOf(page, 'Empty ones', 'A', 'B');
    await writer.mark(/2 B/);
    await writer.type('[Enter]', '[End]', '[Enter]', 'C', '[Enter]');
    await writer.expectOutline('1 A\n2 B\n3 C\n4');
    await writer.saved();
    await writer.type('[Escape]');
    await writer.expectOutline('1 A\n2 B\n3 C');
    await expect(writer.row(/3 C/)).toHaveAttribute('aria-selected', 'true');
    await writer.saved();
    await page.reload();
    await writer.expectOutline('1 A\n2 B\n3 C');
    await writer.type('[Control+z]');
    await writer.expectOutline('1 A\n2 B\n3 Untitled');
    // One that has something on it stays.
    await writer.mark(/2 B/);
    await page.getByRole('button', { name: 'New topic' }).click();
    await writer.type('[Control+Enter]', 'A note without a title', '[Escape]', '[Escape]');
    await writer.mark(/1 A/);
    await writer.saved();
    await page.reload();
    await expect(writer.row(/Untitled topic/).first()).toBeVisible();
    await page.getByRole('button', { name: 'New topic' }).click();
    await writer.view('Map');
    await writer.view('Outline');
    await expect(page.getByRole('treeitem')).toHaveCount(4);
});

test('a quick start throws nothing: a title, Ctrl Enter at once, and into its note, in Outline and on the map', async ({ page }) => {
    const writer = new Writer(page);
    await writer.signUp();
    for (const view of ['Outline', 'Map']) {
        await page.goto('/plans');
        await writer.startPlan(`Quick ${view}`);
        await writer.view(view);
        await page.getByRole('textbox', { name: 'First topic' }).fill('Wall');
        await writer.type('[Enter]', 'Mud', '[Control+Enter]', 'It is soft.');
        await expect(noteBox(page)).toHaveText('It is soft.');
        await writer.saved();
        await expect(page.locator('#note-words')).toHaveText('3 words');
    }
    expect(writer.problems).toEqual([]);
});

test('a page that is opened by a link shows what was written last, and folded last, however late both arrive', async ({ page }) => {
    const writer = await planOf(page, 'Leaving', 'A', '\tA1', '\tA2', 'B', '\tB1');
    await page.route(/\/(operations|folds|map)$/, async (route) => {
        if (route.request().method() !== 'GET') {
            await new Promise((after) => setTimeout(after, 1200));
        }
        await route.continue().catch(() => {});
    });
    await writer.mark(/1\.1 A1$/);
    await writer.type('[Enter]', '[End]', ' by the quay');
    await page.getByRole('link', { name: 'Hand over' }).click();
    await expect(page).toHaveURL(/hand-over$/);
    await expect(page.getByRole('main')).toContainText('A1 by the quay');
    await page.goBack();
    await expect(page).toHaveURL(/plans\/\w+$/);
    await writer.mark(/2 B$/);
    await writer.view('Map');
    await writer.type('[Space]');
    await writer.expectMap('1 A\n  1.1 A1 by the quay\n  1.2 A2\n2 B 1 inside *');
    await page.getByRole('button', { name: 'How the map is drawn' }).click();
    await page.getByRole('link', { name: 'Hand over this map' }).click();
    await expect(page.getByRole('img', { name: 'The map of Leaving' })).toBeVisible();
    const picture = await page.request.get(await page.getByRole('img', { name: 'The map of Leaving' }).getAttribute('src'));
    expect(/A map of \d+ topics/.exec(await picture.text())[0]).toBe('A map of 4 topics');
});

test('what was folded stays so when the page is loaded again before the server knows it', async ({ page }) => {
    const writer = await planOf(page, 'Folded', 'A', '\tA1', 'B', '\tB1');
    await page.route(/\/folds$/, () => {});
    await writer.inBar('Level 1');
    await writer.expectOutline('1 A\n2 B');
    await page.reload();
    await writer.expectOutline('1 A\n2 B');
    // What was held back may go on as soon as it is not held back any more.
    const arrived = page.waitForResponse((answer) => answer.url().endsWith('/folds'));
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await page.reload();
    expect((await arrived).status()).toBe(204);
    await page.evaluate(() => localStorage.clear());
    await page.reload();
    await writer.expectOutline('1 A\n2 B');
});

for (const [what, hold] of [
    ['editor', (page, until) => page.route(/\/build\/assets\/editor-/, async (route) => { await until; await route.continue().catch(() => {}); })],
    ['text', (page, until) => page.route(/\/note$/, async (route) => { await until; await route.continue().catch(() => {}); })],
]) {
    test(`words that were written before the ${what} of the note had come are asked about when their topic is dissolved`, async ({ page }) => {
        const writer = await planOf(page, 'Asked about', 'A', '\tA1', 'B');
        await writer.saved();
        const { until, open: come } = gate();
        await hold(page, until);
        await page.reload();
        await writer.mark(/1 A$/);
        await writer.type('n', 'Words', '[Escape]', '[Escape]', 'u');
        await page.getByRole('dialog', { name: 'Let the note go too?' }).getByRole('button', { name: 'Cancel' }).click();
        come();
        await writer.saved();
        await expect(noteBox(page)).toHaveText('Words');
        await writer.expectOutline('1 A\n  1.1 A1\n2 B');
        expect(writer.problems).toEqual([]);
    });
}
