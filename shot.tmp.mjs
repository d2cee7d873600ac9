import { chromium } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
export async function open(size={width:1280,height:800}, dark=false) {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-background-networking','--disable-component-update','--disable-sync','--no-first-run'] });
  const context = await browser.newContext({ viewport: size, colorScheme: dark?'dark':'light', reducedMotion: 'reduce' });
  const page = await context.newPage();
  page.on('console', m => m.type()==='error' && console.log('console:', m.text()));
  page.on('pageerror', e => console.log('pageerror:', e.message, e.stack?.split('\n')[1]));
  await page.goto('http://127.0.0.1:8080/');
  await page.getByRole('button', {name:/sample/i}).first().click();
  await page.waitForURL(/plans/);
  return { browser, page };
}
const which = process.argv[2] ?? 'report';
if (process.argv[1].endsWith('shot.tmp.mjs')) {
const { browser, page } = await open();
const title = {report:'Bringing Back the Tide', book:'A Year at the Bell Foundry', essay:'Should Our Town'}[which];
await page.getByRole('link', {name: new RegExp(title)}).first().click();
await page.waitForURL(/plans\/\w+/);
await page.getByRole('link', {name:'Map', exact:true}).click();
await page.waitForTimeout(1200);
await page.screenshot({path:`/tmp/shots/${which}-spine.png`});
for (const a of ['Both sides','Round']) {
 await page.getByRole('button',{name:a}).click(); await page.waitForTimeout(1000);
 await page.screenshot({path:`/tmp/shots/${which}-${a.split(' ')[0]}.png`});
}
await page.getByRole('button',{name:'Spine'}).click(); await page.waitForTimeout(300);
await browser.close();
}
