import assert from 'node:assert/strict';
import { test } from 'node:test';
import { browser } from './browser.js';
import { Keeping } from '../../resources/js/sync/keeping.js';

test('what notes cite is kept before they are, and is asked for again where it did not come', async () => {
    const server = browser();
    const kept = [];
    const known = {};
    const shelf = {
        keep: async (some) => {
            kept.push(...Object.keys(some));
            Object.assign(known, some);
        },
        keepNotes: async () => kept.push('notes'),
        known: async () => known,
    };
    const tree = { rows: () => [], get: () => null, figures: new Map(), relations: new Map() };
    const keeping = new Keeping({ shelf, tree, queue: { isEmpty: true, base: 4 }, address: '/plans/P' });
    let isAway = true;
    server.answer = async ({ address }) => {
        const isNotes = address.includes('/kept');
        return { status: !isNotes && isAway ? 0 : 200, body: isNotes ? { notes: { T: {} }, more: null } : { sources: [] } };
    };
    await keeping.keep();
    assert.equal(known.notesAt, undefined);
    assert.ok(!kept.includes('notes'));
    isAway = false;
    await keeping.keep();
    assert.equal(known.notesAt, 4);
    assert.deepEqual(known.sources, { sources: [] });
    assert.ok(kept.indexOf('sources') < kept.indexOf('notes'));
});
