import { byId } from '../lib/dom.js';
import { Editor } from '@tiptap/core';
import { TextSelection } from '@tiptap/pm/state';
import { NoteBody } from './body.js';
import { Insertions } from './insertions.js';
import { option } from './options.js';
import { cleaned } from './paste.js';
import { extensions } from './schema.js';
import { Toolbar } from './toolbar.js';
import { noteViews } from './views.js';

/**
 * What an editor of notes needs of the page.
 * @typedef {object} Desk
 * @property {import('../sync/session.js').Session} session
 * @property {import('./citations.js').Citations} citations
 * @property {import('../ui/choosing.js').Choosing} choosing
 * @property {(id: string) => void} goTo shows a topic that is referred to
 * @property {(text: string, action?: {label: string, act: () => void}) => void} say
 * @property {(text: string) => object} paragraph a block of plain words
 * @property {Set<NoteEditor>} editors all that there are
 */

/** Signs that open a dialog where they are written. */
const ASKING = new Set(['@', '§']);

/** @param {any} view */
const domOf = (view) => view.domObserver;

/** Edits the note of one topic, and saves while it is written. There may be as many as a view wants, each with a topic of its own. */
export class NoteEditor {
    /**
     * @param {Desk} desk
     * @param {object} host
     * @param {Element} host.box where the text stands
     * @param {Element} host.tools
     * @param {() => void} host.onState whether its text has come is another
     * @param {() => void} host.onRemoved the note was removed
     * @param {(topic: string) => void} [host.onParted] something of it has gone to another topic
     */
    constructor(desk, { box, tools, onState, onRemoved, onParted = () => {} }) {
        this.onParted = onParted;
        this.desk = desk;
        /** @type {Insertions | null} */
        this.putIn = null;
        this.onRemoved = onRemoved;
        const { session } = desk;
        const language = () => session.tree.properties.language;
        const insertions = () => this.insertions();
        this.editor = new Editor({
            element: box,
            injectCSS: false,
            editable: session.rights.mayWrite,
            extensions: extensions({
                views: noteViews(desk, {
                    citation: (at, node) => session.rights.mayWrite && insertions().editCitation(at, node),
                    reference: (at, node) => desk.goTo(node.attrs.topic),
                    footnote: (at, node) => session.rights.mayWrite && insertions().footnote(at, node),
                }),
                on: {
                    link: () => this.toolbar.askLink(),
                    cite: (sign) => insertions().cite(sign),
                    refer: (sign) => insertions().refer(sign),
                    edit: (node, at) => insertions().edit(node, at),
                    footnote: () => insertions().footnote(),
                    partTo: () => insertions().partTo(),
                    headingOut: () => insertions().headingOut(),
                },
                option,
                language,
            }),
            editorProps: {
                attributes: () => ({
                    'aria-label': 'Note',
                    role: 'textbox',
                    'aria-multiline': 'true',
                    spellcheck: 'true',
                    lang: language(),
                }),
                transformPastedHTML: cleaned,
                // Where the caret is, is told late: a key that comes right after another must find it.
                handleDOMEvents: { keydown: (view) => void (view.composing || domOf(view).flush()) },
                handlePaste: (view, event) => insertions().takeFiles(event.clipboardData?.files, event),
                handleDrop: (view, event) => insertions().takeFiles(event.dataTransfer?.files, event),
            },
            onUpdate: () => this.body.changed(),
            onTransaction: () => this.toolbar?.show(),
        });
        desk.editors.add(this);
        this.body = new NoteBody(desk, this.editor, { onState });
        this.toolbar = new Toolbar(this, tools);
    }

    /** What is put in by a dialog or from a file; made when it is first wanted. */
    insertions() {
        return (this.putIn ??= new Insertions(this));
    }

    get topic() {
        return this.body.topic;
    }

