import { expect } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { findings, planOf, test } from './writer.js';

const LINES = ['Why', '\tStorms', '\tFish', 'Before', '\tGrazing', '\t\tSamphire', '\tWall', 'Breach'];

async function mapOf(page, title, ...lines) {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    const writer = await planOf(page, title, ...lines);
    await writer.view('Map');
    // The outline stays in sight until the map has come.
    await expect(page.locator('#ground').getByRole('treeitem').first()).toBeVisible();
    return writer;
}

const marked = (page) => page.getByRole('treeitem', { selected: true });

/** The middle of a topic's title in the window. */
async function middle(page, name) {
    let box = null;
    await expect.poll(async () => (box = await page.getByRole('treeitem', { name }).locator('.title').boundingBox())).not.toBe(null);
    return [box.x + box.width / 2, box.y + box.height / 2];
}

async function drag(page, from, to) {
    await page.mouse.move(...from);
    await page.mouse.down();
    await page.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, { steps: 4 });
    await page.mouse.move(...to, { steps: 6 });
    await page.waitForTimeout(250);
}

test('topics are added, written, moved, marked, folded and removed by keys', async ({ page }) => {
    const writer = await mapOf(page, 'Keys', ...LINES);
    await writer.expectMap('1 Why *\n  1.1 Storms\n  1.2 Fish\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
    await writer.type('[ArrowRight]', '[ArrowDown]');
    await expect(marked(page)).toHaveAccessibleName('1.2 Fish');
    await writer.type('[Shift+Enter]', 'Mud', '[Enter]', 'Sand', '[Tab]', '[Escape]');
    await writer.expectMap('1 Why\n  1.1 Storms\n  1.2 Fish\n  1.3 Mud\n    1.3.1 Sand *\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
    await writer.type('[ArrowLeft]', '[Enter]', 'dy', '[Escape]', '[Alt+ArrowUp]');
    await writer.expectMap('1 Why\n  1.1 Storms\n  1.2 Muddy *\n    1.2.1 Sand\n  1.3 Fish\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
    await writer.type('i', 'Clay', '[Escape]', '[ArrowLeft]', '[Alt+Enter]', 'Damp', '[Escape]', '[Space]');
    await writer.expectMap('1 Why\n  1.1 Storms\n  1.2 Damp *\n  1.3 Muddy\n    1.3.1 Sand\n    1.3.2 Clay\n  1.4 Fish\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
    await writer.type('[ArrowLeft]', '[Space]');
    await writer.expectMap('1 Why 6 inside *\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
    await writer.type('[Space]', '[ArrowRight]');
    await expect(marked(page)).toHaveAccessibleName('1.1 Storms');
    // The same when the parts stand on the map already.
    await writer.type('[ArrowLeft]', '[Space]');
    await writer.expectMap('1 Why 6 inside *\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
    await writer.type('[Space]');
    await expect(page.locator('.leaf', { hasText: 'Storms' })).toBeVisible();
    await writer.type('[ArrowRight]');
    await expect(marked(page)).toHaveAccessibleName('1.1 Storms');
    await writer.type('[ArrowDown]', '[ArrowDown]', '[Delete]');
    await expect(page.getByText('Removed', { exact: false })).toBeVisible();
    await writer.type('[Control+z]');
    await expect(marked(page)).toHaveAccessibleName('1.3 Muddy');
    await writer.type('p');
    await expect(marked(page)).toHaveAccessibleName(/point/);
    await writer.type('g');
    await page.getByRole('dialog', { name: /^Topic:/ }).getByRole('button', { name: 'waiting' }).click();
    await expect(marked(page)).toHaveAccessibleName(/waiting flagged/);
    await writer.type('[Shift+ArrowDown]');
    await expect(page.getByText('2 marked')).toBeVisible();
    await writer.type('w', 'Around', '[Escape]');
    await expect(marked(page)).toHaveAccessibleName(/Around/);
    await writer.saved();
    const map = await writer.map();
    await page.reload();
    await expect.poll(async () => (await writer.map()).replaceAll(' *', '')).toBe(map.replaceAll(' *', ''));
    expect(writer.problems).toEqual([]);
});

test('what is changed on the map shows in Outline, and the other way round', async ({ page }) => {
    const writer = await mapOf(page, 'Both ways', 'A', '\tA1', 'B');
    await writer.type('[ArrowDown]', '[Shift+Enter]', 'C', '[Escape]');
    await writer.expectMap('1 A\n  1.1 A1\n2 B\n3 C *');
    await writer.view('Outline');
    await writer.expectOutline('1 A\n  1.1 A1\n2 B\n3 C');
    await writer.mark(/1\.1 A1/);
    await writer.type('[Alt+ArrowLeft]');
    await writer.expectOutline('1 A\n2 A1\n3 B\n4 C');
    await writer.view('Map');
    await writer.expectMap('1 A\n2 A1 *\n3 B\n4 C');
    await page.goBack();
    await expect(page.getByRole('heading', { name: 'Outline' })).toBeAttached();
    expect(writer.problems).toEqual([]);
});

test('a pointer marks, writes, folds, draws a rectangle, and drags a branch to another place', async ({ page }) => {
    const writer = await mapOf(page, 'Pointer', ...LINES);
    await page.mouse.dblclick(...await middle(page, /Storms/));
    await page.getByRole('textbox', { name: 'Title' }).fill('Storm surges');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('treeitem', { name: '1.1 Storm surges' })).toBeVisible();
    await page.mouse.click(...await middle(page, /Fish/));
    await page.keyboard.down('Control');
    await page.mouse.click(...await middle(page, /Wall/));
    await page.keyboard.up('Control');
    await expect(marked(page)).toHaveCount(2);
    await page.mouse.click(...await middle(page, /Fish/));
    await page.keyboard.down('Shift');
    await page.mouse.click(...await middle(page, /Grazing/));
    await page.keyboard.up('Shift');
    await expect(marked(page)).toHaveCount(3);
    await page.mouse.click(...await middle(page, /Before/));
    const knob = await page.getByRole('treeitem', { name: /2 Before/ }).locator('.knob').boundingBox();
    await page.mouse.click(knob.x + knob.width / 2, knob.y + knob.height / 2);
    await expect(page.getByRole('treeitem', { name: '2 Before 3 inside' })).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByRole('treeitem', { name: /Samphire/ })).toBeVisible();

    // Under another parent, with the place and its number shown before it is let go.
    const [x, y] = await middle(page, /3 Breach/);
    await drag(page, await middle(page, /Wall/), [x + 20, y]);
    await expect(page.getByText('in “Breach”')).toBeVisible();
    await expect(page.locator('.landing-number')).toHaveText('3.1 in “Breach”');
    await page.mouse.up();
    await writer.expectMap('1 Why\n  1.1 Storm surges\n  1.2 Fish\n2 Before *\n  2.1 Grazing\n    2.1.1 Samphire\n3 Breach\n  3.1 Wall');
    const top = await page.getByRole('treeitem', { name: /Fish/ }).locator('.title').boundingBox();
    await drag(page, await middle(page, /Wall/), [top.x + 10, top.y + top.height + 2]);
    await expect(page.locator('.landing-number')).toHaveText('1.3 after “Fish”');
    await page.mouse.up();
    await writer.expectMap('1 Why\n  1.1 Storm surges\n  1.2 Fish\n  1.3 Wall\n2 Before *\n  2.1 Grazing\n    2.1.1 Samphire\n3 Breach');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await writer.expectMap('1 Why\n  1.1 Storm surges\n  1.2 Fish\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall *\n3 Breach');

    // A rectangle around the parts of the first section.
    const ground = await page.getByRole('tree').boundingBox();
    const [fishX, fishY] = await middle(page, /Fish/);
    const [, stormY] = await middle(page, /Storm/);
    await page.getByRole('button', { name: 'Mark with a rectangle' }).click();
    await drag(page, [fishX + 260, stormY - 22], [fishX - 20, fishY + 6]);
    await page.mouse.up();
    await expect(marked(page)).toHaveCount(2);
    expect(ground.width).toBeGreaterThan(600);
    expect(writer.problems).toEqual([]);
});

test('every arrangement and style keeps the order; zoom, fit, focus; the note stands beside', async ({ page }) => {
    const writer = await mapOf(page, 'Looks', ...LINES);
    for (const arrangement of ['Both sides', 'Round', 'Spine']) {
        await page.getByRole('button', { name: arrangement }).click();
        await expect(page.getByRole('button', { name: arrangement })).toHaveAttribute('aria-pressed', 'true');
        await expect(page.locator('#map')).toHaveAttribute('data-arrangement', { 'Both sides': 'both', Round: 'round', Spine: 'spine' }[arrangement]);
        await writer.expectMap('1 Why *\n  1.1 Storms\n  1.2 Fish\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
        // Every stalk leads to its floret.
        await expect.poll(() => page.evaluate(() => {
            const ends = [...document.querySelectorAll('.stalks .stalk')].map((stalk) => stalk.getPointAtLength(stalk.getTotalLength()).matrixTransform(stalk.getScreenCTM()));
            const florets = [...document.querySelectorAll('.leaf .floret-ring')].map((ring) => ring.getBoundingClientRect());
            return florets.length >= 5
                && florets.every(({ x, y, width, height }) => ends.some((end) => Math.hypot(end.x - x - width / 2, end.y - y - height / 2) < 12));
        }), arrangement).toBe(true);
        expect(await findings(page)).toEqual([]);
    }
    await page.getByRole('tree').focus();
    await writer.type('[ArrowDown]', 'f');
    await writer.expectMap('2.1 Grazing *\n  2.1.1 Samphire\n2.2 Wall');
    await writer.type('[Escape]');
    await expect(page.getByRole('treeitem')).toHaveCount(8);
    await page.getByRole('button', { name: 'How the map is drawn' }).click();
    const looks = page.getByRole('dialog', { name: 'How the map is drawn' });
    await looks.getByLabel('Branches').selectOption({ label: 'to level 1' });
    await expect(page.getByRole('treeitem')).toHaveCount(3);
    await looks.getByRole('button', { name: /^Broad/ }).hover();
    await expect(page.locator('#map')).toHaveAttribute('data-style', 'broad');
    await page.mouse.move(5, 400);
    await expect(page.locator('#map')).toHaveAttribute('data-style', 'reed');
    await looks.getByRole('button', { name: /^Field/ }).click();
    await expect(page.locator('#map')).toHaveAttribute('data-style', 'field');
    await page.keyboard.press('Escape');
    await page.reload();
    await expect(page.locator('#map')).toHaveAttribute('data-style', 'field');
    await expect(page.getByRole('treeitem')).toHaveCount(3);
    await page.getByRole('tree').focus();
    await writer.type('[+]', '[+]', 'n');
    await page.getByRole('textbox', { name: 'Note', exact: true }).waitFor();
    await writer.type('First lines of the note');
    await writer.saved();
    await writer.type('[Escape]', '[Escape]');
    await page.getByRole('button', { name: 'Close the note' }).click();
    await page.getByRole('treeitem', { name: /Why/ }).locator('.note-sign').hover();
    await expect(page.getByRole('tooltip')).toHaveText('First lines of the note');
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('the search stays on the map; what does not fit has an overview; the map fills the screen', async ({ page }) => {
    const writer = await mapOf(page, 'Sought', ...LINES, ...Array.from({ length: 60 }, (_, i) => `Row ${i + 1}`));
    await writer.type('[Control+f]', 'row 5');
    await expect(page.getByText('11 found')).toBeVisible();
    await expect(page.locator('.leaf.is-found')).not.toHaveCount(0);
    await writer.type('[Enter]');
    await expect(page.getByText('1 of 11', { exact: true })).toBeVisible();
    await expect(marked(page)).toHaveAccessibleName('8 Row 5');
    await expect(page.locator('.leaf.is-found-now')).toHaveAccessibleName('8 Row 5');
    await writer.type('[Enter]');
    await expect(marked(page)).toHaveAccessibleName('53 Row 50');
    await writer.type('[Escape]');
    await expect(page.locator('#overview')).toBeVisible();
    const before = await page.locator('#overview .frame').getAttribute('y');
    const box = await page.locator('#overview').boundingBox();
    await page.mouse.click(box.x + box.width / 2, box.y + 8);
    await expect.poll(() => page.locator('#overview .frame').getAttribute('y')).not.toBe(before);
    await page.getByRole('button', { name: 'Whole plan' }).click();
    await expect(page.locator('#overview')).toBeHidden();
    await page.getByRole('button', { name: 'Full screen' }).click();
    await expect.poll(() => page.evaluate(() => document.fullscreenElement !== null)).toBe(true);
    await page.getByRole('button', { name: 'Full screen' }).click();
    await expect.poll(() => page.evaluate(() => document.fullscreenElement)).toBe(null);
    expect(writer.problems).toEqual([]);
});

test('loose ideas lie in the tray and are dragged into the tree', async ({ page }) => {
    const writer = await mapOf(page, 'Tray', 'A', 'B');
    const ground = await page.getByRole('tree').boundingBox();
    await page.mouse.dblclick(ground.x + ground.width - 420, ground.y + 80);
    await writer.type('On the ground', '[Escape]');
    await writer.expectMap('1 A\n2 B\n  On the ground *');
    const stood = await page.getByRole('treeitem', { name: 'On the ground' }).boundingBox();
    expect(Math.abs(stood.x - (ground.x + ground.width - 420))).toBeLessThan(20);
    await writer.saved();
    await page.reload();
    await writer.expectMap('1 A *\n2 B\n  On the ground');
    await page.getByRole('button', { name: '1 loose idea' }).click();
    await writer.type('[Control+k]', 'An idea', '[Enter]');
    const tray = page.getByRole('complementary', { name: 'Loose ideas' });
    const idea = tray.getByRole('button', { name: 'Loose idea: An idea' });
    await expect(idea).toBeVisible();
    await writer.saved();
    const box = await idea.boundingBox();
    const [x, y] = await middle(page, /2 B/);
    await drag(page, [box.x + 20, box.y + 10], [x + 14, y]);
    await page.mouse.up();
    await writer.expectMap('1 A *\n2 B\n  2.1 An idea\n  On the ground');
    await drag(page, await middle(page, /An idea/), [ground.x + ground.width - 300, ground.y + 260]);
    await page.mouse.up();
    await expect(page.getByText('It is loose now')).toBeVisible();
    await writer.expectMap('1 A *\n2 B\n  On the ground\n  An idea');
    const [x2, y2] = await middle(page, /1 A/);
    await drag(page, await middle(page, /On the ground/), [x2 + 14, y2]);
    await page.mouse.up();
    await writer.expectMap('1 A *\n  1.1 On the ground\n2 B\n  An idea');
    expect(writer.problems).toEqual([]);
});

test('relations are drawn by handle and by key, named, bent, listed on both topics, and undone', async ({ page }) => {
    const writer = await mapOf(page, 'Related', ...LINES);
    await page.getByRole('treeitem', { name: /Storms/ }).hover();
    const handle = await page.getByRole('treeitem', { name: /Storms/ }).locator('.handle').boundingBox();
    await drag(page, [handle.x + handle.width / 2, handle.y + handle.height / 2], await middle(page, /2\.2 Wall/));
    await page.mouse.up();
    const dialog = page.getByRole('dialog', { name: 'Relation' });
    await expect(dialog).toContainText('1.1 Storms → 2.2 Wall');
    await dialog.getByLabel('Label').fill('broke');
    await dialog.getByLabel('Arrow').selectOption('both');
    await dialog.getByRole('button', { name: 'madder' }).click();
    await dialog.getByRole('button', { name: 'Save' }).click();
    const label = page.locator('.relation text', { hasText: 'broke' });
    await expect(label).toBeVisible();
    const before = await page.locator('.relation .line').getAttribute('d');
    await page.mouse.click(...await middle(page, /3 Breach/));
    await writer.type('r', 'fish', '[Enter]');
    await expect(dialog).toContainText('3 Breach → 1.2 Fish');
    await dialog.getByRole('button', { name: 'Save' }).click();
    await expect(page.locator('.relation .line')).toHaveCount(2);

    const box = await label.boundingBox();
    await drag(page, [box.x + box.width / 2, box.y + box.height / 2], [box.x + 180, box.y + 30]);
    await page.mouse.up();
    await expect.poll(() => page.locator('.relation .line').first().getAttribute('d')).not.toBe(before);
    await writer.saved();

    await writer.view('Outline');
    await expect(writer.row(/1\.1 Storms/).getByRole('button', { name: '1 relation' })).toBeVisible();
    await writer.row(/2\.2 Wall/).getByRole('button', { name: '1 relation' }).click();
    await page.getByRole('dialog', { name: /^Topic:/ }).getByRole('button', { name: '← broke: 1.1 Storms' }).click();
    await dialog.getByRole('button', { name: 'Remove' }).click();
    await expect(writer.row(/1\.1 Storms/).getByRole('button', { name: '1 relation' })).toBeHidden();
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(writer.row(/1\.1 Storms/).getByRole('button', { name: '1 relation' })).toBeVisible();
    await writer.expectOutline('1 Why\n  1.1 Storms\n  1.2 Fish\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n  2.2 Wall\n3 Breach');
    expect(await findings(page)).toEqual([]);
    expect(writer.problems).toEqual([]);
});

test('PHP measures text as the browser draws it: Latin within a pixel, every other script never too narrow', async ({ page }) => {
    const measured = JSON.parse(execFileSync('php', ['tests/measured.php'], { maxBuffer: 1e7 }));
    await mapOf(page, 'Measured', 'A');
    const off = await page.evaluate(async ({ latin, others }) => {
        await document.fonts.ready;
        await Promise.all(['400 15px Hyperlegible', '680 15px Hyperlegible', '600 19px Literata'].map((font) => document.fonts.load(font, 'aŁ')));
        const text = document.createElementNS('http://www.w3.org/2000/svg', 'text');
        document.querySelector('#ground .stage').append(text);
        const width = ([face, size, line]) => {
            text.style.cssText = `font-size: ${size}px; ${{ regular: 'font-weight: 400', strong: 'font-weight: 680', title: 'font-family: var(--text); font-weight: 600' }[face]}`;
            text.textContent = line;
            return text.getComputedTextLength();
        };
        return {
            latin: latin.map((one) => [one[2], one[3], width(one)]).filter(([, told, drawn]) => Math.abs(told - drawn) > 1),
            others: others.map((one) => [one[2], one[3], width(one)]).filter(([, told, drawn]) => drawn > told + 0.01),
        };
    }, measured);
    expect(off).toEqual({ latin: [], others: [] });
    expect(measured.latin).toHaveLength(1000);
});

test('arrow keys lead from every topic to every other, in every arrangement', async () => {
    const { Shape } = await import('../../resources/js/map/shape.js');
    const { Ways } = await import('../../resources/js/map/ways.js');
    const maps = JSON.parse(execFileSync('php', ['tests/random-maps.php', '1000'], { maxBuffer: 4e8 }));
    expect(maps).toHaveLength(1000);
    for (const { seed, arrangement, parents, sections } of maps) {
        const shapes = new Map(sections.flatMap(({ id, at, topics }) => topics.map((topic) => [topic[0], new Shape(topic, at, id)])));
        const ways = new Ways(shapes, (id) => parents[id]);
        const goals = new Map([...shapes.keys()].map((id) => [id, ['up', 'down', 'left', 'right'].map((direction) => ways.go(id, direction)).filter(Boolean)]));
        const [first] = shapes.keys();
        expect(reached(first, goals).size, `${arrangement}, seed ${seed}: from the first`).toBe(shapes.size);
        const back = new Map([...shapes.keys()].map((id) => [id, []]));
        goals.forEach((to, from) => to.forEach((id) => back.get(id).push(from)));
        expect(reached(first, back).size, `${arrangement}, seed ${seed}: back to the first`).toBe(shapes.size);
    }
});

function reached(first, goals) {
    const seen = new Set([first]);
    for (const id of seen) {
        goals.get(id).forEach((next) => seen.add(next));
    }
    return seen;
}

test('a picture is chosen for a topic, shown on the map, made wider and taken off; what cannot be taken is said', async ({ page }) => {
    const writer = await mapOf(page, 'Pictured', 'A', '\tA1', 'B');
    const png = await page.evaluate(() => {
        const canvas = Object.assign(document.createElement('canvas'), { width: 300, height: 200 });
        canvas.getContext('2d').fillRect(0, 0, 150, 200);
        return canvas.toDataURL('image/png').split(',')[1];
    });
    const choose = async (name, file) => {
        await page.mouse.click(...await middle(page, /A1/), { button: 'right' });
        const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('dialog', { name: /^Topic:/ }).getByRole('button', { name }).click()]);
        await chooser.setFiles(file);
    };
    writer.expectRefused(/^422 POST .*pictures$/);
    await choose('Choose…', { name: 'half.svg', mimeType: 'image/png', buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>') });
    await expect(page.getByText('Save it as PNG')).toBeVisible();
    await choose('Choose…', { name: 'half.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
    const image = page.locator('image.topic-picture');
    await expect(image).toHaveAttribute('width', '240');
    const address = await image.getAttribute('href');
    expect(await page.evaluate(async (one) => (await fetch(one)).headers.get('content-type'), address)).toBe('image/png');
    const grip = await page.getByRole('treeitem', { name: /A1/ }).locator('.resize').boundingBox();
    await drag(page, [grip.x + 6, grip.y + 6], [grip.x - 94, grip.y + 6]);
    await page.mouse.up();
    await expect.poll(async () => Number(await image.getAttribute('width'))).toBeLessThan(200);
    await writer.saved();
    await page.reload();
    await expect(image).toBeVisible();
    await page.mouse.click(...await middle(page, /A1/), { button: 'right' });
    await page.getByRole('dialog', { name: /^Topic:/ }).getByRole('button', { name: 'Take it off' }).click();
    await expect(image).toHaveCount(0);
    // Dropped on one topic, pasted on another.
    const [x, y] = await middle(page, /2 B/);
    await page.evaluate(async ([bytes, clientX, clientY]) => {
        const data = new DataTransfer();
        data.items.add(new File([Uint8Array.from(atob(bytes), (sign) => sign.charCodeAt(0))], 'half.png', { type: 'image/png' }));
        for (const type of ['dragover', 'drop']) {
            document.getElementById('ground').dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer: data, clientX, clientY }));
        }
    }, [png, x, y]);
    await expect(page.getByRole('treeitem', { name: /2 B/ }).locator('image')).toBeVisible();
    await page.mouse.click(...await middle(page, /1 A$/));
    await page.evaluate((bytes) => {
        const data = new DataTransfer();
        data.items.add(new File([Uint8Array.from(atob(bytes), (sign) => sign.charCodeAt(0))], 'half.png', { type: 'image/png' }));
        document.dispatchEvent(new ClipboardEvent('paste', { bubbles: true, cancelable: true, clipboardData: data }));
    }, png);
    await expect(page.getByRole('treeitem', { name: /1 A$/ }).locator('image')).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('a finger marks, moves the map, and drags what is marked', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
    const page = await context.newPage();
    const writer = await mapOf(page, 'Touched', ...LINES);
    const touch = await page.context().newCDPSession(page);
    const press = async (type, ...points) => touch.send('Input.dispatchTouchEvent', { type, touchPoints: points.map(([x, y], id) => ({ x, y, id })) });
    const slide = async (from, to) => {
        await press('touchStart', from);
        for (let step = 1; step <= 6; step++) {
            await press('touchMove', [from[0] + ((to[0] - from[0]) * step) / 6, from[1] + ((to[1] - from[1]) * step) / 6]);
        }
        await page.waitForTimeout(250);
        await press('touchEnd');
    };
    await page.touchscreen.tap(...await middle(page, /Wall/));
    await expect(marked(page)).toHaveAccessibleName('2.2 Wall');
    const before = await middle(page, /Fish/);
    await slide(before, [before[0] + 60, before[1] + 40]);
    await expect.poll(async () => Math.round((await middle(page, /Fish/))[0] - before[0])).toBe(60);
    await expect(marked(page)).toHaveAccessibleName('2.2 Wall');
    const [x, y] = await middle(page, /3 Breach/);
    await slide(await middle(page, /Wall/), [x + 20, y]);
    await writer.expectMap('1 Why\n  1.1 Storms\n  1.2 Fish\n2 Before\n  2.1 Grazing\n    2.1.1 Samphire\n3 Breach\n  3.1 Wall *');
    const actual = page.locator('[data-tool=actual]');
    const zoom = await actual.textContent();
    const [cx, cy] = [500, 950];
    await press('touchStart', [cx - 40, cy], [cx + 40, cy]);
    for (let step = 1; step <= 5; step++) {
        await press('touchMove', [cx - 40 - step * 12, cy], [cx + 40 + step * 12, cy]);
    }
    await press('touchEnd');
    await expect(actual).not.toHaveText(zoom);
    await page.touchscreen.tap(...await middle(page, /Wall/));
    await page.touchscreen.tap(...await middle(page, /Wall/));
    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Wall');
    expect(writer.problems).toEqual([]);
    await context.close();
});

test('the map is handed over as SVG, PNG and PDF, as it is seen, and printed', async ({ page }) => {
    const writer = await mapOf(page, 'Leaving', ...LINES);
    await writer.type('[ArrowDown]', '[Space]');
    await expect(page.getByRole('treeitem', { name: '2 Before 3 inside' })).toBeVisible();
    await page.getByRole('button', { name: 'How the map is drawn' }).click();
    await page.getByRole('link', { name: 'Hand over this map' }).click();
    await expect(page.getByRole('img', { name: 'The map of Leaving' })).toBeVisible();
    const download = async () => {
        const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download the map' }).click()]);
        return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
    };
    const map = await download();
    expect(map.name).toBe('Leaving.svg');
    expect(map.bytes.toString()).toContain('>Storms</text>');
    expect(map.bytes.toString()).not.toContain('Samphire');
    const [, width] = /width="([\d.]+)"/.exec(map.bytes.toString());
    await page.getByRole('combobox', { name: /File/ }).selectOption('3');
    const picture = await download();
    expect(picture.name).toBe('Leaving.png');
    expect(picture.bytes.readUInt32BE(16)).toBe(Math.ceil(Number(width) * 3));
    await page.getByText('Map on paper').click();
    await expect(page.getByRole('combobox', { name: /Paper/ })).toBeVisible();
    const paper = await download();
    expect(paper.name).toBe('Leaving.pdf');
    expect(paper.bytes.subarray(0, 8).toString()).toBe('%PDF-1.7');
    expect(await findings(page)).toEqual([]);
    const [sheets] = await Promise.all([page.waitForEvent('popup'), page.getByRole('link', { name: 'Print…' }).click()]);
    await expect(sheets.getByRole('img', { name: 'The map, sheet 1 of 1' })).toBeVisible();
    expect(writer.problems).toEqual([]);
});

test('wheel and keys zoom and fit; the rest is dimmed; looks of a branch, and what is hidden by level', async ({ page }) => {
    const writer = await mapOf(page, 'Close', ...LINES);
    const actual = page.locator('[data-tool=actual]');
    const ground = await page.getByRole('tree').boundingBox();
    await page.mouse.move(ground.x + 500, ground.y + 300);
    await page.mouse.wheel(0, -400);
    await expect.poll(async () => parseInt(await actual.textContent(), 10)).toBeGreaterThan(100);
    await page.getByRole('tree').focus();
    await writer.type('[Control+0]');
    await expect(actual).toHaveText('100%');
    await writer.type('[ArrowDown]', 'b');
    await expect(actual).toHaveText('125%');
    await writer.type('-', '-');
    await expect(actual).toHaveText('80%');

    await writer.type('[Shift+F]');
    await expect(page.getByRole('treeitem', { name: '1.1 Storms' })).toHaveClass(/is-dim/);
    await expect(page.getByRole('treeitem', { name: '2.1 Grazing' })).not.toHaveClass(/is-dim/);
    await writer.type('[Shift+F]');
    await expect(page.locator('.leaf.is-dim')).toHaveCount(0);

    const menu = page.getByRole('dialog', { name: /^Topic:/ });
    const looks = (name) => page.getByRole('treeitem', { name }).evaluate((leaf) => [Number(leaf.querySelector('.title').getAttribute('font-size')), leaf.style.getPropertyValue('--d')]);
    const usual = await looks('2.1.1 Samphire');
    await writer.type('[ArrowRight]', 'd');
    await menu.getByRole('button', { name: 'orchil' }).click();
    await page.mouse.click(...await middle(page, /2\.1 Grazing/), { button: 'right' });
    await menu.getByRole('button', { name: 'huge' }).click();
    await expect.poll(() => looks('2.1 Grazing')).toEqual([24, 'var(--orchil)']);
    await expect.poll(() => looks('2.1.1 Samphire')).toEqual([23.2, 'var(--orchil)']);
    for (const field of ['dye', 'size']) {
        await page.mouse.click(...await middle(page, /2\.1 Grazing/), { button: 'right' });
        await menu.getByRole('group', { name: 'For itself alone, not its parts' }).getByRole('button', { name: field }).click();
    }
    await expect.poll(() => looks('2.1.1 Samphire')).toEqual(usual);
    await expect.poll(() => looks('2.1 Grazing')).toEqual([24, 'var(--orchil)']);

    await writer.type('g');
    await menu.getByRole('button', { name: 'waiting' }).click();
    const grazing = page.locator('.leaf', { has: page.locator('.flag-sign') });
    await expect(grazing).toHaveCount(1);
    await page.getByRole('button', { name: 'How the map is drawn' }).click();
    const panel = page.getByRole('dialog', { name: 'How the map is drawn' });
    await panel.getByLabel('Notes, words and flags').selectOption({ label: 'to level 1' });
    await expect(grazing).toHaveCount(0);
    await panel.getByLabel('Titles', { exact: true }).selectOption({ label: 'to level 2' });
    await expect(page.getByRole('treeitem', { name: 'Samphire' }).locator('.title')).toHaveCount(0);
    await expect(page.getByRole('treeitem', { name: '2.1 Grazing' }).locator('.title')).toHaveCount(1);
    expect(writer.problems).toEqual([]);
});

test('what moves on the map glides, unless the person prefers stillness', async ({ page }) => {
    await mapOf(page, 'Moving', ...LINES);
    const seconds = () => page.locator('.leaf').first().evaluate((leaf) => parseFloat(getComputedStyle(leaf).transitionDuration));
    expect(await seconds()).toBe(0);
    await page.emulateMedia({ reducedMotion: 'no-preference' });
    expect(await seconds()).toBeGreaterThan(0.1);
});

test('a finger draws a rectangle, relates topics, and makes a picture wider', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
    const page = await context.newPage();
    const writer = await mapOf(page, 'Fingers', ...LINES);
    const touch = await context.newCDPSession(page);
    const slide = async (from, to) => {
        const at = (step) => [{ x: from[0] + ((to[0] - from[0]) * step) / 6, y: from[1] + ((to[1] - from[1]) * step) / 6 }];
        await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) });
        for (let step = 1; step <= 6; step++) {
            await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(step) });
        }
        await page.waitForTimeout(200);
        await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    };
    const centre = async (locator) => {
        const box = await locator.boundingBox();
        return [box.x + box.width / 2, box.y + box.height / 2];
    };
    const [x, y] = await middle(page, /Storms/);
    const [, below] = await middle(page, /Fish/);
    await page.getByRole('button', { name: 'Mark with a rectangle' }).tap();
    await slide([x + 120, y - 30], [x - 20, below + 6]);
    await expect(marked(page)).toHaveCount(2);

    await page.touchscreen.tap(...await middle(page, /Wall/));
    await expect(marked(page)).toHaveCount(1);
    await slide(await centre(page.getByRole('treeitem', { name: /Wall/ }).locator('.handle')), await middle(page, /Fish/));
    await expect(page.getByRole('dialog', { name: 'Relation' })).toContainText('2.2 Wall → 1.2 Fish');
    await page.keyboard.press('Escape');
    await expect(page.locator('.relation .line')).toHaveCount(1);

    const picture = await page.evaluate(async () => {
        const canvas = Object.assign(document.createElement('canvas'), { width: 300, height: 100 });
        canvas.getContext('2d').fillRect(0, 0, 300, 100);
        const data = new DataTransfer();
        data.items.add(new File([await new Promise((resolve) => canvas.toBlob(resolve, 'image/webp'))], 'strip.webp', { type: 'image/webp' }));
        document.getElementById('ground').focus();
        document.dispatchEvent(new ClipboardEvent('paste', { bubbles: true, cancelable: true, clipboardData: data }));
        return canvas.toDataURL('image/webp').slice(0, 15);
    });
    expect(picture).toBe('data:image/webp');
    const image = page.locator('image.topic-picture');
    await expect(image).toHaveAttribute('width', '240');
    const grip = await centre(page.locator('.resize'));
    await slide(grip, [grip[0] - 80, grip[1]]);
    await expect.poll(async () => Number(await image.getAttribute('width'))).toBeLessThan(200);
    expect(writer.problems).toEqual([]);
    await context.close();
});

test('a plan that is too large to be read opens folded; what the person unfolds stays so', async ({ page }) => {
    const lines = Array.from(
        { length: 12 },
        (_, i) => [`Part ${i + 1}`, ...Array.from({ length: 24 }, (_, n) => `\t${n % 4 ? '\t' : ''}Topic ${i + 1} ${n + 1}`)],
    ).flat();
    const writer = await mapOf(page, 'Large', ...lines);
    await expect(page.getByRole('treeitem', { name: /^1 Part 1 / })).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /Topic 1 1$/ })).toHaveCount(0);
    await page.mouse.click(...await middle(page, /^1 Part 1 /));
    await page.keyboard.press('Space');
    await expect(page.getByRole('treeitem', { name: /Topic 1 1\b/ }).first()).toBeVisible();
    await writer.saved();
    await page.reload();
    await expect(page.getByRole('treeitem', { name: /Topic 1 1\b/ }).first()).toBeVisible();
    await expect(page.getByRole('treeitem', { name: /Topic 2 1\b/ })).toHaveCount(0);
    expect(writer.problems).toEqual([]);
});

