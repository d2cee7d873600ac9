import assert from 'node:assert/strict';
import { readFileSync, statSync } from 'node:fs';
import { test } from 'node:test';

const BUILD = new URL('../../public/build/', import.meta.url);
/** In bytes, before compression: 45 % of what the page of a plan loaded when it loaded everything at once. */
const MOST = 0.45 * 670_000;

test('what the outline loads before it can be used is less than half of all', () => {
    const manifest = JSON.parse(readFileSync(new URL('manifest.json', BUILD), 'utf8'));
    const seen = new Set();
    const load = (name) => {
        if (!seen.has(name)) {
            seen.add(name);
            manifest[name].imports?.forEach(load);
        }
    };
    load('resources/js/plan.js');
    const bytes = [...seen].reduce((sum, name) => sum + statSync(new URL(manifest[name].file, BUILD)).size, 0);
    const all = Object.values(manifest).filter(({ file }) => file.endsWith('.js'));
    assert.ok(all.length > seen.size, 'what the other views need comes later');
    assert.ok(bytes > 50_000 && bytes < MOST, `${bytes} bytes`);
});
