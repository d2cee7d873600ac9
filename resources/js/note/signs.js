import { focused } from './focused.js';
import { whenClosed } from '../lib/dom.js';
import { CiteDialog } from './cite.js';
import { FootnoteDialog } from './footnote.js';
import { Popover } from '../ui/popover.js';

/** @type {CiteDialog | null} */
let citing = null;
/** @type {FootnoteDialog | null} */
let footnotes = null;

/** What stands in a text as one sign: citations, references to topics, footnotes. */
export class Signs extends Popover {
    /** The dialogs are the page's: one of each, whichever editor asks. */
    get citing() {
        return (citing ??= new CiteDialog(this.desk));
    }

    get footnotes() {
        footnotes ??= new FootnoteDialog(this.desk, /** @type {any} */ (this));
        footnotes.insertions = /** @type {any} */ (this);
        return footnotes;
    }

    /** Remembers where the caret is: a dialog takes it away. Gives the way back. @param {any} editor */
    here(editor) {
        const { from, to } = editor.state.selection;
        return () => focused(editor).setTextSelection({ from, to });
    }

    /** @param {any} content */
    put(content) {
        focused(this.editor).insertContent(content).run();
    }

    /** Asks for a citation; the sign that called it up stands where nothing was chosen. */
    async cite(sign = '', editor = this.editor) {
        const back = this.here(editor);
        const items = await this.citing.open();
        back()
            .insertContent(items?.length ? [{ type: 'citation', attrs: { items } }] : sign ? { type: 'text', text: sign } : [])
            .run();
    }

    /** @param {any} at @param {any} node */
    async editCitation(at, node, editor = this.editor) {
        const items = await this.citing.open(node.attrs.items);
        this.alter(editor, at, node, items === null ? undefined : items.length ? { items } : null);
    }

    /**
     * Gives a sign in the text other attributes, or takes it out (null), or leaves it (undefined); the caret goes on behind it.
     * @param {any} editor
     * @param {any} at
     * @param {any} node
     * @param {any} attrs
     */
    alter(editor, at, node, attrs) {
        const change = editor.state.tr;
        if (attrs === null) {
            change.delete(at, at + node.nodeSize);
        } else if (attrs) {
            change.setNodeMarkup(at, null, { ...node.attrs, ...attrs });
        }
        editor.view.dispatch(change);
        editor
            .chain()
            .focus()
            .setTextSelection(at + (attrs === null ? 0 : node.nodeSize))
            .run();
    }

    /** Opens what is marked in the text, if it is one of these; whether it was. @param {any} node @param {any} at */
    edit(node, at) {
        /** @type {Record<string, () => unknown>} */
        const opens = {
            citation: () => this.editCitation(at, node),
            footnote: () => this.footnote(at, node),
            topicRef: () => this.desk.goTo(node.attrs.topic),
        };
        const open = opens[node?.type.name];
        open?.();
        return Boolean(open);
    }

    /** Asks for a topic by number or title. */
    refer(sign = '', editor = this.editor) {
        const { choosing } = this.desk;
        const back = this.here(editor);
        const over = new AbortController();
        // At once when the dialog goes: what is typed next must find the caret where it was.
        const put = (/** @type {any} */ content) => {
            over.abort();
            choosing.close();
            back().insertContent(content).run();
        };
        const calledOff = () => put(sign ? { type: 'text', text: sign } : []);
        const find = choosing.finder();
        choosing.choose('Refer to a topic', 'Number or title', (/** @type {any} */ wanted) =>
            find(wanted).map(({ id, name }) => [{ name, act: () => put([{ type: 'topicRef', attrs: { topic: id } }]) }]),
        );
        choosing.dialog.addEventListener('cancel', calledOff, { signal: over.signal });
        whenClosed(choosing.dialog, calledOff, { signal: over.signal });
    }

    /** A new footnote at the caret, or one that is there. @param {number | null} [at] @param {any} [node] */
    async footnote(at = null, node = null) {
        const back = this.here(this.editor);
        const content = await this.footnotes.open(node?.attrs.content ?? []);
        if (node) {
            this.alter(this.editor, at, node, content === null ? undefined : content.length ? { content } : null);
        } else if (!content?.length) {
            back().run();
        } else {
            back()
                .insertContent([{ type: 'footnote', attrs: { content } }])
                .run();
        }
    }
}
