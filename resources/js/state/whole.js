import { ROOT, TRAY } from './topics.js';

/**
 * All that the page knows of a plan, in the shape in which it is told.
 * @param {import('./plan.js').Tree} tree
 * @returns {import('./topics.js').Answer}
 */
export function wholeOf(tree) {
    const topics = [ROOT, TRAY].flatMap((top) => tree.rows(new Set(), top)).map(({ id }) => tree.get(id));
    const { strip, words, target, title, properties, noted, steps } = tree;
    const [figures, relations] = [Object.fromEntries(tree.figures), [...tree.relations.values()]];
    return structuredClone({ topics, figures, relations, strip, words, target, title, properties, noted, steps });
}
