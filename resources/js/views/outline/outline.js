import { newId } from '../../lib/ids.js';
import { OutlineBar } from './bar.js';
import { Clipboard } from './clipboard.js';
import { rowCommands } from './commands.js';
import { Drag } from './drag.js';
import { whenAsked } from '../../ui/context.js';
import { whenLeft } from '../../lib/fields.js';
import { actionFor } from '../../lib/keys.js';
import { linesIn } from '../../lib/lines.js';
import { Landing } from './landing.js';
import { Looks } from './looks.js';
import { Marking } from './marking.js';
import { Menu } from '../../ui/menu.js';
import { Moving } from './moving.js';
import { NotePeek } from '../../ui/note-peek.js';
import { Rows } from './rows.js';
import { ROOT, TRAY } from '../../state/plan.js';
import { Writing } from './writing.js';

/** The outline view: which rows are shown, marked and written, and what the keys do to them. */
export class Outline {
    constructor(page) {
        this.page = page;
        this.state = page.state;
        this.work = document.getElementById('work');
        this.sheet = new Rows(document.getElementById('outline'), this.tree, this);
        this.marking = new Marking(this);
        this.titles = new Writing(this);
        this.menu = new Menu(this);
        this.moving = new Moving(this);
        this.clipboard = new Clipboard(this);
        this.landing = new Landing(this);
        this.drag = new Drag(this);
        this.looks = new Looks(this);
        this.bar = new OutlineBar(this);
        page.commands.provide('row', rowCommands(this));
        page.commands.provide('title', this.titles.commands);
        this.peek = new NotePeek(page, document.getElementById('outline-side'), '.note-mark.has-note', (mark) => mark.closest('.row').dataset.id);
        this.box.addEventListener('keydown', (event) => this.pressedInRow(event));
        this.box.addEventListener('click', (event) => this.clicked(event));
        whenAsked(this.box, (node) => node.closest('.row'), (row, point) => this.on('openMenu', row.dataset.id, point));
        document.getElementById('loose').addEventListener('click', () => this.showLoose());
        this.takesFirst(document.getElementById('first-topic'));
    }

    get isMap() { return this.page.view === 'map'; }
    /** What is folded in the view: what the person has folded, or, on a map that is too large to be read, what it has folded by itself until they do. */
    get folds() { return this.state.folds(this.isMap); }
    get active() { return this.state.active.get(); }
    get marked() { return this.state.marked.get(); }
    get writing() { return this.state.writing.get(); }
    get start() { return this.state.start.get(); }
    get tree() { return this.page.tree; }
    get queue() { return this.page.queue; }
    get note() { return this.page.note; }
    get address() { return this.page.address; }
    get list() { return this.rows.list; }
    /** What shows the topics now: the rows, or the map, which has the same doors. */
    get rows() { return this.page.view === 'map' ? this.page.map.picture : this.sheet; }
    get box() { return this.rows.box; }
    get scroller() { return this.rows.scroller; }

    /** Marks what stands where something marked has gone. */
    markNearby() {
        const row = this.active ? null : this.list[this.marking.index()];
        if (row) {
            this.marking.only(row.id);
        }
    }

    /** The view has come into sight. */
    enter() {
        this.rows.measure();
        const first = this.active ?? this.list[0]?.id ?? null;
        if (first) {
            this.marking.only(first);
            this.box.focus({ preventScroll: true });
        } else {
            document.getElementById('first-topic')?.focus();
        }
    }

    // ---- Drawing

    draw() {
        const { tree, looks, state } = this;
        const list = tree.rows(this.folds, state.isAlone ? this.start : ROOT, state.only);
        const loose = state.isAlone ? [] : tree.rows(this.folds, TRAY, state.only);
        loose.forEach((row) => { row.loose = true; });
        this.rows.layOut(list.concat(loose));
        document.getElementById('empty').hidden = tree.partsOf(ROOT).length > 0 || state.only !== null;
        looks.draw();
        this.bar.draw();
        this.marking.draw();
    }

    retitled(id) {
        this.rows.refresh(id);
        this.note.retitled(id);
    }

