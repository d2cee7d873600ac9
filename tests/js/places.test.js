import assert from 'node:assert/strict';
import { test } from 'node:test';
import { onDrop, onDropInGap, onEnter, onShift, onShiftTab, onTab } from '../../resources/js/state/places.js';
import { ROOT, TRAY, Tree } from '../../resources/js/state/plan.js';

/** A plan out of lines “id”, indented by two for each level; what stands after “~” is loose. */
function plan(text) {
    const stack = [ROOT];
    const topics = text.split('\n').flatMap((line) => {
        if (line === '~') {
            stack[0] = TRAY;
            return [];
        }
        const level = line.search(/\S/) / 2;
        stack[level + 1] = line.trim();
        return [{ id: line.trim(), parent: stack[level], title: line.trim() }];
    });
    return new Tree({ topics, figures: {}, relations: [], properties: {}, title: 'Plan' });
}

const tree = plan('a\nb\n  b1\n  b2\n    b21\nc\n~\nl');
const rows = [...tree.rows(new Set()), ...tree.rows(new Set(), TRAY).map((row) => ({ ...row, loose: true }))];

test('Enter: above from the very start, first part of an open branch from the end, else next to it', () => {
    const enter = (id, column, isFolded = false, length = 3) => onEnter(tree, id, { column, length, isFolded });
    assert.deepEqual(enter('b', 0), { at: { parent: ROOT, after: 'a' }, as: 'above' });
    assert.deepEqual(enter('b', 3), { at: { parent: 'b', after: null }, as: 'part' });
    assert.deepEqual(enter('b', 3, true), { at: { parent: ROOT, after: 'b' }, as: 'next' });
    assert.deepEqual(enter('b', 1), { at: { parent: ROOT, after: 'b' }, as: 'split' });
    assert.deepEqual(enter('a', 0, false, 0), { at: { parent: ROOT, after: 'a' }, as: 'next' });
});

test('up and down: past a sibling, then into the branch beside, and nowhere beyond the top', () => {
    assert.deepEqual(onShift(tree, ['c'], -1, ROOT), { parent: ROOT, after: 'a' });
    assert.deepEqual(onShift(tree, ['a'], 1, ROOT), { parent: ROOT, after: 'b' });
    assert.deepEqual(onShift(tree, ['b1'], -1, ROOT), { parent: 'a', after: null });
    assert.deepEqual(onShift(tree, ['b2'], 1, ROOT), { parent: 'c', after: null });
    assert.equal(onShift(tree, ['b2'], 1, 'b'), null, 'one branch alone is not left');
    assert.equal(onShift(tree, ['a'], -1, ROOT), null);
});

test('Tab goes into the sibling before, Shift with Tab after what it stands in', () => {
    assert.deepEqual(onTab(tree, ['c']), { parent: 'b', after: 'b2' });
    assert.equal(onTab(tree, ['a']), null);
    assert.deepEqual(onShiftTab(tree, ['b21'], ROOT), { parent: 'b', after: 'b2' });
    assert.equal(onShiftTab(tree, ['b21'], 'b2'), null);
    assert.equal(onShiftTab(tree, ['a'], ROOT), null);
});

test('a drop is never among what is dragged', () => {
    assert.deepEqual(onDrop(tree, 'c', 'before', new Set(['b', 'b1', 'b2', 'b21'])), { parent: ROOT, after: 'a' });
    assert.deepEqual(onDrop(tree, 'b', 'inside', new Set()), { parent: 'b', after: 'b2' });
    assert.deepEqual(onDrop(tree, 'b1', 'after', new Set()), { parent: 'b', after: 'b1' });
});

test('between two rows the level that is wished counts as far as the rows allow it', () => {
    const drop = (gap, wished, dragged = [], isUnderHeading = () => false) =>
        onDropInGap(tree, rows, gap, { wished, dragged: new Set(dragged), isUnderHeading });
    const after = (id) => rows.findIndex((row) => row.id === id) + 1;
    assert.deepEqual(drop(after('b21'), 1), { parent: ROOT, after: 'b', level: 1 });
    assert.deepEqual(drop(after('b21'), 2), { parent: 'b', after: 'b2', level: 2 });
    assert.deepEqual(drop(after('b21'), 9), { parent: 'b21', after: null, level: 4 });
    assert.deepEqual(drop(after('b'), 1), { parent: 'b', after: null, level: 2 }, 'no deeper than the row below asks for');
    assert.deepEqual(drop(after('b21'), 2, ['b2', 'b21']), { parent: 'b', after: 'b1', level: 2 });
    assert.deepEqual(drop(0, 1), { parent: ROOT, after: null, level: 1 });
    assert.deepEqual(drop(after('c'), 1), { parent: ROOT, after: 'c', level: 1 });
    assert.deepEqual(
        drop(after('c'), 1, [], () => true),
        { parent: TRAY, after: null, level: 1 },
    );
});
