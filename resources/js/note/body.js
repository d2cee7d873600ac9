import { EditorState, TextSelection } from '@tiptap/pm/state';
import { send } from '../lib/http.js';
import { placeOf, replaceWithin, restore } from './carets.js';
import { orderOf } from './order.js';
import { block, toEditor } from './schema.js';

const ASK_AGAIN = 3000;
const AFTER_TYPING = 400;
const UNKNOWN = -1;

/**
 * The blocks of the note that is open: as the server has them, and as they stand in the editor.
 * One can write as soon as a note is asked for: until its blocks have come, what is written stands
 * below them, and joins them when they arrive. What others write in it comes in whenever nothing
 * of one's own is on the way; two who write in one paragraph are joined by the server.
 */
export class NoteBody {
    constructor(page, editor, { onState }) {
        Object.assign(this, { page, editor, onState });
        this.topic = null;
        this.change = null;
        this.ticket = 0;
        this.stored = new Map();
        this.nodes = new Map();
        this.hasCome = true;
    }

    /** Takes up the note of a topic; an empty place to write at once, its blocks as soon as they have come. */
    take(topic) {
        this.release();
        this.topic = topic;
        this.ticket++;
        this.change = null;
        this.isStale = false;
        this.revision = UNKNOWN;
        this.known([]);
        this.editor.view.updateState(EditorState.create({ schema: this.editor.schema, doc: this.documentOf([]), plugins: this.editor.state.plugins }));
        // A step that is being taken back may bring words that the page does not know of yet.
        this.hasCome = topic === null || !(this.page.session.turns || this.page.tree.noteBearer(topic).noted || this.page.queue.pending.some((change) => change.topic === topic));
        this.isLost = false;
        this.onState();
        if (!this.hasCome) {
            this.coming = this.fetch();
        }
    }

    documentOf(blocks) {
        return this.editor.schema.nodeFromJSON(toEditor(blocks));
    }

    /** What later changes are compared with. */
    known(blocks) {
        this.stored = new Map(blocks.map((one) => [one.attrs.id, one]));
        this.nodes = new Map();
    }

    /** The blocks in the editor. */
    blocks() {
        return this.editor.state.doc.content.content.map(block);
    }

    /** The text before the caret. */
    get before() {
        return this.editor.state.selection.$head.nodeBefore?.text ?? '';
    }

    get isBlank() {
        const { doc } = this.editor.state;
        return doc.childCount === 1 && doc.firstChild.type.name === 'paragraph' && doc.firstChild.content.size === 0;
    }

    // ---- The blocks come

    async asked() {
        const { ticket, topic } = this;
        await this.page.queue.flush();
        await this.page.session.turn.catch(() => {});
        return ticket === this.ticket ? send('GET', `${this.page.address}/topics/${topic}/note`).catch(() => null) : null;
    }

    /** Asks until they have come; what is written meanwhile is not held back for long. */
    async fetch() {
        const { ticket } = this;
        clearTimeout(this.patience);
        this.patience = setTimeout(() => ticket === this.ticket && this.wait(), ASK_AGAIN);
        const fresh = await this.asked();
        if (ticket !== this.ticket) {
            return;
        }
        if (fresh) {
            this.arrive(fresh);
            return;
        }
        this.wait();
        this.again = setTimeout(() => ticket === this.ticket && !this.hasCome && this.fetch(), ASK_AGAIN);
    }

    /** It does not come: that is said, and what is written goes out as it is. */
    wait() {
        this.release();
        this.isLost = true;
        this.onState();
    }

    arrive(fresh) {
        this.page.citations.know(fresh.labels ?? {});
        const { state } = this.editor;
        const typed = new Set(this.isBlank ? [] : state.doc.content.content.map((node) => node.attrs.id));
        const above = fresh.blocks.filter((one) => !typed.has(one.attrs.id));
        const isFresh = this.change === null || this.page.queue.isHeld(this.change.id);
        this.hasCome = true;
        this.isLost = false;
        this.revision = fresh.revision;
        this.known(fresh.blocks);
        if (above.length) {
            const nodes = this.documentOf(above).content;
            const change = state.tr.setMeta('addToHistory', false);
            if (typed.size === 0) {
                change.replaceWith(0, state.doc.content.size, nodes);
                change.setSelection(TextSelection.atEnd(change.doc)).setMeta('preventUpdate', true);
            } else {
                change.insert(0, nodes);
                // Begun before the note was there: it goes on where the note ends, if that is a line of text.
                if (isFresh && nodes.lastChild.type.name === 'paragraph' && state.doc.firstChild.type.name === 'paragraph') {
                    change.join(nodes.size);
                }
            }
            this.editor.view.dispatch(change);
        }
        this.release();
        if (typed.size) {
            this.changed();
        }
        this.onState();
    }

    /** Lets what was written before the note came go out. */
    release() {
        clearTimeout(this.patience);
        clearTimeout(this.again);
        if (this.change) {
            this.page.queue.release(this.change.id);
        }
    }

    // ---- What is written goes out

