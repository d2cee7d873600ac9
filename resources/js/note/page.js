import { Editor } from '@tiptap/core';
import { send } from '../http.js';
import { newId } from '../ids.js';
import { colour } from '../plan/element.js';
import { extensions, fromEditor, toEditor } from './schema.js';

const KEPT_FOR_MERGE = 400;

/** The note beside the outline: one editor that follows the marked topic while it is open, and saves while it is written. */
export class NotePage {
    constructor(page) {
        this.page = page;
        this.side = document.getElementById('note');
        this.topic = null;
        this.loading = 0;
        this.editor = new Editor({
            element: document.getElementById('page'),
            injectCSS: false,
            extensions: extensions({ onLink: () => this.askLink() }),
            editorProps: { attributes: { 'aria-label': 'Note', role: 'textbox', 'aria-multiline': 'true', spellcheck: 'true', lang: page.tree.properties.language } },
            onUpdate: () => this.changed(),
            onTransaction: () => this.showTools(),
        });
        this.tools();
    }

    get isOpen() {
        return this.topic !== null;
    }

    tools() {
        const chain = () => this.editor.chain().focus();
        const acts = {
            bold: () => chain().toggleBold(), italic: () => chain().toggleItalic(), underline: () => chain().toggleUnderline(), strike: () => chain().toggleStrike(),
            highlight: () => chain().toggleHighlight(), blockquote: () => chain().toggleBlockquote(), bulletList: () => chain().toggleBulletList(), orderedList: () => chain().toggleOrderedList(),
            heading: () => chain().toggleHeading({ level: 2 }),
        };
        for (const button of this.side.querySelectorAll('.tools [data-tool]')) {
            button.addEventListener('mousedown', (event) => event.preventDefault());
            button.addEventListener('click', () => (button.dataset.tool === 'link' ? this.askLink() : acts[button.dataset.tool]().run()));
        }
        document.getElementById('close-note').addEventListener('click', () => { this.close(); this.page.outline.box.focus({ preventScroll: true }); });
        const form = document.getElementById('link-form');
        form.addEventListener('submit', (event) => { event.preventDefault(); this.setLink(form.elements.address.value.trim()); });
        document.getElementById('remove-link').addEventListener('click', () => this.setLink(''));
    }

    showTools() {
        for (const button of this.side.querySelectorAll('.tools [data-tool]')) {
            button.setAttribute('aria-pressed', String(this.editor?.isActive(button.dataset.tool) ?? false));
        }
    }

    askLink() {
        const dialog = document.getElementById('link');
        const { address } = dialog.querySelector('form').elements;
        address.value = this.editor.getAttributes('link').href ?? '';
        dialog.querySelector('.error').textContent = '';
        dialog.showModal();
        address.focus();
    }

    setLink(address) {
        const dialog = document.getElementById('link');
        const href = address && !/^[a-z]+:/i.test(address) ? (address.includes('@') ? `mailto:${address}` : `https://${address}`) : address;
        if (href && !/^(https?:\/\/|mailto:|tel:)[^\s<>"]+$/i.test(href)) {
            dialog.querySelector('.error').textContent = 'This is not an address of the web, mail or telephone.';
            return;
        }
        dialog.close();
        const chain = this.editor.chain().focus().extendMarkRange('link');
        if (!href) {
            chain.unsetLink().run();
        } else if (this.editor.state.selection.empty && !this.editor.isActive('link')) {
            chain.insertContent({ type: 'text', text: address, marks: [{ type: 'link', attrs: { href } }] }).run();
        } else {
            chain.setLink({ href }).run();
        }
    }

    /** Opens the note of a topic and writes in it. */
    async open(id) {
        this.page.outline.titles.end();
        this.page.outline.work.classList.remove('without-note');
        this.side.hidden = false;
        this.page.map?.narrowed();
        if (this.topic !== id) {
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
        this.page.outline.work.classList.remove('without-note');
        this.side.hidden = false;
        this.page.map?.narrowed();
        clearTimeout(this.following);
        if (this.topic !== id) {
            await this.load(id);
        }
    }

    /** The text nodes and other inlines of a line of a block, as they stand in the page. */
    textsOf(block, line) {
        const top = [...this.editor.view.dom.children].find((_, i) => this.editor.state.doc.child(i)?.attrs.id === block);
        const lines = !top ? [] : top.matches('p, h1, h2, h3, h4, h5, h6, pre') ? [top] : [...top.querySelectorAll('p, h1, h2, h3, h4, h5, h6, pre')];
        const texts = [];
        const walk = (node) => [...node.childNodes].forEach((child) => (child.nodeType === 3 || child.nodeName === 'BR' ? child.className !== 'ProseMirror-trailingBreak' && texts.push(child) : walk(child)));
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
        this.head();
        if (!this.page.tree.noteBearer(id).noted && !this.page.queue.pending.some((change) => change.topic === id)) {
            this.set({ blocks: [], seen: {} });
            this.editor.setEditable(true, false);
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

    set({ blocks, seen }) {
        this.seen = new Map(Object.entries(seen));
        this.stored = new Map(blocks.map((block) => [block.attrs.id, block]));
        this.order = blocks.map((block) => block.attrs.id);
        this.change = null;
        this.editor.chain().setMeta('addToHistory', false).setContent(toEditor(blocks), { emitUpdate: false }).run();
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

    /** What differs between stored blocks and those in the editor, as one operation; null for nothing. */
    difference() {
        const blocks = fromEditor(this.editor.getJSON());
        const isEmpty = blocks.length === 1 && blocks[0].type === 'paragraph' && !blocks[0].content;
        const now = new Map((isEmpty && !this.stored.size ? [] : blocks).map((block) => [block.attrs.id, block]));
        const put = [...now.values()].filter((block) => JSON.stringify(this.stored.get(block.attrs.id)) !== JSON.stringify(block));
        const remove = [...this.stored.keys()].filter((id) => !now.has(id));
        const order = [...now.keys()];
        if (!put.length && !remove.length && order.join() === this.order.join()) {
            return null;
        }
        const was = {};
        for (const id of [...put.map((block) => block.attrs.id), ...remove]) {
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
            queue.replace(this.change.id, difference?.operation ?? { type: 'note', topic: this.topic, put: [], remove: [], order: this.order, was: {} });
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
        for (const [id, block] of this.change.now) {
            if (this.stored.get(id) !== block && JSON.stringify(this.stored.get(id)) !== JSON.stringify(block)) {
                this.seen.delete(id);
            }
        }
        this.stored = this.change.now;
        this.order = [...this.stored.keys()];
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
        const isTouched = (answer.rootRevised && !this.page.tree.get(this.topic)) || answer.topics.some((topic) => topic.id === this.topic);
        if (isTouched && !ownNotes.has(this.topic) && !this.editorIsAhead()) {
            const fresh = await send('GET', `${this.page.address}/topics/${this.topic}/note`).catch(() => null);
            if (fresh?.topic === this.topic && JSON.stringify(fresh.blocks) !== JSON.stringify(fromEditor(this.editor.getJSON()))) {
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
        const put = change.put.map((block) => ({ ...block, attrs: { ...block.attrs, id: newId() } }));
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

