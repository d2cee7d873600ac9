import { around } from '../../lib/dom.js';
import { newId } from '../../lib/ids.js';
import { element } from '../../ui/element.js';

const AFTER_TYPING = 600;

/** Plain text alone where the browser knows of that. */
function editable() {
    const probe = document.createElement('span');
    try {
        probe.contentEditable = 'plaintext-only';
    } catch {
        return 'true';
    }
    return 'plaintext-only';
}

/** The titles in the text, each written where it stands. */
export class DraftTitles {
    /** @param {import('./draft.js').Draft} draft */
    constructor(draft) {
        this.draft = draft;
        this.page = draft.page;
        /** The title as it was when it was begun. @type {string | null} */
        this.was = null;
        /** A section that was made here and has nothing yet, and the step that made it. @type {{id: string, step: string} | null} */
        this.fresh = null;
        /** The topic whose title was written in, and is not kept yet. @type {string | null} */
        this.written = null;
        /** Whether a title is left for the text under it. */
        this.isGoingIn = false;
        /** Whether the page is being drawn. */
        this.isDrawn = false;
        /** @type {ReturnType<typeof setTimeout> | undefined} */
        this.waiting = undefined;
    }

    /** @param {string} id */
    field(id) {
        const { title } = this.page.tree.get(id);
        if (!this.page.session.rights.mayWrite) {
            return title || 'Untitled';
        }
        return element(
            'span',
            {
                class: 'draft-title',
                contenteditable: editable(),
                spellcheck: 'true',
                'data-empty': 'Untitled',
                onfocus: () => this.begun(id),
                oninput: () => this.soon(id),
                onblur: () => this.left(id),
            },
            title,
        );
    }

    /** The topic whose title the keyboard is in. @param {Event} event @returns {string | null} */
    at(event) {
        return around(event, '.draft-title') ? (around(event, '[data-topic]')?.dataset.topic ?? null) : null;
    }

    /** @param {string} id @returns {HTMLElement | null} */
    of(id) {
        return this.draft.box.querySelector(`[data-topic="${id}"] .draft-title`);
    }

    /** @param {string} id @param {'start' | 'end'} where */
    focus(id, where = 'end') {
        const field = this.of(id);
        if (!field) {
            return false;
        }
        field.focus();
        const selection = getSelection();
        selection?.selectAllChildren(field);
        where === 'end' ? selection?.collapseToEnd() : selection?.collapseToStart();
        field.scrollIntoView({ block: 'nearest' });
        return true;
    }

    /** @param {string} id */
    begun(id) {
        this.was = this.page.tree.get(id)?.title ?? null;
        this.draft.tellHere(id);
    }

    /** @param {string} id */
    soon(id) {
        this.written = id;
        clearTimeout(this.waiting);
        this.waiting = setTimeout(() => this.keep(id), AFTER_TYPING);
    }

    /** What stands in the field is the title from now on. @param {string} id */
    keep(id) {
        clearTimeout(this.waiting);
        this.written = null;
        const topic = this.page.tree.get(id);
        const field = this.of(id);
        const title = (field?.textContent ?? '').replace(/\s+/g, ' ').trim();
        if (topic && field && title !== topic.title) {
            const step = this.fresh?.id === id ? this.fresh.step : this.page.stepFor(`title ${id}`);
            this.page.perform({ type: 'retitle', topic: id, title, was: this.was ?? topic.title }, step);
            this.was = title;
        }
    }

    /** What is written in a title, and is not kept yet, is kept now. */
    commit() {
        this.written && this.keep(this.written);
    }

    /** Shows what a title has become, by an undo or by others, where nobody is writing it. @param {string} id @param {HTMLElement} node */
    refresh(id, node) {
        const field = /** @type {HTMLElement | null} */ (node.querySelector('.draft-title'));
        const title = this.page.tree.get(id)?.title ?? '';
        if (field && this.written !== id && field.textContent?.replace(/\s+/g, ' ').trim() !== title) {
            field.textContent = title;
            this.was = title;
            field === document.activeElement && getSelection()?.selectAllChildren(field);
            field === document.activeElement && getSelection()?.collapseToEnd();
        }
    }

    /** @param {string} id */
    left(id) {
        if (this.isDrawn) {
            return;
        }
        this.keep(id);
        const { fresh } = this;
        // Left with nothing on it, it goes by itself; on the way into its text it stays.
        if (fresh?.id === id && this.draft.open !== id && !this.isGoingIn) {
            this.fresh = null;
            this.page.tree.get(id) && this.page.tree.isBare(id) && this.page.perform({ type: 'drop', ids: [id] }, fresh.step);
        }
    }

    /** A section after another one, on its level, ready to be named. @param {string} id */
    addAfter(id) {
        const { tree } = this.page;
        const topic = tree.get(id);
        const at = topic ? { parent: topic.parent, after: id } : { parent: id, after: null };
        const [made, step] = [newId(), newId()];
        this.fresh = { id: made, step };
        this.page.perform({ type: 'add', at, topics: [{ id: made, title: '' }] }, step);
        this.draft.close();
        this.draft.draw();
        this.focus(made);
    }

    /** Whether the caret is at one end of the title. @param {HTMLElement} field @param {'start' | 'end'} end */
    isAt(field, end) {
        const selection = getSelection();
        if (!selection?.isCollapsed || !selection.anchorNode) {
            return false;
        }
        const range = document.createRange();
        range.selectNodeContents(field);
        end === 'start'
            ? range.setEnd(selection.anchorNode, selection.anchorOffset)
            : range.setStart(selection.anchorNode, selection.anchorOffset);
        return range.toString() === '';
    }
}