    /** PHP has told what changed: what has gone is not marked any more. */
    told() {
        this.state.carry(this.list.map((row) => row.id));
        if (this.writing && !this.tree.get(this.writing)) {
            this.titles.end(false);
        }
        this.titles.refresh();
    }

    // ---- Changes

    perform(...change) {
        return this.page.perform(...change);
    }

    say(...words) {
        this.page.say(...words);
    }

    stepFor(key) {
        return this.page.stepFor(key);
    }

    add(place, title = '', fields = {}) {
        const id = newId();
        this.state.also(id);
        const step = newId();
        const change = this.perform({ type: 'add', at: place, topics: [{ id, title, ...fields }] }, step);
        if (!title) {
            this.titles.fresh.set(id, { change, step });
        }
        return id;
    }

    move(ids, place, step) {
        this.page.move(ids, place, step);
        this.rows.reveal(ids[0]);
    }

    remove(ids) {
        const heads = this.tree.heads(ids);
        if (!heads.length) {
            return;
        }
        const at = this.rows.index.get(heads[0]);
        const gone = new Set(heads.flatMap((id) => this.tree.branch(id)));
        const next = this.list.slice(at).find((row) => !gone.has(row.id)) ?? this.list.slice(0, at).reverse().find((row) => !gone.has(row.id));
        this.perform({ type: 'remove', ids: heads });
        if (gone.has(this.note.topic)) {
            this.note.close();
        }
        this.say(gone.size === 1 ? 'Removed one topic.' : `Removed ${gone.size} topics.`, { label: 'Undo', act: () => this.page.undo() });
        if (next) {
            this.marking.only(next.id);
        } else {
            this.state.mark(null);
        }
        this.draw();
    }

    setField(type, value, ids = this.markedInOrder()) {
        if (ids.length) {
            this.perform({ type, ids, value });
        }
    }

    // ---- Moving about

    /** Marks a topic and brings it into view, unfolding what hides it. */
    show(id) {
        for (let at = this.tree.get(id)?.parent; at && this.tree.get(at); at = this.tree.get(at).parent) {
            if (this.unfold(at)) {
                this.page.map?.changed();
            }
        }
        this.draw();
        if (!this.rows.index.has(id)) {
            this.looks.showAll();
        }
        if (this.rows.index.has(id)) {
            this.marking.only(id);
            this.rows.reveal(id);
        }
    }

    reveal(id) {
        this.show(id);
    }

    goTo(id) {
        this.titles.end();
        this.show(id);
        this.box.focus({ preventScroll: true });
    }

    showLoose() {
        if (this.page.view === 'map') {
            this.page.map.tray.toggle();
            return;
        }
        const [first] = this.tree.partsOf(TRAY);
        if (first) {
            this.goTo(first);
        } else {
            this.say('Nothing is loose. Ctrl K catches an idea that has no place yet.');
        }
    }

    /** What is marked, without what stands under another of it. */
    markedHeads() {
        return this.tree.heads(this.markedInOrder());
    }

    markedInOrder() {
        const all = this.list.filter((row) => this.marked.has(row.id)).map((row) => row.id);
        return all.length ? all : this.active ? [this.active] : [];
    }

    setFolds(change) {
        this.state.fold(change, this.isMap);
        this.page.map?.foldedByHand();
        this.page.map?.changed();
        this.draw();
        for (let at = this.active; at && !this.rows.index.has(at);) {
            at = this.tree.get(at)?.parent;
            if (this.rows.index.has(at)) {
                this.marking.only(at);
            }
        }
    }

    /** Opens a branch so that what goes into it is seen; whether it was folded. */
    unfold(id) {
        return this.state.unfold(id, this.isMap);
    }

    foldTo(level) {
        this.setFolds((folds) => {
            folds.clear();
            const all = this.tree.rows(new Set(), this.state.isAlone ? this.start : ROOT);
            all.filter((row) => row.level >= level && this.tree.partsOf(row.id).length).forEach((row) => folds.add(row.id));
        });
    }

