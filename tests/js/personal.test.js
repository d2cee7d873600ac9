import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { browser } from './browser.js';
import { Personal } from '../../resources/js/sync/personal.js';

const WHOSE = { user: 1, plan: 'P' };
let server;

beforeEach(() => {
    server = browser();
});

test('what is kept is sent, and is there for the next page whatever becomes of the server', async () => {
    server.answer = async () => ({ status: 0 });
    const away = new Personal(WHOSE, 'folds', { folded: [] });
    away.keep({ folded: ['a'] });
    await away.flush();
    clearTimeout(away.timer);
    const next = new Personal(WHOSE, 'folds', { folded: [] });
    assert.deepEqual(next.value, { folded: ['a'] });
    await next.flush();
    clearTimeout(next.timer);
    server.answer = async () => ({ status: 204 });
    await next.flush();
    assert.deepEqual(server.requests.at(-1).body, { folded: ['a'] });
    assert.equal(server.kept.size, 0);
});

test('a page that was asked for before its choice had arrived, and comes after it, shows the choice', async (t) => {
    const first = new Personal(WHOSE, 'folds', { folded: [] });
    await first.flush();
    first.keep({ folded: ['a'] });
    await first.flush();
    clearTimeout(first.timer);
    assert.deepEqual(new Personal(WHOSE, 'folds', { folded: [] }).value, { folded: ['a'] });
    const later = Date.now() + 11_000;
    t.mock.method(Date, 'now', () => later);
    assert.deepEqual(new Personal(WHOSE, 'folds', { folded: ['b'] }).value, { folded: ['b'] }, 'Later the server knows better.');
});
