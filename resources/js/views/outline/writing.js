import { newId } from '../../lib/ids.js';
import { when } from '../../commands/commands.js';
import { words } from '../../lib/vocabulary.js';
import { element } from '../../ui/element.js';
import { actionFor } from '../../lib/keys.js';
import { linesIn } from '../../lib/lines.js';

/** Writing titles in place: a field stands where the title stood, and each key press is kept. */
export class Writing {
    constructor(outline) {
        this.outline = outline;
        /** Topics made here that are still empty, each with the change and the step that made it. */
        this.fresh = new Map();
        this.input = element('input', {
            class: 'title-input', type: 'text', spellcheck: 'true', maxlength: words().limits.title, autocomplete: 'off', 'aria-label': 'Title',
            oninput: () => this.typed(), onkeydown: (event) => this.pressed(event), onselectionchange: () => outline.landing.draw(),
            onblur: (event) => this.left(event), onpaste: (event) => this.pasted(event),
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
        outline.state.write(id);
        outline.rows.draw();
        outline.rows.reveal(id);
        const column = at === 'click' ? columnAt(event, topic.title) : at === 'start' ? 0 : at === 'end' ? topic.title.length : Math.min(at, topic.title.length);
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

    left({ relatedTarget: to }) {
        // Another window has come to the front: the field is still the one that is written in.
        if (this.ending || document.activeElement === this.input) {
            return;
        }
        // Something in its own row may have been pressed: then it is gone on with.
        const isNear = !to || this.outline.box.contains(to) || to.closest('#note, .menu');
        this.end(true, isNear ? this.outline.writing : null);
    }

    /** Topics made here that are empty and not what is gone on with go by themselves. */
    sweep() {
        for (const id of [...this.fresh.keys()]) {
            const { outline } = this;
            if (id !== outline.writing && id !== outline.active && !outline.marked.has(id) && id !== outline.note.topic) {
                outline.tree.get(id) && outline.tree.isBare(id) ? this.drop(id) : this.fresh.delete(id);
            }
        }
    }

    /** A topic that was made here, and was left with nothing on it, goes by itself. */
    drop(id) {
        const { outline } = this;
        const { tree } = outline;
        const made = this.fresh.get(id);
        if (!made || !tree.get(id) || !tree.isBare(id)) {
            return;
        }
        this.fresh.delete(id);
        const at = outline.rows.index.get(id);
        const next = outline.list[at - 1] ?? outline.list[at + 1];
        if (outline.queue.takeOut(made.change, id)) {
            tree.forget(id);
            outline.page.draw();
        } else {
            outline.perform({ type: 'drop', ids: [id] }, ...(made.written ? [] : [made.step]));
        }
        if (outline.active === id) {
            outline.state.mark(next?.id ?? null);
            outline.rows.draw();
        }
    }

    /** Shows what the title has become, by an undo or by others, unless what is typed here is on its way. */
    refresh() {
        const topic = this.outline.writing && this.outline.tree.get(this.outline.writing);
        if (topic && topic.title !== this.input.value.trim() && this.outline.queue.isEmpty) {
            const { selectionStart: start, selectionEnd: end, value } = this.input;
            const later = topic.title.endsWith(value.slice(start)) && !topic.title.startsWith(value.slice(0, start)) ? topic.title.length - value.length : 0;
            this.input.value = this.base = topic.title;
            this.input.setSelectionRange(start + later, end + later);
        }
    }

    typed() {
        const { outline } = this;
        const id = outline.writing;
        const title = this.input.value;
        const before = title.slice(0, this.input.selectionStart);
        const step = outline.stepFor(id);
        if (this.change && this.changed === id && this.step === step && outline.queue.isWaiting(this.change) && outline.queue.pending.at(-1)?.id === this.change) {
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
            this.fresh.get(id).written = true;
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
        this.outline.page.commands.run('title', action, { id: this.outline.writing, event });
    }

    /** What can be done while a title is written. */
    get commands() {
        const { outline } = this;
        const writing = (run) => when(() => outline.writing, () => run(outline.writing, this.input.selectionStart));
        const moving = (act) => writing((id) => this.moved(id, act));
        return {
            enter: writing((id, column) => this.enter(id, column)),
            inward: moving(() => outline.moving.inward()), outward: moving(() => outline.moving.outward()),
            moveUp: moving(() => outline.moving.shift(-1)), moveDown: moving(() => outline.moving.shift(1)),
            titleAbove: writing((id, column) => this.neighbour(id, -1, column)), titleBelow: writing((id, column) => this.neighbour(id, 1, column)),
            joinAbove: writing((id) => this.joinAbove(id)),
            openNote: writing((id) => outline.note.open(id)),
        };
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
            this.fresh.delete(outline.add({ parent, after }, '', { kind: topic.kind }));
            this.write(id, 0);
            return;
        }
        if (title === '' && this.fresh.has(id)) {
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
        outline.state.also(fresh);
        outline.perform({ type: 'split', topic: id, new: fresh, at: [...title.slice(0, column)].length });
        this.write(fresh, 0);
    }

    /** Joins a title with the one above and goes on at the seam; asks first where two notes would run together. */
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
        this.end(true, id);
        if (below.title === '' && !below.noted && !outline.tree.partsOf(id).length) {
            outline.perform({ type: 'remove', ids: [id] });
        } else {
            outline.perform({ type: 'join', upper, lower: id });
        }
        this.write(upper, column);
        return upper;
    }

    /** Several lines at once become several topics, after this one. */
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

/** The column of a click in a title, as far as the browser can tell. */
function columnAt(event, title) {
    const caret = document.caretPositionFromPoint?.(event.clientX, event.clientY);
    const range = caret ? null : document.caretRangeFromPoint?.(event.clientX, event.clientY);
    const offset = caret?.offset ?? range?.startOffset ?? title.length;
    return Math.min(offset, title.length);
}
