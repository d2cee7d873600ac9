import { placeOf, replaceWithin, restore } from './carets.js';
import { block } from './stored-form.js';
import { Arriving } from './arriving.js';

/** How what others have written in a note comes into what is written here. */
export class Joining extends Arriving {
    /**
     * Changes what stands in the editor into these blocks, and only where they differ: the caret stays with the words it stands in.
     * Whether the block that the caret is in has become another.
     * @param {import('./given.d.ts').Block[]} blocks
     */
    turnInto(blocks) {
        const { state } = this.editor;
        const place = state.doc.lastChild;
        let wanted = this.documentOf(blocks);
        if (wanted.childCount > blocks.length && place?.type.name === 'paragraph' && place.content.size === 0) {
            // The place to write below the last block is nobody's block: it stays the one that is there.
            wanted = wanted.copy(wanted.content.replaceChild(wanted.childCount - 1, place));
        }
        const caret = placeOf(state.selection);
        const here = state.selection.$head.node(1)?.attrs.id;
        let isHere = false;
        const change = state.tr.setMeta('addToHistory', false);
        const ids = (/** @type {import('@tiptap/pm/model').Node} */ doc) => doc.content.content.map((node) => node.attrs.id).join();
        const isSameOrder = ids(state.doc) === ids(wanted);
        if (!isSameOrder) {
            // First the blocks as they stand here in the order that they have there, then the words in them.
            const standing = new Map(state.doc.content.content.map((node) => [node.attrs.id, node]));
            change.replaceWith(
                0,
                state.doc.content.size,
                wanted.content.content.map((node) => standing.get(node.attrs.id) ?? node),
            );
            restore(change, caret);
        }
        let at = 0;
        wanted.forEach((node, _, i) => {
            const now = change.doc.child(i);
            // What is no part of the stored block, such as ids within it, is no difference.
            if (JSON.stringify(block(now)) !== JSON.stringify(block(node))) {
                replaceWithin(change, at, now, node);
                isHere ||= now.attrs.id === here;
            }
            at += change.doc.child(i).nodeSize;
        });
        if (change.docChanged) {
            this.editor.view.dispatch(change.setStoredMarks(state.storedMarks).setMeta('preventUpdate', true));
        }
        return isHere && this.editor.isFocused;
    }
}
