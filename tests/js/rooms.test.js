import assert from 'node:assert/strict';
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { test } from 'node:test';

const ROOT = fileURLToPath(new URL('../../resources/js/', import.meta.url));
/** Each room knows those before it; rooms of one line do not know each other. */
const ORDER = [['lib'], ['state'], ['sync'], ['commands'], ['ui'], ['note', 'map'], ['views']];
const LINES = 250;
const COLUMNS = 140;

const files = readdirSync(ROOT, { recursive: true }).filter((file) => file.endsWith('.js'));
const source = (file) => readFileSync(join(ROOT, file), 'utf8');
const room = (file) => (file.includes('/') ? file.split('/')[0] : '');
const rank = (name) => ORDER.findIndex((rooms) => rooms.includes(name));

/** What a file imports of ours, at once or when it is wanted; types are only named. */
function imports(file) {
    const text = source(file).replace(/\/\*[\s\S]*?\*\//g, '');
    return [...text.matchAll(/(?:from|import)\s*\(?\s*'(\.[^']+)'/g)]
        .map(([, path]) => relative(ROOT, join(ROOT, dirname(file), path)))
        .filter((path) => path.endsWith('.js'));
}

test('a room knows only those before it', () => {
    const wrong = [];
    for (const file of files) {
        for (const path of imports(file)) {
            const [from, to] = [room(file), room(path)];
            const isBefore =
                from === to || from === '' || (from === 'pages' ? ['lib', 'ui'].includes(to) : rank(to) >= 0 && rank(to) < rank(from));
            if (!isBefore) {
                wrong.push(`${file} imports ${path}`);
            }
        }
    }
    assert.deepEqual(wrong, []);
});

test('every room of the page has its place in the order', () => {
    assert.deepEqual(
        [...new Set(files.map(room))].filter((name) => name && name !== 'pages' && rank(name) < 0),
        [],
    );
});

test('a file has one idea: no more lines and columns than can be read at once', () => {
    const long = files
        .filter((file) => source(file).split('\n').length - 1 > LINES)
        .map((file) => `${file}: ${source(file).split('\n').length - 1} lines`);
    const wide = files.flatMap((file) =>
        source(file)
            .split('\n')
            .flatMap((line, i) => (line.length > COLUMNS ? [`${file}:${i + 1}: ${line.length} columns`] : [])),
    );
    assert.deepEqual([...long, ...wide], []);
});
