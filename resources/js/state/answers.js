import { USUAL } from './topics.js';

/**
 * Takes in what PHP says has changed: rows in reading order, each that stands elsewhere after its sibling.
 * @param {import('./plan.js').Tree} tree
 * @param {import('./topics.js').Answer} answer
 */
export function takeAnswer(tree, answer) {
    for (const row of answer.topics) {
        const { after, ...topic } = row;
        const known = tree.get(topic.id);
        if (after === undefined) {
            // It stands where it stood.
            known && Object.assign(known, topic);
            continue;
        }
        if (known) {
            tree.detach([topic.id]);
            Object.assign(known, topic);
        } else {
            tree.topics.set(topic.id, { ...USUAL, ...topic });
        }
        tree.insert([topic.id], { parent: topic.parent, after });
    }
    // Told the whole, what is not in it was never kept: a change that was refused.
    const told = answer.whole ? new Set(answer.topics.map((/** @type {import('./topics.js').Topic} */ topic) => topic.id)) : null;
    const gone = told
        ? [...tree.topics.keys()].filter((id) => !told.has(id))
        : answer.removed.filter((/** @type {string} */ id) => tree.topics.has(id));
    tree.detach(gone);
    gone.forEach((/** @type {string} */ id) => tree.topics.delete(id));
    if (answer.labels.all) {
        tree.topics.forEach((topic) => {
            topic.label = '';
        });
    }
    for (const { parent, from, own } of answer.labels.runs) {
        const parts = tree.partsOf(parent);
        own.forEach((/** @type {string} */ label, /** @type {number} */ i) => {
            const topic = tree.get(parts[from + i]);
            if (topic) {
                topic.label = label;
            }
        });
    }
    Object.entries(answer.figures).forEach(([id, figure]) => tree.figures.set(id, figure));
}
