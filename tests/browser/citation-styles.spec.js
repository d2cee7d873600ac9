import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

const STYLE = (body) =>
    '<style xmlns="http://purl.org/net/xbiblio/csl" version="1.0" class="in-text"><info><title>Low Shores Review</title>'
    + '<id>http://shores.example/low</id><category citation-format="author-date"/><updated>2026-01-01T00:00:00+00:00</updated></info>'
    + `<citation><layout prefix="{" suffix="}"><names variable="author"><name form="short"/></names></layout></citation>${body}</style>`;
const LIST = '<bibliography><layout suffix="!"><text variable="title" prefix="~"/></layout></bibliography>';

/** Chooses a file in the dialog of styles. */
async function bring(page, name, xml) {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Take in a style…' }).click();
    await (await chooser).setFiles({ name, mimeType: 'application/xml', buffer: Buffer.from(xml) });
}

async function withSource(page) {
    const writer = await planOf(page, 'The Wall at Harrow', 'Why it was built', 'What it did');
    await writer.view('Sources');
    await page.getByLabel('Add a source').fill('Pell, Anna. Tides and Walls. Creekside Press, 1994.');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Add to the sources' }).click();
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('Pell, A. (1994)');
    await writer.saved();
    return writer;
}

test('a style is found by a journal, seen with the plan’s own sources, and the plan is printed in it', async ({ page }) => {
    const writer = await withSource(page);
    await page.getByRole('button', { name: 'All styles…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Citation styles' });
    const look = dialog.getByRole('region', { name: 'What it looks like' });
    await expect(look).toContainText('(Pell, 1994, pp. 61–63)');
    expect(await findings(page)).toEqual([]);

    await dialog.getByRole('searchbox').fill('marine biodiversity');
    await expect(dialog.getByRole('button', { name: 'Marine Biodiversity' })).toContainText('printed as Springer, author and date');
    await dialog.getByRole('searchbox').fill('');
    await dialog.getByRole('button', { name: 'By numbers' }).click();
    await expect(dialog.getByRole('button', { name: 'APA, 7th edition' })).toHaveCount(0);
    await dialog.getByRole('searchbox').fill('ieee');
    await expect(dialog.getByRole('list', { name: 'Styles' }).getByRole('button').first()).toHaveText('IEEEnumbers');
    // By keyboard alone.
    await page.keyboard.press('ArrowDown');
    await expect(dialog.getByRole('button', { name: 'IEEE numbers' })).toBeFocused();
    await expect(look).toContainText('[1, pp. 61–63]');
    await expect(look).toContainText('[1] A. Pell, Tides and Walls');
    await dialog.getByRole('button', { name: 'Print the plan in it' }).click();
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('[1] A. Pell, Tides and Walls');
    await expect(page.getByLabel('Printed as')).toHaveValue('ieee');

    // The same in the plan's properties, where it is kept with all else.
    await writer.inPlanMenu('Properties');
    await page.getByRole('dialog', { name: 'The plan' }).getByRole('button', { name: 'All styles…' }).click();
    await dialog.getByRole('searchbox').fill('nature');
    await dialog.getByRole('button', { name: 'Nature', exact: false }).first().click();
    await dialog.getByRole('button', { name: 'Print the plan in it' }).click();
    await expect(page.getByRole('dialog', { name: 'The plan' }).getByLabel('Citations')).toHaveValue('nature');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await writer.saved();
    await page.reload();
    await expect(page.getByLabel('Printed as')).toHaveValue('nature');
});

test('a style is brought along as a file, kept, and taken off again; what is none is refused', async ({ page }) => {
    const writer = await withSource(page);
    await page.getByRole('button', { name: 'All styles…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Citation styles' });
    writer.expectRefused(/^422 POST \/citation-styles$/);
    await bring(page, 'notes.csl', 'no style');
    await expect(dialog.getByRole('alert')).toContainText('This is no XML that can be read');
    await bring(page, 'gone.csl', STYLE('<bibliography><layout><text macro="gone"/></layout></bibliography>'));
    await expect(dialog.getByRole('alert')).toContainText('a macro “gone” that it does not have');

    await bring(page, 'low.csl', STYLE(LIST));
    await expect(dialog.getByRole('button', { name: 'Low Shores Review' })).toHaveAttribute('aria-pressed', 'true');
    await expect(dialog.getByRole('region', { name: 'What it looks like' })).toContainText('{Pell}');
    const download = page.waitForEvent('download');
    await dialog.getByRole('link', { name: 'Hand over the file' }).click();
    expect((await download).suggestedFilename()).toBe('Low Shores Review.csl');
    await dialog.getByRole('button', { name: 'Print the plan in it' }).click();
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('~Tides and Walls!');
    await writer.saved();

    await page.getByRole('button', { name: 'All styles…' }).click();
    await dialog.getByRole('button', { name: 'Take it off my list' }).click();
    await expect(dialog.getByRole('button', { name: 'Keep it on my list' })).toBeVisible();
    await dialog.getByRole('button', { name: 'Cancel' }).click();
    await page.reload();
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('~Tides and Walls!');
    await expect(page.getByLabel('Printed as').locator('option:checked')).toHaveText('Low Shores Review');
});

test('a work is looked up by its number, and what few sources have is kept with it', async ({ page }) => {
    const writer = await planOf(page, 'The Wall at Harrow', 'Why it was built', 'What it did');
    await writer.view('Sources');
    const form = page.getByRole('complementary', { name: 'One source' });
    await page.getByLabel('Add a source').fill('ISBN 978-3-16-148410-0');
    await page.keyboard.press('Enter');
    await expect(form.getByLabel('Title', { exact: true })).toHaveValue('Tides and Walls: A History of the Harrow Embankment');
    await expect(form.getByLabel('Translators 1: family name or organisation')).toHaveValue('Rook');
    await form.getByRole('button', { name: 'Add to the sources' }).click();
    await expect(page.getByRole('list', { name: 'Sources' })).toContainText('Pell, A. (1994)');

    // A number that nobody knows is kept as it was typed.
    writer.expectRefused(/^422 POST .*\/source-list\/number$/);
    await page.getByLabel('Add a source').fill('10.5555/none');
    await page.keyboard.press('Enter');
    await expect(page.getByText('This DOI could not be looked up.')).toBeVisible();
    await expect(form.getByLabel('DOI')).toHaveValue('10.5555/none');
    await form.getByRole('button', { name: 'Cancel' }).click();

    await page.getByRole('list', { name: 'Sources' }).getByRole('button').first().click();
    await form.getByText('More that can be said of it').click();
    await form.getByLabel('Series', { exact: true }).fill('Shore Studies');
    await form.getByLabel('First published').fill('c. 1890');
    await page.keyboard.press('Tab');
    await writer.saved();
    await page.reload();
    await page.getByRole('list', { name: 'Sources' }).getByRole('button').first().click();
    await expect(form.getByLabel('Series', { exact: true })).toHaveValue('Shore Studies');
    await expect(form.getByLabel('First published')).toHaveValue('c. 1890');
    // Another kind has other fields; what was said stays.
    await form.getByLabel('Kind').selectOption({ label: 'Court case' });
    await expect(form.getByLabel('Series', { exact: true })).toHaveValue('Shore Studies');
    await form.getByText('More that can be said of it').click();
    await expect(form.getByLabel('Court or authority')).toBeVisible();
    expect(await findings(page)).toEqual([]);
});