    /**
     * What differs between stored blocks and those in the editor, as one operation; null for nothing.
     * A block whose node was compared before has not changed.
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
        if (!this.stored.size && this.isBlank) {
            return null;
        }
        const remove = now.size === this.stored.size && !put.length ? [] : [...this.stored.keys()].filter((id) => !now.has(id));
        const order = orderOf([...this.stored.keys()], [...now.keys()]);
        if (!put.length && !remove.length && !order) {
            return null;
        }
        const base = [...put.map((one) => one.attrs.id), ...remove].map((id) => this.stored.get(id)).filter(Boolean);
        return { operation: { type: 'note', topic: this.topic, put, remove, order, base }, now };
    }

    /** Something was written: it goes into the queue, or into the change that waits there. */
    changed() {
        const { queue } = this.page;
        if (this.topic === null) {
            return;
        }
        if (this.change && !queue.isWaiting(this.change.id)) {
            this.settle();
        }
        const difference = this.difference();
        this.asking = null;
        if (this.change) {
            const nothing = { type: 'note', topic: this.topic, put: [], remove: [], order: null, base: [] };
            queue.replace(this.change.id, difference?.operation ?? nothing, this.before);
        } else if (difference) {
            this.change = { id: queue.add(difference.operation, this.page.stepFor(`note:${this.topic}`), this.before, !this.hasCome && !this.isLost) };
        }
        if (this.change) {
            this.change.now = difference?.now ?? this.stored;
            const bearer = this.page.tree.get(this.topic);
            if (bearer && this.hasCome) {
                bearer.noted = this.change.now.size > 0;
            }
        }
    }

    /** The change that has gone out is what later ones are compared with. */
    settle() {
        this.stored = this.change.now;
        this.editor.state.doc.forEach((node) => {
            if (this.stored.get(node.attrs.id) === block(node)) {
                this.nodes.set(node.attrs.id, node);
            }
        });
        this.change = null;
    }

    // ---- What others write comes in

    /** Whether something was written here that the server does not have, or may not have yet. */
    get isAhead() {
        const { queue } = this.page;
        const isOurs = ({ type, topic }) => type === 'note' && topic === this.topic;
        return queue.pending.some(isOurs) || (this.change !== null && queue.isWaiting(this.change.id));
    }

    /** What the server says of notes that were written: [revision before, revision after]; others have written in one that was not as it was known here. */
    acknowledged(notes = {}) {
        const [was, is] = notes[this.topic] ?? [];
        if (is !== undefined && was === this.revision) {
            this.revision = is;
        } else if (is !== undefined) {
            this.outdated();
        }
    }

    /** The note is another one by now. */
    outdated() {
        this.isStale = true;
        this.refreshSoon(0);
    }

    refreshSoon(wait = AFTER_TYPING) {
        clearTimeout(this.refreshing);
        this.refreshing = setTimeout(() => this.refresh(), wait);
    }

    async refresh() {
        if (!this.isStale || !this.hasCome || this.topic === null) {
            return;
        }
        if (this.isAhead || this.editor.view.composing) {
            this.refreshSoon();
            return;
        }
        const { ticket } = this;
        const asking = this.asking = {};
        const fresh = await send('GET', `${this.page.address}/topics/${this.topic}/note`).catch(() => null);
        if (ticket !== this.ticket) {
            return;
        }
        // What was written since may be on the server by now, and is not in an answer that was on its way.
        if (!fresh || asking !== this.asking || this.isAhead || this.editor.view.composing) {
            this.refreshSoon(fresh ? AFTER_TYPING : ASK_AGAIN);
            return;
        }
        this.isStale = false;
        this.revision = fresh.revision;
        this.page.citations.know(fresh.labels ?? {});
        this.change = null;
        this.turnInto(fresh.blocks);
        this.known(fresh.blocks);
    }

    /** Changes what stands in the editor into these blocks, and only where they differ: the caret stays with the words it stands in. */
    turnInto(blocks) {
        const { state } = this.editor;
        const place = state.doc.lastChild;
        let wanted = this.documentOf(blocks);
        if (wanted.childCount > blocks.length && place.type.name === 'paragraph' && place.content.size === 0) {
            // The place to write below the last block is nobody's block: it stays the one that is there.
            wanted = wanted.copy(wanted.content.replaceChild(wanted.childCount - 1, place));
        }
        const caret = placeOf(state.doc, state.selection);
        const change = state.tr.setMeta('addToHistory', false);
        const ids = (doc) => doc.content.content.map((node) => node.attrs.id).join();
        const isSameOrder = ids(state.doc) === ids(wanted);
        if (!isSameOrder) {
            // First the blocks as they stand here in the order that they have there, then the words in them.
            const here = new Map(state.doc.content.content.map((node) => [node.attrs.id, node]));
            change.replaceWith(0, state.doc.content.size, wanted.content.content.map((node) => here.get(node.attrs.id) ?? node));
            restore(change, caret);
        }
        let at = 0;
        wanted.forEach((node, _, i) => {
            const now = change.doc.child(i);
            // What is no part of the stored block, such as ids within it, is no difference.
            if (JSON.stringify(block(now)) !== JSON.stringify(block(node))) {
                replaceWithin(change, at, now, node);
            }
            at += change.doc.child(i).nodeSize;
        });
        if (change.docChanged) {
            this.editor.view.dispatch(change.setStoredMarks(state.storedMarks).setMeta('preventUpdate', true));
        }
    }
}
