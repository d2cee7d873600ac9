import { colour, svg } from '../ui/element.js';

const WIDTH = 168;
const HEIGHT = 112;

/** The whole map, small, in a corner, while it does not fit: what is in sight is framed, and a press goes there. */
export class Overview {
    /** @param {{picture: import('./canvas.js').Canvas, camera: import('./camera.js').Camera}} map @param {SVGSVGElement} box */
    constructor(map, box) {
        this.map = map;
        this.box = box;
        /** Of the small picture to the map, and the corner of the map at its own. */
        this.scale = 1;
        /** The lines as they are drawn. */
        this.drawn = '';
        this.origin = [0, 0];
        this.ground = this.box.appendChild(svg('g'));
        this.frame = this.box.appendChild(svg('rect', { class: 'frame' }));
        this.box.addEventListener('pointerdown', (event) => {
            event.preventDefault();
            this.box.setPointerCapture(event.pointerId);
            this.go(event);
        });
        this.box.addEventListener('pointermove', (event) => this.box.hasPointerCapture(event.pointerId) && this.go(event));
    }

    draw(isNew = false) {
        const { told, shapes } = this.map.picture;
        if (!told) {
            return;
        }
        const [left, top, right, bottom] = told.bounds;
        const sight = this.map.camera.sight;
        const fits = sight[0] <= left && sight[1] <= top && sight[2] >= right && sight[3] >= bottom;
        this.box.toggleAttribute('hidden', fits || shapes.size === 0);
        const scale = (this.scale = Math.min((WIDTH - 8) / Math.max(1, right - left), (HEIGHT - 8) / Math.max(1, bottom - top)));
        this.origin = [left - (WIDTH / scale - (right - left)) / 2, top - (HEIGHT / scale - (bottom - top)) / 2];
        if (isNew) {
            const paths = new Map();
            for (const shape of shapes.values()) {
                const [x, y] = this.at(shape.x, shape.y);
                const [toX, toY] = this.at(shape.x + shape.reach * shape.out, shape.y);
                paths.set(shape.dye, `${paths.get(shape.dye) ?? ''}M${x.toFixed(1)} ${y.toFixed(1)}L${toX.toFixed(1)} ${toY.toFixed(1)}`);
            }
            /** @type {string} */
            const drawn = [...paths].flat().join() + scale;
            if (drawn !== this.drawn) {
                this.drawn = drawn;
                this.ground.replaceChildren(
                    ...[...paths].map(([name, d]) =>
                        svg('path', { d, style: `stroke: ${colour(name)}`, 'stroke-width': Math.max(0.8, Math.min(3, 16 * scale)) }),
                    ),
                );
            }
        }
        const [x, y] = this.at(Math.max(sight[0], this.origin[0]), Math.max(sight[1], this.origin[1]));
        const [toX, toY] = this.at(Math.min(sight[2], this.origin[0] + WIDTH / scale), Math.min(sight[3], this.origin[1] + HEIGHT / scale));
        Object.entries({ x: x + 1, y: y + 1, width: Math.max(4, toX - x - 2), height: Math.max(4, toY - y - 2) }).forEach(([name, value]) =>
            this.frame.setAttribute(name, value.toFixed(1)),
        );
    }

    /** A point of the map in the small picture. @param {number} x @param {number} y */
    at(x, y) {
        return [(x - this.origin[0]) * this.scale, (y - this.origin[1]) * this.scale];
    }

    /** @param {PointerEvent} event */
    go(event) {
        const box = this.box.getBoundingClientRect();
        const [x, y] = [(event.clientX - box.left) / this.scale + this.origin[0], (event.clientY - box.top) / this.scale + this.origin[1]];
        const { camera } = this.map;
        const { width, height } = camera.size;
        const k = camera.scale;
        camera.to(camera.view.translate((width / 2 - camera.view.x) / k - x, (height / 2 - camera.view.y) / k - y), false);
    }
}
