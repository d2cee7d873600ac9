import { newId } from '../ids.js';
import { element } from './element.js';
import { actionFor } from './keys.js';
import { fromText } from './lines.js';

const LONGEST = 1000;

/** Writing titles in place: a field stands where the title stood, and each key press is kept. */
export class Writing {
    constructor(outline) {
        this.outline = outline;
        this.input = element('input', {
            class: 'title-input', type: 'text', spellcheck: 'true', maxlength: LONGEST, autocomplete: 'off', 'aria-label': 'Title',
            oninput: () => this.typed(), onkeydown: (event) => this.pressed(event), onselectionchange: () => outline.landing.draw(), onblur: () => this.left(), onpaste: (event) => this.pasted(event),
        });
    }

    /** Starts to write a title; `at`: 'start', 'end', a column, or 'click' with its event. */
    write(id, at, event = null) {
        const { outline } = this;
        const topic = outline.tree.get(id);
        if (!topic) {
            return;
        }
        this.end();
        outline.writing = outline.active = id;
        outline.marked = new Set([id]);
        outline.rows.draw();
        outline.rows.reveal(id);
        const column = at === 'click' ? columnAt(event, topic.title) : at === 'start' ? 0 : at === 'end' ? topic.title.length : Math.min(at, topic.title.length);
        this.input.value = topic.title;
        if (!outline.rows.openField(id, this.input)) {
            outline.writing = null;
            return;
        }
        this.input.focus({ preventScroll: true });
        this.input.setSelectionRange(column, column);
        outline.page.strip.draw(outline.tree.mainSection(id));
        outline.note.follow(id);
        outline.landing.draw();
    }

    /** Puts the title back in the place of the field; `isSeen`: whether its row is still one of those shown. */
    end(isSeen = true) {
        const { outline } = this;
        if (!outline.writing) {
            return;
        }
        outline.writing = null;
        this.ending = true;
        outline.rows.closeField(this.input);
        this.ending = false;
        if (isSeen) {
            outline.rows.draw();
        }
        outline.landing.draw();
    }

    left() {
        if (!this.ending) {
            this.end();
        }
    }

    /** Shows what the title has become, after an undo. */
    refresh() {
        const topic = this.outline.writing && this.outline.tree.get(this.outline.writing);
        if (topic && topic.title !== this.input.value) {
            this.input.value = topic.title;
        }
    }

    typed() {
        const { outline } = this;
        const id = outline.writing;
        const operation = { type: 'retitle', topic: id, title: this.input.value };
        const step = outline.stepFor(id);
        if (this.change && this.changed === id && this.step === step && outline.queue.isWaiting(this.change) && outline.queue.pending.at(-1)?.id === this.change) {
            outline.tree.mirror(operation);
            outline.queue.replace(this.change, operation);
            outline.retitled(id);
        } else {
            this.change = outline.perform(operation, step, true);
            this.changed = id;
            this.step = step;
        }
        outline.landing.draw();
    }

    pressed(event) {
        const action = actionFor(event, 'title');
        const { selectionStart: start, selectionEnd: end } = this.input;
        if (!action || (action === 'joinAbove' && (start !== 0 || end !== 0))) {
            return;
        }
        event.preventDefault();
        const { outline } = this;
        const id = outline.writing;
        ({
            enter: () => this.enter(id, start),
            inward: () => this.moved(id, () => outline.moving.inward()),
            outward: () => this.moved(id, () => outline.moving.outward()),
            moveUp: () => this.moved(id, () => outline.moving.shift(-1)),
            moveDown: () => this.moved(id, () => outline.moving.shift(1)),
            titleAbove: () => this.neighbour(id, -1, start),
            titleBelow: () => this.neighbour(id, 1, start),
            joinAbove: () => this.joinAbove(id),
            openNote: () => outline.note.open(id),
        })[action]();
    }

    /** A move takes the row along with its field, and the caret stays. */
    moved(id, act) {
        const column = this.input.selectionStart;
        act();
        if (document.activeElement !== this.input) {
            this.write(id, column);
        }
    }

    neighbour(id, by, column) {
        const row = this.outline.list[this.outline.rows.index.get(id) + by];
        if (row) {
            this.write(row.id, column);
        }
    }

    enter(id, column) {
        const { outline } = this;
        const topic = outline.tree.get(id);
        const title = this.input.value;
        if (column === 0 && title !== '') {
            const { parent, after } = outline.tree.placeOf(id);
            outline.add({ parent, after }, '', { kind: topic.kind });
            this.write(id, 0);
            return;
        }
        if (column >= title.length) {
            // Under an open branch the next line is its first part, as it stands right below.
            const open = outline.tree.partsOf(id).length > 0 && !outline.folds.has(id);
            this.write(outline.add(open ? { parent: id, after: null } : { parent: topic.parent, after: id }, '', topic.kind === 'section' || open ? {} : { kind: topic.kind }), 0);
            return;
        }
        const fresh = newId();
        this.end();
        outline.looks.also(fresh);
        outline.perform({ type: 'split', topic: id, new: fresh, at: [...title.slice(0, column)].length });
        this.write(fresh, 0);
    }

    async joinAbove(id) {
        const { outline } = this;
        const i = outline.rows.index.get(id);
        const upper = outline.list[i - 1]?.id;
        if (!upper) {
            return null;
        }
        const [above, below] = [outline.tree.get(upper), outline.tree.get(id)];
        if (above.noted && below.noted && !(await outline.page.dialogs.confirm('Join the two notes?', `Both “${above.title}” and “${below.title}” have a note. The second note will follow the first.`, 'Join them'))) {
            this.write(id, 0);
            return null;
        }
        const column = above.title.length;
        this.end();
        if (below.title === '' && !below.noted && !outline.tree.partsOf(id).length) {
            outline.perform({ type: 'remove', ids: [id] });
        } else {
            outline.queue.add({ type: 'join', upper, lower: id });
            await outline.queue.flush();
        }
        this.write(upper, column);
        return upper;
    }

    /** Several lines at once become several topics, after this one. */
    pasted(event) {
        const text = event.clipboardData?.getData('text/plain') ?? '';
        if (/\n\s*\S/.test(text)) {
            event.preventDefault();
            const id = this.outline.writing;
            const topic = this.outline.tree.get(id);
            this.outline.clipboard.insert(fromText(text), { parent: topic.parent, after: id });
        }
    }
}

/** The column of a click in a title, as far as the browser can tell. */
function columnAt(event, title) {
    const caret = document.caretPositionFromPoint?.(event.clientX, event.clientY);
    const range = caret ? null : document.caretRangeFromPoint?.(event.clientX, event.clientY);
    const offset = caret?.offset ?? range?.startOffset ?? title.length;
    return Math.min(offset, title.length);
}
