// Reads the output of a test runner: prints how many passed, failed and were skipped, then what failed, a line each.
import { readFileSync } from 'node:fs';

const [, , file, code, name] = process.argv;
const text = readFileSync(file, 'utf8').replace(/\u001b\[[0-9;]*m/g, '');
const last = (pattern) => Number([...text.matchAll(pattern)].at(-1)?.[1] ?? 0);
const tests = last(/(?:OK \(|Tests: )(\d+)/g);
let counts;
let failures = [];
if (tests) {
    const failed = last(/Failures: (\d+)/g) + last(/Errors: (\d+)/g);
    const skipped = last(/Skipped: (\d+)/g);
    counts = [tests - failed - skipped, failed, skipped];
    failures = [...text.matchAll(/^\d+\) (\S+::.+\n.*)/gm)].map((match) => match[1].replace('\n', ': '));
} else if (/^# pass \d+/m.test(text)) {
    counts = [last(/^# pass (\d+)/gm), last(/^# fail (\d+)/gm), last(/^# skipped (\d+)/gm)];
    failures = [...text.matchAll(/^\s*not ok \d+ - (.+)/gm)].map((match) => match[1]);
} else if (/^\s+\d+ passed/m.test(text)) {
    counts = [last(/^\s+(\d+) passed/gm), last(/^\s+(\d+) failed/gm), last(/^\s+(\d+) skipped/gm)];
    failures = [...text.matchAll(/^\s+\d+\) (\S+\.spec\.js:.+?)[ ─]*$/gm)].map((match) => match[1]);
} else {
    counts = [code === '0' ? 1 : 0, 0, 0];
}
if (code !== '0' && counts[1] === 0) {
    counts[1] = 1;
}
if (counts[1] > 0 && failures.length === 0) {
    failures = [text.trim().split('\n').slice(-3).join(' ')];
}
console.log(counts.join(' '));
for (const failure of new Set(counts[1] > 0 ? failures : [])) {
    console.log(`${name}: ${failure.slice(0, 300)}`);
}
