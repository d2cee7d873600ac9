/**
 * Takes the signs that a topic may carry out of the family of icons of which resources/icons has some (`lucide-static`, ISC
 * licence) into core/Plan/SignForms.php: each as one path of absolute M, L, H, V, C and Z in a square of 24, with the words
 * by which it is found. Run by hand when others are chosen.
 *
 * usage: npm install --no-save lucide-static@1.62.0 svgpath@2.6.0 && node bin/signs.mjs
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const require = createRequire(import.meta.url);
const svgpath = require('svgpath');
const family = `${root}node_modules/lucide-static`;
const tags = JSON.parse(readFileSync(`${family}/tags.json`, 'utf8'));

/** Chosen for what plans are about: thoughts, people, places, times, things that are looked at, made and weighed. */
const NAMES = `
    lightbulb brain speech quote message-circle message-circle-question-mark ear eye megaphone pen-line pencil feather book book-open
    notebook newspaper scroll library languages type bookmark highlighter eraser clipboard-list
    scale gavel vote handshake swords shield shield-alert triangle-alert circle-question-mark circle-check circle-x ban check thumbs-up thumbs-down
    star heart heart-crack flame zap sparkles target flag-triangle-right trophy medal crown award key lock lock-open puzzle link unlink
    user users baby person-standing contact graduation-cap school university briefcase hand hand-heart face-neutral face-slightly-smiling
    face-slightly-frowning accessibility
    house building factory church castle landmark tent store hospital lighthouse bridge fence road signpost milestone map map-pin
    compass globe earth mountain trees tree-deciduous tree-pine sprout leaf flower rose wheat shrub
    bird fish turtle rabbit dog cat bug snail shell worm squirrel egg paw-print bone
    waves-horizontal droplet droplets cloud cloud-rain cloud-lightning sun moon snowflake wind rainbow tornado thermometer umbrella sunrise
    anchor sailboat ship plane train-front bus car bike truck rocket footprints backpack luggage life-buoy
    clock hourglass timer alarm-clock calendar calendar-days infinity repeat milestone
    search microscope telescope flask-conical test-tube dna atom magnet pill stethoscope syringe ruler calculator percent sigma
    chart-line chart-column chart-pie trending-up trending-down table database list-checks network workflow waypoints split merge
    hammer wrench shovel pickaxe axe scissors drill paintbrush palette camera image film eighth-notes drum guitar theater mic headphones radio tv
    monitor smartphone keyboard cpu code bot wifi satellite
    coins banknote piggy-bank receipt shopping-cart gift package box crop barrel
    apple carrot utensils coffee wine cake cooking-pot
    mail phone bell siren ghost skull drama dice-5 gamepad-2 chess-knight swords gem diamond hexagon circle square triangle
    arrow-right arrow-left-right corner-down-right refresh-cw layers folder paperclip pin trash recycle
    battery-charging plug fuel wheat-off vegan church door-open door-closed bed sofa lamp bath
    hand-coins scale-3d stamp signature fingerprint-pattern dumbbell volleyball
`;

const number = (text) => Number(text);
/** @param {string} source an element of SVG @param {string} name */
const attribute = (source, name) => source.match(new RegExp(`\\s${name}="([^"]*)"`))?.[1];
const from = (source, ...names) => names.map((name) => number(attribute(source, name) ?? 0));

const round = (x, y, rx, ry) => `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
const box = (x, y, width, height, given) => {
    const r = Math.min(given, width / 2, height / 2);
    return r
        ? [
              `M${x + r} ${y}h${width - 2 * r}a${r} ${r} 0 0 1 ${r} ${r}v${height - 2 * r}a${r} ${r} 0 0 1 ${-r} ${r}`,
              `h${2 * r - width}a${r} ${r} 0 0 1 ${-r} ${-r}v${2 * r - height}a${r} ${r} 0 0 1 ${r} ${-r}z`,
          ].join('')
        : `M${x} ${y}h${width}v${height}h${-width}z`;
};
const drawn = {
    path: (source) => attribute(source, 'd'),
    circle: (source) => (([x, y, r]) => round(x, y, r, r))(from(source, 'cx', 'cy', 'r')),
    ellipse: (source) => round(...from(source, 'cx', 'cy', 'rx', 'ry')),
    rect: (source) => (([x, y, width, height, rx, ry]) => box(x, y, width, height, rx || ry))(from(source, 'x', 'y', 'width', 'height', 'rx', 'ry')),
    line: (source) => (([x1, y1, x2, y2]) => `M${x1} ${y1}L${x2} ${y2}`)(from(source, 'x1', 'y1', 'x2', 'y2')),
    polyline: (source) => `M${attribute(source, 'points')}`,
    polygon: (source) => `M${attribute(source, 'points')}z`,
};

function form(name) {
    const source = readFileSync(`${family}/icons/${name}.svg`, 'utf8');
    let whole = '';
    for (const [element, tag] of source.matchAll(/<(path|circle|ellipse|rect|line|polyline|polygon)\b[^>]*>/g)) {
        // Each with its own command: not every pen knows that one may go on.
        const { segments } = svgpath(drawn[tag](element)).unarc().unshort().abs().iterate(cubic).round(2);
        whole += segments.map(([command, ...numbers]) => command.toUpperCase() + numbers.join(' ')).join('');
    }
    return whole;
}

/** Curves of the second degree as those of the third. */
function cubic([command, ...n], _, x, y) {
    if (command !== 'Q') {
        return undefined;
    }
    const [qx, qy, ex, ey] = n;
    return [['C', x + ((qx - x) * 2) / 3, y + ((qy - y) * 2) / 3, ex + ((qx - ex) * 2) / 3, ey + ((qy - ey) * 2) / 3, ex, ey]];
}

const names = [...new Set(NAMES.trim().split(/\s+/))].sort();
/** A text as PHP has it, in lines that can be read: broken before a command of a path, or between words. */
function quoted(text) {
    const pieces = text.match(/[A-Z][^A-Z]*|[^ ]+ ?/g) ?? [];
    const lines = [''];
    for (const piece of pieces) {
        if (lines.at(-1).length + piece.length > 110) {
            lines.push('');
        }
        lines[lines.length - 1] += piece;
    }
    return lines.map((line) => `'${line.replace(/[\\']/g, '\\$&')}'`).join('\n                . ');
}
const missing = names.filter((name) => !tags[name]);
if (missing.length) {
    throw new Error(`There are no such icons: ${missing.join(', ')}`);
}
const rows = names.map((name) => {
    const words = [...new Set([...name.split('-'), ...tags[name].flatMap((tag) => tag.toLowerCase().split(/[\s/-]+/))])];
    const found = words.filter((word) => /^[a-z]{2,}$/.test(word)).join(' ');
    return `        ${quoted(name)} => [\n            ${quoted(form(name))},\n            ${quoted(found)},\n        ],`;
});
writeFileSync(
    `${root}core/Plan/SignForms.php`,
    `<?php

declare(strict_types=1);

namespace Embrel\\Plan;

/**
 * The signs that a topic may carry, of the icons of Lucide (ISC licence): each as a path of SVG in a square of 24, drawn as a
 * line of the width 2 with round ends, and the words by which it is found. Made by bin/signs.mjs.
 */
final class SignForms
{
    /** name → path, words */
    public const ALL = [
${rows.join('\n')}
    ];
}
`,
);
console.log(`${names.length} signs`);
