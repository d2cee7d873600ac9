/** Which rows are marked, and the way from one to the next. */
export class Marking {
    constructor(outline) {
        this.outline = outline;
        this.anchor = null;
        /** Whether a press adds to what is marked: for fingers, which have no Ctrl. */
        this.isAdding = false;
        this.bar = document.getElementById('marked-bar');
        this.bar.addEventListener('click', (event) => {
            const action = event.target.closest('[data-action]')?.dataset.action;
            if (action) {
                outline.on(action, outline.active, this.bar, event);
            }
        });
    }

    /** The bar that tells how many are marked, and what can be done with them. */
    draw() {
        const { size } = this.outline.marked;
        this.bar.hidden = size < 2 && !this.isAdding;
        this.bar.firstElementChild.textContent = `${size} marked`;
    }

    /** Adds one, and from then on whatever is pressed: for fingers, which have no Ctrl. */
    more(id) {
        this.isAdding = true;
        this.outline.marked.add(id);
        this.draw();
    }

    done() {
        this.isAdding = false;
        this.only(this.outline.active);
        this.outline.box.focus({ preventScroll: true });
    }

    get list() {
        return this.outline.list;
    }

    /** Where the keyboard stands; where what was marked has gone, the place at which it stood. */
    index() {
        return this.outline.rows.index.get(this.outline.active) ?? Math.min(this.outline.lostAt ?? 0, this.list.length - 1);
    }

    only(id) {
        const { outline } = this;
        outline.marked = new Set([id]);
        outline.active = this.anchor = id;
        outline.titles?.sweep();
        outline.rows.draw();
        this.draw();
        outline.page.strip?.draw(outline.tree.mainSection(id));
        outline.note.follow(id);
    }

    step(by) {
        const isLost = !this.outline.active && this.outline.lostAt !== undefined;
        const row = this.list[Math.max(0, this.index() + (isLost && by > 0 ? 0 : by))];
        if (row) {
            this.only(row.id);
            this.outline.rows.reveal(row.id);
        }
    }

    /** Marks everything from the anchor to a row. */
    to(id) {
        const { outline } = this;
        const anchor = outline.rows.index.get(this.anchor) ?? this.index();
        const end = outline.rows.index.get(id);
        const [from, to] = anchor < end ? [anchor, end] : [end, anchor];
        outline.marked = new Set(this.list.slice(from, to + 1).map((row) => row.id));
        outline.active = id;
        outline.rows.reveal(id);
        outline.rows.draw();
        this.draw();
    }

    stretch(by) {
        const row = this.list[Math.max(0, Math.min(this.list.length - 1, this.index() + by))];
        if (row) {
            this.to(row.id);
        }
    }

    /** Goes on without marking or letting go: then Ctrl and the space bar add a row far from the others. */
    pass(by) {
        const row = this.list[this.index() + by];
        if (row) {
            this.outline.active = row.id;
            this.outline.rows.reveal(row.id);
        }
    }

    toggle(id) {
        const { outline } = this;
        outline.marked.has(id) ? outline.marked.delete(id) : outline.marked.add(id);
        outline.active = this.anchor = id;
        outline.rows.draw();
        this.draw();
    }

    /** All of this level; a second time, everything. */
    all(id) {
        const { outline } = this;
        const siblings = outline.tree.partsOf(outline.tree.get(id).parent);
        const all = siblings.every((one) => outline.marked.has(one));
        outline.marked = new Set(all ? this.list.map((row) => row.id) : siblings);
        outline.rows.draw();
        this.draw();
    }

    foldOrParent(id) {
        const { outline } = this;
        const { parent } = outline.tree.get(id);
        if (outline.tree.partsOf(id).length && !outline.folds.has(id)) {
            outline.setFolds((folds) => folds.add(id));
        } else if (outline.rows.index.has(parent)) {
            this.only(parent);
            outline.rows.reveal(parent);
        }
    }

    unfoldOrPart(id) {
        const { outline } = this;
        const [first] = outline.tree.partsOf(id);
        if (first && outline.folds.has(id)) {
            outline.setFolds((folds) => folds.delete(id));
        } else if (first) {
            this.only(first);
            outline.rows.reveal(first);
        }
    }
}
