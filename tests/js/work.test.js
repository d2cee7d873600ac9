import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { dyeOfPerson, initials } from '../../resources/js/state/work.js';

const people = JSON.parse(readFileSync(new URL('../fixtures/people.json', import.meta.url), 'utf8'));

/** The same table holds what PHP draws on the map (tests/Core/WorkTest). */
for (const { who, ...sign } of people) {
    test(`the sign of ${who}`, () => assert.deepEqual({ initials: initials(who), dye: dyeOfPerson(who) }, sign));
}
