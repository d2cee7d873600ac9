import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { browser } from './browser.js';
import { know } from '../../resources/js/lib/vocabulary.js';
import { ROOT, Tree } from '../../resources/js/state/plan.js';
import { knownFrom, passOver, settle, toldOf } from '../../resources/js/sync/shown.js';

const nothing = { topics: [], removed: [], numbers: { all: false, runs: [] }, figures: {}, title: 'Plan' };
const USUAL = { title: '', noted: false, kind: 'section', dye: null, labels: [] };
let tree;

beforeEach(() => {
    browser();
    know({ usual: USUAL, fields: ['dye', 'flag'] });
    const topic = (id, parent = ROOT) => ({ id, parent, title: id });
    tree = new Tree({
        topics: [topic('a'), topic('b'), topic('b1', 'b')],
        figures: {},
        relations: [],
        properties: { labels: [['field', 'fern']] },
        title: 'Plan',
        strip: [
            { id: 'a', label: '1', title: 'a', dye: 'slate', share: 3 },
            { id: 'b', label: '2', title: 'b', dye: 'slate', share: 1 },
        ],
    });
});

test('what is told without a place stays where it is, and the strip calls it as it is called now', () => {
    const { strip } = tree;
    tree.take({ ...nothing, topics: [{ id: 'b1', parent: 'b', title: 'Mud' }] });
    assert.deepEqual([tree.get('b1').title, tree.partsOf('b')], ['Mud', ['b1']]);
    assert.equal(tree.strip, strip, 'the strip shows nothing else');
    tree.take({ ...nothing, topics: [{ id: 'b', parent: ROOT, title: 'Wall', dye: 'fern' }] });
    assert.deepEqual(tree.partsOf(ROOT), ['a', 'b']);
    assert.deepEqual(
        tree.strip.map(({ title, dye, share }) => [title, dye, share]),
        [
            ['a', 'slate', 3],
            ['Wall', 'fern', 1],
        ],
    );
    assert.deepEqual(tree.properties.labels, [['field', 'fern']], 'what is not told is as it was');
});

test('a branch counts on under another number; what stands beside it keeps its own', () => {
    tree.take({ ...nothing, topics: [{ id: 'b10', parent: 'b', after: 'b1', title: 'Ten' }] });
    tree.take({
        ...nothing,
        numbers: {
            all: true,
            runs: [
                { parent: ROOT, from: 0, own: ['1', '2'] },
                { parent: 'b', from: 0, own: ['2.1', '2.2'] },
            ],
        },
    });
    tree.take({
        ...nothing,
        numbers: {
            all: false,
            runs: [
                { under: 'b', was: '2', is: '12' },
                { parent: ROOT, from: 1, own: ['12'] },
            ],
        },
    });
    assert.deepEqual(
        ['a', 'b', 'b1', 'b10'].map((id) => tree.get(id).label),
        ['1', '12', '12.1', '12.2'],
    );
});

test('a page that lacks what it is told of knows that it has gone astray', () => {
    tree.take({ ...nothing, topics: [{ id: 'x', parent: 'b', title: 'Never seen' }] });
    assert.equal(tree.isAstray, true);
    tree.isAstray = false;
    tree.take({ ...nothing, topics: [{ id: 'y', parent: 'x', after: null, title: 'Under it' }] });
    assert.equal(tree.isAstray, true);
    tree.isAstray = false;
    tree.take({ ...nothing, topics: [{ id: 'b1', parent: 'a', title: 'Elsewhere' }] });
    assert.deepEqual(
        [tree.isAstray, tree.get('b1').parent, tree.partsOf('b')],
        [true, 'b', ['b1']],
        'without a place nothing is put elsewhere',
    );
    tree.isAstray = false;
    tree.take({ ...nothing, topics: [{ id: 'z', parent: 'b', after: 'b1', title: 'New' }] });
    assert.deepEqual([tree.isAstray, tree.partsOf('b')], [false, ['b1', 'z']]);
});

test('a plan that is told whole is as it is told, whatever the page had', () => {
    tree.partsOf('a').push('b1', 'gone');
    const told = (id, parent, after) => ({ id, parent, after, title: id });
    tree.take({ ...nothing, whole: true, removed: [], topics: [told('b', ROOT, null), told('b1', 'b', null), told('c', ROOT, 'b')] });
    assert.deepEqual([...tree.topics.keys()].sort(), ['b', 'b1', 'c']);
    assert.deepEqual([tree.partsOf(ROOT), tree.partsOf('b'), tree.partsOf('a')], [['b', 'c'], ['b1'], []]);
});

test('what changes named whose answer was passed over goes along with the next, or the plan is asked for whole', () => {
    const id = (n) => `0000000000000000000000000${n}`;
    const queue = { base: 7, shown: new Set() };
    assert.deepEqual([toldOf(queue), knownFrom(queue)], [{ base: 7 }, 7]);
    passOver(queue, [{ id: id(1), step: id(2), type: 'move', ids: [id(3)], at: { parent: id(4), after: null } }]);
    assert.deepEqual([toldOf(queue), knownFrom(queue)], [{ base: 7, shown: [id(3)] }, 0]);
    settle(queue, 9);
    assert.deepEqual([toldOf(queue), knownFrom(queue)], [{ base: 9 }, 9]);
});

test('a topic that was moved shows no number until it is answered, and then what it was told, or has as before', () => {
    tree.take({
        ...nothing,
        numbers: {
            all: true,
            runs: [
                { parent: ROOT, from: 0, own: ['1', '2'] },
                { parent: 'b', from: 0, own: ['2.1'] },
            ],
        },
    });
    const labels = () => ['a', 'b', 'b1'].map((id) => tree.get(id).label);
    tree.mirror({ type: 'move', ids: ['b'], at: { parent: ROOT, after: null } });
    tree.mirror({ type: 'move', ids: ['b'], at: { parent: ROOT, after: 'a' } });
    assert.deepEqual(labels(), ['1', '', '']);
    tree.take({ ...nothing, topics: [{ id: 'b', parent: ROOT, title: 'b', after: 'a' }] });
    assert.deepEqual(labels(), ['1', '2', '2.1']);
    tree.mirror({ type: 'move', ids: ['b'], at: { parent: ROOT, after: null } });
    tree.take({
        ...nothing,
        numbers: {
            all: false,
            runs: [
                { under: 'b', was: '2', is: '1' },
                { parent: ROOT, from: 0, own: ['1', '2'] },
            ],
        },
    });
    assert.deepEqual(labels(), ['2', '1', '1.1']);
});
