/** @typedef {import('./topics.js').Row} Row */

/**
 * The visible rows under a topic in reading order, folded branches left out; with `only`, these
 * topics and what they stand under, folded or not.
 * @param {import('./plan.js').Tree} tree
 * @param {ReadonlySet<string>} folds
 * @param {string} start
 * @param {ReadonlySet<string> | null} only
 * @returns {Row[]}
 */
export function rowsUnder(tree, folds, start, only) {
    /** @type {Row[]} */
    const rows = [];
    const visible = only && withParents(tree, only);
    /** @type {Row[]} */
    const stack = [];
    const push = (/** @type {string} */ parent, /** @type {number} */ level) => {
        const parts = tree.parts.get(parent) ?? [];
        for (let i = parts.length - 1; i >= 0; i--) {
            if (!visible || visible.has(parts[i])) {
                stack.push({ id: parts[i], level });
            }
        }
    };
    push(start, 1);
    while (stack.length) {
        const row = /** @type {Row} */ (stack.pop());
        rows.push(row);
        if (visible || !folds.has(row.id)) {
            push(row.id, row.level + 1);
        }
    }
    return rows;
}

/** Topics with all that they stand under. @param {import('./plan.js').Tree} tree @param {Iterable<string>} ids */
export function withParents(tree, ids) {
    /** @type {Set<string>} */
    const all = new Set();
    for (const id of ids) {
        for (let at = id; at && !all.has(at); at = tree.get(at)?.parent) {
            all.add(at);
        }
    }
    return all;
}
