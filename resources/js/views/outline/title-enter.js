import { newId } from '../../lib/ids.js';
import { confirm } from '../../ui/confirm.js';
import { FreshTopics } from './fresh-topics.js';

/** What Enter and the start of a title do while one is written: new topics, splitting, joining. */
export class TitleEnter extends FreshTopics {
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
            this.write(
                outline.add(
                    open ? { parent: id, after: null } : { parent: topic.parent, after: id },
                    '',
                    topic.kind === 'section' || open ? {} : { kind: topic.kind },
                ),
                0,
            );
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
