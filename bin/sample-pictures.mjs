#!/usr/bin/env node
// Draws the pictures of the sample plans out of their SVG files, with the fonts of the interface. usage: node bin/sample-pictures.mjs
import { readFileSync, writeFileSync } from 'node:fs';
import { launched } from './browser.mjs';

const folder = new URL('../database/seeders/pictures/', import.meta.url);
const font = readFileSync(new URL('../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2', import.meta.url)).toString('base64');
const browser = await launched();
for (const name of ['creek', 'marsh']) {
    const svg = readFileSync(new URL(`${name}.svg`, folder), 'utf8');
    const [, width, height] = /viewBox="0 0 (\d+) (\d+)"/.exec(svg).map(Number);
    const page = await browser.newPage({ viewport: { width, height } });
    await page.setContent(`<style>@font-face{font-family:"Atkinson Hyperlegible Next Variable";font-weight:200 800;src:url(data:font/woff2;base64,${font})}body{margin:0}</style>${svg}`);
    await page.evaluate(() => document.fonts.ready);
    writeFileSync(new URL(`${name}.png`, folder), await page.screenshot());
    await page.close();
}
await browser.close();
