import { around, byId, idAround } from '../../lib/dom.js';
import { OutlineBar } from './bar.js';
import { Clipboard } from './clipboard.js';
import { Elsewhere } from './elsewhere.js';
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
import { Topics } from './topics.js';

/** The outline view: which rows are shown, marked and written, and what the keys do to them. */
export class Outline extends Topics {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super();
        this.page = page;
        this.state = page.state;
        this.work = byId('work');
        this.sheet = new Rows(byId('outline'), this.tree, this);
        this.marking = new Marking(this);
        this.titles = new Writing(this);
        this.menu = new Menu(this);
        this.moving = new Moving(this);
        this.elsewhere = new Elsewhere(this);
        this.clipboard = new Clipboard(this);
        this.landing = new Landing(this);
        this.drag = new Drag(this);
        this.looks = new Looks(this);
        this.bar = new OutlineBar(this);
        page.commands.provide('row', rowCommands(this));
        page.commands.provide('title', this.titles.commands);
        this.peek = new NotePeek(page, byId('outline-side'), '.note-mark.has-note', (mark) => idAround(mark, '.row'));
        this.box.addEventListener('keydown', (/** @type {KeyboardEvent} */ event) => this.pressedInRow(event));
        this.box.addEventListener('click', (/** @type {MouseEvent} */ event) => this.clicked(event));
        whenAsked(
            this.box,
            (node) => node.closest('.row'),
            (row, point) => this.on('openMenu', row.dataset.id, point),
        );
        byId('loose').addEventListener('click', () => this.showLoose());
        this.takesFirst(byId('first-topic', HTMLInputElement));
    }

    get isMap() {
        return this.page.view === 'map';
    }
    /** What shows the topics now: the rows, or the map, which has the same doors. */
    /** @returns {import('../given.d.ts').Doors} */
    get rows() {
        return this.page.view === 'map' ? this.page.map.picture : this.sheet;
    }

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
        loose.forEach((row) => {
            row.loose = true;
        });
        this.rows.layOut(list.concat(loose));
        byId('empty').hidden = tree.partsOf(ROOT).length > 0 || state.only !== null;
        looks.draw();
        this.bar.draw();
        this.marking.draw();
    }

    /** @param {string} id */
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

    // ---- Moving about

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

    // ---- What is pressed and clicked

    /** Note → its title → the marked row; then Tab leaves the tree. @param {Event} event */
    outwards(event) {
        if (around(event, '#note')) {
            this.note.topic && this.titles.write(this.note.topic, 'end');
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

    /** @param {KeyboardEvent} event */
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

    /** @param {MouseEvent} event */
    clicked(event) {
        const row = around(event, '.row');
        if (!row || around(event, 'button, input') || this.ignoreClick) {
            return;
        }
        const id = row.dataset.id ?? '';
        if (event.shiftKey) {
            this.marking.to(id);
        } else if (event.ctrlKey || event.metaKey || this.state.isAdding.get()) {
            this.marking.toggle(id);
        } else if (around(event, '.title')) {
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
        document.addEventListener(
            'pointerdown',
            () => {
                this.ignoreClick = false;
            },
            { capture: true, once: true },
        );
    }

    /**
     * The field of an empty plan: Enter makes the first topic and goes on to the next; a topic that
     * was typed and left is made too, several lines are several.
     * @param {HTMLInputElement} field
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
