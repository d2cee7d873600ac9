import { TextSelection } from '@tiptap/pm/state';

/** @typedef {import('@tiptap/pm/state').Selection} Selection @typedef {import('@tiptap/pm/state').Transaction} Transaction */
/** A word or sign of a line, and where it begins. @typedef {{key: string, at: number}} Word */
/** @typedef {import('@tiptap/pm/model').Node} Node @typedef {{id: string, offset: number}} Spot in a block of a note */

const WORD = /\s|[\p{L}\p{N}\p{M}_]+|./gsu;
/** Above this many pairs of words what differs is replaced as one. */
const PAIRS = 400_000;

/** Where a selection stands: in which blocks, and how far in each. @param {Selection} selection */
export function placeOf({ $anchor, $head }) {
    const place = (/** @type {import('@tiptap/pm/model').ResolvedPos} */ $at) =>
        $at.depth ? { id: $at.node(1).attrs.id, offset: $at.pos - $at.before(1) } : null;
    return { anchor: place($anchor), head: place($head) };
}

/**
 * Puts a selection back into the blocks in which it stood, wherever they are now.
 * @param {Transaction} change
 * @param {{anchor: Spot | null, head: Spot | null}} caret
 */
export function restore(change, { anchor, head }) {
    const found = (/** @type {Spot | null} */ place) => {
        /** @type {number | null} */
        let pos = null;
        change.doc.forEach((node, offset) => {
            if (place && node.attrs.id === place.id) {
                pos = offset + Math.min(place.offset, node.nodeSize - 1);
            }
        });
        return pos;
    };
    const [from, to] = [found(anchor), found(head)];
    if (from !== null && to !== null) {
        change.setSelection(TextSelection.between(change.doc.resolve(from), change.doc.resolve(to)));
    }
}

/**
 * Turns a block that stands at a place into another, word by word where only words differ: the caret stays with those beside it.
 * @param {Transaction} change
 * @param {number} at
 * @param {Node} now
 * @param {Node} node
 */
export function replaceWithin(change, at, now, node) {
    if (now.type !== node.type || !now.sameMarkup(node)) {
        replace(change, at, at + now.nodeSize, node);
    } else if (now.isTextblock) {
        replaceWords(change, at + 1, now, node);
    } else if (now.childCount === node.childCount && !now.isLeaf) {
        let inner = at + 1;
        node.forEach((child, _, i) => {
            const before = change.doc.nodeAt(inner);
            if (!before?.eq(child)) {
                replaceWithin(change, inner, now.child(i), child);
            }
            inner += change.doc.nodeAt(inner)?.nodeSize ?? 0;
        });
    } else {
        replace(change, at, at + now.nodeSize, node);
    }
}

/** @param {Transaction} change @param {number} from @param {number} to @param {Node | import('@tiptap/pm/model').Fragment} content */
function replace(change, from, to, content) {
    const { anchor, head } = change.selection;
    change.replaceWith(from, to, content);
    // At the edge of what comes in the caret stays before it: it belongs to the word that was being written.
    const map = change.mapping.maps.at(-1);
    const place = (/** @type {number} */ pos) => change.doc.resolve(Math.min(change.doc.content.size, map?.map(pos, -1) ?? pos));
    change.setSelection(TextSelection.between(place(anchor), place(head)));
}

/** @param {Transaction} change @param {number} start @param {Node} now @param {Node} node */
function replaceWords(change, start, now, node) {
    const [old, fresh] = [wordsOf(now), wordsOf(node)];
    // From the last to the first, so that those before stay where they are.
    for (const [oldFrom, oldTo, freshFrom, freshTo] of differences(old, fresh).reverse()) {
        const from = start + (old[oldFrom]?.at ?? now.content.size);
        const to = start + (old[oldTo]?.at ?? now.content.size);
        replace(change, from, to, node.content.cut(fresh[freshFrom]?.at ?? node.content.size, fresh[freshTo]?.at ?? node.content.size));
    }
}

/** The words and signs of a line of text, each with where it begins. @param {Node} node */
function wordsOf(node) {
    /** @type {Word[]} */
    const words = [];
    node.forEach((child, at) => {
        const marks = JSON.stringify(child.marks);
        if (child.isText) {
            for (const match of (child.text ?? '').matchAll(WORD)) {
                words.push({ key: match[0] + marks, at: at + match.index });
            }
        } else {
            words.push({ key: JSON.stringify(child), at });
        }
    });
    return words;
}

