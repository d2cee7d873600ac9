import assert from 'node:assert/strict';
import test from 'node:test';
import { browser } from './browser.js';

const server = browser();
const { Talking } = await import('../../resources/js/sync/talking.js');
const { Channel } = await import('../../resources/js/sync/channel.js');

/** What is said in a plan as one page knows it, up to which change. */
function talking() {
    const known = { known: 3, take: () => {} };
    const one = new Talking({ address: '/plans/P' }, known, () => {});
    one.heard = (answer) => (known.known = answer.talk);
    return { one, known };
}

test('what is told of while the answer is on its way is asked for again', async () => {
    const { one, known } = talking();
    let answers = 0;
    server.requests.length = 0;
    server.answer = async () => ({ status: 200, body: { talk: 4 + answers++ } });
    const first = one.load();
    // Another has said something meanwhile: it may have come too late for this answer.
    const second = one.load();
    assert.equal(await first, await second);
    assert.equal(known.known, 5);
    assert.deepEqual(
        server.requests.map(({ address }) => address),
        ['/plans/P/comments?since=3', '/plans/P/comments?since=4'],
    );
    await one.load();
    assert.equal(server.requests.length, 3);
});

test('what could not be heard is asked for until it is', async (context) => {
    context.mock.timers.enable({ apis: ['setTimeout'] });
    const queue = { base: 5, heard: 5, isLost: false, shown: new Set(), isEmpty: true, flush: async () => {}, tell() {} };
    const channel = new Channel({ data: { user: 1, pulse: '/pulse?', stream: '' }, address: '/plans/P', queue, take() {} });
    channel.known.talk = 1;
    const { one } = talking();
    let tries = 0;
    server.answer = async () => (tries++ < 2 ? { status: 503, body: {} } : { status: 200, body: { talk: 9 } });
    channel.on.talk = () => one.load();
    const settle = () => new Promise((resolve) => setImmediate(resolve));
    channel.at({ revision: 5, talk: 9, people: 0 });
    for (let i = 0; i < 5; i++) {
        await settle();
        await settle();
        context.mock.timers.tick(3000);
    }
    assert.equal(tries, 3);
});
