import { Editor } from '@tiptap/core';
import { send } from '../http.js';
import { newId } from '../ids.js';
import { colour } from '../plan/element.js';
import { Insertions } from './insertions.js';
import { orderOf } from './order.js';
import { cleaned } from './paste.js';
import { block, extensions, toEditor } from './schema.js';
import { Toolbar } from './toolbar.js';
import { noteViews } from './views.js';

const KEPT_FOR_MERGE = 400;

/** The note beside the outline: one editor that follows the marked topic while it is open, and saves while it is written. */
export class NotePage {
    constructor(page) {
        this.page = page;
        this.options = JSON.parse(localStorage.getItem('embrel.writing') ?? '{}');
        this.side = document.getElementById('note');
        this.home = document.getElementById('page').parentElement;
        this.topic = null;
        this.loading = 0;
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
            onUpdate: () => this.changed(),
            onTransaction: () => this.toolbar?.show(),
        });
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
        localStorage.setItem('embrel.writing', JSON.stringify(this.options));
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

    /** Opens the note of a topic and writes in it. */
    async open(id) {
        this.page.outline.titles.end();
        this.place();
        this.page.outline.work.classList.remove('without-note');
        this.side.hidden = false;
        this.page.map?.narrowed();
        // One that is on its way only to be read is asked for again: what is typed meanwhile belongs into it.
        clearTimeout(this.following);
        if (this.topic !== id || this.isLoading) {
            this.wanted = true;
            await this.load(id);
            this.wanted = false;
        }
        // The caret at the end, to write on; the beginning in view, to read.
        this.editor.commands.focus('end', { scrollIntoView: false });
        // The library waits for a frame; what is typed within it must not go to the row.
        this.editor.view.focus();
    }

    /** Opens a note to read, without taking the keyboard. */
    async showAt(id) {
        this.place();
        this.page.outline.work.classList.remove('without-note');
        this.side.hidden = false;
        this.page.map?.narrowed();
        clearTimeout(this.following);
        if (this.topic !== id) {
            await this.load(id);
        }
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
        this.side.hidden = true;
        this.page.outline.work.classList.add('without-note');
        this.page.map?.narrowed();
    }

    commit() {
        this.page.queue.flush();
    }

    async load(id) {
        const ticket = ++this.loading;
        this.topic = id;
        this.isLoading = true;
        this.head();
        if (!this.page.tree.noteBearer(id).noted && !this.page.queue.pending.some((change) => change.topic === id)) {
            this.set({ blocks: [], seen: {} });
            this.editor.setEditable(true, false);
            this.isLoading = false;
            return;
        }
        this.editor.setEditable(false, false);
        const typed = this.catchTyping();
        await this.page.queue.flush();
        const answer = await send('GET', `${this.page.address}/topics/${id}/note`).catch(() => null);
        if (ticket !== this.loading) {
            this.keepTyped(id, typed());
            return;
        }
        this.isLoading = false;
        this.page.queue.tell(this.page.queue.isEmpty ? 'saved' : this.page.queue.state);
        if (!answer) {
            this.keepTyped(id, typed());
            this.page.say('The note could not be opened: the server cannot be reached.');
            return;
        }
        this.set(answer);
        this.editor.setEditable(true, false);
        if (this.wanted) {
            this.editor.view.focus();
        }
        const text = typed();
        if (text) {
            this.editor.chain().focus('end').insertContent(text).run();
        }
    }

    /** Keeps what is typed while a note that was asked for is on its way; the function returned ends it and gives the text. */
    catchTyping() {
        let text = '';
        const stop = new AbortController();
        if (this.wanted) {
            document.addEventListener('keydown', (event) => {
                if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) {
                    event.preventDefault();
                    event.stopPropagation();
                    text += event.key;
                    this.page.queue.tell('saving');
                }
            }, { capture: true, signal: stop.signal });
            const { topic } = this;
            addEventListener('pagehide', () => this.keepTyped(topic, text), { signal: stop.signal });
        }
        return () => {
            stop.abort();
            return text;
        };
    }

    /** What was typed into a note that has not come: it stands as a paragraph at its end. */
    keepTyped(topic, text) {
        if (text) {
            this.page.queue.add({ type: 'note', topic, put: [{ type: 'paragraph', attrs: { id: newId() }, content: [{ type: 'text', text }] }], remove: [], order: null, was: {} });
        }
    }

    set({ blocks, seen, labels = {} }) {
        this.page.citations.know(labels);
        this.seen = new Map(Object.entries(seen));
        this.stored = new Map(blocks.map((one) => [one.attrs.id, one]));
        this.change = null;
        this.nodes = new Map();
        this.editor.chain().setMeta('addToHistory', false).setContent(toEditor(blocks), { emitUpdate: false }).run();
    }

    /** The blocks in the editor, each by its id. */
    blocks() {
        return this.editor.state.doc.content.content.map(block);
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
        document.getElementById('note-words').textContent = topic.target ? `${words} of ${topic.target} words` : `${words} ${words === 1 ? 'word' : 'words'} ${said}`.trim();
        document.getElementById('note-title').textContent = topic.title || 'Untitled';
        this.side.style.setProperty('--d', colour(tree.dye(this.topic)));
    }

    retitled(id) {
        if (id === this.topic) {
            this.head();
        }
    }

    /**
     * What differs between stored blocks and those in the editor, as one operation; null for nothing.
     * A block whose node is the one that was compared before has not changed: only others are looked into.
     */
    difference() {
        const nodes = this.editor.state.doc.content.content;
        const now = new Map();
        const put = [];
        for (const node of nodes) {
            const { id } = node.attrs;
            const json = this.nodes.get(id) === node ? this.stored.get(id) : block(node);
            now.set(id, json);
            if (json !== this.stored.get(id)) {
                if (JSON.stringify(this.stored.get(id)) === JSON.stringify(json)) {
                    now.set(id, this.stored.get(id));
                    this.nodes.set(id, node);
                } else {
                    put.push(json);
                }
            }
        }
        if (!this.stored.size && nodes.length === 1 && nodes[0].type.name === 'paragraph' && !nodes[0].content.size) {
            return null;
        }
        const remove = now.size === this.stored.size && !put.length ? [] : [...this.stored.keys()].filter((id) => !now.has(id));
        const order = orderOf([...this.stored.keys()], [...now.keys()]);
        if (!put.length && !remove.length && !order) {
            return null;
        }
        const was = {};
        for (const id of [...put.map((one) => one.attrs.id), ...remove]) {
            if (this.seen.has(id)) {
                was[id] = this.seen.get(id);
            }
        }
        return { operation: { type: 'note', topic: this.topic, put, remove, order, was }, now };
    }

    changed() {
        const { queue } = this.page;
        if (!this.topic || !this.editor.isEditable) {
            return;
        }
        if (this.change && !queue.isWaiting(this.change.id)) {
            this.settle();
        }
        const difference = this.difference();
        if (this.change) {
            queue.replace(this.change.id, difference?.operation ?? { type: 'note', topic: this.topic, put: [], remove: [], order: null, was: {} });
        } else if (difference) {
            this.change = { id: queue.add(difference.operation, this.page.stepFor(`note:${this.topic}`), true) };
        }
        if (this.change) {
            this.change.now = difference?.now ?? this.stored;
            const bearer = this.page.tree.get(this.topic);
            if (bearer) {
                bearer.noted = this.change.now.size > 0;
            }
        }
    }

    /** The change that has gone out is what later ones are compared with. */
    settle() {
        for (const [id, one] of this.change.now) {
            if (this.stored.get(id) !== one) {
                this.seen.delete(id);
            }
        }
        this.stored = this.change.now;
        this.editor.state.doc.forEach((node) => {
            if (this.stored.get(node.attrs.id) === block(node)) {
                this.nodes.set(node.attrs.id, node);
            }
        });
        this.change = null;
    }

    /** PHP has told what changed: the head is drawn again, and a note that others changed is loaded again. */
    async told(answer, ownNotes) {
        if (!this.isOpen) {
            return;
        }
        if (!this.page.tree.noteBearer(this.topic)) {
            this.close();
            return;
        }
        this.head();
        this.page.citations.redraw();
        const isTouched = (answer.rootRevised && !this.page.tree.get(this.topic)) || answer.topics.some((topic) => topic.id === this.topic);
        if (isTouched && !ownNotes.has(this.topic) && !this.editorIsAhead()) {
            const fresh = await send('GET', `${this.page.address}/topics/${this.topic}/note`).catch(() => null);
            if (fresh?.topic === this.topic && JSON.stringify(fresh.blocks) !== JSON.stringify(this.blocks())) {
                this.set(fresh);
            }
        }
    }

    editorIsAhead() {
        return this.change !== null && this.page.queue.isWaiting(this.change.id);
    }

    /** Someone else changed the same paragraph: what was written here is put in again, beside theirs. Whether that was so. */
    refused(change, { reason }) {
        if (change.type !== 'note' || reason !== 'changed') {
            return false;
        }
        const put = change.put.map((one) => ({ ...one, attrs: { ...one.attrs, id: newId() } }));
        setTimeout(() => {
            this.page.perform({ type: 'note', topic: change.topic, put, remove: [], order: null, was: {} });
            this.change = null;
            setTimeout(() => this.topic === change.topic && this.load(change.topic), KEPT_FOR_MERGE);
        });
        this.page.say('Someone else has changed the same paragraph. What you wrote is kept as a paragraph of its own below it.');
        return true;
    }

    /** Whether the editor has an undo or redo of its own left. */
    canStep(which) {
        return which === 'undo' ? this.editor.can().undo() : this.editor.can().redo();
    }
}

