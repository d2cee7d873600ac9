import { ROOT, TRAY } from './topics.js';

/**
 * @typedef {import('./topics.js').Place} Place
 * @typedef {import('./topics.js').Row} Row
 * @typedef {import('./plan.js').Tree} Tree
 * @typedef {Place & {level: number}} Shown a place, and the level at which its line is drawn
 */

// Where what one does with a topic leads: asked for before it is done, to show it, and then to do it. Nothing here changes the tree.

/**
 * Where Enter puts the next topic while a title is written: above it from its very start, so that it is pushed down; at the
 * end of an open branch as its first part, as that stands right below; else after it, with what stands behind the caret.
 * @param {Tree} tree
 * @param {string} id
 * @param {{column: number, length: number, isFolded: boolean}} title where the caret stands in it, and how long it is
 * @returns {{at: Place, as: 'above' | 'part' | 'next' | 'split'}}
 */
export function onEnter(tree, id, { column, length, isFolded }) {
    if (column === 0 && length > 0) {
        return { at: tree.placeOf(id), as: 'above' };
    }
    const isEnd = column >= length;
    if (isEnd && tree.partsOf(id).length > 0 && !isFolded) {
        return { at: { parent: id, after: null }, as: 'part' };
    }
    return { at: { parent: tree.get(id).parent, after: id }, as: isEnd ? 'next' : 'split' };
}

/**
 * One place on among the siblings, and past their ends into the branch beside.
 * @param {Tree} tree
 * @param {string[]} ids what moves, in order
 * @param {-1 | 1} by
 * @param {string} top the topic above which nothing is moved
 * @returns {Place | null} null where there is none
 */
export function onShift(tree, ids, by, top) {
    const edge = /** @type {string} */ (by < 0 ? ids[0] : ids.at(-1));
    const { parent } = tree.get(edge);
    const siblings = tree.partsOf(parent);
    const at = siblings.indexOf(edge) + by;
    if (siblings[at]) {
        return { parent, after: by < 0 ? (siblings[at - 1] ?? null) : siblings[at] };
    }
    const uncles = tree.get(parent) && parent !== top ? tree.partsOf(tree.get(parent).parent) : [];
    const uncle = uncles[uncles.indexOf(parent) + by];
    if (!uncle) {
        return null;
    }
    return by < 0 ? tree.lastPlace(uncle) : { parent: uncle, after: null };
}

/** Tab: the last place inside the sibling before. @param {Tree} tree @param {string[]} ids @returns {Place | null} */
export function onTab(tree, ids) {
    const { after } = tree.placeOf(ids[0]);
    return after ? tree.lastPlace(after) : null;
}

/** Shift with Tab: after what it stands in. @param {Tree} tree @param {string[]} ids @param {string} top @returns {Place | null} */
export function onShiftTab(tree, ids, top) {
    const { parent } = tree.get(ids[0]);
    return parent !== top && tree.get(parent) ? { parent: tree.get(parent).parent, after: parent } : null;
}

/**
 * A drop beside a topic or on it; never among what is dragged: before it means after what stands there and stays.
 * @param {Tree} tree
 * @param {string} id
 * @param {'before' | 'after' | 'inside'} side
 * @param {ReadonlySet<string>} dragged with all that stands in it
 * @returns {Place}
 */
export function onDrop(tree, id, side, dragged) {
    if (side === 'inside') {
        return tree.lastPlace(id);
    }
    const { parent } = tree.get(id);
    if (side === 'after') {
        return { parent, after: id };
    }
    const parts = tree.partsOf(parent);
    const stay = parts.slice(0, parts.indexOf(id)).filter((one) => !dragged.has(one));
    return { parent, after: stay.at(-1) ?? null };
}

/**
 * A drop between two rows: how far in goes by the level that is wished, as far as the rows around allow it.
 * @param {Tree} tree
 * @param {Row[]} rows
 * @param {number} gap before which row
 * @param {object} of
 * @param {number} of.wished level
 * @param {ReadonlySet<string>} of.dragged with all that stands in it
 * @param {string} [of.top] what the rows stand under
 * @param {(row: number) => boolean} of.isUnderHeading whether the pointer is under the heading of the loose ideas, which begin with a row
 * @returns {Shown}
 */
export function onDropInGap(tree, rows, gap, { wished, dragged, top = ROOT, isUnderHeading }) {
    let [before, after] = [gap - 1, gap];
    while (before >= 0 && dragged.has(rows[before].id)) {
        before--;
    }
    while (after < rows.length && dragged.has(rows[after].id)) {
        after++;
    }
    const [above, below] = [rows[before], rows[after]];
    if (below?.loose && !above?.loose && isUnderHeading(after)) {
        return { parent: TRAY, after: null, level: 1 };
    }
    const lowest = below && !(below.loose && !above?.loose) ? below.level : 1;
    const highest = above ? above.level + 1 : 1;
    const level = Math.max(Math.min(lowest, highest), Math.min(highest, wished));
    if (!above || level === 0) {
        return { parent: top, after: null, level: 1 };
    }
    if (level === above.level + 1) {
        return { parent: above.id, after: null, level };
    }
    let sibling = above.id;
    for (let at = above.level; at > level; at--) {
        sibling = tree.get(sibling).parent;
    }
    return { parent: tree.get(sibling).parent, after: sibling, level };
}
