import { colour } from '../ui/element.js';
import { beside, label, svg } from './draw.js';
import { Shape } from './shape.js';
import { Stalks } from './stalks.js';

/** Under this size type cannot be read: branches are drawn as strokes. */
const COARSE = 0.34;
const SPARE = 0.3;

/**
 * What a map needs to know of its topics, which it does not know from their geometry.
 * @typedef {object} Topics
 * @property {(id: string) => string} parentOf
 * @property {(id: string) => boolean} hasParts
 * @property {(nodes: Map<string, SVGElement>) => void} dress gives the topics that are drawn their names and looks
 * @property {(id: string) => boolean} keeps whether a topic is drawn though it is out of sight
 * @property {object} signs of notes and flags, as paths
 * @property {string} address of the plan, for its pictures
 */

/**
 * The picture of a map out of the geometry that PHP tells, of which only what is in sight is in the
 * page. It knows nothing of what is done with topics, and can be used by itself.
 */
export class Canvas {
    /** @param {SVGSVGElement} box @param {Topics} topics */
    constructor(box, topics) {
        this.box = box;
        this.topics = topics;
        this.stage = this.box.appendChild(svg('g', { class: 'stage', role: 'presentation' }));
        this.under = this.stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'under-labels' }));
        this.lines = new Stalks(this, this.stage);
        this.labels = this.stage.appendChild(svg('g', { role: 'presentation' }));
        this.over = this.stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'over-labels' }));
        /** Topic → its node, of those that are drawn. */
        this.drawn = new Map();
        this.shapes = new Map();
        this.sections = new Map();
        /** What is shown, in reading order: [{id}, …] */
        this.list = [];
    }

    parentOf(id) {
        return this.topics.parentOf(id);
    }

    // ---- What PHP tells

    get prints() {
        return Object.fromEntries([...this.sections].map(([id, section]) => [id, section.print]));
    }

    /** Takes in a map: sections that it does not tell anew are moved as a whole. */
    take(told) {
        this.told = told;
        const sections = new Map();
        const shapes = new Map();
        for (const { id, at, print, topics } of told.sections) {
            const known = this.sections.get(id);
            const section = { id, at, print, shapes: topics ? topics.map((topic) => new Shape(topic, at, id)) : known.shapes };
            if (!topics && String(known.at) !== String(at)) {
                section.shapes.forEach((shape) => shape.place(at));
            }
            sections.set(id, section);
            section.shapes.forEach((shape) => shapes.set(shape.id, shape));
        }
        this.sections = sections;
        this.shapes = shapes;
        this.isStale = true;
        this.frame();
    }

    /** The title, the spine, and what is drawn when one is far away. */
    frame() {
        const { title, spine, look, sections } = this.told;
        const [x, y] = title.at;
        const high = title.size * 1.34;
        this.under.replaceChildren(
            look.ground &&
                svg(
                    'g',
                    { class: 'tints' },
                    ...sections.filter(({ id }) => !this.sections.get(id).shapes[0].isLoose).map(({ id }) => this.tint(id)),
                ),
            svg(
                'g',
                { class: 'spine' },
                ...spine.map(([x1, y1, x2, y2], i) => svg('path', { d: `M${x1} ${y1}L${x2} ${y2}`, '--d': this.spineDye(i) })),
            ),
            svg(
                'text',
                { class: 'map-title', 'font-size': title.size },
                ...title.lines.map((line, i) =>
                    svg('tspan', { x, y: (y - title.room[1] / 2 + high * i + title.size * 1.02).toFixed(1) }, line),
                ),
            ),
        );
        this.lines.renew();
    }

    spineDye(i) {
        const { look, sections } = this.told;
        if (look.arrangement === 'spine' || (look.arrangement === 'both' && i === 0)) {
            return 'var(--ink)';
        }
        const order = sections[look.arrangement === 'both' ? i - 1 : i];
        return colour(this.sections.get(order.id).shapes[0].dye);
    }

    tint(id) {
        const { shapes } = this.sections.get(id);
        const [left, top, right, bottom] = this.bounds(shapes);
        return svg('rect', {
            class: 'tint',
            '--d': colour(shapes[0].dye),
            x: left - 12,
            y: top - 6,
            width: right - left + 24,
            height: bottom - top + 12,
            rx: 12,
        });
    }

    bounds(shapes) {
        return shapes.reduce(
            ([left, top, right, bottom], { box }) => [
                Math.min(left, box[0]),
                Math.min(top, box[1]),
                Math.max(right, box[2]),
                Math.max(bottom, box[3]),
            ],
            [Infinity, Infinity, -Infinity, -Infinity],
        );
    }

    // ---- What is in sight

    /** Goes along with the camera: draws what has come into sight, and takes away what has gone out of it; whether nothing was drawn. */
    move(camera) {
        const { x, y, k } = camera.view;
        this.stage.setAttribute('transform', `translate(${x} ${y}) scale(${k})`);
        const isCoarse = k < COARSE;
        if (isCoarse !== this.isCoarse) {
            this.isCoarse = isCoarse;
            this.isStale = true;
        }
        const { sight } = camera;
        if (this.isStale || !this.covers(sight)) {
            const [width, height] = [(sight[2] - sight[0]) * SPARE, (sight[3] - sight[1]) * SPARE];
            this.covered = [sight[0] - width, sight[1] - height, sight[2] + width, sight[3] + height];
            this.isStale = false;
            this.fillSight();
            this.topics.dress(this.drawn);
            return false;
        }
        return true;
    }

    covers(sight) {
        return (
            this.covered &&
            sight[0] >= this.covered[0] &&
            sight[1] >= this.covered[1] &&
            sight[2] <= this.covered[2] &&
            sight[3] <= this.covered[3]
        );
    }

    fillSight() {
        const [left, top, right, bottom] = this.covered;
        const seen = [];
        for (const { id } of this.list) {
            const shape = this.shapes.get(id);
            const isNear = shape && shape.box[2] > left && shape.box[0] < right && shape.box[3] > top && shape.box[1] < bottom;
            if ((isNear && (!this.isCoarse || shape.isMain)) || (shape && this.topics.keeps(id))) {
                seen.push(shape);
            }
        }
        const ids = new Set(seen.map((shape) => shape.id));
        for (const [id, node] of this.drawn) {
            if (!ids.has(id)) {
                node.remove();
                node.badge?.remove();
                this.drawn.delete(id);
            }
        }
        let before = null;
        for (const shape of seen) {
            const node = this.leaf(shape);
            const next = before ? before.nextSibling : this.labels.firstChild;
            if (next !== node) {
                this.labels.insertBefore(node, next);
            }
            before = node;
        }
        this.lines.draw();
    }

    leaf(shape) {
        let node = this.drawn.get(shape.id);
        const isNew = !node;
        if (isNew) {
            node = svg('g', { class: 'leaf', role: 'treeitem', id: `spot-${shape.id}` });
            node.dataset.id = shape.id;
            this.drawn.set(shape.id, node);
        }
        if (node.shape !== shape || node.mirrored !== shape.isMirrored) {
            node.shape = shape;
            node.mirrored = shape.isMirrored;
            node.badge?.remove();
            node.badge = shape.isMain || shape.inside ? this.over.appendChild(beside(shape)) : null;
            node.badge?.style.setProperty('--d', colour(shape.dye));
            node.replaceChildren(
                ...label(shape, shape.inside > 0 || this.topics.hasParts(shape.id), this.topics.signs, this.topics.address),
            );
            node.style.setProperty('--d', colour(shape.dye));
        }
        if (node.style.transform !== shape.transform) {
            node.style.transform = shape.transform;
        }
        if (node.badge) {
            node.badge.style.transform = shape.transform;
        }
        return node;
    }
}
