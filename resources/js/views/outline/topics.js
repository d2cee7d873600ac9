import { newId } from '../../lib/ids.js';
import { ROOT } from '../../state/plan.js';

/** What is done with topics where they are shown, on the outline and on the map alike. What shows them gives `rows`. */
export class Topics {
    /**
     * What is folded in the view: what the person has folded, or, on a map that is too large to be read, what it has
     * folded by itself until they do.
     */
    get folds() {
        return this.state.folds(this.isMap);
    }

    get active() {
        return this.state.active.get();
    }

    get marked() {
        return this.state.marked.get();
    }

    get writing() {
        return this.state.writing.get();
    }

    get start() {
        return this.state.start.get();
    }

    get tree() {
        return this.page.tree;
    }

    get queue() {
        return this.page.queue;
    }

    get note() {
        return this.page.note;
    }

    get address() {
        return this.page.address;
    }

    get list() {
        return this.rows.list;
    }

    get box() {
        return this.rows.box;
    }

    get scroller() {
        return this.rows.scroller;
    }

    /** @param {import('../../state/topics.js').Operation} operation @param {string} [step] @param {string | null} [typed] */
    perform(operation, step, typed) {
        return this.page.perform(operation, step, typed);
    }

    /** @param {string} text @param {{label: string, act: () => unknown}} [action] */
    say(text, action) {
        this.page.say(text, action);
    }

    /** @param {string} key */
    stepFor(key) {
        return this.page.stepFor(key);
    }

    /** @param {import('../../state/topics.js').Place} place */
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

    /** @param {string[]} ids @param {import('../../state/topics.js').Place} place @param {string} [step] */
    move(ids, place, step) {
        this.page.move(ids, place, step);
        this.rows.reveal(ids[0]);
    }

    /** @param {string[]} ids */
    remove(ids) {
        const heads = this.tree.heads(ids);
        if (!heads.length) {
            return;
        }
        const at = this.rows.index.get(heads[0]);
        const gone = new Set(heads.flatMap((id) => this.tree.branch(id)));
        const next =
            this.list.slice(at).find((row) => !gone.has(row.id)) ??
            this.list
                .slice(0, at)
                .reverse()
                .find((row) => !gone.has(row.id));
        this.perform({ type: 'remove', ids: heads });
        if (this.note.topic && gone.has(this.note.topic)) {
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

    /** @param {string} type @param {any} value */
    setField(type, value, ids = this.markedInOrder()) {
        if (ids.length) {
            this.perform({ type, ids, value });
        }
    }

    /** Marks a topic and brings it into view, unfolding what hides it. @param {string} id */
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

    /** @param {string} id */
    reveal(id) {
        this.show(id);
    }

    /** @param {string} id */
    goTo(id) {
        this.titles.end();
        this.show(id);
        this.box.focus({ preventScroll: true });
    }

    /** What is marked, without what stands under another of it. */
    markedHeads() {
        return this.tree.heads(this.markedInOrder());
    }

    markedInOrder() {
        const all = this.list.filter((row) => this.marked.has(row.id)).map((row) => row.id);
        return all.length ? all : this.active ? [this.active] : [];
    }

    /** @param {(folds: Set<string>) => unknown} change */
    setFolds(change) {
        this.state.fold(change, this.isMap);
        this.page.map?.changed();
        this.draw();
        for (let at = this.active; at && !this.rows.index.has(at);) {
            at = this.tree.get(at)?.parent ?? null;
            if (at && this.rows.index.has(at)) {
                this.marking.only(at);
            }
        }
    }

    /** Opens a branch so that what goes into it is seen; whether it was folded. @param {string} id */
    unfold(id) {
        return this.state.unfold(id, this.isMap);
    }

    /** @param {number} level */
    foldTo(level) {
        this.setFolds((folds) => {
            folds.clear();
            const all = this.tree.rows(new Set(), this.state.isAlone ? this.start : ROOT);
            all.filter((row) => row.level >= level && this.tree.partsOf(row.id).length).forEach((row) => folds.add(row.id));
        });
    }

    /** @param {string[]} ids @param {any} as */
    foldInto(ids, as) {
        this.marking.only(this.tree.get(ids[0]).parent);
        this.perform({ type: 'fold', ids, into: null, as, seed: newId(), cite: {} });
        this.page.say(ids.length === 1 ? 'It is in the note above now.' : 'They are in the notes above now.', {
            label: 'Undo',
            act: () => this.page.undo(),
        });
    }

    /** Whether something can be done with a topic here: it is one, and it is shown. @param {string | null} [id] */
    isShown(id) {
        return Boolean(id && this.rows.index.has(id) && this.tree.get(id));
    }

    /** A command on a row. @param {string} command @param {string | null} [id] @param {any} [anchor] @param {Event | null} [event] */
    on(command, id = null, anchor = null, event = null) {
        return this.page.commands.run('row', command, { id, anchor, event });
    }

    /** A new topic before, after or inside another, ready to be written. @param {import('../../state/topics.js').Place} place */
    addBeside(place) {
        this.unfold(place.parent);
        const made = this.add(place);
        this.marking.only(made);
        this.titles.write(made, 'end');
    }

    addAtEnd() {
        const at = this.active && this.tree.get(this.active);
        const id = at
            ? this.add({ parent: at.parent, after: at.id })
            : this.add(this.tree.lastPlace(this.state.isAlone ? this.start : ROOT));
        this.marking.only(id);
        this.titles.write(id, 'end');
    }
}
