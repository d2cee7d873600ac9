/** @typedef {import('./shape.js').Shape} Shape @typedef {'right' | 'down' | 'left' | 'up'} Direction */

/** @type {Record<Direction, [number, number]>} */
const DIRECTIONS = { right: [1, 0], down: [0, 1], left: [-1, 0], up: [0, -1] };

/**
 * The topic to which an arrow key goes. Seen from a topic its parts lie in the direction in which
 * it grows, its parent opposite, its siblings to both sides: the arrow that points nearest to one of
 * them goes there. Where there is none, it goes to the nearest topic on that side.
 *
 * So there is a way from every topic to every other: up to its main section, along the main
 * sections, and down again; and nothing that is on that side is ever out of reach.
 */
export class Ways {
    /**
     * @param {Map<string, Shape>} shapes topic → shape, in reading order
     * @param {(id: string) => string} parentOf what gives the parent of a topic
     */
    constructor(shapes, parentOf) {
        this.shapes = shapes;
        /** @type {Map<string, string | null>} */
        this.parents = new Map();
        /** @type {Map<string | null, string[]>} */
        this.parts = new Map();
        for (const id of shapes.keys()) {
            const parent = shapes.has(parentOf(id)) ? parentOf(id) : null;
            this.parents.set(id, parent);
            const parts = this.parts.get(parent);
            parts ? parts.push(id) : this.parts.set(parent, [id]);
        }
    }

    /** @param {string} id */
    at(id) {
        return /** @type {Shape} */ (this.shapes.get(id));
    }

    /** @param {string} id @param {Direction} direction @returns {string | null} the topic, or null where nothing is on that side */
    go(id, direction) {
        const shape = this.at(id);
        const relative = /** @type {Record<Direction, () => string | null>} */ ({
            [shape.isMirrored ? 'left' : 'right']: () => this.nearestPart(shape),
            [shape.isMirrored ? 'right' : 'left']: () => this.parents.get(id) ?? null,
            down: () => this.sibling(shape, 1),
            up: () => this.sibling(shape, -1),
        })[direction]();
        return relative ?? this.nearest(shape, direction);
    }

    /** @param {Shape} shape */
    nearestPart(shape) {
        const [x, y] = [shape.x + shape.reach * shape.out, shape.y];
        const distance = (/** @type {string} */ id) => Math.hypot(this.at(id).x - x, this.at(id).y - y);
        return (this.parts.get(shape.id) ?? []).reduce(
            (/** @type {string | null} */ best, id) => (best === null || distance(id) < distance(best) - 0.01 ? id : best),
            null,
        );
    }

    /** @param {Shape} shape @param {1 | -1} by */
    sibling(shape, by) {
        const siblings = this.parts.get(this.parents.get(shape.id) ?? null) ?? [];
        const other = siblings[siblings.indexOf(shape.id) + by];
        // On the other side of the spine is not below.
        return other && this.at(other).isMirrored === shape.isMirrored && !this.at(other).isLoose === !shape.isLoose ? other : null;
    }

    /** @param {Shape} shape @param {Direction} direction */
    nearest(shape, direction) {
        const [cos, sin] = DIRECTIONS[direction];
        /** @type {string | null} */
        let best = null;
        let least = Infinity;
        for (const other of this.shapes.values()) {
            const [dx, dy] = [other.x - shape.x, other.y - shape.y];
            const along = dx * cos + dy * sin;
            const aside = Math.abs(dy * cos - dx * sin);
            // Within a quarter of the circle by the way there; what lies farther aside only where nothing else is.
            const far = along + aside + (aside > along ? 1e6 + aside * 2 : 0);
            if (along > 0.5 && far < least) {
                [best, least] = [other.id, far];
            }
        }
        return best;
    }
}
