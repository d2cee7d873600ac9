import assert from 'node:assert/strict';
import test from 'node:test';
import { browser } from './browser.js';
import { Newer } from '../../resources/js/sync/newer.js';

/** A page of the first version, with what it has tried, and how often it has loaded itself. */
function page({ hidden = false, mayGo = () => true, tried = {} } = {}) {
    const kept = { getItem: (name) => tried[name] ?? null, setItem: (name, value) => (tried[name] = value) };
    const told = { loaded: 0 };
    browser();
    globalThis.document.hidden = hidden;
    const newer = new Newer({ version: 'first', mayGo, load: () => told.loaded++, kept });
    return { newer, told, tried, end: () => clearInterval(newer.looking) };
}

test('a page that is told of its own version, or of none, stays', () => {
    const { newer, told } = page({ hidden: true });
    newer.heard('first');
    newer.heard(null);
    assert.equal(newer.looking, undefined);
    assert.equal(told.loaded, 0);
});

test('out of sight it loads itself anew as soon as nothing is lost by it', () => {
    let isSaved = false;
    const { newer, told } = page({ hidden: true, mayGo: () => isSaved });
    newer.heard('second');
    newer.look();
    assert.equal(told.loaded, 0, 'something waits to be saved');
    isSaved = true;
    newer.look();
    assert.equal(told.loaded, 1);
});

test('in sight it waits until nobody has touched it for half a minute', () => {
    const { newer, told, end } = page();
    newer.heard('second');
    newer.look();
    assert.equal(told.loaded, 0);
    newer.touched -= 31_000;
    newer.look();
    assert.equal(told.loaded, 1);
    end();
});

test('while both versions answer by turns it does not load itself again and again', () => {
    const tried = {};
    const first = page({ hidden: true, tried });
    first.newer.heard('second');
    first.newer.look();
    const again = page({ hidden: true, tried });
    again.newer.heard('second');
    assert.equal(again.newer.looking, undefined);
    again.newer.heard('third');
    again.newer.look();
    assert.deepEqual([first.told.loaded, again.told.loaded, tried['embrel.newer']], [1, 1, 'third']);
    again.end();
});
