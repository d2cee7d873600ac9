// What the reference processor prints of the items and sequences beside this file, in styles of its own collection, a file each:
// DIRECTORY/NAME.json, with the style as NAME.csl and all locales as locales-TAG.xml. Only the tests read these.
// A style in which it breaks off itself is said to, and left out; the names of all others are printed.
// usage: node tests/csl/reference.mjs DIRECTORY NAME… (or --all, or --every=N for one of N)
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { CSL, grown, locales, styles, xml } from './collection.mjs';

const here = dirname(new URL(import.meta.url).pathname);
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
    let out;
    try {
        out = {
            items: Object.fromEntries(items.map((/** @type {any} */ item) => [item.id, printed([[{ id: item.id }]])])),
            sequences: Object.fromEntries(sequences.map((/** @type {any} */ one) => [one.name, printed(one.clusters)])),
        };
    } catch (error) {
        console.error(`${name}: the reference processor breaks off (${/** @type {Error} */ (error).message})`);
        continue;
    }
    writeFileSync(join(directory, `${name}.csl`), xml(styles[name]));
    writeFileSync(join(directory, `${name}.json`), JSON.stringify(out));
    console.log(name);
}
