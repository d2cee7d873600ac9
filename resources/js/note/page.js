import { store } from '../lib/stored.js';
import { Editor } from '@tiptap/core';
import { TextSelection } from '@tiptap/pm/state';
import { counted } from '../lib/counted.js';
import { colour } from '../ui/element.js';
import { NoteBody } from './body.js';
import { Insertions } from './insertions.js';
import { cleaned } from './paste.js';
import { extensions } from './schema.js';
import { Toolbar } from './toolbar.js';
import { noteViews } from './views.js';

/** The note beside the outline: one editor that follows the marked topic while it is open, and saves while it is written. */
export class NotePage {
    constructor(page) {
        this.page = page;
        this.options = JSON.parse(localStorage.getItem('embrel.writing') ?? '{}');
        this.side = document.getElementById('note');
        this.home = document.getElementById('page').parentElement;
        this.late = document.getElementById('note-late');
        this.topic = null;
        this.editor = new Editor({
            element: document.getElementById('page'),
            injectCSS: false,
            extensions: extensions({
                views: noteViews(page, { citation: (at, node) => this.insertions.editCitation(at, node), reference: (at, node) => this.page.goTo(node.attrs.topic), footnote: (at, node) => this.insertions.footnote(at, node) }),
                on: { link: () => this.toolbar.askLink(), cite: (sign) => this.insertions.cite(sign), refer: (sign) => this.insertions.refer(sign), edit: (node, at) => this.insertions.edit(node, at), footnote: () => this.insertions.footnote() },
                option: (name) => this.options[name], language: () => page.tree.properties.language,
            }),
            editorProps: {
                attributes: () => ({ 'aria-label': 'Note', role: 'textbox', 'aria-multiline': 'true', spellcheck: 'true', lang: page.tree.properties.language }),
                transformPastedHTML: cleaned,
                handlePaste: (view, event) => this.insertions.takeFiles(event.clipboardData?.files, event), handleDrop: (view, event) => this.insertions.takeFiles(event.dataTransfer?.files, event),
            },
            onUpdate: () => this.body.changed(),
            onTransaction: () => this.toolbar?.show(),
        });
        this.body = new NoteBody(page, this.editor, { onState: () => this.showState() });
        this.insertions = new Insertions(this);
        this.toolbar = new Toolbar(this);
        document.getElementById('close-note').addEventListener('click', () => { this.close(); (this.page.view === 'gather' ? this.page.gather.list : this.page.outline.box).focus({ preventScroll: true }); });
        document.getElementById('wide-note').addEventListener('click', () => this.widen(!this.side.classList.contains('is-wide')));
        this.setOption('size', this.options.size ?? 0);
    }

    get isOpen() {
        return this.topic !== null;
    }

    /** A choice of the person's own, kept in this browser: size of text for reading, typographic signs. */
    setOption(name, value) {
        this.options[name] = value;
        store('embrel.writing', JSON.stringify(this.options));
        document.documentElement.style.setProperty('--note-size', String(1 + 0.12 * (this.options.size ?? 0)));
    }

    /** The note across the whole page, or beside the plan. */
    widen(isWide) {
        this.side.classList.toggle('is-wide', isWide);
        document.getElementById('wide-note').setAttribute('aria-pressed', String(isWide));
        this.page.map?.narrowed();
    }

    /** Beside the plan, or over the places of Gather. */
    place() {
        const beside = document.getElementById(this.page.view === 'gather' ? 'gather' : 'work');
        if (this.side.parentElement !== beside) {
            beside.append(this.side);
        }
    }

    /** The editor and its tools in another place of the page, where the note is read; null: back to the note's own. */
    moveTo(place) {
        const editor = document.getElementById('page');
        (place ?? this.home).append(editor, this.toolbar.box);
    }

    /** Opens the note of a topic and writes in it: from this moment on what is typed is typed into it, whether its text has come or not. */
    open(id) {
        this.page.outline.titles.end(true, id);
        this.appear();
        this.load(id);
        // The caret at the end, to write on; the beginning in view, to read.
        const { view } = this.editor;
        view.dispatch(view.state.tr.setSelection(TextSelection.atEnd(view.state.doc)));
        view.focus();
    }

