import { EditorState } from '@tiptap/pm/state';
import { send } from '../lib/http.js';
import { orderOf } from './order.js';
import { block, toEditor } from './stored-form.js';
import { ASK_AGAIN } from './arriving.js';
import { Joining } from './joining.js';

const AFTER_TYPING = 400;
const UNKNOWN = -1;
/** In ms: so long after another has written in it, it is said again. */
const MEETS = 30_000;

/**
 * The blocks of the note that is open: as the server has them, and as they stand in the editor.
 * One can write as soon as a note is asked for: until its blocks have come, what is written stands
 * below them, and joins them when they arrive. What others write in it comes in whenever nothing
 * of one's own is on the way; two who write in one paragraph are joined by the server.
 */
export class NoteBody extends Joining {
    /** @param {import('./editor.js').Desk} desk @param {import('@tiptap/core').Editor} editor @param {{onState: () => void}} on */
    constructor({ session, citations, say }, editor, { onState }) {
        super();
        this.onMet = say;
        this.session = session;
        this.citations = citations;
        this.editor = editor;
        this.onState = onState;
        /** @type {string | null} */
        this.topic = null;
        /** The change that waits or is under way, and the blocks that it leads to. @type {{id: string, now: Map<string, any>} | null} */
        this.change = null;
        this.ticket = 0;
        /** The blocks as the server has them, by their ids. @type {Map<string, any>} */
        this.stored = new Map();
        this.nodes = new Map();
        this.hasCome = true;
    }

    /** Takes up the note of a topic; an empty place to write at once, its blocks as soon as they have come. @param {any} topic */
    take(topic) {
        this.release();
        this.topic = topic;
        this.ticket++;
        this.change = null;
        this.isStale = false;
        this.revision = UNKNOWN;
        this.known([]);
        this.editor.view.updateState(
            EditorState.create({ schema: this.editor.schema, doc: this.documentOf([]), plugins: this.editor.state.plugins }),
        );
        // A step that is being taken back may bring words that the page does not know of yet.
        this.hasCome =
            topic === null ||
            !(
                this.session.turns ||
                this.session.tree.noteBearer(topic).noted ||
                this.session.queue.pending.some((change) => change.topic === topic)
            );
        this.isLost = false;
        this.onState();
        if (!this.hasCome) {
            this.coming = this.fetch();
        }
    }

    /** @param {any} blocks */
    documentOf(blocks) {
        return this.editor.schema.nodeFromJSON(toEditor(blocks));
    }

    /** What later changes are compared with. @param {any} blocks */
    known(blocks) {
        this.stored = new Map(blocks.map((/** @type {any} */ one) => [one.attrs.id, one]));
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
        return doc.childCount === 1 && doc.firstChild?.type.name === 'paragraph' && doc.firstChild.content.size === 0;
    }

    // ---- The blocks come

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
        const { queue } = this.session;
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
            this.change = {
                now: difference.now,
                id: queue.add(difference.operation, this.session.stepFor(`note:${this.topic}`), this.before, !this.hasCome && !this.isLost),
            };
        }
        if (this.change) {
            this.change.now = difference?.now ?? this.stored;
            const bearer = this.session.tree.get(this.topic);
            if (bearer) {
                bearer.noted = this.change.now.size > 0 || (!this.hasCome && bearer.noted);
            }
        }
    }

    /** The change that has gone out is what later ones are compared with. */
    settle() {
        this.stored = this.change?.now ?? this.stored;
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
        const { queue } = this.session;
        const isOurs = (/** @type {import('../sync/queue.js').Change} */ { type, topic }) => type === 'note' && topic === this.topic;
        return queue.pending.some(isOurs) || (this.change !== null && queue.isWaiting(this.change.id));
    }

    /**
     * What the server says of notes that were written: [revision before, revision after]; others have written in one
     * that was not as it was known here.
     * @param {Record<string, [number, number]>} [notes]
     */
    acknowledged(notes = {}) {
        const [was, is] = notes[this.topic ?? ''] ?? [];
        if (is !== undefined && was === this.revision) {
            this.revision = is;
        } else if (is !== undefined) {
            this.outdated();
        }
    }

    /** Somebody writes in the paragraph that the caret is in: that is said, and not with every word. @param {string} by */
    meet(by) {
        const now = Date.now();
        if (now - (this.met ?? 0) > MEETS) {
            this.onMet(`${by} writes in this paragraph too. What both of you write is kept.`);
        }
        this.met = now;
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
        const asking = (this.asking = {});
        const fresh = await send('GET', `${this.session.address}/topics/${this.topic}/note`).catch(() => null);
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
        this.citations.know(fresh.labels ?? {});
        this.change = null;
        this.turnInto(fresh.blocks) && fresh.by && this.meet(fresh.by);
        this.known(fresh.blocks);
    }
}
