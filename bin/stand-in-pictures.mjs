#!/usr/bin/env node
// Draws the pictures that the stand-in of a picture service finds: stand-in/pictures/. usage: node bin/stand-in-pictures.mjs
import { mkdirSync, writeFileSync } from 'node:fs';
import { launched } from './browser.mjs';

const [WIDTH, HEIGHT] = [480, 320];
const folder = new URL('../stand-in/pictures/', import.meta.url);
/** The light of a scene: sky above and below, what is near, what is far, what stands out. */
const LIGHT = {
    dawn: ['#f6d5b8', '#fbeede', '#3f5b52', '#8aa08f', '#a63a3a'],
    noon: ['#a9cbe0', '#e9f2f4', '#47753a', '#8fb07d', '#2f6690'],
    dusk: ['#5a4668', '#d99a7c', '#2b2536', '#6a5a70', '#f0c36a'],
    night: ['#141428', '#2c3350', '#0d0d18', '#232a44', '#f4e9c4'],
    rain: ['#8d97a3', '#c3c9ce', '#4c5a58', '#7d8a8a', '#287572'],
    snow: ['#cfd9e2', '#f4f7f9', '#8796a3', '#b4c2cc', '#7a5a3c'],
};
const wave = (y, rise, color) => `<path d="M0 ${y}C80 ${y - rise} 160 ${y + rise} 240 ${y}S400 ${y - rise} 480 ${y}V320H0Z" fill="${color}"/>`;
const parts = {
    sun: ([, , , , out], x = 350, y = 90) => `<circle cx="${x}" cy="${y}" r="34" fill="${out}" opacity=".9"/>`,
    moon: ([, , , , out]) => `<path d="M372 60a40 40 0 1 0 26 62 32 32 0 1 1-26-62z" fill="${out}"/>`,
    stars: ([, , , , out]) => [[60, 50], [120, 90], [200, 40], [260, 80], [310, 50], [430, 150], [90, 140]].map(([x, y]) => `<circle cx="${x}" cy="${y}" r="2" fill="${out}"/>`).join(''),
    clouds: ([, low]) => [[90, 80, 1], [300, 60, 1.3]].map(([x, y, s]) => `<g transform="translate(${x} ${y}) scale(${s})" fill="${low}" opacity=".85"><circle r="20"/><circle cx="26" cy="-8" r="26"/><circle cx="56" r="18"/><rect x="-6" y="0" width="66" height="18" rx="9"/></g>`).join(''),
    rain: () => Array.from({ length: 60 }, (_, i) => `<path d="M${(i * 53) % 480} ${(i * 37) % 320}l-6 18" stroke="#e8eef2" stroke-width="1.5" opacity=".7"/>`).join(''),
    flakes: () => Array.from({ length: 50 }, (_, i) => `<circle cx="${(i * 67) % 480}" cy="${(i * 41) % 320}" r="${2 + (i % 3)}" fill="#fff"/>`).join(''),
    hills: ([, , near, far]) => wave(190, 40, far) + wave(240, 26, near),
    sea: ([, , near, far]) => `<rect y="190" width="480" height="130" fill="${far}"/>` + [214, 240, 272].map((y, i) => `<path d="M${i * 30} ${y}c20-8 40 8 60 0s40 8 60 0 40 8 60 0 40 8 60 0 40 8 60 0" fill="none" stroke="${near}" stroke-width="3" opacity=".5"/>`).join(''),
    mud: ([, , near, far]) => wave(210, 10, far) + wave(270, 8, near) + `<path d="M200 320c20-40 90-50 60-80s30-30 10-34" fill="none" stroke="${far}" stroke-width="12"/>`,
    reeds: ([, , near]) => Array.from({ length: 26 }, (_, i) => { const x = 14 + i * 18; const h = 70 + ((i * 29) % 50); return `<path d="M${x} 320q${(i % 5) - 2} -${h / 2} ${((i * 7) % 15) - 7} -${h}" stroke="${near}" stroke-width="3" fill="none"/><ellipse cx="${x + ((i * 7) % 15) - 7}" cy="${320 - h}" rx="4" ry="14" fill="${near}"/>`; }).join(''),
    wall: ([, , near, far]) => `<path d="M0 250L180 190H480V320H0Z" fill="${near}"/>` + Array.from({ length: 24 }, (_, i) => `<rect x="${180 + (i % 8) * 38}" y="${198 + Math.floor(i / 8) * 26}" width="34" height="20" rx="3" fill="${far}" opacity=".55"/>`).join(''),
    tower: ([, low, near, , out], x = 330) => `<path d="M${x - 22} 250l8-140h28l8 140z" fill="${low}"/><path d="M${x - 18} 190h36l2 26h-40z" fill="${out}"/><rect x="${x - 18}" y="92" width="36" height="20" fill="${near}"/><path d="M${x - 22} 92l22-24 22 24z" fill="${out}"/>`,
    boat: ([, low, near, , out], x = 200) => `<path d="M${x - 60} 236h120l-20 30h-80z" fill="${near}"/><path d="M${x} 120v116M${x} 124l58 100h-58z" fill="${low}" stroke="${near}" stroke-width="4"/><path d="M${x - 6} 140v84h-44z" fill="${out}"/>`,
    house: ([, low, near, , out], x = 130) => `<rect x="${x - 55}" y="170" width="110" height="90" fill="${low}"/><path d="M${x - 68} 172L${x} 112l68 60z" fill="${out}"/><rect x="${x - 12}" y="212" width="24" height="48" fill="${near}"/><rect x="${x + 22}" y="192" width="20" height="20" fill="${near}"/><rect x="${x - 42}" y="192" width="20" height="20" fill="${near}"/>`,
    tree: ([, , near, far], x = 360) => `<rect x="${x - 7}" y="190" width="14" height="80" fill="${near}"/><circle cx="${x}" cy="150" r="54" fill="${far}"/><circle cx="${x - 34}" cy="172" r="34" fill="${far}"/><circle cx="${x + 36}" cy="176" r="30" fill="${far}"/>`,
    birds: ([, , near]) => [[110, 90], [150, 70], [190, 96], [250, 60], [300, 110]].map(([x, y]) => `<path d="M${x - 16} ${y}q8-12 16 0q8-12 16 0" fill="none" stroke="${near}" stroke-width="3"/>`).join(''),
    heron: ([, low, near]) => `<path d="M236 300v-70M256 300v-64" stroke="${near}" stroke-width="4"/><path d="M190 220c20-44 80-40 92 0-20 20-64 22-92 0z" fill="${low}" stroke="${near}" stroke-width="3"/><path d="M270 200c26-20 0-50 14-70" fill="none" stroke="${low}" stroke-width="10"/><path d="M282 126l42 6-40 8z" fill="${near}"/>`,
    bridge: ([, low, near]) => `<path d="M0 210h480v18H0z" fill="${low}"/>` + [80, 240, 400].map((x) => `<path d="M${x - 60} 300a60 70 0 0 1 120 0v-80h-120z" fill="${low}" stroke="${near}" stroke-width="3"/>`).join(''),
    path: ([, low]) => `<path d="M170 320C220 270 200 240 250 220s30-30 40-44l8 2c-6 20-14 34-26 48s-10 50 20 94z" fill="${low}"/>`,
    fish: ([, low, near, , out]) => `<path d="M130 200c50-60 140-60 190 0-50 60-140 60-190 0z" fill="${out}"/><path d="M310 200l54-40v80z" fill="${out}"/><circle cx="170" cy="188" r="7" fill="${low}"/><path d="M230 160q20 40 0 80" stroke="${near}" fill="none" stroke-width="4"/>`,
    bell: ([, low, near, , out]) => `<path d="M170 230c24-20 10-120 70-120s46 100 70 120z" fill="${out}"/><rect x="160" y="228" width="160" height="14" rx="7" fill="${near}"/><circle cx="240" cy="254" r="13" fill="${near}"/><path d="M240 110V60" stroke="${low}" stroke-width="6"/>`,
    book: ([, low, near, , out]) => `<path d="M90 120q75-30 150 6v140q-75-34-150-6z" fill="${low}" stroke="${near}" stroke-width="4"/><path d="M390 120q-75-30-150 6v140q75-34 150-6z" fill="${low}" stroke="${near}" stroke-width="4"/>` + [160, 186, 212].map((y) => `<path d="M112 ${y}q55-16 108 4M260 ${y + 4}q55-20 108-4" stroke="${out}" fill="none" stroke-width="3"/>`).join(''),
    lamp: ([, , near, , out]) => `<path d="M240 300V150" stroke="${near}" stroke-width="8"/><path d="M206 150l14-50h40l14 50z" fill="${out}"/><circle cx="240" cy="134" r="70" fill="${out}" opacity=".22"/>`,
    map: ([, low, near, far, out]) => `<path d="M80 80l100-20 120 24 100-24v190l-100 24-120-24-100 20z" fill="${low}" stroke="${near}" stroke-width="4"/><path d="M180 60v190M300 84v190" stroke="${far}" stroke-width="3"/><path d="M110 220q60-90 120-40t120-70" fill="none" stroke="${out}" stroke-width="5" stroke-dasharray="12 8"/>`,
    clock: ([, low, near, , out]) => `<circle cx="240" cy="160" r="96" fill="${low}" stroke="${near}" stroke-width="10"/><path d="M240 160V96M240 160l46 30" stroke="${out}" stroke-width="8" stroke-linecap="round"/>`,
};
/** Each picture: its id, title, words by which it is found, light, parts; who drew it; under which licence. */
const PICTURES = [
    ['marsh-at-dawn', 'A salt marsh at dawn', 'marsh wetland morning reeds sun water', 'dawn', 'sun mud reeds'],
    ['mudflat', 'A mudflat at low water', 'mud tide shore coast creek flat', 'noon', 'clouds mud birds'],
    ['sea-wall', 'A sea wall of stone', 'wall dyke dike coast defence stone sea', 'noon', 'sea wall clouds'],
    ['storm-wall', 'Rain over the sea wall', 'storm flood rain wall weather sea', 'rain', 'sea wall rain'],
    ['lighthouse', 'A lighthouse in the evening', 'lighthouse tower coast light beacon evening', 'dusk', 'sea sun tower'],
    ['lighthouse-night', 'A lighthouse at night', 'lighthouse tower night stars beacon', 'night', 'stars moon sea tower'],
    ['sailing-boat', 'A small sailing boat', 'boat ship sail sea fishing barge', 'noon', 'clouds sea boat'],
    ['boat-at-dusk', 'A boat comes home', 'boat evening sea harbour return', 'dusk', 'sun sea boat birds'],
    ['farmhouse', 'A house behind the wall', 'house farm home village building', 'noon', 'hills house tree'],
    ['house-in-snow', 'A house in the snow', 'house winter snow cold home', 'snow', 'hills house flakes'],
    ['oak', 'A tree on a hill', 'tree oak wood forest nature hill', 'noon', 'clouds hills tree'],
    ['winter-tree', 'A tree in winter', 'tree winter snow cold', 'snow', 'hills tree flakes'],
    ['heron', 'A heron stands in the shallows', 'heron bird animal water fishing', 'dawn', 'sea heron reeds'],
    ['gulls', 'Gulls over the water', 'gull bird flock sea sky animal', 'rain', 'clouds sea birds'],
    ['old-bridge', 'An old bridge', 'bridge river arch stone town crossing', 'dusk', 'hills sea bridge'],
    ['footpath', 'A path through the hills', 'path way road walk hill journey', 'dawn', 'sun hills path'],
    ['fish', 'A fish', 'fish animal sea food fishing', 'rain', 'sea fish'],
    ['bell', 'A church bell', 'bell church sound alarm warning tower', 'dusk', 'clouds bell'],
    ['open-book', 'An open book', 'book reading writing school library learning', 'dawn', 'book'],
    ['street-lamp', 'A lamp in the night', 'lamp light night street town', 'night', 'stars hills lamp'],
    ['old-map', 'A map with a route', 'map chart route plan travel journey', 'dawn', 'map'],
    ['clock', 'A clock', 'clock time hour watch deadline', 'noon', 'clock'],
    ['reeds-at-night', 'Reeds under the moon', 'reeds marsh night moon water', 'night', 'stars moon mud reeds'],
    ['hills', 'Hills after the rain', 'hills land landscape country rain green', 'rain', 'clouds hills path'],
];
const DRAWN_BY = ['Mira Oakes', 'Jory Pell', 'Tamsin Harrow'];

mkdirSync(folder, { recursive: true });
const browser = await launched();
const page = await browser.newPage({ viewport: { width: WIDTH, height: HEIGHT } });
const list = [];
for (const [i, [id, title, words, light, of]] of PICTURES.entries()) {
    const palette = LIGHT[light];
    const drawn = of.split(' ').map((part) => parts[part](palette)).join('');
    const sky = `<defs><linearGradient id="s" x2="0" y2="1"><stop stop-color="${palette[0]}"/><stop offset="1" stop-color="${palette[1]}"/></linearGradient></defs><rect width="480" height="320" fill="url(#s)"/>`;
    await page.setContent(`<style>body{margin:0}svg{display:block}</style><svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">${sky}${drawn}</svg>`);
    writeFileSync(new URL(`${id}.jpg`, folder), await page.screenshot({ type: 'jpeg', quality: 82 }));
    list.push({ id, title, words, author: DRAWN_BY[i % 3], licence: i % 4 === 3 ? 'CC BY 4.0' : 'CC0 1.0', width: WIDTH, height: HEIGHT });
}
writeFileSync(new URL('list.json', folder), `${JSON.stringify(list, null, 2)}\n`);
await browser.close();
