import { numberAt } from '../outline/landing.js';
import { onDrop } from '../../state/places.js';
import { element } from '../../ui/element.js';

/** Farther from every topic than this is empty ground, in pixels of the map. */
const EMPTY = 90;

/** Drags branches on the map, and shows where one would land. */
export class Dragging {
    /** @param {MouseEvent} event */
    drag(event) {
        const { map } = this;
        map.side.classList.add('is-dragging');
        const [x, y] = map.camera.point(event);
        this.place = this.placeAt(x, y);
        this.edge(event);
        if (!this.place) {
            this.mark.setAttribute('hidden', '');
            this.number.hidden = true;
            return;
        }
        this.show(event, this.place);
    }

    /**
     * Where a branch would land: inside the topic under the pointer, or before or after it.
     * @param {number} x
     * @param {number} y
     * @returns {import('../given.d.ts').Landing | null}
     */
    placeAt(x, y) {
        const { tree } = this.outline;
        const gone = new Set(this.ids?.flatMap((id) => tree.branch(id)));
        let nearest = null;
        let least = EMPTY;
        for (const { id } of this.map.picture.list) {
            const shape = this.map.picture.shapes.get(id);
            const far = !shape || gone.has(id) ? Infinity : shape.distance(x, y);
            if (far < least) {
                [nearest, least] = [shape, far];
            }
        }
        if (!nearest) {
            return null;
        }
        const [along, aside] = nearest.seen(x, y);
        const isOut = along > nearest.start + nearest.width * 0.7;
        const edge = nearest.height * (isOut ? 0.5 : 0.22);
        const side = aside < -edge ? 'before' : aside > edge ? 'after' : 'inside';
        return { shape: nearest, side, at: onDrop(tree, nearest.id, side, gone) };
    }

    /** @param {MouseEvent} event @param {import('../given.d.ts').Landing} landing */
    show(event, { shape, side, at }) {
        const line = (/** @type {number} */ from, /** @type {number} */ to, /** @type {number} */ aside) =>
            [from, to].map((along) => `${(shape.x + along * shape.out).toFixed(1)} ${(shape.y + aside).toFixed(1)}`).join('L');
        const half = shape.height / 2 + 3;
        const across = () => line(0, shape.start + shape.width, side === 'before' ? -half : half);
        this.mark.setAttribute('d', `M${side === 'inside' ? line(shape.reach, shape.reach + 46, 0) : across()}`);
        this.mark.removeAttribute('hidden');
        const box = this.map.side.getBoundingClientRect();
        Object.assign(this.number.style, { left: `${event.clientX - box.left + 16}px`, top: `${event.clientY - box.top + 12}px` });
        this.number.hidden = false;
        const key = JSON.stringify(at);
        if (key !== this.asked) {
            this.asked = key;
            const name = this.outline.tree.get(shape.id).title || 'Untitled';
            const where = { inside: 'in', before: 'before', after: 'after' }[side];
            const says = `${where} “${name.length > 40 ? `${name.slice(0, 39)}…` : name}”`;
            this.number.replaceChildren(element('small', {}, says));
            clearTimeout(this.asking);
            this.asking = setTimeout(async () => {
                const number = await numberAt(this.outline, at, this.ids?.[0]);
                if (this.asked === key && number) {
                    this.number.prepend(element('b', {}, `${number} `));
                }
            }, 90);
        }
    }

    /** Near an edge the map moves on under the pointer. @param {MouseEvent} event */
    edge(event) {
        const box = this.box.getBoundingClientRect();
        const push = (/** @type {number} */ at, /** @type {number} */ from, /** @type {number} */ to) =>
            at < from + 32 ? 9 : at > to - 32 ? -9 : 0;
        const [dx, dy] = [push(event.clientX, box.left, box.right), push(event.clientY, box.top, box.bottom)];
        if (dx || dy) {
            this.map.camera.to(this.map.camera.view.translate(dx / this.map.camera.scale, dy / this.map.camera.scale), false);
        }
    }

    /** @param {MouseEvent} event */
    drop(event) {
        const { ids, place, outline } = this;
        if (!ids) {
            return;
        }
        const point = this.map.camera.point(event);
        this.cancel();
        if (place) {
            const here = outline.tree.placeOf(ids[0]);
            if (ids.length > 1 || here.parent !== place.at.parent || here.after !== place.at.after) {
                outline.unfold(place.at.parent);
                this.map.follow = ids[0];
                outline.move(ids, place.at);
            }
        } else {
            this.map.dropped(ids, point);
        }
    }
}
