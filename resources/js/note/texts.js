const LINES = 'p, h1, h2, h3, h4, h5, h6, pre';

/**
 * The text nodes and other inlines of a line of a block, as they stand in the page.
 * @param {import('@tiptap/core').Editor} editor
 * @param {string} id
 * @param {any} line
 * @returns {Node[]}
 */
export function textsOf(editor, id, line) {
    const top = blockOf(editor, id);
    const lines = !top ? [] : top.matches(LINES) ? [top] : [...top.querySelectorAll(LINES)];
    /** @type {Node[]} */
    const texts = [];
    const isText = (/** @type {any} */ node) => node.nodeType === 3 || node.nodeName === 'BR';
    // What is one sign in the text has words of its own, which are not the note's.
    const walk = (/** @type {any} */ node) => {
        for (const child of node.childNodes) {
            if (isText(child)) {
                child.className !== 'ProseMirror-trailingBreak' && texts.push(child);
            } else if (!child.classList?.contains('chip')) {
                walk(child);
            }
        }
    };
    if (lines[line]) {
        walk(lines[line]);
    }
    return texts;
}

/** The element of a block of the note. @param {import('@tiptap/core').Editor} editor @param {string} id */
export const blockOf = ({ view, state }, id) => [...view.dom.children].find((_, i) => state.doc.child(i)?.attrs.id === id);
