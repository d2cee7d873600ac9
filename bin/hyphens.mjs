/** Writes the patterns by which words are divided, as PHP tables: resources/hyphens/. usage: node bin/hyphens.mjs */
import { mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const require = createRequire(import.meta.url);
const folder = fileURLToPath(new URL('../resources/hyphens/', import.meta.url));
/** Language → the patterns of TeX for it, and how many letters stay before the first and after the last hyphen there. */
const LANGUAGES = {
    en: ['en-us', 2, 3],
    de: ['de-1996', 2, 2],
    fr: ['fr', 2, 3],
    es: ['es', 2, 2],
    it: ['it', 2, 2],
    nl: ['nl', 2, 2],
    pt: ['pt', 2, 3],
    pl: ['pl', 2, 2],
};

/** The patterns of a tree: a number leads to the values of one that ends there, an object to longer ones, a pair to both. */
function* patterns(tree, values, letters = '') {
    for (const [letter, node] of Object.entries(tree)) {
        const [longer, own] = Array.isArray(node) ? node : typeof node === 'number' ? [{}, node] : [node, -1];
        // Of a pattern that begins a word the values are told from the first letter on.
        own < 0 || (yield [letters + letter, ((letters + letter)[0] === '.' ? '0' : '') + values[own].join('')]);
        yield* patterns(longer, values, letters + letter);
    }
}

const quoted = (text) => `'${text.replace(/[\\']/g, '\\$&')}'`;
const table = (entries) => `[${entries.map(([key, value]) => `${quoted(key)}=>${quoted(value)}`).join(',')}]`;

mkdirSync(folder, { recursive: true });
for (const [language, [name, left, right]] of Object.entries(LANGUAGES)) {
    const [values, tree, exceptions] = require(`hyphen/patterns/${name}`);
    // Their places are told as they are in the divided word: behind the hyphens before them.
    const divided = Object.entries(exceptions).map(([word, at]) => {
        const places = at.map((place, i) => place - i);
        return [word, [0, ...places].map((from, i) => word.slice(from, places[i])).join('-')];
    });
    const php = `<?php\n\nreturn ['left'=>${left},'right'=>${right},'exceptions'=>${table(divided)},\n'patterns'=>${table([...patterns(tree, values)])}];\n`;
    writeFileSync(`${folder}${language}.php`, php);
}
