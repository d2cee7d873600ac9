import { newId } from '../ids.js';
import { ROOT, TRAY } from './tree.js';

/** Moving and regrouping what is marked. Its methods are actions of the key table. */
export class Moving {
    constructor(outline) {
        this.outline = outline;
    }

    get tree() {
        return this.outline.tree;
    }

    /** What is to be moved: the title being written, else what is marked; without what stands under another of them. */
    heads() {
        const { outline } = this;
        return outline.marking.heads(outline.writing ? [outline.writing] : outline.markedInOrder()).filter((id) => this.tree.get(id));
    }

    moveUp() { this.shift(-1); }
    moveDown() { this.shift(1); }

    /** One place up or down among the siblings, and on past their ends into the neighbouring branch. */
    shift(by) {
        const ids = this.heads();
        const edge = ids[by < 0 ? 0 : ids.length - 1];
        if (!edge) {
            return;
        }
        const { parent } = this.tree.get(edge);
        const siblings = this.tree.partsOf(parent);
        const at = siblings.indexOf(edge) + by;
        if (siblings[at]) {
            this.outline.move(ids, { parent, after: by < 0 ? siblings[at - 1] ?? null : siblings[at] });
            return;
        }
        const uncle = this.tree.get(parent) && this.tree.partsOf(this.tree.get(parent).parent)[this.tree.partsOf(this.tree.get(parent).parent).indexOf(parent) + by];
        if (uncle && parent !== this.top) {
            this.outline.folds.delete(uncle);
            this.outline.move(ids, by < 0 ? this.tree.lastPlace(uncle) : { parent: uncle, after: null });
        }
    }

    inward() {
        const ids = this.heads();
        const after = ids.length && this.tree.placeOf(ids[0]).after;
        if (after) {
            this.outline.folds.delete(after);
            this.outline.move(ids, this.tree.lastPlace(after));
        }
    }

    outward() {
        const ids = this.heads();
        const parent = this.tree.get(ids[0])?.parent;
        if (parent && parent !== this.top && this.tree.get(parent)) {
            this.outline.move(ids, { parent: this.tree.get(parent).parent, after: parent });
        }
    }

    /** The topic above which nothing is moved. */
    get top() {
        return this.outline.looks.isAlone ? this.outline.start : ROOT;
    }

    moveTo() {
        const ids = this.heads();
        if (ids.length) {
            this.outline.page.dialogs.moveTo(ids);
        }
    }

    /** A new parent around what is marked, ready to be named. */
    wrap() {
        const { outline } = this;
        const id = newId();
        const ids = this.heads();
        if (!ids.length) {
            return;
        }
        outline.looks.also(id);
        outline.perform({ type: 'wrap', ids, new: id, title: '' });
        outline.show(id);
        outline.titles.write(id, 'start');
    }

    async dissolve() {
        const { outline, tree } = this;
        const ids = this.heads();
        if (!ids.length) {
            return;
        }
        const noted = ids.filter((id) => tree.get(id).noted);
        const names = noted.map((id) => `“${tree.get(id).title || 'Untitled'}”`).join(', ');
        if (noted.length && !(await outline.page.dialogs.confirm('Let the note go too?', `${names} has a note, which goes with it. Its parts stay. Undo brings both back.`, 'Dissolve'))) {
            return;
        }
        const parts = ids.flatMap((id) => tree.partsOf(id));
        outline.perform({ type: 'dissolve', ids });
        const next = parts[0] ?? outline.list[0]?.id;
        if (next) {
            outline.show(next);
        }
    }

    /** To the loose ideas, or from there to the end of the tree. */
    loosen() {
        const ids = this.heads();
        if (!ids.length) {
            return;
        }
        const isLoose = this.tree.home(ids[0]) === TRAY;
        this.outline.move(ids, this.tree.lastPlace(isLoose ? this.top : TRAY));
        this.outline.say(isLoose ? 'Put at the end of the plan.' : ids.length === 1 ? 'It waits with the loose ideas.' : `${ids.length} topics wait with the loose ideas.`, { label: 'Undo', act: () => this.outline.page.undo() });
    }

    async joinAbove() {
        const { outline } = this;
        const upper = await outline.titles.joinAbove(outline.active);
        outline.titles.end();
        if (upper) {
            outline.marking.only(upper);
        }
        outline.box.focus({ preventScroll: true });
    }

    /** Sorts the parts of a topic; chosen a second time, the other way round. */
    sortParts(id, by) {
        const key = `${id} ${by}`;
        const reversed = this.sorted === key;
        this.sorted = reversed ? null : key;
        this.outline.perform({ type: 'sort', parent: id, by, reversed });
        this.outline.queue.flush();
    }

    toAnotherPlan() {
        const ids = this.heads();
        if (ids.length) {
            this.outline.page.dialogs.toAnotherPlan(ids);
        }
    }
}
