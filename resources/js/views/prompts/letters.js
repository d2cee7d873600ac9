import { element } from '../../ui/element.js';

/** What can be asked for, as it is called. */
export const WISHES = [
    ['questions', 'Questions'],
    ['ideas', 'Related ideas'],
    ['draft', 'A draft of this'],
    ['summary', 'A summary'],
];

/**
 * @typedef {{id: string, wish: string, topic: string, helper: string, sent: string, answer: string | null, failed: string | null,
 *     taken: boolean, by: string, at: string}} Letter
 */

/** What was sent to a helper, and what came back. @param {Letter[]} letters */
export function past(letters) {
    const list = letters.length ? [element('h2', {}, 'What was sent, and what came back'), element('ul', {}, ...letters.map(entry))] : [];
    return element('div', { class: 'prompt-past' }, ...list);
}

/** @param {Letter} letter */
function entry({ wish, sent, answer, failed, taken, by, at, helper }) {
    const name = WISHES.find(([value]) => value === wish)?.[1] ?? wish;
    return element(
        'li',
        {},
        element(
            'details',
            {},
            element('summary', {}, `${name}, ${by}, ${new Date(at).toLocaleString('en-GB')}`, taken ? ' – taken' : ''),
            element('p', { class: 'quiet' }, `Sent to ${helper}:`),
            element('p', { class: 'prompt-piece-text', tabindex: 0 }, sent),
            element('p', { class: 'quiet' }, failed === null ? 'Nothing came back.' : failed || 'What came back:'),
            element('p', { class: 'prompt-piece-text', tabindex: 0 }, answer ?? ''),
        ),
    );
}
