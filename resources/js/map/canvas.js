import { colour, svg } from '../ui/element.js';
import { learnSigns } from '../lib/sign-forms.js';
import { beside, formOf, label, renumber } from './draw.js';
import { Shape } from './shape.js';
import { drawGround } from './ground.js';
import { Stalks } from './stalks.js';

/**
 * @typedef {import('./camera.js').Box} Box
 * @typedef {{id: string, at: [number, number, boolean], print: string, shapes: Shape[]}} Section
 * @typedef {SVGGElement & {shape?: Shape, looks?: string, number?: string, badge?: SVGElement | null}} Leaf
 * @typedef {{arrangement: string, tints: boolean, lines: number[], forms: [string, number, boolean][], lettering: string}} Drawn
 * @typedef {Drawn & {inks: Record<string, string>, paper: [string, number] | null, back: string, [more: string]: any}} Look
 * @typedef {{lines: string[], size: number, at: [number, number], room: [number, number]}} Title
 * @typedef {{id: string, at: [number, number, boolean], print: string, topics?: any[][]}} ToldSection
 *
 * The map as core/Layout/Map/Telling tells it.
 * @typedef {{look: Look, title: Title, spine: Box[], bounds: Box, sections: ToldSection[], [more: string]: any}} Told
 */

/** Under this size type cannot be read: branches are drawn as strokes. */
const COARSE = 0.34;
const SPARE = 0.3;

/**
 * What a map needs to know of its topics, which it does not know from their geometry.
 * @typedef {object} Topics
 * @property {(id: string) => string} parentOf
 * @property {(id: string) => boolean} hasParts
 * @property {(nodes: Map<string, Leaf>) => void} dress gives the topics that are drawn their names and looks
 * @property {(id: string) => boolean} keeps whether a topic is drawn though it is out of sight
 * @property {import('./draw.js').Signs} signs of notes and flags, as paths
 * @property {(id: string) => string} pictureOf the address of a picture
 * @property {(id: string) => string} [backOf] the address of a picture on the ground; without it there is none
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
        /** Topic → its node, of those that are drawn. @type {Map<string, Leaf>} */
        this.drawn = new Map();
        /** @type {Map<string, Shape>} */
        this.shapes = new Map();
        /** @type {Map<string, Section>} */
        this.sections = new Map();
        /** @type {Told | null} */
        this.told = null;
        /** The ground as it is drawn (ground.js). */
        this.groundDrawn = '';
        /** What part of the map is drawn. @type {Box | null} */
        this.covered = null;
        /** Whether it is so small that branches are strokes. */
        this.isCoarse = false;
        this.isStale = false;
        /** What is shown, in reading order. @type {{id: string, level: number}[]} */
        this.list = [];
    }

    /** @param {string} id */
    parentOf(id) {
        return this.topics.parentOf(id);
    }

    // ---- What PHP tells

    get prints() {
        return Object.fromEntries([...this.sections].map(([id, section]) => [id, section.print]));
    }

    /** Takes in a map: sections that it does not tell anew are moved as a whole. @param {Told} told */
    take(told) {
        learnSigns(told.signs);
        this.told = this.topics.backOf ? told : { ...told, look: { ...told.look, back: '' } };
        /** @type {Map<string, Section>} */
        const sections = new Map();
        /** @type {Map<string, Shape>} */
        const shapes = new Map();
        for (const { id, at, print, topics } of told.sections) {
            const known = this.sections.get(id);
            /** @type {Section} */
            const section = {
                id,
                at,
                print,
                shapes: topics ? topics.map((topic) => new Shape(topic, at, id)) : (known?.shapes ?? []),
            };
            if (!topics && String(known?.at) !== String(at)) {
                section.shapes.forEach((shape) => shape.place(at));
            }
            sections.set(id, section);
            section.shapes.forEach((shape) => shapes.set(shape.id, shape));
        }
        this.sections = sections;
        this.shapes = shapes;
        this.isStale = true;
        drawGround(this, this.told);
        this.lines.renew();
    }

    /** The section whose topics are told under an id. @param {string} id */
    section(id) {
        return /** @type {Section} */ (this.sections.get(id));
    }

    /** @param {Shape[]} shapes @returns {Box} */
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

    /**
     * Goes along with the camera: draws what has come into sight, and takes away what has gone out of it; whether nothing was drawn.
     * @param {import('./camera.js').Camera} camera
     */
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
            const covered = (this.covered = /** @type {Box} */ ([
                sight[0] - width,
                sight[1] - height,
                sight[2] + width,
                sight[3] + height,
            ]));
            this.isStale = false;
            this.fillSight(covered);
            this.topics.dress(this.drawn);
            return false;
        }
        return true;
    }

    /** @param {Box} sight */
    covers(sight) {
        return (
            this.covered !== null &&
            sight[0] >= this.covered[0] &&
            sight[1] >= this.covered[1] &&
            sight[2] <= this.covered[2] &&
            sight[3] <= this.covered[3]
        );
    }

    /** @param {Box} covered */
    fillSight(covered) {
        const [left, top, right, bottom] = covered;
        /** @type {Shape[]} */
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
        /** @type {Leaf | null} */
        let before = null;
        for (const shape of seen) {
            const node = this.leaf(shape);
            /** @type {ChildNode | null} */
            const next = before ? before.nextSibling : this.labels.firstChild;
            if (next !== node) {
                this.labels.insertBefore(node, next);
            }
            before = node;
        }
        this.lines.draw(covered);
    }

    /** @param {Shape} shape */
    leaf(shape) {
        const node = this.drawn.get(shape.id) ?? this.newLeaf(shape.id);
        const hasParts = shape.inside > 0 || this.topics.hasParts(shape.id);
        const form = formOf(/** @type {Told} */ (this.told).look, shape.level);
        const looks = `${hasParts} ${shape.isMirrored} ${form.of} ${form.isPlated} ${shape.looks}`;
        node.shape = shape;
        if (node.looks !== looks) {
            node.looks = looks;
            node.badge?.remove();
            node.badge = shape.isMain || shape.inside ? this.over.appendChild(beside(shape)) : null;
            node.badge?.style.setProperty('--d', colour(shape.dye));
            node.replaceChildren(...label(shape, hasParts, this.topics.signs, this.topics.pictureOf, form));
            node.style.setProperty('--d', colour(shape.dye));
        } else if (node.number !== shape.number) {
            // When a section moves, all that changes of most topics is their number.
            renumber(node, shape);
        }
        node.number = shape.number;
        for (const one of [node, node.badge]) {
            if (one && one.style.transform !== shape.transform) {
                one.style.transform = shape.transform;
            }
        }
        return node;
    }

    /** @param {string} id @returns {Leaf} */
    newLeaf(id) {
        /** @type {Leaf} */
        const node = svg('g', { class: 'leaf', role: 'treeitem', id: `spot-${id}` });
        node.dataset.id = id;
        this.drawn.set(id, node);
        return node;
    }
}
