import { around, byId, childrenOf } from '../../lib/dom.js';

/** Which topics are marked, and the way from one to the next, as they are shown. */
export class Marking {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        this.state = outline.state;
        this.bar = byId('marked-bar');
        this.bar.addEventListener('click', (event) => {
            const command = around(event, '[data-action]')?.dataset.action;
            if (command) {
                outline.on(command, outline.active, this.bar, event);
            }
        });
    }

    /** The bar that tells how many are marked, and what can be done with them. */
    draw() {
        const { size } = this.state.marked.get();
        this.bar.hidden = size < 2 && !this.state.isAdding.get();
        childrenOf(this.bar)[0].textContent = `${size} marked`;
    }

    /** Shows what is marked now. */
    shown() {
        this.outline.rows.draw();
        this.draw();
    }

    /** Adds one, and from then on whatever is pressed: for fingers, which have no Ctrl. @param {string} id */
    more(id) {
        this.state.setAdding(true);
        this.state.add(id);
        this.shown();
    }

    done() {
        this.state.setAdding(false);
        this.only(this.outline.active);
        this.outline.box.focus({ preventScroll: true });
    }

    get list() {
        return this.outline.list;
    }

    /** Where the keyboard stands; where what was marked has gone, the place at which it stood. */
    index() {
        const { index } = this.outline.rows;
        return index.get(this.outline.active) ?? index.get(this.state.beside) ?? Math.min(0, this.list.length - 1);
    }

    /** @param {string | null} id */
    only(id) {
        this.state.mark(id);
        this.outline.titles.sweep();
        this.shown();
    }

    /** The topic, brought into sight. @param {any} row */
    goTo(row) {
        if (row) {
            this.only(row.id);
            this.outline.rows.reveal(row.id);
        }
    }

    /** @param {number} by */
    step(by) {
        // Where what was marked has gone, the next one down is what stands there now.
        const isLost = !this.outline.active && this.state.beside !== null;
        this.goTo(this.list[Math.max(0, this.index() + (isLost && by > 0 ? 0 : by))]);
    }

    /** Marks everything from the anchor to a row. @param {string} id */
    to(id) {
        const { rows } = this.outline;
        const anchor = rows.index.get(this.state.anchor) ?? this.index();
        const end = rows.index.get(id) ?? anchor;
        const [from, to] = anchor < end ? [anchor, end] : [end, anchor];
        this.state.markAll(
            this.list.slice(from, to + 1).map((row) => row.id),
            id,
        );
        rows.reveal(id);
        this.shown();
    }

    /** @param {number} by */
    stretch(by) {
        const row = this.list[Math.max(0, Math.min(this.list.length - 1, this.index() + by))];
        if (row) {
            this.to(row.id);
        }
    }

    /** Goes on without marking or letting go: then Ctrl and the space bar add a row far from the others. @param {number} by */
    pass(by) {
        const row = this.list[this.index() + by];
        if (row) {
            this.state.pass(row.id);
            this.outline.rows.reveal(row.id);
        }
    }

    /** @param {string} id */
    toggle(id) {
        this.state.toggle(id);
        this.shown();
    }

    /** All of this level; a second time, everything. @param {string} id */
    all(id) {
        const { tree } = this.outline;
        const siblings = tree.partsOf(tree.get(id).parent);
        const marked = this.state.marked.get();
        this.state.markAll(siblings.every((one) => marked.has(one)) ? this.list.map((row) => row.id) : siblings);
        this.shown();
    }

    /** @param {string} id */
    foldOrParent(id) {
        const { outline } = this;
        const { parent } = outline.tree.get(id);
        if (outline.tree.partsOf(id).length && !outline.folds.has(id)) {
            outline.setFolds((folds) => folds.add(id));
        } else if (outline.rows.index.has(parent)) {
            this.goTo({ id: parent });
        }
    }

    /** @param {string} id */
    unfoldOrPart(id) {
        const { outline } = this;
        const [first] = outline.tree.partsOf(id);
        if (first && outline.folds.has(id)) {
            outline.setFolds((folds) => folds.delete(id));
        } else if (first) {
            this.goTo({ id: first });
        }
    }
}
