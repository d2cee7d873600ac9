import { Node } from '@tiptap/core';
import { newId } from '../lib/ids.js';

/** A note holds blocks, and questions beside them: within a list or a table nobody would see what one asks of. */
export const NoteDocument = Node.create({ name: 'doc', topNode: true, content: '(block | question)+' });

/** What the writer is asked, and answers below it. It never prints. */
export const Question = Node.create({
    name: 'question',
    content: 'text*',
    marks: '',
    defining: true,
    parseHTML: () => [{ tag: 'p.question', priority: 60 }],
    renderHTML: () => ['p', { class: 'question' }, 0],
    addKeyboardShortcuts() {
        return {
            Backspace: ({ editor }) => {
                const { $from, empty } = editor.state.selection;
                return empty && $from.parent.type.name === 'question' && $from.parentOffset === 0 && editor.commands.setNode('paragraph');
            },
            // What is written next is the answer.
            Enter: ({ editor }) => {
                const { $from, empty } = editor.state.selection;
                const isAtEnd = empty && $from.parent.type.name === 'question' && $from.parentOffset === $from.parent.content.size;
                return (
                    isAtEnd &&
                    editor.commands.insertContentAt($from.after(), { type: 'paragraph' }) &&
                    editor.commands.setTextSelection($from.after() + 1)
                );
            },
        };
    },
});

/**
 * The line at hand becomes a question, or text again; above a line that holds more than words a new one is asked.
 * @param {import('@tiptap/core').Editor} editor
 */
export function toggleQuestion(editor) {
    const { $from } = editor.state.selection;
    const block = $from.node(1);
    const isPlain = $from.depth === 1 && ['paragraph', 'question'].includes(block?.type.name) && hasOnlyText(block);
    const chain = editor.chain().focus();
    if (isPlain) {
        chain.toggleNode('question', 'paragraph').run();
    } else if (block) {
        const at = $from.before(1);
        chain
            .insertContentAt(at, { type: 'question', attrs: { id: newId() } })
            .setTextSelection(at + 1)
            .run();
    }
}

/** @param {any} block */
const hasOnlyText = (block) => block.content.content.every((/** @type {any} */ node) => node.isText && !node.marks.length);
