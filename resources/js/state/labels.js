import { signName } from '../lib/sign-forms.js';
import { signsOfWork } from './work.js';

/** Two names that differ in capitals alone are one label. @param {string} name */
export const sameLabel = (name) => name.toLowerCase();

/**
 * The labels of a plan in the order of its list, with their dyes; last, any on a topic that is not listed.
 * @param {import('./plan.js').Tree} tree
 * @returns {Map<string, string>}
 */
export function labelsOf(tree) {
    /** @type {Map<string, string>} */
    const labels = new Map(tree.properties.labels ?? []);
    for (const topic of tree.topics.values()) {
        for (const name of topic.labels) {
            labels.has(name) || labels.set(name, 'slate');
        }
    }
    return labels;
}

/** @param {import('./plan.js').Tree} tree @param {string} name */
export const dyeOfLabel = (tree, name) =>
    (tree.properties.labels ?? []).find((/** @type {[string, string]} */ [listed]) => listed === name)?.[1] ?? 'slate';

/** @typedef {'kind' | 'sign' | 'flag' | 'label' | 'who' | 'due' | 'due-soon' | 'done' | 'said' | 'fresh' | 'here'} Which */
/**
 * What stands beside the title of a topic, wherever it is shown: which sign, its text, what is said of it, and its dye.
 * @typedef {{which: Which, text: string, says: string, sign?: string, flag?: string, dye?: string}} Sign
 */

/** @param {import('./plan.js').Tree} tree @param {import('./topics.js').Topic} topic @returns {Sign[]} */
export function signsOf(tree, topic) {
    /** @type {Sign[]} */
    const signs = [];
    if (topic.kind !== 'section') {
        signs.push({ which: 'kind', text: topic.kind, says: topic.kind });
    }
    if (topic.sign) {
        signs.push({ which: 'sign', text: '', says: `sign ${signName(topic.sign)}`, sign: topic.sign });
    }
    if (topic.flag) {
        const text = topic.flag.replace('-', ' ');
        signs.push({ which: 'flag', text, says: `flag ${text}`, flag: topic.flag });
    }
    for (const name of topic.labels) {
        signs.push({ which: 'label', text: name, says: name, dye: dyeOfLabel(tree, name) });
    }
    return [...signs, ...signsOfWork(topic), ...tree.beside.signs(topic.id)];
}

/** Signs for which a narrow screen has no room beside a title; they are told in the name of the row all the same. */
const WIDE = new Set(['label', 'due', 'due-soon', 'done']);

/** What of that is shown in a row. @param {import('./plan.js').Tree} tree @param {import('./topics.js').Topic} topic */
export const rowSigns = (tree, topic) => signsOf(tree, topic).filter(({ which }) => !tree.beside.isNarrow || !WIDE.has(which));

/**
 * Labels put on topics and taken off, as the server does it.
 * @param {string[]} labels @param {string[]} put @param {string[]} take
 */
export function relabelled(labels, put, take) {
    const off = new Set([...take, ...put].map(sameLabel));
    return [...labels.filter((name) => !off.has(sameLabel(name))), ...put].sort((a, b) =>
        sameLabel(a).localeCompare(sameLabel(b), undefined, { numeric: true }),
    );
}