    /** Takes up the note of a topic; null: of none. @param {any} topic */
    take(topic) {
        if (this.topic !== topic) {
            this.body.take(topic);
        }
        if (topic !== null) {
            // A picture that is chosen goes into the note that was taken up last.
            const file = byId('note-picture', HTMLInputElement);
            file.onchange = () => {
                this.insertions().takeFiles(file.files);
                file.value = '';
            };
        }
    }

    /** Writes in it: the caret at the end, to write on. */
    focus() {
        this.focusAt('end');
    }

    /**
     * Writes in it, from its start, its end, or a point of the window; where its text is still to come, when it has.
     * @param {'start' | 'end' | {left: number, top: number}} where
     */
    focusAt(where) {
        const { view } = this.editor;
        const { topic } = this;
        const put = () => {
            const { doc, tr } = view.state;
            const at = typeof where === 'object' ? view.posAtCoords(where)?.pos : null;
            const caret = at
                ? TextSelection.near(doc.resolve(at))
                : where === 'start'
                  ? TextSelection.atStart(doc)
                  : TextSelection.atEnd(doc);
            view.dispatch(tr.setSelection(caret).scrollIntoView());
        };
        put();
        view.focus();
        // For a moment after that the editor takes a caret at the very start for a slip of the browser, and puts it back: a key
        // that goes there at once would lead nowhere.
        /** @type {any} */ (view).input.lastFocus = 0;
        if (!this.body.hasCome) {
            // What was written meanwhile has put the caret where it belongs.
            this.body.coming?.then(() => topic === this.topic && view.hasFocus() && !this.body.change && put());
        }
    }

    /** Writes in it: the caret at the start of a block, which comes into sight. @param {string} id */
    focusBlock(id) {
        const { view } = this.editor;
        view.state.doc.forEach((node, at) => {
            if (node.attrs.id === id) {
                const near = TextSelection.near(view.state.doc.resolve(at + 1));
                view.dispatch(view.state.tr.setSelection(near).scrollIntoView());
                view.focus();
            }
        });
    }

    /**
     * What was written before the editor was there, sign by sign as if it were written now: what makes a heading or a list makes one.
     * A sign that asks for something asks only where it is the last, and the person still waits for that.
     * @param {string} text @param {boolean} [isLast]
     */
    writeOut(text, isLast = false) {
        const { view } = this.editor;
        [...text].forEach((sign, i, all) => {
            const { from, to } = view.state.selection;
            const plain = () => view.state.tr.insertText(sign, from, to);
            if (sign === '\n') {
                this.editor.commands.enter();
            } else if (
                (ASKING.has(sign) && !(isLast && i === all.length - 1)) ||
                !view.someProp('handleTextInput', (handle) => handle(view, from, to, sign, plain))
            ) {
                view.dispatch(plain());
            }
        });
    }

    /** Keys that were pressed before the editor was there. @param {KeyboardEventInit} keys */
    press(keys) {
        const { view } = this.editor;
        const event = new KeyboardEvent('keydown', keys);
        view.someProp('handleKeyDown', (handle) => handle(view, event));
    }

    /** What was pasted before the editor was there. @param {string} html */
    paste(html) {
        this.editor.view.pasteHTML(html);
    }

    /** What is written goes out now. */
    commit() {
        this.body.release();
        this.desk.session.queue.flush();
    }

    /** The blocks in the editor, each by its id. */
    blocks() {
        return this.body.blocks();
    }

    get html() {
        return this.editor.getHTML();
    }

    /**
     * PHP has told what changed: what others have written in the note is fetched.
     * @param {import('../state/topics.js').Answer} answer
     */
    told(answer) {
        if (this.topic === null) {
            return;
        }
        if (answer.notes?.[this.topic]) {
            this.body.acknowledged(answer.notes);
        } else if (
            (answer.rootRevised && !this.desk.session.tree.get(this.topic)) ||
            answer.topics.some((/** @type {any} */ topic) => topic.id === this.topic)
        ) {
            this.body.outdated();
        }
    }

    /** Whether the editor has an undo or redo of its own left. @param {any} which */
    canStep(which) {
        return which === 'undo' ? this.editor.can().undo() : this.editor.can().redo();
    }
}
