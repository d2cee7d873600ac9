import { zoomIdentity } from 'd3-zoom';
import { words } from '../../lib/vocabulary.js';
import { Camera } from '../../map/camera.js';
import { Canvas } from '../../map/canvas.js';
import { setAttributes } from '../../ui/element.js';

/** How large a topic becomes at the most, and how long the picture takes from one to the next, in ms. */
const LARGE = 1.6;
const GLIDE = 700;

/** @typedef {import('./deck.js').Deck} Deck @typedef {import('../../map/shape.js').Shape} Shape */

/** Shows on the map: its picture moves from topic to topic, and at the start and the end the whole is seen. */
export class OnMap {
    /**
     * @param {SVGSVGElement} ground
     * @param {(id: string) => string} pictureOf the address of a picture
     * @param {() => Promise<any>} [told] the map, as PHP tells it
     * @param {(id: string) => string} [backOf] the address of a picture on its ground
     */
    constructor(ground, pictureOf, told, backOf) {
        this.ground = ground;
        this.pictureOf = pictureOf;
        this.told = told;
        this.backOf = backOf;
        /** @type {Map<string, string>} */
        this.parents = new Map();
        /** @type {Set<string>} */
        this.above = new Set();
        this.now = '';
        /** @type {Canvas | null} */
        this.canvas = null;
        /** @type {import('../../map/camera.js').Box} */
        this.bounds = [0, 0, 0, 0];
        this.camera = new Camera(ground, { onMove: () => this.moved(), onHand: () => {}, mayDrag: () => true });
    }

    moved() {
        this.canvas?.told && this.canvas.move(this.camera);
    }

    /** @param {any} told */
    take(told) {
        const canvas = (this.canvas ??= this.make());
        /** @type {{id: string, level: number}[]} */
        const list = [];
        this.parents.clear();
        for (const { topics } of told.sections) {
            /** @type {string[]} */
            const above = [];
            for (const [id, level] of topics) {
                above[level] = id;
                this.parents.set(id, above[level - 1] ?? '');
                list.push({ id, level });
            }
        }
        this.above = new Set(this.parents.values());
        canvas.take(told);
        canvas.list = list;
        this.bounds = told.bounds;
    }

    make() {
        const canvas = new Canvas(this.ground, {
            parentOf: (id) => this.parents.get(id) ?? '',
            hasParts: (id) => this.above.has(id),
            keeps: (id) => id === this.now,
            dress: (leaves) => leaves.forEach((leaf, id) => this.dress(leaf, id)),
            signs: words().mapSigns,
            pictureOf: this.pictureOf,
            backOf: this.backOf,
        });
        return canvas;
    }

    async load() {
        this.take(await this.told?.());
    }

    /** @param {Deck} deck */
    show(deck) {
        if (!this.canvas) {
            return;
        }
        const isWhole = deck.isEnd || deck.step?.level === 0;
        this.now = isWhole ? '' : deck.topic;
        const { shapes, drawn } = this.canvas;
        const shape = shapes.get(this.now) ?? shapes.get(deck.step?.topic ?? '');
        isWhole || !shape ? this.camera.fit(this.bounds, { lasts: GLIDE }) : this.near(shape);
        drawn.forEach((leaf, id) => this.dress(leaf, id));
    }

    /** A topic in the middle, with its parts. @param {Shape} shape */
    near(shape) {
        const parts = [...(this.canvas?.shapes.values() ?? [])].filter(({ id }) => this.parents.get(id) === shape.id);
        const [left, top, right, bottom] = this.canvas?.bounds([shape, ...parts]) ?? shape.box;
        const { width, height } = this.camera.size;
        const k = Math.min(LARGE, (width * 0.8) / (right - left), (height * 0.6) / (bottom - top));
        const [x, y] = [width / 2 - (k * (left + right)) / 2, height / 2 - (k * (top + bottom)) / 2];
        this.camera.to(zoomIdentity.translate(x, y).scale(k), true, GLIDE);
    }

    /** @param {import('../../map/canvas.js').Leaf} leaf @param {string} id */
    dress(leaf, id) {
        leaf.classList.toggle('is-now', id === this.now);
        leaf.classList.toggle('is-beside', this.now !== '' && id !== this.now && this.parents.get(id) !== this.now);
        const says = [...leaf.querySelectorAll('text')].map((text) => text.textContent?.trim()).join(' ');
        setAttributes(leaf, { role: 'img', 'aria-label': says || 'Untitled' });
    }
}
