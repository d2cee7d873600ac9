import { byId, firstOf } from '../lib/dom.js';
import { counted } from '../lib/counted.js';
import { colour } from '../ui/element.js';
import { WaitingField } from './waiting.js';
import { showSize } from './options.js';
import { textsOf } from './texts.js';

const AGAIN = 3000;

/**
 * The note beside the plan: one editor that follows the marked topic while it is open. The editor
 * comes when it is first wanted; until then there is a plain field, whose words it takes over.
 */
export class NotePanel {
    /**
     * @param {import('./editor.js').Desk} desk
     * @param {object} on
     * @param {(id: string) => void} on.opening titles end
     * @param {() => void} on.sized there is more or less room for the plan
     * @param {() => void} on.closed
     * @param {() => void} on.back the keyboard goes back to the topics
     * @param {() => HTMLElement} on.beside the element that it stands beside
     */
    constructor(desk, on) {
        this.desk = desk;
        this.on = on;
        this.session = desk.session;
        this.side = byId('note');
        this.box = byId('page');
        this.late = byId('note-late');
        this.work = byId('work');
        /** @type {string | null} */
        this.topic = null;
        /** The editor on its way. @type {Promise<typeof import('./editor.js') | null> | null} */
        this.coming = null;
        /** @type {import('./editor.js').NoteEditor | null} */
        this.editor = null;
        // Left before the editor was there: its words are on the note from then on, whatever is done with its topic next.
        this.waiting = new WaitingField(
            () => this.keepWaiting(),
            () => this.session.hold(this.waiting.hasWords),
        );
        addEventListener('pagehide', () => this.keepWaiting());
        byId('close-note').addEventListener('click', () => {
            this.close();
            on.back();
        });
        byId('wide-note').addEventListener('click', () => this.widen(!this.isWide));
        showSize();
    }

    get isOpen() {
        return this.topic !== null;
    }

    get isWide() {
        return this.side.classList.contains('is-wide');
    }

    /** Fetches the editor ahead of its first use. */
    fetch() {
        this.coming ??= import('./editor.js').catch(() => {
            this.coming = null;
            return null;
        });
        return this.coming;
    }

    /** The editor, once it is there; it takes over what was written in the field that stood for it. */
    async make() {
        const made = await this.fetch();
        if (!made) {
            this.showLate(this.isOpen);
            clearTimeout(this.again);
            this.again = setTimeout(() => this.make(), AGAIN);
            return;
        }
        if (this.editor) {
            return;
        }
        const hasKeyboard = document.activeElement === this.waiting.box;
        const held = this.waiting.take();
        this.waiting.box.remove();
        const editor = (this.editor = new made.NoteEditor(this.desk, {
            box: this.box,
            tools: firstOf(this.side, '.tools'),
            onState: () => this.showState(),
            onRemoved: () => {
                this.close();
                this.on.back();
            },
        }));
        if (this.isOpen) {
            editor.take(this.topic);
            hasKeyboard && editor.focus();
            WaitingField.hand(editor, held);
        }
    }

    /**
     * Opens the note of a topic and writes in it: from this moment on what is typed is typed into it, whether its text has come or not.
     * @param {string} id
     */
    open(id) {
        this.on.opening(id);
        this.appear();
        this.load(id);
        this.editor ? this.editor.focus() : this.waiting.box.focus();
    }

    /** Opens a note to read, without taking the keyboard; resolves when its text has come, or will not. @param {string} id */
    async showAt(id) {
        this.appear();
        this.load(id);
        await this.fetch();
        await this.editor?.body.coming;
    }

    appear() {
        const beside = this.on.beside();
        if (this.side.parentElement !== beside) {
            beside.append(this.side);
        }
        this.work.classList.remove('without-note');
        this.side.hidden = false;
        this.on.sized();
        clearTimeout(this.following);
    }

    /** @param {string} id */
    load(id) {
        if (this.topic === id) {
            return;
        }
        this.keepWaiting();
        this.topic = id;
        this.head();
        if (this.editor) {
            this.editor.take(id);
        } else {
            this.box.append(this.waiting.box);
            this.make();
        }
    }

    /** What was written in the field that stands for the editor goes to the end of its note. */
    keepWaiting() {
        const lines = this.waiting.takeLines();
        if (lines.length && this.topic) {
            const bearer = this.session.tree.noteBearer(this.topic);
            if (bearer) {
                bearer.noted = true;
            }
            const put = lines.map((line) => this.desk.paragraph(line));
            this.session.perform({ type: 'note', topic: this.topic, put, remove: [], order: null, was: {} });
        }
    }

    /** An open note goes along with the marked row; not when the mark comes straight back to it. @param {string} id */
    follow(id) {
        clearTimeout(this.following);
        if (this.isOpen && this.topic !== id && this.session.tree.noteBearer(id)) {
            // It may have gone by then.
            this.following = setTimeout(() => this.isOpen && this.session.tree.noteBearer(id) && this.load(id), 60);
        }
    }

    close() {
        this.commit();
        this.keepWaiting();
        this.widen(false);
        this.topic = null;
        this.editor?.take(null);
        this.side.hidden = true;
        this.work.classList.add('without-note');
        this.on.sized();
        this.on.closed();
    }

    /** The note across the whole page, or beside the plan. @param {boolean} isWide */
    widen(isWide) {
        this.side.classList.toggle('is-wide', isWide);
        this.work.classList.toggle('has-wide-note', isWide);
        byId('wide-note').setAttribute('aria-pressed', String(isWide));
        this.on.sized();
    }

    commit() {
        this.editor ? this.editor.commit() : this.session.queue.flush();
    }

    /** @param {any} isLate */
    showLate(isLate) {
        this.late.hidden = !isLate;
        this.side.classList.toggle('is-late', isLate);
    }

    /** Whether the text of the note is still to come. */
    showState() {
        const body = this.editor?.body;
        this.showLate(!!body?.isLost && !body.hasCome);
        this.box.classList.toggle('is-coming', !!body && !body.hasCome);
    }

    head() {
        const { tree } = this.session;
        const id = this.topic;
        const topic = id && tree.noteBearer(id);
        if (!topic) {
            return;
        }
        const parent = tree.get(topic.parent);
        const [words] = tree.figures.get(id) ?? [0];
        const above = parent ? `${parent.label} ${parent.title}`.trim() : tree.title;
        const isOpening = topic.parent === null;
        const all = `${counted(words, 'word')} ${isOpening ? 'in all' : ''}`.trim();
        byId('note-parent').textContent = isOpening ? 'Opening note: it stands before the first section' : above;
        byId('note-words').textContent = topic.target ? `${words} of ${topic.target} words` : all;
        byId('note-title').textContent = topic.title || 'Untitled';
        this.side.style.setProperty('--d', colour(tree.dye(id)));
    }

    /** @param {string} id */
    retitled(id) {
        if (id === this.topic) {
            this.head();
        }
    }

    /**
     * PHP has told what changed: the head is drawn again, and what others have written in the note is fetched.
     * @param {import('../state/topics.js').Answer} answer
     */
    told(answer) {
        if (this.topic === null) {
            return;
        }
        if (!this.session.tree.noteBearer(this.topic)) {
            this.close();
            return;
        }
        this.head();
        this.desk.citations.redraw();
        this.editor?.told(answer);
    }

    textsOf = (/** @type {string} */ block, /** @type {any} */ line) => (this.editor ? textsOf(this.editor.editor, block, line) : []);
}
