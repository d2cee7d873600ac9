/**
 * Takes the advance widths of the shipped fonts, at the weights that the map uses, into
 * core/Fonts/Widths.php, and the fonts at those weights into resources/fonts/ for PDF files,
 * which cannot hold fonts of variable weight. Part of the build: run after another version of a font has been chosen.
 *
 * usage: node bin/font-widths.mjs
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import * as fontkit from 'fontkit';
import subsetFont from 'subset-font';
import wawoff2 from 'wawoff2';

const root = fileURLToPath(new URL('..', import.meta.url));
const FACES = [
    ['REGULAR', 'atkinson-hyperlegible-next', 400],
    ['STRONG', 'atkinson-hyperlegible-next', 680],
    ['TITLE', 'literata', 600],
];
/** Those of drafts in which titles may be set as well: their fonts are made below. */
const MEASURED = [
    ['SERIF', 'literata', 400],
    ['SERIF_STRONG', 'literata', 680],
];
const ranges = [...readFileSync(`${root}resources/css/tokens.css`, 'utf8').matchAll(/normal\.woff2"\); unicode-range: ([^;]+);/g)].map(([, list]) => list.split(', ').map((range) => range.slice(2).split('-').map((hex) => parseInt(hex, 16))));

async function widths(family, weight) {
    const found = new Map();
    for (const [i, part] of ['latin', 'latin-ext'].entries()) {
        const file = await wawoff2.decompress(readFileSync(`${root}node_modules/@fontsource-variable/${family}/files/${family}-${part}-wght-normal.woff2`));
        const font = fontkit.create(Buffer.from(file)).getVariation({ wght: weight });
        for (const sign of font.characterSet) {
            // Only what the styles send to this file.
            if (ranges[i].some(([from, to]) => sign >= from && sign <= (to ?? from)) && sign >= 32 && !found.has(sign)) {
                found.set(sign, Math.round(font.glyphForCodePoint(sign).advanceWidth / font.unitsPerEm * 10000));
            }
        }
    }
    return [...found].sort(([a], [b]) => a - b);
}

async function digit() {
    const file = await wawoff2.decompress(readFileSync(`${root}node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2`));
    const font = fontkit.create(Buffer.from(file));
    return Math.round(font.layout('0', { tnum: true }).positions[0].xAdvance / font.unitsPerEm * 10000);
}

const quoted = (sign) => (sign === 39 || sign === 92 ? `'\\${String.fromCodePoint(sign)}'` : sign >= 0x7f && sign < 0xa1 || /\p{M}|\p{Z}|\p{C}/u.test(String.fromCodePoint(sign)) && sign !== 32 ? `"\\u{${sign.toString(16)}}"` : `'${String.fromCodePoint(sign)}'`);
const table = async ([name, family, weight]) => {
    const rows = [];
    let row = '';
    for (const [sign, width] of await widths(family, weight)) {
        const cell = `${quoted(sign)} => ${width}, `;
        if (row.length + cell.length > 150) {
            rows.push(row.trimEnd());
            row = '';
        }
        row += cell;
    }
    rows.push(row.trimEnd());
    return `    /** ${family}, weight ${weight}. */\n    public const ${name} = [\n${rows.map((one) => `        ${one}`).join('\n')}\n    ];\n`;
};

const tables = [];
for (const face of [...FACES, ...MEASURED]) {
    tables.push(await table(face));
}
const code = `<?php

declare(strict_types=1);

namespace Embrel\\Fonts;

/**
 * How far each sign of the shipped fonts takes the pen on, in ten-thousandths of the size of the
 * type; without kerning. Made by bin/font-widths.mjs out of the fonts themselves.
 */
final class Widths
{
    /** A digit of a number, set in tabular figures: the same at every weight. */
    public const DIGIT = ${await digit()};

${tables.join('\n')}}
`;
writeFileSync(`${root}core/Fonts/Widths.php`, code);

mkdirSync(`${root}resources/fonts`, { recursive: true });
for (const [name, family, weight] of FACES) {
    const signs = (await widths(family, weight)).map(([sign]) => String.fromCodePoint(sign)).join('');
    for (const part of ['latin', 'latin-ext']) {
        const file = readFileSync(`${root}node_modules/@fontsource-variable/${family}/files/${family}-${part}-wght-normal.woff2`);
        writeFileSync(`${root}resources/fonts/${name.toLowerCase()}-${part}.ttf`, await subsetFont(file, signs, { targetFormat: 'truetype', variationAxes: { wght: weight }, noLayoutClosure: true }));
    }
}

/** The faces of drafts: upright and slanted, regular and bold, with all the signs that each part has. */
const DRAFT_FACES = [
    ['serif', 'literata', ['latin', 'latin-ext', 'greek', 'cyrillic']],
    ['sans', 'atkinson-hyperlegible-next', ['latin', 'latin-ext']],
    ['mono', 'atkinson-hyperlegible-mono', ['latin', 'latin-ext']],
];
for (const [name, family, parts] of DRAFT_FACES) {
    for (const part of parts) {
        for (const style of ['normal', 'italic']) {
            const file = readFileSync(`${root}node_modules/@fontsource-variable/${family}/files/${family}-${part}-wght-${style}.woff2`);
            const font = fontkit.create(Buffer.from(await wawoff2.decompress(file)));
            const signs = font.characterSet.filter((sign) => sign >= 32).map((sign) => String.fromCodePoint(sign)).join('');
            for (const [weight, suffix] of [[400, ''], [680, '-bold']]) {
                const made = await subsetFont(file, signs, { targetFormat: 'truetype', variationAxes: { wght: weight }, noLayoutClosure: true });
                writeFileSync(`${root}resources/fonts/${name}${suffix}${style === 'italic' ? '-italic' : ''}-${part}.ttf`, made);
            }
        }
    }
}
