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
     * @param shapes Map of id → shape, in reading order
     * @param parentOf what gives the parent of a topic
     */
    constructor(shapes, parentOf) {
        this.shapes = shapes;
        this.parents = new Map();
        this.parts = new Map();
        for (const id of shapes.keys()) {
            const parent = shapes.has(parentOf(id)) ? parentOf(id) : null;
            this.parents.set(id, parent);
            this.parts.has(parent) ? this.parts.get(parent).push(id) : this.parts.set(parent, [id]);
        }
    }

    /** @returns the id, or null where nothing is on that side */
    go(id, direction) {
        const shape = this.shapes.get(id);
        const relative = {
            [shape.isMirrored ? 'left' : 'right']: () => this.nearestPart(shape),
            [shape.isMirrored ? 'right' : 'left']: () => this.parents.get(id),
            down: () => this.sibling(shape, 1),
            up: () => this.sibling(shape, -1),
        }[direction]();
        return relative ?? this.nearest(shape, direction);
    }

    nearestPart(shape) {
        const [x, y] = [shape.x + shape.reach * shape.out, shape.y];
        const distance = (id) => Math.hypot(this.shapes.get(id).x - x, this.shapes.get(id).y - y);
        return (this.parts.get(shape.id) ?? []).reduce(
            (best, id) => (best === null || distance(id) < distance(best) - 0.01 ? id : best),
            null,
        );
    }

    sibling(shape, by) {
        const siblings = this.parts.get(this.parents.get(shape.id)) ?? [];
        const other = siblings[siblings.indexOf(shape.id) + by];
        // On the other side of the spine is not below.
        return other && this.shapes.get(other).isMirrored === shape.isMirrored && !this.shapes.get(other).isLoose === !shape.isLoose
            ? other
            : null;
    }

    nearest(shape, direction) {
        const [cos, sin] = DIRECTIONS[direction];
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
