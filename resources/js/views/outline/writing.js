import { when } from '../../commands/commands.js';
import { words } from '../../lib/vocabulary.js';
import { element } from '../../ui/element.js';
import { actionFor } from '../../lib/keys.js';
import { linesIn } from '../../lib/lines.js';
import { TitleEnter } from './title-enter.js';

/** Writing titles in place: a field stands where the title stood, and each key press is kept. */
export class Writing extends TitleEnter {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        super();
        this.outline = outline;
        /** What the field held last, and what it changed. */
        this.base = '';
        this.was = '';
        /** @type {string | null} the change of the title that is being written */
        this.change = null;
        /** @type {string | null} of which topic */
        this.changed = null;
        this.step = '';
        this.ending = false;
        /** Topics made here that are still empty, each with the change and the step that made it. */
        this.fresh = new Map();
        this.input = element('input', {
            class: 'title-input',
            type: 'text',
            spellcheck: 'true',
            maxlength: words().limits.title,
            autocomplete: 'off',
            'aria-label': 'Title',
            oninput: () => this.typed(),
            onkeydown: (/** @type {KeyboardEvent} */ event) => this.pressed(event),
            onselectionchange: () => outline.landing.draw(),
            onblur: (/** @type {FocusEvent} */ event) => this.left(event),
            onpaste: (/** @type {ClipboardEvent} */ event) => this.pasted(event),
        });
    }

    /**
     * Starts to write a title.
     * @param {string} id
     * @param {number | 'start' | 'end' | 'click'} at a column, or where the event was
     * @param {any} [event]
     */
    write(id, at, event = null) {
        const { outline } = this;
        const topic = outline.tree.get(id);
        if (!topic || !outline.page.session.rights.mayWrite) {
            return;
        }
        this.end();
        outline.state.write(id);
        outline.rows.draw();
        outline.rows.reveal(id);
        const column =
            at === 'click'
                ? columnAt(event, topic.title)
                : at === 'start'
                  ? 0
                  : at === 'end'
                    ? topic.title.length
                    : Math.min(at, topic.title.length);
        this.input.value = this.base = topic.title;
        if (!outline.rows.openField(id, this.input)) {
            outline.state.write(null);
            return;
        }
        this.input.focus({ preventScroll: true });
        this.input.setSelectionRange(column, column);
        outline.landing.draw();
    }

    /**
     * Puts the title back in the place of the field; `isSeen`: whether its row is still one of those
     * shown; `stays`: a topic that is gone on with, empty or not.
     * @param {boolean} [isSeen]
     * @param {string | null} [stays]
     */
    end(isSeen = true, stays = null) {
        const { outline } = this;
        const id = outline.writing;
        if (!id) {
            return;
        }
        outline.state.write(null);
        this.ending = true;
        outline.rows.closeField(this.input);
        this.ending = false;
        if (isSeen) {
            outline.rows.draw();
        }
        if (id !== stays) {
            this.drop(id);
        }
        outline.landing.draw();
    }

    /** @param {{relatedTarget: any}} event */
    left({ relatedTarget: to }) {
        // Another window has come to the front: the field is still the one that is written in.
        if (this.ending || document.activeElement === this.input) {
            return;
        }
        // Something in its own row may have been pressed: then it is gone on with.
        const isNear = !to || this.outline.box.contains(to) || to.closest('#note, .menu');
        this.end(true, isNear ? this.outline.writing : null);
    }

    typed() {
        const { outline } = this;
        const id = outline.writing;
        if (!id) {
            return;
        }
        const title = this.input.value;
        const before = title.slice(0, this.input.selectionStart ?? title.length);
        const step = outline.stepFor(id);
        if (
            this.change &&
            this.changed === id &&
            this.step === step &&
            outline.queue.isWaiting(this.change) &&
            outline.queue.pending.at(-1)?.id === this.change
        ) {
            const operation = { type: 'retitle', topic: id, title, was: this.was };
            outline.tree.mirror(operation);
            outline.queue.replace(this.change, operation, before);
            outline.retitled(id);
        } else {
            this.was = this.base;
            this.change = outline.perform({ type: 'retitle', topic: id, title, was: this.was }, step, before);
            this.changed = id;
            this.step = step;
        }
        this.base = title;
        if (this.fresh.has(id)) {
            Object.assign(this.fresh.get(id) ?? {}, { written: true });
        }
        outline.landing.draw();
    }

    /** @param {Event} event */
    pressed(event) {
        const action = actionFor(event, 'title');
        const { selectionStart: start, selectionEnd: end } = this.input;
        if (!action || (action === 'joinAbove' && (start !== 0 || end !== 0))) {
            return;
        }
        event.preventDefault();
        this.outline.page.commands.run('title', action, { id: this.outline.writing, event });
    }

    /** What can be done while a title is written. */
    get commands() {
        const { outline } = this;
        const writing = (/** @type {(...given: any[]) => unknown} */ run) =>
            when(
                () => outline.writing,
                () => run(outline.writing, this.input.selectionStart),
            );
        const moving = (/** @type {(...given: any[]) => unknown} */ act) => writing((/** @type {string} */ id) => this.moved(id, act));
        return {
            enter: writing((/** @type {string} */ id, /** @type {number} */ column) => this.enter(id, column)),
            inward: moving(() => outline.moving.inward()),
            outward: moving(() => outline.moving.outward()),
            moveUp: moving(() => outline.moving.shift(-1)),
            moveDown: moving(() => outline.moving.shift(1)),
            titleAbove: writing((/** @type {string} */ id, /** @type {number} */ column) => this.neighbour(id, -1, column)),
            titleBelow: writing((/** @type {string} */ id, /** @type {number} */ column) => this.neighbour(id, 1, column)),
            joinAbove: writing((/** @type {string} */ id) => this.joinAbove(id)),
            openNote: writing((/** @type {string} */ id) => outline.note.open(id)),
        };
    }

    /** A move takes the row along with its field, and the caret stays. @param {string} id @param {(...given: any[]) => unknown} act */
    moved(id, act) {
        const column = this.input.selectionStart;
        act();
        if (document.activeElement !== this.input) {
            this.write(id, column ?? 0);
        }
    }

    /** @param {string} id @param {number} by @param {number} column */
    neighbour(id, by, column) {
        const row = this.outline.list[(this.outline.rows.index.get(id) ?? NaN) + by];
        if (row) {
            this.write(row.id, column);
        }
    }

    /** Several lines at once become several topics, after this one. @param {Event} event */
    pasted(event) {
        const lines = linesIn(event);
        if (lines.length) {
            event.preventDefault();
            const id = this.outline.writing;
            const topic = this.outline.tree.get(id);
            this.outline.clipboard.insert(lines, { parent: topic.parent, after: id });
        }
    }
}

/** The column of a click in a title, as far as the browser can tell. @param {MouseEvent} event @param {string} title */
function columnAt(event, title) {
    const caret = document.caretPositionFromPoint?.(event.clientX, event.clientY);
    const range = caret ? null : document.caretRangeFromPoint?.(event.clientX, event.clientY);
    const offset = caret?.offset ?? range?.startOffset ?? title.length;
    return Math.min(offset, title.length);
}