test('a tap anywhere on a label marks it; the handle of relations is to be had when it is seen', async ({ browser }) => {
    const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true, isMobile: true });
    const page = await context.newPage();
    const writer = await mapOf(page, 'Taps', ...LINES);
    for (const name of [/Wall/, /Fish/, /Breach/]) {
        const { x, y, width, height } = await page.getByRole('treeitem', { name }).locator('.back').boundingBox();
        for (const [right, down] of [[0.5, 0.9], [0.5, 0.5], [0.9, 0.8], [0.2, 0.6]]) {
            await page.touchscreen.tap(...await middle(page, /Storms/));
            await expect(marked(page)).toHaveAccessibleName(/Storms/);
            await page.touchscreen.tap(x + width * right, y + height * down);
            await expect(marked(page)).toHaveAccessibleName(name);
        }
        const handle = page.getByRole('treeitem', { name }).locator('.handle');
        await expect(handle).toHaveCSS('opacity', '1');
        const at = await handle.boundingBox();
        expect(at.x >= x + width - 1 || at.x + at.width <= x + 1).toBe(true);
    }
    expect(writer.problems).toEqual([]);
    await context.close();
});

test('the number of a main section stands once, in its disc, and no label is tilted in any arrangement', async ({ page }) => {
    const writer = await mapOf(page, 'Level', ...LINES);
    for (const arrangement of ['Spine', 'Both sides', 'Round']) {
        await page.getByRole('button', { name: arrangement }).click();
        await expect(page.locator('#map')).toHaveAttribute('data-arrangement', { 'Both sides': 'both', Round: 'round', Spine: 'spine' }[arrangement]);
        const leaf = page.getByRole('treeitem', { name: /^1 Why/ });
        await expect(leaf.locator('text.number')).toHaveCount(0);
        await expect(page.locator('.in-disc').first()).toHaveText('1');
        await expect(page.getByRole('treeitem', { name: /1\.1 Storms/ }).locator('text.number')).toHaveText('1.1 ');
        const tilted = await page.locator('.leaf').evaluateAll((leaves) => leaves.filter((one) => {
            const { a, b, c, d } = new DOMMatrix(getComputedStyle(one).transform);
            return [a, b, c, d].join() !== '1,0,0,1';
        }).length);
        expect(tilted, arrangement).toBe(0);
    }
    expect(writer.problems).toEqual([]);
});

test('round, the report of the sample is read at a glance, and so is its book', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'Look around in the sample account' }).click();
    for (const title of ['Bringing Back the Tide', 'A Year at the Bell Foundry']) {
        await page.goto('/plans');
        await page.getByRole('link', { name: title }).click();
        await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Map' }).click();
        await page.getByRole('button', { name: 'Round' }).click();
        await expect(page.locator('#map')).toHaveAttribute('data-arrangement', 'round');
        await page.getByRole('button', { name: 'Whole plan' }).click();
        await expect.poll(
            async () => parseInt(await page.getByRole('toolbar', { name: 'Tools of the map' }).textContent().then((text) => /(\d+)%/.exec(text)[1]), 10),
            title,
        ).toBeGreaterThanOrEqual(70);
        await page.getByRole('button', { name: 'Spine' }).click();
        await expect(page.locator('#map')).toHaveAttribute('data-arrangement', 'spine');
    }
});
