import assert from 'node:assert/strict';
import { mock, test } from 'node:test';
import { browser } from './browser.js';

browser();
const { Stream } = await import('../../resources/js/sync/stream.js');

/** A line that opens and breaks as the test says. */
class Line extends EventTarget {
    static all = [];
    constructor(address) {
        super();
        this.address = address;
        this.isClosed = false;
        Line.all.push(this);
    }
    close() {
        this.isClosed = true;
    }
    opens() {
        this.dispatchEvent(new Event('open'));
    }
    breaks() {
        this.dispatchEvent(new Event('error'));
    }
    tells(name, told) {
        this.dispatchEvent(Object.assign(new Event(name), { data: JSON.stringify(told) }));
    }
}
globalThis.EventSource = Line;

/** A page in sight with its stream, and what it heard. */
function page(name = 'PAGE1') {
    Line.all = [];
    const heard = [];
    const hears = (what) => (told) => heard.push([what, told]);
    const stream = new Stream(name, {
        address: 'http://stream/plans/X?by=1',
        renew: async () => 'http://stream/plans/X?by=2',
        at: hears('at'),
        news: hears('news'),
        here: hears('here'),
        out: hears('out'),
        open: hears('open'),
    });
    stream.seen(true);
    return { stream, heard };
}

test('a stream opens while the page is in sight, tells what comes, and not where one is oneself', () => {
    const { stream, heard } = page();
    assert.equal(Line.all[0].address, 'http://stream/plans/X?by=1&page=PAGE1');
    Line.all[0].opens();
    Line.all[0].tells('at', { revision: 2 });
    Line.all[0].tells('here', { people: [{ page: 'PAGE1' }, { page: 'PAGE2' }] });
    assert.deepEqual(heard, [
        ['open', true],
        ['at', { revision: 2 }],
        ['here', [{ page: 'PAGE2' }]],
    ]);
    assert.equal(stream.isOpen, true);
});

test('who is told to be out hears nothing more, and does not come back', () => {
    mock.timers.enable({ apis: ['setTimeout'] });
    const { heard } = page();
    Line.all[0].opens();
    Line.all[0].tells('out', {});
    Line.all[0].tells('at', { revision: 9 });
    mock.timers.tick(600_000);
    assert.equal(Line.all.length, 1);
    assert.equal(Line.all[0].isClosed, true);
    assert.equal(heard.at(-1)[0], 'out');
    mock.timers.reset();
});

test('where it breaks the page asks at once, and tries again, later each time and at a moment of its own', () => {
    const moments = [];
    for (let i = 0; i < 200; i++) {
        mock.timers.enable({ apis: ['setTimeout'] });
        const { heard } = page(`P${i}`);
        Line.all[0].opens();
        Line.all[0].breaks();
        assert.deepEqual(heard.at(-1), ['open', false]);
        let waited = 0;
        while (Line.all.length < 2) {
            mock.timers.tick(50);
            waited += 50;
        }
        moments.push(waited);
        mock.timers.reset();
    }
    // Two hundred pages that lost it together: no half second sees more than a fair part of them again.
    const inHalfSeconds = Map.groupBy?.(moments, (time) => Math.floor(time / 500)) ?? new Map();
    assert.ok(Math.max(...moments) - Math.min(...moments) > 1000, 'they are spread');
    for (const [, some] of inHalfSeconds) {
        assert.ok(some.length < 120);
    }
    mock.timers.enable({ apis: ['setTimeout'] });
    page();
    const waits = [];
    for (let i = 0; i < 6; i++) {
        const before = Line.all.length;
        Line.all.at(-1).breaks();
        let waited = 0;
        while (Line.all.length === before) {
            mock.timers.tick(100);
            waited += 100;
        }
        waits.push(waited);
    }
    assert.ok(waits[5] > waits[0] * 4, String(waits));
    mock.timers.reset();
});

test('a page that is hidden for a while lets go of it, and takes it up when it is seen', () => {
    mock.timers.enable({ apis: ['setTimeout'] });
    const { stream } = page();
    Line.all[0].opens();
    stream.seen(false);
    mock.timers.tick(60_000);
    assert.equal(Line.all[0].isClosed, true);
    stream.seen(true);
    assert.equal(Line.all.length, 2);
    mock.timers.reset();
});

test('without an address nothing is opened', () => {
    Line.all = [];
    const stream = new Stream('P', { address: '', renew: async () => '', at() {}, news() {}, here() {}, out() {}, open() {} });
    stream.seen(true);
    stream.seen(false);
    assert.equal(Line.all.length, 0);
});
