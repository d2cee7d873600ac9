import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { browser } from './browser.js';
import { noteOf } from '../../resources/js/sync/from-shelf.js';

const block = (id, text) => ({ type: 'paragraph', attrs: { id }, content: [{ type: 'text', text }] });
const change = (id, ...put) => ({ id, step: id, type: 'note', topic: 'T', put, remove: [], order: null });
let server;

beforeEach(() => {
    server = browser();
    server.answer = async () => {
        throw new TypeError('no network');
    };
});

test('a note that is told by the browser has what waits to be sent on it, and not what is being written now', async () => {
    const pending = [change('c1', block('b2', 'Before'))];
    let own;
    const session = {
        address: '/plans/P',
        queue: { pending },
        shelf: {
            keepNotes: () => {},
            // It takes its time: meanwhile one begins to write.
            note: async () => {
                pending.push(change('c2', block('b3', 'Under the')));
                own = 'c2';
                return { revision: 3, labels: {}, blocks: [block('b1', 'Kept')] };
            },
        },
    };
    const note = await noteOf(session, 'T', () => own);
    assert.deepEqual(
        note.blocks.map(({ content }) => content[0].text),
        ['Kept', 'Before'],
    );
    assert.equal(note.revision, 3);
});
