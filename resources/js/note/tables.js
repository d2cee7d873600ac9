import { Node } from '@tiptap/core';
import { goToNextCell, tableEditing } from '@tiptap/pm/tables';

/** A cell; `role` is what the editor's own tables call it. */
export const cell = (/** @type {string} */ name, /** @type {string} */ tag, /** @type {string} */ role) =>
    Node.create({
        name,
        content: 'block+',
        isolating: true,
        addAttributes: () => ({
            colspan: { default: 1, parseHTML: (box) => Number(box.getAttribute('colspan') || 1) },
            rowspan: { default: 1, parseHTML: (box) => Number(box.getAttribute('rowspan') || 1) },
            colwidth: { default: null, rendered: false },
        }),
        parseHTML: () => [{ tag }],
        renderHTML: ({ HTMLAttributes: { colspan, rowspan } }) => [
            tag,
            { ...(colspan > 1 && { colspan }), ...(rowspan > 1 && { rowspan }) },
            0,
        ],
        extendNodeSchema: (extension) => (extension.name === name ? { tableRole: role } : {}),
    });

/** A node of the table: the library of tables knows its part by `tableRole`. */
export const tabular = (
    /** @type {string} */ name,
    /** @type {string} */ content,
    /** @type {string} */ role,
    /** @type {string} */ tag,
    inner = /** @type {import('@tiptap/pm/model').DOMOutputSpec} */ ([tag, 0]),
) =>
    Node.create({
        name,
        content,
        ...(role === 'table' && { group: 'block', isolating: true }),
        parseHTML: () => [{ tag }],
        renderHTML: () => inner,
        extendNodeSchema: (extension) => (extension.name === name ? { tableRole: role } : {}),
    });

export const Table = tabular('table', 'tableRow+', 'table', 'table', ['table', ['tbody', 0]]).extend({
    addProseMirrorPlugins: () => [tableEditing({ allowTableNodeSelection: false })],
    addKeyboardShortcuts() {
        const go = (/** @type {1 | -1} */ by) => () => goToNextCell(by)(this.editor.state, this.editor.view.dispatch);
        return { Tab: go(1), 'Shift-Tab': go(-1) };
    },
});
