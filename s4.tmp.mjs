import { open } from './shot.tmp.mjs';
async function go(size, dark, plan, name, act) {
  const { browser, page } = await open(size, dark);
  await page.getByRole('link', {name: plan}).first().click();
  await page.waitForURL(/plans\/\w+/);
  await page.goto(page.url() + '/map');
  await page.waitForTimeout(1200);
  await act?.(page);
  await page.waitForTimeout(500);
  await page.screenshot({path:`/tmp/shots/${name}.png`});
  await browser.close();
}
await go({width:1280,height:800}, true, /Bringing Back/, 'm-dark', async (p) => { await p.keyboard.press('ArrowRight'); await p.keyboard.press('ArrowDown'); await p.keyboard.press('n'); });
await go({width:820,height:1180}, false, /Bringing Back/, 'm-tablet', async (p) => { await p.getByRole('button',{name:'Both sides'}).click(); });
await go({width:390,height:844}, false, /Bringing Back/, 'm-phone');
await go({width:1280,height:800}, false, /Bell Foundry/, 'm-book', async (p) => { await p.getByRole('button',{name:'Both sides'}).click(); await p.waitForTimeout(800); await p.getByRole('button',{name:'How the map is drawn'}).click(); await p.waitForTimeout(300);});
