import { Mark } from '@tiptap/core';
import { Plugin } from '@tiptap/pm/state';

const END = /[.!?…]["”“’»)]*\s+/g;

/**
 * What holds a first draft together until it has been rewritten: it never prints. Whoever changes a sentence of it has
 * made it their own.
 */
export const Scaffold = Mark.create({
    name: 'scaffold',
    inclusive: false,
    parseHTML: () => [{ tag: 'span.scaffold' }],
    renderHTML: () => ['span', { class: 'scaffold', title: 'Scaffolding: it does not print until you rewrite it' }, 0],
    addProseMirrorPlugins() {
        const { type } = this;
        return [
            new Plugin({
                appendTransaction(transactions, before, state) {
                    const change = state.tr;
                    for (const [from, to] of rewritten(transactions, type)) {
                        change.removeMark(...sentence(state.doc, from, to, type), type);
                    }
                    return change.docChanged ? change : null;
                },
            }),
        ];
    },
});

/**
 * Where somebody wrote within scaffolding or took some of it away; what comes from elsewhere, and steps back, change nothing of it.
 * @param {readonly import('@tiptap/pm/state').Transaction[]} transactions
 * @param {import('@tiptap/pm/model').MarkType} type
 */
function rewritten(transactions, type) {
    /** @type {[number, number][]} */
    const places = [];
    transactions.forEach((one, i) => {
        if (!one.docChanged || one.getMeta('addToHistory') === false || one.getMeta('history$')) {
            return;
        }
        one.mapping.maps.forEach((map, k) =>
            map.forEach((oldFrom, oldTo, newFrom, newTo) => {
                const before = one.docs[k];
                const isWithin = oldTo > oldFrom ? before.rangeHasMark(oldFrom, oldTo, type) : isBetween(before, oldFrom, type);
                if (isWithin) {
                    const later = [...one.mapping.maps.slice(k + 1), ...transactions.slice(i + 1).flatMap((next) => next.mapping.maps)];
                    const now = (/** @type {number} */ at, /** @type {number} */ side) =>
                        later.reduce((to, next) => next.map(to, side), at);
                    places.push([now(newFrom, -1), now(newTo, 1)]);
                }
            }),
        );
    });
    return places;
}

/** @param {import('@tiptap/pm/model').Node} doc @param {number} at @param {import('@tiptap/pm/model').MarkType} type */
function isBetween(doc, at, type) {
    const { nodeBefore, nodeAfter } = doc.resolve(at);
    return [nodeBefore, nodeAfter].every((node) => node && type.isInSet(node.marks));
}

/**
 * The sentence of scaffolding around a place.
 * @param {import('@tiptap/pm/model').Node} doc
 * @param {number} from
 * @param {number} to
 * @param {import('@tiptap/pm/model').MarkType} type
 * @returns {[number, number]}
 */
function sentence(doc, from, to, type) {
    const $from = doc.resolve(from);
    const start = $from.start();
    /** @type {[number, number]} */
    let run = [from, to];
    // The run that touches the place, as far as it goes on both sides.
    $from.parent.forEach((node, offset) => {
        const [a, b] = [start + offset, start + offset + node.nodeSize];
        if (type.isInSet(node.marks) && b >= run[0] && a <= run[1]) {
            run = [Math.min(run[0], a), Math.max(run[1], b)];
        }
    });
    const text = doc.textBetween(run[0], run[1], '\n', '\ufffc');
    const ends = [...text.matchAll(END)].map((match) => run[0] + match.index + match[0].length);
    return [Math.max(run[0], ...ends.filter((end) => end <= from)), Math.min(run[1], ...ends.filter((end) => end >= to && end > from))];
}
