import { TextSelection } from '@tiptap/pm/state';

export const ASK_AGAIN = 3000;

/** How the blocks of a note come, while one writes already. */
export class Arriving {
    async asked() {
        const { ticket, topic } = this;
        await this.session.queue.flush();
        await this.session.turn.catch(() => {});
        return topic !== null && ticket === this.ticket ? this.session.noteOf(topic, () => this.change?.id) : null;
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

    /** @param {any} fresh */
    arrive(fresh) {
        this.citations.know(fresh.labels ?? {});
        const { state } = this.editor;
        const typed = new Set(this.isBlank ? [] : state.doc.content.content.map((node) => node.attrs.id));
        const above = fresh.blocks.filter((/** @type {any} */ one) => !typed.has(one.attrs.id));
        const isFresh = this.change === null || this.session.queue.isHeld(this.change.id);
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
                if (isFresh && nodes.lastChild?.type.name === 'paragraph' && state.doc.firstChild?.type.name === 'paragraph') {
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
            this.session.queue.release(this.change.id);
        }
    }
}
