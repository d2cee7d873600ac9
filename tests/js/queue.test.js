import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { browser } from './browser.js';
import { Queue } from '../../resources/js/sync/queue.js';

let server;
let told;

beforeEach(() => {
    server = browser();
    told = { answers: [], parts: [], refused: [], states: [] };
});

function queue() {
    return new Queue({
        user: 1,
        plan: 'P',
        address: '/plans/P',
        revision: 5,
        savedAt: new Date(0),
        beside: () => ({ map: 1 }),
        onAnswer: (answer) => told.answers.push(answer),
        onPart: (answer) => told.parts.push(answer),
        onRefused: (refused) => told.refused.push(...refused),
        onState: (state) => told.states.push(state),
    });
}

const ok = (revision, refused = []) => ({ status: 200, body: { revision, refused } });
const kinds = () => server.requests.map(({ body }) => body.operations.map(({ type }) => type));

test('changes go out in order, with what was asked for beside them, and are kept until they are acknowledged', async () => {
    server.answer = async () => {
        assert.equal(server.kept.size, 2);
        return ok(7);
    };
    const one = queue();
    one.add({ type: 'add' });
    one.add({ type: 'move' });
    await one.flush();
    assert.deepEqual(kinds(), [['add', 'move']]);
    assert.equal(server.requests[0].body.base, 5);
    assert.equal(server.requests[0].body.map, 1);
    assert.equal(server.kept.size, 0);
    assert.equal(one.base, 7);
    assert.equal(told.states.at(-1), 'saved');
});

test('what is not acknowledged goes out again as it was, with the same id', async () => {
    let isAway = true;
    server.answer = async () => (isAway ? { status: 0 } : ok(6));
    const one = queue();
    const id = one.add({ type: 'retitle', title: 'a' });
    await one.flush();
    assert.equal(one.state, 'away');
    assert.equal(one.isWaiting(id), false);
    isAway = false;
    await one.flush();
    assert.equal(server.requests[1].body.operations[0].id, server.requests[0].body.operations[0].id);
    assert.equal(one.isEmpty, true);
});

test('a change that waits can be written on; one that has gone out cannot', async () => {
    server.answer = async () => ok(6);
    const one = queue();
    const id = one.add({ type: 'retitle', title: 'a' }, 'step', 'a');
    one.replace(id, { type: 'retitle', title: 'ab' }, 'ab');
    await one.flush();
    assert.deepEqual(
        server.requests[0].body.operations.map(({ title, step }) => [title, step]),
        [['ab', 'step']],
    );
    assert.equal(one.isWaiting(id), false);
});

test('what one tab has left is taken along by the next', async () => {
    server.answer = async () => ({ status: 0 });
    const closed = queue();
    closed.add({ type: 'add' });
    await closed.flush();
    clearTimeout(closed.timer);
    server.answer = async () => ok(6);
    const next = queue();
    next.add({ type: 'move' });
    await next.flush();
    assert.deepEqual(kinds().at(-1), ['add', 'move']);
    assert.equal(server.kept.size, 0);
});

test('one change that cannot be read does not hold up the others', async () => {
    server.answer = async ({ body }) =>
        body.operations.some(({ type }) => type === 'bad') ? { status: 422, body: { message: 'No.' } } : ok(6);
    const one = queue();
    ['add', 'bad', 'move'].forEach((type) => one.add({ type }));
    await one.flush();
    assert.deepEqual(kinds(), [['add', 'bad', 'move'], ['add'], ['bad'], ['move']]);
    assert.deepEqual(
        told.refused.map(({ reason }) => reason),
        ['value'],
    );
    assert.equal(one.isEmpty, true);
});

test('a change at which the server fails again and again is set aside, when the server is well', async () => {
    server.answer = async ({ method, body }) =>
        method === 'GET' ? ok(5) : body.operations[0].type === 'bad' ? { status: 500, body: {} } : ok(6);
    const one = queue();
    one.add({ type: 'bad' });
    for (let i = 0; i < 3; i++) {
        await one.flush();
        clearTimeout(one.timer);
    }
    assert.deepEqual(
        told.refused.map(({ reason }) => reason),
        ['failed'],
    );
    one.add({ type: 'move' });
    await one.flush();
    assert.equal(one.isEmpty, true);
});

test('while a part of the server is away a change is tried on and on, and never set aside', async () => {
    for (const status of [502, 503, 504]) {
        server.answer = async ({ method }) => (method === 'GET' ? ok(5) : { status, body: {} });
        const one = queue();
        one.add({ type: 'move' });
        for (let i = 0; i < 6; i++) {
            await one.flush();
            clearTimeout(one.timer);
        }
        assert.equal(one.isEmpty, false, `after ${status} it waits`);
        assert.deepEqual(told.refused, []);
        server.answer = async () => ok(6);
        await one.flush();
        assert.equal(one.isEmpty, true);
    }
});

test('what takes a topic away goes out after what was held before it', async () => {
    server.answer = async () => ok(6);
    const one = queue();
    one.add({ type: 'note' }, 'step', null, true);
    one.add({ type: 'dissolve' });
    await one.flush();
    assert.deepEqual(kinds(), [['note', 'dissolve']]);
});

test('a change that is held goes out when it is released, and others do not wait for it', async () => {
    server.answer = async () => ok(6);
    const one = queue();
    const held = one.add({ type: 'note' }, 'step', null, true);
    one.add({ type: 'move' });
    await one.flush();
    assert.deepEqual(kinds(), [['move']]);
    one.release(held);
    await one.flush();
    assert.deepEqual(kinds(), [['move'], ['note']]);
});
