import { execFileSync } from 'node:child_process';
import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

/** Sixty topics as they are gathered: sections, and between them quotations, references and addresses. */
const GATHERED = [
    'Why the wall was built',
    '  The parishes and their debt',
    '    Pell, Tides and Walls: A History of the Harrow Embankment, 1994, p. 61',
    '    “Resolved that the creek be stopped before Michaelmas” (Pell 1994, p. 63)',
    '    https://harrow.example/creek',
    '  Labour and wages',
    '    Ward, The Creek Book, 1887',
    '    “No claim be heard of any man who lost his cutting by it” (Ward 1887, p. 12)',
    '    What a day\'s cutting paid',
    '    Who was left out',
    '  The line of the wall',
    '    Cost before strength',
    '    Moor, A. (1998). Mud and money. Creekside Press.',
    '    “The wall was drawn by the clerk and not by the tide”',
    'What the wall did',
    '  Grazing behind it',
    '    Forty acres in three years',
    '    Pell 1994, ch. 3',
    '  The creek mouth',
    '    Silt in the first winter',
    '    https://tidalnotes.example/silt',
    '    “A third of its old width by the tenth year” (Moor 1998, p. 40)',
    '  Birds and plants',
    '    Oyster layings lost',
    '    https://birds.example/count',
    '    https://plants.example/samphire',
    '    Samphire cutters',
    'Breaching it',
    '  Where to breach',
    '    Three places',
    '    https://shore.example/options',
    '    Harrow Parish Council, Options for the Creek, 2019',
    '  The first tides',
    '    What the model says',
    '    What the model leaves out',
    '    “It will find its own way in” ',
    '  The mud',
    '    How fast it rises',
    '    Brent, T., & Moor, A. (1998). How fast will the mud rise? Tidal Notes, 3(2), 121–135.',
    'Who gains',
    '  The village',
    '    Boats',
    '    Cellars',
    '  The farm',
    '    Compensation',
    '    https://town.example/night-bus',
    '  The walkers',
    '    https://walks.example/wall',
    '    A new path',
    'Ten years on',
    '  Watching',
    '    Levels',
    '    Counts',
    '    Photographs',
    '  Paying',
    '    Whose budget',
    '    “Nobody plans for the tenth year” (Oakes 2004, p. 9)',
    '    Oakes, Ten Winters, 2004',
    '    A fund of its own',
    '    A promise in writing',
];

