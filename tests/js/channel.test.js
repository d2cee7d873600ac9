import assert from 'node:assert/strict';
import { test } from 'node:test';
import { browser } from './browser.js';

const server = browser();
server.answer = async () => ({ status: 200, body: { revision: 7 } });
const { Channel } = await import('../../resources/js/sync/channel.js');
const { lose } = await import('../../resources/js/sync/shown.js');

/** A page whose queue the test fills and empties, and what it asked for. */
function opened(base = 5) {
    const asked = server.requests;
    asked.length = 0;
    const taken = [];
    const queue = { base, heard: 0, isLost: false, shown: new Set(), isEmpty: true, flush: async () => {}, tell() {} };
    const session = {
        data: { user: 1, pulse: '/pulse?', stream: '' },
        address: '/plans/P',
        queue,
        take: (answer) => taken.push(answer.revision),
    };
    return { channel: new Channel(session), queue, asked, taken };
}

test('what is told while changes are on their way is asked for once they are answered', async () => {
    for (const tell of [
        (channel) => channel.at({ revision: 7, talk: 0, people: 0 }),
        (channel) => channel.news({ from: 6, by: [2], news: { revision: 7 } }),
    ]) {
        const { channel, queue, asked, taken } = opened();
        queue.isEmpty = false;
        tell(channel);
        assert.deepEqual(asked, []);
        // One's own change was taken in before the other's: its answer does not know of that.
        queue.isEmpty = true;
        queue.base = 6;
        await channel.catchUp();
        assert.equal(asked.length, 1);
        assert.match(asked[0].address, /changes\?since=6$/);
        assert.deepEqual(taken, [7]);
        assert.equal(queue.base, 7);
        await channel.catchUp();
        assert.equal(asked.length, 1);
    }
});

test('what the answer to one’s own changes tells is not asked for again', async () => {
    const { channel, queue, asked } = opened();
    queue.isEmpty = false;
    channel.at({ revision: 6, talk: 0, people: 0 });
    queue.isEmpty = true;
    queue.base = 6;
    await channel.catchUp();
    assert.deepEqual(asked, []);
});

test('what was asked for before a change was refused does not stand for the whole that is asked for then', async () => {
    const { channel, queue, asked, taken } = opened();
    let first;
    server.answer = () => new Promise((resolve) => (first = () => resolve({ status: 200, body: { revision: 7 } })));
    const before = channel.ask();
    lose(queue);
    first();
    await before;
    assert.deepEqual(taken, []);
    // Nor does what another tells meanwhile.
    server.answer = async () => ({ status: 200, body: { revision: 7, whole: true } });
    channel.take({ revision: 8 }, 5);
    await channel.catchUp();
    assert.match(asked.at(-1).address, /changes\?since=0$/);
    assert.deepEqual(taken, [7]);
    assert.equal(queue.base, 7);
});

test('an answer holds for the page as it was when it was asked for: what came and went again meanwhile is not in it', async () => {
    const { channel, queue, asked, taken } = opened(144);
    const answers = [];
    server.answer = () => new Promise((resolve) => answers.push((revision) => resolve({ status: 200, body: { revision } })));
    const [early, late] = [channel.ask(), channel.ask()];
    answers[1](145);
    await late;
    assert.deepEqual([taken, queue.base], [[145], 145]);
    answers[0](146);
    await early;
    assert.deepEqual([taken, queue.base], [[145], 145], 'it tells what is new since 144');
    assert.match(asked.at(-1).address, /changes\?since=145$/);
});
