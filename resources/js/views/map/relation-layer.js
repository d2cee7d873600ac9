import { around, firstOf, idAround, idOf } from '../../lib/dom.js';
import { isDrag } from '../../lib/pressing.js';
import { colour, svg } from '../../ui/element.js';

/** The topic under a pointer. @param {MouseEvent} event */
const leafAt = ({ clientX, clientY }) => {
    const under = document.elementFromPoint(clientX, clientY);
    return (under && idAround(under, '.leaf')) || null;
};

/** Relations as they are drawn on the map: thin lines with their labels on them; a press opens one, dragging its middle bends it. */
export class RelationLayer {
    /** @param {import('./map.js').MapView} map */
    constructor(map) {
        this.map = map;
        /** The topic to which a relation is pulled. @type {string | null} */
        this.target = null;
        /** @type {any[]} */
        this.tracks = [];
        this.layer = map.picture.stage.insertBefore(svg('g', { class: 'relations', 'aria-hidden': 'true' }), map.picture.over);
        this.rubber = map.picture.over.appendChild(svg('path', { class: 'rubber', hidden: '' }));
        this.layer.addEventListener('pointerdown', (event) => this.press(event));
    }

    get relations() {
        return this.map.page.relations;
    }

    /** @param {any} told */
    draw(told) {
        this.tracks = told;
        /** @type {SVGElement[]} */
        const labels = [];
        const lines = told.flatMap((/** @type {any} */ track) => {
            const relation = this.map.tree.relations.get(track.id);
            if (!relation) {
                return [];
            }
            const [x, y] = track.label;
            const [width, height] = track.room;
            const looks = { class: 'relation', 'data-id': track.id, '--d': relation.dye ? colour(relation.dye) : 'var(--ink)' };
            if (width > 0) {
                labels.push(
                    svg(
                        'g',
                        looks,
                        svg('rect', { class: 'behind', x: x - width / 2, y: y - height / 2, width, height, rx: 3 }),
                        svg('text', { x, y: y + 4.4 }, relation.label),
                    ),
                );
            }
            return [
                svg(
                    'g',
                    looks,
                    svg('path', { class: 'hit', d: track.path }),
                    svg('path', { class: 'line', d: track.path + track.heads.join('') }),
                    svg('circle', { class: 'bend', cx: track.middle[0], cy: track.middle[1], r: 6 }),
                ),
            ];
        });
        // Labels stand on the lines of all relations.
        this.layer.replaceChildren(...lines, ...labels);
    }

    /** @param {PointerEvent} event */
    press(event) {
        const group = around(event, '.relation');
        if (!group || event.button !== 0) {
            return;
        }
        event.preventDefault();
        event.stopPropagation();
        const id = idOf(group);
        const track = this.tracks.find((one) => one.id === id);
        let isFar = false;
        this.map.hands.track(event, {
            move: (e) => {
                const [x, y] = this.map.camera.point(e);
                isFar ||= isDrag(event, e);
                if (isFar) {
                    const line = firstOf(this.layer, `[data-id="${id}"] .line`);
                    const [[fromX, fromY], [toX, toY]] = this.ends(track.path);
                    line.setAttribute('d', `M${fromX} ${fromY}Q${2 * x - (fromX + toX) / 2} ${2 * y - (fromY + toY) / 2} ${toX} ${toY}`);
                }
            },
            up: (e) => {
                const [x, y] = this.map.camera.point(e);
                if (isFar) {
                    this.map.page.perform({
                        type: 'relation',
                        relation: id,
                        set: { bend: [Math.round(x - track.straight[0]), Math.round(y - track.straight[1])] },
                    });
                } else {
                    this.relations.edit(id);
                }
            },
        });
    }

    /** @param {string} path */
    ends(path) {
        const numbers = (path.match(/-?[\d.]+/g) ?? []).map(Number);
        return [numbers.slice(0, 2), numbers.slice(-2)];
    }

    /** From the handle of a topic to another one. @param {PointerEvent} event @param {string} id */
    pull(event, id) {
        if (!this.map.page.session.rights.mayWrite) {
            return;
        }
        const shape = this.map.picture.shapes.get(id);
        if (!shape) {
            return;
        }
        const [x, y] = [shape.x + shape.reach * shape.out, shape.y];
        this.map.hands.track(event, {
            move: (e) => {
                const [toX, toY] = this.map.camera.point(e);
                this.rubber.setAttribute('d', `M${x} ${y}L${toX} ${toY}`);
                this.rubber.removeAttribute('hidden');
                this.target = leafAt(e);
            },
            up: () => {
                this.rubber.setAttribute('hidden', '');
                if (this.target && this.target !== id) {
                    this.relations.add(id, this.target);
                }
                this.target = null;
            },
        });
    }
}
