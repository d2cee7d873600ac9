import { colour, svg } from '../ui/element.js';

/** @typedef {import('./shape.js').Shape} Shape */

/** The lines from topic to topic: one by one when they are near, all of a section as one when they are far away. */
export class Stalks {
    /** @param {import('./canvas.js').Canvas} canvas @param {SVGElement} stage */
    constructor(canvas, stage) {
        this.canvas = canvas;
        this.near = stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'stalks' }));
        this.far = stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'coarse' }));
        /** Topic → the line to it. @type {Map<string, SVGPathElement & {as?: string, placed?: string}>} */
        this.drawn = new Map();
    }

    /** The map is another one: what is drawn far away is drawn again when it is wanted. */
    renew() {
        this.hasFar = false;
    }

    /**
     * A stalk is drawn when it may be in sight: as one line when near, all of a section as one when far away.
     * @param {import('./camera.js').Box} covered
     */
    draw(covered) {
        this.far.toggleAttribute('hidden', !this.canvas.isCoarse);
        this.near.toggleAttribute('hidden', this.canvas.isCoarse);
        if (this.canvas.isCoarse) {
            this.drawFar();
            return;
        }
        const [left, top, right, bottom] = covered;
        const look = this.canvas.told?.look;
        const wanted = new Set();
        for (const { id } of this.canvas.list) {
            const shape = this.canvas.shapes.get(id);
            const parent = shape?.stalk && this.canvas.shapes.get(this.canvas.parentOf(id));
            if (
                look &&
                parent &&
                Math.max(shape.box[2], parent.box[2]) > left &&
                Math.min(shape.box[0], parent.box[0]) < right &&
                Math.max(shape.box[3], parent.box[3]) > top &&
                Math.min(shape.box[1], parent.box[1]) < bottom
            ) {
                wanted.add(id);
                this.stalk(shape, look);
            }
        }
        for (const [id, path] of this.drawn) {
            if (!wanted.has(id)) {
                path.remove();
                this.drawn.delete(id);
            }
        }
    }

    /** @param {Shape} shape @param {import('./canvas.js').Look} look */
    stalk(shape, look) {
        let path = this.drawn.get(shape.id);
        if (!path) {
            path = this.near.appendChild(svg('path', { class: 'stalk' }));
            this.drawn.set(shape.id, path);
        }
        const [x, y, isMirrored] = this.canvas.section(shape.section).at;
        const placed = `translate(${x}px, ${y}px) scale(${isMirrored ? -1 : 1}, 1)`;
        const width = look.lines[Math.min(shape.level, 3) - 1];
        const drawn = `${shape.stalk} ${shape.dye} ${width}`;
        if (path.as !== drawn) {
            path.as = drawn;
            path.setAttribute('d', shape.stalk);
            path.style.stroke = colour(shape.dye);
            path.style.strokeWidth = String(width);
        }
        if (path.placed !== placed) {
            path.placed = placed;
            path.style.transform = placed;
        }
    }

    drawFar() {
        if (this.hasFar) {
            return;
        }
        this.hasFar = true;
        this.far.replaceChildren(
            ...[...this.canvas.sections.values()].flatMap(({ at: [x, y, isMirrored], shapes }) => {
                const strokes = new Map();
                const stalks = [];
                for (const shape of shapes) {
                    const key = `${shape.dye} ${Math.round(shape.height)}`;
                    const [from, to] = [shape.start, shape.start + shape.width].map(
                        (along) => `${(shape.x + along * shape.out).toFixed()} ${shape.y.toFixed()}`,
                    );
                    strokes.set(key, `${strokes.get(key) ?? ''}M${from}L${to}`);
                    stalks.push(shape.stalk);
                }
                return [
                    svg('path', {
                        class: 'stalk',
                        d: stalks.join(''),
                        transform: `translate(${x} ${y}) scale(${isMirrored ? -1 : 1} 1)`,
                        style: `stroke: ${colour(shapes[0].dye)}; stroke-width: 3`,
                    }),
                    ...[...strokes].map(([key, d]) =>
                        svg('path', {
                            class: 'blur',
                            d,
                            '--d': colour(key.split(' ')[0]),
                            'stroke-width': Number(key.split(' ')[1]) * 0.55,
                        }),
                    ),
                ];
            }),
        );
    }
}
