// Reads the output of a test runner and prints how many passed, failed and were skipped.
import { readFileSync } from 'node:fs';

const [, , file, code] = process.argv;
const text = readFileSync(file, 'utf8').replace(/\u001b\[[0-9;]*m/g, '');
const last = (pattern) => Number([...text.matchAll(pattern)].at(-1)?.[1] ?? 0);
const tests = last(/(?:OK \(|Tests: )(\d+)/g);
let counts;
if (tests) {
    const failed = last(/Failures: (\d+)/g) + last(/Errors: (\d+)/g);
    const skipped = last(/Skipped: (\d+)/g);
    counts = [tests - failed - skipped, failed, skipped];
} else if (/^# pass \d+/m.test(text)) {
    counts = [last(/^# pass (\d+)/gm), last(/^# fail (\d+)/gm), last(/^# skipped (\d+)/gm)];
} else if (/^\s+\d+ passed/m.test(text)) {
    counts = [last(/^\s+(\d+) passed/gm), last(/^\s+(\d+) failed/gm), last(/^\s+(\d+) skipped/gm)];
} else {
    counts = [code === '0' ? 1 : 0, 0, 0];
}
if (code !== '0' && counts[1] === 0) {
    counts[1] = 1;
}
console.log(counts.join(' '));
