import { expect } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { findings, planOf, test } from './writer.js';

const LINES = ['Why', '\tStorms', '\tFish', 'Before', '\tGrazing', '\t\tSamphire', 'Breach'];
const maker = (page) => page.getByRole('dialog', { name: 'A map style of your own' });
const ground = (page) => page.locator('#ground');
const looks = (page) => page.getByRole('button', { name: 'How the map is drawn' });
const style = (page, name) => page.getByRole('dialog', { name: 'How the map is drawn' }).getByRole('button', { name });
const inkOf = (page) => ground(page).evaluate((box) => getComputedStyle(box).getPropertyValue('--ink').trim());

async function mapOf(page, title) {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    const writer = await planOf(page, title, ...LINES);
    await writer.view('Map');
    await expect(ground(page).getByRole('treeitem').first()).toBeVisible();
    return writer;
}

async function make(page) {
    await looks(page).click();
    await style(page, 'Make a style…').click();
    await expect(maker(page)).toBeVisible();
}

test('a style of one’s own is made on the plan, kept under a name, found again, and removed', async ({ page }) => {
    const writer = await mapOf(page, 'Dressed');
    writer.expectRefused(/^422 POST \/map-styles$/);
    await make(page);
    const field = (name) => maker(page).getByLabel(name, { exact: true });
    // Each change is seen at once.
    await field('Around titles, main sections').selectOption('Framed');
    await expect(page.locator('.leaf.l1 .form-framed')).toHaveCount(3);
    await field('Around titles, their parts').selectOption('Underlined');
    await expect(page.locator('.leaf.l2 .form-underlined')).toHaveCount(3);
    await field('Type').selectOption('With serifs');
    await expect(ground(page)).toHaveAttribute('data-lettering', 'serif');
    await field('Dye, below').selectOption('slate');
    await expect(page.getByRole('treeitem', { name: 'Samphire' })).toHaveCSS('--d', /slate|#/);
    const size = page.getByRole('treeitem', { name: 'Storms' }).locator('.title');
    await field('Size of type, their parts').fill('22');
    await expect(size).toHaveAttribute('font-size', '22');
    // What cannot be is not taken.
    await field('Size of type, their parts').fill('900');
    await expect(size).toHaveAttribute('font-size', '22');
    await field('Ground').selectOption('a colour…');
    await field('Colour of the ground').fill('#13202e');
    await expect.poll(() => inkOf(page)).not.toBe('#221B2B');
    await field('Paper').selectOption('Squared');
    await expect(page.locator('#paper-lines path')).toHaveCount(1);
    expect(await findings(page)).toEqual([]);
    // The map goes on working meanwhile, and what is made stays.
    await page.getByRole('button', { name: 'Both sides' }).click();
    await expect(page.locator('#map')).toHaveAttribute('data-arrangement', 'both');
    await expect(ground(page)).toHaveAttribute('data-lettering', 'serif');
    await maker(page).getByRole('button', { name: 'Keep' }).click();
    await expect(maker(page).getByRole('alert')).toHaveText('A style needs a name.');
    await field('Name').fill('Night shift');
    await maker(page).getByRole('button', { name: 'Keep' }).click();
    await expect(maker(page)).toHaveCount(0);
    await expect(looks(page)).toBeFocused();
    await page.reload();
    await expect(ground(page)).toHaveAttribute('data-lettering', 'serif');
    await looks(page).click();
    await expect(style(page, 'Night shift')).toHaveAttribute('aria-pressed', 'true');
    // Ours are still there, seen under the pointer and gone with it.
    await style(page, /^Reed/).hover();
    await expect(ground(page)).toHaveAttribute('data-lettering', 'sans');
    await style(page, 'Night shift').hover();
    await expect(ground(page)).toHaveAttribute('data-lettering', 'serif');
    await style(page, 'Remove').click();
    await page.getByRole('dialog', { name: 'Remove this style' }).getByRole('button', { name: 'Remove' }).click();
    await expect(ground(page)).toHaveAttribute('data-lettering', 'sans');
});

test('what was begun is let go by Escape, and is still there when it is opened again', async ({ page }) => {
    await mapOf(page, 'Begun');
    await make(page);
    await maker(page).getByLabel('Begin from').selectOption({ index: 5 });
    await maker(page).getByLabel('Lines', { exact: true }).selectOption('Straight');
    await maker(page).getByLabel('Type', { exact: true }).selectOption('With serifs');
    await expect(ground(page)).toHaveAttribute('data-lettering', 'serif');
    await page.keyboard.press('Escape');
    await expect(maker(page)).toHaveCount(0);
    await expect(ground(page)).toHaveAttribute('data-lettering', 'sans');
    await make(page);
    await expect(maker(page).getByLabel('Lines', { exact: true })).toHaveValue('straight');
    await expect(ground(page)).toHaveAttribute('data-lettering', 'serif');
    await page.reload();
    await expect(ground(page)).toHaveAttribute('data-lettering', 'sans');
});

test('a picture lies on the ground; the style goes as a file and comes back from one', async ({ page }, info) => {
    const writer = await mapOf(page, 'Given');
    writer.expectRefused(/^422 POST \/map-styles\/(pictures|file)$/);
    await make(page);
    const choose = maker(page).getByLabel('Picture of the ground');
    await choose.setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await expect(maker(page).getByRole('alert')).toHaveText(/not a picture that can be taken/);
    await choose.setInputFiles('docs/screenshots/outline.png');
    await expect(page.locator('.back-picture')).toHaveCount(1);
    // Text stands on plates of the ground, whatever the picture shows.
    await expect(page.locator('.leaf .plate')).toHaveCount(7);
    await maker(page).getByRole('textbox', { name: 'Name' }).fill('Marsh');
    await maker(page).getByRole('button', { name: 'Keep' }).click();
    await expect(maker(page)).toHaveCount(0);
    await looks(page).click();
    const down = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Give as a file' }).click();
    const file = info.outputPath('marsh.json');
    await (await down).saveAs(file);
    expect(JSON.parse(readFileSync(file, 'utf8')).style.name).toBe('Marsh');
    const from = page.getByLabel('File of a map style');
    await from.setInputFiles({ name: 'a.json', mimeType: 'application/json', buffer: Buffer.from('{}') });
    await expect(page.getByRole('alert').filter({ hasText: 'not the file of a map style' })).toBeVisible();
    await from.setInputFiles(file);
    await expect(style(page, 'Marsh 2')).toHaveAttribute('aria-pressed', 'true');
    await expect(page.locator('.back-picture')).toHaveCount(1);
    await page.getByRole('link', { name: 'Hand over this map' }).click();
    await expect(page.getByRole('combobox', { name: /^Style/ }).first()).toHaveValue(/^01/);
});