    // ---- What is pressed and clicked

    foldInto(ids, as) {
        this.marking.only(this.tree.get(ids[0]).parent);
        this.perform({ type: 'fold', ids, into: null, as, seed: newId(), cite: {} });
        this.page.say(ids.length === 1 ? 'It is in the note above now.' : 'They are in the notes above now.', { label: 'Undo', act: () => this.page.undo() });
    }

    /** Note → its title → the marked row; then Tab leaves the tree. */
    outwards(event) {
        if (event.target.closest('#note')) {
            this.titles.write(this.note.topic, 'end');
            if (!this.writing) {
                this.box.focus({ preventScroll: true });
            }
        } else if (this.writing) {
            this.titles.end();
            this.box.focus({ preventScroll: true });
        } else if (event.target !== this.box) {
            this.box.focus({ preventScroll: true });
        } else if (this.state.isAdding.get() || this.marked.size > 1) {
            this.marking.done();
        } else {
            this.looks.outwards();
        }
    }

    pressedInRow(event) {
        if (event.target !== this.box) {
            return;
        }
        const action = actionFor(event, 'row');
        // Copy, cut and paste go through the browser's own events, which carry the clipboard.
        if (action && !['copy', 'cut', 'paste'].includes(action)) {
            event.preventDefault();
            this.on(action, this.active, this.rows.drawn.get(this.active), event);
        }
    }

    clicked(event) {
        const row = event.target.closest('.row');
        if (!row || event.target.closest('button, input') || this.ignoreClick) {
            return;
        }
        const { id } = row.dataset;
        if (event.shiftKey) {
            this.marking.to(id);
        } else if (event.ctrlKey || event.metaKey || this.state.isAdding.get()) {
            this.marking.toggle(id);
        } else if (event.target.closest('.title')) {
            this.marking.only(id);
            this.titles.write(id, 'click', event);
            return;
        } else {
            this.marking.only(id);
        }
        this.titles.end();
        this.box.focus({ preventScroll: true });
    }

    /** The click that ends a drag is none; one that the next press begins is, however soon it comes. */
    suppressClick() {
        this.ignoreClick = true;
        document.addEventListener('pointerdown', () => { this.ignoreClick = false; }, { capture: true, once: true });
    }

    /** Whether something can be done with a topic here: it is one, and it is shown. */
    isShown(id) {
        return Boolean(id && this.rows.index.has(id) && this.tree.get(id));
    }

    /** A command on a row. */
    on(command, id, anchor, event = null) {
        return this.page.commands.run('row', command, { id, anchor, event });
    }

    /** A new topic before, after or inside another, ready to be written. */
    addBeside(place) {
        this.unfold(place.parent);
        const made = this.add(place);
        this.marking.only(made);
        this.titles.write(made, 'end');
    }

    addAtEnd() {
        const at = this.active && this.tree.get(this.active);
        const id = at ? this.add({ parent: at.parent, after: at.id }) : this.add(this.tree.lastPlace(this.state.isAlone ? this.start : ROOT));
        this.marking.only(id);
        this.titles.write(id, 'end');
    }

    /**
     * The field of an empty plan: Enter makes the first topic and goes on to the next; a topic that
     * was typed and left is made too, several lines are several.
     */
    takesFirst(field) {
        const make = () => {
            const title = field.value.trim();
            field.value = '';
            return title ? this.add(this.tree.lastPlace(ROOT), title) : null;
        };
        field.addEventListener('keydown', (event) => {
            const id = event.key === 'Enter' && !event.isComposing ? make() : null;
            if (id) {
                event.preventDefault();
                this.marking.only(id);
                this.addAtEnd();
            }
        });
        whenLeft(field, make);
        field.addEventListener('paste', (event) => {
            const lines = linesIn(event);
            if (lines.length) {
                event.preventDefault();
                // The rows get the keyboard, and must not take the same lines once more.
                event.stopPropagation();
                make();
                this.clipboard.insert(lines, this.tree.lastPlace(ROOT));
                this.box.focus({ preventScroll: true });
            }
        });
    }
}
