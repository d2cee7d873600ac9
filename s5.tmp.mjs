import { open } from './shot.tmp.mjs';
{
const { browser, page } = await open({width:820,height:1180});
await page.getByRole('textbox', { name: 'What are you going to write?' }).fill('Nothing yet'); await page.keyboard.press('Enter');
await page.waitForURL(/plans\/\w+/);
await page.goto(page.url() + '/map'); await page.waitForTimeout(900);
await page.screenshot({path:'/tmp/shots/e-empty.png'});
await page.getByRole('textbox',{name:'First topic'}).last().fill('A very long title of a section that says everything about the marsh, the wall, the tides and the people who lived beside them for two hundred years and more');
await page.keyboard.press('Enter'); await page.waitForTimeout(700);
await page.keyboard.type('Second'); await page.keyboard.press('Tab'); await page.waitForTimeout(400); await page.keyboard.press('Escape'); await page.waitForTimeout(800);
await page.keyboard.press('Shift+Enter'); await page.keyboard.type('עברית ארוכה מאוד עם מילים רבות 12 ועוד'); await page.keyboard.press('Escape'); await page.waitForTimeout(700);
await page.keyboard.press('Shift+Enter'); await page.keyboard.type('盐沼在堤坝之前，以及失去的东西 and more'); await page.keyboard.press('Escape'); await page.waitForTimeout(900);
await page.context().setOffline(true);
await page.keyboard.press('Shift+Enter'); await page.keyboard.type('Written while away'); await page.waitForTimeout(1500);
await page.screenshot({path:'/tmp/shots/e-long.png'});
await page.context().setOffline(false);
await browser.close();
}
