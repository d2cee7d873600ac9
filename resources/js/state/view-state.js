import { atom } from 'nanostores';
import { store } from '../lib/stored.js';
import { ROOT } from './plan.js';
import { WORK, isWork } from './work.js';

/** Keeps a thing that is each person's own. @typedef {{value: any, keep: (value: object) => void, flush: () => Promise<void>}} Kept */

/**
 * What one person sees and holds of a plan: which topics are marked, which one is in hand or written,
 * what is folded, and what part is shown. Each is a store that anybody may read and listen to; they
 * are changed by the methods here alone.
 */
export class ViewState {
    /**
     * @param {import('./plan.js').Tree} tree
     * @param {{folds: Kept, look: Kept}} kept where what is folded and looked at is kept for this person
     * @param {string} decided the key under which it is kept that this person has folded by hand
     * @param {string} [me] the person's own name
     */
    constructor(tree, kept, decided, me = '') {
        this.me = me;
        this.tree = tree;
        this.kept = kept;
        this.decided = decided;
        /** The topic in hand: what keys act on. */
        this.active = atom(/** @type {string | null} */ (null));
        this.marked = atom(/** @type {ReadonlySet<string>} */ (new Set()));
        /** The topic whose title is being written. */
        this.writing = atom(/** @type {string | null} */ (null));
        /** Whether a press adds to what is marked: for fingers, which have no Ctrl. */
        this.isAdding = atom(false);
        /** The branch that is shown alone, or with the rest dimmed; the root for the whole plan. */
        const { focus, dimmed } = kept.look.value;
        this.start = atom(tree.get(focus) ? focus : ROOT);
        this.dimmed = atom(dimmed);
        this.ownFolds = atom(/** @type {ReadonlySet<string>} */ (new Set(kept.folds.value.folded)));
        /** What a map that is too large to be read has folded by itself, until the person folds; null: nothing. */
        this.mapFolds = atom(/** @type {ReadonlySet<string> | null} */ (null));
        /** Filters: by flags, by what was found; and what was made meanwhile, which is shown in spite of them. */
        this.flags = atom(/** @type {ReadonlySet<string>} */ (new Set()));
        this.labels = atom(/** @type {ReadonlySet<string>} */ (new Set()));
        /** Filters by work: mine, this week… (state/work.js). */
        this.work = atom(/** @type {ReadonlySet<string>} */ (new Set()));
        this.found = atom(/** @type {ReadonlySet<string> | null} */ (null));
        this.made = atom(/** @type {ReadonlySet<string>} */ (new Set()));
        /** From where marking goes on. */
        this.anchor = /** @type {string | null} */ (null);
        /** What stands where something in hand has gone. */
        this.beside = /** @type {string | null} */ (null);
    }

    // ---- What is marked

    /** This one topic, and no other. @param {string | null} id */
    mark(id) {
        this.anchor = id;
        this.active.set(id);
        this.marked.set(new Set(id === null ? [] : [id]));
    }

    /** Several, of which one is in hand. @param {Iterable<string>} ids @param {string | null} active */
    markAll(ids, active = this.active.get()) {
        this.active.set(active);
        this.marked.set(new Set(ids));
    }

    /** One more, and from there on. @param {string} id */
    add(id) {
        this.markAll([...this.marked.get(), id], id);
    }

    /** Adds one, or takes it out. @param {string} id */
    toggle(id) {
        const marked = this.marked.get();
        this.anchor = id;
        this.markAll(marked.has(id) ? [...marked].filter((one) => one !== id) : [...marked, id], id);
    }

    /** Goes to a topic without marking it, or letting go of what is. @param {string} id */
    pass(id) {
        this.active.set(id);
    }

    /** @param {boolean} isAdding */
    setAdding(isAdding) {
        this.isAdding.set(isAdding);
    }

    /** A title is written, or none. @param {string | null} id */
    write(id) {
        if (id !== null) {
            this.active.set(id);
            this.marked.set(new Set([id]));
        }
        this.writing.set(id);
    }

    /**
     * What is marked goes with what has become of the plan: what has gone is let go of, and nothing is
     * marked in its place: the next key would act on something that nobody chose.
     * @param {string[]} list topics as they were shown before, in order
     */
    carry(list) {
        const stands = (/** @type {string} */ id) => this.tree.get(id) !== undefined;
        const marked = [...this.marked.get()].filter(stands);
        if (marked.length < this.marked.get().size) {
            this.marked.set(new Set(marked));
        }
        const active = this.active.get();
        if (active !== null && !stands(active)) {
            const at = list.indexOf(active);
            this.beside = list.slice(at + 1).find(stands) ?? list.slice(0, Math.max(0, at)).reverse().find(stands) ?? null;
            this.active.set(null);
        }
        if (this.start.get() !== ROOT && !stands(this.start.get())) {
            this.start.set(ROOT);
        }
        const found = this.found.get();
        if (found) {
            this.found.set(new Set([...found].filter(stands)));
        }
    }

