import { open } from './shot.tmp.mjs';
const { browser, page } = await open();
await page.getByRole('link', {name: /Bringing Back/}).first().click();
await page.waitForURL(/plans\/\w+/);
await page.getByRole('link',{name:'Map', exact:true}).click();
await page.waitForTimeout(900);
await page.keyboard.press('ArrowRight');
for (const t of ['wading','breaching']) {
await page.keyboard.press('r'); await page.keyboard.type(t); await page.keyboard.press('Enter');
await page.keyboard.type('because of '+t); await page.keyboard.press('Enter'); await page.waitForTimeout(700);
}
await page.screenshot({path:'/tmp/shots/rel.png'});
const l = await page.locator('.relation text').first().boundingBox();
console.log(l, await page.evaluate(([x,y]) => document.elementFromPoint(x,y).outerHTML.slice(0,200), [l.x+l.width/2,l.y+l.height/2]));
page.on('request', r => r.method()==='POST' && console.log(r.url().split('/').pop(), r.postData()?.slice(0,300)));
page.on('response', async r => r.url().includes('operations') && console.log(r.status(), (await r.text()).slice(0,300)));
await page.mouse.move(l.x+l.width/2,l.y+l.height/2); await page.mouse.down(); await page.mouse.move(l.x+100,l.y+20,{steps:5}); await page.mouse.move(l.x+200,l.y+30,{steps:5}); await page.waitForTimeout(200); await page.mouse.up();
await page.waitForTimeout(900);
await page.screenshot({path:'/tmp/shots/rel2.png'});
for (let i=0;i<5;i++) { await page.keyboard.press('Control+z'); await page.waitForTimeout(400); }
await browser.close();