    /** Opens a note to read, without taking the keyboard; resolves when its text has come, or will not. */
    async showAt(id) {
        this.appear();
        this.load(id);
        await this.body.coming;
    }

    appear() {
        this.place();
        this.page.outline.work.classList.remove('without-note');
        this.side.hidden = false;
        this.page.map?.narrowed();
        clearTimeout(this.following);
    }

    /** The text nodes and other inlines of a line of a block, as they stand in the page. */
    textsOf(id, line) {
        const top = [...this.editor.view.dom.children].find((_, i) => this.editor.state.doc.child(i)?.attrs.id === id);
        const lines = !top ? [] : top.matches('p, h1, h2, h3, h4, h5, h6, pre') ? [top] : [...top.querySelectorAll('p, h1, h2, h3, h4, h5, h6, pre')];
        const texts = [];
        // What is one sign in the text has words of its own, which are not the note's.
        const walk = (node) => [...node.childNodes].forEach((child) => (child.classList?.contains('chip') ? null : child.nodeType === 3 || child.nodeName === 'BR' ? child.className !== 'ProseMirror-trailingBreak' && texts.push(child) : walk(child)));
        if (lines[line]) {
            walk(lines[line]);
        }
        return texts;
    }

    /** An open note goes along with the marked row. */
    follow(id) {
        if (this.isOpen && this.topic !== id && this.page.tree.noteBearer(id)) {
            clearTimeout(this.following);
            this.following = setTimeout(() => this.isOpen && this.load(id), 60);
        }
    }

    close() {
        this.commit();
        this.widen(false);
        this.topic = null;
        this.body.take(null);
        this.side.hidden = true;
        this.page.outline.work.classList.add('without-note');
        this.page.map?.narrowed();
        this.page.outline.titles.sweep();
    }

    /** What is written goes out now. */
    commit() {
        this.body.release();
        this.page.queue.flush();
    }

    load(id) {
        if (this.topic !== id) {
            this.topic = id;
            this.body.take(id);
            this.head();
        }
    }

    /** The blocks in the editor, each by its id. */
    blocks() {
        return this.body.blocks();
    }

    /** Whether the text of the note is still to come. */
    showState() {
        const { body } = this;
        this.late.hidden = !body?.isLost || body.hasCome;
        document.getElementById('page').classList.toggle('is-coming', !!body && !body.hasCome);
    }

    head() {
        const { tree } = this.page;
        const topic = tree.noteBearer(this.topic);
        if (!topic) {
            return;
        }
        const parent = tree.get(topic.parent);
        const [words] = tree.figures.get(this.topic) ?? [0];
        const said = topic.parent === null ? 'in all' : '';
        document.getElementById('note-parent').textContent = topic.parent === null ? 'Opening note: it stands before the first section' : parent ? `${parent.label} ${parent.title}`.trim() : tree.title;
        document.getElementById('note-words').textContent = topic.target ? `${words} of ${topic.target} words` : `${counted(words, 'word')} ${said}`.trim();
        document.getElementById('note-title').textContent = topic.title || 'Untitled';
        this.side.style.setProperty('--d', colour(tree.dye(this.topic)));
    }

    retitled(id) {
        if (id === this.topic) {
            this.head();
        }
    }

    /** PHP has told what changed: the head is drawn again, and what others have written in the note is fetched. */
    told(answer) {
        if (!this.isOpen) {
            return;
        }
        if (!this.page.tree.noteBearer(this.topic)) {
            this.close();
            return;
        }
        this.head();
        this.page.citations.redraw();
        if (answer.notes?.[this.topic]) {
            this.body.acknowledged(answer.notes);
        } else if ((answer.rootRevised && !this.page.tree.get(this.topic)) || answer.topics.some((topic) => topic.id === this.topic)) {
            this.body.outdated();
        }
    }

    /** Whether the editor has an undo or redo of its own left. */
    canStep(which) {
        return which === 'undo' ? this.editor.can().undo() : this.editor.can().redo();
    }
}

