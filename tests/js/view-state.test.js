import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { browser } from './browser.js';
import { ROOT, Tree } from '../../resources/js/state/plan.js';
import { ViewState } from '../../resources/js/state/view-state.js';

const topic = (id, parent = ROOT, more = {}) => ({ id, parent, title: id, ...more });
const plan = (...topics) => new Tree({ topics, figures: {}, relations: [], properties: {}, title: 'Plan' });
const keeps = (value) => ({
    value,
    kept: [],
    keep(what) {
        this.kept.push(what);
    },
});
let state;
let tree;

beforeEach(() => {
    browser();
    tree = plan(topic('a'), topic('b'), topic('b1', 'b', { flag: 'key' }), topic('c'));
    state = new ViewState(tree, { folds: keeps({ folded: ['b'] }), look: keeps({ focus: null, dimmed: false }) }, 'decided');
});

const gone = (...ids) => {
    tree.take({ topics: [], removed: ids, numbers: { runs: [] }, figures: {}, properties: {}, title: 'Plan' });
    state.carry(['a', 'b', 'b1', 'c']);
};

test('a mark goes with its topic, whatever happens around it', () => {
    state.markAll(['a', 'c'], 'c');
    gone('b', 'b1');
    assert.deepEqual([...state.marked.get()], ['a', 'c']);
    assert.equal(state.active.get(), 'c');
});

test('what has gone is let go of, nothing is marked in its place, and what stands there now is known', () => {
    state.mark('b');
    gone('b', 'b1');
    assert.equal(state.active.get(), null);
    assert.equal(state.marked.get().size, 0);
    assert.equal(state.beside, 'c');
    state.mark('c');
    gone('c');
    assert.equal(state.beside, 'a');
});

test('a branch in focus that has gone gives way to the whole plan', () => {
    state.focusOn('b', false);
    assert.equal(state.isAlone, true);
    gone('b', 'b1');
    assert.equal(state.start.get(), ROOT);
});

test('folding is kept, opening on the way to something is not', () => {
    assert.equal(state.unfold('b'), true);
    assert.equal(state.unfold('b'), false);
    assert.deepEqual(state.kept.folds.kept, []);
    state.fold((folds) => folds.add('b'));
    assert.deepEqual(state.kept.folds.kept, [{ folded: ['b'] }]);
});

test('a map folds itself only where the person has folded nothing, here or ever', () => {
    assert.equal(state.mayFoldItself, false);
    state.unfold('b');
    assert.equal(state.mayFoldItself, true);
    state.foldMap(['b']);
    assert.deepEqual([...state.folds(true)], ['b']);
    assert.deepEqual([...state.folds()], []);
    state.fold((folds) => folds.clear(), true);
    assert.equal(state.mapFolds.get(), null);
    assert.equal(state.mayFoldItself, false);
});

test('a filter shows what it is for, and what was made meanwhile', () => {
    assert.equal(state.only, null);
    state.toggleFlag('key');
    assert.deepEqual([...state.only], ['b1']);
    state.also('c');
    assert.deepEqual([...state.only], ['b1', 'c']);
    state.showAll();
    assert.equal(state.only, null);
});

test('who listens is told of every change, and nobody can change it in place', () => {
    const seen = [];
    state.marked.listen((marked) => seen.push([...marked].join()));
    state.mark('a');
    state.toggle('b');
    state.toggle('a');
    assert.deepEqual(seen, ['a', 'a,b', 'b']);
});
