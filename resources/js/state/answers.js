import { ROOT, TRAY, usual } from './topics.js';

/**
 * Takes in what PHP says has changed: rows in reading order, each that stands elsewhere after its sibling.
 * @param {import('./plan.js').Tree} tree
 * @param {import('./topics.js').Answer} answer
 */
export function takeAnswer(tree, answer) {
    // What is told is what is new since the page was told last, numbers that it hid among it.
    tree.hidden.forEach((label, id) => {
        const topic = tree.get(id);
        topic && (topic.label = label);
    });
    tree.hidden.clear();
    // Told the whole, nothing stands where it stood.
    answer.whole && tree.parts.clear();
    for (const row of answer.topics) {
        const { after, ...topic } = row;
        const known = tree.get(topic.id);
        if (after === undefined) {
            // It stands where it stood; where the page has it elsewhere, or has taken it away meanwhile, it no longer knows where that is.
            known && (topic.parent ?? known.parent) === known.parent ? Object.assign(known, topic) : (tree.isAstray = true);
            continue;
        }
        tree.isAstray ||= ![ROOT, TRAY].includes(tree.home(topic.parent) ?? '');
        if (known) {
            tree.detach([topic.id]);
            Object.assign(known, topic);
        } else {
            tree.topics.set(topic.id, { ...usual(), ...topic });
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
    if (answer.numbers.all) {
        tree.topics.forEach((topic) => {
            topic.label = '';
        });
    }
    answer.numbers.runs.forEach((/** @type {any} */ run) => (run.under ? carryOn(tree, run) : renumber(tree, run)));
    Object.entries(answer.figures).forEach(([id, figure]) => tree.figures.set(id, figure));
}

/**
 * A branch that counts on as it did under another number.
 * @param {import('./plan.js').Tree} tree
 * @param {{ under: string, was: string, is: string }} run
 */
function carryOn(tree, { under, was, is }) {
    for (const id of tree.branch(under)) {
        const topic = tree.get(id);
        if (id !== under && topic?.label?.startsWith(`${was}.`)) {
            topic.label = is + topic.label.slice(was.length);
        }
    }
}

/**
 * @param {import('./plan.js').Tree} tree
 * @param {{ parent: string, from: number, own: string[] }} run
 */
function renumber(tree, { parent, from, own }) {
    const parts = tree.partsOf(parent);
    own.forEach((label, i) => {
        const topic = tree.get(parts[from + i]);
        if (topic) {
            topic.label = label;
        }
    });
}

/**
 * The strip as it was told, its sections called and dyed as they are now.
 * @param {import('./plan.js').Tree} tree
 * @returns {any[]}
 */
export function renamedStrip(tree) {
    const now = (/** @type {any} */ { id }) => ({ title: tree.get(id)?.title ?? '', dye: tree.get(id)?.dye ?? 'slate' });
    const isOther = (/** @type {any} */ one) => one.title !== now(one).title || one.dye !== now(one).dye;
    // Another list only where something is new: what is drawn is drawn anew for that alone.
    return tree.strip.some(isOther) ? tree.strip.map((/** @type {any} */ one) => ({ ...one, ...now(one) })) : tree.strip;
}
