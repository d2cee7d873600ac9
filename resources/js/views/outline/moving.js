import { allOf, byId, firstOf } from '../../lib/dom.js';
import { confirm } from '../../ui/confirm.js';
import { newId } from '../../lib/ids.js';
import { onShift, onShiftTab, onTab } from '../../state/places.js';
import { ROOT, TRAY } from '../../state/plan.js';

/** Moving and regrouping what is marked. */
export class Moving {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        /** What was sorted last, and by what. @type {string | null} */
        this.sorted = null;
    }

    get tree() {
        return this.outline.tree;
    }

    /** What is marked goes into the note above it; asked for is only as what. */
    askFold() {
        const ids = this.heads();
        const dialog = byId('fold', HTMLDialogElement);
        if (!ids.length) {
            return;
        }
        if (ids.some((id) => this.tree.get(id).parent === TRAY)) {
            this.outline.page.say('A loose idea stands under no topic whose note could take it. Move it to one first.');
            return;
        }
        const all = ids.flatMap((id) => this.tree.branch(id)).length;
        firstOf(dialog, 'p').textContent =
            all === 1
                ? `“${this.tree.get(ids[0]).title || 'Untitled'}” becomes part of the note above it, with its own note.`
                : `${all} topics become part of the note above them, with their notes.`;
        for (const button of allOf(dialog, '[data-as]')) {
            button.onclick = () => {
                dialog.close();
                this.outline.foldInto(ids, button.dataset.as);
            };
        }
        dialog.showModal();
        firstOf(dialog, '.primary').focus();
    }

    /** What is to be moved: the title being written, else what is marked; without what stands under another of them. */
    heads() {
        const { outline } = this;
        return outline.writing ? this.tree.heads([outline.writing]) : outline.markedHeads();
    }

    /** Does something with what is to be moved, if there is anything. @param {(ids: string[]) => unknown} act */
    withHeads(act) {
        const ids = this.heads();
        return ids.length ? act(ids) : undefined;
    }

    /** One place up or down among the siblings, and on past their ends into the neighbouring branch. @param {-1 | 1} by */
    shift(by) {
        this.withHeads((ids) => this.moveInto(ids, onShift(this.tree, ids, by, this.top)));
    }

    inward() {
        this.withHeads((ids) => this.moveInto(ids, onTab(this.tree, ids)));
    }

    outward() {
        this.withHeads((ids) => this.moveInto(ids, onShiftTab(this.tree, ids, this.top)));
    }

    /**
     * Moves to a place, if there is one; another branch is opened for it.
     * @param {string[]} ids
     * @param {import('../../state/topics.js').Place | null} place
     */
    moveInto(ids, place) {
        if (place) {
            if (!this.tree.isWithin(ids[0], place.parent)) {
                this.outline.unfold(place.parent);
            }
            this.outline.move(ids, place);
        }
    }

    /** The topic above which nothing is moved. */
    get top() {
        return this.outline.state.isAlone ? this.outline.start : ROOT;
    }

    moveTo() {
        this.withHeads((ids) => this.outline.elsewhere.moveTo(ids));
    }

    toAnotherPlan() {
        this.withHeads((ids) => this.outline.elsewhere.toAnotherPlan(ids));
    }

    /** A new parent around what is marked, ready to be named. */
    wrap() {
        this.withHeads((ids) => {
            const { outline } = this;
            const id = newId();
            outline.state.also(id);
            outline.perform({ type: 'wrap', ids, new: id, title: '' });
            outline.show(id);
            outline.titles.write(id, 'start');
        });
    }

    dissolve() {
        this.withHeads(async (ids) => {
            const { outline, tree } = this;
            const noted = ids.filter((id) => tree.get(id).noted);
            const names = noted.map((id) => `“${tree.get(id).title || 'Untitled'}”`).join(', ');
            if (
                noted.length &&
                !(await confirm(
                    'Let the note go too?',
                    `${names} has a note, which goes with it. Its parts stay. Undo brings both back.`,
                    'Dissolve',
                ))
            ) {
                return;
            }
            const parts = ids.flatMap((id) => tree.partsOf(id));
            outline.perform({ type: 'dissolve', ids });
            const next = parts[0] ?? outline.list[0]?.id;
            if (next) {
                outline.show(next);
            }
        });
    }

    /** To the loose ideas, or from there to the end of the tree. */
    loosen() {
        this.withHeads((ids) => {
            const isLoose = this.tree.home(ids[0]) === TRAY;
            this.outline.move(ids, this.tree.lastPlace(isLoose ? this.top : TRAY));
            this.outline.say(
                isLoose
                    ? 'Put at the end of the plan.'
                    : ids.length === 1
                      ? 'It waits with the loose ideas.'
                      : `${ids.length} topics wait with the loose ideas.`,
                { label: 'Undo', act: () => this.outline.page.undo() },
            );
        });
    }

    async joinAbove() {
        const { outline } = this;
        const upper = outline.active && (await outline.titles.joinAbove(outline.active));
        outline.titles.end();
        if (upper) {
            outline.marking.only(upper);
        }
        outline.box.focus({ preventScroll: true });
    }

    /** Sorts the parts of a topic; chosen a second time, the other way round. @param {string} id @param {string} by */
    sortParts(id, by) {
        const key = `${id} ${by}`;
        const reversed = this.sorted === key;
        this.sorted = reversed ? null : key;
        this.outline.perform({ type: 'sort', parent: id, by, reversed });
        this.outline.queue.flush();
    }
}
