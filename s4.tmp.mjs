import { open, shot, done } from './shot.tmp.mjs';
const one = await open({}, 'Should Our Town Keep Its Night Bus?');
one.on('response', async (r) => /find|changes|note/.test(r.url()) && console.log(r.request().method(), r.status(), r.url().slice(60), r.request().method() === 'POST' ? (await r.text()).slice(0, 300) : ''));
await one.keyboard.press('Control+f'); await one.keyboard.type('bus'); await one.waitForTimeout(900);
for (let i = 0; i < 3; i++) { await one.keyboard.press('Enter'); await one.waitForTimeout(500); }
await one.getByLabel('Replace with').fill('tram'); await one.keyboard.press('Enter'); await one.waitForTimeout(700);
await one.getByRole('button', { name: /Replace in/ }).click(); await one.waitForTimeout(2500);
await shot(one, 'after-replace');
await one.keyboard.press('Control+z');  await one.waitForTimeout(1500);
await done();