    // ---- What is folded

    /** What is folded in the view. @param {boolean} [isMap] */
    folds(isMap = false) {
        return (isMap && this.mapFolds.get()) || this.ownFolds.get();
    }

    /**
     * Folds as the person wants it, beginning with what is folded now.
     * @param {(folds: Set<string>) => void} change
     * @param {boolean} [isMap]
     */
    fold(change, isMap = false) {
        const folds = new Set(this.folds(isMap));
        change(folds);
        this.mapFolds.set(null);
        this.ownFolds.set(folds);
        store(this.decided, '1');
        this.kept.folds.keep({ folded: [...folds].filter((id) => this.tree.get(id)) });
    }

    /**
     * Opens a branch so that what goes into it is seen; whether it was folded. It is not kept.
     * @param {string} id
     * @param {boolean} [isMap]
     */
    unfold(id, isMap = false) {
        const folds = this.folds(isMap);
        if (!folds.has(id)) {
            return false;
        }
        const left = new Set([...folds].filter((one) => one !== id));
        (isMap && this.mapFolds.get() ? this.mapFolds : this.ownFolds).set(left);
        return true;
    }

    /** Whether a map may fold itself so that it can be read: the person has folded nothing, here or ever. */
    get mayFoldItself() {
        return this.mapFolds.get() === null && this.ownFolds.get().size === 0 && !this.isAlone && !localStorage.getItem(this.decided);
    }

    /** What the map folds by itself, or nothing any more. @param {string[] | null} ids */
    foldMap(ids) {
        this.mapFolds.set(ids && new Set(ids));
    }

    // ---- What part is shown

    get isAlone() {
        return this.start.get() !== ROOT && !this.dimmed.get();
    }

    /** A branch alone, or with the rest dimmed; the root: the whole plan. @param {string} id @param {boolean} [dimmed] */
    focusOn(id, dimmed = this.dimmed.get()) {
        this.dimmed.set(dimmed);
        this.start.set(id);
        this.unfold(id);
        this.kept.look.keep({ focus: id === ROOT ? null : id, dimmed });
    }

    /** The topics that are shown with what they stand under, or null for all. */
    get only() {
        const [found, flags, labels, work] = [this.found.get(), this.flags.get(), this.labels.get(), this.work.get()];
        if (!found && !flags.size && !labels.size && !work.size) {
            return null;
        }
        const isMeant = (/** @type {import('./topics.js').Topic} */ topic) =>
            (!flags.size || flags.has(topic.flag ?? '')) &&
            (!labels.size || topic.labels.some((label) => labels.has(label))) &&
            [...work].every((which) => isWork(which, topic, this.me));
        const meant = found ? [] : [...this.tree.topics.values()].filter(isMeant).map((topic) => topic.id);
        return new Set([...(found ?? meant), ...[...this.made.get()].filter((id) => this.tree.get(id))]);
    }

    /** @param {ReadonlySet<string> | null} ids */
    showFound(ids) {
        this.found.set(ids);
    }

    /** @param {string} flag */
    toggleFlag(flag) {
        const flags = new Set(this.flags.get());
        flags.has(flag) ? flags.delete(flag) : flags.add(flag);
        this.flags.set(flags);
    }

    /** @param {string} label */
    toggleLabel(label) {
        const labels = new Set(this.labels.get());
        labels.has(label) ? labels.delete(label) : labels.add(label);
        this.labels.set(labels);
    }

    /** @param {string} which */
    toggleWork(which) {
        const work = new Set(this.work.get());
        work.has(which) ? work.delete(which) : work.add(which);
        this.work.set(work);
    }

    /** What a filter lets through, in words; empty where there is none. @param {Record<string, string>} names of flags */
    onlySays(names) {
        const flags = [...this.flags.get()].map((flag) => names[flag]);
        const work = [...this.work.get()].map((which) => WORK[which]);
        return this.found.get() ? 'what was found' : [...flags, ...this.labels.get(), ...work].join(', ');
    }

    /** A topic that is shown in spite of a filter. @param {string} id */
    also(id) {
        this.made.set(new Set([...this.made.get(), id]));
    }

    showAll() {
        this.flags.set(new Set());
        this.labels.set(new Set());
        this.work.set(new Set());
        this.made.set(new Set());
        this.found.set(null);
    }
}
