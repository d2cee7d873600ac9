import { isDrag } from '../../lib/pressing.js';
import { colour } from '../../ui/element.js';
import { svg } from '../../map/draw.js';

/** Relations as they are drawn on the map: thin lines with their labels on them; a press opens one, dragging its middle bends it. */
export class RelationLayer {
    constructor(map) {
        this.map = map;
        this.layer = map.picture.stage.insertBefore(svg('g', { class: 'relations', 'aria-hidden': 'true' }), map.picture.over);
        this.rubber = map.picture.over.appendChild(svg('path', { class: 'rubber', hidden: '' }));
        this.layer.addEventListener('pointerdown', (event) => this.press(event));
    }

    get relations() {
        return this.map.page.relations;
    }

    draw(told) {
        this.tracks = told;
        const labels = [];
        const lines = told.flatMap((track) => {
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

    press(event) {
        const group = event.target.closest('.relation');
        if (!group || event.button !== 0) {
            return;
        }
        event.preventDefault();
        event.stopPropagation();
        const { id } = group.dataset;
        const track = this.tracks.find((one) => one.id === id);
        let isFar = false;
        this.map.hands.track(event, {
            move: (e) => {
                const [x, y] = this.map.camera.point(e);
                isFar ||= isDrag(event, e);
                if (isFar) {
                    const line = this.layer.querySelector(`[data-id="${id}"] .line`);
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

    ends(path) {
        const numbers = path.match(/-?[\d.]+/g).map(Number);
        return [numbers.slice(0, 2), numbers.slice(-2)];
    }

    /** From the handle of a topic to another one. */
    pull(event, id) {
        const shape = this.map.picture.shapes.get(id);
        const [x, y] = [shape.x + shape.reach * shape.out, shape.y];
        this.map.hands.track(event, {
            move: (e) => {
                const [toX, toY] = this.map.camera.point(e);
                this.rubber.setAttribute('d', `M${x} ${y}L${toX} ${toY}`);
                this.rubber.removeAttribute('hidden');
                this.target = document.elementFromPoint(e.clientX, e.clientY)?.closest('.leaf')?.dataset.id ?? null;
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
