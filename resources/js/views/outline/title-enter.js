import { newId } from '../../lib/ids.js';
import { onEnter } from '../../state/places.js';
import { confirm } from '../../ui/confirm.js';
import { FreshTopics } from './fresh-topics.js';

/** What Enter and the start of a title do while one is written: new topics, splitting, joining. */
export class TitleEnter extends FreshTopics {
    /** @param {string} id @param {number} column */
    enter(id, column) {
        const { outline } = this;
        const topic = outline.tree.get(id);
        const { length } = this.input.value;
        if (length === 0 && this.fresh.has(id)) {
            return;
        }
        const { at, as } = onEnter(outline.tree, id, { column, length, isFolded: outline.folds.has(id) });
        if (as === 'above') {
            this.fresh.delete(outline.add(at, '', { kind: topic.kind }));
            this.write(id, 0);
            return;
        }
        if (as !== 'split') {
            this.write(outline.add(at, '', topic.kind === 'section' || as === 'part' ? {} : { kind: topic.kind }), 0);
            return;
        }
        const fresh = newId();
        const title = this.input.value;
        this.end();
        outline.state.also(fresh);
        outline.perform({ type: 'split', topic: id, new: fresh, at: [...title.slice(0, column)].length });
        this.write(fresh, 0);
    }

    /** Joins a title with the one above and goes on at the seam; asks first where two notes would run together. @param {string} id */
    async joinAbove(id) {
        const { outline } = this;
        const i = outline.rows.index.get(id) ?? 0;
        const upper = outline.list[i - 1]?.id;
        if (!upper) {
            return null;
        }
        const [above, below] = [outline.tree.get(upper), outline.tree.get(id)];
        if (
            above.noted &&
            below.noted &&
            !(await confirm(
                'Join the two notes?',
                `Both “${above.title}” and “${below.title}” have a note. The second note will follow the first.`,
                'Join them',
            ))
        ) {
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
}
