// The reference processor on the sources and citations of styles.php: milliseconds for the text of all and the list.
// usage: node bench/styles.mjs DIRECTORY NAME…, which also writes each style and the locales there
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { CSL, grown, locales, styles, xml } from '../tests/csl/collection.mjs';

const ROUNDS = 2;
const [directory, ...names] = process.argv.slice(2);
const { items, citations } = JSON.parse(readFileSync(join(directory, 'work.json'), 'utf8'));
const byId = Object.fromEntries(items.map((item) => [item.id, item]));
for (const [tag, locale] of Object.entries(locales)) {
    writeFileSync(join(directory, `locales-${tag}.xml`), xml(locale));
}
const times = {};
for (const name of names) {
    writeFileSync(join(directory, `${name}.csl`), xml(styles[name]));
    const taken = [];
    for (let round = 0; round < ROUNDS; round++) {
        const engine = new CSL.Engine(
            {
                retrieveItem: (id) => structuredClone(byId[id]),
                retrieveLocale: (tag) => (locales[tag] ? grown(locales[tag]) : false),
            },
            grown(styles[name]),
        );
        const work = citations.map((cite, n) => ({
            citationID: `c${n}`,
            citationItems: [{ ...cite, label: 'page' }],
            properties: { noteIndex: engine.opt.xclass === 'note' ? n + 1 : 0 },
        }));
        const start = performance.now();
        const said = engine.rebuildProcessorState(work, 'html');
        const list = engine.makeBibliography();
        taken.push(performance.now() - start);
        if (said.length !== citations.length || (list && list[1].length !== items.length)) {
            throw new Error(`${name}: the reference left something out.`);
        }
    }
    times[name] = Math.min(...taken);
}
console.log(JSON.stringify(times));
