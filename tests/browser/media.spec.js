import { expect } from '@playwright/test';
import { findings, planOf, test } from './writer.js';

// A microphone and a camera that the browser makes up itself.
test.use({ launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run',
        '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream', '--autoplay-policy=no-user-gesture-required'],
} });

/** The files of a topic, in its menu. */
async function atFiles(writer, name) {
    const menu = writer.page.getByRole('dialog', { name: /^Topic:/ });
    if (!(await menu.isVisible())) {
        await writer.mark(name);
        await writer.row(name).getByRole('button', { name: /^More for/ }).click();
    }
    const files = menu.locator('.files');
    await expect(files.getByRole('button', { name: 'Record…' })).toBeVisible();
    return files;
}

test('a sound is recorded on the spot, heard before it is kept, plays in its place and when presenting', async ({ page }) => {
    const writer = await planOf(page, 'Bells', 'The bell', 'The wall');
    await writer.saved();
    await (await atFiles(writer, /The bell/)).getByRole('button', { name: 'Record…' }).click();
    const dialog = page.getByRole('dialog', { name: 'Record' });
    expect(await findings(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Begin' }).click();
    await expect(dialog.getByRole('timer')).toHaveText(/0:0[1-9]/);
    // Escape ends the recording, and not all of it.
    await writer.type('[Escape]');
    await expect(dialog.getByLabel('What was recorded')).toBeVisible();
    await expect(dialog.getByRole('status')).toHaveText('Listen to it before it is kept.');
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(dialog).toHaveCount(0);
    await expect(page.getByText('The file was kept.')).toBeVisible();
    const kept = (await atFiles(writer, /The bell/)).getByLabel(/^Recorded .*\.weba$/);
    await expect(kept).toBeVisible();
    await expect.poll(() => kept.evaluate((media) => media.readyState)).toBeGreaterThan(0);
    await writer.type('[Escape]', '[Escape]');
    await writer.inPlanMenu('Present');
    const shown = page.getByRole('region', { name: 'What is shown' });
    await expect(shown).toBeVisible();
    await writer.type('[PageDown]');
    const sound = shown.getByLabel(/^Recorded/);
    await expect(sound).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await writer.type('v');
    await expect.poll(() => sound.evaluate((media) => media.currentTime)).toBeGreaterThan(0);
    // It plays in one window: the speaker's own shows what is said, and no player.
    const [speaker] = await Promise.all([page.waitForEvent('popup'), writer.type('n')]);
    await expect(speaker.getByRole('heading', { name: 'The bell' }).first()).toBeVisible();
    await expect(speaker.locator('audio, video')).toHaveCount(0);
    await expect(speaker.getByText(/cannot play/)).toHaveCount(0);
    await speaker.close();
    await writer.type('[PageDown]');
    await expect(sound).toHaveCount(0);
    await writer.type('v');
    await expect(page.getByRole('status')).toHaveText('Nothing here is to be heard or seen.');
});

test('a film is recorded; what was let go can be kept after all; a browser that cannot record, or may not, says so', async ({ page }) => {
    const writer = await planOf(page, 'Tides', 'The tide');
    await writer.saved();
    const record = async () => (await atFiles(writer, /The tide/)).getByRole('button', { name: 'Record…' }).click();
    await record();
    const dialog = page.getByRole('dialog', { name: 'Record' });
    await dialog.getByLabel('A film').check();
    await dialog.getByRole('button', { name: 'Begin' }).click();
    await expect(dialog.getByLabel('What the camera sees')).toBeVisible();
    await expect(dialog.getByRole('timer')).toHaveText(/0:0[1-9]/);
    await dialog.getByRole('button', { name: 'Stop' }).click();
    await dialog.getByRole('button', { name: 'Let it go' }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('The file was kept.')).toBeVisible();
    await expect((await atFiles(writer, /The tide/)).locator('video')).toBeVisible();
    for (const [refuse, said] of [
        [() => { navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', 'NotAllowedError')); }, /was not allowed to record/],
        [() => { navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', 'NotFoundError')); }, /no microphone here/],
    ]) {
        await page.evaluate(refuse);
        await record();
        await dialog.getByRole('button', { name: 'Begin' }).click();
        await expect(dialog.getByRole('status')).toHaveText(said);
        await dialog.getByRole('button', { name: 'Cancel' }).click();
    }
    await page.evaluate(() => { delete window.MediaRecorder; });
    await record();
    await expect(dialog.getByRole('status')).toHaveText(/This browser cannot record/);
    await dialog.getByRole('button', { name: 'Close' }).click();
});
