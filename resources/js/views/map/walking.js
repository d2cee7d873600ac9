import { TRAY } from '../../state/plan.js';
import { Drawing } from './drawing.js';

/** @typedef {import('../../map/ways.js').Direction} Direction */

/** Goes from topic to topic on the map, and makes new ones there. */
export class Walking extends Drawing {
    toggleFold() {
        const { active, folds } = this.outline;
        if (active) {
            const wasFolded = folds.has(active);
            this.outline.on('toggleFold', active);
            this.unfolded = wasFolded ? active : null;
        }
    }

    /** Goes to the topic in a direction; `isMore`: and marks it beside the others. @param {Direction} direction */
    go(direction, isMore = false) {
        const { outline, picture } = this;
        const next =
            outline.active &&
            (this.justUnfolded(outline.active, direction) ??
                (picture.shapes.has(outline.active)
                    ? picture.ways.go(outline.active, direction)
                    : this.nearNew(outline.active, direction)));
        this.unfolded = null;
        if (next && isMore) {
            outline.state.add(next);
            picture.reveal(next);
            outline.marking.draw();
        } else if (next) {
            outline.marking.only(next);
            picture.reveal(next);
        }
    }

    /**
     * The first part of a topic that was unfolded a moment ago: the same, whether its parts are on the map by now or not.
     * @param {string} id
     * @param {Direction} direction
     */
    justUnfolded(id, direction) {
        const shape = this.picture.shapes.get(id);
        const isOut = shape && direction === (shape.isMirrored ? 'left' : 'right');
        const [first] = isOut ? this.tree.partsOf(id).filter((part) => this.picture.index.has(part)) : [];
        return first && (this.unfolded === id || !this.picture.shapes.has(first)) ? first : null;
    }

    /**
     * From a topic that was only just made, and is not on the map yet: it will stand as its siblings do.
     * @param {string} id
     * @param {Direction} direction
     */
    nearNew(id, direction) {
        const { parent, after } = this.tree.placeOf(id);
        const beside = this.picture.shapes.get(after ?? parent) ?? this.picture.shapes.get(parent);
        const isBack = beside && direction === (beside.isMirrored ? 'right' : 'left');
        return isBack && this.tree.get(parent) ? parent : (beside?.id ?? null);
    }

    /** @param {'inside' | 'after' | 'before'} where */
    add(where) {
        const { outline, tree } = this;
        const id = outline.active;
        const topic = id && tree.get(id);
        if (!topic) {
            outline.addAtEnd();
            return;
        }
        const place = {
            inside: () => tree.lastPlace(id),
            after: () => ({ parent: topic.parent, after: id }),
            before: () => tree.placeOf(id),
        }[where]();
        if (where === 'inside' && outline.folds.has(id)) {
            outline.setFolds((folds) => folds.delete(id));
        }
        this.write(outline.add(place));
    }

    /** @param {string} id */
    write(id) {
        this.outline.marking.only(id);
        this.outline.titles.write(id, 'end');
        this.follow = id;
    }

    /** An idea on empty ground: it stands there, loose, until it is dragged into the tree. @param {[number, number]} point */
    idea(point) {
        const { outline } = this;
        this.write(outline.add(this.tree.lastPlace(TRAY), '', { spot: spotOf(point) }));
    }

    /** A branch that was let go on empty ground stays there, as loose ideas. @param {string[]} ids @param {[number, number]} point */
    dropped(ids, [x, y]) {
        const isLoose = ids.every((id) => this.tree.home(id) === TRAY);
        const places = ids.map((id, i) => ({
            type: 'spot',
            ids: [id],
            value: spotOf([x, y + i * 30]),
        }));
        const heads = ids.filter((id) => this.tree.get(id).parent !== TRAY);
        this.page.perform({
            type: 'compound',
            operations: [...(heads.length ? [{ type: 'move', ids: heads, at: this.tree.lastPlace(TRAY) }] : []), ...places],
        });
        if (!isLoose) {
            this.page.say(ids.length === 1 ? 'It is loose now, and is not handed over.' : 'They are loose now, and are not handed over.', {
                label: 'Undo',
                act: () => this.page.undo(),
            });
        }
    }
}

const spotOf = (/** @type {[number, number]} */ [x, y]) =>
    `${Math.round(Math.max(-100_000, Math.min(100_000, x)))},${Math.round(Math.max(-100_000, Math.min(100_000, y)))}`;
