/** Of a topic that is not on the map yet: about where and how large it will be. */
const GUESS = { out: 1, isMirrored: false, start: 15, width: 0, height: 22, size: 15, reach: 20, indent: 0, isGuess: true };

/** The field in which a title is written, over the place of the title on the map. */
export class TitleField {
    /** @param {import('./picture.js').Picture} picture */
    constructor(picture) {
        this.picture = picture;
        this.map = picture.map;
    }

    get shapes() {
        return this.picture.shapes;
    }

    get tree() {
        return this.map.tree;
    }

    /**
     * Puts a field where a title stands; `false` where the topic is not on the map yet.
     * @param {string} id
     * @param {HTMLInputElement} input
     */
    open(id, input) {
        const shape = this.shapes.get(id) ?? this.shapeFor(id);
        if (!shape) {
            return false;
        }
        this.field = { id, input, shape };
        input.classList.add('on-map');
        this.map.side.append(input);
        if ('isGuess' in shape) {
            this.map.camera.reveal([shape.x, shape.y - 16, shape.x + 240, shape.y + 16], this.map.taken);
        }
        this.place();
        return true;
    }

    /** A topic of which PHP has not told stands, for a moment, after the one it follows or inside its parent. @param {string} id */
    shapeFor(id) {
        const spot = this.tree.get(id)?.spot?.split(',').map(Number);
        if (spot) {
            return { ...GUESS, x: spot[0], y: spot[1], level: 2 };
        }
        // After the nearest sibling that is on the map, one below the other; else inside its parent.
        const { parent } = this.tree.get(id);
        const before = this.tree.partsOf(parent).slice(0, this.tree.partsOf(parent).indexOf(id)).reverse();
        const distance = before.findIndex((one) => this.shapes.has(one));
        const known = this.shapes.get(before[distance]) ?? this.shapes.get(parent);
        if (!known) {
            return this.tree.get(id) ? { ...GUESS, x: 0, y: 60, level: 1 } : null;
        }
        const [along, aside] = distance < 0 ? [known.reach + 50, before.length * 28] : [0, known.height + 4 + distance * 28];
        return { ...known, width: 0, indent: 0, lines: [], x: known.x + along * known.out, y: known.y + aside, isGuess: true };
    }

    close() {
        this.field?.input.classList.remove('on-map');
        this.field?.input.removeAttribute('style');
        this.field?.input.remove();
        this.field = null;
    }

    place() {
        const { field } = this;
        if (!field) {
            return;
        }
        if ('isGuess' in field.shape || this.shapes.get(field.id) !== field.shape) {
            field.shape = this.shapes.get(field.id) ?? field.shape;
        }
        const { shape, input } = field;
        const { view } = this.map.camera;
        const scale = Math.max(0.8, Math.min(1.6, view.k));
        const indent = shape.indent || 0;
        const width = Math.max(200, Math.min(640, (shape.width - indent) * view.k + 60, 640));
        const along = shape.start + (shape.isMirrored ? shape.width : indent);
        const [x, y] = view.apply([shape.x + along * shape.out, shape.y]);
        const left = Math.max(4, Math.min(this.picture.box.clientWidth - width - 4, x - 6));
        Object.assign(input.style, {
            left: `${left}px`,
            top: `${Math.max(2, y - 15 * scale)}px`,
            width: `${width}px`,
            fontSize: `${(shape.size * scale).toFixed(1)}px`,
            fontWeight: shape.level === 1 ? 680 : 400,
        });
    }
}