/** Where two rows of words differ: [from, to, from, to] of stretches, in order. @param {Word[]} old @param {Word[]} fresh */
function differences(old, fresh) {
    const stretches = [];
    let [i, j] = [0, 0];
    for (const [at, other] of [
        ...matches(
            old.map(({ key }) => key),
            fresh.map(({ key }) => key),
        ),
        [old.length, fresh.length],
    ]) {
        if (at > i || other > j) {
            stretches.push([i, at, j, other]);
        }
        [i, j] = [at + 1, other + 1];
    }
    return stretches;
}

/**
 * The longest common row of words, as PHP has it (RichText/WordByWord): [place in one, place in the other], in order.
 * @param {string[]} one
 * @param {string[]} other
 */
function matches(one, other) {
    let [start, end, otherEnd] = [0, one.length, other.length];
    while (start < end && start < otherEnd && one[start] === other[start]) {
        start++;
    }
    while (end > start && otherEnd > start && one[end - 1] === other[otherEnd - 1]) {
        end--;
        otherEnd--;
    }
    const isKept = [...one.keys()].map((i) => i < start || i >= end);
    const [n, m] = [end - start, otherEnd - start];
    if (n * m <= PAIRS) {
        const lengths = Array.from({ length: n + 1 }, () => new Uint16Array(m + 1));
        for (let i = n - 1; i >= 0; i--) {
            for (let j = m - 1; j >= 0; j--) {
                lengths[i][j] =
                    one[start + i] === other[start + j] ? lengths[i + 1][j + 1] + 1 : Math.max(lengths[i + 1][j], lengths[i][j + 1]);
            }
        }
        for (let [i, j] = [0, 0]; i < n && j < m;) {
            if (one[start + i] === other[start + j]) {
                isKept[start + i++] = true;
                j++;
            } else {
                lengths[i + 1][j] >= lengths[i][j + 1] ? i++ : j++;
            }
        }
    } else {
        near(one.slice(start, end), other.slice(start, otherEnd)).forEach((i) => {
            isKept[start + i] = true;
        });
    }
    // Of several equal words it is the first: a half written word is not a later one of another writer.
    /** @type {[number, number][]} */
    const pairs = [];
    let at = 0;
    isKept.forEach((is, i) => {
        if (is) {
            while (other[at] !== one[i]) {
                at++;
            }
            pairs.push([i, at++]);
        }
    });
    return pairs;
}

/** Words that came or went, in all, between two long texts that are compared. */
const EDITS = 1500;

/**
 * Of long texts that differ little, which words of the one are in the other too: by the shortest way
 * from the one to the other (Myers, 1986), as the server has it.
 * @param {string[]} one
 * @param {string[]} other
 */
function near(one, other) {
    const [n, m] = [one.length, other.length];
    /** Diagonal → how far it is reached; -1 before it is reached at all. */
    const far = new Map([[1, 0]]);
    const reached = (/** @type {number} */ diagonal) => far.get(diagonal) ?? -1;
    const trace = [];
    for (let edits = 0; edits <= Math.min(n + m, EDITS); edits++) {
        const row = [];
        for (let k = -edits; k <= edits; k += 2) {
            let x = k === -edits || (k !== edits && reached(k - 1) < reached(k + 1)) ? reached(k + 1) : reached(k - 1) + 1;
            while (x < n && x - k < m && one[x] === other[x - k]) {
                x++;
            }
            far.set(k, x);
            row.push(x);
            if (x >= n && x - k >= m) {
                return way(trace, edits, n, m);
            }
        }
        trace.push(row);
    }
    return [];
}

/** @param {number[][]} trace @param {number} length @param {number} n @param {number} m */
function way(trace, length, n, m) {
    const kept = [];
    let [x, y] = [n, m];
    for (let edits = length; edits >= 0; edits--) {
        let [toX, toY] = [0, 0];
        if (edits > 0) {
            const before = (/** @type {any} */ diagonal) => trace[edits - 1][(diagonal + edits - 1) / 2];
            let k = x - y;
            k += k === -edits || (k !== edits && before(k - 1) < before(k + 1)) ? 1 : -1;
            [toX, toY] = [before(k), before(k) - k];
        }
        for (; x > toX && y > toY; y--) {
            kept.push(--x);
        }
        [x, y] = [toX, toY];
    }
    return kept;
}
