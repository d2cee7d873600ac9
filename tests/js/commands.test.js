import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Commands, always, keyOf, nameOf, when, written } from '../../resources/js/commands/commands.js';

test('a command says whether it may be done, and is done where it may', () => {
    const commands = new Commands();
    const done = [];
    commands.provide('row', {
        wrap: when(
            ({ id }) => id === 'a',
            ({ id }) => done.push(id),
        ),
        moveUp: always(() => done.push('up')),
    });
    assert.equal(commands.may('row', 'wrap', { id: 'b' }), false);
    assert.equal(commands.run('row', 'wrap', { id: 'b' }), false);
    assert.equal(commands.may('row', 'wrap', { id: 'a' }), true);
    assert.deepEqual(done, []);
    assert.equal(commands.run('row', 'wrap', { id: 'a' }), true);
    assert.equal(commands.run('row', 'moveUp'), true);
    assert.deepEqual(done, ['a', 'up']);
    assert.equal(commands.run('row', 'dissolve'), false);
});

test('only what stands in the table can be provided', () => {
    assert.throws(() => new Commands().provide('row', { flyAway: always(() => {}) }), /flyAway/);
});

test('what a place has is listed in the order of the table', () => {
    const commands = new Commands();
    commands.provide('row', { remove: always(() => {}), above: always(() => {}) });
    assert.deepEqual(
        commands.in(['row']).map(({ id }) => id),
        ['above', 'remove'],
    );
});

test('names and keys are those of the table', () => {
    assert.equal(nameOf('row', 'openNote'), 'Write the note');
    assert.equal(keyOf('row', 'moveUp'), 'Alt ↑');
    assert.equal(keyOf('row', 'toAnotherPlan'), '');
    assert.equal(written('Ctrl+Shift+='), 'Ctrl Shift =');
    assert.equal(written('+'), '+');
});