/** Styles and words of the paragraphs of a document, and the words of its footnotes. */
function read(file) {
    const part = (name) => execFileSync('unzip', ['-p', file, name], { encoding: 'utf8' });
    const words = (xml) => [...xml.matchAll(/<w:t [^>]*>([^<]*)<\/w:t>/g)].map((m) => m[1]).join('').replaceAll('&amp;', '&');
    return {
        paragraphs: [...part('word/document.xml').matchAll(/<w:p>.*?<\/w:p>/g)].map(([p]) => ({ style: /w:pStyle w:val="([^"]+)"/.exec(p)?.[1] ?? '', text: words(p) })),
        footnotes: [...part('word/footnotes.xml').matchAll(/<w:footnote w:id="\d+">.*?<\/w:footnote>/g)].map(([note]) => words(note).trim()),
    };
}

async function handOver(page, info, name) {
    await page.getByRole('link', { name: 'Hand over', exact: true }).click();
    await expect(page.getByRole('link', { name: 'Download the draft' })).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Download the draft' }).click();
    const file = info.outputPath(name);
    await (await download).saveAs(file);
    return read(file);
}

test('sixty gathered topics are sorted, cited, reordered and handed over in two styles', async ({ page }, info) => {
    const writer = await planOf(page, 'The Wall at Harrow', ...GATHERED);
    let strokes = 0;
    const press = async (...keys) => {
        for (const key of keys) {
            await page.keyboard.press(key);
            strokes++;
        }
    };
    let asked = 0;
    page.on('request', (request) => { asked += request.url().endsWith('/source-list/page') ? 1 : 0; });
    await writer.toResearch();
    strokes++;
    const guesses = page.getByRole('listbox', { name: 'What looks like research' });
    await expect(guesses).toBeFocused();
    await expect(guesses.getByRole('option')).toHaveCount(20);
    // No page is asked for until somebody says so.
    expect(asked).toBe(0);
    await page.getByRole('button', { name: /^Look up \d+ addresses$/ }).click();
    await guesses.focus();
    strokes++;
    await expect(guesses.getByRole('option', { name: /tidalnotes/ })).toContainText('Brent and Moor 2018');
    expect(asked).toBeGreaterThan(1);
    expect(await findings(page)).toEqual([]);
    await press('ArrowDown', 'ArrowDown', 'a', 'Enter');
    await expect(page.getByRole('region', { name: 'Sorted out' }).getByRole('listitem')).toHaveCount(20);
    // The one that was made an aside is undone alone, and made a source after all.
    await page.getByRole('button', { name: 'Undo: https://harrow.example/creek' }).click();
    strokes++;
    await expect(guesses.getByRole('option')).toHaveCount(1);
    await expect(guesses.getByRole('option')).toContainText('Harrow Parish Council 2024');
    await press('s', 'Enter');
    await expect(guesses).toBeHidden();
    expect(strokes).toBeLessThan(25);

    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Outline' }).click();
    await expect(page.getByRole('treeitem', { name: /Labour and wages/ })).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /https|“|1994|1887/ })).toHaveCount(0);
    await page.getByRole('link', { name: 'Sources', exact: true }).click();
    await expect(page.getByRole('list', { name: 'Sources' }).getByRole('listitem').first()).toBeVisible();
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('Ward. (1887). The creek book.');
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Outline' }).click();

    // Five sources are cited in a note of one's own.
    await writer.mark(/Silt in the first winter/);
    await writer.type('[n]');
    await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toBeFocused();
    await writer.type('The mouth closed ');
    for (const [letters, pages] of [['tides', '61-63'], ['creek book', '12'], ['money', '40'], ['options', ''], ['winter count', '']]) {
        await writer.type('@');
        await expect(page.getByLabel(/Letters of the author/)).toBeFocused();
        await writer.type(letters, '[Enter]', pages, '[Enter]');
        await expect(page.getByRole('dialog', { name: 'Cite a source' })).toBeHidden();
        await writer.type(' ');
    }
    await expect(page.locator('#note .chip')).toHaveCount(5);
    await expect(page.locator('#note .chip').first()).toHaveText('Pell 1994, pp. 61–63');
    await writer.type('as §');
    await writer.type('three places', '[Enter]');
    await expect(page.locator('#note .chip.is-reference')).toHaveText('3.1.1 Three places');
    await writer.saved();
    expect(await findings(page)).toEqual([]);

    // Chapters change places: what refers to them follows.
    await writer.type('[Escape]', '[Escape]');
    await writer.mark(/Breaching it/);
    await writer.type('[Alt+ArrowUp]', '[Alt+ArrowUp]');
    await expect(page.locator('#note')).toBeVisible();
    await writer.saved();

    const apa = await handOver(page, info, 'apa.docx');
    const said = apa.paragraphs.find(({ text }) => text.startsWith('The mouth closed')).text;
    expect(said).toBe('The mouth closed (Pell, 1994, pp. 61–63) (Ward, 1887, p. 12) (Moor, 1998, p. 40) (Harrow Parish Council, 2019) (Ames, 2022) as 1.1.1 Three places');
    expect(apa.paragraphs.filter(({ style }) => style === 'Heading1').map(({ text }) => text)).toEqual(['Breaching it', 'Why the wall was built', 'What the wall did', 'Who gains', 'Ten years on', 'References']);
    const list = apa.paragraphs.filter(({ style }) => style === 'Bibliography').map(({ text }) => text);
    expect(list).toContain('Pell. (1994). Tides and walls: A history of the harrow embankment.');
    expect(list).toContain('Ames, L. (2022, January 30). The winter count: Waders at Harrow. Flats and Feathers. https://birds.example/count');
    expect(list).toEqual([...list].sort((a, b) => a.localeCompare(b)));
    expect(apa.paragraphs.filter(({ style }) => style === 'Quote').map(({ text }) => text)).toContain('“Resolved that the creek be stopped before Michaelmas” (Pell, 1994, p. 63)');

    await page.goBack();
    await page.getByRole('link', { name: 'Sources', exact: true }).click();
    await page.getByLabel('Printed as').selectOption({ label: 'Chicago, footnotes' });
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('Ward. The Creek Book. 1887.');
    await writer.saved();
    const chicago = await handOver(page, info, 'chicago.docx');
    expect(chicago.footnotes.some((note) => /^Pell, Tides and Walls: A History of the Harrow Embankment \(1994\), 6[13]/.test(note))).toBe(true);
    expect(chicago.footnotes.filter((note) => note.startsWith('Pell, ')).length).toBeGreaterThan(1);
    expect(chicago.paragraphs.filter(({ style }) => style === 'Heading1').map(({ text }) => text)).toContain('Bibliography');
    expect(writer.problems).toEqual([]);
});

test('what is chosen in the outline is sorted out too, into a note that is chosen once for all', async ({ page }) => {
    const writer = await planOf(page, 'Chosen', 'Wall', '  Who paid', '  Who worked', 'Labour');
    await writer.mark(/Who paid/);
    await writer.type('[Shift+ArrowDown]', '[x]');
    const chosen = page.getByRole('listbox', { name: 'What you have chosen' });
    await expect(chosen.getByRole('option')).toHaveCount(2);
    await expect(chosen).toBeFocused();
    await writer.type('[Control+a]', '[Enter]');
    await expect(page.getByText('Choose first into which note it goes')).toBeVisible();
    await writer.type('[i]');
    await expect(page.getByLabel('Number or title of the topic')).toBeFocused();
    await writer.type('labour', '[Enter]', '[Enter]');
    await expect(page.getByText('Sorted out just now')).toBeVisible();
    await page.getByRole('button', { name: 'Undo: Who paid' }).click();
    await expect(chosen.getByRole('option')).toHaveCount(1);
    await writer.view('Outline');
    await writer.expectOutline('1 Wall\n  1.1 Who paid\n2 Labour');
    await writer.mark(/Labour/);
    await writer.type('[n]');
    await expect(page.getByRole('textbox', { name: 'Note', exact: true })).toHaveText('Who worked');
    await writer.toResearch();
    await expect(page.getByText('Nothing in the outline looks like research')).toBeVisible();
    expect(writer.problems).toEqual([]);
});
