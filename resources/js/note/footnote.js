import { byId } from '../lib/dom.js';
import { Editor } from '@tiptap/core';
import { Asking } from '../ui/asking.js';
import { lineExtensions } from './schema.js';
import { inlines } from './stored-form.js';
import { noteViews } from './views.js';

/** The words of a footnote, in a little editor of their own. */
export class FootnoteDialog {
    /** @param {import('./editor.js').Desk} desk @param {import('./insertions.js').Insertions} insertions whose citations go into it */
    constructor(desk, insertions) {
        this.desk = desk;
        this.insertions = insertions;
        this.dialog = byId('footnote', HTMLDialogElement);
        /** Made when the first footnote is written. @type {Editor | null} */
        this.editor = null;
        this.asking = new Asking(this.dialog, () => this.done());
        byId('footnote-remove').addEventListener('click', () => {
            this.editor?.commands.clearContent();
            this.done();
        });
        byId('footnote-cite').addEventListener('click', () => this.editor && this.insertions.cite('', this.editor));
    }

    /** @param {any[]} content @returns {Promise<any[] | null>} its inlines, none to take it out, null when it was called off */
    open(content) {
        byId('footnote-remove').hidden = !content.length;
        this.editor ??= new Editor({
            element: byId('footnote-text'),
            injectCSS: false,
            extensions: lineExtensions({
                views: noteViews(this.desk, {
                    citation: (at, node, editor) => this.insertions.editCitation(at, node, editor),
                    reference: () => {},
                    footnote: () => {},
                }),
                on: { done: () => this.done() },
            }),
            editorProps: {
                attributes: {
                    'aria-label': 'Footnote',
                    role: 'textbox',
                    spellcheck: 'true',
                    lang: this.desk.session.tree.properties.language,
                },
            },
        });
        this.editor.commands.setContent({ type: 'doc', content: [{ type: 'paragraph', content }] });
        const given = this.asking.open();
        this.editor.commands.focus('end');
        return given;
    }

    done() {
        this.asking.give(this.editor && inlines(this.editor.getJSON()));
    }
}
