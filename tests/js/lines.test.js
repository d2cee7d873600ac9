import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { test } from 'node:test';
import { fromText } from '../../resources/js/lib/lines.js';
import { know } from '../../resources/js/lib/vocabulary.js';

know({ limits: { title: 1000 } });
const cases = JSON.parse(readFileSync(new URL('../fixtures/indented-lines.json', import.meta.url), 'utf8'));

/** The same table holds what PHP makes of a file (tests/Core/IndentedLinesTest). */
for (const { name, text, topics } of cases) {
    test(`indented text: ${name}`, () => {
        const made = fromText(text);
        const levels = new Map();
        const seen = made.map(({ id, parent, title, note }) => {
            levels.set(id, parent ? levels.get(parent) + 1 : 1);
            return [
                levels.get(id),
                title,
                ...(note ? [note.map((block) => block.content.map((one) => one.text).join('')).join('\n')] : []),
            ];
        });
        assert.deepEqual(seen, topics);
    });
}
