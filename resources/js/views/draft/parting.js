import { around } from '../../lib/dom.js';
import { moveTo } from '../../note/parting.js';

/** What is marked in the text of one section is dragged into another. */
export class DraftParting {
    /** @param {import('./draft.js').Draft} draft */
    constructor(draft) {
        this.draft = draft;
        /** @type {HTMLElement | null} */
        this.marked = null;
        const { side } = draft;
        side.addEventListener('dragover', (event) => this.over(event));
        side.addEventListener('dragleave', () => this.mark(null));
        side.addEventListener('drop', (event) => this.drop(event), { capture: true });
    }

    /** The section over which something of the text is held, if it may go there. @param {DragEvent} event */
    target(event) {
        const { draft } = this;
        const place = /** @type {HTMLElement | null} */ (around(event, '[data-topic]'));
        const isOurs = draft.open !== null && draft.editor?.editor.view.dragging;
        return isOurs && place && place.dataset.topic !== draft.open ? place : null;
    }

    /** @param {HTMLElement | null} place */
    mark(place) {
        if (this.marked !== place) {
            this.marked?.classList.remove('is-target');
            place?.classList.add('is-target');
            this.marked = place;
        }
    }

    /** @param {DragEvent} event */
    over(event) {
        const place = this.target(event);
        this.mark(place);
        if (place && event.dataTransfer) {
            event.preventDefault();
            event.dataTransfer.dropEffect = 'move';
        }
    }

    /** @param {DragEvent} event */
    drop(event) {
        const { draft } = this;
        const place = this.target(event);
        this.mark(null);
        if (place && draft.editor) {
            event.preventDefault();
            event.stopPropagation();
            const to = place.dataset.topic ?? '';
            if (moveTo(draft.editor, to)) {
                draft.page.say('Moved to the end of that section.', { label: 'Undo', act: () => draft.page.undo() });
                draft.parted(to);
            }
        }
    }
}
